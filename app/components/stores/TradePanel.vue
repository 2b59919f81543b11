<script setup lang="ts">
import { X } from '@lucide/vue'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { ReadyChance } from '#core/forecast/readyChance'
import type { ChangeItem } from '#core/model/changes'
import { patchOf } from '#core/model/removal'
import { formatMoney } from '#core/money/money'
import { sayTrade } from '#core/stores/sayBuy'
import { dayToAskFor, nextDay, sayComesOn, sayGain } from '#core/stores/tradeDay'
import { tradeSum } from '#core/stores/tradeSheet'
import type { TradeFacts } from '#core/stores/trades'
import { dateOf, dayNumber } from '#core/time/civil'
import { capital, counted } from '#core/units/counted'

/** Who is to be called, or what is sent out: when, which day to ask for, what a day is worth, what it comes to. */
const props = defineProps<{
  trade: TradeFacts
  today: number
  year: string
  currency: string
  /** What it stands in says its name, and closes it. */
  titled?: boolean
}>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const planner = usePlannerStore()
const { sayDay } = useDates()
const said = computed(() => sayTrade(props.trade, props.today, props.year))
const booking = computed(() => props.trade.booking)
const booked = computed(() => (booking.value?.state === 'booked' ? booking.value : null))
/** What a price is before anybody agreed to it. */
const priceWords = computed(() =>
  booked.value
    ? 'agreed'
    : booking.value?.priceMinor != null
      ? 'asked for, not booked'
      : 'as the job has it',
)
const comesOn = computed(() => booking.value?.comesOn ?? [])
const notice = computed(() => props.trade.window.leadDays)
const items = computed(() =>
  store.rows.tradeItem.filter((one) => one.bookingId === booking.value?.id),
)
const sum = computed(() =>
  tradeSum(booking.value?.priceMinor ?? props.trade.priceMinor, items.value, props.currency),
)

/** The day after that on which it could be, as the changes it is. */
const later = computed(() => {
  const { step, on, kind, begins } = props.trade
  const from = kind === 'call' ? on : begins
  if (from === null) return null
  const day = kind === 'call' ? nextDay(from, comesOn.value) : from + 1
  const row = booking.value
  // Who is only asked is not in the plan yet: the step goes by what comes before it.
  const put: ChangeItem[] =
    row?.state === 'booked'
      ? [patchOf('tradeBooking', row, shifted(row, day))]
      : [patchOf('step', step, { notBefore: dateOf(day) })]
  return { day, put }
})
function shifted(row: NonNullable<TradeFacts['booking']>, day: number) {
  const length = Math.max(0, dayNumber(row.to) - dayNumber(row.from))
  return { from: dateOf(day), to: dateOf(day + length) }
}
const effects = useQuietEffects(() =>
  later.value ? [{ key: 'later', items: later.value.put, laterCosts: true }] : [],
)
/** By when what comes before it is ready, by the runs; null: not worked out yet, or `why` it cannot be. */
const ready = shallowRef<ReadyChance | null>(null)
const why = ref('')
let run = 0
watch(
  [() => props.trade.step.id, () => store.accepted],
  async () => {
    const mine = ++run
    ready.value = null
    why.value = ''
    if (props.trade.kind === 'send') return
    try {
      const found = await planner.ready(props.trade.step.id, () => mine === run)
      if (mine !== run) return
      ready.value = found && Number.isFinite(found.p80) ? found : null
      if (!ready.value) why.value = 'When that is ready cannot be said.'
    } catch (error) {
      if (mine === run) why.value = sentenceOf(error)
    }
  },
  { immediate: true },
)
onScopeDispose(() => run++)
const day = (at: number) => sayDay(store.zone.dateOf(at))
const askFor = computed(
  () =>
    ready.value &&
    dayToAskFor(ready.value.p80, comesOn.value, notice.value, props.today, store.zone),
)
</script>

<template>
  <section :aria-label="trade.step.title">
    <div v-if="!titled" class="flex items-start justify-between gap-2">
      <h2>{{ trade.step.title }}</h2>
      <button class="btn btn-quiet" aria-label="Close" @click="emit('close')">
        <X :size="18" aria-hidden="true" />
      </button>
    </div>
    <p
      class="cond text-[1.0625rem]"
      :class="{ 'text-redlead': said.tone === 'red', 'text-verdigris': said.tone === 'green' }"
    >
      {{ said.strong }}{{ said.rest }}
    </p>
    <p class="mt-1 text-[0.9375rem] text-ink2">{{ booking?.trade ?? trade.job.title }}</p>

    <template v-if="trade.kind === 'call'">
      <p class="mt-2">
        {{ capital(counted(notice, 'day')) }} of notice{{
          trade.isAssumed ? ', assumed: ask them' : ''
        }}.
        <template v-if="sayComesOn(comesOn)"
          >They come {{ sayComesOn(comesOn) }}. {{ sayGain(trade.begins, comesOn) }}</template
        >
      </p>
      <h3 class="mt-3 border-b border-rule">What comes before it</h3>
      <p v-if="ready && askFor !== null" class="mt-1">
        Ready by {{ day(ready.p50) }} in half of the runs, by {{ day(ready.p80) }} in 8 of 10:
        <strong v-if="booked" class="cond"
          >booked for {{ sayDay(booked.from)
          }}<span v-if="dayNumber(booked.from) < askFor" class="text-redlead"
            >, sooner than that</span
          ></strong
        ><strong v-else class="cond">ask for {{ sayDay(dateOf(askFor)) }}</strong>.
      </p>
      <p v-else class="mt-1 text-ink2">{{ why || 'Working out when that is ready…' }}</p>
    </template>
    <template v-else>
      <p class="mt-2">
        Away {{ counted(trade.window.leadDays, 'day')
        }}<template v-if="trade.isAssumed">, as the plan has it: nobody said how long</template>.
        <template v-if="trade.on !== null"
          >Collect it by {{ sayDay(dateOf(trade.on)) }}, the last trip before it is
          needed.</template
        >
        <template v-else>Nothing in the plan waits for it.</template>
      </p>
    </template>

    <h3 class="mt-3 border-b border-rule">A day of delay</h3>
    <p v-if="later" class="mt-1">
      {{ trade.kind === 'call' ? 'If they come' : 'Sent' }} {{ sayDay(dateOf(later.day)) }}:
      <strong class="cond">{{ effects.get('later') ?? '…' }}</strong>.
    </p>
    <p v-else class="mt-1 text-ink2">It has no day in the plan.</p>

    <template v-if="trade.priceMinor !== null || items.length > 0">
      <h3 class="mt-3 border-b border-rule">What it comes to</h3>
      <p class="mt-1">
        <template v-if="trade.priceMinor !== null"
          >{{ formatMoney(trade.priceMinor, currency) }} {{ priceWords }}</template
        ><template v-else>No price agreed</template
        ><template v-if="sum.takenMinor > 0"
          >, {{ formatMoney(sum.takenMinor, currency) }} of extras taken</template
        ><template v-if="sum.openMinor > 0"
          >,
          <span class="text-redlead"
            >{{ formatMoney(sum.openMinor, currency) }} not answered</span
          ></template
        >.
      </p>
    </template>
    <div class="mt-3 flex flex-wrap gap-2">
      <NuxtLink class="btn btn-main" :to="`/r/${store.refitId}/step/${trade.step.id}`"
        >Its step</NuxtLink
      >
      <NuxtLink v-if="booking" class="btn" :to="`/r/${store.refitId}/trade/${booking.id}`"
        >Their sheet</NuxtLink
      >
    </div>
  </section>
</template>
