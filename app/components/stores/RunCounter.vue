<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import type { KeptAt } from '#core/model/words'
import { broughtItems, counterItems, refilledItems } from '#core/stores/counter'
import type { RunThing } from '#core/stores/run'
import { addDays } from '#core/time/civil'

/** At the counter with the thing in hand: how much, what it costs, and one of three things to do. */
const props = defineProps<{
  thing: RunThing
  /** What comes after it; '': nothing. */
  next: string
  shop: string
  bagTo: KeptAt
  currency: string
  /** What is in the bag, of what. */
  sum: string
  leftHand: boolean
  /** What was done last; '': nothing that can be taken back here. */
  last: string
}>()
const emit = defineEmits<{
  take: [label: string, items: readonly ChangeItem[]]
  cannot: []
  undo: []
}>()
const store = useRefitStore()
const personId = useMe()

const row = computed(() => (props.thing.kind === 'row' ? props.thing.row : null))
const quantity = ref<number | null>(
  props.thing.kind === 'row'
    ? props.thing.row.pool.toBuy
    : props.thing.kind === 'low'
      ? Math.max(1, Math.ceil((props.thing.lot.lowAt ?? 0) - props.thing.have))
      : 1,
)
const price = ref<number | null>(props.thing.priceMinor)
const got = ref<'here' | 'ordered'>(props.thing.isOverCounter ? 'here' : 'ordered')
const isHere = computed(() => got.value === 'here')
const lead = computed(() => Math.max(0, ...(row.value?.wants ?? []).map((one) => one.lead.days)))
const dueOn = ref<string | null>(addDays(store.derived.today, lead.value))
const isAnother = ref(false)
/** On a phone its fields are folded away. */
const isOpen = ref(false)
const instead = ref('')
const wrong = ref('')
const unit = computed(() =>
  props.thing.kind === 'row'
    ? props.thing.row.pool.unit
    : props.thing.kind === 'low'
      ? props.thing.lot.unit
      : '',
)
/** What was asked for, said while something else is taken. */
const specified = computed(() =>
  [
    ...new Set(
      (row.value?.wants ?? []).flatMap(({ part }) =>
        [part.specification, part.size, part.metal, part.hand === 'none' ? '' : part.hand].filter(
          (one) => one !== '',
        ),
      ),
    ),
  ].join('; '),
)
const missing = computed(() => (row.value ? row.value.pool.toBuy - (quantity.value ?? 0) : 0))
function take() {
  const { thing } = props
  if (thing.kind === 'bring')
    return emit(
      'take',
      `${thing.name} in the bag`,
      broughtItems(thing.line, props.bagTo, store.derived.today),
    )
  if (!((quantity.value ?? 0) > 0)) {
    wrong.value = 'How many? More than nothing.'
    return
  }
  if (thing.kind === 'low')
    return emit(
      'take',
      `${thing.name} in the bag`,
      refilledItems(store.rows, thing.lot, quantity.value ?? 0, newId),
    )
  if (isAnother.value && instead.value.trim() === '') {
    wrong.value = 'What do you take instead? Write its make and name.'
    return
  }
  if (!isHere.value && dueOn.value === null) {
    wrong.value = 'When does it come? Ask, and write the day they say.'
    return
  }
  emit(
    'take',
    isHere.value ? `${thing.name} in the bag` : `${thing.name} ordered`,
    counterItems(
      store.rows,
      {
        row: thing.row,
        supplierId: thing.supplierId,
        on: store.derived.today,
        quantity: quantity.value ?? 0,
        priceMinor: price.value,
        instead: isAnother.value ? instead.value.trim() : '',
        dueOn: isHere.value ? null : dueOn.value,
        at: props.bagTo,
        byId: personId.value === '' ? null : personId.value,
      },
      newId,
    ),
  )
}
const usual = computed(() => (isHere.value ? 'In the bag' : 'Ordered'))
</script>

