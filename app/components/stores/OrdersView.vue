<script setup lang="ts">
import { computed, ref } from 'vue'
import { exactMoney, formatMoney } from '#core/money/money'
import type { Row } from '#core/model/entities'
import { patchOf } from '#core/model/removal'
import { landed } from '#core/stores/landed'
import type { LineState } from '#core/stores/lineState'
import { dueItems } from '#core/stores/ordering'
import type { StoreFacts } from '#core/stores/storeFacts'

/** Orders: what was ordered, what came of it, what is next, and what each line costs with its share of freight and tax. */
const props = defineProps<{ facts: StoreFacts; currency: string; chosen: string | null }>()
const emit = defineEmits<{ came: [lineId: string]; choose: [orderId: string] }>()
const store = useRefitStore()
const { sayDay, sayDate } = useDates()
type Purchase = Row<'purchase'>
const linesOf = (order: Purchase): LineState[] =>
  [...props.facts.lines.values()].filter((one) => one.line.purchaseId === order.id)
const isOpen = (order: Purchase) =>
  order.orderedOn === null ||
  linesOf(order).some((one) => one.toCome > 0 || one.unchecked > 0 || one.faulty > 0)
/** Faulty goods, and what should be here by now. */
const asks = (order: Purchase) =>
  linesOf(order).some(
    (one) =>
      one.faulty > 0 || (one.toCome > 0 && (one.dueOn === null || one.dueOn < store.derived.today)),
  )
const urgency = (order: Purchase) => (asks(order) ? 0 : isOpen(order) ? 1 : 2)
const orders = computed(() =>
  [...store.rows.purchase].sort(
    (a, b) => urgency(a) - urgency(b) || ((b.orderedOn ?? '9') < (a.orderedOn ?? '9') ? -1 : 1),
  ),
)
/** The one that asks most when the page is opened stays in sight when it asks no more. */
const first = ref(orders.value[0]?.id ?? null)
const order = computed(
  () =>
    orders.value.find((one) => one.id === (props.chosen ?? first.value)) ?? orders.value[0] ?? null,
)
const supplierName = (one: Purchase) =>
  store.rows.supplier.find((two) => two.id === one.supplierId)?.name ?? 'No supplier'
/** "two lines short, two faulty", or that it is all here. */
function stateOf(one: Purchase): string {
  if (one.orderedOn === null) return 'not sent yet'
  const lines = linesOf(one)
  if (lines.length === 0) return 'no lines'
  const said = [
    [lines.filter((line) => line.toCome > 0).length, 'to come'],
    [lines.filter((line) => line.unchecked > 0).length, 'not checked'],
    [lines.filter((line) => line.faulty > 0).length, 'faulty'],
  ] as const
  const open = said.filter(([many]) => many > 0)
  return open.length === 0
    ? 'here and checked'
    : open.map(([many, words]) => `${many} ${words}`).join(', ')
}
const sums = computed(() => order.value && landed(store.rows, order.value, props.currency))
const orderCurrency = computed(() => order.value?.currency || props.currency)
const tidy = (amount: number) => String(Math.round(amount * 1000) / 1000)
const dateOfCame = (line: LineState) =>
  line.deliveries
    .map((one) => one.cameOn)
    .sort()
    .at(-1)
/** What is next of a line, the most pressing first. */
function nextOf(line: LineState): { text: string; isRed: boolean } {
  if (line.faulty > 0) {
    const by = line.returnBy ? `, back by ${sayDate(line.returnBy)}` : ''
    const fault = line.deliveries.find((one) => one.fault !== '')?.fault
    return { text: `${tidy(line.faulty)} faulty${fault ? `, ${fault}` : ''}${by}`, isRed: true }
  }
  if (line.toCome > 0) {
    const due = line.dueOn
    const isPast = due !== null && due < store.derived.today
    return {
      text: `${tidy(line.toCome)} to come${due ? `, due ${sayDate(due)}` : ', no date'}`,
      isRed: isPast || due === null,
    }
  }
  if (line.unchecked > 0) return { text: 'here, not checked', isRed: true }
  const batch = line.deliveries.find((one) => one.batch !== '')?.batch
  const off = line.deliveries.find((one) => one.expiresOn !== null)?.expiresOn
  const more = [batch ? `batch ${batch}` : '', off ? `good until ${sayDate(off)}` : '']
  const over = line.over > 0 ? [`${tidy(line.over)} over: on the shelf`] : []
  return { text: ['checked', ...over, ...more].filter(Boolean).join(', '), isRed: false }
}
const due = ref<LineState | null>(null)
const newDue = ref<string | null>(null)
function askDue(line: LineState) {
  due.value = line
  newDue.value = line.dueOn
}
async function saveDue() {
  const line = due.value
  if (!line) return
  const label = `${line.line.name} is due on another day`
  if (await store.attempt(label, dueItems(store.rows, line.line, newDue.value))) due.value = null
}
/** Looked at: count, hand and size are right. */
const check = (line: LineState) =>
  void store.attempt(
    `${line.line.name} checked`,
    line.deliveries
      .filter((one) => one.checkedOn === null)
      .map((one) => patchOf('delivery', one, { checkedOn: store.derived.today })),
  )
const sentBack = (line: LineState) =>
  void store.attempt(
    `${line.line.name} sent back`,
    line.deliveries
      .filter((one) => one.faulty > one.returned)
      .map((one) => patchOf('delivery', one, { returned: one.faulty })),
  )
</script>

