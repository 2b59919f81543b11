<script setup lang="ts">
import { computed } from 'vue'
import { bagsToBuy, partOfBag } from '#core/stores/alsoToBuy'
import type { BagToBuy } from '#core/stores/alsoToBuy'
import { changedSince } from '#core/stores/frozen'
import { boughtFor } from '#core/stores/hurry'
import { notLasting, sayNotLasting } from '#core/stores/keeps'
import { presses, pressesCall } from '#core/stores/headline'
import type { TradeFacts } from '#core/stores/trades'
import type { BuyRow } from '#core/stores/board'
import { sayAmount, sayRow, sayTrade } from '#core/stores/sayBuy'
import type { StoreFacts } from '#core/stores/storeFacts'
import { unwantedParts } from '#core/stores/unwanted'
import { dateOf } from '#core/time/civil'
import { formatMoney } from '#core/money/money'
import { figured } from '#core/units/counted'
import type { Proposal } from '~/composables/useProposal'

/** Beside the drawing: what presses today in order, what was bought early, and what the marks mean. */
const props = defineProps<{
  rows: readonly BuyRow[]
  /** Who is called, and what is sent out. */
  trades: readonly TradeFacts[]
  facts: StoreFacts
  currency: string
  year: string
}>()
const emit = defineEmits<{
  open: [key: string]
  order: [row: BuyRow]
  propose: [proposal: Proposal]
  part: [id: string]
}>()
const store = useRefitStore()
const { sayDate } = useDates()
const most = 5
const pressing = computed(() => props.rows.filter((row) => presses(row, props.facts.today)))
const shown = computed(() => pressing.value.slice(0, most))
const calls = computed(() => props.trades.filter((one) => pressesCall(one, props.facts.today)))

const badlyDays = (row: BuyRow) => Math.max(...row.wants.map((one) => one.lead.lateDays))
/** Bought today and going badly: the parts come on the day they come then. */
const goesBadly = (row: BuyRow) => boughtFor(row, dateOf(props.facts.today + badlyDays(row)))
const atRisk = computed(() =>
  shown.value.filter(
    (row) => row.kind === 'buy' && (row.window.state === 'late' || row.window.state === 'buyToday'),
  ),
)
const badly = useLacks(
  computed(() => atRisk.value.map((row) => ({ key: row.key, items: goesBadly(row) }))),
)
/** The job whose dimensions it rests on as a guess; null: it rests on none. */
const guessedIn = (row: BuyRow): string | null =>
  row.wants.find((one) => one.guessed.length > 0)?.job?.id ?? null
function sayBadly(row: BuyRow): string {
  const said = badly.value.get(row.key)
  if (said === undefined) return ''
  const days = badlyDays(row)
  const took = days === 0 ? 'If it is not there today' : `If it takes ${figured(days, 'day')}`
  return said === '' ? `${took}, no gate moves.` : `${took}: ${said}.`
}
const measureEarlier = useMeasureEarlier()
const mendOf = (row: BuyRow) => measureEarlier(props.facts, row)
const fromBags = computed(() => bagsToBuy(store.rows))
const buyAnew = (one: BagToBuy) =>
  void store.attempt(`A new one for bag ${one.bag.code}`, [partOfBag(one, newId)])
const changed = computed(() => changedSince(store.rows))
const unwanted = computed(() => unwantedParts(store.rows))
const ending = computed(() => notLasting(props.facts))
const gambles = computed(() =>
  store.rows.part.filter((one) => one.gamble !== 'open' && one.gambleMinor !== null),
)
const legend = [
  ['early', 'not sure yet'],
  ['open', 'open, closing'],
  ['lead', 'on its way there'],
  ['spare', 'days to spare'],
  ['need', 'needed'],
  ['lateBy', 'late by this'],
  ['crate', 'ordered, comes'],
  ['slip', 'if it goes badly'],
  ['washer', 'bought early'],
  ['look', 'looked for used'],
] as const
const sample = (kind: (typeof legend)[number][0]) => {
  if (kind === 'open') return [{ kind, x0: 2, x1: 36, taper: 16 } as const]
  if (kind === 'need' || kind === 'crate' || kind === 'slip' || kind === 'washer')
    return [{ kind, x: 18 } as const]
  return [{ kind, x0: 2, x1: 36 } as const]
}
provideChartIds()
void emit
</script>

