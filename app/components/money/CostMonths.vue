<script setup lang="ts">
import type { ChartConfiguration } from 'chart.js'
import { computed } from 'vue'
import { digitsOf } from '#core/money/money'
import type { MonthSums, Span } from '#core/money/report'
import { sayShortMonth } from '#core/time/say'
import { formatInches } from '#core/units/length'
import { figured } from '#core/units/counted'

/** Month by month: paid as bars, added up as a line, inches as another; from the last of them on to where the runs end. */
const props = defineProps<{ months: readonly MonthSums[]; span: Span }>()
const { currency, outcome, say } = useMoney()
const { datesOf } = useOdds()
const store = useRefitStore()
const endOn = computed(() => {
  const last = store.derived.gates.filter((one) => one.plannedOn !== null).at(-1)
  return last ? (datesOf(last.gate.id)?.likelyOn ?? null) : null
})
/** Months still to come until the likely end, at most two years of them. */
const toCome = computed(() => {
  const months: string[] = []
  const end = endOn.value?.slice(0, 7)
  if (!outcome.value || !end) return months
  const [year = 0, first = 1] = (props.months.at(-1)?.month ?? end).split('-').map(Number)
  for (let at = 1; at <= 24; at++) {
    const on = new Date(Date.UTC(year, first - 1 + at, 15)).toISOString().slice(0, 7)
    if (on > end) break
    months.push(on)
  }
  return months
})
const name = (month: string) => sayShortMonth(month, true)
const said = computed(() => {
  const last = props.months.at(-1)
  if (!last) return ''
  const ends =
    outcome.value && toCome.value.length > 0
      ? ` Half the runs end at ${say(outcome.value.p25)} to ${say(outcome.value.p75)}.`
      : ''
  return `${say(last.totalMinor)} paid and ${formatInches(last.totalIn)} in earned in ${figured(props.months.length, 'month')}.${ends}`
})
const config = computed(() => {
  const { months } = props
  const out = outcome.value
  const later = toCome.value
  const one = 10 ** digitsOf(currency.value)
  const last = months.at(-1)
  const gone = months.map(() => null)
  /** From what is paid straight to where the runs end. */
  const towards = (end: number) =>
    !last || later.length === 0
      ? []
      : [
          ...gone.slice(1),
          last.totalMinor / one,
          ...later.map(
            (_, at) =>
              (last.totalMinor + ((end - last.totalMinor) * (at + 1)) / later.length) / one,
          ),
        ]
  return (colour: (name: string) => string): ChartConfiguration => {
    const line = (data: (number | null)[], more: object = {}) => ({
      type: 'line' as const,
      data,
      borderColor: colour('ink'),
      borderWidth: 2,
      pointRadius: 0,
      ...more,
    })
    return {
      type: 'bar',
      data: {
        labels: [...months.map((each) => each.month), ...later].map(name),
        datasets: [
          line(months.map((each) => each.totalMinor / one)),
          line(
            months.map((each) => each.totalIn),
            {
              borderColor: colour('verdigris'),
              borderDash: [6, 4],
              yAxisID: 'inches',
            },
          ),
          ...(out
            ? [
                line(towards(out.p10), { borderWidth: 1, borderDash: [2, 3] }),
                line(towards(out.p90), { borderWidth: 1, borderDash: [2, 3] }),
                line(towards(out.p50), { borderDash: [1, 4] }),
              ]
            : []),
          {
            data: months.map((each) => each.minor / one),
            backgroundColor: months.map((each) =>
              each.month >= props.span.from.slice(0, 7) && each.month <= props.span.to.slice(0, 7)
                ? colour('brass')
                : colour('brass-tint'),
            ),
            borderColor: colour('ink'),
            borderWidth: 1,
          },
        ],
      },
      options: {
        scales: {
          x: { grid: { display: false }, ticks: { maxRotation: 0, autoSkip: true } },
          y: {
            beginAtZero: true,
            grid: { color: colour('rule') },
            border: { display: false },
            ticks: { callback: (value) => say(Number(value) * one), maxTicksLimit: 5 },
          },
          inches: {
            position: 'right',
            beginAtZero: true,
            max: Math.max(1, Math.round(store.derived.loaIn)),
            grid: { display: false },
            border: { display: false },
            ticks: { callback: (value) => `${value} in`, maxTicksLimit: 5 },
          },
        },
      },
    }
  }
})
</script>

<template>
  <figure v-if="said" class="m-0">
    <ChartCanvas class="h-56" :label="said" :config="config" />
    <figcaption class="text-ink2">
      {{ said }} Bars are months, the line what they add up to, dashed green inches{{
        toCome.length > 0 ? `; dotted where the runs end, 8 in 10 between the outer two` : ``
      }}.
    </figcaption>
  </figure>
</template>
