<script setup lang="ts">
import { Flag } from '@lucide/vue'
import { computed, ref } from 'vue'
import { gateInWords } from '#core/progress/gateWords'
import { daysHeadline, gateHeadline, seasonsHeadline } from '#core/sequence/headline'
import { ropeReading, sayStretch } from '#core/sequence/reading'
import { weekFigures } from '#core/sequence/weeks'
import { mondayOn } from '#core/sequence/ruler'
import { dateOf, weekdayOf } from '#core/time/civil'
import { weekdayNames } from '#core/time/say'
import type { TriedLever } from '~/composables/useLevers'
import type { BoardUse } from '~/utils/boardUse'

/** In what order, and what holds the launch? */
const store = useRefitStore()
const time = useTimeStore()
const chosenGate = ref<string | null>(null)
const { gate, said, links, facts } = useSequence(chosenGate)
const narrow = useNarrow()
const order = useOutOfOrder()
const { sayDate } = useDates()
const year = computed(() => store.derived.today.slice(0, 4))

/** Flags on the drawing: the first step of each finding carries it. */
const flags = computed(() =>
  order.flagged.value.map((one) => ({
    key: one.evidence,
    stepIds: one.stepIds.slice(0, 1),
    mend: one.mend?.label ?? '',
  })),
)
const showsOrder = ref(false)
function mendFlag(key: string) {
  const one = order.flagged.value.find((flag) => flag.evidence === key)
  if (one) void order.mend(one)
}
const gateId = computed(() => gate.value?.gate.id ?? null)
const { chain, drags, levers, pointed, ghost } = useChainAnswers(gateId, links)
const { odds, datesOf } = useOdds()
/** Drawn only where they are of the plan that is drawn. */
const likely = computed(() => (odds.isFresh ? datesOf(gateId.value) : null))
const drawings = useDrawings({ facts, gateId, links, flags, likely })
const { view, box, head, width, headHeight, chartHeight, weekend, levels } = drawings
const { pairs, pairAt, firstDay, turned, keyed } = drawings
const isWeekend = computed(() => weekdayOf(firstDay.value) === 6)
const pairName = computed(() =>
  sayStretch(dateOf(firstDay.value), dateOf(firstDay.value + 1), year.value),
)
const floats = computed(
  () => !facts.value.ashore.some((one) => time.minute >= one.from && time.minute < one.to),
)
const reading = computed(() =>
  ropeReading(
    links.value,
    drawings.launch.value?.knots ?? [],
    facts.value.pieces,
    store.derived.clock,
    year.value,
  ),
)
/** On a phone every link is a reading of its own, tied there by how near they lie. */
const linkReading = computed(() =>
  ropeReading(links.value, [], facts.value.pieces, store.derived.clock, year.value),
)
const needed = computed(() =>
  gate.value ? facts.value.neededBy(gate.value.gate.id) : new Set<string>(),
)
const proposals = useProposal()
const afresh = useAfresh()
const pins = usePin()
const showsWays = ref(false)
const askLever = ({ lever, items, consequence }: TriedLever) =>
  proposals.propose({ label: lever.label, does: lever.does, items }, consequence)