<template>
  <div>
    <h2>
      {{ pressing.length + calls.length > 0 ? 'Today, in this order' : 'Nothing presses today' }}
    </h2>
    <ol class="mt-1">
      <li v-for="(row, at) in shown" :key="row.key" class="flex gap-3 pb-3">
        <span class="cond w-4 text-lg" aria-hidden="true">{{ at + 1 }}</span>
        <div class="min-w-0">
          <button
            class="cond block text-left text-[1.0625rem] leading-tight underline decoration-rule underline-offset-4"
            @click="emit('open', row.key)"
          >
            {{ row.pool.name
            }}<template v-if="sayAmount(row.pool)">, {{ sayAmount(row.pool) }}</template>
          </button>
          <p class="text-[0.9375rem] leading-snug">
            {{ sayRow(row, facts.today, year, currency).strong
            }}{{ sayRow(row, facts.today, year, currency).rest }}.
          </p>
          <!-- Its line is there before it is known, so that nothing moves. -->
          <p v-if="atRisk.includes(row)" class="min-h-5 text-[0.9375rem] leading-snug text-ink2">
            {{ sayBadly(row) || 'Working out what it moves when it goes badly…' }}
          </p>
          <p v-if="row.guessed.length > 0" class="text-[0.9375rem] leading-snug text-redlead">
            Do not order yet:
            {{
              row.guessed
                .slice(0, 2)
                .map((one) => `“${one}”`)
                .join(', ')
            }}<template v-if="row.guessed.length > 2">
              and {{ row.guessed.length - 2 }} more</template
            >
            {{ row.guessed.length === 1 ? 'is' : 'are' }} only guessed.
          </p>
          <button
            v-if="mendOf(row)"
            class="mt-1 min-h-8 border-2 border-verdigris bg-verdigris-tint px-2 py-1 text-left text-verdigris hover:bg-sheet max-sm:min-h-11"
            @click="emit('propose', mendOf(row)!)"
          >
            <span class="cond leading-tight">{{ mendOf(row)!.label }}</span>
          </button>
          <NuxtLink
            v-else-if="guessedIn(row)"
            class="btn btn-small mt-1"
            :to="`/r/${store.refitId}/jobs?job=${guessedIn(row)}`"
            >Write down what was measured</NuxtLink
          >
          <button
            v-else-if="row.kind === 'buy'"
            class="mt-1 min-h-8 border-2 border-verdigris bg-verdigris-tint px-2 py-1 text-verdigris hover:bg-sheet max-sm:min-h-11"
            @click="emit('order', row)"
          >
            <span class="cond leading-tight">Order it</span>
          </button>
        </div>
      </li>
    </ol>
    <p v-if="pressing.length > most" class="text-ink2">And {{ pressing.length - most }} more.</p>
    <p v-for="one in calls" :key="one.step.id" class="pb-2">
      <NuxtLink class="underline" :to="`/r/${store.refitId}/step/${one.step.id}`">{{
        one.step.title
      }}</NuxtLink
      >: {{ sayTrade(one, facts.today, year).strong }}{{ sayTrade(one, facts.today, year).rest }}.
    </p>
    <section v-if="fromBags.length > 0" class="mt-2 border-t border-rule pt-2">
      <h3>Taken off, and not fit to go on</h3>
      <div v-for="one in fromBags" :key="one.bag.id" class="pb-1">
        <p class="leading-snug">
          Bag {{ one.bag.code }}, {{ one.bag.what }}: {{ one.why }},
          {{ one.step.title }}
        </p>
        <button class="btn btn-small" @click="buyAnew(one)">
          Buy a new one<span class="sr-only"> for bag {{ one.bag.code }}</span>
        </button>
      </div>
    </section>
    <section v-if="unwanted.length > 0" class="mt-2 border-t border-rule pt-2">
      <h3>Wanted no more</h3>
      <p v-for="one in unwanted.slice(0, most)" :key="one.part.id" class="leading-snug">
        <button
          class="text-left underline decoration-rule underline-offset-4 max-sm:min-h-11"
          @click="emit('part', one.part.id)"
        >
          {{ one.part.name }}</button
        >, {{ one.part.state === 'ordered' ? 'on its way' : 'here' }}: {{ one.why }}.
      </p>
      <p v-if="unwanted.length > most" class="text-ink2">And {{ unwanted.length - most }} more.</p>
      <p class="text-[0.9375rem] leading-snug text-ink2">
        Ask whether it goes back, keep it on the shelf, or give it to other work.
      </p>
    </section>
    <section v-if="changed.length > 0" class="mt-2 border-t border-rule pt-2">
      <h3>Changed since it was ordered</h3>
      <p v-for="one in changed" :key="one.part.id" class="leading-snug text-redlead">
        {{ one.part.name }}: {{ one.said.join('; ') }}.
      </p>
    </section>
    <section v-if="ending.length > 0" class="mt-2 border-t border-rule pt-2">
      <h3>Will not last</h3>
      <p v-for="one in ending" :key="`${one.kind} ${one.part.id}`" class="leading-snug">
        {{ one.part.name }}: {{ sayNotLasting(one, sayDate) }}.
      </p>
    </section>
    <section v-if="gambles.length > 0" class="mt-2 border-t border-rule pt-2">
      <h3>Bought early</h3>
      <p
        v-for="one in gambles"
        :key="one.id"
        class="text-[0.9375rem] leading-snug"
        :class="one.gamble === 'paid' ? 'text-verdigris' : 'text-redlead'"
      >
        {{ one.gamble === 'paid' ? 'It paid' : 'It did not' }}: {{ one.name }},
        {{ formatMoney(one.gambleMinor ?? 0, currency) }}
        {{ one.gamble === 'paid' ? 'saved' : 'lost'
        }}<template v-if="one.orderedOn">, bought {{ sayDate(one.orderedOn) }}</template>.
      </p>
    </section>
    <section class="no-print mt-2 border-t border-rule pt-2" aria-label="What the marks mean">
      <svg width="0" height="0" class="absolute" aria-hidden="true"><BuyPatterns /></svg>
      <ul class="grid grid-cols-2 gap-x-2 gap-y-0.5 text-[0.875rem]">
        <li v-for="[kind, words] in legend" :key="kind" class="flex items-center gap-2">
          <svg width="38" height="20" class="shrink-0" aria-hidden="true">
            <BuyMarks :marks="sample(kind)" :middle="10" />
          </svg>
          {{ words }}
        </li>
      </ul>
    </section>
  </div>
</template>
