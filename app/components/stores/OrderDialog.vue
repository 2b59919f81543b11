<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { addDays, daysBetween } from '#core/time/civil'
import { formatMoney } from '#core/money/money'
import type { BuyRow } from '#core/stores/board'
import { nextNumber, orderItems } from '#core/stores/ordering'
import type { LineDraft, OrderDraft } from '#core/stores/ordering'
import { lineUnit } from '#core/stores/pool'

/** An order to one supplier, made of rows of what to buy: numbers, dates and sums are filled in as they are likely. */
const props = defineProps<{ rows: readonly BuyRow[]; others: readonly BuyRow[]; open: boolean }>()
const emit = defineEmits<{ close: []; done: [] }>()
const store = useRefitStore()
const toasts = useToastStore()
const { undo } = useUndo()
const { suppliers } = usePartChoices()
const own = computed(() => store.refit?.currency ?? 'EUR')

const supplierOf = (row: BuyRow) => row.wants.find(({ part }) => part.supplierId)?.part.supplierId
const initial = () => {
  const [first] = props.rows
  const { today } = store.derived
  const lead = Math.max(0, ...props.rows.flatMap((row) => row.wants.map((one) => one.lead.days)))
  return {
    number: nextNumber(store.rows),
    supplierId: first ? (supplierOf(first) ?? null) : null,
    orderedOn: today,
    dueOn: addDays(today, lead),
    currency: '',
    rate: null,
    rateOn: null,
    freightMinor: 0,
    taxMinor: 0,
  }
}
const form = useRowForm('purchase', initial)

interface Line extends LineDraft {
  readonly key: string
  readonly isOn: boolean
}
const lines = ref<Line[]>([])
/** What one of its unit costs by the parts' own prices; the price of what is bought, to be typed over. */
const lineOf = (row: BuyRow, isOn: boolean): Line => ({
  key: row.key,
  isOn,
  name: row.pool.name,
  quantity: row.pool.toBuy,
  unit: row.pool.unit,
  packSize: row.pool.packSize,
  priceMinor: row.pool.priceMinor,
  partIds: row.wants.map(({ part }) => part.id),
})
/** Others of the same supplier may go along. */
const along = computed(() =>
  props.others.filter(
    (row) =>
      !props.rows.includes(row) &&
      form.values.supplierId != null &&
      supplierOf(row) === form.values.supplierId &&
      row.guessed.length === 0,
  ),
)
watch(
  () => props.open,
  (open) => {
    if (!open) return
    form.reset()
    lines.value = props.rows.map((row) => lineOf(row, true))
  },
  { immediate: true },
)
const change = (key: string, patch: Partial<Line>) => {
  lines.value = lines.value.map((line) => (line.key === key ? { ...line, ...patch } : line))
}
const addAlong = (row: BuyRow) => {
  if (!lines.value.some((line) => line.key === row.key))
    lines.value = [...lines.value, lineOf(row, true)]
}
const taken = computed(() => lines.value.filter((line) => line.isOn))
const currency = computed(() => (form.values.currency as string) || own.value)
const total = computed(
  () =>
    taken.value.reduce((sum, line) => sum + (line.priceMinor ?? 0), 0) +
    ((form.values.freightMinor as number) ?? 0) +
    ((form.values.taxMinor as number) ?? 0),
)
const unpriced = computed(() => taken.value.filter((line) => line.priceMinor === null).length)
/** What is on the order as it stands, with what goes along: what is said below is about these. */
const ordered = computed(() => {
  const keys = new Set(taken.value.map((line) => line.key))
  return [...new Set([...props.rows, ...props.others])].filter((row) => keys.has(row.key))
})
const guessed = computed(() => [...new Set(ordered.value.flatMap((row) => row.guessed))])
/** Bought before its size is sure: allowed, and said. */
const early = computed(() => ordered.value.filter((row) => row.window.opensOn !== null))
const lateFor = computed(() => {
  const due = form.values.dueOn as string | null
  if (!due) return 0
  const needs = ordered.value.flatMap((row) => row.window.neededOn ?? [])
  if (needs.length === 0) return 0
  const today = store.zone.dayOf(Date.parse(`${store.derived.today}T12:00:00Z`))
  return today + daysBetween(store.derived.today, due) - Math.min(...needs)
})
const problem = computed(() => {
  if (taken.value.length === 0) return 'Take at least one line.'
  const none = taken.value.find((line) => !(line.quantity > 0))
  return none ? `How many of ${none.name}? More than nothing.` : ''
})
async function save() {
  if (problem.value !== '') return
  const drafts = taken.value.map(({ key: _key, isOn: _isOn, ...line }): LineDraft => line)
  const number = form.values.number as string
  const done = await form.save(`Order ${number}`, (values) =>
    orderItems(store.rows, values as unknown as OrderDraft, drafts, newId),
  )
  if (!done) return
  toasts.say(`Order ${number} is written down.`, false, { label: 'Undo', run: undo })
  emit('done')
}
const unitOf = (line: Line) => lineUnit(line.unit)[0]
</script>

