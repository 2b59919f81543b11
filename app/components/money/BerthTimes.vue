<script setup lang="ts">
import { computed } from 'vue'
import { exactMoney } from '#core/money/money'
import { berthsAhead } from '#core/money/yardAhead'
import { dateOf } from '#core/time/civil'
import { counted } from '#core/units/counted'

/** What the days afloat still come to: berth after berth, from tomorrow to the last gate of the plan. */
const store = useRefitStore()
const { currency } = useMoney()
const { sayDate } = useDates()
const times = computed(() => berthsAhead(store.rows, store.accepted, store.derived))
const isPriced = computed(() => times.value.some((one) => one.dayMinor !== null))
const unpriced = computed(() => [
  ...new Set(
    times.value
      .filter((one) => one.dayMinor === null)
      .map((one) => one.place?.name ?? 'where she lies afloat'),
  ),
])
const sumMinor = computed(() => times.value.reduce((sum, one) => sum + one.minor, 0))
const exact = (minor: number) => exactMoney(minor, currency.value)
</script>

<template>
  <section v-if="times.length > 0" aria-labelledby="berth-times" class="mt-3">
    <h3 id="berth-times" class="border-b border-ink">Days afloat to come</h3>
    <dl class="mt-1 grid grid-cols-[1fr_auto] gap-x-3 leading-snug">
      <template v-for="one in times" :key="one.from">
        <dt>
          {{ one.place?.name ?? 'Afloat' }}, {{ sayDate(dateOf(one.from)) }} to
          {{ sayDate(dateOf(one.to)) }}, {{ counted(one.days, 'day')
          }}<template v-if="one.dayMinor !== null">
            at {{ one.dayMinor === 0 ? 'nothing' : exact(one.dayMinor) }}</template
          >
        </dt>
        <dd class="cond text-right">{{ one.dayMinor === null ? '–' : exact(one.minor) }}</dd>
      </template>
      <template v-if="isPriced && times.length > 1">
        <dt>Berths to come<template v-if="unpriced.length > 0">, as far as priced</template></dt>
        <dd class="cond border-t border-ink text-right">{{ exact(sumMinor) }}</dd>
      </template>
    </dl>
    <p v-if="unpriced.length > 0" class="mt-1 leading-snug text-ink2">
      No price yet for a day at {{ unpriced.join(', ') }}.
      <NuxtLink class="underline" :to="`/r/${store.refitId}/settings#set-places`"
        >Write it down</NuxtLink
      >
    </p>
  </section>
</template>
