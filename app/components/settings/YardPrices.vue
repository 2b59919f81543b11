<script setup lang="ts">
import { computed } from 'vue'
import type { Place } from '#core/model/entities'

/** What a yard asks for: days and their steps, power, lifts; what a berth costs that has no price of its own. */
const props = defineProps<{ place: Place }>()
const store = useRefitStore()
const tariffs = useRows('yardTariff')
const tariff = computed(
  () => store.rows.yardTariff.find((one) => one.placeId === props.place.id) ?? null,
)
/** Some berth has no price of its own. */
const hasOpenBerth = computed(() =>
  store.rows.place.some(
    (place) =>
      place.kind === 'berth' && !store.rows.yardTariff.some((one) => one.placeId === place.id),
  ),
)
const fields = [
  'perDayMinor',
  'freeDays',
  'laterFromDay',
  'laterPerDayMinor',
  'powerPerDayMinor',
  'liftMinor',
  'blockMinor',
  'washMinor',
  'changeMinor',
  'noticeDays',
] as const
</script>

<template>
  <fieldset class="mt-2">
    <legend class="cond text-ink2">What it asks for</legend>
    <template v-if="tariff">
      <div class="grid grid-cols-2 gap-3 md:grid-cols-4">
        <RowField
          v-for="field in fields"
          :key="field"
          entity="yardTariff"
          :row="tariff"
          :field="field"
        />
        <RowField
          v-if="tariff.berthPerDayMinor > 0 || hasOpenBerth"
          entity="yardTariff"
          :row="tariff"
          field="berthPerDayMinor"
          label="A day at berths without a price"
        />
      </div>
      <RowField entity="yardTariff" :row="tariff" field="byMetre" class="mt-2" />
    </template>
    <button v-else type="button" class="btn btn-small" @click="tariffs.add({ placeId: place.id })">
      Write down its prices
    </button>
  </fieldset>
</template>
