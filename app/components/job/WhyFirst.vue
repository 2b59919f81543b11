<script setup lang="ts">
import { computed } from 'vue'
import type { Job } from '#core/model/entities'
import { priorityFactors, purposeName, severityName } from '#core/plan/priority'

/** Why the job stands where it does: the product as figures, and the next job below with its own. */
const props = defineProps<{ job: Job }>()
const store = useRefitStore()
const planner = usePlannerStore()
const at = computed(() => planner.ranking.findIndex((one) => one.jobId === props.job.id))
const mine = computed(() => planner.ranking[at.value] ?? null)
const below = computed(() => {
  const next = planner.ranking[at.value + 1]
  const job = next && store.rows.job.find((one) => one.id === next.jobId)
  return at.value >= 0 && next && job ? { ...next, job } : null
})
const figures = computed(() => {
  if (!mine.value) return []
  const { basis } = mine.value
  const factors = priorityFactors(basis)
  const round = (value: number) => String(Math.round(value * 100) / 100)
  const slack =
    basis.slackDays === null
      ? 'no gate'
      : `${basis.slackDays} ${basis.slackDays === 1 ? 'day' : 'days'} slack`
  return [
    { sign: '', value: round(factors.purpose), what: purposeName[basis.purpose] },
    { sign: '×', value: round(factors.severity), what: severityName[basis.severity - 1] ?? '' },
    { sign: '×', value: round(factors.spreading), what: basis.spreading ? 'spreads' : 'stays' },
    { sign: '×', value: round(factors.slack), what: slack },
    {
      sign: '+',
      value: round(factors.waiting),
      what: basis.waitingJobs === 1 ? '1 waits' : `${basis.waitingJobs} wait`,
    },
  ]
})
const rank = computed(() =>
  at.value === 0
    ? `first of ${planner.ranking.length}`
    : `${at.value + 1} of ${planner.ranking.length}`,
)
</script>

<template>
  <section v-if="mine">
    <div class="flex items-baseline justify-between border-b-2 border-ink">
      <h2>Why it is {{ at === 0 ? 'first' : 'there' }}</h2>
      <p class="cond text-ink2">{{ rank }}</p>
    </div>
    <dl class="flex flex-wrap items-start gap-x-2.5 gap-y-1 py-2">
      <div v-for="one in figures" :key="one.what" class="flex gap-2.5">
        <span v-if="one.sign" class="pt-0.5 text-lg" aria-hidden="true">{{ one.sign }}</span>
        <div class="text-center">
          <dd class="cond text-2xl leading-tight">{{ one.value }}</dd>
          <dt class="cond text-sm text-ink2">{{ one.what }}</dt>
        </div>
      </div>
      <span class="pt-0.5 text-lg" aria-hidden="true">=</span>
      <div class="text-center">
        <dd class="cond text-2xl leading-tight text-redlead">{{ Math.round(mine.score) }}</dd>
        <dt class="cond text-sm text-ink2">its score</dt>
      </div>
    </dl>
    <p v-if="job.pinnedRank !== null" class="text-ink2">
      You pinned it to rank {{ job.pinnedRank }}.
    </p>
    <p v-if="below" class="flex items-center gap-2 border-t border-rule py-1">
      <span class="cond text-ink2">Next below</span>
      <PurposeTile :purpose="below.job.purpose" class="size-5.5!" />
      <NuxtLink
        class="min-w-0 grow truncate hover:underline"
        :to="`/r/${store.refitId}/job/${below.job.id}`"
        >{{ below.job.title }}</NuxtLink
      >
      <span class="cond">{{ Math.round(below.score) }}</span>
    </p>
  </section>
</template>
