<script setup lang="ts">
import { computed } from 'vue'
import { hasSums } from '#core/money/sums'
import { monthMeansAt } from '#core/time/seaClimate'
import { formatTemp, shownUnit } from '#core/units/quantity'

/** The boat, units, currency and the zone the yard lies in. */
const store = useRefitStore()
const { edit, asked } = useRows('refit')
provideRow({
  entity: 'refit',
  row: computed(() => store.refit),
  edit: (patch) => store.refit && void edit(store.refit, patch),
})
const zones = Intl.supportedValuesOf('timeZone').map((zone) => ({ id: zone, name: zone }))
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
/** True when any sum of money is down: another currency would only rename it. */
const sums = computed(() => hasSums(store.rows))
function setShare(index: number, percent: number | null) {
  if (percent === null || !store.refit) return
  set('workableShare')(
    asked(store.refit).workableShare.map((one, at) => (at === index ? percent / 100 : one)),
  )
}
</script>

<template>
  <section v-if="store.refit" aria-labelledby="set-boat">
    <h2 id="set-boat" class="border-b-2 border-ink">Boat</h2>
    <div class="mt-2 grid grid-cols-2 gap-3 md:grid-cols-4">
      <RowField field="boatName" />
      <RowField field="name" />
      <RowField field="boatType" />
      <RowField field="keel" />
      <RowField field="pilothouse" class="self-end" />
      <RowField field="hullMaterial" none="Not said" />
      <RowField field="builtYear" />
      <RowField field="loaM" />
      <RowField field="lwlM" label="Waterline" />
      <RowField field="beamM" />
      <RowField field="draughtM" />
      <RowField field="weightT" label="Weight" />
      <RowField field="airDraughtM" />
      <RowField field="wayWideMm" />
      <RowField field="wayHighMm" />
      <RowField field="worthNowMinor" />
      <RowField field="litresToSole" />
      <RowField field="pumpLMin" />
      <RowField field="units" />
      <UiText
        :model-value="store.refit.currency"
        label="Currency"
        :most="3"
        needed
        :hint="sums ? 'Sums keep their figures: nothing is converted.' : ''"
        @update:model-value="set('currency')(($event ?? '').toUpperCase())"
      />
      <RowField field="startedOn" label="Refit began" />
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
      <RowField field="latitudeDeg" label="Latitude, north +" />
      <RowField field="longitudeDeg" label="Longitude, east +" />
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
      Beyond the forecast, planned cures go by this; clocks go by your readings first.
    </p>
    <MonthMeans :means="asked(store.refit).monthMeanC" @set="set('monthMeanC')($event)" />
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
