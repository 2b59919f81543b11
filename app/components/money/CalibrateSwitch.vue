<script setup lang="ts">
import { computed } from 'vue'
import { supposing } from '#core/model/applyChange'
import { patchOf } from '#core/model/removal'
import { derive } from '#core/progress/derive'
import { calibrations } from '#core/forecast/calibration'
import { formatHours } from '#core/units/hours'
import type { Proposal } from '~/composables/useProposal'

/** As guessed, or as such work really takes: says what the other would do, and asks before a date moves. */
const emit = defineEmits<{ propose: [proposal: Proposal] }>()
const store = useRefitStore()
const isOn = computed(() => store.refit?.calibrate ?? false)
/** Something was finished with hours: the factor is the crew's own. */
const isOwn = computed(() => calibrations(store.rows).length > 0)
const items = computed(() =>
  store.refit ? [patchOf('refit', store.refit, { calibrate: !isOn.value })] : [],
)
const other = computed(
  () => derive(supposing(store.rows, items.value), null, store.derived.clock.at(0, 0)).hoursOpen,
)
const added = computed(() => Math.abs(other.value - store.derived.hoursOpen))
const says = computed(() =>
  isOn.value
    ? `What such work really takes is in the plan: ${formatHours(added.value)} of the ${formatHours(store.derived.hoursOpen)} left.`
    : `${isOwn.value ? 'Yours' : 'What most people find'} adds ${formatHours(added.value)} to the ${formatHours(store.derived.hoursOpen)} left. It asks before a date moves.`,
)
const toggle = (to: boolean) => {
  if (to === isOn.value) return
  emit('propose', {
    label: to ? 'Plan with what such work really takes' : 'Plan with hours as they were guessed',
    does: to
      ? `Every open step of your own is taken at the factor of its kind: ${formatHours(added.value)} more. What was typed stays as it is, and the switch turns back.`
      : `Every open step is taken as it was guessed: ${formatHours(added.value)} less.`,
    items: items.value,
  })
}
</script>

<template>
  <div class="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
    <div role="group" aria-label="Hours in the plan" class="no-print flex">
      <button
        class="btn btn-small"
        :class="{ 'btn-on': !isOn }"
        :aria-pressed="!isOn"
        @click="toggle(false)"
      >
        As guessed
      </button>
      <button
        class="btn btn-small -ml-0.5"
        :class="{ 'btn-on': isOn }"
        :aria-pressed="isOn"
        @click="toggle(true)"
      >
        {{ isOwn ? 'Use mine' : 'Use that' }}
      </button>
    </div>
    <p class="min-w-0 grow basis-60 leading-snug">{{ says }}</p>
  </div>
</template>
