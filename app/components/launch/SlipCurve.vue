<script setup lang="ts">
import type { ChartConfiguration, Plugin } from 'chart.js'
import { computed } from 'vue'
import type { LaunchDaySheet } from '#core/launch/launchDay'
import type { Slip } from '#core/tide/slip'
import { clockTimeOf } from '#core/time/say'
import { hourMs, minuteMs } from '#core/time/civil'

/** The water at the slip on one day against what she needs, and the time from afloat to away in it. */
const props = defineProps<{ slip: Slip; day: number; sheet: LaunchDaySheet | null }>()
const store = useRefitStore()
const from = computed(() => store.zone.at(props.day, 6 * 60))
const step = 10 * minuteMs
const points = computed(() =>
  Array.from({ length: (14 * hourMs) / step + 1 }, (_, index) => {
    const at = from.value + index * step
    return { at, height: props.slip.tide.heightAt(at) }
  }),
)
const time = (at: number) => clockTimeOf(at, store.zone)
const label = computed(() => {
  const turns = props.slip.tide
    .turns(from.value, from.value + 14 * hourMs)
    .map((one) => `${one.heightM.toFixed(2)} m at ${time(one.at)}`)
  return `Water at the slip: ${turns.join(', ')}. She needs ${props.slip.needM.toFixed(2)} m.`
})
/** Afloat to away, as a block standing in the water. */
const block = computed<Plugin>(() => ({
  id: 'afloat',
  afterDatasetsDraw(chart) {
    const sheet = props.sheet
    const [x, y] = [chart.scales.x, chart.scales.y]
    if (!sheet || !x || !y) return
    const place = (at: number) => x.getPixelForValue((at - from.value) / step)
    const [a, b] = [place(sheet.inAt), place(sheet.awayAt)]
    const { ctx } = chart
    const style = getComputedStyle(document.documentElement)
    ctx.save()
    ctx.fillStyle = style.getPropertyValue('--verdigris')
    ctx.fillRect(
      a,
      y.getPixelForValue(props.slip.needM) - 18,
      b - a,
      y.bottom - y.getPixelForValue(props.slip.needM) + 18,
    )
    ctx.restore()
  },
}))
const config = computed(() => {
  const [list, need] = [points.value, props.slip.needM]
  return (colour: (name: string) => string): ChartConfiguration => ({
    type: 'line',
    data: {
      labels: list.map((one) => time(one.at)),
      datasets: [
        {
          data: list.map((one) => one.height),
          borderColor: colour('water-deep'),
          backgroundColor: colour('water'),
          fill: 'origin',
          borderWidth: 2,
          pointRadius: 0,
        },
        {
          data: list.map(() => need),
          borderColor: colour('redlead'),
          borderDash: [6, 5],
          borderWidth: 2,
          pointRadius: 0,
        },
      ],
    },
    options: {
      plugins: { legend: { display: false } },
      scales: {
        x: { grid: { display: false }, ticks: { maxTicksLimit: 5, maxRotation: 0 } },
        y: { min: 0, ticks: { stepSize: 1 }, grid: { color: colour('rule2') } },
      },
    },
  })
})
</script>

<template>
  <ChartCanvas class="h-40" :label="label" :config="config" :plugins="[block]" />
</template>
