<script setup lang="ts">
import { ChevronLeft } from '@lucide/vue'
import { computed, ref, shallowRef } from 'vue'
import { chosen, optionsOf, waitingStep } from '#core/choices/choose'
import type { Option } from '#core/choices/choose'
import { isOpen as isOpenStep } from '#core/plan/planned'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { patchOf } from '#core/model/removal'
import { capital, figured } from '#core/units/counted'

/** One choice: its options side by side, what each costs and does, by when it is to be taken, and taking it. */
const route = useRoute()
const store = useRefitStore()
const planner = usePlannerStore()
const decideBy = useDecideBy()
const toasts = useToastStore()
const { sayDay } = useDates()
const rows = useRows('decision')
const optionRows = useRows('option')
const decision = computed(
  () => store.rows.decision.find((one) => one.id === route.params.decision) ?? null,
)
const job = computed(() => store.rows.job.find((one) => one.id === decision.value?.jobId) ?? null)
const options = computed(() => (decision.value ? optionsOf(store.rows, decision.value.id) : []))
const isOpen = computed(() => decision.value?.decidedOn === null)
const dates = computed(
  () => decideBy.value.find((one) => one.decisionId === decision.value?.id) ?? null,
)
const steps = computed(() =>
  inOrder(store.rows.step.filter((one) => one.jobId === decision.value?.jobId && isOpenStep(one))),
)
const stepChoices = computed(() => steps.value.map((one) => ({ value: one.id, label: one.title })))
const waiting = computed(() => (decision.value ? waitingStep(store.rows, decision.value) : null))
const heading = computed(() => {
  if (!decision.value) return 'There is no such decision'
  if (!isOpen.value) return `Decided: ${decision.value.title}`
  const by = dates.value?.by
  if (!by) return decision.value.title
  return by < store.derived.today
    ? `${decision.value.title} It was to be decided by ${sayDay(by)}`
    : `${decision.value.title} Decide by ${sayDay(by)}`
})
const byOf = (option: Option) => {
  const by = dates.value?.options.find((one) => one.optionId === option.id)?.by
  if (!by) return ''
  return by < store.derived.today
    ? `until ${sayDay(by)}: it makes a gate late now`
    : `until ${sayDay(by)}`
}
const isLate = (option: Option) => {
  const by = dates.value?.options.find((one) => one.optionId === option.id)?.by
  return by !== undefined && by !== null && by < store.derived.today
}
const draft = (option: Option, because = '') =>
  decision.value
    ? chosen(store.rows, decision.value, option, store.derived.today, because, newId).items
    : []
/** What each option would do to the gates, one after the other. */
const effects = shallowRef<ReadonlyMap<string, string>>(new Map())
let run = 0
const settleMs = 300
watchSettled(
  [options, () => planner.busy, () => planner.hash, isOpen],
  async () => {
    const mine = ++run
    effects.value = new Map()
    if (planner.busy || !isOpen.value) return
    for (const option of options.value) {
      try {
        const answer = await planner.quietConsequence(draft(option), () => mine === run)
        if (mine !== run) return
        if (answer) effects.value = new Map([...effects.value, [option.id, answer.said]])
      } catch (error) {
        if (mine !== run) return
        effects.value = new Map([...effects.value, [option.id, sentenceOf(error)]])
      }
    }
  },
  { ms: settleMs, immediate: true },
)
const one = useProposal()
const asked = shallowRef<Option | null>(null)
const because = ref('')
function choose(option: Option) {
  if (options.value.length < 2) {
    toasts.say(
      'With one option there is nothing to decide. Write down another, even to leave it as it is.',
      true,
    )
    return
  }
  asked.value = option
  because.value = ''
  propose()
}
function propose() {
  const option = asked.value
  if (!option) return
  const made = [
    ...(option.steps.length > 0
      ? [
          option.steps.length === 1
            ? '1 step comes into the job'
            : `${option.steps.length} steps come into the job`,
        ]
      : []),
    ...(option.parts.length > 0
      ? [option.parts.length === 1 ? '1 part is wanted' : `${option.parts.length} parts are wanted`]
      : []),
    ...(option.leadDays > 0 ? [`what is ordered takes ${figured(option.leadDays, 'day')}`] : []),
  ]
  const does = made.length > 0 ? `${made.join(', ')}.` : 'Nothing is added to the job.'
  void one.propose({
    label: `Chosen: ${option.title}`,
    does: capital(does),
    items: draft(option, because.value.trim()),
  })
}
function leave() {
  one.leave()
  asked.value = null
}
async function accept() {
  const known = one.proposal.value
  // The reason is written with what was planned: it changes nothing in the plan.
  if (known)
    one.proposal.value = {
      ...known,
      items: known.items.map((item) =>
        item.entity === 'decision' && item.op === 'patch'
          ? { ...item, patch: { ...item.patch, because: because.value.trim() } }
          : item,
      ),
    }
  await one.accept()
  if (one.proposal.value === null) asked.value = null
}
async function again() {
  if (!decision.value) return
  await store.attempt('Decided anew', [
    patchOf('decision', decision.value, { decidedOn: null, optionId: null, because: '' }),
  ])
}
const addOption = () =>
  decision.value &&
  optionRows.add({
    decisionId: decision.value.id,
    title: `Option ${options.value.length + 1}`,
    order: keyBetween(options.value.at(-1)?.order ?? null, null),
  })
