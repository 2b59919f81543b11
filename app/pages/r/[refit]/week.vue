<script setup lang="ts">
import { ChevronLeft, ChevronRight, Printer } from '@lucide/vue'
import { computed } from 'vue'
import { titleBeside } from '#core/model/namedStep'
import { howEarned, howGateMark } from '#core/how/inches'
import { howGateDate } from '#core/how/plan'
import { beforeAndAfter } from '#core/pictures/spots'
import { bindingChain } from '#core/plan/chain'
import { sayGate } from '#core/progress/gateWords'
import { addDays, isDate, mondayOf } from '#core/time/civil'
import { sayFullDate } from '#core/time/say'
import { formatHours } from '#core/units/hours'
import { formatInches } from '#core/units/length'
import { weekReview } from '#core/week/review'

/** What closed, hours against plan, what was found, what moved and why, what comes next. */
const store = useRefitStore()
const { sayDate, sayDay, shortDateTime } = useDates()
const route = useRoute()
const monday = computed(() => {
  const asked = route.query.week
  return mondayOf(typeof asked === 'string' && isDate(asked) ? asked : store.derived.today)
})
const review = computed(() => weekReview(store.rows, store.accepted, store.derived, monday.value))
const earnedHow = () =>
  howEarned(
    store.derived,
    store.rows.step.filter((step) => step.earnedIn !== null),
  )
function markHow(index: number) {
  const { gates } = store.derived
  const gate = gates[index]
  return gate ? howGateMark(gate, gates.slice(0, index), store.derived) : null
}
function dateHow(index: number) {
  const gate = store.derived.gates[index]
  if (!gate || !store.accepted) return null
  const chain = bindingChain(store.accepted, store.rows, gate.gate.id, store.derived.clock)
  return howGateDate(gate, chain, sayGate(gate, store.derived).leavesOut)
}
const pictures = computed(() => {
  const jobs = new Set(review.value.closed.map((one) => one.job?.id))
  const ofWeek = store.rows.picture.filter((one) => one.jobId !== null && jobs.has(one.jobId))
  return beforeAndAfter(ofWeek) ?? []
})
const go = (by: number) => goTo({ query: { week: addDays(monday.value, by * 7) } })
const print = () => window.print()
const days = (count: number) => `${Math.abs(count)} ${Math.abs(count) === 1 ? 'day' : 'days'}`
</script>

