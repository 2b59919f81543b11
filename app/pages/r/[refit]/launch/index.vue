<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { slingSplit } from '#core/launch/lift'
import { sayReadiness, stopsOf, withoutPlan } from '#core/launch/readyWords'
import { dateOf, dayNumber, timeOf } from '#core/time/civil'
import { clockTimeOf } from '#core/time/say'
import { inWords } from '#core/units/counted'
import { withInitials } from '#core/model/newRow'
import { patchOf } from '#core/model/removal'
import { sayGate } from '#core/progress/gateWords'
import type { Proposal } from '~/composables/useProposal'

/** Can she go in, when, and how? */
const store = useRefitStore()
const route = useRoute()
const {
  next,
  watched,
  ready,
  days,
  aimDay,
  bookedAt,
  lifts,
  sheet,
  ledger,
  split,
  crane,
  standing,
  isLate,
  date,
} = useLaunch()
const { sayDay, sayDate } = useDates()

/** Slings as they are drawn: where they were written down, or where one is being dragged. */
const dragged = ref<{ readonly fore?: number; readonly aft?: number }>({})
const slings = computed(() => ({
  fore: dragged.value.fore ?? sheet.value?.slingForeM ?? null,
  aft: dragged.value.aft ?? sheet.value?.slingAftM ?? null,
}))
const shownSplit = computed(() => {
  const { fore, aft } = slings.value
  const { weightT, centreM } = ledger.value
  const isMoved = dragged.value.fore !== undefined || dragged.value.aft !== undefined
  if (!isMoved || !sheet.value || weightT === null || centreM === null) return split.value
  if (fore === null || aft === null) return split.value
  return slingSplit(weightT, fore, aft, centreM, sheet.value.legDeg)
})
const liftSheets = useRows('liftSheet')
async function moveSling(which: 'fore' | 'aft', metres: number, isDone: boolean) {
  dragged.value = { [which]: metres }
  if (!isDone || !sheet.value) return
  const own = dragged.value
  const patch = which === 'fore' ? { slingForeM: metres } : { slingAftM: metres }
  await liftSheets.edit(sheet.value, patch)
  if (dragged.value === own) dragged.value = {}
}

