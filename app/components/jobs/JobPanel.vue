<script setup lang="ts">
import { X } from '@lucide/vue'
import { computed, onMounted, ref } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import type { Job, Step } from '#core/model/entities'
import { formatMoney } from '#core/money/money'
import { severityName } from '#core/plan/priority'
import { formatHours } from '#core/units/hours'
import { formatInches } from '#core/units/length'

/** A job opened: what it is, why it stands where it does, its steps and its links. */
const props = defineProps<{ job: Job }>()
const emit = defineEmits<{ close: []; open: [jobId: string] }>()
const store = useRefitStore()
const frame = useFrameStore()
const edits = useJobEdits()
provideRow({
  entity: 'job',
  row: computed(() => props.job),
  edit: (patch) => void edits.editJob(props.job, patch),
})
const head = ref<HTMLElement | null>(null)
/** Wherever in the list it was opened, it is seen from its head. */
onMounted(() => {
  head.value?.focus({ preventScroll: true })
  head.value?.scrollIntoView({ block: 'nearest' })
})

const steps = computed(() => edits.stepsOf(props.job.id))
const figures = computed(() => store.derived.jobs.get(props.job.id))
const bred = computed(() => store.derived.bred.get(props.job.id))
const papers = computed(
  () =>
    store.rows.document.filter((one) => one.jobId === props.job.id).length +
    store.rows.webLink.filter((one) => one.jobId === props.job.id).length,
)
const sheet = computed(() => store.rows.asBuiltSheet.find((one) => one.jobId === props.job.id))
const severities = severityName.map((label, index) => ({
  value: index + 1,
  label: `${index + 1} ${label}`,
}))
const set = (field: string) => (value: unknown) => void edits.editJob(props.job, { [field]: value })

function dragged(event: { readonly oldIndex?: number; readonly newIndex?: number }) {
  const step: Step | undefined = steps.value[event.oldIndex ?? -1]
  if (step && event.newIndex !== undefined && event.newIndex !== event.oldIndex)
    void edits.moveStep(step, event.newIndex)
}
const write = useWriteSheet()
const asked = ref(false)
async function remove() {
  asked.value = false
  if (await edits.removeJobs([props.job])) emit('close')
}
</script>

