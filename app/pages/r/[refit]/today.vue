<script setup lang="ts">
import { useEventListener, useWindowSize } from '@vueuse/core'
import { Printer } from '@lucide/vue'
import { computed, nextTick, ref } from 'vue'
import type { Step } from '#core/model/entities'
import { bindingChain } from '#core/plan/chain'
import { meanAirC } from '#core/plan/planned'
import { patchOf } from '#core/model/removal'
import { sayGate } from '#core/progress/gateWords'
import { boardsOf, dustBoard } from '#core/today/boards'
import { lineKey } from '#core/today/dayLine'
import type { DayLine } from '#core/today/dayLine'
import { sayDaySheet } from '#core/today/sayDay'
import { addDays, dayNumber, hourMs, isDate, minutesOf } from '#core/time/civil'
import { clockTimeOf, sayFullDate } from '#core/time/say'
import { capital } from '#core/units/counted'

/** What do we do now, here, with these people? In the evening: can we leave her like this? */
const store = useRefitStore()
const time = useTimeStore()
const planner = usePlannerStore()
const weather = useWeatherStore()
const toasts = useToastStore()
const { sayDay } = useDates()
const edits = useJobEdits()
const route = useRoute()
const narrow = useNarrow()

const on = computed(() =>
  typeof route.query.on === 'string' && isDate(route.query.on)
    ? route.query.on
    : store.derived.today,
)
const isToday = computed(() => on.value === store.derived.today)
const { frame, dayPlan, people, sheet, itemFor, set, comes, reset } = useDay(on)
const plan = computed(() => store.accepted)
const holding = computed(() => {
  const launch = store.derived.launch
  if (!plan.value || !launch) return new Set<string>()
  const links = bindingChain(plan.value, store.rows, launch.gate.id, store.zone)
  return new Set(links.flatMap((link) => link.stepId ?? []))
})
const day = computed(() => dayNumber(on.value))
const monthMeanC = computed(() =>
  meanAirC(store.zone.at(day.value, 720), store.refit?.monthMeanC ?? []),
)
const lines = computed(() => sheet.value?.lines ?? [])
const work = computed(() => lines.value.filter((line) => line.kind === 'work'))
/** The step under way, else the first to come. */
const next = computed<DayLine | null>(
  () =>
    work.value.find((line) => line.step?.state === 'doing' && line.to > time.now - hourMs) ??
    work.value.find((line) => !isToday.value || line.to > time.now) ??
    work.value[0] ??
    null,
)
const order = useDayOrder(
  lines,
  computed(() => (isToday.value ? (dayPlan.value?.stepOrder ?? []) : [])),
  itemFor,
)
const { isByHand, proposals } = order
const movingLine = ref<DayLine | null>(null)
const dayFrom = computed(() => Math.min(...lines.value.map((line) => line.from)))
const dayTo = computed(() => Math.max(...lines.value.map((line) => line.to)))
const boards = computed(() => {
  if (lines.value.length === 0) return []
  const { weather: known } = store.waits
  const wanted = (sheet.value?.notToday ?? []).map((one) => one.step)
  const dust = dustBoard(known, work.value, dayFrom.value, dayTo.value)
  const others = boardsOf(known, work.value, wanted, dayFrom.value, dayTo.value)
  return dust ? [...others.slice(0, 2), dust] : others
})
const open = {
  exposure: 'open',
  colour: null,
  isDeck: false,
  monthMeanC: null,
  standing: [],
  key: 'sky',
} as const
const airAt = (at: number) => store.waits.weather.knownAirAt(open, at)
const forecastKnown = computed(() => airAt(store.zone.at(day.value, 720)) !== null)

/** From an hour before leaving it is evening, until somebody says otherwise. */
const chosen = ref<'day' | 'evening' | null>(null)
const end = computed(() => store.zone.at(day.value, minutesOf(frame.value.to)))
const isEvening = computed(() =>
  chosen.value === null
    ? isToday.value && time.now > end.value - hourMs
    : chosen.value === 'evening',
)
const evening = ref<{ ask: () => void; stops: readonly unknown[] } | null>(null)
const { said } = useLeaving(frame)
const heading = computed(() =>
  work.value.length === 0
    ? `Nothing is planned for ${isToday.value ? 'today' : sayDay(on.value)}`
    : `${isToday.value ? '' : `${sayDay(on.value)}: `}${sayDaySheet(lines.value, isToday.value ? time.now : 0, store.zone, sheet.value?.nights.after)}`,
)
const names = computed(() =>
  frame.value.personIds
    .map((id) => store.rows.person.find((one) => one.id === id)?.name ?? '')
    .join(' and '),
)
const where = computed(() => (frame.value.placeNeed === 'shed' ? 'The shed' : 'The boat'))
/** A launch without a date is said first; what its date leaves out is said beside the day. */
const undated = computed(
  () =>
    store.derived.launch !== null &&
    sayGate(store.derived.launch, store.derived).standing === 'undated',
)
const settingUp = ref(false)
/** Where in the plan the next day with work is, when this one has none. */
const nextDay = computed(() => {
  const after = store.zone.at(day.value + 1, 0)
  const starts = (plan.value?.placements ?? []).flatMap((one) =>
    one.personIds.length > 0
      ? one.segments.map(([from]) => from).filter((from) => from >= after)
      : [],
  )
  return starts.length > 0 ? store.zone.dateOf(Math.min(...starts)) : null
})
const peopleOfDay = computed(() => {
  const used = new Set(work.value.flatMap((line) => line.personIds))
  return people.value
    .map((one) => one.id)
    .filter((id) => used.has(id) || frame.value.personIds.includes(id))
})
const { height } = useWindowSize()
/** A line of words above the day takes so much of it. */
const wordsPx = 24
const room = computed(() =>
  narrow.value ? 0 : Math.max(420, height.value - 262 - (isByHand.value ? wordsPx : 0)),
)

