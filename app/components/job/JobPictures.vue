<script setup lang="ts">
import { computed } from 'vue'
import type { Job } from '#core/model/entities'
import type { Moment } from '#core/pictures/spots'

/** Pictures of a job and of what was found for it. A new one shows what the work stands at. */
const props = defineProps<{ job: Job }>()
const store = useRefitStore()
const pictures = computed(() => {
  const found = new Set(
    store.rows.finding.filter((one) => one.jobId === props.job.id).map((one) => one.id),
  )
  return store.rows.picture.filter(
    (one) => one.jobId === props.job.id || found.has(one.findingId ?? ''),
  )
})
const moment = computed((): Moment => {
  const state = store.derived.jobs.get(props.job.id)?.state
  return state === 'done' ? 'after' : state === 'doing' ? 'open' : 'before'
})
</script>

<template>
  <section aria-label="Pictures">
    <h2 class="border-b-2 border-ink">Pictures</h2>
    <PictureStrip
      class="mt-2"
      :pictures="pictures"
      :belongs="{ jobId: job.id }"
      :of="job.title"
      :moment="moment"
    />
  </section>
</template>