const askAfresh = () => void afresh.ask()
async function takeProposal() {
  await proposals.accept()
  if (proposals.proposal.value === null) showsWays.value = false
}
const openKey = ref<string | null>(null)
const openPlank = computed(
  () =>
    levels.value
      .flatMap((level) => level.laid)
      .find(({ board }) => board.plank.key === openKey.value)?.board.plank ?? null,
)
/** What both scenes that were made so far are drawn from. */
const scenes = computed(() =>
  (['launch', 'seasons'] as const).flatMap((as) => {
    const scene = drawings[as].value
    return scene ? [{ as, scene }] : []
  }),
)
/** The drawing of which the days are read out; two days close up have none. */
const timeLine = computed(() => scenes.value.find((one) => one.as === view.value)?.scene ?? null)
/** What is done with boards is the same on every drawing. */
const onBoards = computed<BoardUse>(() => ({
  open: openKey.value,
  chain: chain.value,
  said: pins.said.value,
  onPlank: (key) => {
    openKey.value = key
  },
  onMend: mendFlag,
  onDrag: pins.drag,
  onDrop: pins.drop,
  onCancel: pins.cancelDrag,
  onPin: (stepId) => pins.open(stepId),
  onRelease: (stepId) => void pins.release(stepId),
}))
const headline = computed(() => {
  if (!gate.value || !said.value) return 'No gate is set yet'
  const { clock, today } = store.derived
  if (view.value === 'launch')
    return gateHeadline(gate.value.gate.id, said.value, store.accepted, clock, year.value)
  if (view.value === 'weekend')
    return daysHeadline(
      [0, 1].map((index) => weekdayNames[weekdayOf(firstDay.value + index) - 1] ?? ''),
      weekend.value?.counts ?? [],
      gateInWords(gate.value.gate),
    )
  const now = clock.dayOf(time.minute)
  const planned = store.accepted?.gates.find((one) => one.gateId === gate.value?.gate.id)
  const weeks = weekFigures(
    store.rows,
    store.accepted,
    clock,
    facts.value.hands,
    mondayOn(now),
    planned ? clock.dayOf(planned.at) + 1 : facts.value.lastDay,
    now,
  )
  return (
    today &&
    seasonsHeadline(
      weeks,
      planned ? { said: gateInWords(gate.value.gate), until: clock.dayOf(planned.at) } : null,
    )
  )
})
const views = computed(() => [
  { value: 'seasons' as const, label: 'Seasons' },
  {
    value: 'launch' as const,
    label: `To ${gate.value ? gateInWords(gate.value.gate) : 'the launch'}`,
  },
  { value: 'weekend' as const, label: isWeekend.value ? 'Weekend' : 'Two days' },
])
// On paper the drawing lies on its side; whether A4 or A3 is the printer's say.
useHead({ style: [{ innerHTML: '@page { size: landscape }', key: 'page-side' }] })
function openOrder() {
  showsOrder.value = !showsOrder.value
  openKey.value = null
}
function openStep(stepId: string) {
  const board = levels.value
    .flatMap((level) => level.laid)
    .find((one) => one.board.plank.pieces.some((piece) => piece.step.id === stepId))
  if (board) openKey.value = board.board.plank.key
  else void goTo(`/r/${store.refitId}/step/${stepId}`)
}
</script>

