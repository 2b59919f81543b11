<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed } from 'vue'
import { bagNoticeDays, bagsToFind } from '#core/bags/bags'
import { bindingChain } from '#core/plan/chain'
import { sayMend } from '#core/plan/mends'
import type { DayLine } from '#core/today/dayLine'
import { addDays, dayNumber, isDate } from '#core/time/civil'
import { sayFullDate } from '#core/time/say'
import { meanAirC, plannedHours } from '#core/plan/planned'
import { formatHours } from '#core/units/hours'

/** What do we do now, here, with these people? */
const store = useRefitStore()
const { sayDay, shortDateTime } = useDates()
const planner = usePlannerStore()
const weather = useWeatherStore()
const route = useRoute()
const edits = useJobEdits()
const frameStore = useFrameStore()

const on = computed(() =>
  typeof route.query.on === 'string' && isDate(route.query.on)
    ? route.query.on
    : store.derived.today,
)
const isToday = computed(() => on.value === store.derived.today)
const { frame, dayPlan, people, sheet, hours, set, reset } = useDay(on)
const plan = computed(() => store.accepted)
const holding = computed(() => {
  const launch = store.derived.launch
  if (!plan.value || !launch) return new Set<string>()
  const links = bindingChain(plan.value, store.rows, launch.gate.id, store.derived.clock)
  return new Set(links.flatMap((link) => link.stepId ?? []))
})
const time = useTimeStore()
const monthMeanC = computed(() =>
  meanAirC(store.derived.clock.at(dayNumber(on.value), 720), store.refit?.monthMeanC ?? []),
)
const bagsMissing = computed(() => bagsToFind(store.rows, plan.value, time.minute))
const work = computed(() => sheet.value?.lines.filter((line) => line.kind === 'work') ?? [])
const heading = computed(() => {
  const place = frame.value.placeNeed === 'shed' ? 'In the shed' : 'At the boat'
  const names = frame.value.personIds.length
  const crowd =
    ['nobody', 'one of us', 'two of us', 'three of us', 'four of us'][names] ?? `${names} of us`
  return `${place}, ${crowd}`
})
const mendOf = (line: DayLine): string => line.mends.map(sayMend).join(' ')
/** Where in the plan the next day with work is, when this one has none. */
const nextDay = computed(() => {
  const after = store.derived.clock.at(dayNumber(on.value) + 1, 0)
  const starts = (plan.value?.placements ?? []).flatMap((one) =>
    one.personIds.length > 0
      ? one.segments.map(([from]) => from).filter((from) => from >= after)
      : [],
  )
  return starts.length > 0 ? store.derived.clock.dateOf(Math.min(...starts)) : null
})
function move(line: DayLine, by: number) {
  const ids = work.value.map((one) => one.step?.id ?? '')
  const at = ids.indexOf(line.step?.id ?? '')
  const order = [...ids]
  order.splice(at, 1)
  order.splice(at + by, 0, ids[at] as string)
  void set({ stepOrder: [...new Set(order)] })
}
const print = () => window.print()
const goTo = (date: string) =>
  navigateTo({ query: date === store.derived.today ? {} : { on: date } })
</script>

