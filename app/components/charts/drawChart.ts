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
import type { ChartConfiguration, ChartType, Plugin } from 'chart.js'

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

/** A colour or a face of the page by its name. */
export type Colour = (name: string) => string

/** Draws on the canvas, in the colours and letters of the page. */
export function drawChart(
  canvas: HTMLCanvasElement,
  colour: Colour,
  config: ChartConfiguration,
  plugins: readonly Plugin[],
): Chart {
  Chart.defaults.font.family = colour('font-cond') || "'Barlow Condensed', sans-serif"
  Chart.defaults.font.size = 15
  Chart.defaults.color = colour('ink2')
  // Named, for to find it out the compiler goes through every kind of chart there is.
  return new Chart<ChartType>(canvas, {
    ...config,
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      events: [],
      ...config.options,
    },
    plugins: [...plugins],
  })
}
