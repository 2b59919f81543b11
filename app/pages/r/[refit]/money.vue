<script setup lang="ts">
import { computed, ref } from 'vue'
import { howLikely } from '#core/how/money'
import { unpricedParts } from '#core/stores/storeFacts'
import { costScene } from '#core/money/costScene'
import { overall } from '#core/forecast/calibration'
import { sayMonth } from '#core/time/say'
import { formatHours } from '#core/units/hours'
import type { TradeAccount } from '#core/money/tradeAccount'

/** What has it cost, what will it cost? */
const store = useRefitStore()
const route = useRoute()
const { money, inchAt, outcome, say, sayWhole } = useMoney()
const { odds, datesOf } = useOdds()
const { sayDate } = useDates()
const trades = useTradeAccounts()
const proposals = useProposal()
const views = [
  { value: 'cost', label: 'Cost and date', short: 'Cost' },
  { value: 'hours', label: 'Hours and trades', short: 'Hours' },
  { value: 'spends', label: 'Spends', short: 'Spends' },
] as const
type View = (typeof views)[number]['value']
const view = computed<View>(
  () => views.find((one) => one.value === route.query.show)?.value ?? 'cost',
)
const show = (value: View) =>
  void goTo({ path: route.path, query: { show: value } }, { replace: true })

useKeyScope({ pagePrint: () => window.print() })

const account = ref<string | null>(null)
const spendId = ref<string | null>(null)
const isNew = ref(false)
const start = ref<Record<string, unknown>>({})
function openSpend(id: string) {
  account.value = null
  spendId.value = id
}
function newSpend(given: Record<string, unknown> = {}) {
  start.value = given
  isNew.value = true
}
function closeSpend() {
  spendId.value = null
  isNew.value = false
}
const bill = ref<TradeAccount | null>(null)
const pay = (one: TradeAccount) =>
  newSpend({
    what: one.booking.trade,
    kind: 'trade',
    minor: one.payableMinor,
    bookingId: one.booking.id,
  })

const goneAtIn = computed(
  () =>
    costScene(
      money.value,
      store.derived.loaIn,
      store.derived.earnedIn,
      inchAt.value,
      () => '',
      outcome.value,
    ).goneAtIn,
)
/** Cost and last gate as the runs have them: even odds and safe; null: none of this plan. */
const ends = computed(() => {
  const last = store.derived.gates.filter((one) => one.plannedOn !== null).at(-1)
  const dates = last ? datesOf(last.gate.id) : null
  return outcome.value && { ...outcome.value, ...dates }
})
/** The share of runs beyond what is set aside holds while neither it nor what is likely was changed since. */
const isReserveKnown = computed(() => {
  const cost = ends.value && odds.stored?.cost
  const { plannedMinor, likelyMinor, contingency } = money.value
  return (
    !!cost &&
    contingency.totalMinor > 0 &&
    cost.likelyMinor === likelyMinor &&
    cost.reserveMinor === plannedMinor + contingency.totalMinor
  )
})
const on = (date: string | null | undefined) => (date ? ` on ${sayDate(date)}` : '')
const unpriced = computed(() => unpricedParts(store.rows).length)
const hasMoney = computed(() => money.value.plannedMinor > 0 || money.value.lines.length > 0)
const shares = computed(() => {
  const { contingency, plannedMinor, accounts } = money.value
  const inches = Math.round((store.derived.earnedIn / Math.max(1, store.derived.loaIn)) * 100)
  const used = accounts.reduce((sum, one) => sum + one.plannedMinor - one.planLeftMinor, 0)
  const of = (part: number, all: number) => (all > 0 ? Math.round((part / all) * 100) : 0)
  return {
    burnt: of(contingency.burntMinor, contingency.totalMinor),
    inches,
    money: of(used, plannedMinor),
  }
})
const guess = computed(() => overall(store.rows))
const beyond = computed(() => trades.value.find((one) => one.beyondMinor > 0) ?? null)
const spends = computed(() =>
  [...money.value.lines]
    .filter((one) => one.isSpent)
    .reverse()
    .map((one) => ({ ...one, id: one.key })),
)
/** Spends by month, the latest first. */
const months = computed(() => {
  const sums = new Map<string, number>()
  for (const one of money.value.lines)
    if (one.isSpent)
      sums.set(one.on?.slice(0, 7) ?? '', (sums.get(one.on?.slice(0, 7) ?? '') ?? 0) + one.minor)
  return [...sums].sort((a, b) => (a[0] < b[0] ? 1 : -1))
})
const monthName = (month: string) => (month === '' ? 'no day' : sayMonth(month))
</script>

