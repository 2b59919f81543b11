<script setup lang="ts">
import type { Chart, ChartConfiguration, Plugin } from 'chart.js'
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { Colour } from './drawChart'

/**
 * A chart drawn by the library, in the colours and letters of the page. What it shows is said in words beside it;
 * `label` says them to those who do not see it. The library comes once its room stands: no view waits for it.
 */
const props = defineProps<{
  label: string
  /** Made of the colours of the page, which change with the light. */
  config: (colour: Colour) => ChartConfiguration
  /** Drawn beneath the lines, or over them. */
  plugins?: readonly Plugin[]
  /** What the plugins draw: another one is painted over the same chart. */
  paintedAnew?: unknown
}>()
const canvas = ref<HTMLCanvasElement | null>(null)
const isMissing = ref(false)
const { light } = useDevice()
let chart: Chart | null = null

const colour: Colour = (name) =>
  getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim()

async function draw() {
  const library = await import('./drawChart').catch(() => null)
  chart?.destroy()
  chart = null
  isMissing.value = library === null
  if (library && canvas.value)
    chart = library.drawChart(canvas.value, colour, props.config(colour), props.plugins ?? [])
}
onMounted(draw)
watch(
  () => props.paintedAnew,
  () => chart?.draw(),
)
// The light is in the page a moment after it was chosen.
watch([() => props.config, light], () => requestAnimationFrame(draw))
onBeforeUnmount(() => chart?.destroy())
</script>

<template>
  <div class="relative">
    <canvas ref="canvas" role="img" :aria-label="label" />
    <p v-if="isMissing" class="absolute inset-0 text-ink2">
      What draws this did not load. What it shows is said in words beside it.
    </p>
  </div>
</template>
