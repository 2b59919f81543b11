<script setup lang="ts">
import { computed, ref } from 'vue'
import { anodeWear } from '#core/launch/anodes'
import type { AnodeWear } from '#core/launch/anodes'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { formatQuantity } from '#core/units/quantity'

/** Anodes: how much of each is left, how fast it goes, and the odd one. */
const store = useRefitStore()
const { sayDate } = useDates()
const isAfloat = useAfloat()
const wear = computed(() => anodeWear(store.rows, isAfloat))
const rows = useRows('anode')
const say = (value: number, unit: string) =>
  formatQuantity(value, unit, store.refit?.units ?? 'metric')
const percent = (share: number) => Math.round(share * 100)
const sayWear = ({ left, perMonth, halfOn, weighed }: AnodeWear): string => {
  if (left === null) return 'not weighed since it was fitted'
  const last = weighed.at(-1)
  const on = last ? `, ${sayDate(last.on)}` : ''
  if (left > 1) return `weighs more than when new${on}: clean it and weigh it again`
  if (perMonth === null) return `not a day afloat yet${on}`
  if (halfOn === null) return `nothing gone yet${on}: has it a bond?`
  const pace = `${say(perMonth * 100, '%')} a month afloat`
  return left <= 0.5
    ? `half gone: change it${on}, ${pace}`
    : `${pace}${on}, half gone ${sayDate(halfOn)}`
}
const odd = {
  fast: 'Goes much faster than the others: look for a stray current.',
  slow: 'Goes much slower than the others: look for its bond, or paint on it.',
} as const

const adding = ref(false)
const form = useRowForm('anode', () => ({
  title: '',
  metal: 'zinc',
  newG: undefined,
  fittedOn: store.derived.today,
}))
async function add() {
  const order = keyBetween(inOrder(store.rows.anode).at(-1)?.order ?? null, null)
  const id = newId()
  const kept = await form.save('An anode', (values) => [
    { op: 'create', entity: 'anode', id, patch: { ...values, order } },
  ])
  if (kept) {
    form.reset()
    adding.value = false
  }
}
const weighing = ref<string | null>(null)
const scale = useRowForm('anodeWeighing', () => ({
  on: store.derived.today,
  weightG: undefined,
}))
async function weigh(anodeId: string) {
  const id = newId()
  const kept = await scale.save('Anode weighed', (values) => [
    { op: 'create', entity: 'anodeWeighing', id, patch: { ...values, anodeId } },
  ])
  if (kept) {
    scale.reset()
    weighing.value = null
  }
}
function open(id: string) {
  scale.reset()
  weighing.value = weighing.value === id ? null : id
}
</script>

<template>
  <section aria-labelledby="anodes">
    <h2 id="anodes" class="border-b-2 border-ink text-lg">
      Anodes<template v-if="wear.length > 0">: {{ wear.length }}</template>
    </h2>
    <p v-if="wear.length === 0" class="text-ink2">
      Weighed when new and at each lift, they say how fast they go, when half is gone, and which one
      goes wrong.
    </p>
    <ul>
      <li
        v-for="one in wear"
        :key="one.anode.id"
        class="grid grid-cols-[minmax(0,1fr)_4rem_auto] items-center gap-x-3 border-b border-rule2 py-1"
      >
        <span class="min-w-0">
          <span class="cond font-semibold">{{ one.anode.title }}</span>
          <span class="block leading-tight text-ink2">{{ sayWear(one) }}</span>
          <span v-if="one.odd" class="block leading-tight text-redlead">{{ odd[one.odd] }}</span>
        </span>
        <span class="text-right">
          <template v-if="one.left !== null">
            <span class="cond font-semibold">{{ percent(one.left) }} %</span>
            <span class="block h-2.5 border border-ink bg-sheet" aria-hidden="true"
              ><span
                class="block h-full bg-brass"
                :style="{ width: `${Math.min(100, percent(one.left))}%` }"
            /></span>
          </template>
        </span>
        <span class="no-print flex gap-1">
          <button
            class="btn btn-small"
            :aria-expanded="weighing === one.anode.id"
            :aria-label="`Weigh ${one.anode.title}`"
            @click="open(one.anode.id)"
          >
            Weigh
          </button>
          <button
            class="btn btn-quiet btn-small"
            :aria-label="`Remove ${one.anode.title}`"
            @click="rows.remove(one.anode)"
          >
            Remove
          </button>
        </span>
        <UiRowForm
          v-if="weighing === one.anode.id"
          class="col-span-full flex flex-wrap"
          :form="scale"
          keep="Keep it"
          @keep="weigh(one.anode.id)"
        >
          <FieldInput v-bind="scale.bind('on')" />
          <FieldInput v-bind="scale.bind('weightG', 'Weighs, clean and dry')" />
        </UiRowForm>
      </li>
    </ul>
    <button class="btn btn-small no-print mt-2" :aria-expanded="adding" @click="adding = !adding">
      Another anode
    </button>
    <UiRowForm
      v-if="adding"
      class="grid grid-cols-2 sm:grid-cols-[minmax(0,1.4fr)_8rem_7rem_10rem_auto]"
      :form="form"
      keep="Add"
      @keep="add"
    >
      <FieldInput v-bind="form.bind('title')" />
      <FieldInput v-bind="form.bind('metal')" />
      <FieldInput v-bind="form.bind('newG')" />
      <FieldInput v-bind="form.bind('fittedOn')" />
    </UiRowForm>
    <AnodeWant />
  </section>
</template>