<template>
  <div>
    <div class="flex items-start justify-between gap-2 max-lg:flex-wrap">
      <h1 class="min-w-0">
        <template v-if="view === 'cost'">
          <template v-if="hasMoney">
            <template v-if="ends">
              Likely
              <UiHow about="all of it" :how="() => howLikely(money, ends)">{{
                sayWhole(ends.p50)
              }}</UiHow
              >{{ on(ends.likelyOn) }}, safe {{ sayWhole(ends.p80) }}{{ on(ends.safeOn) }}.
            </template>
            <template v-else>
              Likely
              <UiHow about="all of it" :how="() => howLikely(money)">{{
                say(money.likelyMinor)
              }}</UiHow
              >, planned {{ say(money.plannedMinor) }}.
            </template>
            <span v-if="goneAtIn !== null" class="text-redlead">
              {{
                goneAtIn <= store.derived.earnedIn
                  ? 'The contingency is gone'
                  : `The contingency is gone at ${Math.round(goneAtIn)} in`
              }}
            </span>
          </template>
          <template v-else>What it costs</template>
        </template>
        <template v-else-if="view === 'hours'">
          <template v-if="guess.steps > 0"
            >An hour you guess takes {{ guess.factor.toFixed(1) }}.</template
          >
          <template v-else>Hours and trades.</template>
          <span v-if="beyond" class="ml-2 text-redlead">
            {{ beyond.booking.trade }} bills {{ say(beyond.beyondMinor) }} more than was agreed
          </span>
        </template>
        <template v-else>{{ say(money.spentMinor) }} paid so far</template>
      </h1>
      <NuxtLink class="btn btn-small no-print ml-auto shrink-0" :to="`/r/${store.refitId}/report`"
        >Report</NuxtLink
      >
      <button class="btn btn-small no-print shrink-0" @click="newSpend()">What was paid</button>
      <UiPages
        label="Page of the money"
        :pages="views"
        :model-value="view"
        @update:model-value="show($event)"
      />
    </div>

    <template v-if="view === 'cost'">
      <div v-if="!hasMoney" class="my-4 max-w-xl border-l-4 border-verdigris pl-4">
        <h2>No sums yet</h2>
        <p class="mt-1">
          Type one for each system below, or let a recipe guess its parts. Orders, trades and the
          yard's prices come in by themselves; what else was paid is written down here.
        </p>
        <p v-if="unpriced > 0" class="mt-1">
          {{ unpriced === 1 ? 'One part is' : `${unpriced} parts are` }} wanted and
          {{ unpriced === 1 ? 'has' : 'have' }} no price:
          <NuxtLink class="underline" :to="`/r/${store.refitId}/stores`">write it at each</NuxtLink>
          or
          <NuxtLink class="underline" :to="`/r/${store.refitId}/prices`">read a price list</NuxtLink
          >.
        </p>
      </div>
      <template v-else>
        <CostChart class="mt-1" />
        <p class="mt-1 leading-snug">
          <template v-if="money.contingency.totalMinor > 0">
            Contingency left {{ say(money.contingency.leftMinor) }} of
            {{ say(money.contingency.totalMinor) }}: {{ shares.burnt }} % burnt at
            {{ shares.inches }} % of the inches and {{ shares.money }} % of the planned money.
          </template>
          <template v-else>No contingency is set aside.</template>
          <template v-if="isReserveKnown && odds.stored">
            {{ Math.round(odds.stored.cost.beyondReserve * 100) }} runs of 100 cost more than what
            is planned and set aside.
          </template>
        </p>
      </template>
      <div
        class="mt-3 grid gap-x-6 gap-y-5 lg:grid-cols-[minmax(0,38rem)_minmax(0,1fr)_minmax(0,1fr)]"
      >
        <div class="grid content-start gap-3">
          <SystemTapes @open="account = $event" />
          <RowField
            v-if="store.refit"
            entity="refit"
            :row="store.refit"
            field="contingencyPercent"
            class="no-print max-w-56"
          />
          <GateForecasts class="mt-2" />
        </div>
        <div class="grid content-start gap-5">
          <YardMeter />
          <LiftDates />
        </div>
        <div class="grid content-start gap-5">
          <DoubtList />
          <OwedList @trades="show('hours')" />
        </div>
      </div>
    </template>

    <div
      v-else-if="view === 'hours'"
      class="mt-1 grid grid-cols-[minmax(0,1fr)] gap-x-7 gap-y-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
    >
      <div class="grid grid-cols-[minmax(0,1fr)] content-start gap-4">
        <GuessTruth />
        <CalibrateSwitch @propose="proposals.propose($event)" />
        <HoursStrokes />
      </div>
      <div class="grid grid-cols-[minmax(0,1fr)] content-start gap-4">
        <section aria-labelledby="trades">
          <h2 id="trades" class="border-b-2 border-ink text-lg">Do the two halves match?</h2>
          <p v-if="trades.length === 0" class="mt-1 text-ink2">
            No trade is asked yet. A step that a trade does is booked in its job.
          </p>
          <div class="grid grid-cols-[minmax(0,1fr)] gap-4">
            <TradeTally
              v-for="one in trades.filter((each) => each.billedMinor > 0 || each.paidMinor > 0)"
              :key="one.booking.id"
              :account="one"
              @pay="pay"
              @bill="bill = $event"
            />
          </div>
          <ul class="mt-2">
            <li
              v-for="one in trades.filter((each) => each.billedMinor === 0 && each.paidMinor === 0)"
              :key="one.booking.id"
              class="grid grid-cols-[1fr_5rem_auto] items-center gap-3 border-b border-rule2 py-1"
            >
              <NuxtLink
                class="underline max-sm:min-h-11"
                :to="`/r/${store.refitId}/trade/${one.booking.id}`"
                >{{ one.booking.trade }}</NuxtLink
              >
              <span class="cond text-right">{{
                one.agreedMinor > 0 ? say(one.agreedMinor) : 'no price'
              }}</span>
              <button class="btn btn-small" @click="bill = one">
                A bill came<span class="sr-only"> from {{ one.booking.trade }}</span>
              </button>
            </li>
          </ul>
        </section>
        <div class="grid gap-x-6 gap-y-4 sm:grid-cols-2">
          <DoneTwice />
          <InchCost />
        </div>
        <p class="text-ink2">
          {{ formatHours(store.derived.hoursOpen) }} of work are left as planned.
        </p>
      </div>
    </div>

    <div v-else class="mt-2 grid gap-6 lg:grid-cols-[1fr_16rem]">
      <MoneyLines
        :rows="spends"
        caption="What was paid"
        empty="Nothing was paid yet. Orders come in when they are paid; the rest is written down here."
        @spend="openSpend"
      />
      <section aria-labelledby="by-month">
        <h2 id="by-month" class="border-b-2 border-ink text-lg">By month</h2>
        <dl class="grid grid-cols-[1fr_auto] gap-x-3">
          <template v-for="[month, minor] in months" :key="month">
            <dt>
              <NuxtLink
                v-if="month !== ''"
                class="underline max-sm:inline-flex max-sm:min-h-11 max-sm:items-center"
                :to="`/r/${store.refitId}/report?of=${month}`"
                >{{ monthName(month) }}</NuxtLink
              >
              <template v-else>{{ monthName(month) }}</template>
            </dt>
            <dd class="cond text-right">{{ say(minor) }}</dd>
          </template>
          <dt class="cond border-t border-ink">Together</dt>
          <dd class="cond border-t border-ink text-right">{{ say(money.spentMinor) }}</dd>
        </dl>
      </section>
    </div>

    <AccountDialog :open="account" @close="account = null" @spend="openSpend" />
    <SpendDialog
      :open="isNew || spendId !== null"
      :spend-id="spendId"
      :start="start"
      @close="closeSpend"
    />
    <InvoiceDialog :account="bill" @close="bill = null" />
    <ProposalDialog :of="proposals" @close="proposals.leave" @take="proposals.accept" />
  </div>
</template>
