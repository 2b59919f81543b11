<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import type { Row } from '#core/model/entities'
import { patchOf } from '#core/model/removal'
import { askElsewhere, lookUntil } from '#core/stores/counter'
import type { RunThing } from '#core/stores/run'
import { addDays } from '#core/time/civil'

/** It is not to be had here: who else is asked, what is taken instead, until when it is looked for. */
const props = defineProps<{ thing: RunThing | null; shop: Row<'place'> | null }>()
const emit = defineEmits<{
  close: []
  leave: []
  take: [label: string, items: readonly ChangeItem[]]
}>()
const store = useRefitStore()
const { sayDay } = useDates()
const row = computed(() => (props.thing?.kind === 'row' ? props.thing.row : null))
const until = ref<string | null>(null)
const planB = ref('')
watch(
  () => props.thing,
  () => {
    const [part] = row.value?.wants.map((one) => one.part) ?? []
    until.value = part?.lookUntil ?? addDays(store.derived.today, 14)
    planB.value = part?.planB ?? ''
  },
)
const known = computed(() => row.value?.wants.find(({ part }) => part.planB !== '')?.part ?? null)
const own = computed(() => (props.thing?.kind === 'row' ? props.thing.supplierId : null))
const suppliers = computed(() =>
  row.value
    ? store.rows.supplier
        .filter(
          (one) => one.id !== own.value && (one.placeId === null || one.placeId !== props.shop?.id),
        )
        .sort((a, b) => a.leadDays - b.leadDays || (a.name < b.name ? -1 : 1))
    : [],
)
const otherShops = computed(() =>
  props.thing?.kind === 'bring'
    ? store.rows.place.filter((one) => one.kind === 'shop' && one.id !== props.shop?.id)
    : [],
)
const takes = (days: number) =>
  days === 0 ? 'over the counter' : `${days} ${days === 1 ? 'day' : 'days'}`
function ask(supplier: Row<'supplier'>) {
  if (row.value)
    emit(
      'take',
      `${props.thing?.name}: ${supplier.name} is asked`,
      askElsewhere(row.value, supplier.id),
    )
}
function askShop(shop: Row<'place'>) {
  if (props.thing?.kind === 'bring')
    emit('take', `${props.thing.name}: from ${shop.name}`, [
      patchOf('bringLine', props.thing.line, { shopId: shop.id }),
    ])
}
function look() {
  if (row.value && until.value)
    emit(
      'take',
      `${props.thing?.name}: looked for until ${sayDay(until.value)}`,
      lookUntil(row.value, until.value, planB.value.trim()),
    )
}
</script>

<template>
  <UiDialog
    :open="thing !== null"
    :title="`Not to be had: ${thing?.name ?? ''}`"
    @close="emit('close')"
  >
    <p v-if="known" class="mb-3 border-l-4 border-brass pl-3">Plan B: {{ known.planB }}.</p>
    <ul v-if="suppliers.length + otherShops.length > 0" class="grid gap-2">
      <li v-for="one in suppliers" :key="one.id">
        <button class="btn w-full justify-between" @click="ask(one)">
          <span>Ask {{ one.name }}</span>
          <span class="text-ink2"
            >{{ takes(one.leadDays) }}{{ one.placeId === null ? ', by post' : '' }}</span
          >
        </button>
      </li>
      <li v-for="one in otherShops" :key="one.id">
        <button class="btn w-full" @click="askShop(one)">Get it from {{ one.name }}</button>
      </li>
    </ul>
    <form v-if="row" class="mt-4 grid gap-3 sm:grid-cols-2" novalidate @submit.prevent="look">
      <UiDate v-model="until" label="Look for it until" />
      <UiText v-model="planB" label="Then plan B" />
      <div class="sm:col-span-2"><button class="btn">Look for it until then</button></div>
    </form>
    <div class="mt-4 border-t border-rule pt-3">
      <button class="btn" @click="emit('leave')">Leave it for another day</button>
    </div>
  </UiDialog>
</template>
