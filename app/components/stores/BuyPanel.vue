<script setup lang="ts">
import { X } from '@lucide/vue'
import { computed } from 'vue'
import type { BuyRow } from '#core/stores/board'
import { isAssumed, sayAmount, sayRow } from '#core/stores/sayBuy'
import { lineUnit } from '#core/stores/pool'
import type { PartFacts } from '#core/stores/storeFacts'
import { formatMoney } from '#core/money/money'
import { counted, figured } from '#core/units/counted'
import { dateOf, dayNumber } from '#core/time/civil'

/** One row of what to buy, opened: who wants how much, what that makes to buy, how long it takes, what it rests on. */
const props = defineProps<{
  row: BuyRow
  today: number
  year: string
  currency: string
  /** What it stands in says its name, and closes it. */
  titled?: boolean
}>()
const emit = defineEmits<{
  close: []
  order: [row: BuyRow]
  part: [id: string]
  came: [lineId: string]
  /** Another day for it; none given: it is asked. */
  due: [key: string, day?: string]
}>()
const store = useRefitStore()
const { sayDay, sayDate } = useDates()
const figure = (amount: number) => String(Math.round(amount * 1000) / 1000)
const inLine = ({ part }: PartFacts) => part.quantity * lineUnit(part.unit)[1]
const said = computed(() => sayRow(props.row, props.today, props.year, props.currency))
const lead = computed(() => props.row.wants[0]?.lead ?? null)
const leadFrom = {
  part: 'as the part says',
  supplier: 'as its supplier has it',
  assumed: 'assumed: ask',
} as const
const supplier = computed(() => {
  const ids = new Set(props.row.wants.map(({ part }) => part.supplierId))
  if (ids.size !== 1) return ids.size === 0 ? '' : 'several suppliers'
  const [id] = ids
  return store.rows.supplier.find((one) => one.id === id)?.name ?? 'no supplier yet'
})
const looking = computed(() =>
  props.row.wants.filter(({ part }) => part.lookUntil !== null).map(({ part }) => part),
)
/** Looked for past the last day to buy: what is bought after that eats its spare days. */
const isTooLong = (until: string | null) =>
  until !== null &&
  props.row.window.closesOn !== null &&
  dayNumber(until) > props.row.window.closesOn
const line = computed(() => props.row.wants.find((one) => one.line)?.line ?? null)
const order = computed(() =>
  store.rows.purchase.find((one) => one.id === line.value?.line.purchaseId),
)
</script>

<template>
  <section :aria-label="row.pool.name">
    <div v-if="!titled" class="flex items-start justify-between gap-2">
      <h2>
        {{ row.pool.name
        }}<template v-if="sayAmount(row.pool)">, {{ sayAmount(row.pool) }}</template>
      </h2>
      <button class="btn btn-quiet" aria-label="Close" @click="emit('close')">
        <X :size="18" aria-hidden="true" />
      </button>
    </div>
    <p
      class="cond text-[1.0625rem]"
      :class="{ 'text-redlead': said.tone === 'red', 'text-verdigris': said.tone === 'green' }"
    >
      {{ said.strong }}
    </p>
    <p class="mt-1 text-[0.9375rem] text-ink2">
      {{ supplier
      }}<template v-if="lead && row.kind === 'buy'"
        >; {{ lead.days === 0 ? 'over the counter' : figured(lead.days, 'day')
        }}<template v-if="lead.lateDays > lead.days"
          >, {{ lead.lateDays }} when it goes badly</template
        >, {{ leadFrom[lead.from] }}</template
      ><template v-if="order">; order {{ order.number }}</template>.
    </p>
    <ul class="mt-2 border-t-2 border-ink">
      <li
        v-for="want in row.wants"
        :key="want.part.id"
        class="flex items-baseline justify-between gap-2 border-b border-rule2 py-1"
      >
        <button
          class="min-w-0 text-left underline decoration-rule underline-offset-4 max-sm:min-h-11"
          @click="emit('part', want.part.id)"
        >
          {{ want.needs?.title ?? want.job?.title ?? want.part.name
          }}<span v-if="want.window.neededOn !== null" class="text-ink2"
            >, {{ sayDay(dateOf(want.window.neededOn)) }}</span
          >
        </button>
        <span class="cond shrink-0">{{ figure(inLine(want)) }} {{ row.pool.unit }}</span>
      </li>
    </ul>
    <p class="cond mt-1">
      {{ figure(row.pool.wanted) }} {{ row.pool.unit
      }}<template v-if="row.pool.spare > 0"> and {{ figure(row.pool.spare) }} spare</template> →
      {{ sayAmount(row.pool) || 'one'
      }}<template v-if="row.pool.over > 0"
        >, {{ figure(row.pool.over) }} {{ row.pool.unit }} over</template
      >
    </p>
    <p v-if="row.pool.priceMinor !== null" class="text-[0.9375rem]">
      About {{ formatMoney(row.pool.priceMinor, currency)
      }}<template v-if="!row.pool.isPriced">, some of it at the price of the others</template>.
    </p>
    <p v-if="row.kind === 'buy' && isAssumed(row)" class="mt-1 text-ink2">
      Reckoned with {{ counted(row.window.leadDays, 'day') }} until it is here, because nobody said:
      give the part a supplier or its days.
    </p>
    <p v-if="row.guessed.length > 0" class="mt-2 border-l-4 border-redlead pl-3">
      Do not order yet: it rests on {{ row.guessed.map((one) => `“${one}”`).join(', ') }}, which
      nobody has measured.
    </p>
    <p v-for="part in looking" :key="part.id" class="mt-2 border-l-4 border-brass pl-3">
      Look for it second-hand until {{ sayDate(part.lookUntil ?? '')
      }}<template v-if="part.planB">, then: {{ part.planB }}</template>.<template
        v-if="isTooLong(part.lookUntil)"
      >
        That is after the last day to buy it new, {{ sayDate(dateOf(row.window.closesOn ?? 0)) }}: a
        new one bought then has less than its spare days.
      </template>
    </p>
    <BuyHurry :row="row" :today="today" @due="(key, day) => emit('due', key, day)" />
    <PartWays
      v-if="row.kind === 'buy' && row.wants[0] && row.wants.length === 1"
      :want="row.wants[0]"
      :today="today"
      :currency="currency"
    />
    <div class="mt-3 flex flex-wrap gap-2">
      <button v-if="row.kind === 'buy'" class="btn btn-main" @click="emit('order', row)">
        Order it
      </button>
      <button
        v-if="row.kind === 'onItsWay' && line"
        class="btn btn-main"
        @click="emit('came', line.line.id)"
      >
        It came
      </button>
      <button v-if="row.kind === 'onItsWay'" class="btn" @click="emit('due', row.key)">
        Another day
      </button>
    </div>
  </section>
</template>
