<script setup lang="ts">
import { computed } from 'vue'
import type { WeatherHour } from '#core/cure/dewPoint'
import { clockTimeOf } from '#core/time/say'
import { fitWindows, usualMinC, usualNeed } from '#core/today/weather'
import { formatTemp, shownUnit } from '#core/units/quantity'

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
const shown = computed(() => {
  const zone = store.derived.clock
  return props.hours.filter((hour) => {
    const minutes = zone.minutesOf(hour.at)
    return minutes >= 6 * 60 && minutes <= 20 * 60
  })
})
const fit = computed(() => fitWindows(shown.value, usualNeed))
const typed = computed(
  () => props.said.lowC !== null || props.said.highC !== null || props.said.rain,
)
const source = computed(() =>
  props.station ? `${props.station}${typed.value ? ', as you changed it' : ''}` : 'As you typed it',
)
const words = computed(() => {
  const zone = store.derived.clock
  const windows = fit.value
  if (windows.length === 0)
    return `No hour is fit to laminate or paint in the open: under ${formatTemp(usualMinC, units.value)}, dew or rain.`
  return `Fit to laminate and paint ${windows.map(([a, b]) => `${clockTimeOf(a, zone)}–${clockTimeOf(b, zone)}`).join(', ')}.`
})
</script>

<template>
  <div class="border-y border-rule">
    <div v-if="shown.length > 1" class="grid grid-cols-[3.6rem_1fr] items-center">
      <p class="cond leading-tight">
        Air {{ shownUnit('°C', units) }}
        <span class="block text-water-deep">Dew, dashed</span>
      </p>
      <WeatherChart :hours="shown" :fit="fit" :label="words" />
    </div>
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
