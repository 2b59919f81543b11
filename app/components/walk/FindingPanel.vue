<script setup lang="ts">
import { X } from '@lucide/vue'
import { computed, onMounted, ref } from 'vue'
import { inOrder } from '#core/model/refit'
import { deletion } from '#core/model/removal'
import type { Finding } from '#core/model/entities'
import { severityName } from '#core/plan/priority'
import { jobStateName } from '#core/progress/jobState'
import { formatHours } from '#core/units/hours'
import { sagTests, saySagTest } from '#core/walk/sag'
import { sayEvidence } from '#core/walk/sayEvidence'
import { capital } from '#core/units/counted'

/** A finding opened: what and where, how bad, what was measured, and what becomes of it. */
const props = defineProps<{ finding: Finding }>()
const emit = defineEmits<{ close: []; decide: [what: 'watch' | 'accepted'] }>()
const store = useRefitStore()
const { markOf, letterOf, hoursOf } = useWalk()
const edits = useFindingEdits()
const { sayDay } = useDates()
provideRow({
  entity: 'finding',
  row: computed(() => props.finding),
  edit: (patch) => void edits.edit(props.finding, patch),
})
const head = ref<HTMLElement | null>(null)
onMounted(() => head.value?.focus({ preventScroll: true }))

const mark = computed(() => markOf(props.finding))
const job = computed(() => store.rows.job.find((one) => one.id === props.finding.jobId) ?? null)
const during = computed(
  () => store.rows.job.find((one) => one.id === props.finding.duringJobId) ?? null,
)
/** Finished jobs of the same place, after which it may have come again. */
const repairs = computed(() =>
  store.rows.job
    .filter(
      (one) =>
        (one.zoneId !== null &&
          one.zoneId === props.finding.zoneId &&
          store.derived.jobs.get(one.id)?.state === 'done') ||
        one.id === props.finding.againAfterJobId,
    )
    .map((one) => ({ value: one.id, label: one.title })),
)
const evidence = computed(() =>
  store.rows.evidence
    .filter((one) => one.findingId === props.finding.id)
    .sort((a, b) => a.at - b.at),
)
const sags = computed(() => sagTests(evidence.value))
const pictures = computed(() =>
  // What was taken at its job shows what became of it.
  store.rows.picture.filter(
    (one) =>
      one.findingId === props.finding.id ||
      (props.finding.jobId !== null && one.jobId === props.finding.jobId),
  ),
)
const severities = severityName.map((label, index) => ({
  value: index + 1,
  label: capital(label),
}))
const person = computed(
  () => store.rows.person.find((one) => one.id === props.finding.foundBy)?.name ?? null,
)
const causes = computed(() =>
  inOrder(store.rows.cause).map((one) => ({
    value: one.id,
    label: `${letterOf(one.id)}: ${one.title}`,
  })),
)
const standing = computed(() => {
  const { finding } = props
  if (mark.value.fill === 'none')
    return finding.jobId !== null
      ? 'Its job was dropped: it waits for your word.'
      : 'It waits for your word.'
  if (mark.value.fill === 'watched' || finding.state === 'accepted')
    return `${finding.state === 'watch' ? 'Watched' : 'Accepted as it is'}: ${finding.reason}. Look again ${finding.lookAgainOn ? sayDay(finding.lookAgainOn) : 'some day'}.`
  if (mark.value.fill === 'accepted') return 'Its job was accepted as it is.'
  if (mark.value.fill === 'mended') return 'Mended or gone.'
  return job.value === null ? 'It became a job, before findings knew which.' : ''
})
async function makeJob() {
  const jobId = await edits.makeJob(props.finding.id)
  if (jobId) await goTo({ path: `/r/${store.refitId}/jobs`, query: { job: jobId } })
}
async function remove() {
  if (await edits.remove(props.finding)) emit('close')
}
const asked = ref(false)
defineExpose({ makeJob })
</script>