const proposals = useProposal()
/** What taking the proposal is called; undefined: as everywhere. */
const take = ref<string | undefined>('Book it')
const showsWays = ref(false)
const openKey = ref<string | null>(null)
const pointed = ref<string | null>(null)
const items = computed(() => (ready.value ? [...ready.value.openings, ...ready.value.before] : []))
const openItem = computed(() => items.value.find((one) => one.key === openKey.value) ?? null)
const head = computed(() => (ready.value ? sayReadiness(ready.value) : null))
const slip = computed(() => next.value?.lifts.slip ?? null)
/** The day looked at: a pressed one, else the aim. */
const pressed = ref<number | null>(null)
const chosenDay = computed(() => pressed.value ?? aimDay.value)
const chosen = computed(() => days.value.find((one) => one.day === chosenDay.value) ?? null)
watch(
  () => route.query.day,
  (on) => {
    if (typeof on === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(on)) pressed.value = dayNumber(on)
  },
  { immediate: true },
)
const time = (at: number) => clockTimeOf(at, store.zone)
/** When the slings should go on that day, where somebody said so; another day begins anew. */
const wantedAt = ref<number | null>(null)
watch(chosenDay, () => (wantedAt.value = null))
const { liftAt, worked, choice, put, isUnmanned } = useLaunchDay(next, chosen, wantedAt)
/** A yard that is as it was made has not said when it lifts. */
const areHoursSaid = computed(() => {
  const { liftFrom, liftUntil } = withInitials('place', {})
  const yard = next.value?.yard
  return Boolean(yard) && (yard?.liftFrom !== liftFrom || yard?.liftUntil !== liftUntil)
})
/** By how much the water of a day in the yard's hours falls short at its best. */
const never = computed(() => {
  if (!slip.value || days.value.some((one) => one.window !== null)) return null
  const from = store.zone.at(dayNumber(store.derived.today), 0)
  const year = slip.value.tide.turns(from, from + 366 * 86_400_000)
  if (year.length === 0) return null
  const best = year.reduce((a, b) => (b.heightM > a.heightM ? b : a))
  return { best, short: slip.value.needM - best.heightM }
})
const toMend = computed(() => {
  if (!ready.value) return ''
  const none = withoutPlan(ready.value).map((one) => one.title.toLowerCase())
  if (none.length === 0) return ''
  return `${none.join(', ')}: nothing in the plan closes ${none.length === 1 ? 'it' : 'them'}.`
})
/** How many of the stops the plan ends, and by when. */
const planned = computed(() => {
  const stops = ready.value ? stopsOf(ready.value) : []
  const ends = stops.flatMap((one) =>
    one.until !== null && one.until !== Infinity ? one.until : [],
  )
  if (ends.length === 0) return ''
  const by = date(Math.max(...ends))
  return ends.length === stops.length
    ? `the last until ${by}`
    : `${inWords(ends.length)} until ${by}`
})
const late = computed(() => items.value.filter((one) => isLate(one)))
/** Her launch as all views judge it: it may wait for work that has no place. */
const gate = computed(
  () => store.derived.gates.find((one) => one.gate.haulOutId === next.value?.haulOut.id) ?? null,
)
const isUndated = computed(
  () => gate.value !== null && sayGate(gate.value, store.derived).standing === 'undated',
)
const plannedOn = computed(() => {
  const at = next.value?.launchAt ?? Infinity
  return at === Infinity || isUndated.value ? null : store.zone.dateOf(at)
})
function ask() {
  const one = chosen.value
  const haulOut = next.value?.haulOut
  if (!one || !haulOut) return
  const clock = timeOf(store.zone.minutesOf(liftAt.value ?? one.liftAt))
  take.value = 'Book it'
  void proposals.propose({
    label: `Book ${sayDay(one.on)}, ${clock}`,
    does: `The launch is written down as booked for ${sayDay(one.on)} at ${clock}, and the plan keeps to it. Ask the yard first: this tells nobody.`,
    items: [patchOf('haulOut', haulOut, { launchBooked: one.on, launchTime: clock })],
  })
}
/** What is not a booking: put off, done afloat, a lever, another way to launch. */
function propose(proposal: Proposal) {
  take.value = undefined
  void proposals.propose(proposal)
}
async function takeProposal() {
  await proposals.accept()
  if (proposals.proposal.value === null) showsWays.value = false
}
const anywayOpen = ref(false)
useKeyScope({
  launchBook: () => (chosen.value ? ask() : false),
  launchSign: () => (pointed.value === null ? false : (openKey.value = pointed.value)),
  launchDay: () => void goTo(`/r/${store.refitId}/launch/day?day=${dateOf(chosenDay.value ?? 0)}`),
  launchMove: (event) => {
    const list = days.value.filter((one) => one.isLiftDay)
    const index = list.findIndex((one) => one.day === chosenDay.value)
    const to = list[index + (event.key === 'ArrowDown' ? 1 : -1)]
    if (!to) return false
    pressed.value = to.day
    return true
  },
})
</script>

