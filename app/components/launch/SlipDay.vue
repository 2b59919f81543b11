<script setup lang="ts">
import { computed } from 'vue'
import type { LaunchDaySheet } from '#core/launch/launchDay'
import type { LiftDay } from '#core/launch/liftDays'
import type { Result } from '#core/result'
import type { Slip } from '#core/tide/slip'
import { pressureLiftM, waterOver } from '#core/tide/tide'
import { clockTimeOf } from '#core/time/say'
import { minuteMs } from '#core/time/civil'
import { liftStepMs } from '~/composables/useLaunchDay'

/** A day's water at the slip, and the time from afloat to away in it, which can be put anywhere where it fits. */
const props = defineProps<{
  slip: Slip | null
  day: LiftDay | null
  worked: Result<LaunchDaySheet> | null
  /** From when to when the slings can go on; null: there is no choice. */
  choice: readonly [number, number] | null
}>()
defineEmits<{ put: [liftAt: number] }>()
const store = useRefitStore()
const { sayDay } = useDates()
const time = (at: number) => clockTimeOf(at, store.zone)
const sheet = computed(() => (props.worked?.ok ? props.worked.value : null))
/** Minutes of water that a high takes away on the day. */
const lostToHigh = computed(() => {
  const window = props.day?.window
  if (!window || !props.slip) return null
  const [a, b] = window
  const low = waterOver(props.slip.tide, props.slip.needM - pressureLiftM(1030), a, b)
  const left = low.reduce((sum, [from, to]) => sum + to - from, 0)
  return Math.round((b - a - left) / minuteMs)
})
</script>

<template>
  <section v-if="slip && day" aria-labelledby="at-the-slip">
    <h2 id="at-the-slip" class="text-lg">{{ sayDay(day.on) }} at the slip, metres</h2>
    <p class="leading-tight text-ink2">
      {{ slip.needM.toFixed(2) }} m floats her, at 1013 hPa<template
        v-if="lostToHigh !== null && lostToHigh > 0"
        >; at 1030 she loses {{ lostToHigh }} min</template
      >. Wind and rain are not in it.
    </p>
    <SlipCurve :slip="slip" :day="day.day" :sheet="sheet" @move="$emit('put', $event)" />
    <template v-if="sheet">
      <p class="cond">
        In {{ time(sheet.inAt) }}, away {{ time(sheet.awayAt) }}, {{ sheet.spareMin }} min in hand
      </p>
      <label v-if="choice" class="block">
        <span class="cond text-ink2">Slings on at {{ time(sheet.liftAt) }}</span>
        <input
          type="range"
          class="h-11 w-full accent-verdigris"
          :min="choice[0]"
          :max="choice[1]"
          :step="liftStepMs"
          :value="sheet.liftAt"
          :aria-valuetext="time(sheet.liftAt)"
          @input="$emit('put', Number(($event.target as HTMLInputElement).value))"
        />
      </label>
    </template>
    <p v-else-if="worked && !worked.ok" class="text-redlead">{{ worked.message }}</p>
  </section>
  <section v-else-if="!slip" class="border-l-4 border-verdigris pl-3">
    <h2 class="text-lg">No tide here</h2>
    <p>
      Lifts are taken as possible at any hour of the yard.
      <NuxtLink class="underline" :to="`/r/${store.refitId}/launch/inputs`"
        >Give a tide: constituents, or today’s two high waters</NuxtLink
      >
    </p>
  </section>
</template>