<template>
  <div
    class="xl:-mr-5 xl:-mb-3 xl:grid print:m-0 print:block"
    :class="view === 'launch' || openPlank || showsOrder ? 'xl:grid-cols-[1fr_20rem]' : ''"
  >
    <div class="min-w-0">
      <div ref="head" class="flex items-center justify-between gap-2 max-lg:flex-wrap xl:pr-5">
        <h1 class="min-w-0">{{ headline }}</h1>
        <button
          v-if="order.flagged.value.length > 0 || order.left.value.length > 0"
          class="btn btn-small no-print ml-auto shrink-0"
          :class="{ 'btn-on': showsOrder }"
          :aria-pressed="showsOrder"
          @click="openOrder"
        >
          <Flag :size="16" aria-hidden="true" />
          {{ order.flagged.value.length }} out of order
        </button>
        <div v-if="view === 'weekend'" class="no-print flex shrink-0 items-center">
          <button
            class="btn btn-small"
            aria-label="The days before"
            :disabled="pairAt === 0"
            @click="pairAt--"
          >
            ‹
          </button>
          <span class="cond min-w-32 border-y-2 border-ink bg-sheet px-2 py-[0.3rem] text-center">{{
            pairName
          }}</span>
          <button
            class="btn btn-small"
            aria-label="The next days with work"
            :disabled="pairAt >= pairs.length - 1"
            @click="pairAt++"
          >
            ›
          </button>
        </div>
        <UiPages v-model="view" label="How much time" :pages="views" />
      </div>
      <div
        v-if="store.rows.step.length === 0"
        class="my-6 max-w-lg border-l-4 border-verdigris pl-4"
      >
        <h2>Nothing to put in order yet</h2>
        <p class="mt-2">
          A plan needs steps with hours. Open a job and write what has to be done, one step after
          the other.
        </p>
        <NuxtLink class="btn btn-main mt-3" :to="`/r/${store.refitId}/jobs`">To the jobs</NuxtLink>
      </div>
      <div
        v-else
        v-show="!(narrow && showsOrder)"
        ref="box"
        class="-ml-3 overflow-x-auto overflow-y-hidden sm:-ml-5"
        @wheel="turned"
        @keydown="keyed"
      >
        <template v-if="narrow">
          <PhoneDays
            v-if="view === 'weekend'"
            class="px-3 sm:px-5"
            :facts="facts"
            :day="firstDay"
            :width="width - 24"
            :needed="needed"
            :gate-name="gate ? gateInWords(gate.gate) : 'the gate'"
            @step="openStep"
          />
          <PhoneChart
            v-else
            :facts="facts"
            :reading="linkReading"
            :gate-id="gate?.gate.id ?? null"
            :aimed-on="gate?.aimedOn ?? null"
            :now="time.minute"
            :width="width"
            :seasons="view === 'seasons'"
            @step="openStep"
          />
          <div class="h-24" />
          <PhoneWater
            v-if="gate && !showsOrder"
            :title="
              gate.plannedOn ? `${gate.gate.name} ${sayDate(gate.plannedOn)}` : (said?.title ?? '')
            "
            :is-launch="gate.gate.kind === 'launch'"
          />
        </template>
        <template v-else>
          <WeekendChart
            v-if="weekend"
            v-show="view === 'weekend'"
            :weekend="weekend"
            :floats="floats"
            :use="onBoards"
          />
          <SequenceChart
            v-for="{ as, scene } in scenes"
            v-show="view === as"
            :key="as"
            :scene="scene"
            :ghost="ghost"
            :floats="floats"
            :use="onBoards"
            @day="drawings.showDay"
          />
        </template>
        <FoldedList v-if="!narrow" :levels="levels" />
        <DaysList v-if="!narrow && timeLine" :scene="timeLine" />
      </div>
    </div>
    <aside
      class="border-rule max-xl:mt-6 xl:-mt-3 xl:max-h-(--drawn) xl:overflow-y-auto xl:border-l xl:bg-sheet xl:px-4 xl:py-3 print:mt-4 print:max-h-none print:border-0 print:p-0"
      :class="{ 'xl:hidden': view !== 'launch' && !openPlank && !showsOrder }"
      :style="{ '--drawn': `${chartHeight + headHeight + 12}px` }"
      aria-label="What holds it"
    >
      <PlankPanel
        v-if="openPlank && !narrow"
        :plank="openPlank"
        :gate-name="gate ? gateInWords(gate.gate) : 'the gate'"
        @close="openKey = null"
        @pin="pins.open"
        @release="pins.release"
      />
      <OrderPanel
        v-else-if="showsOrder"
        :open="order.open.value"
        :left="order.left.value"
        @close="showsOrder = false"
        @mend="order.mend"
        @again="order.lookAgain"
        @step="openStep"
      />
      <RopeSide
        v-else
        v-model:gate-id="chosenGate"
        :gate="gate"
        :said="said"
        :links="links"
        :reading="narrow ? [] : reading"
        :drags="drags"
        :levers="levers.tried.value"
        :left="levers.left.value"
        @point="pointed = $event"
        @step="openStep"
        @lever="askLever"
        @ways="showsWays = true"
        @afresh="askAfresh"
      />
    </aside>
    <UiDialog
      :open="narrow && openPlank !== null"
      :title="openPlank?.job.title ?? ''"
      @close="openKey = null"
    >
      <PlankPanel
        v-if="openPlank"
        :plank="openPlank"
        :gate-name="gate ? gateInWords(gate.gate) : 'the gate'"
        @close="openKey = null"
        @pin="pins.open"
        @release="pins.release"
      />
    </UiDialog>
    <LaunchWays
      v-if="gate?.gate.haulOutId"
      :open="showsWays"
      :haul-out-id="gate.gate.haulOutId"
      @close="showsWays = false"
      @choose="proposals.propose($event)"
    />
    <ProposalDialog :of="proposals" @close="proposals.leave" @take="takeProposal" />
    <PinDialog :pins="pins" />
    <SideBySide
      :open="afresh.open.value"
      title="Planned afresh"
      :does="afresh.does"
      :consequence="afresh.found.value?.consequence ?? null"
      :progress="afresh.progress.value"
      :failed="afresh.failed.value"
      take="Take the new plan"
      @close="afresh.leave"
      @take="afresh.accept"
    />
  </div>
</template>
