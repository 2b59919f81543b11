<script setup lang="ts">
import { howDry } from '#core/how/walk'
import type { Panel, Row } from '#core/model/entities'
import { deletion } from '#core/model/removal'
import type { Drying } from '#core/panel/drying'
import { dryingSentence } from '#core/panel/sayPanel'

/** Readings of a panel that dries, the day it is likely dry, and the next reading. */
const props = defineProps<{
  panel: Panel
  readings: readonly Row<'dryingReading'>[]
  /** Null: no map yet. */
  drying: Drying | null
  launchOn: string | null
}>()
const store = useRefitStore()
const { sayDate } = useDates()
const form = useRowForm('dryingReading', () => ({ on: store.derived.today, value: null, note: '' }))
async function addReading() {
  const panelId = props.panel.id
  const kept = await form.save('A drying reading', (values) => [
    { op: 'create', entity: 'dryingReading', id: newId(), patch: { ...values, panelId } },
  ])
  if (kept) form.reset()
}
</script>

<template>
  <section aria-label="Drying">
    <h2 class="flex items-baseline justify-between gap-3 text-lg">
      Drying
      <UiHow
        v-if="drying?.is === 'falling'"
        class="text-base font-medium"
        :how="() => drying && howDry(panel, drying, sayDate)"
        >likely dry on {{ sayDate(drying.on) }}</UiHow
      >
    </h2>
    <DryingChart
      v-if="readings.length > 0 && drying"
      :panel="panel"
      :readings="readings"
      :drying="drying"
      :launch-on="launchOn"
    />
    <p v-if="drying">{{ dryingSentence(drying, sayDate) }}</p>
    <p v-if="panel.dryReading !== null" class="text-sm text-ink2">
      Reference {{ panel.dryReading
      }}<template v-if="panel.dryReadingAt">, {{ panel.dryReadingAt }}</template>. A cover that
      leaks ends the drying.
    </p>
    <details class="mt-1">
      <summary class="cond">Readings, {{ readings.length }}</summary>
      <ul>
        <li
          v-for="one in readings"
          :key="one.id"
          class="flex items-center justify-between border-b border-rule2"
        >
          {{ sayDate(one.on) }}: {{ one.value }}
          <button
            class="btn btn-small"
            :aria-label="`Remove the reading of ${sayDate(one.on)}`"
            @click="store.attempt('Remove a reading', [deletion('dryingReading', one)])"
          >
            Remove
          </button>
        </li>
      </ul>
    </details>
    <form class="mt-2 grid grid-cols-[1fr_1fr_auto] items-end gap-2" @submit.prevent="addReading">
      <FieldInput v-bind="form.bind('on')" />
      <FieldInput v-bind="form.bind('value')" />
      <button class="btn" type="submit">Add</button>
    </form>
    <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
  </section>
</template>
