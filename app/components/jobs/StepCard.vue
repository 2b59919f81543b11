<script setup lang="ts">
import { ChevronDown, GripVertical } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { Outcome } from '#core/breakdown/outcome'
import { mergeSteps } from '#core/breakdown/mergeSteps'
import { splitStep } from '#core/breakdown/split'
import type { Step } from '#core/model/entities'
import { cautionsOf } from '#core/plan/facts'
import { hullReader } from '#core/plan/hullNeed'
import type { How } from '#core/how/how'
import { howStepInches } from '#core/how/inches'
import { howHours, howWait } from '#core/how/work'
import { liveHours } from '#core/plan/liveHours'
import { plannedHours } from '#core/plan/planned'
import { formatHours, formatWait } from '#core/units/hours'
import { sayTwoPrices, twoPrices } from '#core/walk/livedIn'

/** One step of a job, edited in place; the rest of its facts behind a fold. */
const props = defineProps<{ step: Step; index: number; last: number }>()
const store = useRefitStore()
const { shortDateTime } = useDates()
const frame = useFrameStore()
const edits = useJobEdits()
const toasts = useToastStore()
provideRow({
  entity: 'step',
  row: computed(() => props.step),
  edit: (patch) => void edits.editStep(props.step, patch),
})
const folded = ref(true)

const placed = computed(() =>
  store.accepted?.placements.find((one) => one.stepId === props.step.id),
)
const who = computed(() =>
  (placed.value?.personIds ?? [])
    .map((id) => store.rows.person.find((one) => one.id === id)?.name)
    .join(', '),
)
const hulls = computed(() => {
  const need = hullReader(store.rows)({ ...props.step, hullNeed: 'byPlace' })
  const hullOptions = optionsOf('step', 'hullNeed')
  const settled = hullOptions.find((one) => one.value === need)?.label.toLowerCase() ?? ''
  return hullOptions.map((one) =>
    one.value === 'byPlace' ? { ...one, label: `By place and work: ${settled}` } : one,
  )
})
const logged = computed(() =>
  liveHours(store.rows)
    .filter((one) => one.stepId === props.step.id)
    .reduce((sum, one) => sum + one.hours, 0),
)
interface Part {
  readonly text: string
  readonly how?: () => How | null
}
/** What is known of it; computed figures can be opened. */
const said = computed((): Part[] => {
  const { step } = props
  const { units = 'metric' } = store.refit ?? {}
  const parts: Part[] = []
  const crew = placed.value?.personIds.length ?? 0
  if (plannedHours(step) > 0)
    parts.push({
      text: `planned ${formatHours(plannedHours(step))}`,
      how: () => howHours(step, crew),
    })
  if (step.waitKind !== 'none') {
    const finish = placed.value?.segments.at(-1)?.[1] ?? step.doneAt
    const wait = () => howWait(step, finish, store.waits, units)
    parts.push({ text: `then waits ${wait()?.result ?? ''}`, how: wait })
  }
  if (step.maxWaitHours !== null)
    parts.push({ text: `next within ${formatWait(step.maxWaitHours)}` })
  if (logged.value > 0) parts.push({ text: `${formatHours(logged.value)} logged` })
  if (step.state !== 'dropped' && plannedHours(step) > 0 && counts.value) {
    const inches = () => howStepInches(step, store.derived)
    parts.push({
      text: `${step.state === 'done' ? 'earned' : 'earns'} ${inches().result}`,
      how: inches,
    })
  }
  if (placed.value && step.state !== 'done') {
    const at = shortDateTime(placed.value.segments[0]?.[0] ?? 0, store.derived.clock)
    parts.push({ text: `${at}${who.value ? `, ${who.value}` : ''}` })
  }
  const lived = twoPrices(step, store.rows, store.accepted)
  if (lived) parts.push({ text: sayTwoPrices(lived) })
  return parts
})
/** Work of the plan moves the Tape; what is put off or dropped does not. */
const counts = computed(
  () => store.rows.job.find((one) => one.id === props.step.jobId)?.decision === 'plan',
)
const done = computed({
  get: () => props.step.state === 'done',
  set: (value: boolean) => void edits.setState(props.step, value ? 'done' : 'open'),
})
const halves = 0.5
async function carryOut(label: string, outcome: Outcome) {
  if (!outcome.ok) toasts.say(outcome.message)
  else if (await store.attempt(label, outcome.value.items)) toasts.say(outcome.value.said)
}
const cut = () =>
  carryOut(`Split ${props.step.title}`, splitStep(store.rows, props.step, halves, newId))
function join() {
  const next = edits.stepsOf(props.step.jobId)[props.index + 1]
  if (next) void carryOut(`Merge ${props.step.title}`, mergeSteps(store.rows, props.step, next))
}
</script>

