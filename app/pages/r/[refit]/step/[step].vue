<script setup lang="ts">
import { ChevronLeft } from '@lucide/vue'
import { computed, ref } from 'vue'
import { titleBeside } from '#core/model/namedStep'
import { cautionList } from '#core/plan/facts'
import { sayTwoPrices, twoPrices } from '#core/walk/livedIn'
import { liveHours } from '#core/plan/liveHours'
import { accessFactor, plannedHours } from '#core/plan/planned'
import { countOf, nextUnit, unitsDoneOf } from '#core/steps/counted'
import { sayDrying } from '#core/steps/drying'
import { isProvisional } from '#core/steps/provisional'
import {
  failedReadings,
  holdsItself,
  lastReadings,
  limitsOf,
  sayLimits,
  unitsHeld,
  verdictOf,
} from '#core/steps/readings'
import { hasRounds, isOverMost, roundsLeft } from '#core/steps/rounds'
import { isAtStop, maybeShort, sayShort } from '#core/steps/stopShort'
import { weatherSayer } from '#core/today/sayWeather'
import { clockTimeOf } from '#core/time/say'
import { formatHours } from '#core/units/hours'
import { formatQuantity } from '#core/units/quantity'

/** One step as it is being done: what to mind, the count, the readings, and what to do when it does not work. */
const route = useRoute()
const store = useRefitStore()
const time = useTimeStore()
const frame = useFrameStore()
const planner = usePlannerStore()
const toasts = useToastStore()
const edits = useStepEdits()
const jobEdits = useJobEdits()
const { shortDateTime, sayDate } = useDates()
const step = computed(() => store.rows.step.find((one) => one.id === route.params.step) ?? null)
const job = computed(() => store.rows.job.find((one) => one.id === step.value?.jobId) ?? null)
const zone = computed(() => store.rows.zone.find((one) => one.id === job.value?.zoneId) ?? null)
const units = computed(() => store.refit?.units ?? 'metric')
const placed = computed(() =>
  store.accepted?.placements.find((one) => one.stepId === step.value?.id),
)
const names = computed(() => {
  const ids =
    step.value && step.value.byIds.length > 0 ? step.value.byIds : (placed.value?.personIds ?? [])
  return ids.map((id) => store.rows.person.find((one) => one.id === id)?.name ?? '').join(' and ')
})
const when = computed(() => {
  const one = step.value
  if (!one) return ''
  if (one.state === 'done')
    return `done${one.doneAt ? ` ${shortDateTime(one.doneAt, store.zone)}` : ''}`
  if (one.state === 'doing')
    return `${names.value ? `${names.value}, ` : ''}since ${one.startedAt ? clockTimeOf(one.startedAt, store.zone) : 'a while'}`
  const from = placed.value?.segments[0]?.[0]
  return from === undefined
    ? 'not in the plan yet'
    : `${shortDateTime(from, store.zone)}${names.value ? `, ${names.value}` : ''}`
})
const logged = computed(() =>
  liveHours(store.rows)
    .filter((one) => one.stepId === step.value?.id && one.kind === 'work')
    .reduce((sum, one) => sum + one.hours, 0),
)
/** Hours on it so far: what is booked, else the time since it was begun. */
const spent = computed(() => {
  const one = step.value
  if (!one || logged.value > 0 || one.startedAt === null || one.state !== 'doing')
    return logged.value
  return Math.max(0, (time.minute - one.startedAt) / 3_600_000) * Math.max(1, one.byIds.length)
})
const count = computed(() => (step.value ? countOf(step.value, spent.value) : null))
const next = computed(() => (step.value ? nextUnit(step.value, store.rows.reading) : null))
const doneNos = computed(() =>
  step.value ? unitsDoneOf(step.value, store.rows.reading) : new Set<number>(),
)
const held = computed(() =>
  step.value ? unitsHeld(step.value, store.rows.reading) : new Set<number>(),
)
const limits = computed(() => (step.value ? limitsOf(step.value) : null))
const fails = computed(() => (step.value ? failedReadings(step.value, store.rows.reading) : []))
const last = computed(() =>
  step.value
    ? [...lastReadings(step.value, store.rows.reading)]
        .map(([no, reading]) => ({ no, reading }))
        .sort((a, b) => b.reading.at - a.reading.at)
    : [],
)
/** Dust where somebody lives or will. */
const lived = computed(() => step.value && twoPrices(step.value, store.rows, store.accepted))
/** What the hour forbids, for a step of today: of another day it says nothing. */
const forecast = computed(() => {
  const one = step.value
  if (!one || one.state === 'done') return ''
  const from = placed.value?.segments[0]?.[0]
  const isToday =
    one.state === 'doing' || (from !== undefined && store.zone.dateOf(from) === store.derived.today)
  if (!isToday) return ''
  return weatherSayer(store.waits.weather, store.zone, units.value).against(one, time.minute)
})
const waitUntil = computed(() =>
  step.value?.state === 'done' && step.value.waitKind !== 'none'
    ? store.waits.afterDone(step.value, 0)
    : null,
)
const again = computed(
  () => store.rows.step.find((one) => one.id === step.value?.redoesStepId) ?? null,
)
/** What the last job of the same kind of work said to do otherwise. */
const nextTime = computed(() => {
  const one = step.value
  if (!one) return null
  const jobs = new Set(
    store.rows.step
      .filter(
        (row) => row.operation === one.operation && row.state === 'done' && row.jobId !== one.jobId,
      )
      .map((row) => row.jobId),
  )
  return (
    store.rows.job.filter((row) => jobs.has(row.id) && row.nextTime.trim() !== '').at(-1) ?? null
  )
})
/** The high estimate of all its rounds, person-hours; null: nobody gave one. */
const highHours = computed(() => {
  const one = step.value
  return one?.hoursHigh == null ? null : one.hoursHigh * accessFactor[one.access] * one.round
})
const atStop = computed(
  () => step.value?.state === 'doing' && isAtStop(highHours.value, spent.value),
)
const short = computed(() =>
  step.value
    ? sayShort(step.value, (id) => store.rows.person.find((one) => one.id === id)?.name ?? '')
    : '',
)
const drying = computed(() =>
  step.value ? sayDrying(step.value, store.rows.reading, store.zone, sayDate) : '',
)
const stopping = ref(false)
const reading = ref(false)
const readNo = ref<number | null>(null)
const failing = ref(false)
const forNow = ref(false)
const roundCost = ref('')
function readUnit() {
  readNo.value = count.value ? (next.value?.no ?? fails.value[0]?.unitNo ?? 1) : null
  reading.value = true
}
async function plus(by: number) {
  if (!step.value) return
  const wantsReading = limits.value !== null && next.value?.no != null && by > 0
  const isRead = wantsReading && last.value.some((one) => one.no === next.value?.no)
  // Where one is wanted, the unit is read before it is counted.
  if (wantsReading && !isRead) return readUnit()
  await edits.count(step.value, by)
}
const stays = useLongPress()
const pressLong = () =>
  stays.begin(() => {
    if (step.value && !limits.value) void edits.count(step.value, 10)
  })
