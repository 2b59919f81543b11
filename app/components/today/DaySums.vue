<script setup lang="ts">
import { computed } from 'vue'
import { changedSince, keptFor, wantedSums } from '#core/bench/wanted'
import type { Step } from '#core/model/entities'

/** What has to be worked out before the steps of this day, and is not kept yet. */
const props = defineProps<{ steps: readonly Step[] }>()
const store = useRefitStore()
const wanted = computed(() => {
  const ids = new Set(props.steps.map((one) => one.id))
  const jobs = new Set(props.steps.map((one) => one.jobId))
  return [...jobs]
    .flatMap((jobId) => wantedSums(store.rows, jobId))
    .filter((want) => {
      const kept = keptFor(store.rows, want.sum.key, want.job.id)
      return ids.has(want.step.id) && (!kept || changedSince(kept, want).length > 0)
    })
})
</script>

<template>
  <section v-if="wanted.length > 0" class="mt-3 no-print">
    <h2 class="border-b-2 border-ink">To work out</h2>
    <ul>
      <li v-for="one in wanted" :key="`${one.sum.key} ${one.job.id}`">
        <NuxtLink
          class="flex min-h-9 items-center gap-2 leading-tight hover:underline max-sm:min-h-11"
          :to="`/r/${store.refitId}/bench/${one.sum.key}?job=${one.job.id}`"
        >
          <SumMark mark="ring" said="to be worked out" />
          <span class="cond shrink-0">{{ one.sum.title }}</span>
          <span class="min-w-0 truncate text-ink2">{{ one.step.title }}</span>
        </NuxtLink>
      </li>
    </ul>
  </section>
</template>
