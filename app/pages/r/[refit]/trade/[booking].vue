<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import type { Row } from '#core/model/entities'
import { bookingStates, proposalAnswers } from '#core/model/said'
import { inOrder } from '#core/model/refit'
import { keysAfter } from '#core/model/order'
import { formatMoney } from '#core/money/money'
import { answering, takingOff } from '#core/stores/answerProposal'
import type { Answered } from '#core/stores/answerProposal'
import { isUnanswered, tradeSum } from '#core/stores/tradeSheet'

/** What a trade is asked to look at, line by line: what they propose, what is taken, what came of it. */
const store = useRefitStore()
const route = useRoute()
const { sayDay } = useDates()
const personId = useMe()
const lines = useRows('tradeItem')
type Item = Row<'tradeItem'>
const booking = computed(
  () => store.rows.tradeBooking.find((one) => one.id === route.params.booking) ?? null,
)
const step = computed(() => store.rows.step.find((one) => one.id === booking.value?.stepId) ?? null)
const job = computed(() => store.rows.job.find((one) => one.id === step.value?.jobId) ?? null)
const items = computed(() =>
  inOrder(store.rows.tradeItem.filter((one) => one.bookingId === booking.value?.id)),
)
const currency = computed(() => store.refit?.currency ?? 'EUR')
const sum = computed(() => tradeSum(booking.value?.priceMinor ?? null, items.value, currency.value))
const money = (minor: number) => formatMoney(minor, currency.value)
/** Findings that their job puts right, and that are on no line yet. */
const found = computed(() =>
  store.rows.finding.filter(
    (one) =>
      one.state !== 'gone' &&
      (one.jobId === job.value?.id || one.duringJobId === job.value?.id) &&
      !items.value.some((item) => item.what === one.title),
  ),
)
const pictureOf = (findingId: string) =>
  store.rows.picture.find((one) => one.findingId === findingId)?.id ?? null
const pictures = computed(() =>
  store.rows.picture
    .filter(
      (one) =>
        one.jobId === job.value?.id ||
        store.rows.finding.some(
          (finding) => finding.id === one.findingId && finding.jobId === job.value?.id,
        ),
    )
    .map((one) => ({
      value: one.id,
      label: one.caption || `Picture of ${sayDay(store.zone.dateOf(one.takenAt))}`,
    })),
)
const hashOf = (id: string | null) => store.rows.picture.find((one) => one.id === id)?.hash ?? null
const text = ref('')
const nextOrders = (many: number) => keysAfter(items.value.at(-1)?.order ?? null, many)
async function add() {
  if (!booking.value || text.value.trim() === '') return
  const patch = { bookingId: booking.value.id, what: text.value.trim(), order: nextOrders(1)[0] }
  if (await lines.add(patch)) text.value = ''
}
async function takeFindings() {
  const bookingId = booking.value?.id
  if (!bookingId) return
  const orders = nextOrders(found.value.length)
  await store.attempt(
    'Findings on the sheet',
    found.value.map((one, index): ChangeItem => ({
      op: 'create',
      entity: 'tradeItem',
      id: newId(),
      patch: { bookingId, what: one.title, pictureId: pictureOf(one.id), order: orders[index] },
    })),
  )
}
const bookings = useRows('tradeBooking')
const openId = ref<string | null>(null)
const open = computed(() => items.value.find((one) => one.id === openId.value) ?? null)
/** A longer stay is planned with and shown first; what moves nothing is written at once. */
const longer = useProposal()
const answerWords = { ...proposalAnswers, open: 'not answered' }
function answer(item: Item, to: 'taken' | 'left' | 'open') {
  if (!booking.value) return
  const { today } = store.derived
  const by = { today, personId: personId.value === '' ? null : personId.value }
  const made = answering(booking.value, items.value, item, to, by)
  void put(booking.value, `${item.proposal}: ${answerWords[to]}`, made)
}
async function takeOff(item: Item) {
  if (!booking.value) return
  const made = takingOff(booking.value, items.value, item)
  if (await put(booking.value, `${item.what}: off the sheet`, made)) openId.value = null
}
/** Written at once, or proposed where it moves the booking. True: it is written. */
async function put(of: Row<'tradeBooking'>, label: string, { items: made, until }: Answered) {
  if (until === null) return store.attempt(label, made)
  openId.value = null
  await longer.propose({
    label,
    does: `${of.trade} is there until ${sayDay(until)}, not ${sayDay(of.to)}.`,
    items: made,
  })
  return false
}
const answered = (item: Item) => {
  if (item.answer === 'none') return isUnanswered(item) ? proposalAnswers.open : ''
  const who = store.rows.person.find((one) => one.id === item.answeredById)?.name
  const on = item.answeredOn ? ` ${sayDay(item.answeredOn)}` : ''
  return `${proposalAnswers[item.answer]}${on}${who ? ` by ${who}` : ''}`
}
const sayDays = (days: number) =>
  days === 0.5 ? 'half a day' : `${days} ${days === 1 ? 'day' : 'days'}`