const press = () => {
  if (!stays.hasFired()) void plus(1)
}
async function done() {
  const one = step.value
  if (!one) return
  if (fails.value.length > 0 && holdsItself(one))
    return toasts.say(
      'A reading fails: read it again when it is better, or press “Did not work”.',
      true,
    )
  if (await jobEdits.setState(one, 'done')) toasts.say(`Done: ${one.title}. z takes it back.`)
}
async function askRound() {
  const one = step.value
  if (!one) return
  roundCost.value = 'working it out…'
  try {
    const said = await planner.whatIf([
      {
        op: 'patch',
        entity: 'step',
        id: one.id,
        baseVersion: one.version,
        patch: { roundsLikely: Math.max(one.roundsLikely, one.round) + 1 },
      },
    ])
    if (said !== null) roundCost.value = said
  } catch (error) {
    roundCost.value = sentenceOf(error)
  }
}
const roundSaid = computed(() => {
  const one = step.value
  if (!one) return ''
  const likely =
    one.roundsLikely > 1 ? ` of ${one.roundsLikely} likely, ${one.roundsMost} at most` : ''
  return `Round ${one.round}${likely}${one.untilGood ? `, until ${one.untilGood}` : ''}`
})
const pace = computed(() => {
  if (!count.value) return ''
  const each = formatHours(count.value.hoursEach)
  return count.value.measured
    ? `${each} each, as they went`
    : `${each} each planned; the first ones are slower`
})
</script>

