<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Job } from '#core/model/entities'
import { howRank, howSlack } from '#core/how/plan'
import { whyAbove } from '#core/plan/compare'
import { prioritySentence } from '#core/plan/priority'

/** Why a job stands where it does, and why it is above or below any other. */
const props = defineProps<{ job: Job }>()
const store = useRefitStore()
const planner = usePlannerStore()
const otherId = ref<string | null>(null)
const ranks = computed(() => planner.ranking.map((one) => one.jobId))
const ranked = (jobId: string) => {
  const found = planner.ranking.find((one) => one.jobId === jobId)
  const job = store.rows.job.find((one) => one.id === jobId)
  return found && job ? { ...found, job } : null
}
const mine = computed(() => ranked(props.job.id))
const rankHow = () =>
  mine.value &&
  howRank(
    mine.value.basis,
    ranks.value.indexOf(props.job.id) + 1,
    ranks.value.length,
    mine.value.score,
  )
const options = computed(() =>
  ranks.value
    .filter((id) => id !== props.job.id)
    .map((id, index) => ({
      id,
      name: `${index + 1} ${store.rows.job.find((one) => one.id === id)?.title ?? ''}`,
    })),
)
const comparison = computed(() => {
  const other = otherId.value === null ? null : ranked(otherId.value)
  if (!mine.value || !other) return null
  const above = ranks.value.indexOf(props.job.id) < ranks.value.indexOf(other.job.id)
  const [first, second] = above ? [mine.value, other] : [other, mine.value]
  return { first: first.job.title, second: second.job.title, ...whyAbove(first, second) }
})
const columns = computed(() => [
  { key: 'what', label: 'By' },
  { key: 'first', label: comparison.value?.first ?? '' },
  { key: 'second', label: comparison.value?.second ?? '' },
])
const rows = computed(() => (comparison.value?.lines ?? []).map((line, id) => ({ ...line, id })))
</script>

<template>
  <div>
    <p v-if="mine" class="text-ink2">
      <UiHow :how="rankHow" :about="job.title"
        >Rank {{ ranks.indexOf(job.id) + 1 }} of {{ ranks.length }}, score
        {{ Math.round(mine.score) }}</UiHow
      >. {{ prioritySentence(mine.basis) }}
      <UiHow
        v-if="mine.basis.slackDays !== null"
        :how="() => howSlack(mine?.basis.slackDays ?? null)"
        :about="job.title"
        >What is slack by the calendar?</UiHow
      >
    </p>
    <JobSlip v-if="mine" :job="job" />
    <details v-if="mine" class="mt-1">
      <summary class="cond">Why above or below another job?</summary>
      <UiPick
        class="mt-1 max-w-md"
        label="Another job"
        :options="options"
        @pick="otherId = $event"
      />
      <template v-if="comparison">
        <p class="my-2" role="status">{{ comparison.sentence }}</p>
        <UiTable caption="What weighs how much" :columns="columns" :rows="rows">
          <template #what="{ row }">{{ row.what }}</template>
          <template #first="{ row }"
            ><span :class="{ cond: row.weight > 1.001 }">{{ row.first }}</span></template
          >
          <template #second="{ row }"
            ><span :class="{ cond: row.weight < 0.999 }">{{ row.second }}</span></template
          >
        </UiTable>
      </template>
    </details>
  </div>
</template>
