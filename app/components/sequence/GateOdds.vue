<script setup lang="ts">
import { computed } from 'vue'
import type { GateFigures } from '#core/progress/derive'

/** How likely a gate is, by the runs of the plan. Its lines are there before it is known, so that nothing moves. */
const props = defineProps<{ gate: GateFigures }>()
const { odds, saidOf, chanceBy } = useOdds()
const { sayDay } = useDates()
const said = computed(() => {
  const words = saidOf(props.gate.gate.id)
  if (words === '')
    return odds.progress !== null
      ? 'Running the plan to see how likely it is…'
      : odds.isLarge
        ? 'So large a plan is run only when you ask for it, under Money.'
        : odds.runsByItself
          ? ''
          : 'On this device the plan is run only when you ask for it, under Money.'
  const runs = `By ${odds.stored?.runs ?? 0} runs${odds.isFresh ? '' : ' of the plan before'}`
  const chance = chanceBy(props.gate.gate.id, props.gate.aimedOn)
  const aimed =
    chance === null || !props.gate.aimedOn
      ? ''
      : `; by ${sayDay(props.gate.aimedOn)} in ${chance} of 100`
  return `${runs}: ${words}${aimed}.`
})
</script>

<template>
  <p class="text-[0.9375rem] leading-snug text-ink2">{{ said }}</p>
</template>
