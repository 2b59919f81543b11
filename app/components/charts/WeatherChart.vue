<script setup lang="ts">
import type { Chart, ChartConfiguration, Plugin } from 'chart.js'
import { computed, defineAsyncComponent } from 'vue'
import type { WeatherHour } from '#core/cure/dewPoint'
import { hourMs } from '#core/time/civil'
import { clockTimeOf } from '#core/time/say'
import { fahrenheit } from '#core/units/quantity'

/** Air and dew point by the hour; behind them the hours fit for laminate and paint, and the rain. */
const ChartCanvas = defineAsyncComponent(() => import('./ChartCanvas.vue'))
const props = defineProps<{
  hours: readonly WeatherHour[]
  /** From, to, UTC ms. */
  fit: readonly (readonly [number, number])[]
  label: string
}>()
const store = useRefitStore()
const degrees = (tempC: number) => (store.refit?.units === 'us' ? fahrenheit(tempC) : tempC)

const config = computed(() => {
  const list = props.hours
  const clock = store.derived.clock
  return (colour: (name: string) => string): ChartConfiguration => ({
    type: 'line',
    data: {
      labels: list.map((one) => clockTimeOf(one.at, clock)),
      datasets: [
        {
          data: list.map((one) => degrees(one.tempC)),
          borderColor: colour('ink'),
          borderWidth: 2.5,
          pointRadius: 0,
        },
        {
          data: list.map((one) => degrees(one.dewC)),
          borderColor: colour('water-deep'),
          borderWidth: 2.5,
          borderDash: [5, 4],
          pointRadius: 0,
        },
      ],
    },
    options: {
      layout: { padding: { top: 4 } },
      scales: {
        x: { grid: { display: false }, ticks: { maxRotation: 0, autoSkip: true } },
        y: {
          grid: { color: colour('rule2') },
          border: { display: false },
          ticks: { callback: (value) => `${value}°`, maxTicksLimit: 4 },
        },
      },
    },
  })
})
/** Where an instant stands among the hours, which are evenly spread. */
function xOf(chart: Chart, at: number): number {
  const { left, right } = chart.chartArea
  const first = props.hours[0]?.at ?? 0
  const last = props.hours.at(-1)?.at ?? 1
  const share = (at - first) / Math.max(1, last - first)
  return left + Math.min(1, Math.max(0, share)) * (right - left)
}
const bands: Plugin = {
  id: 'bands',
  beforeDatasetsDraw(chart) {
    const { ctx, chartArea } = chart
    const style = getComputedStyle(document.documentElement)
    const paint = (from: number, to: number, name: string) => {
      ctx.fillStyle = style.getPropertyValue(name).trim()
      const [a, b] = [xOf(chart, from), xOf(chart, to)]
      ctx.fillRect(a, chartArea.top, b - a, chartArea.bottom - chartArea.top)
    }
    ctx.save()
    for (const [from, to] of props.fit) paint(from, to, '--brass-tint')
    for (const one of props.hours) if (one.rain) paint(one.at, one.at + hourMs, '--water')
    ctx.restore()
  },
}
const plugins = [bands]
</script>

<template>
  <ChartCanvas class="h-28" :label="label" :config="config" :plugins="plugins" />
</template>