<template>
  <section
    :aria-label="job.title"
    class="min-w-0 lg:sticky lg:top-0 lg:max-h-dvh lg:self-start lg:overflow-y-auto lg:pb-4 print:max-h-none"
    @keydown.esc="emit('close')"
  >
    <h1 class="sr-only lg:hidden">{{ job.title }}</h1>
    <div ref="head" tabindex="-1" class="flex items-start gap-3 outline-none">
      <PurposeTile :purpose="job.purpose" class="mt-1.5" />
      <RowField field="title" class="grow text-xl" hide-label quiet />
      <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/job/${job.id}`"
        >How it grows</NuxtLink
      >
      <button class="btn btn-quiet" aria-label="Close the job" @click="emit('close')">
        <X :size="20" aria-hidden="true" />
      </button>
    </div>
    <JobPriority :job="job" />
    <p class="text-ink2">
      <template v-if="figures">
        {{ formatHours(figures.hoursOpen) }} open of {{ formatHours(figures.hoursPlanned) }},
        {{ formatHours(figures.hoursLogged) }} logged; {{ formatInches(figures.earnedIn) }} in
        earned, {{ formatInches(figures.openIn) }} in to earn.
      </template>
      <template v-if="bred && bred.jobs > 0">
        It bred {{ bred.jobs }} {{ bred.jobs === 1 ? 'job' : 'jobs' }},
        {{ formatHours(bred.hoursPlanned)
        }}<template v-if="bred.costMinor > 0"
          >, {{ formatMoney(bred.costMinor, store.refit?.currency ?? 'EUR') }}</template
        >.
      </template>
    </p>
    <JobFindings :job="job" />
    <JobRecipe class="mt-2" :job="job" />
    <div class="mt-3 grid grid-cols-2 gap-3 xl:grid-cols-4">
      <RowField field="zoneId" none="Not said" />
      <RowField field="systemId" none="Not said" />
      <RowField field="purpose" />
      <UiSelect
        :model-value="job.severity"
        label="How bad"
        :options="severities"
        @update:model-value="set('severity')($event)"
      />
      <CameAgainHere :zone-id="job.zoneId" />
      <JobGate :job="job" @set="edits.editJob(job, { gateId: $event, placed: true })" />
      <RowField field="decision" />
      <RowField field="pinnedRank" label="Pin to rank" />
      <RowField field="shortName" label="Short name, for drawings" />
      <RowField field="spreading" class="self-end" label="Gets worse by itself" />
    </div>
    <div v-if="job.decision !== 'plan'" class="mt-3 grid gap-3 sm:grid-cols-[1fr_13rem]">
      <RowField field="reason" label="Why" />
      <RowField v-if="job.decision === 'accepted'" field="lookAgainOn" />
    </div>

    <DecisionLines :job-id="job.id" may-add />
    <h2 class="mt-6">Steps, in order</h2>
    <p v-if="steps.length === 0" class="text-ink2">
      No steps yet, so the plan cannot see this job. Write the first thing to be done.
    </p>
    <VueDraggable
      :model-value="steps"
      tag="ol"
      handle=".drag-handle"
      :animation="120"
      @end="dragged"
    >
      <StepCard
        v-for="(step, index) in steps"
        :key="step.id"
        :step="step"
        :index="index"
        :last="steps.length - 1"
      />
    </VueDraggable>
    <UiAnother
      entity="step"
      field="title"
      label="Next step"
      placeholder="Cut and lift the skin"
      keep="Add step"
      :rest="() => ({ jobId: job.id })"
    />
    <JobLinks class="mt-6" :job="job" @open="emit('open', $event)" />
    <div class="mt-6 border-t-2 border-ink">
      <JobCanDo :job="job" />
      <JobBreakdown :job="job" @open="emit('open', $event)" />
      <details class="border-b border-rule py-1">
        <summary class="cond text-xl">
          Documents and links <span class="text-ink2">{{ papers || '' }}</span>
        </summary>
        <UiDocuments class="mt-2" :owner="{ jobId: job.id }" />
      </details>
    </div>
    <RowField field="detail" class="mt-6" label="Notes" />
    <RowField
      field="nextTime"
      class="mt-2"
      label="Next time I would"
      hint="Shown at the next step of the kind."
    />
    <div class="mt-3 grid grid-cols-2 gap-3">
      <RowField field="addsKg" />
      <RowField field="addsHeightM" />
      <RowField field="pieceWideMm" />
      <RowField field="pieceHighMm" />
    </div>
    <div class="mt-4 flex flex-wrap gap-2">
      <NuxtLink v-if="sheet" class="btn" :to="`/r/${store.refitId}/log/${sheet.id}`"
        >As-built sheet</NuxtLink
      >
      <button
        v-else
        class="btn"
        :class="{ 'btn-main': figures?.state === 'done' }"
        @click="write(job)"
      >
        Write the as-built sheet
      </button>
      <button class="btn btn-red" @click="frame.openFound(job.id)">Found something here</button>
      <button class="btn" @click="asked = true">Remove job</button>
    </div>
    <UiDialog :open="asked" title="Remove the job" red @close="asked = false">
      <p>
        “{{ job.title }}” goes with its {{ steps.length }}
        {{ steps.length === 1 ? 'step' : 'steps' }}, links and parts. Undo brings it back.
      </p>
      <div class="mt-4 flex gap-3">
        <button class="btn btn-main" @click="remove">Remove</button>
        <button class="btn" @click="asked = false">Keep it</button>
      </div>
    </UiDialog>
  </section>
</template>