const worth = (item: Item) =>
  [
    item.proposalMinor === null ? '' : money(item.proposalMinor),
    item.proposalDays ? `${sayDays(item.proposalDays)} more` : '',
  ]
    .filter(Boolean)
    .join(', ')
const print = () => window.print()
</script>

<template>
  <div v-if="!booking || !step" class="max-w-lg">
    <h1>There is no such booking here</h1>
    <NuxtLink class="btn mt-3" :to="`/r/${store.refitId}/stores?show=orders`"
      >To the orders</NuxtLink
    >
  </div>
  <article v-else class="max-w-4xl">
    <div class="flex flex-wrap items-start justify-between gap-3">
      <div class="min-w-0">
        <p class="cond text-ink2">{{ booking.trade }} · {{ store.refit?.boatName }}</p>
        <h1>{{ step.title }}</h1>
        <p class="leading-snug">
          {{ job?.title }}, {{ bookingStates[booking.state] }} for {{ sayDay(booking.from)
          }}<template v-if="booking.to !== booking.from"> to {{ sayDay(booking.to) }}</template>.
        </p>
      </div>
      <button class="btn no-print" @click="print">
        <Printer :size="17" aria-hidden="true" /> Print
      </button>
    </div>
    <ol class="mt-4 border-t-2 border-ink">
      <li v-for="(item, at) in items" :key="item.id" class="border-b border-rule2 py-2">
        <div class="grid grid-cols-[1.75rem_1fr_auto] items-start gap-x-2">
          <span class="cond text-xl leading-tight">{{ at + 1 }}</span>
          <div class="min-w-0">
            <button
              class="text-left leading-snug underline decoration-rule underline-offset-4 max-sm:min-h-11 print:no-underline"
              @click="openId = item.id"
            >
              {{ item.what }}
            </button>
            <p v-if="item.proposal" class="leading-snug">
              They propose: {{ item.proposal
              }}<template v-if="worth(item)">, {{ worth(item) }}</template>.
              <span
                class="cond"
                :class="{
                  'text-redlead': isUnanswered(item),
                  'text-verdigris': item.answer === 'taken',
                }"
                >{{ answered(item) }}</span
              >
            </p>
            <p v-else class="mt-3 hidden border-b border-ink print:block">&nbsp;</p>
            <div class="no-print mt-1 flex flex-wrap gap-2">
              <template v-if="isUnanswered(item)">
                <button class="btn btn-small" @click="answer(item, 'taken')">
                  Take it<span class="sr-only">: {{ item.proposal }}</span>
                </button>
                <button class="btn btn-small" @click="answer(item, 'left')">
                  Leave it<span class="sr-only">: {{ item.proposal }}</span>
                </button>
              </template>
              <RowField
                v-if="booking.state === 'came'"
                entity="tradeItem"
                :row="item"
                field="done"
                hide-label
                quiet
                :label="`Done: ${item.what}`"
              />
              <span v-if="item.invoiceMinor !== null" class="self-center text-ink2">
                {{ money(item.invoiceMinor) }} on the invoice
              </span>
            </div>
          </div>
          <img
            v-if="hashOf(item.pictureId)"
            :src="`/api/pictures/${hashOf(item.pictureId)}?small`"
            :alt="item.what"
            class="h-24 w-32 border border-rule object-cover"
          />
        </div>
      </li>
      <li v-if="items.length === 0" class="py-3 text-ink2">
        Nothing is on it yet. What worries you is written line by line: each is answered, done and
        paid by itself.
      </li>
    </ol>
    <div class="mt-2 flex flex-wrap items-baseline justify-between gap-3">
      <p class="cond text-lg">
        <template v-if="sum.agreedMinor !== null">Agreed {{ money(sum.agreedMinor) }}</template>
        <template v-else>No price is said yet</template>
        <template v-if="sum.takenMinor > 0"
          >, {{ money(sum.takenMinor) }} of it taken since</template
        >
        <template v-if="sum.takenDays > 0">, {{ sayDays(sum.takenDays) }} more</template>
        <template v-if="sum.invoicedMinor > 0"
          >; on the invoice {{ money(sum.invoicedMinor) }}</template
        >
      </p>
    </div>
    <ul v-if="sum.questions.length > 0" class="mt-1 border-l-4 border-redlead pl-3">
      <li v-for="question in sum.questions" :key="question">{{ question }}</li>
    </ul>
    <p class="mt-6 hidden print:block">
      Agreed on <span class="mx-2 inline-block w-32 border-b border-ink" /> by
      <span class="mx-2 inline-block w-48 border-b border-ink" />
    </p>
    <form class="no-print mt-4 flex items-end gap-2" @submit.prevent="add">
      <UiText v-model="text" label="Something they look at or do" class="grow" />
      <button class="btn btn-main">Add</button>
    </form>
    <button v-if="found.length > 0" class="btn no-print mt-2" @click="takeFindings">
      {{
        found.length === 1
          ? 'Put what was found there on it'
          : `Put the ${found.length} findings of the job on it`
      }}
    </button>
    <section class="no-print mt-6 border-t border-rule pt-3" aria-label="The booking">
      <h2>The booking</h2>
      <div class="mt-2 grid gap-3 sm:grid-cols-3">
        <RowField entity="tradeBooking" :row="booking" field="trade" />
        <RowField entity="tradeBooking" :row="booking" field="from" />
        <RowField entity="tradeBooking" :row="booking" field="to" />
        <RowField entity="tradeBooking" :row="booking" field="state" />
        <RowField entity="tradeBooking" :row="booking" field="priceMinor" />
        <RowField entity="tradeBooking" :row="booking" field="noticeDays" />
      </div>
      <WeekdayTicks
        label="They come on"
        :of="booking.trade"
        :weekdays="booking.comesOn"
        @tick="bookings.tick(booking, 'comesOn', $event)"
      />
    </section>
    <ProposalDialog :of="longer" take="Write it down" @close="longer.leave" @take="longer.accept" />
    <UiDialog :open="open !== null" :title="open?.what ?? ''" @close="openId = null">
      <div v-if="open" class="grid gap-3 sm:grid-cols-2">
        <RowField entity="tradeItem" :row="open" field="what" class="sm:col-span-2" />
        <RowField
          entity="tradeItem"
          :row="open"
          field="pictureId"
          :options="pictures"
          none="No picture"
        />
        <RowField entity="tradeItem" :row="open" field="done" />
        <p v-if="open.answer === 'taken'" class="leading-snug sm:col-span-2">
          Taken: {{ open.proposal || 'no words for it'
          }}<template v-if="worth(open)">, {{ worth(open) }}</template>. What was agreed changes
          when it is thought over again.
        </p>
        <template v-else>
          <RowField entity="tradeItem" :row="open" field="proposal" class="sm:col-span-2" />
          <RowField entity="tradeItem" :row="open" field="proposalMinor" />
          <RowField entity="tradeItem" :row="open" field="proposalDays" />
        </template>
        <RowField entity="tradeItem" :row="open" field="invoiceMinor" />
        <button
          v-if="open.answer === 'taken' || open.answer === 'left'"
          class="btn self-end justify-self-start"
          @click="answer(open, 'open')"
        >
          Think it over again
        </button>
        <button class="btn self-end justify-self-start" @click="takeOff(open)">
          Take it off the sheet
        </button>
      </div>
    </UiDialog>
  </article>
</template>
