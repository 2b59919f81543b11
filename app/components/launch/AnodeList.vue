<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { anodeWear, anodesWanted } from '#core/launch/anodes'
import type { AnodeMetal, AnodeWear } from '#core/launch/anodes'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { counted } from '#core/units/counted'
import { formatQuantity } from '#core/units/quantity'

/** Anodes: how much of each is left, how fast it goes, the odd one; and how much of them she wants. */
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

const want = reactive<{
  areaM2: number | null
  barePct: number | null
  currentMaM2: number | null
  months: number | null
  metal: AnodeMetal
  pieceKg: number | null
}>({ areaM2: null, barePct: 20, currentMaM2: 100, months: 12, metal: 'zinc', pieceKg: 1 })
const metals = optionsOf('anode', 'metal') as readonly { value: AnodeMetal; label: string }[]
const wanted = computed(() => {
  const { areaM2, barePct, currentMaM2, months, metal, pieceKg } = want
  if (areaM2 === null || barePct === null || currentMaM2 === null) return null
  if (months === null || pieceKg === null) return null
  return anodesWanted({ areaM2, bareShare: barePct / 100, currentMaM2, months, metal, pieceKg })
})
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
        <form
          v-if="weighing === one.anode.id"
          class="col-span-full mt-1 flex flex-wrap items-end gap-2"
          @submit.prevent="weigh(one.anode.id)"
        >
          <FieldInput v-bind="scale.bind('on')" />
          <FieldInput v-bind="scale.bind('weightG', 'Weighs, clean and dry')" />
          <button class="btn" :disabled="scale.busy.value">Keep it</button>
          <p v-if="scale.wrong.value" class="basis-full text-redlead" role="alert">
            {{ scale.wrong.value }}
          </p>
        </form>
      </li>
    </ul>
    <button class="btn btn-small no-print mt-2" :aria-expanded="adding" @click="adding = !adding">
      Another anode
    </button>
    <form
      v-if="adding"
      class="no-print mt-2 grid grid-cols-2 items-end gap-2 sm:grid-cols-[minmax(0,1.4fr)_8rem_7rem_10rem_auto]"
      @submit.prevent="add"
    >
      <FieldInput v-bind="form.bind('title')" />
      <FieldInput v-bind="form.bind('metal')" />
      <FieldInput v-bind="form.bind('newG')" />
      <FieldInput v-bind="form.bind('fittedOn')" />
      <button class="btn" :disabled="form.busy.value">Add</button>
      <p v-if="form.wrong.value" class="col-span-full text-redlead" role="alert">
        {{ form.wrong.value }}
      </p>
    </form>
    <details class="no-print mt-2">
      <summary class="cond min-h-11 py-2 underline sm:min-h-0 sm:py-0">How much she wants</summary>
      <div class="mt-1 grid grid-cols-2 items-end gap-2 sm:grid-cols-3">
        <UiNumber
          v-model="want.areaM2"
          label="Wetted metal, m²"
          :min="0"
          :max="1000"
          may-be-empty
        />
        <UiNumber v-model="want.barePct" label="Of it bare, %" :min="0" :max="100" />
        <UiNumber v-model="want.currentMaM2" label="Current, mA/m²" :min="0" :max="1000" />
        <UiNumber v-model="want.months" label="Months between lifts" :min="0" :max="240" />
        <UiSelect v-model="want.metal" label="Metal" :options="metals" />
        <UiNumber v-model="want.pieceKg" label="A piece weighs, kg" :min="0.01" :max="500" />
      </div>
      <p v-if="wanted" class="mt-2" aria-live="polite">
        <strong class="cond"
          >{{ say(wanted.kg, 'kg') }}, {{ counted(wanted.pieces, 'piece') }}</strong
        >, half of them a side: {{ say(wanted.ampere * 1000, 'mA') }} for {{ want.months }} months,
        80 % of each piece used.
      </p>
      <p v-else class="mt-2 text-ink2">Say how much metal is wet.</p>
      <p class="text-ink2">
        Bare metal takes 60 to 150 mA/m², more in moving and warm water. Aluminium suits brackish
        water, magnesium only fresh; never two metals on one bond. The maker’s sheet decides.
      </p>
    </details>
  </section>
</template>
