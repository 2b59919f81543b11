<script setup lang="ts">
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from 'chart.js'
import type { ChartConfiguration, Plugin } from 'chart.js'
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'

/**
 * A chart drawn by the library, in the colours and letters of the page. What it shows is said in words
 * beside it; `label` says them to those who do not see it. Loaded when it is first needed.
 */
Chart.register(
  BarController,
  BarElement,
  CategoryScale,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
)
const props = defineProps<{
  label: string
  /** Made of the colours of the page, which change with the light. */
  config: (colour: (name: string) => string) => ChartConfiguration
  /** Drawn beneath the lines, or over them. */
  plugins?: readonly Plugin[]
}>()
const canvas = ref<HTMLCanvasElement | null>(null)
const { light } = useDevice()
let chart: Chart | null = null

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim()

function draw() {
  chart?.destroy()
  chart = null
  if (!canvas.value) return
  Chart.defaults.font.family = colour('font-cond') || "'Barlow Condensed', sans-serif"
  Chart.defaults.font.size = 15
  Chart.defaults.color = colour('ink2')
  const config = props.config(colour)
  chart = new Chart(canvas.value, {
    ...config,
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      events: [],
      ...config.options,
    },
    plugins: [...(props.plugins ?? [])],
  })
}
onMounted(draw)
// The light is in the page a moment after it was chosen.
watch([() => props.config, light], () => requestAnimationFrame(draw))
onBeforeUnmount(() => chart?.destroy())
</script>

<template>
  <div class="relative"><canvas ref="canvas" role="img" :aria-label="label" /></div>
</template>
