<script setup lang="ts">
import { figured } from '#core/units/counted'
import { computed, ref } from 'vue'
import type { Place } from '#core/model/entities'
import { readConstituents, readTurns } from '#core/tide/readTide'
import { needM } from '#core/tide/slip'
import { patchOf } from '#core/model/removal'
import { sayDay } from '#core/time/say'

/** The slip of a yard: which tide, how deep, how long she needs; and the stations that are known. */
const props = defineProps<{ yard: Place }>()
const store = useRefitStore()
const stations = useRows('tideStation')
const list = computed(() => store.rows.tideStation)
const options = computed(() => list.value.map((one) => ({ value: one.id, label: one.name })))
const station = computed(
  () => list.value.find((one) => one.id === props.yard.tideStationId) ?? null,
)
const need = computed(() =>
  store.refit?.draughtM == null ? null : needM(store.refit.draughtM, props.yard),
)
/** A station that is written down is that of this yard. */
const alongTheYard = (id: string) => [patchOf('place', props.yard, { tideStationId: id })]
const lines = ref('')
const waters = ref('')
const wrong = ref('')
const wrongWaters = ref('')
async function keepConstituents() {
  const one = station.value
  if (!one) return
  const cells = lines.value.split('\n').map((line) => line.trim().split(/[;\t]|,\s+|,(?=\S)|\s+/))
  const read = readConstituents(cells)
  if (!read.ok) {
    wrong.value = read.message
    return
  }
  wrong.value = ''
  const { constituents, meanM } = read.value
  if (
    await stations.edit(one, {
      basis: 'constituents',
      constituents,
      ...(meanM === null ? {} : { meanM }),
    })
  )
    lines.value = ''
}
async function keepWaters() {
  const one = station.value
  if (!one) return
  const read = readTurns(waters.value, store.zone, store.derived.today)
  if (!read.ok) {
    wrongWaters.value = read.message
    return
  }
  wrongWaters.value = ''
  if (await stations.edit(one, { basis: 'table', turns: read.value })) waters.value = ''
}
async function fromFile(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  if (file.size > 200_000) wrong.value = 'That file is far larger than any list of constituents.'
  else lines.value = await file.text()
}
const known = computed(() => {
  const one = station.value
  if (!one) return ''
  if (one.basis === 'constituents')
    return one.constituents.length === 0
      ? 'Nothing is known of it yet.'
      : `${figured(one.constituents.length, 'constituent')}: ${one.constituents.map((each) => each.name).join(', ')}.`
  const [first, last] = [one.turns[0], one.turns.at(-1)]
  return first && last
    ? `${one.turns.length} high and low waters, ${sayDay(store.zone.dateOf(first.at))} to ${sayDay(store.zone.dateOf(last.at))}. Outside them nothing is known.`
    : 'Nothing is known of it yet.'
})
const fields = ['slipDepthM', 'underKeelM', 'launchMin', 'liftFrom', 'liftUntil'] as const
</script>

<template>
  <section aria-labelledby="in-slip">
    <h2 id="in-slip" class="border-b-2 border-ink">The slip at {{ yard.name }}</h2>
    <div class="mt-2 grid grid-cols-2 gap-3 md:grid-cols-3">
      <RowField
        entity="place"
        :row="yard"
        field="tideStationId"
        :options="options"
        none="No tide: she is lifted at any water"
      />
      <template v-if="station">
        <RowField entity="place" :row="yard" field="tideMinutes" />
        <RowField entity="place" :row="yard" field="tideHigherM" />
      </template>
      <RowField v-for="field in fields" :key="field" entity="place" :row="yard" :field="field" />
    </div>
    <p v-if="need !== null && station" class="mt-1">
      She needs {{ need.toFixed(2) }} m over chart datum: draught
      {{ store.refit?.draughtM?.toFixed(2) }} + {{ yard.underKeelM.toFixed(2) }} under the keel −
      ({{ yard.slipDepthM.toFixed(2) }}) charted.
    </p>
    <p v-else-if="station" class="mt-1 text-redlead">
      Her draught is not known: without it no water can be reckoned. It is in Settings.
    </p>
    <div v-if="station" class="mt-3 grid gap-4 md:grid-cols-2">
      <div class="md:col-span-2">
        <h3>{{ station.name }}</h3>
        <p>{{ known }}</p>
        <div class="mt-1 grid grid-cols-2 gap-3 md:grid-cols-3">
          <RowField entity="tideStation" :row="station" field="name" />
          <RowField entity="tideStation" :row="station" field="meanM" />
          <RowField entity="tideStation" :row="station" field="source" />
        </div>
      </div>
      <form class="grid content-start gap-1" @submit.prevent="keepConstituents">
        <label class="cond" for="tide-constituents"
          >Constituents: name, amplitude in m, phase in ° (UTC), a line each</label
        >
        <textarea
          id="tide-constituents"
          v-model="lines"
          rows="5"
          placeholder="M2 1.66 210"
          class="w-full border-2 border-ink bg-sheet p-2"
          :aria-invalid="wrong !== ''"
          aria-describedby="tide-constituents-wrong"
        />
        <p id="tide-constituents-wrong" class="text-redlead" role="alert">{{ wrong }}</p>
        <div class="flex gap-2">
          <button class="btn">Keep these constituents</button>
          <label class="btn"
            >From a file<input type="file" accept=".csv,text/*" class="sr-only" @change="fromFile"
          /></label>
        </div>
      </form>
      <form class="grid content-start gap-1" @submit.prevent="keepWaters">
        <label class="cond" for="tide-waters"
          >Or high and low waters: date, time, metres, a line each</label
        >
        <textarea
          id="tide-waters"
          v-model="waters"
          rows="5"
          placeholder="2027-06-05 08:20 4.7"
          class="w-full border-2 border-ink bg-sheet p-2"
          :aria-invalid="wrongWaters !== ''"
          aria-describedby="tide-waters-wrong"
        />
        <p id="tide-waters-wrong" class="text-redlead" role="alert">{{ wrongWaters }}</p>
        <div><button class="btn">Keep this table</button></div>
      </form>
    </div>
    <UiAnother
      v-else
      entity="tideStation"
      field="name"
      label="A tide station"
      keep="Add it"
      :along="alongTheYard"
    />
  </section>
</template>
