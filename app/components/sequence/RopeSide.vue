<script setup lang="ts">
import { computed } from 'vue'
import { howGateDate } from '#core/how/plan'
import { formatMoney } from '#core/money/money'
import { laterLaunchMinor } from '#core/money/yardAhead'
import type { ChainLink } from '#core/plan/chain'
import type { Drag } from '#core/plan/drag'
import { unfitHours } from '#core/plan/unfitHours'
import type { GateFigures } from '#core/progress/derive'
import { seasonsMissed } from '#core/progress/seasonMissed'
import type { GateSaid } from '#core/progress/gateWords'
import type { KnotReading } from '#core/sequence/reading'
import { formatHours } from '#core/units/hours'
import type { TriedLever } from '~/composables/useLevers'

/** What holds a gate, beside the drawing: its chain, its levers, ways to launch, and what wants a look. */
const props = defineProps<{
  gate: GateFigures | null
  said: GateSaid | null
  links: readonly ChainLink[]
  reading: readonly KnotReading[]
  drags: readonly Drag[] | null
  levers: readonly TriedLever[]
  /** Levers still being tried. */
  left: number
}>()
defineEmits<{
  step: [stepId: string]
  lever: [lever: TriedLever]
  point: [lever: TriedLever | null]
  ways: []
  afresh: []
}>()
const gateId = defineModel<string | null>('gateId', { required: true })
const store = useRefitStore()
const planner = usePlannerStore()
const print = () => window.print()
/** What cannot be done and does not stand in this gate's own note. */
const elsewhere = computed(() =>
  (store.accepted?.reasons ?? [])
    .map((reason) => reason.message)
    .filter((message) => !props.said?.because.includes(message)),
)
/** What the drawing cannot show: it stands in no week. */
const unfit = computed(() => (store.accepted ? unfitHours(store.rows, store.accepted) : 0))
const dateHow = () =>
  props.gate && howGateDate(props.gate, props.links, props.said?.leavesOut ?? [])
const gates = computed(() =>
  store.derived.gates.map((one) => ({ value: one.gate.id, label: one.gate.name })),
)
/** What it costs when its launch misses the season; '': it does not. */
const seasonSaid = computed(() => {
  const { accepted, rows, zone } = store
  const missed =
    accepted &&
    seasonsMissed(rows, accepted, zone).find((one) => one.gateId === props.gate?.gate.id)
  if (!missed) return ''
  const where = missed.fallsInto
    ? `It falls into ${missed.fallsInto}: she is not afloat between the two.`
    : ''
  const many = `${missed.daysOver} ${missed.daysOver === 1 ? 'day' : 'days'}`
  const price =
    missed.costMinor === null || missed.costMinor === 0
      ? ''
      : ` Those days in the yard cost ${formatMoney(missed.costMinor, store.refit?.currency ?? 'EUR')}.`
  return `${missed.season} ends ${many} before it.${price} ${where}`.trim()
})
/** Days less ashore cost so much less, at the prices of just those days, where the gate is a launch. */
function saved(days: number): string {
  const gate = props.gate?.gate
  if (gate?.kind !== 'launch') return ''
  const minor = laterLaunchMinor(store.rows, store.accepted, gate.haulOutId, -days, store.derived)
  return minor === null || minor >= 0
    ? ''
    : `, −${formatMoney(-minor, store.refit?.currency ?? 'EUR')}`
}
</script>

<template>
  <div>
    <div class="flex items-start justify-between gap-2">
      <h2 class="min-w-0">
        <UiHow v-if="gate?.plannedOn" :how="dateHow">Back along the rope</UiHow>
        <template v-else>What holds it</template>
      </h2>
      <UiSelect
        v-if="gates.length > 1"
        :model-value="gate?.gate.id ?? null"
        label="Which gate"
        hide-label
        class="w-28 shrink-0"
        :options="gates"
        @update:model-value="gateId = $event"
      />
    </div>
    <p v-if="planner.busy" class="text-ink2" role="status">
      Planning…{{ planner.progress === null ? '' : ` ${Math.round(planner.progress * 100)} %` }}
    </p>
    <p v-else-if="planner.stale" class="text-redlead" role="status">
      This plan is older than the last change;
      {{
        store.connected
          ? 'a new one is on its way.'
          : 'a new one is kept when the program answers again.'
      }}
    </p>
    <section
      v-if="elsewhere.length > 0"
      class="my-3 border-l-4 border-redlead bg-redlead-tint px-3 py-2"
    >
      <h3>
        {{ elsewhere.length }} {{ elsewhere.length === 1 ? 'thing' : 'things' }} cannot be done as
        it stands
      </h3>
      <ul class="mt-1 list-disc pl-4">
        <li v-for="reason in elsewhere" :key="reason">{{ reason }}</li>
      </ul>
    </section>
    <p v-if="unfit > 0" class="my-2 text-redlead">
      {{ formatHours(unfit) }} of work have no place in the plan and are in no week of the drawing.
    </p>
    <GateNote :figures="gate" quiet />
    <TroubleMends :reasons="store.accepted?.reasons ?? []" />
    <GateOdds v-if="reading.length > 0 && gate" :gate="gate" class="my-2 min-h-10" />
    <p v-if="seasonSaid" class="my-2 border-l-4 border-redlead pl-3">{{ seasonSaid }}</p>
    <div v-if="store.accepted" class="no-print mt-2 flex flex-wrap gap-2">
      <button
        v-if="gate?.gate.kind === 'launch'"
        class="btn btn-small"
        :disabled="planner.busy"
        @click="$emit('ways')"
      >
        Ways to launch
      </button>
      <button class="btn btn-small" :disabled="planner.busy" @click="$emit('afresh')">
        Plan it afresh
      </button>
      <button class="btn btn-small" @click="print">Print</button>
      <a
        class="btn btn-small"
        :href="`/api/refits/${store.refitId}/calendar.ics`"
        title="Work and gates of the plan, for a calendar program to read or to keep reading"
        download
        >Calendar</a
      >
    </div>
    <RopePanel
      v-if="reading.length > 0"
      :reading="reading"
      :drags="drags"
      :levers="levers"
      :saved="saved"
      @step="$emit('step', $event)"
      @press="$emit('lever', $event)"
      @point="$emit('point', $event)"
    />
    <DecisionLines />
    <section
      v-if="store.accepted && store.accepted.warnings.length > 0"
      class="mt-2 border-t border-rule pt-3"
    >
      <h3>Look at these</h3>
      <ul class="mt-1 grid gap-2">
        <li
          v-for="warning in store.accepted.warnings"
          :key="warning.message"
          class="border-l-4 border-brass pl-3"
        >
          {{ warning.message }}
        </li>
      </ul>
    </section>
    <SequenceKey />
    <!-- Over the rest, so that nothing moves when it comes and goes. -->
    <p
      v-if="left > 0"
      class="sticky bottom-0 border-t border-rule bg-sheet py-1.5 text-ink2 xl:-bottom-3"
      role="status"
    >
      Trying what would bring it forward: {{ left }} left…
    </p>
  </div>
</template>
