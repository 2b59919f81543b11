<script setup lang="ts">
import { computed } from 'vue'
import type { Job } from '#core/model/entities'
import { groupBy } from '#core/model/refit'
import { formatHours } from '#core/units/hours'

/** What was found during it, and during that: indented, with hours and gate. */
const props = defineProps<{ job: Job }>()
const store = useRefitStore()
const bred = computed(() => store.derived.bred.get(props.job.id))
const most = 8
const lines = computed(() => {
  const children = groupBy(store.rows.job, (one) => one.parentJobId)
  const found: { job: Job; depth: number }[] = []
  const seen = new Set([props.job.id])
  const under = (id: string, depth: number): void => {
    for (const job of children.get(id) ?? []) {
      if (seen.has(job.id)) continue
      seen.add(job.id)
      found.push({ job, depth })
      under(job.id, depth + 1)
    }
  }
  under(props.job.id, 0)
  return found
})
const gateOf = (job: Job) => store.rows.gate.find((one) => one.id === job.gateId)?.name ?? 'no gate'
const stateOf = (job: Job) => store.derived.jobs.get(job.id)?.state
</script>

<template>
  <section v-if="lines.length > 0">
    <div class="flex items-baseline justify-between border-b-2 border-ink">
      <h2>Bred by it</h2>
      <p v-if="bred" class="cond text-ink2">
        {{ bred.jobs }} {{ bred.jobs === 1 ? 'job' : 'jobs' }}, {{ formatHours(bred.hoursPlanned) }}
      </p>
    </div>
    <ul>
      <li
        v-for="one in lines.slice(0, most)"
        :key="one.job.id"
        class="flex items-center gap-2 py-0.5"
        :style="{ paddingLeft: `${one.depth * 22}px` }"
      >
        <PurposeTile :purpose="one.job.purpose" class="size-5.5!" />
        <NuxtLink
          class="min-w-0 grow truncate hover:underline"
          :to="`/r/${store.refitId}/job/${one.job.id}`"
          >{{ one.job.title }}</NuxtLink
        >
        <span class="cond text-ink2">{{
          stateOf(one.job) === 'done' ? 'done' : gateOf(one.job)
        }}</span>
      </li>
    </ul>
    <p v-if="lines.length > most" class="text-ink2">And {{ lines.length - most }} more.</p>
  </section>
</template>