<template>
  <UiDialog :open="open" title="Order" wide @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <div class="grid gap-3 sm:grid-cols-2">
        <FieldInput
          v-bind="form.bind('supplierId')"
          :options="suppliers"
          none="Nobody in the list"
        />
        <FieldInput v-bind="form.bind('number')" />
        <FieldInput v-bind="form.bind('orderedOn')" />
        <FieldInput v-bind="form.bind('dueOn')" />
      </div>
      <fieldset>
        <legend class="cond border-b-2 border-ink text-lg">Lines</legend>
        <div
          v-for="line in lines"
          :key="line.key"
          class="grid items-end gap-x-3 gap-y-1 border-b border-rule2 py-2 sm:grid-cols-[1fr_8rem_9rem]"
        >
          <UiCheck
            :model-value="line.isOn"
            :label="line.name"
            @update:model-value="change(line.key, { isOn: $event })"
          />
          <UiNumber
            :model-value="line.quantity"
            :label="unitOf(line) === '' ? 'How many' : `How many ${unitOf(line)}`"
            :min="0.001"
            :max="1000000"
            @update:model-value="change(line.key, { quantity: $event ?? 0 })"
          />
          <UiMoney
            :model-value="line.priceMinor"
            label="Price of all"
            :currency="currency"
            may-be-empty
            @update:model-value="change(line.key, { priceMinor: $event })"
          />
        </div>
        <div v-if="along.some((row) => !lines.some((line) => line.key === row.key))" class="mt-2">
          <p class="text-ink2">From them as well:</p>
          <div class="mt-1 flex flex-wrap gap-2">
            <button
              v-for="row in along
                .filter((one) => !lines.some((line) => line.key === one.key))
                .slice(0, 8)"
              :key="row.key"
              type="button"
              class="btn btn-small"
              @click="addAlong(row)"
            >
              {{ row.pool.name }}
            </button>
          </div>
        </div>
      </fieldset>
      <div class="grid gap-3 sm:grid-cols-2">
        <UiMoney
          :model-value="(form.values.freightMinor as number) ?? 0"
          label="Freight"
          :currency="currency"
          @update:model-value="form.set('freightMinor', $event ?? 0)"
        />
        <UiMoney
          :model-value="(form.values.taxMinor as number) ?? 0"
          label="Tax"
          :currency="currency"
          @update:model-value="form.set('taxMinor', $event ?? 0)"
        />
      </div>
      <details>
        <summary class="cond cursor-pointer">In another currency</summary>
        <div class="mt-2 grid gap-3 sm:grid-cols-3">
          <FieldInput v-bind="form.bind('currency')" :placeholder="own" />
          <FieldInput
            v-bind="form.bind('rate')"
            :label="`One ${currency === own ? 'of it' : currency} in ${own}`"
          />
          <FieldInput v-bind="form.bind('rateOn')" />
        </div>
      </details>
      <p class="cond text-lg">
        {{ formatMoney(total, currency)
        }}<template v-if="unpriced > 0"
          >, {{ unpriced }} {{ unpriced === 1 ? 'line' : 'lines' }} without a price</template
        >
      </p>
      <p v-if="form.wrong.value || problem" class="text-redlead" role="alert">
        {{ form.wrong.value || problem }}
      </p>
      <div class="flex gap-2">
        <button class="btn btn-main" :disabled="form.busy.value">It is ordered</button>
        <button type="button" class="btn" @click="emit('close')">Not now</button>
      </div>
      <!-- Under the buttons, so that nothing moves under a press. -->
      <p v-if="lateFor > 0" class="border-l-4 border-redlead pl-3" role="status">
        That is {{ lateFor }} {{ lateFor === 1 ? 'day' : 'days' }} too late for the first step that
        needs it: the plan will move it.
      </p>
      <p v-for="row in early" :key="row.key" class="border-l-4 border-brass pl-3">
        {{ row.pool.name }}: its size is not sure yet. Bought now it is a gamble, and stays marked
        as one.
      </p>
      <p v-if="guessed.length > 0" class="border-l-4 border-redlead pl-3">
        Nobody has measured {{ guessed.join(', ') }}: what is ordered may not fit.
      </p>
    </form>
  </UiDialog>
</template>