<template>
  <div class="xl:grid xl:grid-cols-[1fr_18.5rem] xl:gap-5">
    <div class="min-w-0">
      <div class="flex flex-wrap items-baseline justify-between gap-2">
        <h1>{{ heading }}</h1>
        <div class="no-print flex items-center gap-2">
          <button
            class="btn btn-small"
            :aria-label="`The day before, ${sayDay(addDays(on, -1))}`"
            @click="goTo(addDays(on, -1))"
          >
            ‹
          </button>
          <span class="cond text-lg">{{ isToday ? 'Today, ' : '' }}{{ sayDay(on) }}</span>
          <button
            class="btn btn-small"
            :aria-label="`The day after, ${sayDay(addDays(on, 1))}`"
            @click="goTo(addDays(on, 1))"
          >
            ›
          </button>
          <CantCome />
          <button class="btn max-sm:hidden" @click="print">
            <Printer :size="17" aria-hidden="true" /> Print
          </button>
        </div>
      </div>
      <p class="hidden print:block">
        {{ sayFullDate(on) }}, {{ store.refit?.boatName }}, until {{ frame.to }}
      </p>
      <details class="mt-2 sm:hidden">
        <summary class="cond min-h-11 content-center">Where, who, hours</summary>
        <DaySetup
          :frame="frame"
          :people="people"
          :changed="dayPlan !== null"
          @set="set"
          @reset="reset"
        />
      </details>
      <DaySetup
        class="mt-2 max-sm:hidden"
        :frame="frame"
        :people="people"
        :changed="dayPlan !== null"
        @set="set"
        @reset="reset"
      />
      <GateNote :figures="store.derived.launch" />
      <WeatherRibbon
        class="mt-3"
        :hours="hours"
        :station="weather.station"
        :said="frame"
        :month-mean-c="monthMeanC"
        @set="set"
      />
      <p v-if="planner.busy" class="py-2 text-ink2" role="status">Planning the day…</p>
      <ol v-if="work.length > 0" aria-label="The day">
        <DayLineRow
          v-for="line in sheet?.lines"
          :key="`${line.kind}-${line.step?.id}-${line.from}`"
          :line="line"
          :holds="holding.has(line.step?.id ?? '')"
          :first="line === work[0]"
          :last="line === work.at(-1)"
          :peel="mendOf(line)"
          @done="line.step && edits.setState(line.step, 'done')"
          @up="move(line, -1)"
          @down="move(line, 1)"
        />
      </ol>
      <div
        v-else-if="!planner.busy && !planner.failed && !sheet?.notToday.length"
        class="my-6 max-w-lg border-l-4 border-verdigris pl-4"
      >
        <h2>Nothing is planned for {{ isToday ? 'today' : sayDay(on) }}</h2>
        <p v-if="store.rows.step.length === 0" class="mt-2">
          There are no steps to plan yet. Write what has to be done in
          <NuxtLink class="underline" :to="`/r/${store.refitId}/jobs`">Jobs</NuxtLink>.
        </p>
        <p v-else class="mt-2">
          Pick who is here and from when to when, and the day is worked out.
          <template v-if="nextDay">
            Or look at the next day with work,
            <button class="underline" @click="goTo(nextDay)">{{ sayDay(nextDay) }}</button>.
          </template>
        </p>
      </div>
      <section
        v-if="sheet && sheet.notToday.length > 0"
        class="mt-4 border-l-4 border-redlead pl-3"
      >
        <h2>Not today</h2>
        <p class="text-ink2">
          Planned for {{ isToday ? 'today' : 'this day' }}, but the weather of the day leaves no
          room.
        </p>
        <ul>
          <li
            v-for="one in sheet.notToday"
            :key="one.line.step?.id"
            class="border-b border-rule2 py-1.5"
          >
            <span class="cond text-lg">{{ one.line.step?.title }}</span>
            <span class="block text-ink2">{{ one.line.job?.title }} · {{ one.why }}</span>
          </li>
        </ul>
      </section>
      <section v-if="sheet && sheet.done.length > 0" class="mt-5">
        <h2>Done {{ isToday ? 'today' : 'that day' }}</h2>
        <ul>
          <li
            v-for="one in sheet.done"
            :key="one.step.id"
            class="flex flex-wrap items-center gap-x-3 border-b border-rule2 py-1"
          >
            <label class="flex min-w-0 grow items-center gap-2">
              <input
                type="checkbox"
                checked
                class="size-6 shrink-0 accent-(--verdigris)"
                :aria-label="`Done: ${one.step.title}`"
                @change="edits.setState(one.step, 'open')"
              />
              <span class="min-w-0"
                >{{ one.step.title }}<span class="block text-ink2">{{ one.job?.title }}</span></span
              >
            </label>
            <span v-if="one.hoursLogged > 0" class="cond text-lg whitespace-nowrap"
              >{{ formatHours(one.hoursLogged) }} logged</span
            >
            <button
              class="btn btn-small no-print"
              :class="{ 'btn-main': one.hoursLogged === 0 }"
              @click="frameStore.open('hours', one.step.id)"
            >
              {{ one.hoursLogged === 0 ? 'How long did it take?' : 'Log more' }}
            </button>
          </li>
        </ul>
      </section>
    </div>
    <aside
      class="border-rule max-xl:mt-5 xl:border-l xl:bg-sheet xl:px-4 xl:py-1"
      aria-label="For the day"
    >
      <section>
        <h2>Take with you</h2>
        <p v-if="!sheet || sheet.take.length === 0" class="text-ink2">
          All that is written down is there.
        </p>
        <ul>
          <li v-for="line in sheet?.take" :key="line.id" class="border-b border-rule2 py-1">
            <UiCheck :label="`${line.what}${line.amount ? `, ${line.amount}` : ''} — ${line.at}`" />
          </li>
        </ul>
      </section>
      <section v-if="bagsMissing.length > 0" class="mt-5 border-l-4 border-redlead pl-3">
        <h2>Bags to find</h2>
        <p class="text-ink2">
          Wanted within {{ bagNoticeDays }} days, and nobody wrote down where they are.
        </p>
        <ul>
          <li v-for="{ bag, step, at } in bagsMissing" :key="bag.id" class="py-1">
            <NuxtLink class="underline" :to="`/r/${store.refitId}/bags?bag=${bag.id}`"
              >{{ bag.code }} {{ bag.what }}</NuxtLink
            >
            <span class="block text-ink2"
              >for {{ step.title
              }}<template v-if="at !== null"
                >, {{ sayDay(store.derived.clock.dateOf(at)) }}</template
              ></span
            >
          </li>
        </ul>
      </section>
      <section v-if="sheet && sheet.overnight.length > 0" class="mt-5">
        <h2>Left to cure overnight</h2>
        <ul>
          <li v-for="one in sheet.overnight" :key="one.key" class="border-b border-rule2 py-1.5">
            {{ one.title }}
            <span class="block text-ink2"
              >{{ one.job ? `${one.job.title} · ` : ''
              }}{{
                one.until === Infinity
                  ? 'at these temperatures it does not cure'
                  : `until ${shortDateTime(one.until, store.derived.clock)}`
              }}</span
            >
          </li>
        </ul>
      </section>
      <section v-if="sheet && sheet.whileItCures.length > 0" class="mt-5">
        <h2>While it cures, same place</h2>
        <ul>
          <li
            v-for="{ step, job } in sheet.whileItCures"
            :key="step.id"
            class="border-b border-rule2 py-1.5"
          >
            {{ step.title }}
            <span class="block text-ink2"
              >{{ job?.title }} · {{ formatHours(plannedHours(step)) }}</span
            >
          </li>
        </ul>
      </section>
      <section v-if="sheet && sheet.forHelpers.length > 0" class="mt-5">
        <h2>Save for more hands</h2>
        <ul>
          <li
            v-for="{ step, job, why } in sheet.forHelpers"
            :key="step.id"
            class="border-b border-rule2 py-1.5"
          >
            {{ step.title }} <span class="block text-ink2">{{ job?.title }} · {{ why }}</span>
          </li>
        </ul>
      </section>
    </aside>
  </div>
</template>
