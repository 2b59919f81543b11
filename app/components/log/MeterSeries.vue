<script setup lang="ts">
import { figured } from '#core/units/counted'
import type { ChartConfiguration } from 'chart.js'
import { computed } from 'vue'
import type { MeterState } from '#core/log/checks'
import { dateOf, dayNumber } from '#core/time/civil'

/** What a meter read, over time, with where it stands in words. */
const props = defineProps<{ state: MeterState }>()
const { sayDate, sayDay } = useDates()
const said = computed(() => {
  const { meter, last, perDay } = props.state
  if (!last) return `${meter.title}: never read`
  const pace =
    perDay !== null && perDay > 0 ? `, about ${Math.round(perDay * 180)} in half a year afloat` : ''
  return `${meter.title}: ${last.value} ${meter.unit} on ${sayDay(last.on)}${pace}`
})
const config = computed(() => {
  const { readings, meter } = props.state
  const first = dayNumber(readings[0]?.on ?? '2000-01-01')
  return (colour: (name: string) => string): ChartConfiguration => ({
    type: 'line',
    data: {
      datasets: [
        {
          label: meter.title,
          data: readings.map((one) => ({ x: dayNumber(one.on) - first, y: one.value })),
          borderColor: colour('ink'),
          borderWidth: 2,
          pointRadius: 3,
          pointBackgroundColor: colour('brass'),
        },
      ],
    },
    options: {
      plugins: { legend: { display: false } },
      scales: {
        x: {
          type: 'linear',
          grid: { display: false },
          ticks: {
            maxTicksLimit: 4,
            callback: (day) => sayDate(dateOf(first + Math.round(Number(day)))),
          },
        },
        y: { ticks: { maxTicksLimit: 4 }, grid: { color: colour('rule2') } },
      },
    },
  })
})
</script>

<template>
  <div class="mt-2">
    <p class="text-ink2">{{ said }}</p>
    <ChartCanvas
      v-if="state.readings.length > 1"
      :config="config"
      :label="`${said}; ${figured(state.readings.length, 'reading')} since ${sayDate(state.readings[0]?.on ?? '')}`"
      class="h-28"
    />
  </div>
</template>
