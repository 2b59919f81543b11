<script setup lang="ts">
import { computed } from 'vue'
import type { Job } from '#core/model/entities'
import { formatGuess } from '#core/units/hours'

/** What was found that this job puts right, and the way in that it waits behind with others. */
const props = defineProps<{ job: Job }>()
const store = useRefitStore()
const { markOf, letterOf, ways } = useWalk()
const findings = computed(() => store.rows.finding.filter((one) => one.jobId === props.job.id))
const way = computed(() => {
  const zone = store.rows.zone.find((one) => one.id === props.job.zoneId)
  return ways.value.find((one) => one.way.id === zone?.wayInId) ?? null
})
/** Others that want the same way in open. */
const others = computed(() =>
  way.value ? way.value.jobs.filter((one) => one.id !== props.job.id) : [],
)
const closing = computed(() =>
  store.rows.step.find(
    (one) => one.jobId === props.job.id && one.operation === 'close' && one.state === 'open',
  ),
)
const again = computed(() =>
  way.value ? formatGuess(way.value.way.hoursOut + way.value.way.hoursBack) : '',
)
</script>

<template>
  <div v-if="findings.length > 0 || way" class="mt-3">
    <ul v-if="findings.length > 0" aria-label="Found, and put right by this job">
      <li v-for="one in findings" :key="one.id" class="flex items-center gap-2">
        <MarkShape :severity="one.severity" :fill="markOf(one).fill" :many="one.howMany" />
        <NuxtLink class="underline" :to="`/r/${store.refitId}/walk?finding=${one.id}`">{{
          one.title
        }}</NuxtLink>
        <span v-if="one.causeId" class="cond text-water-deep">{{ letterOf(one.causeId) }}</span>
      </li>
    </ul>
    <p v-if="way" class="mt-1">
      <span class="cond">Way in:</span> {{ way.way.title.toLowerCase() }},
      {{ formatGuess(way.hours) }} out and back.
      <template v-if="others.length > 0"
        >{{
          others.length === 1 ? 'One other job waits' : `${others.length} other jobs wait`
        }}
        behind it: {{ others.map((one) => one.title).join('; ') }}.</template
      >
    </p>
    <p
      v-if="way && closing && (others.length > 0 || way.findings.length > 0)"
      class="mt-1 border-l-4 border-brass pl-3"
    >
      “{{ closing.title }}” shuts it with
      {{ others.length + way.findings.length === 1 ? 'one' : others.length + way.findings.length }}
      still open behind it. Opening it again is {{ again }}.
    </p>
    <p v-if="way?.keptOpenFor && way.keptOpenFor.id !== job.id" class="mt-1">
      It is kept open for “{{ way.keptOpenFor.title }}”.
    </p>
  </div>
</template>