<template>
  <div v-if="orders.length === 0" class="max-w-lg border-l-4 border-verdigris pl-4">
    <h2>Nothing is ordered yet</h2>
    <p class="mt-2">
      Open a row under “When to buy” and press “Order it”: the order, its lines and the parts they
      are for are written down in one go.
    </p>
  </div>
  <div v-else class="grid gap-5 lg:grid-cols-[20rem_1fr]">
    <nav aria-label="Orders" class="max-h-[34rem] overflow-y-auto border border-rule bg-sheet">
      <ul>
        <li v-for="one in orders" :key="one.id">
          <button
            class="grid w-full grid-cols-[1fr_auto] gap-x-2 border-b border-rule2 px-3 py-1.5 text-left hover:bg-brass-tint max-sm:min-h-11"
            :class="{ 'bg-brass-tint': one.id === order?.id }"
            :aria-current="one.id === order?.id ? 'true' : undefined"
            @click="emit('choose', one.id)"
          >
            <span class="cond">{{ one.number }}, {{ supplierName(one) }}</span>
            <span class="text-[0.9375rem] text-ink2">{{
              one.orderedOn ? sayDate(one.orderedOn) : ''
            }}</span>
            <span
              class="col-span-2 text-[0.9375rem]"
              :class="asks(one) ? 'text-redlead' : 'text-ink2'"
              >{{ stateOf(one) }}</span
            >
          </button>
        </li>
      </ul>
    </nav>
    <section v-if="order && sums" :aria-label="`Order ${order.number}`">
      <div class="flex flex-wrap items-baseline justify-between gap-2 border-b-2 border-ink">
        <h2>Order {{ order.number }}, {{ supplierName(order) }}</h2>
        <p class="text-ink2">
          <template v-if="order.orderedOn">ordered {{ sayDay(order.orderedOn) }}</template
          ><template v-if="order.dueOn">, promised for {{ sayDate(order.dueOn) }}</template>
        </p>
      </div>
      <UiTable
        :caption="`Lines of order ${order.number}`"
        :columns="[
          { key: 'what', label: 'What' },
          { key: 'ordered', label: 'Ordered', number: true },
          { key: 'came', label: 'Came', number: true },
          { key: 'next', label: 'What is next' },
          { key: 'landed', label: 'Landed', number: true },
        ]"
        :rows="linesOf(order).map((one) => ({ ...one, id: one.line.id }))"
        empty="It has no lines."
      >
        <template #what="{ row }">{{ row.line.name }}</template>
        <template #ordered="{ row }">{{ tidy(row.line.quantity) }} {{ row.line.unit }}</template>
        <template #came="{ row }">
          <span class="cond" :class="{ 'text-redlead': row.toCome > 0 }">{{ tidy(row.came) }}</span>
        </template>
        <template #next="{ row }">
          <span :class="{ 'cond text-redlead': nextOf(row).isRed }">{{ nextOf(row).text }}</span>
          <template v-if="dateOfCame(row)">
            <span class="text-ink2">, came {{ sayDate(dateOfCame(row)!) }}</span>
          </template>
          <div
            v-if="row.toCome > 0 || row.unchecked > 0 || row.faulty > 0"
            class="no-print mt-1 flex flex-wrap gap-2"
          >
            <button v-if="row.toCome > 0" class="btn btn-small" @click="emit('came', row.line.id)">
              It came
            </button>
            <button v-if="row.toCome > 0" class="btn btn-small" @click="askDue(row)">
              Another day
            </button>
            <button v-if="row.unchecked > 0" class="btn btn-small" @click="check(row)">
              Checked
            </button>
            <button v-if="row.faulty > 0" class="btn btn-small" @click="sentBack(row)">
              Sent back
            </button>
          </div>
        </template>
        <template #landed="{ row }">
          {{
            (sums.lines.find((one) => one.line.id === row.line.id)?.landedMinor ?? null) === null
              ? 'no price'
              : exactMoney(
                  sums.lines.find((one) => one.line.id === row.line.id)?.landedMinor ?? 0,
                  orderCurrency,
                )
          }}
        </template>
      </UiTable>
      <p class="flex items-baseline justify-between gap-3 px-2 py-1">
        <span class="text-ink2">
          goods {{ exactMoney(sums.goodsMinor, orderCurrency) }}, freight
          {{ exactMoney(order.freightMinor, orderCurrency) }}, tax
          {{ exactMoney(order.taxMinor, orderCurrency) }}, shared by price to the cent
          <template v-if="sums.unpriced > 0"
            >; {{ sums.unpriced }} {{ sums.unpriced === 1 ? 'line has' : 'lines have' }} no
            price</template
          >
        </span>
        <span class="cond border-t-2 border-ink text-lg">{{
          exactMoney(sums.totalMinor, orderCurrency)
        }}</span>
      </p>
      <p v-if="order.currency && order.currency !== currency" class="px-2 text-ink2">
        {{ formatMoney(sums.ownTotalMinor, currency) }} at {{ order.rate }} of
        {{ order.rateOn ? sayDate(order.rateOn) : 'no date' }}.
      </p>
    </section>
    <UiDialog
      :open="due !== null"
      :title="`${due?.line.name ?? ''}: when does it come?`"
      @close="due = null"
    >
      <form class="grid gap-4" @submit.prevent="saveDue">
        <UiDate v-model="newDue" label="Due on" may-be-empty />
        <p class="text-ink2">Empty: nobody knows. The plan follows it.</p>
        <div class="flex gap-2">
          <button class="btn btn-main">Keep</button>
          <button type="button" class="btn" @click="due = null">Leave</button>
        </div>
      </form>
    </UiDialog>
  </div>
</template>
