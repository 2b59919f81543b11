<script setup lang="ts">
import { computed } from 'vue'
import { bookingStates } from '#core/model/said'
import { inOrder } from '#core/model/refit'
import { tradeSum } from '#core/stores/tradeSheet'
import { counted } from '#core/units/counted'

/** What each trade was asked to do, line by line, and what is to be cleared up with them. */
const store = useRefitStore()
const { sayDate } = useDates()
const currency = computed(() => store.refit?.currency ?? 'EUR')
const list = computed(() =>
  [...store.rows.tradeBooking]
    .filter((one) => one.state !== 'cancelled')
    .sort((a, b) => (a.from < b.from ? -1 : 1))
    .map((booking) => {
      const items = inOrder(store.rows.tradeItem.filter((one) => one.bookingId === booking.id))
      const { questions } = tradeSum(booking.priceMinor, items, currency.value)
      const step = store.rows.step.find((one) => one.id === booking.stepId)
      return { booking, many: items.length, questions, title: step?.title ?? '' }
    }),
)
</script>

<template>
  <section v-if="list.length > 0" aria-labelledby="trade-sheets">
    <h2 id="trade-sheets" class="border-b-2 border-ink">Trades, line by line</h2>
    <ul>
      <li v-for="one in list" :key="one.booking.id" class="border-b border-rule2">
        <NuxtLink
          class="block py-1.5 hover:bg-brass-tint"
          :to="`/r/${store.refitId}/trade/${one.booking.id}`"
        >
          <span class="cond block leading-tight">
            {{ one.booking.trade }}, {{ one.title }}, {{ sayDate(one.booking.from) }}
          </span>
          <span
            class="block text-[0.9375rem]"
            :class="one.questions.length > 0 ? 'text-redlead' : 'text-ink2'"
          >
            {{ bookingStates[one.booking.state] }}, {{ counted(one.many, 'line')
            }}<template v-if="one.questions.length > 0"
              >, {{ counted(one.questions.length, 'question') }}</template
            >
          </span>
        </NuxtLink>
      </li>
    </ul>
  </section>
</template>
