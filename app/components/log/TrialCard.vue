<script setup lang="ts">
import type { ChartConfiguration } from 'chart.js'
import { computed, ref } from 'vue'
import { verdictName } from '#core/log/trials'
import type { TrialState } from '#core/log/trials'
import { dayNumber } from '#core/time/civil'

/** One job done two or three ways: what was counted when, how far apart they are, and what the next run offers first. */
const props = defineProps<{ state: TrialState }>()
const store = useRefitStore()
const rows = useRows('trial')
const { sayDate } = useDates()
const trial = computed(() => props.state.trial)
const isRead = computed(() => props.state.ways.some((one) => one.readings.length > 0))
const dates = computed(() =>
  [...new Set(props.state.ways.flatMap((way) => way.readings.map((one) => one.on)))].sort(),
)
const said = computed(() => {
  const one = props.state.difference
  if (!one) return 'Not both were read yet.'
  const points = `${Math.round(one.points)} points`
  return one.isClear
    ? `${one.better.name} is better by ${points}, give or take ${Math.round(one.giveOrTake)}.`
    : `${points} apart, give or take ${Math.round(one.giveOrTake)}: no difference to speak of yet.`
})
/** Of its ways, in their order; the first is drawn through, with full marks. */
const lineColours = ['verdigris', 'redlead', 'ink']
const lineOf = (index: number) => `var(--${lineColours[index] ?? 'ink'})`
const config = computed(() => {
  const { ways } = props.state
  const on = dates.value
  return (colour: (name: string) => string): ChartConfiguration => ({
    type: 'line',
    data: {
      labels: on.map(sayDate),
      datasets: ways.map((way, index) => ({
        label: way.name,
        data: on.map((date) => {
          const read = way.readings.find((one) => one.on === date)
          return read ? Math.round(read.share * 100) : null
        }),
        borderColor: colour(lineColours[index] ?? 'ink'),
        borderDash: index === 0 ? [] : [6, 5],
        pointStyle: index === 0 ? 'circle' : 'rect',
        pointRadius: 5,
        pointBackgroundColor: index === 0 ? colour('verdigris') : colour('sheet'),
        borderWidth: 2,
        spanGaps: true,
      })),
    },
    options: {
      plugins: { legend: { display: false } },
      scales: {
        x: { grid: { display: false } },
        y: {
          min: 0,
          ticks: { callback: (value) => `${value} %` },
          grid: { color: colour('rule2') },
        },
      },
    },
  })
})
const last = (index: number) => {
  const read = props.state.ways[index]?.readings.at(-1)
  return read ? `${Math.round(read.share * trial.value.outOf)} of ${trial.value.outOf}` : 'not read'
}
const adding = ref(false)
const form = useRowForm('trialReading', () => ({
  trialId: props.state.trial.id,
  way: 'a',
  on: store.derived.today,
  count: undefined,
}))
const ways = computed(() => props.state.ways.map((one) => ({ value: one.way, label: one.name })))
async function add() {
  const id = newId()
  const kept = await form.save(`Read: ${trial.value.title}`, (values) => [
    { op: 'create', entity: 'trialReading', id, patch: values },
  ])
  if (kept) {
    form.reset()
    adding.value = false
  }
}
const settle = () => {
  const better = props.state.difference?.better.way
  if (better) void rows.edit(trial.value, { verdict: better })
}
const isDue = computed(
  () =>
    trial.value.judgeOn !== null &&
    dayNumber(trial.value.judgeOn) <= dayNumber(store.derived.today),
)
</script>

<template>
  <article :aria-label="trial.title">
    <div class="flex items-baseline justify-between gap-3">
      <h3>{{ trial.title }}</h3>
      <span class="cond whitespace-nowrap text-ink2">{{
        trial.verdict !== 'none'
          ? 'settled'
          : trial.judgeOn
            ? `${isDue ? 'to be judged since' : 'to be judged'} ${sayDate(trial.judgeOn)}`
            : 'open'
      }}</span>
    </div>
    <div
      :class="
        isRead
          ? 'grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]'
          : ''
      "
    >
      <div v-if="isRead">
        <p class="text-ink2">{{ trial.counted }}</p>
        <ChartCanvas class="h-36" :label="`${trial.title}: ${said}`" :config="config" />
      </div>
      <div>
        <p class="cond text-lg font-semibold leading-tight">{{ said }}</p>
        <ul>
          <li v-for="(way, index) in state.ways" :key="way.way" class="cond leading-snug">
            <svg
              v-if="isRead"
              class="mr-1 inline-block align-[-1px]"
              width="34"
              height="12"
              aria-hidden="true"
            >
              <path
                d="M0 6H34"
                :stroke="lineOf(index)"
                stroke-width="2"
                :stroke-dasharray="index === 0 ? undefined : '6 5'"
              />
              <circle v-if="index === 0" cx="17" cy="6" r="5" fill="var(--verdigris)" />
              <rect
                v-else
                x="12.5"
                y="1.5"
                width="9"
                height="9"
                fill="var(--sheet)"
                :stroke="lineOf(index)"
                stroke-width="2"
              />
            </svg>
            {{ way.name }}{{ way.where ? `, ${way.where}` : '' }}: {{ last(index) }}
          </li>
        </ul>
        <p v-if="trial.because" class="text-ink2">{{ trial.because }}</p>
        <p
          v-if="verdictName(trial)"
          class="cond mt-1 border border-verdigris bg-verdigris-tint px-2 py-1 font-semibold"
        >
          Next time: {{ verdictName(trial) }} first
        </p>
        <div class="no-print mt-1 flex flex-wrap gap-1">
          <button class="btn btn-small" :aria-expanded="adding" @click="adding = !adding">
            Read it<span class="sr-only">{{ `: ${trial.title}` }}</span>
          </button>
          <button
            v-if="state.difference?.isClear && trial.verdict === 'none'"
            class="btn btn-small"
            @click="settle"
          >
            {{ state.difference.better.name }} first from now on
          </button>
        </div>
      </div>
    </div>
    <UiRowForm v-if="adding" class="flex flex-wrap" :form="form" keep="Keep" @keep="add">
      <FieldInput v-bind="form.bind('way')" :options="ways" class="w-40" />
      <FieldInput v-bind="form.bind('on')" class="w-44" />
      <FieldInput v-bind="form.bind('count', `Counted of ${trial.outOf}`)" class="w-32" />
    </UiRowForm>
  </article>
</template>