async function remove() {
  if (!decision.value) return
  const jobId = decision.value.jobId
  if (await rows.remove(decision.value)) await goTo(`/r/${store.refitId}/jobs?job=${jobId}`)
}
const picked = computed(() => options.value.find((row) => row.id === decision.value?.optionId))
</script>

<template>
  <div>
    <NuxtLink
      v-if="job"
      class="btn btn-small no-print"
      :to="`/r/${store.refitId}/jobs?job=${job.id}`"
    >
      <ChevronLeft :size="16" aria-hidden="true" /> {{ job.title }}
    </NuxtLink>
    <h1 class="mt-2">{{ heading }}</h1>
    <p v-if="!decision" class="mt-2">It was removed, or it belongs to another refit.</p>
    <template v-else>
      <p v-if="!isOpen" class="mt-1">
        {{ picked?.title }}, on {{ sayDay(decision.decidedOn ?? '')
        }}<template v-if="decision.because">: {{ decision.because }}</template>.
      </p>
      <p v-else-if="waiting" class="mt-1 text-ink2">
        “{{ waiting.title }}” waits for it.<template v-if="dates && !dates.by">
          No gate waits for that, so it can be decided at any time.</template
        >
      </p>
      <p v-else class="mt-1 text-ink2">The job has nothing open, so nothing waits for it yet.</p>
      <div v-if="isOpen" class="mt-3 grid gap-3 sm:grid-cols-2 xl:grid-cols-4">
        <RowField entity="decision" :row="decision" field="title" />
        <UiSelect
          :model-value="decision.beforeStepId"
          label="This step waits for it"
          :options="stepChoices"
          none="The first open one"
          @update:model-value="rows.edit(decision, { beforeStepId: $event })"
        />
        <RowField entity="decision" :row="decision" field="whoId" none="Not said" />
        <RowField entity="decision" :row="decision" field="safetyDays" />
      </div>
      <div class="mt-4 grid gap-4 sm:grid-cols-2 xl:grid-cols-3">
        <OptionCard
          v-for="option in options"
          :key="option.id"
          :option="option"
          :is-open="isOpen"
          :by="byOf(option)"
          :is-late="isLate(option)"
          :effect="effects.get(option.id) ?? ''"
          @choose="choose(option)"
        />
      </div>
      <OptionChances v-if="isOpen && options.length > 1" :options="options" :draft-of="draft" />
      <p v-if="options.length < 2 && isOpen" class="mt-3">
        Write down at least two ways it could go; leaving it as it is may be one of them.
      </p>
      <div class="mt-4 flex flex-wrap gap-3">
        <button v-if="isOpen" class="btn" @click="addOption">Another option</button>
        <button v-if="isOpen" class="btn btn-quiet" @click="remove">Remove the decision</button>
        <button v-else class="btn" @click="again">Open it again</button>
      </div>
      <p v-if="!isOpen" class="mt-2 text-ink2">
        Opened again, the steps and parts that came with it stay in the job.
      </p>
    </template>
    <ProposalDialog :of="one" take="Choose it" @close="leave" @take="accept">
      <UiText v-model="because" class="mt-3" label="Because" />
    </ProposalDialog>
  </div>
</template>