<template>
  <section
    :aria-label="finding.title"
    class="min-w-0 lg:max-h-dvh lg:overflow-y-auto lg:pb-4"
    @keydown.esc="emit('close')"
  >
    <div ref="head" tabindex="-1" class="flex items-start gap-3 outline-none">
      <MarkShape :severity="finding.severity" :fill="mark.fill" class="mt-1.5" />
      <RowField field="title" class="grow text-xl" hide-label quiet />
      <button class="btn btn-quiet" aria-label="Close the finding" @click="emit('close')">
        <X :size="20" aria-hidden="true" />
      </button>
    </div>
    <p class="text-ink2">
      Found {{ sayDay(store.derived.clock.dateOf(finding.foundAt))
      }}<template v-if="person"> by {{ person }}</template
      ><template v-if="during">
        while
        <NuxtLink class="underline" :to="`/r/${store.refitId}/jobs?job=${during.id}`">{{
          during.title
        }}</NuxtLink>
        was being done</template
      >.
    </p>
    <p v-if="standing" class="mt-1">{{ standing }}</p>
    <p v-if="job" class="mt-1">
      <NuxtLink class="cond underline" :to="`/r/${store.refitId}/jobs?job=${job.id}`">{{
        job.title
      }}</NuxtLink>
      · {{ jobStateName[store.derived.jobs.get(job.id)?.state ?? 'open'].toLowerCase() }},
      {{ formatHours(hoursOf([finding]).hours) }} open
    </p>
    <div class="mt-3 flex flex-wrap gap-2">
      <template v-if="mark.fill === 'none' || mark.fill === 'watched'">
        <button class="btn btn-main" aria-keyshortcuts="j" @click="makeJob">Make a job</button>
        <NuxtLink
          class="btn"
          :to="{ path: `/r/${store.refitId}/recipes`, query: { finding: finding.id } }"
          >By a recipe</NuxtLink
        >
        <button class="btn" aria-keyshortcuts="w" @click="emit('decide', 'watch')">Watch</button>
        <button class="btn" aria-keyshortcuts="a" @click="emit('decide', 'accepted')">
          Accept
        </button>
        <button class="btn" @click="edits.mended(finding)">Mended already</button>
      </template>
      <button
        v-if="finding.state !== 'new' && finding.state !== 'jobMade'"
        class="btn"
        @click="edits.again(finding)"
      >
        Open again
      </button>
    </div>
    <WhenCost
      v-if="mark.fill === 'none'"
      class="mt-4"
      :model-value="finding.when"
      :finding="finding"
      @update:model-value="edits.edit(finding, { when: $event })"
    />
    <div class="mt-4 grid grid-cols-2 gap-3">
      <RowField field="zoneId" none="Not said" />
      <RowField field="systemId" none="Not said" />
      <RowField
        v-if="repairs.length > 0"
        field="againAfterJobId"
        class="col-span-2"
        :options="repairs"
        none="It did not come again"
      />
      <UiChoice
        class="col-span-2"
        label="How bad"
        :model-value="finding.severity"
        :options="severities"
        @update:model-value="edits.edit(finding, { severity: $event })"
      />
      <RowField field="spreading" class="col-span-2" />
      <RowField field="howMany" />
      <UiSelect
        :model-value="finding.causeId"
        label="One cause with"
        :options="causes"
        none="Nothing else"
        @update:model-value="edits.edit(finding, { causeId: $event })"
      />
      <RowField field="hoursGuess" />
      <RowField field="costGuessMinor" />
    </div>
    <h2 class="mt-5 border-b-2 border-ink text-lg">Pictures</h2>
    <PictureStrip
      class="mt-2"
      :pictures="pictures"
      :belongs="{ findingId: finding.id, jobId: finding.jobId }"
      :of="finding.title"
    />
    <h2 class="mt-5 border-b-2 border-ink text-lg">Measured</h2>
    <ul>
      <li
        v-for="one in evidence"
        :key="one.id"
        class="flex items-center justify-between gap-2 border-b border-rule2 py-1"
      >
        <span
          >{{ sayEvidence(one) }}
          <span class="text-ink2">{{ sayDay(store.derived.clock.dateOf(one.at)) }}</span></span
        >
        <button
          class="btn btn-small"
          :aria-label="`Remove the reading: ${sayEvidence(one)}`"
          @click="store.attempt('Remove a reading', [deletion('evidence', one)])"
        >
          Remove
        </button>
      </li>
    </ul>
    <p v-if="evidence.length === 0" class="text-ink2">Nothing measured yet.</p>
    <p v-for="test in sags" :key="test.under" class="mt-1 border-l-4 border-brass pl-2">
      {{ saySagTest(test, (at) => sayDay(store.derived.clock.dateOf(at))) }}
    </p>
    <details class="mt-1">
      <summary class="cond">Add a reading</summary>
      <EvidenceForm :finding="finding" />
    </details>
    <button class="btn mt-5" @click="asked = true">Remove the finding</button>
    <UiDialog :open="asked" title="Remove the finding" red @close="asked = false">
      <p>
        “{{ finding.title }}” goes with its readings.
        <template v-if="job">The job “{{ job.title }}” stays, and takes the pictures.</template>
        <template v-else-if="pictures.length > 0">Its pictures go too.</template>
        Undo brings it back.
      </p>
      <div class="mt-4 flex gap-3">
        <button class="btn btn-main" @click="((asked = false), remove())">Remove</button>
        <button class="btn" @click="asked = false">Keep it</button>
      </div>
    </UiDialog>
  </section>
</template>