<template>
  <article class="max-w-4xl">
    <div class="flex flex-wrap items-center justify-between gap-2">
      <h1>
        The week from {{ sayDay(monday) }}: {{ formatInches(review.earnedIn) }} in,
        {{ review.closed.length }} {{ review.closed.length === 1 ? 'step' : 'steps' }} closed
      </h1>
      <div class="no-print flex gap-2">
        <button class="btn" aria-label="The week before" @click="go(-1)">
          <ChevronLeft :size="18" aria-hidden="true" />
        </button>
        <button class="btn" aria-label="The week after" @click="go(1)">
          <ChevronRight :size="18" aria-hidden="true" />
        </button>
        <button class="btn" @click="print"><Printer :size="17" aria-hidden="true" /> Print</button>
      </div>
    </div>
    <dl class="mt-2 grid items-baseline gap-x-6 gap-y-1 sm:grid-cols-[auto_auto_1fr]">
      <dt>Earned in all</dt>
      <dd class="cond text-lg sm:text-right">
        <UiHow :how="earnedHow"
          >{{ formatInches(store.derived.earnedIn) }} of
          {{ formatInches(store.derived.loaIn) }} in</UiHow
        >
      </dd>
      <dd class="max-sm:hidden" />
      <template v-for="(one, index) in store.derived.gates" :key="one.gate.id">
        <dt>{{ one.gate.name }}</dt>
        <dd class="cond text-lg sm:text-right">
          <UiHow :how="() => markHow(index)" :about="one.gate.name"
            >at {{ formatInches(one.markIn) }} in</UiHow
          >
        </dd>
        <dd class="cond text-lg">
          <UiHow v-if="one.plannedOn" :how="() => dateHow(index)" :about="one.gate.name">{{
            sayFullDate(one.plannedOn)
          }}</UiHow>
          <span v-else-if="one.gap" class="text-redlead">no date as it stands</span>
          <span v-else class="text-ink2">not planned yet</span>
        </dd>
      </template>
    </dl>
    <GateNote :figures="store.derived.launch" />
    <div class="mt-4 grid gap-x-8 gap-y-6 md:grid-cols-2">
      <section>
        <h2 class="border-b-2 border-ink">Closed</h2>
        <p v-if="review.closed.length === 0" class="mt-2 text-ink2">
          Nothing closed this week. A step ticked off moves the Tape.
        </p>
        <ul>
          <li
            v-for="{ step, job } in review.closed"
            :key="step.id"
            class="flex justify-between gap-3 border-b border-rule2 py-1.5"
          >
            <span
              >{{ step.title
              }}<span class="block text-ink2">{{ titleBeside(step, job) }}</span></span
            >
            <span class="cond text-lg whitespace-nowrap"
              >{{ formatInches(step.earnedIn ?? 0) }} in</span
            >
          </li>
        </ul>
      </section>
      <section>
        <h2 class="border-b-2 border-ink">Hours</h2>
        <dl class="mt-2 grid grid-cols-[1fr_auto] gap-y-1">
          <dt>Worked this week</dt>
          <dd class="cond text-right text-lg">{{ formatHours(review.hoursLogged) }}</dd>
          <dt>Planned for what closed</dt>
          <dd class="cond text-right text-lg">{{ formatHours(review.hoursPlannedOfClosed) }}</dd>
          <dt>Really took</dt>
          <dd class="cond text-right text-lg">{{ formatHours(review.hoursLoggedOnClosed) }}</dd>
        </dl>
        <p
          v-if="review.hoursPlannedOfClosed > 0 && review.hoursLoggedOnClosed > 0"
          class="mt-1 text-ink2"
        >
          That is {{ (review.hoursLoggedOnClosed / review.hoursPlannedOfClosed).toFixed(1) }}× what
          was guessed.
        </p>
        <h2 class="mt-5 border-b-2 border-ink">Found</h2>
        <p v-if="review.found.length === 0" class="mt-2 text-ink2">
          Nothing found, or nothing written down.
        </p>
        <ul class="mt-1 list-disc pl-5">
          <li v-for="finding in review.found" :key="finding.id">{{ finding.title }}</li>
        </ul>
      </section>
      <WeekPromise :key="monday" :monday="monday" />
      <section>
        <h2 class="border-b-2 border-ink">Next</h2>
        <DecisionLines near />
        <p v-if="review.next.length === 0" class="mt-2 text-ink2">
          {{
            monday < mondayOf(store.derived.today)
              ? 'This week is over; what came next is in the weeks after it.'
              : 'Nothing is planned after this week.'
          }}
        </p>
        <ul>
          <li v-for="one in review.next" :key="one.step.id" class="border-b border-rule2 py-1.5">
            {{ one.step.title }}
            <span class="block text-ink2">{{
              [shortDateTime(one.at, store.derived.clock), titleBeside(one.step, one.job)]
                .filter(Boolean)
                .join(' · ')
            }}</span>
          </li>
        </ul>
      </section>
      <section>
        <h2 class="border-b-2 border-ink">Moved, and why</h2>
        <p v-if="!review.compared" class="mt-2 text-ink2">
          There are no figures of the week before to compare with.
        </p>
        <p v-else-if="review.moved.length === 0" class="mt-2 text-ink2">No gate moved.</p>
        <ul>
          <li v-for="one in review.moved" :key="one.gateId" class="border-b border-rule2 py-1.5">
            <span class="cond text-lg">{{ one.name }}</span>: {{ days(one.days) }}
            {{ one.days > 0 ? 'later' : 'earlier' }}, {{ sayDate(one.from) }} to
            {{ sayDate(one.to) }}
          </li>
        </ul>
        <ul
          v-if="review.moved.length > 0 && review.why.length > 0"
          class="mt-1 list-disc pl-5 text-ink2"
        >
          <li v-for="reason in review.why" :key="reason">{{ reason }}</li>
        </ul>
      </section>
    </div>
    <figure v-if="pictures.length === 2" class="mt-6 grid grid-cols-2 gap-4">
      <img
        v-for="one in pictures"
        :key="one.id"
        :src="`/api/pictures/${one.hash}`"
        :alt="one.caption || one.moment"
        class="w-full border border-ink"
      />
    </figure>
  </article>
</template>