<template>
  <section
    class="no-print max-sm:fixed max-sm:inset-x-0 max-sm:bottom-14 max-sm:z-20 max-sm:max-h-[70vh] max-sm:overflow-y-auto max-sm:border-t-2 max-sm:border-ink max-sm:bg-paper max-sm:px-3 max-sm:pt-1 max-sm:pb-2"
    :aria-label="`${thing.name}, at the counter`"
  >
    <div class="flex items-baseline justify-between gap-2 sm:border-b-2 sm:border-ink">
      <h2 class="min-w-0 truncate max-sm:text-[1.0625rem]">{{ thing.name }}</h2>
      <p class="cond shrink-0 text-[0.9375rem] text-ink2">in the bag {{ sum }}</p>
    </div>
    <p v-if="specified" class="leading-snug sm:mt-1">{{ specified }}</p>
    <div
      v-if="thing.kind !== 'bring'"
      class="mt-2 grid grid-cols-2 gap-3"
      :class="{ 'max-sm:hidden': !isOpen && !isAnother }"
    >
      <UiNumber
        v-model="quantity"
        :label="unit === '' ? 'How many' : `How many ${unit}`"
        :min="0.001"
        :max="1000000"
      />
      <template v-if="thing.kind === 'row'">
        <UiMoney v-model="price" label="Price of all" :currency="currency" may-be-empty />
        <UiChoice
          v-model="got"
          class="max-sm:col-span-2"
          label="At the counter"
          :options="[
            { value: 'here', label: 'it is here' },
            { value: 'ordered', label: 'it is ordered' },
          ]"
        />
        <UiDate v-if="!isHere" v-model="dueOn" label="Comes on" />
      </template>
      <UiText v-if="isAnother" v-model="instead" class="col-span-2" label="What you take instead" />
    </div>
    <div
      class="flex min-h-7 items-center justify-between gap-2"
      :class="{ 'max-sm:hidden': thing.kind === 'bring' && !last && !wrong }"
    >
      <p class="text-[0.9375rem] leading-snug" role="status">
        <span v-if="wrong" class="text-redlead">{{ wrong }}</span>
        <template v-else-if="missing > 0.0001">
          {{ Math.round(missing * 1000) / 1000 }} {{ unit }} stay on the list.
        </template>
        <template v-else-if="last">
          {{ last }}.
          <button class="cond min-h-8 px-2 underline max-sm:min-h-11" @click="emit('undo')">
            Undo
          </button>
        </template>
      </p>
      <button
        v-if="thing.kind !== 'bring'"
        class="cond ml-auto shrink-0 px-2 underline decoration-rule underline-offset-4 max-sm:min-h-11 sm:hidden"
        :aria-expanded="isOpen || isAnother"
        @click="isOpen = !isOpen"
      >
        How many, price
      </button>
    </div>
    <div class="flex gap-2" :class="{ 'flex-row-reverse': leftHand }">
      <button
        class="cond h-24 basis-1/4 border-2 border-redlead bg-redlead-tint text-redlead"
        @click="emit('cannot')"
      >
        <span class="block text-xl leading-tight">Cannot</span>
        <span class="block text-[0.9375rem]">then what</span>
      </button>
      <button
        v-if="thing.kind === 'row'"
        class="cond h-24 basis-1/4 border-2 border-ink bg-sheet"
        :aria-pressed="isAnother"
        :class="{ 'bg-brass-tint': isAnother }"
        @click="isAnother = !isAnother"
      >
        <span class="block text-xl leading-tight">Another</span>
        <span class="block text-[0.9375rem]">make, price</span>
      </button>
      <button
        class="cond h-24 min-w-0 grow border-2 border-verdigris bg-verdigris px-2 text-sheet"
        @click="take"
      >
        <span class="block text-2xl leading-tight">{{ usual }}</span>
        <span class="line-clamp-1 block text-[0.9375rem]">{{
          next === '' ? 'and that was the last' : `then ${next}`
        }}</span>
      </button>
    </div>
  </section>
</template>
