<script setup lang="ts">
import { computed } from 'vue'
import type { Step } from '#core/model/entities'
import { maySplit } from '#core/plan/facts'
import { whichDay } from '#core/today/whichDay'
import type { SuitedDay } from '#core/today/whichDay'
import { weatherSayer } from '#core/today/sayWeather'
import { dayNumber } from '#core/time/civil'
import { clockTimeOf } from '#core/time/say'

/** For a step in one go that the weather minds: the next seven days, the best first, and why not the others. */
const props = defineProps<{ step: Step }>()
const store = useRefitStore()
const time = useTimeStore()
const { sayDay } = useDates()
const asks = computed(
  () =>
    props.step.state !== 'done' &&
    !maySplit(props.step) &&
    store.waits.weather.needOf(props.step) !== null,
)
const days = computed(() =>
  asks.value
    ? whichDay(store.rows, store.accepted, props.step, time.minute, store.waits, store.zone)
    : [],
)
const best = computed(() => days.value.find((one) => one.why === '') ?? null)
const say = computed(() =>
  weatherSayer(store.waits.weather, store.zone, store.refit?.units ?? 'metric'),
)
function words(day: SuitedDay): string {
  const time0 = (at: number) => clockTimeOf(at, store.zone)
  if (day.why === '' && day.stretch && day.latestStart !== null)
    return day.latestStart === day.stretch[0]
      ? `begin at ${time0(day.stretch[0])}, not later`
      : `begin ${time0(day.stretch[0])} to ${time0(day.latestStart)}`
  if (day.why === 'nobody') return 'nobody who can do it'
  if (day.why === 'short' && day.stretch)
    return `only ${time0(day.stretch[0])}–${time0(day.stretch[1])}, too short`
  return say.value.notOn(props.step, store.zone.at(dayNumber(day.on), 720))
}
</script>

<template>
  <details v-if="days.length > 0" class="mt-3">
    <summary class="cond text-lg">
      Which day suits? {{ best ? `${sayDay(best.on)}, ${words(best)}` : 'None of the next seven.' }}
    </summary>
    <ol class="mt-1">
      <li
        v-for="day in days"
        :key="day.on"
        class="flex justify-between gap-3 border-b border-rule2 py-1"
        :class="{ 'text-ink2': day.why !== '' }"
      >
        <span class="cond">{{ sayDay(day.on) }}</span>
        <span class="text-right">{{ words(day) }}</span>
      </li>
    </ol>
    <p class="text-ink2">Who is busy with other work is not asked here; the plan weighs that.</p>
  </details>
</template>
