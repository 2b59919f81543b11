<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { WeatherHour } from '#core/cure/dewPoint'
import { hourMs } from '#core/time/civil'
import { clockTimeOf } from '#core/time/say'
import { fitWindows, usualMinC, usualNeed } from '#core/today/weather'
import { fahrenheit, formatTemp, shownUnit } from '#core/units/quantity'

/** Air, dew point and the hours fit for laminate and paint. */
const props = defineProps<{
  hours: readonly WeatherHour[]
  /** Name of the station; '': none reports for this refit. */
  station: string
  /** Mean air of the month, for days without a forecast. */
  monthMeanC: number | null
  said: { readonly lowC: number | null; readonly highC: number | null; readonly rain: boolean }
}>()
const emit = defineEmits<{ set: [fields: Record<string, unknown>] }>()
const store = useRefitStore()
const units = computed(() => store.refit?.units ?? 'metric')
const degrees = (tempC: number) => Math.round(units.value === 'us' ? fahrenheit(tempC) : tempC)
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 700, height: 90 })
const left = 58
const height = 92
const shown = computed(() => {
  const zone = store.derived.clock
  return props.hours.filter((hour) => {
    const minutes = zone.minutesOf(hour.at)
    return minutes >= 6 * 60 && minutes <= 20 * 60
  })
})
const range = computed(() => {
  const all = shown.value.flatMap((hour) => [hour.tempC, hour.dewC])
  return { low: Math.min(...all) - 1, high: Math.max(...all) + 1 }
})
const x = (at: number) => {
  const first = shown.value[0]?.at ?? 0
  const last = shown.value.at(-1)?.at ?? 1
  return left + ((at - first) / Math.max(1, last - first)) * (width.value - left - 24)
}
const y = (tempC: number) =>
  26 + ((range.value.high - tempC) / (range.value.high - range.value.low)) * 42
const line = (of: (hour: WeatherHour) => number) =>
  shown.value
    .map((hour, index) => `${index === 0 ? 'M' : 'L'}${x(hour.at)} ${y(of(hour))}`)
    .join(' ')
const fit = computed(() =>
  fitWindows(shown.value, usualNeed).map(([from, to]) => ({
    x: x(from),
    width: Math.min(x(to), width.value) - x(from),
  })),
)
const typed = computed(
  () => props.said.lowC !== null || props.said.highC !== null || props.said.rain,
)
const source = computed(() =>
  props.station ? `${props.station}${typed.value ? ', as you changed it' : ''}` : 'As you typed it',
)
const words = computed(() => {
  const zone = store.derived.clock
  const windows = fitWindows(shown.value, usualNeed)
  if (windows.length === 0)
    return `No hour is fit to laminate or paint in the open: under ${formatTemp(usualMinC, units.value)}, dew or rain.`
  return `Fit to laminate and paint ${windows.map(([a, b]) => `${clockTimeOf(a, zone)}–${clockTimeOf(b, zone)}`).join(', ')}.`
})
</script>

<template>
  <div ref="box" class="border-y border-rule">
    <svg v-if="shown.length > 1" :width="width" :height="height" class="block" aria-hidden="true">
      <rect
        v-for="one in fit"
        :key="one.x"
        :x="one.x"
        y="4"
        :width="one.width"
        :height="height - 26"
        fill="var(--brass-tint)"
      />
      <rect
        v-for="hour in shown.filter((one) => one.rain)"
        :key="hour.at"
        :x="x(hour.at)"
        y="4"
        :width="x(hour.at + hourMs) - x(hour.at)"
        :height="height - 26"
        fill="var(--water)"
        opacity="0.6"
      />
      <path :d="line((hour) => hour.tempC)" fill="none" stroke="var(--ink)" stroke-width="2.5" />
      <path
        :d="line((hour) => hour.dewC)"
        fill="none"
        stroke="var(--water-deep)"
        stroke-width="2.5"
        stroke-dasharray="5 4"
      />
      <template v-for="(hour, index) in shown" :key="hour.at">
        <template v-if="index % 2 === 0">
          <text
            :x="x(hour.at)"
            :y="y(hour.tempC) - 6"
            text-anchor="middle"
            class="cond"
            font-size="14"
            fill="var(--ink)"
          >
            {{ degrees(hour.tempC) }}
          </text>
          <text
            :x="x(hour.at)"
            :y="height - 6"
            text-anchor="middle"
            class="cond"
            font-size="14"
            fill="var(--ink2)"
          >
            {{ clockTimeOf(hour.at, store.derived.clock) }}
          </text>
        </template>
      </template>
      <text x="0" y="34" class="cond" font-size="15" fill="var(--ink)">
        Air {{ shownUnit('°C', units) }}
      </text>
      <text x="0" y="60" class="cond" font-size="15" fill="var(--water-deep)">Dew</text>
    </svg>
    <details class="pb-1">
      <summary class="text-ink2">
        <template v-if="shown.length > 1"
          >{{ words }} {{ source }}; a deck under a clear night sky is colder.</template
        >
        <template v-else
          >{{
            station
              ? 'The forecast does not reach this day.'
              : 'No forecast comes here: type the low and the high to have the hours worked out.'
          }}
          <template v-if="monthMeanC !== null">
            Cures go by the month, about {{ formatTemp(monthMeanC, units) }}. Limits by weather are
            not shown.</template
          ></template
        >
        <span class="no-print ml-1 underline">{{ station ? 'Change' : 'Type' }} the weather</span>
      </summary>
      <div class="no-print flex items-end gap-2 pt-1">
        <UiQuantity
          class="w-20"
          :model-value="said.lowC"
          label="Low"
          unit="°C"
          :min="-30"
          :max="50"
          may-be-empty
          @update:model-value="emit('set', { lowC: $event })"
        />
        <UiQuantity
          class="w-20"
          :model-value="said.highC"
          label="High"
          unit="°C"
          :min="-30"
          :max="60"
          may-be-empty
          @update:model-value="emit('set', { highC: $event })"
        />
        <UiCheck
          :model-value="said.rain"
          label="Rain"
          @update:model-value="emit('set', { rain: $event })"
        />
      </div>
    </details>
  </div>
</template>