<template>
  <div v-if="!step" class="max-w-lg">
    <h1>There is no such step</h1>
    <p class="my-3">It may have been removed.</p>
    <NuxtLink class="btn" :to="`/r/${store.refitId}/today`">Today</NuxtLink>
  </div>
  <div v-else class="mx-auto max-w-3xl pb-44 sm:pb-6">
    <div class="flex items-center gap-3">
      <NuxtLink
        class="btn min-h-11 min-w-11 px-2!"
        :to="`/r/${store.refitId}/today`"
        aria-label="Back to Today"
        ><ChevronLeft :size="22" aria-hidden="true"
      /></NuxtLink>
      <div class="min-w-0 grow">
        <h1 class="text-2xl! leading-tight!">{{ step.title }}</h1>
        <p class="cond leading-tight text-ink2">
          <NuxtLink v-if="job" class="underline" :to="`/r/${store.refitId}/jobs?job=${job.id}`">{{
            titleBeside(step, job) || 'Its job'
          }}</NuxtLink
          ><template v-if="zone"> · {{ zone.name }}</template> · {{ when }}
        </p>
      </div>
      <PurposeTile v-if="job" :purpose="job.purpose" />
    </div>
    <p v-if="again" class="mt-1 text-ink2">Done again because “{{ again.title }}” did not work.</p>
    <p v-if="nextTime" class="mt-2 border-l-4 border-brass pl-2">
      Last time, {{ nextTime.title }}: “{{ nextTime.nextTime }}”
    </p>
    <p v-if="isProvisional(step)" class="mt-2 border-l-4 border-redlead pl-2">
      <b class="font-semibold">Only for the time being:</b> {{ step.provisionalFor
      }}<template v-if="step.provisionalNot">. Not for {{ step.provisionalNot }}</template>.
    </p>
    <p v-if="forecast" class="cond mt-2 text-redlead">{{ forecast }}</p>
    <p v-if="lived" class="mt-2 border-l-4 border-brass pl-2">{{ sayTwoPrices(lived) }}</p>
    <ul v-if="cautionList(step).length > 0" class="mt-2">
      <li v-for="one in cautionList(step)" :key="one" class="flex gap-2 leading-tight">
        <span aria-hidden="true">▲</span>{{ one }}
      </li>
    </ul>

    <JobSums v-if="job" :job="job" :step-id="step.id" />
    <WhichDay :step="step" />

    <section v-if="count" class="mt-3" aria-label="Count">
      <UnitMarks
        :of="count.of"
        :done="count.done"
        :held="held"
        :done-nos="doneNos"
        :next="step.state === 'done' ? null : (next?.no ?? null)"
        :unit="count.unit"
      />
      <p class="cond text-2xl">{{ count.done }} of {{ count.of }} {{ count.unit }}</p>
      <p v-if="short" class="border-l-4 border-brass pl-2">{{ short }}</p>
      <p v-if="step.state !== 'done'" class="cond text-ink2">{{ pace }}</p>
      <p v-if="count.left > 0 && step.state !== 'done'" class="text-ink2">
        {{ formatHours(count.hoursLeft) }} for the {{ count.left }} that are left.
        <template v-if="next?.heldBecause">{{ next.heldBecause }}</template>
      </p>
      <button
        v-if="maybeShort(step)"
        class="btn btn-quiet max-sm:min-h-11"
        @click="stopping = true"
      >
        Stop here
      </button>
      <p v-if="step.proveOnOne && (count.done === 0 || next?.no === null)" class="cond">
        Prove it on one: the others wait until the first has passed.
      </p>
      <p v-if="step.noNeighbours" class="cond">
        Every other one first: never two neighbours open at once.
      </p>
    </section>

    <section
      v-if="limits"
      class="mt-3 border-2 p-2"
      :class="fails.length > 0 ? 'border-redlead' : 'border-ink'"
      aria-label="Readings"
    >
      <div
        class="-m-2 mb-0 flex items-baseline justify-between px-2 py-1"
        :class="{ 'bg-redlead-tint': fails.length > 0 }"
      >
        <h2 class="text-lg!">
          {{ limits.what
          }}<template v-if="fails[0]"
            >{{ fails[0].unitNo ? `, number ${fails[0].unitNo}` : '' }}: fails</template
          >
        </h2>
        <p class="cond">passes {{ sayLimits(limits, units) }}</p>
      </div>
      <ReadingScale
        :limits="limits"
        :value="(fails[0]?.reading ?? last[0]?.reading)?.value ?? null"
      />
      <ul>
        <li
          v-for="{ no, reading: one } in last.slice(0, 5)"
          :key="one.id"
          class="flex items-center justify-between gap-2"
        >
          <span
            class="cond text-lg"
            :class="{ 'text-redlead': verdictOf(one.value, limits) === 'fail' }"
            >[{{ formatQuantity(one.value, limits.unit, units) }}]<template v-if="no > 0">{{
              ` number ${no}`
            }}</template></span
          >
          <span class="grow text-ink2"
            >{{ shortDateTime(one.at, store.zone) }}{{ one.note ? `, ${one.note}` : '' }}</span
          >
          <button
            class="btn btn-quiet btn-small"
            :aria-label="`Remove the reading of ${formatQuantity(one.value, limits.unit, units)}`"
            @click="edits.unread(one)"
          >
            Remove
          </button>
        </li>
      </ul>
      <p v-if="last.length === 0" class="text-ink2">Nothing read yet.</p>
      <p v-if="drying" class="leading-tight">{{ drying }}</p>
      <p v-if="fails.length > 0 && !holdsItself(step)" class="leading-tight">
        It is not dry yet: what follows waits. Read it again on another day.
      </p>
      <p v-else-if="fails.length > 0" class="leading-tight">
        {{
          fails[0]?.unitNo
            ? `That one is held, and the step with it; the others go on.`
            : 'The step is held, and what follows it.'
        }}
        Read it again when it is better, or press “Did not work”.
      </p>
      <p v-if="limits.source" class="text-ink2">Limit from {{ limits.source }}.</p>
    </section>

    <section
      v-if="atStop"
      class="mt-3 border-2 border-redlead p-2"
      aria-label="At its high estimate"
    >
      <p class="cond text-lg leading-tight">
        {{ formatHours(spent) }} on it: that was the most reckoned with,
        {{ formatHours(highHours ?? 0) }}.
      </p>
      <p class="leading-tight">
        Accept it as it is, do it once more, or look for what is behind it?
      </p>
      <div class="mt-2 flex flex-wrap gap-2">
        <button class="btn" @click="maybeShort(step) ? (stopping = true) : done()">
          Accept it
        </button>
        <button v-if="hasRounds(step)" class="btn" @click="edits.anotherRound(step)">
          Once more
        </button>
        <button class="btn" @click="frame.openFound(step.jobId)">Found work</button>
      </div>
    </section>
    <section v-if="hasRounds(step)" class="mt-3" aria-label="Rounds">
      <p class="cond text-lg">{{ roundSaid }}</p>
      <p class="text-ink2">
        {{ formatHours(plannedHours(step) / step.roundsLikely) }} a round;
        {{ roundsLeft(step) }} still reckoned with.
      </p>
      <p v-if="isOverMost(step)" class="cond text-redlead">
        That was the most that was reckoned with: accept it as it is, do one more, or look for what
        is behind it.
      </p>
      <div class="mt-1 flex flex-wrap items-center gap-2">
        <button class="btn" @click="edits.anotherRound(step)">
          Not good enough: one more round
        </button>
        <button class="btn btn-quiet" @click="askRound">What would it cost?</button>
        <p v-if="roundCost" role="status">{{ roundCost }}</p>
      </div>
    </section>

    <p class="mt-3 text-ink2">
      {{ formatHours(plannedHours(step)) }} planned<template v-if="logged > 0"
        >, {{ formatHours(logged) }} on it</template
      ><template v-else-if="spent > 0">, {{ formatHours(spent) }} since it was begun</template>.
      <template v-if="waitUntil"
        >Then it waits until {{ shortDateTime(waitUntil, store.zone) }}.</template
      >
      <template
        v-else-if="
          placed && placed.readyAt > (placed.segments.at(-1)?.[1] ?? 0) && step.state !== 'done'
        "
      >
        Then it waits until {{ shortDateTime(placed.readyAt, store.zone) }}.</template
      >
    </p>

    <div
      class="no-print bottom-14 z-20 mt-4 grid gap-2 max-sm:fixed max-sm:inset-x-0 max-sm:border-t-3 max-sm:border-ink max-sm:bg-paper max-sm:px-3 max-sm:py-2"
    >
      <div class="grid grid-cols-4 gap-2">
        <button class="btn col-span-2 min-h-12!" @click="failing = true">Did not work</button>
        <button
          class="btn min-h-12!"
          :aria-label="`Start a clock: ${step.title}`"
          @click="frame.open('clock', step.id)"
        >
          Clock
        </button>
        <button
          class="btn min-h-12!"
          :aria-label="`Log hours: ${step.title}`"
          @click="frame.open('hours', step.id)"
        >
          Hours
        </button>
      </div>
      <div v-if="step.state !== 'done'" class="grid grid-cols-4 gap-2">
        <button
          v-if="count"
          class="btn min-h-14! flex-col leading-none!"
          :disabled="count.done === 0"
          @click="edits.count(step, -1)"
        >
          −1
        </button>
        <button v-else class="btn min-h-14!" @click="forNow = true">For now</button>
        <button v-if="limits" class="btn min-h-14!" @click="readUnit">
          Read{{ count && next?.no ? ` ${next.no}` : '' }}
        </button>
        <button v-else-if="count" class="btn min-h-14!" @click="forNow = true">For now</button>
        <button
          v-else-if="step.state === 'open'"
          class="btn btn-go min-h-14! text-xl!"
          @click="edits.start(step)"
        >
          Start
        </button>
        <button
          v-if="count && count.left > 0"
          class="btn btn-go col-span-2 min-h-14! text-2xl!"
          :disabled="next?.no === null"
          @pointerdown="pressLong"
          @pointerup="stays.forget"
          @pointerleave="stays.forget"
          @click="press"
        >
          +1 {{ count.unit }}
        </button>
        <button
          v-else
          class="btn btn-go min-h-14! text-2xl!"
          :class="limits || count || step.state === 'open' ? 'col-span-2' : 'col-span-3'"
          :aria-label="`Done: ${step.title}`"
          @click="done"
        >
          Done
        </button>
      </div>
      <div
        v-else
        class="grid gap-2"
        :class="holdsItself(step) || !limits ? 'grid-cols-2' : 'grid-cols-3'"
      >
        <button v-if="limits && !holdsItself(step)" class="btn btn-go min-h-14!" @click="readUnit">
          Read
        </button>
        <button class="btn min-h-14!" @click="forNow = true">For now</button>
        <button class="btn min-h-14!" @click="jobEdits.setState(step, 'open')">Reopen it</button>
      </div>
    </div>
    <ReadingDialog
      :open="reading"
      :step="step"
      :unit-no="readNo"
      @close="reading = false"
      @kept="reading = false"
    />
    <DidNotWorkDialog :open="failing" :step="step" @close="failing = false" />
    <StopShortDialog
      :open="stopping"
      :step="step"
      :hours-logged="spent"
      @close="stopping = false"
    />
    <ProvisionalDialog :open="forNow" :step="step" @close="forNow = false" />
  </div>
</template>
