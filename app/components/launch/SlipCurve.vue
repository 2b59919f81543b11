<script setup lang="ts">
import type { ChartConfiguration, Plugin } from 'chart.js'
import { computed } from 'vue'
import type { LaunchDaySheet } from '#core/launch/launchDay'
import type { Slip } from '#core/tide/slip'
import { clockTimeOf } from '#core/time/say'
import { hourMs, minuteMs } from '#core/time/civil'

/** The water at the slip on one day against what she needs, and the time from afloat to away in it. */
const props = defineProps<{ slip: Slip; day: number; sheet: LaunchDaySheet | null }>()
/** When the slings would go on, had the block the place to which it is pulled, UTC ms. */
const emit = defineEmits<{ move: [liftAt: number] }>()
const store = useRefitStore()
const from = computed(() => store.zone.at(props.day, 6 * 60))
const step = 10 * minuteMs
/** Hours of the drawing, from its left to its right. */
const shownMs = 14 * hourMs
const points = computed(() =>
  Array.from({ length: shownMs / step + 1 }, (_, index) => {
    const at = from.value + index * step
    return { at, height: props.slip.tide.heightAt(at) }
  }),
)
const time = (at: number) => clockTimeOf(at, store.zone)
const label = computed(() => {
  const turns = props.slip.tide
    .turns(from.value, from.value + shownMs)
    .map((one) => `${one.heightM.toFixed(2)} m at ${time(one.at)}`)
  return `Water at the slip: ${turns.join(', ')}. She needs ${props.slip.needM.toFixed(2)} m.`
})
/** Where the hours are drawn, px from the left, as last painted. */
let hours = { left: 0, right: 0 }
/** Afloat to away, as a block standing in the water. */
const block: Plugin = {
  id: 'afloat',
  afterDatasetsDraw(chart) {
    const sheet = props.sheet
    hours = chart.chartArea
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
}
const timeAt = (x: number) =>
  from.value + ((x - hours.left) / Math.max(1, hours.right - hours.left)) * shownMs
/** So far beside the block it is still taken hold of. */
const reachMs = 15 * minuteMs
/** How far behind the hand the slings go on; null: nothing is held. */
let heldMs: number | null = null
function hold(event: PointerEvent) {
  const sheet = props.sheet
  const at = timeAt(event.offsetX)
  if (!sheet || at < sheet.inAt - reachMs || at > sheet.awayAt + reachMs) return
  heldMs = at - sheet.liftAt
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
const pull = (event: PointerEvent) => {
  if (heldMs !== null) emit('move', timeAt(event.offsetX) - heldMs)
}
const release = () => (heldMs = null)
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
  <div class="relative">
    <ChartCanvas
      class="h-40"
      :label="label"
      :config="config"
      :plugins="[block]"
      :painted-anew="sheet"
    />
    <!-- The block is pulled with a hand or a mouse; the hours beneath it do the same by keys. -->
    <div
      class="absolute inset-0 touch-pan-y"
      :class="sheet ? 'cursor-ew-resize' : ''"
      aria-hidden="true"
      @pointerdown="hold"
      @pointermove="pull"
      @pointerup="release"
      @pointercancel="release"
    />
  </div>
</template>
