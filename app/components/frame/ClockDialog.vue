<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ShownClock } from '~/composables/useClocks'
import { formatTemp, formatTempStep } from '#core/units/quantity'

/** A clock opened: how it was worked out, a reading to add, and stopping it. */
const props = defineProps<{ shown: ShownClock }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const { shortDateTime } = useDates()
const time = useTimeStore()
const tempC = ref<number | null>(null)
const units = computed(() => store.refit?.units ?? 'metric')
const temp = (value: number | null) => formatTemp(value ?? 0, units.value)

async function addReading() {
  if (tempC.value === null) return
  const patch = { clockId: props.shown.clock.id, at: Math.round(time.now), tempC: tempC.value }
  const done = await store.attempt(`Reading for ${props.shown.clock.title}`, [
    { op: 'create', entity: 'clockReading', id: newId(), patch },
  ])
  if (done) tempC.value = null
}
async function stop() {
  const { id, version, title } = props.shown.clock
  const patch = { endedAt: Math.max(Math.round(time.now), props.shown.clock.startedAt) }
  const done = await store.attempt(`Stop ${title}`, [
    { op: 'patch', entity: 'clock', id, baseVersion: version, patch },
  ])
  if (done) emit('close')
}
</script>

<template>
  <UiDialog open :title="shown.clock.title" @close="emit('close')">
    <p class="cond text-2xl">{{ shown.left }} {{ shown.until }}</p>
    <p>{{ shown.said }}</p>
    <details class="mt-3 border-t border-rule pt-2">
      <summary class="cond">How this was worked out</summary>
      <ul class="mt-1 list-disc pl-5">
        <li>Started {{ shortDateTime(shown.clock.startedAt, store.derived.clock) }}.</li>
        <li v-if="shown.clock.opensH !== null">
          Data sheet: opens after {{ shown.clock.opensH }} h at {{ temp(shown.clock.refC) }}.
        </li>
        <li v-if="shown.clock.closesH !== null">
          Data sheet: closes after {{ shown.clock.closesH }} h at {{ temp(shown.clock.refC)
          }}<template v-if="shown.clock.massG">
            for {{ shown.clock.refMassG }} g; there are {{ shown.clock.massG }} g in the cup, which
            shortens it by (reference ÷ mass)^0.35</template
          >.
        </li>
        <li>
          Every {{ formatTempStep(10, units) }} warmer doubles the speed; hour by hour is added up.
        </li>
        <li v-if="shown.clock.minC !== null">
          Under {{ temp(shown.clock.minC) }} nothing cures, but a bond window goes on closing.
        </li>
        <li>
          Temperatures: your readings, then the simulated forecast, else
          {{ temp(shown.clock.assumedC) }}.
        </li>
        <li>
          Distrust it when the surface is colder than the air. The product's data sheet decides.
        </li>
      </ul>
    </details>
    <form class="mt-4 flex items-end gap-3" @submit.prevent="addReading">
      <UiQuantity
        v-model="tempC"
        label="Temperature now"
        unit="°C"
        :min="-30"
        :max="70"
        may-be-empty
      />
      <button class="btn" type="submit">Add reading</button>
    </form>
    <button class="btn mt-4" @click="stop">Stop this clock</button>
  </UiDialog>
</template>
