<script setup lang="ts">
import { ChevronDown, GripVertical } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { Outcome } from '#core/breakdown/outcome'
import { mergeSteps } from '#core/breakdown/mergeSteps'
import { splitStep } from '#core/breakdown/split'
import type { Step } from '#core/model/entities'
import { inOrder } from '#core/model/refit'
import { licensedKinds } from '#core/model/words'
import { licensedName } from '#core/canDo/canDo'
import { cautionsOf } from '#core/plan/facts'
import { hullReader } from '#core/plan/hullNeed'
import { plannedHours } from '#core/plan/planned'
import { formatHours, formatWait } from '#core/units/hours'

/** One step of a job, edited in place; the rest of its facts behind a fold. */
const props = defineProps<{ step: Step; index: number; last: number }>()
const store = useRefitStore()
const { shortDateTime } = useDates()
const frame = useFrameStore()
const edits = useJobEdits()
const toasts = useToastStore()
const licensed = licensedKinds.map((value) => ({ value, label: licensedName[value] }))
const folded = ref(true)

const placed = computed(() =>
  store.accepted?.placements.find((one) => one.stepId === props.step.id),
)
const people = computed(() => inOrder(store.rows.person).filter((one) => !one.gone))
const who = computed(() =>
  (placed.value?.personIds ?? [])
    .map((id) => store.rows.person.find((one) => one.id === id)?.name)
    .join(', '),
)
const hulls = computed(() => {
  const need = hullReader(store.rows)({ ...props.step, hullNeed: 'byPlace' })
  const settled = hullOptions.find((one) => one.value === need)?.label.toLowerCase() ?? ''
  return hullOptions.map((one) =>
    one.value === 'byPlace' ? { ...one, label: `By place and work: ${settled}` } : one,
  )
})
const logged = computed(() =>
  store.rows.hoursEntry
    .filter((one) => one.stepId === props.step.id)
    .reduce((sum, one) => sum + one.hours, 0),
)
const said = computed(() => {
  const { step } = props
  const parts: string[] = []
  if (plannedHours(step) !== step.hoursLikely)
    parts.push(`planned ${formatHours(plannedHours(step))}`)
  if (step.waitKind !== 'none') parts.push(`then waits ${formatWait(step.waitHours)}`)
  if (step.maxWaitHours !== null) parts.push(`next within ${formatWait(step.maxWaitHours)}`)
  if (logged.value > 0) parts.push(`${formatHours(logged.value)} logged`)
  if (placed.value && step.state !== 'done') {
    const at = shortDateTime(placed.value.segments[0]?.[0] ?? 0, store.derived.clock)
    parts.push(`${at}${who.value ? `, ${who.value}` : ''}`)
  }
  return parts.join(' · ')
})
const done = computed({
  get: () => props.step.state === 'done',
  set: (value: boolean) => void edits.setState(props.step, value ? 'done' : 'open'),
})
const halves = 0.5
async function carryOut(label: string, outcome: Outcome) {
  if (!outcome.ok) toasts.say(outcome.message)
  else if (await store.attempt(label, outcome.items)) toasts.say(outcome.said)
}
const cut = () =>
  carryOut(`Split ${props.step.title}`, splitStep(store.rows, props.step, halves, newId))
