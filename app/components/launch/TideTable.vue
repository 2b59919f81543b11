<script setup lang="ts">
import { computed } from 'vue'
import { minutesOfSpan } from '#core/launch/liftDays'
import type { LiftDay } from '#core/launch/liftDays'
import type { Slip } from '#core/tide/slip'
import { clockTimeOf } from '#core/time/say'

/** High and low waters at the slip on the days on which the yard lifts. */
const props = defineProps<{ slip: Slip; days: readonly LiftDay[] }>()
const store = useRefitStore()
const { sayDay } = useDates()
const rows = computed(() =>
  props.days
    .filter((one) => one.isLiftDay)
    .map((one) => ({
      id: one.on,
      on: sayDay(one.on),
      turns: props.slip.tide
        .turns(store.zone.at(one.day, 0), store.zone.at(one.day + 1, 0))
        .map((turn) => `${clockTimeOf(turn.at, store.zone)} ${turn.heightM.toFixed(1)}`)
        .join(' · '),
      usable: one.window ? `${minutesOfSpan(one.window)} min` : 'none',
    })),
)
</script>

<template>
  <section aria-labelledby="tide-table">
    <h2 id="tide-table" class="border-b-2 border-ink text-lg">Tide at the slip</h2>
    <details>
      <summary class="max-sm:min-h-11">{{ rows.length }} lift days</summary>
      <UiTable
        caption="High and low waters on lift days"
        :columns="[
          { key: 'on', label: 'Day' },
          { key: 'turns', label: 'High and low, m' },
          { key: 'usable', label: 'Usable', number: true },
        ]"
        :rows="rows"
      >
        <template #on="{ row }">{{ row.on }}</template>
        <template #turns="{ row }">{{ row.turns }}</template>
        <template #usable="{ row }">{{ row.usable }}</template>
      </UiTable>
    </details>
    <p class="text-ink2">
      Predicted, without weather: a high presses it down about 1 cm a hPa, wind and rain do more.
      Not for navigation.
    </p>
  </section>
</template>
