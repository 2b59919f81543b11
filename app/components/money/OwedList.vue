<script setup lang="ts">
import { computed } from 'vue'
import { groupBy } from '#core/model/refit'
import { sumOf } from '#core/money/lines'

/** What is owed, the next to be paid first; and what trades ask for beyond what was agreed. */
const emit = defineEmits<{ trades: [] }>()
const { money, say } = useMoney()
const { sayDate } = useDates()
const store = useRefitStore()
const trades = useTradeAccounts()
const most = 7
/** What is paid at once is one line: an order, a trade, a time in the yard. */
const owed = computed(() =>
  [
    ...groupBy(
      money.value.lines.filter((one) => !one.isSpent),
      (one) => `${one.from} ${one.rowId}`,
    ),
  ].map(([key, list]) => {
    const [first] = list
    const order = store.rows.purchase.find(
      (one) => first?.from === 'order' && one.id === first.rowId,
    )
    const who = store.rows.supplier.find((one) => one.id === order?.supplierId)?.name
    return {
      key,
      on: first?.on ?? null,
      what: order ? `Order ${order.number}${who ? `, ${who}` : ''}` : (first?.what ?? ''),
      minor: sumOf(list),
    }
  }),
)
const beyond = computed(() => trades.value.filter((one) => one.beyondMinor > 0))
const isLate = (on: string | null) => on !== null && on < store.derived.today
</script>

<template>
  <section aria-labelledby="owed">
    <h2 id="owed" class="border-b-2 border-ink text-lg">
      Owed<template v-if="owed.length > 0">: {{ say(money.owedMinor) }}</template>
    </h2>
    <p v-for="one in beyond" :key="one.booking.id" class="pt-1 leading-snug">
      <button class="text-left text-redlead underline max-sm:min-h-11" @click="emit('trades')">
        {{ one.booking.trade }} bills {{ say(one.beyondMinor) }} more than was agreed
      </button>
    </p>
    <ul>
      <li
        v-for="one in owed.slice(0, most)"
        :key="one.key"
        class="grid grid-cols-[4.5rem_1fr_auto] gap-x-2 border-b border-rule2 py-0.5 leading-snug"
      >
        <span class="cond" :class="isLate(one.on) ? 'text-redlead' : 'text-ink2'">{{
          one.on ? sayDate(one.on) : 'no day'
        }}</span>
        <span class="min-w-0">{{ one.what }}</span>
        <span class="cond">{{ say(one.minor) }}</span>
      </li>
    </ul>
    <p v-if="owed.length > most" class="text-ink2">
      And {{ owed.length - most }} more; each account lists its own.
    </p>
    <p v-if="owed.length === 0" class="pt-1 text-ink2">
      Nothing is ordered, booked or run up that is not paid.
    </p>
  </section>
</template>