function join() {
  const next = edits.stepsOf(props.step.jobId)[props.index + 1]
  if (next) void carryOut(`Merge ${props.step.title}`, mergeSteps(store.rows, props.step, next))
}
const set = (field: string) => (value: unknown) =>
  void edits.editStep(props.step, { [field]: value })
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
      <UiText
        :model-value="step.title"
        :label="`Step ${index + 1}`"
        hide-label
        needed
        quiet
        :class="{ 'line-through': step.state === 'done' || step.state === 'dropped' }"
        @update:model-value="set('title')($event)"
      />
      <UiSelect
        class="max-sm:hidden"
        :model-value="step.operation"
        :label="`Operation of ${step.title}`"
        hide-label
        quiet
        :options="operationOptions"
        @update:model-value="set('operation')($event)"
      />
      <UiHours
        class="max-sm:col-start-3"
        :model-value="step.hoursLikely"
        :label="`Likely hours of ${step.title}`"
        hide-label
        quiet
        :most="2000"
        @update:model-value="set('hoursLikely')($event)"
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
    <p v-if="said" class="pl-16 text-ink2 leading-snug">{{ said }}</p>
    <div v-if="!folded" class="mt-2 mb-3 grid gap-3 border-l-4 border-rule py-1 pl-4 sm:ml-8">
      <p v-if="cautionsOf(step)" class="cond text-redlead">{{ cautionsOf(step) }}</p>
      <div class="grid grid-cols-2 gap-3 lg:grid-cols-3">
        <UiSelect
          class="sm:hidden"
          :model-value="step.operation"
          label="Operation"
          :options="operationOptions"
          @update:model-value="set('operation')($event)"
        />
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
        <UiNumber
          :model-value="step.crewMax"
          label="At most people"
          :min="1"
          :max="8"
          whole
          @update:model-value="set('crewMax')($event)"
        />
        <UiSelect
          :model-value="step.access"
          label="Access"
          :options="accessOptions"
          @update:model-value="set('access')($event)"
        />
        <UiSelect
          :model-value="step.skill"
          label="Skill"
          :options="skillOptions"
          @update:model-value="set('skill')($event)"
        />
        <UiSelect
          :model-value="step.placeNeed"
          label="Done where"
          :options="placeOptions"
          @update:model-value="set('placeNeed')($event)"
        />
        <UiSelect
          :model-value="step.hullNeed"
          label="Hull"
          :options="hulls"
          @update:model-value="set('hullNeed')($event)"
        />
        <UiSelect
          :model-value="step.waitKind"
          label="Wait after it"
          :options="waitOptions"
          @update:model-value="set('waitKind')($event)"
        />
        <UiHours
          v-if="step.waitKind !== 'none'"
          :model-value="step.waitHours"
          label="How long"
          :day="24"
          :most="9000"
          @update:model-value="set('waitHours')($event)"
        />
        <UiQuantity
          v-if="step.waitKind === 'chem'"
          :model-value="step.waitRefC"
          label="That is at"
          unit="°C"
          @update:model-value="set('waitRefC')($event)"
        />
        <UiQuantity
          v-if="step.waitKind === 'chem'"
          :model-value="step.waitMinC"
          label="No cure below"
          unit="°C"
          may-be-empty
          @update:model-value="set('waitMinC')($event)"
        />
        <UiQuantity
          :model-value="step.minTempC"
          label="Coldest air"
          unit="°C"
          may-be-empty
          @update:model-value="set('minTempC')($event)"
        />
        <UiSelect
          :model-value="step.wantedPersonId"
          label="Kept for"
          :options="people.map((one) => ({ value: one.id, label: one.name }))"
          none="Whoever can"
          @update:model-value="set('wantedPersonId')($event)"
        />
        <UiDate
          v-if="step.afterGate"
          :model-value="step.dueBy"
          label="To be done by"
          may-be-empty
          @update:model-value="set('dueBy')($event)"
        />
        <UiHours
          :model-value="step.maxWaitHours"
          label="Bond window"
          :day="24"
          :most="20000"
          may-be-empty
          @update:model-value="set('maxWaitHours')($event)"
        />
        <UiDate
          :model-value="step.notBefore"
          label="Not before"
          may-be-empty
          @update:model-value="set('notBefore')($event)"
        />
        <UiSelect
          :model-value="step.licensedKind"
          label="Licensed work"
          :options="licensed"
          none="None"
          @update:model-value="set('licensedKind')($event)"
        />
        <UiHours
          :model-value="step.hoursLow"
          label="Low hours"
          :most="2000"
          may-be-empty
          @update:model-value="set('hoursLow')($event)"
        />
        <UiHours
          :model-value="step.hoursHigh"
          label="High hours"
          :most="4000"
          may-be-empty
          @update:model-value="set('hoursHigh')($event)"
        />
      </div>
      <div class="flex flex-wrap gap-x-5">
        <UiCheck
          :model-value="step.parallel"
          label="Beside the step before"
          @update:model-value="set('parallel')($event)"
        />
        <UiCheck
          :model-value="step.needsDry"
          label="Needs dry weather"
          @update:model-value="set('needsDry')($event)"
        />
        <UiCheck
          :model-value="step.afterGate"
          label="After the gate"
          @update:model-value="set('afterGate')($event)"
        />
        <UiCheck
          :model-value="step.forHelpers"
          label="Good for a helper"
          @update:model-value="set('forHelpers')($event)"
        />
      </div>
      <UiText
        :model-value="step.caution"
        label="Caution of your own"
        :most="1000"
        @update:model-value="set('caution')($event)"
      />
      <StepParts :step="step" />
      <BringLines :step="step" />
      <div class="flex flex-wrap gap-2">
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
