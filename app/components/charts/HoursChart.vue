<script setup lang="ts">
import type { ChartConfiguration } from 'chart.js'
import { computed } from 'vue'
import { hoursPerWeek } from '#core/progress/hoursPerWeek'
import { formatHours } from '#core/units/hours'
import { figured } from '#core/units/counted'

/** Hours written down, week by week: work, and the way and set-up that it took. */
const store = useRefitStore()
const { sayDate } = useDates()
const shownWeeks = 16
const weeks = computed(() => hoursPerWeek(store.rows, store.derived.today, shownWeeks))
const said = computed(() => {
  const most = [...weeks.value].sort((a, b) => b.workHours - a.workHours)[0]
  const all = weeks.value.reduce((sum, one) => sum + one.workHours + one.otherHours, 0)
  return most && most.workHours > 0
    ? `Hours by week, ${formatHours(all)} in ${figured(weeks.value.length, 'week')}; most work in the week from ${sayDate(most.week)}, ${formatHours(most.workHours)}.`
    : ''
})
const config = computed(() => {
  const list = weeks.value
  return (colour: (name: string) => string): ChartConfiguration => ({
    type: 'bar',
    data: {
      labels: list.map((one) => sayDate(one.week)),
      datasets: [
        { data: list.map((one) => one.workHours), backgroundColor: colour('ink'), stack: 'hours' },
        {
          data: list.map((one) => one.otherHours),
          backgroundColor: colour('brass'),
          borderColor: colour('ink'),
          borderWidth: 1,
          stack: 'hours',
        },
      ],
    },
    options: {
      scales: {
        x: { stacked: true, grid: { display: false }, ticks: { maxRotation: 0, autoSkip: true } },
        y: {
          stacked: true,
          beginAtZero: true,
          grid: { color: colour('rule') },
          border: { display: false },
          ticks: { callback: (value) => `${value} h`, maxTicksLimit: 5 },
        },
      },
    },
  })
})
</script>

<template>
  <figure v-if="said" class="mb-6">
    <ChartCanvas class="h-44" :label="said" :config="config" />
    <figcaption class="text-ink2">
      {{ said }} <span class="mr-1 inline-block size-3.5 bg-ink align-[-2px]" />work
      <span class="mr-1 ml-2 inline-block size-3.5 border border-ink bg-brass align-[-2px]" />way,
      set-up, packing up
    </figcaption>
  </figure>
</template>