async function start(line: DayLine) {
  if (!line.step) return
  await store.attempt(`Begin ${line.step.title}`, [
    patchOf('step', line.step, {
      state: 'doing',
      startedAt: Math.round(time.now),
      byIds: [...line.personIds],
    }),
  ])
}
async function finish(line: DayLine) {
  if (!line.step) return
  if (await edits.setState(line.step, 'done'))
    toasts.say(`Done: ${line.step.title}. z takes it back.`)
}
const leaveButton = ref<HTMLElement | null>(null)
const failing = ref<Step | null>(null)
useKeyScope({
  dayLeave: () => {
    chosen.value = 'evening'
    void nextTick(() => leaveButton.value?.focus())
  },
})
/** A crowded day has every step by itself on paper, and is drawn so before the paper is taken. */
const onPaper = ref(false)
useEventListener(window, 'beforeprint', () => (onPaper.value = true))
useEventListener(window, 'afterprint', () => (onPaper.value = false))
async function print() {
  onPaper.value = true
  await nextTick()
  window.print()
}
const showDay = (date: string) => goTo({ query: date === store.derived.today ? {} : { on: date } })
</script>

<template>
  <div>
    <div class="flex flex-wrap items-center justify-between gap-x-4 gap-y-2 xl:flex-nowrap">
      <h1 v-if="isEvening" class="text-[1.9rem]! max-sm:text-2xl!">
        <template v-if="sheet?.nights.after === 'aboard'"
          >The night aboard: nobody leaves her.</template
        >
        <template v-else
          ><span v-if="!said.canBeLeft" class="text-redlead">Not yet: </span
          >{{ said.said }}</template
        >
      </h1>
      <h1 v-else class="text-[1.9rem]! max-sm:text-2xl!">{{ heading }}</h1>
      <div class="no-print flex flex-wrap items-center gap-2 xl:shrink-0">
        <div class="flex items-center">
          <button
            class="btn btn-small"
            :aria-label="`The day before, ${sayDay(addDays(on, -1))}`"
            @click="showDay(addDays(on, -1))"
          >
            ‹
          </button>
          <span class="cond px-1.5 text-lg whitespace-nowrap sm:hidden">{{ sayDay(on) }}</span>
          <button
            class="btn btn-small"
            :aria-label="`The day after, ${sayDay(addDays(on, 1))}`"
            @click="showDay(addDays(on, 1))"
          >
            ›
          </button>
        </div>
        <button class="btn max-sm:order-last max-sm:w-full" @click="settingUp = true">
          {{ where }}, {{ names || 'nobody' }}, {{ frame.from }}–{{ frame.to }}
        </button>
        <button v-if="isEvening" class="btn" @click="chosen = 'day'">The day</button>
        <button v-else class="btn" @click="chosen = 'evening'">The evening</button>
        <button
          class="btn px-2! max-sm:hidden"
          :aria-label="isEvening ? 'Print the list' : 'Print the day'"
          @click="print"
        >
          <Printer :size="19" aria-hidden="true" />
        </button>
        <button
          v-if="isEvening"
          ref="leaveButton"
          class="btn"
          :class="{ 'border-redlead!': !said.canBeLeft }"
          @click="evening?.ask()"
        >
          Leave her{{
            evening && evening.stops.length > 0
              ? `: ${evening.stops.length} stop${evening.stops.length > 1 ? 's' : ''}`
              : ''
          }}
        </button>
      </div>
    </div>
    <p class="hidden print:block">
      {{ sayFullDate(on) }}, {{ store.refit?.boatName }}, {{ names }}, {{ frame.from }} to
      {{ frame.to }}
    </p>
    <GateNote v-if="!isEvening && undated" :figures="store.derived.launch" />
    <DaySetupDialog
      :open="settingUp"
      :frame="frame"
      :people="people"
      :changed="dayPlan !== null"
      :station="weather.station"
      :known="forecastKnown"
      :month-mean-c="monthMeanC"
      @set="set"
      @person="comes"
      @reset="reset"
      @close="settingUp = false"
    />
    <EveningView v-if="isEvening" ref="evening" :frame="frame" />
    <div v-else class="mt-2 xl:grid xl:grid-cols-[1fr_23rem] xl:gap-5">
      <div class="min-w-0">
        <p v-if="planner.busy" class="text-ink2" role="status">Planning the day…</p>
        <p v-else-if="isByHand" class="no-print text-ink2">
          In an order by hand.
          <button class="underline max-sm:min-h-11" @click="order.asPlanned">
            The plan’s order instead
          </button>
        </p>
        <p v-if="narrow && boards.length > 0" class="leading-tight">
          <template v-for="board in boards" :key="board.title">
            <b class="font-semibold">{{ board.title }}</b>
            {{ sayBoard(board, store.zone) }}
          </template>
        </p>
        <DayChart
          v-if="work.length > 0"
          :lines="lines"
          :people="peopleOfDay"
          :boards="boards"
          :whole="onPaper"
          :next-key="next ? lineKey(next) : ''"
          :holding="holding"
          :room="room"
          :air-at="airAt"
          :is-today="isToday"
          :curing="sheet?.overnight ?? []"
          :elsewhere="sheet?.otherPlace ?? null"
          @start="start"
          @done="finish"
          @failed="failing = $event.step"
          @put="order.put"
          @shift="order.shift"
          @give="order.give"
          @move="movingLine = $event"
        />
        <div
          v-else-if="!planner.busy && !planner.failed"
          class="my-6 max-w-lg border-l-4 border-verdigris pl-4"
        >
          <p v-if="store.rows.step.length === 0">
            There are no steps to plan yet. Write what has to be done in
            <NuxtLink class="underline" :to="`/r/${store.refitId}/jobs`">Jobs</NuxtLink>.
          </p>
          <p v-else>
            Pick who is here and from when to when, and the day is worked out.
            <template v-if="nextDay">
              Or look at the next day with work,
              <button class="underline" @click="showDay(nextDay)">{{ sayDay(nextDay) }}</button>.
            </template>
          </p>
        </div>
        <MoveLineDialog
          :line="movingLine"
          :lines="lines"
          :person-ids="frame.personIds"
          @put="order.put"
          @give="order.give"
          @close="movingLine = null"
        />
        <ProposalDialog :of="proposals" @close="proposals.leave" @take="proposals.accept" />
        <DidNotWorkDialog v-if="failing" :open="true" :step="failing" @close="failing = null" />
      </div>
      <div v-if="sheet" class="max-xl:mt-5">
        <DayAside
          :sheet="sheet"
          :on="on"
          :person-ids="frame.personIds"
          :day-start="work.length > 0 ? dayFrom : store.zone.at(day, 480)"
          :day-end="work.length > 0 ? dayTo : store.zone.at(day, 1020)"
        />
        <GateNote v-if="!undated" :figures="store.derived.launch" />
      </div>
    </div>
    <div
      v-if="narrow && !isEvening && next?.step"
      class="no-print sticky bottom-14 z-20 -mx-3 mt-3 border-t-3 border-ink bg-sheet px-3 py-2"
    >
      <p class="cond flex justify-between text-redlead">
        <span
          >{{ next.step.state === 'doing' ? 'Under way since' : 'Next,' }}
          {{
            clockTimeOf(
              next.step.state === 'doing' ? (next.step.startedAt ?? next.from) : next.from,
              store.zone,
            )
          }}<template v-if="holding.has(next.step.id)"> · holds the launch</template></span
        >
      </p>
      <p class="cond text-2xl leading-tight">{{ next.step.title }}</p>
      <p v-if="next.against || next.limit" class="leading-tight text-redlead">
        {{ next.against || (next.limit ? capital(next.limit.why) : '') }}
      </p>
      <div class="mt-2 grid grid-cols-[1fr_1fr_1.8fr] gap-2">
        <NuxtLink class="btn min-h-14!" :to="`/r/${store.refitId}/step/${next.step.id}`"
          >Open</NuxtLink
        >
        <button
          class="btn min-h-14!"
          :disabled="!isToday || next.step.state !== 'open'"
          @click="movingLine = next"
        >
          Move
        </button>
        <button
          class="btn btn-go min-h-14! text-2xl"
          :aria-label="`${next.step.state === 'doing' ? 'Done' : 'Start'} now: ${next.step.title}`"
          @click="next.step.state === 'doing' ? finish(next) : start(next)"
        >
          {{ next.step.state === 'doing' ? 'Done' : 'Start' }}
        </button>
      </div>
    </div>
  </div>
</template>
