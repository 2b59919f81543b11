<script setup lang="ts">
import { computed } from 'vue'
import { monthMeansAt } from '#core/time/seaClimate'
import { formatTemp, shownUnit } from '#core/units/quantity'

/** The boat, units, currency and the zone the yard lies in. */
const store = useRefitStore()
const { edit } = useRows('refit')
const zones = Intl.supportedValuesOf('timeZone').map((zone) => ({ id: zone, name: zone }))
const units = [
  { value: 'metric', label: 'Metric' },
  { value: 'us', label: 'Feet and inches' },
  { value: 'mixed', label: 'Metric, inch drills' },
] as const
const types = [
  { value: 'sail', label: 'Sailing, one mast' },
  { value: 'ketch', label: 'Sailing, two masts' },
  { value: 'motor', label: 'Motor' },
  { value: 'catamaran', label: 'Catamaran' },
] as const
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
const set = (field: string) => (value: unknown) =>
  store.refit && void edit(store.refit, { [field]: value })
/** Means by month of the coast there; null until both are given. */
const guessed = computed(() => {
  const { latitudeDeg, longitudeDeg } = store.refit ?? {}
  return typeof latitudeDeg === 'number' && typeof longitudeDeg === 'number'
    ? monthMeansAt(latitudeDeg, longitudeDeg)
    : null
})
function setMonth(index: number, value: number | null) {
  if (value === null || !store.refit) return
  set('monthMeanC')(store.refit.monthMeanC.map((one, at) => (at === index ? value : one)))
}
function setShare(index: number, percent: number | null) {
  if (percent === null || !store.refit) return
  set('workableShare')(
    store.refit.workableShare.map((one, at) => (at === index ? percent / 100 : one)),
  )
}
</script>

<template>
  <section v-if="store.refit" aria-labelledby="set-boat">
    <h2 id="set-boat" class="border-b-2 border-ink">Boat</h2>
    <div class="mt-2 grid grid-cols-2 gap-3 md:grid-cols-4">
      <UiText
        :model-value="store.refit.boatName"
        label="Name of the boat"
        needed
        @update:model-value="set('boatName')($event)"
      />
      <UiText
        :model-value="store.refit.name"
        label="Name of the refit"
        needed
        @update:model-value="set('name')($event)"
      />
      <UiSelect
        :model-value="store.refit.boatType"
        label="Kind of boat"
        :options="types"
        @update:model-value="set('boatType')($event)"
      />
      <UiLength
        :model-value="store.refit.loaM"
        label="Length overall"
        :units="store.refit.units"
        @update:model-value="set('loaM')($event)"
      />
      <UiLength
        :model-value="store.refit.lwlM"
        label="Waterline"
        :units="store.refit.units"
        may-be-empty
        @update:model-value="set('lwlM')($event)"
      />
      <UiLength
        :model-value="store.refit.beamM"
        label="Beam"
        :units="store.refit.units"
        may-be-empty
        @update:model-value="set('beamM')($event)"
      />
      <UiLength
        :model-value="store.refit.draughtM"
        label="Draught"
        :units="store.refit.units"
        may-be-empty
        @update:model-value="set('draughtM')($event)"
      />
      <UiQuantity
        :model-value="store.refit.weightT"
        label="Weight"
        unit="t"
        :min="0.1"
        :max="500"
        may-be-empty
        @update:model-value="set('weightT')($event)"
      />
      <UiSelect
        :model-value="store.refit.units"
        label="Units"
        :options="units"
        @update:model-value="set('units')($event)"
      />
      <UiText
        :model-value="store.refit.currency"
        label="Currency"
        :most="3"
        needed
        @update:model-value="set('currency')(($event ?? '').toUpperCase())"
      />
      <UiPick
        class="col-span-2"
        :label="`Time zone: ${store.refit.zone}`"
        :options="zones"
        @pick="set('zone')($event)"
      />
    </div>
    <h3 class="mt-4">Where she lies</h3>
    <p class="text-ink2">
      No forecast comes from the net: type a day's weather in Today. From her place the months below
      get a first guess; a local record is better.
    </p>
    <div class="grid grid-cols-2 gap-3 sm:max-w-xl sm:grid-cols-3">
      <UiNumber
        :model-value="store.refit.latitudeDeg"
        label="Latitude, north +"
        :min="-90"
        :max="90"
        may-be-empty
        @update:model-value="set('latitudeDeg')($event)"
      />
      <UiNumber
        :model-value="store.refit.longitudeDeg"
        label="Longitude, east +"
        :min="-180"
        :max="180"
        may-be-empty
        @update:model-value="set('longitudeDeg')($event)"
      />
      <button
        type="button"
        class="btn self-end"
        :disabled="guessed === null"
        @click="guessed && set('monthMeanC')(guessed)"
      >
        Guess the months
      </button>
    </div>
    <p v-if="guessed" class="text-ink2">
      From there:
      {{ guessed.map((tempC) => formatTemp(tempC, store.refit?.units ?? 'metric')).join(' · ') }},
      January first.
    </p>
    <h3 class="mt-4">Mean air by month, {{ shownUnit('°C', store.refit.units) }}</h3>
    <p class="text-ink2">
      Planned cures go by this; the clocks go by your readings and the forecast.
    </p>
    <div class="grid grid-cols-4 gap-2 sm:grid-cols-6 lg:grid-cols-12">
      <UiQuantity
        v-for="(month, index) in months"
        :key="month"
        :model-value="store.refit.monthMeanC[index] ?? null"
        :label="month"
        unit="°C"
        :min="-40"
        :max="50"
        @update:model-value="setMonth(index, $event)"
      />
    </div>
    <h3 class="mt-4">Days that suit laminating and painting, % by month</h3>
    <p class="text-ink2">
      More than a week ahead, work that needs dry or warm weather is given time by these.
    </p>
    <div class="grid grid-cols-4 gap-2 sm:grid-cols-6 lg:grid-cols-12">
      <UiNumber
        v-for="(month, index) in months"
        :key="month"
        :model-value="Math.round((store.refit.workableShare[index] ?? 1) * 100)"
        :label="`${month} %`"
        :min="5"
        :max="100"
        whole
        @update:model-value="setShare(index, $event)"
      />
    </div>
  </section>
</template>