<template>
  <li
    class="border-b border-rule2 bg-paper py-1"
    :class="{ 'opacity-80': step.state === 'dropped' }"
  >
    <div
      class="grid grid-cols-[1.5rem_2.25rem_1fr_auto] items-start gap-x-1 sm:grid-cols-[1.5rem_2.25rem_1fr_7.5rem_5.5rem_auto]"
    >
      <span class="drag-handle flex h-9 cursor-grab items-center text-ink2" aria-hidden="true">
        <GripVertical :size="18" />
      </span>
      <label class="flex size-9 items-center justify-center max-sm:size-11">
        <input
          v-model="done"
          type="checkbox"
          class="size-5.5 accent-(--verdigris)"
          :aria-label="`Done: ${step.title}`"
        />
      </label>
      <RowField
        field="title"
        hide-label
        quiet
        :class="{ 'line-through': step.state === 'done' || step.state === 'dropped' }"
        :label="`Step ${index + 1}`"
      />
      <RowField
        field="operation"
        class="max-sm:hidden"
        hide-label
        quiet
        :label="`Operation of ${step.title}`"
      />
      <RowField
        field="hoursLikely"
        class="max-sm:col-start-3"
        hide-label
        quiet
        :label="`Likely hours of ${step.title}`"
      />
      <button
        type="button"
        class="btn btn-quiet btn-small h-9"
        :aria-expanded="!folded"
        :aria-label="`More of ${step.title}`"
        @click="folded = !folded"
      >
        <ChevronDown :size="18" :class="{ 'rotate-180': !folded }" aria-hidden="true" />
      </button>
    </div>
    <p v-if="said.length > 0" class="pl-16 text-ink2 leading-snug">
      <template v-for="(part, at) in said" :key="part.text">
        <template v-if="at > 0"> · </template>
        <UiHow v-if="part.how" :how="part.how" :about="step.title">{{ part.text }}</UiHow>
        <template v-else>{{ part.text }}</template>
      </template>
    </p>
    <div v-if="!folded" class="mt-2 mb-3 grid gap-3 border-l-4 border-rule py-1 pl-4 sm:ml-8">
      <p v-if="cautionsOf(step)" class="cond text-redlead">{{ cautionsOf(step) }}</p>
      <div class="grid grid-cols-2 gap-3 lg:grid-cols-3">
        <RowField field="operation" class="sm:hidden" />
        <UiNumber
          :model-value="step.crewMin"
          label="At least people"
          :min="1"
          :max="8"
          whole
          @update:model-value="
            edits.editStep(step, { crewMin: $event, crewMax: Math.max($event ?? 1, step.crewMax) })
          "
        />
        <RowField field="crewMax" label="At most people" />
        <RowField field="access" />
        <RowField field="skill" />
        <RowField field="placeNeed" />
        <RowField field="hullNeed" :options="hulls" />
        <RowField field="waitKind" />
        <RowField v-if="step.waitKind !== 'none'" field="waitHours" label="How long" />
        <RowField v-if="step.waitKind === 'chem'" field="waitRefC" label="That is at" />
        <RowField v-if="step.waitKind === 'chem'" field="waitMinC" label="No cure below" />
        <RowField field="minTempC" label="Coldest air" />
        <RowField field="maxTempC" label="Warmest surface" />
        <RowField field="wantedPersonId" none="Whoever can" />
        <RowField v-if="step.afterGate" field="dueBy" />
        <RowField field="productId" label="Product, for its times" none="None" />
        <RowField field="beginsOnce" />
        <RowField
          v-if="step.waitKind === 'moisture' || step.bedDepthMm !== null"
          field="bedDepthMm"
        />
        <RowField
          field="maxWaitHours"
          :label="step.windowKind === 'bareMetal' ? 'Coated within' : 'Bond window'"
        />
        <RowField v-if="step.maxWaitHours !== null" field="windowKind" />
        <RowField field="notBefore" />
        <RowField field="pinnedOn" />
        <RowField field="notAfter" />
        <RowField field="licensedKind" none="None" />
        <RowField field="hoursLow" />
        <RowField field="hoursHigh" />
      </div>
      <div class="flex flex-wrap gap-x-5">
        <RowField field="parallel" label="Beside the step before" />
        <RowField field="needsDry" label="Needs dry weather" />
        <RowField field="afterGate" />
        <RowField field="forHelpers" />
      </div>
      <RowField field="months" label="Only in (nothing ticked: all year)" />
      <RowField field="caution" label="Caution of your own" />
      <StepFacts :step="step" />
      <StepDoing :step="step" />
      <StepParts :step="step" />
      <BringLines :step="step" />
      <div class="flex flex-wrap gap-2">
        <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/step/${step.id}`">Do it</NuxtLink>
        <button class="btn btn-small" @click="frame.open('hours', step.id)">Log hours</button>
        <button class="btn btn-small" @click="frame.open('clock', step.id)">Start clock</button>
        <button
          class="btn btn-small"
          :disabled="index === 0"
          @click="edits.moveStep(step, index - 1)"
        >
          Move up
        </button>
        <button
          class="btn btn-small"
          :disabled="index === last"
          @click="edits.moveStep(step, index + 1)"
        >
          Move down
        </button>
        <button
          v-if="step.state !== 'doing'"
          class="btn btn-small"
          @click="edits.setState(step, 'doing')"
        >
          Under way
        </button>
        <button
          class="btn btn-small"
          @click="edits.setState(step, step.state === 'dropped' ? 'open' : 'dropped')"
        >
          {{ step.state === 'dropped' ? 'Take up again' : 'Drop' }}
        </button>
        <button class="btn btn-small" @click="cut">Split in two</button>
        <button class="btn btn-small" :disabled="index === last" @click="join">
          Merge with the next
        </button>
        <button class="btn btn-small" @click="edits.removeStep(step)">Remove</button>
      </div>
    </div>
  </li>
</template>