<template>
  <div v-if="!next && !watched" class="max-w-xl border-l-4 border-verdigris pl-4">
    <h1>No launch is written down</h1>
    <p class="my-2">
      A haul-out with a launch brings everything here: what stops her, the water at the slip, the
      crane, the day hour by hour.
    </p>
    <NuxtLink class="btn" :to="`/r/${store.refitId}/settings#set-hauls`">Plan a haul-out</NuxtLink>
  </div>
  <div v-else>
    <div class="flex items-start justify-between gap-3 max-lg:flex-wrap">
      <div class="min-w-0">
        <h1 v-if="head && ready">
          <template v-if="head.yes">{{ head.words }}.</template>
          <template v-else
            >Not yet: <span class="text-redlead">{{ head.words.toLowerCase() }}</span
            ><template v-if="planned">, {{ planned }}</template>.
          </template>
          <template v-if="isUndated"> She has no day in the plan.</template>
          <template v-else-if="lifts?.bestDay">
            Cheapest lift: {{ sayDay(dateOf(lifts.bestDay)) }}.</template
          >
          <template v-else-if="plannedOn"> Planned for {{ sayDay(plannedOn) }}.</template>
        </h1>
        <h1 v-else-if="watched">She is in: the watch goes on.</h1>
        <p v-if="toMend"><strong>Mend first:</strong> {{ toMend }}</p>
        <GateNote v-if="isUndated" :figures="gate" />
        <LaunchHands
          v-if="chosen && isUnmanned && !next?.yard?.launchesWithoutYou"
          :on="chosen.on"
        />
        <p v-if="bookedAt !== null && late.length > 0" class="text-redlead">
          Booked for {{ sayDay(store.zone.dateOf(bookedAt)) }}: {{ inWords(late.length) }}
          {{ late.length === 1 ? 'line is' : 'lines are' }} still open then.
        </p>
        <p v-if="ready?.anyway" class="border-l-4 border-redlead pl-2">
          Signed to go in all the same, {{ sayDate(store.zone.dateOf(ready.anyway.at)) }}:
          {{ ready.anyway.because }}
        </p>
        <p v-if="never && never.short > 0" class="text-redlead">
          The slip never has her depth: the highest water of a year is
          {{ never.best.heightM.toFixed(2) }} m on {{ sayDay(store.zone.dateOf(never.best.at)) }},
          {{ time(never.best.at) }}, and she needs {{ never.short.toFixed(2) }} m more. Dates are
          planned without the tide.
        </p>
      </div>
      <div class="no-print flex flex-wrap gap-2 lg:shrink-0 lg:flex-nowrap">
        <button v-if="chosen && next" class="btn btn-main" aria-keyshortcuts="b" @click="ask">
          Ask for {{ sayDay(chosen.on)
          }}<template v-if="chosen.window && liftAt !== null">, {{ time(liftAt) }}</template>
        </button>
        <NuxtLink
          v-if="chosen"
          class="btn"
          aria-keyshortcuts="d"
          :to="`/r/${store.refitId}/launch/day?day=${chosen.on}`"
          >Launch day</NuxtLink
        >
        <NuxtLink class="btn" :to="`/r/${store.refitId}/launch/watch`">Watch</NuxtLink>
        <NuxtLink class="btn" :to="`/r/${store.refitId}/launch/card`">Damage card</NuxtLink>
        <NuxtLink class="btn" :to="`/r/${store.refitId}/launch/inputs`">What it rests on</NuxtLink>
      </div>
    </div>
    <div
      v-if="ready && next"
      class="mt-1 grid grid-cols-[minmax(0,1fr)] gap-x-6 gap-y-4 lg:grid-cols-[minmax(0,0.86fr)_minmax(0,1fr)]"
    >
      <div>
        <LiftDrawing
          :items="ready.openings"
          :split="shownSplit.ok ? shownSplit.value : null"
          :centre-m="ledger.centreM"
          :fore-m="slings.fore"
          :aft-m="slings.aft"
          :hook-t="crane.ok ? crane.value.hookT : null"
          :pointed="pointed"
          @open="openKey = $event"
          @point="pointed = $event"
          @sling="moveSling"
          @sling-left="dragged = {}"
        />
        <p v-if="!shownSplit.ok" class="text-ink2">{{ shownSplit.message }}</p>
        <ReadyList
          v-if="ready.openings.length > 0"
          title="Openings, bow to stern"
          :items="ready.openings"
          numbered
          :standing="standing"
          :is-late="isLate"
          :chosen="pointed"
          @open="openKey = $event"
          @point="pointed = $event"
        />
        <div v-else class="border-l-4 border-verdigris pl-3">
          <h2>No openings yet</h2>
          <p>
            Press her where water could get in. Each hole is written down once, and every launch
            asks after it.
            <NuxtLink class="underline" :to="`/r/${store.refitId}/launch/inputs`"
              >Name them in a list</NuxtLink
            >
          </p>
          <OpeningsTap />
        </div>
        <ReadyList
          class="mt-2"
          title="And before she is lifted"
          :items="ready.before"
          :standing="standing"
          :is-late="isLate"
          :chosen="pointed"
          @open="openKey = $event"
          @point="pointed = $event"
        />
        <button
          v-if="stopsOf(ready).length > 0 && !ready.anyway"
          class="btn btn-small mt-2"
          @click="anywayOpen = true"
        >
          She goes in all the same
        </button>
      </div>
      <div>
        <p class="flex justify-between gap-3">
          <span class="cond font-semibold"
            >{{ next.yard?.name ?? 'The yard' }} lifts {{ next.yard?.liftFrom ?? '09:00' }} to
            {{ next.yard?.liftUntil ?? '17:00'
            }}{{ areHoursSaid ? '' : ', unless it says otherwise' }}</span
          >
          <span v-if="lifts === null" class="text-ink2"
            >no chances yet: the forecast was not run</span
          >
          <LiftCost v-else-if="chosenDay !== null" :odds="lifts" :day="chosenDay" />
        </p>
        <LiftDays
          :days="days"
          :yard="next.yard"
          :chosen="chosenDay"
          :has-tide="slip !== null"
          @choose="pressed = $event"
        />
        <div
          class="mt-3 grid grid-cols-[minmax(0,1fr)] gap-4 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
        >
          <SlipDay :slip="slip" :day="chosen" :worked="worked" :choice="choice" @put="put" />
          <section aria-labelledby="the-crane">
            <h2 id="the-crane" class="text-lg">
              <template v-if="crane.ok"
                >{{ sheet?.craneName || 'Crane' }}:
                <span :class="crane.value.share > 1 ? 'text-redlead' : ''"
                  >{{ Math.round(crane.value.share * 100) }} % of its chart</span
                ></template
              >
              <template v-else>The crane</template>
            </h2>
            <template v-if="crane.ok && sheet">
              <p class="leading-tight text-ink2">
                {{ crane.value.hookT.toFixed(2) }} of {{ crane.value.rowT.toFixed(2) }} t at the
                {{ crane.value.rowM }} m row. Set back
                {{ (sheet.setBackM ?? 0).toFixed(2) }} m<template
                  v-if="crane.value.mostSetBackM !== null"
                  >, at most {{ crane.value.mostSetBackM.toFixed(2) }}</template
                >.
              </p>
              <CraneDrawing
                class="max-sm:hidden"
                :use="crane.value"
                :set-back-m="sheet.setBackM ?? 0"
                :beam-m="store.refit?.beamM ?? 3"
                :draught-m="store.refit?.draughtM ?? 1.5"
              />
              <p
                v-if="ledger.sinceAskedT !== null && Math.abs(ledger.sinceAskedT) >= 0.05"
                class="cond"
              >
                {{ ledger.sinceAskedT > 0 ? '+' : '−'
                }}{{ Math.abs(ledger.sinceAskedT).toFixed(2) }} t since the firm was asked: ask
                again.
              </p>
              <p class="text-ink2">
                The firm’s lift plan decides. Can the crane that took her out still come?
              </p>
            </template>
            <p v-else-if="!crane.ok">
              {{ crane.message }}
              <NuxtLink class="underline" :to="`/r/${store.refitId}/launch/inputs`"
                >The lift</NuxtLink
              >
            </p>
          </section>
        </div>
      </div>
    </div>
    <div
      v-if="next"
      class="mt-6 grid grid-cols-[minmax(0,1fr)] gap-x-6 gap-y-6 lg:grid-cols-[minmax(0,0.86fr)_minmax(0,1fr)]"
    >
      <div class="grid grid-cols-[minmax(0,1fr)] content-start gap-y-6">
        <WeightLedger :ledger="ledger" />
        <NextTime :haul-out-id="next.haulOut.id" />
      </div>
      <div class="grid grid-cols-[minmax(0,1fr)] content-start gap-y-6">
        <AshoreLeft
          v-if="chosen"
          :haul-out-id="next.haulOut.id"
          :lift-at="chosen.liftAt"
          @propose="propose"
          @ways="showsWays = true"
        />
        <AnodeList />
        <TideTable v-if="slip" :slip="slip" :days="days" />
      </div>
    </div>
    <ReadyDialog
      :item="openItem"
      :haul-out-id="next?.haulOut.id ?? ''"
      :standing="openItem ? standing(openItem) : ''"
      @close="openKey = null"
    />
    <AnywayDialog
      v-if="next && ready"
      :open="anywayOpen"
      :haul-out-id="next.haulOut.id"
      :stops="stopsOf(ready).map((one) => one.title)"
      @close="anywayOpen = false"
    />
    <LaunchWays
      v-if="next"
      :open="showsWays"
      :haul-out-id="next.haulOut.id"
      @close="showsWays = false"
      @choose="propose"
    />
    <ProposalDialog :of="proposals" :take="take" @close="proposals.leave" @take="takeProposal" />
  </div>
</template>
