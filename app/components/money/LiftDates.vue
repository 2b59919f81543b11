<script setup lang="ts">
import { computed } from 'vue'
import { tariffOf } from '#core/money/yard'
import { dateOf, dayNumber } from '#core/time/civil'
import { figured } from '#core/units/counted'

/** Which lift to book: days she can be lifted in on, the chance that all is ready, what booking each comes to. */
const store = useRefitStore()
const { odds } = useOdds()
const { sayWhole: say } = useMoney()
const { sayDay, sayDate } = useDates()
const lift = computed(() => {
  const haulOutId = store.derived.launch?.gate.haulOutId
  const found = odds.isFresh
    ? odds.stored?.lifts.find((one) => one.haulOutId === haulOutId)
    : undefined
  return found && found.dates.length > 0 ? found : null
})
const haulOut = computed(() => store.rows.haulOut.find((one) => one.id === lift.value?.haulOutId))
const tariff = computed(() => (haulOut.value ? tariffOf(store.rows, haulOut.value) : null))
const rows = computed(() => {
  const today = dayNumber(store.derived.today)
  return (lift.value?.dates ?? []).map((one) => ({
    ...one,
    on: dateOf(one.day),
    isBest: one.day === lift.value?.bestDay,
    isBooked: dateOf(one.day) === haulOut.value?.launchBooked,
    free: one.freeUntil >= today ? dateOf(one.freeUntil) : null,
  }))
})
</script>

<template>
  <section v-if="lift" aria-labelledby="which-lift">
    <h2 id="which-lift" class="border-b-2 border-ink text-lg">Which lift to book</h2>
    <table class="w-full border-collapse leading-snug">
      <caption class="sr-only">
        Days on which she can be lifted in
      </caption>
      <thead>
        <tr class="border-b border-rule text-left text-ink2">
          <th scope="col" class="cond font-normal">Lift</th>
          <th scope="col" class="cond pl-2 text-right font-normal">ready</th>
          <th v-if="tariff" scope="col" class="cond pl-2 text-right font-normal">costs more</th>
          <th scope="col" class="cond pl-2 text-right font-normal">free until</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="one in rows"
          :key="one.day"
          class="border-b border-rule2"
          :class="one.isBest ? 'bg-verdigris-tint' : ''"
        >
          <th scope="row" class="cond text-left font-normal">
            {{ sayDay(one.on) }}
            <span v-if="one.isBooked" class="text-ink2">booked</span>
            <span v-if="one.lastBefore" class="block text-redlead">last: {{ one.lastBefore }}</span>
          </th>
          <td class="cond pl-2 text-right" :class="one.ready < 50 ? 'text-redlead' : ''">
            {{ one.ready }} in 100
          </td>
          <td v-if="tariff" class="cond pl-2 text-right">
            {{ one.isBest ? 'cheapest' : say(one.extraMinor ?? 0) }}
          </td>
          <td class="cond pl-2 text-right">{{ one.free ? sayDate(one.free) : 'over' }}</td>
        </tr>
      </tbody>
    </table>
    <p class="mt-1 text-sm leading-snug text-ink2">
      <template v-if="tariff">
        Counted: days in the yard, the berth she does not need meanwhile, and
        {{ say(tariff.changeMinor) }}
        for a booked day that is missed; then she goes in with the first lift at
        {{ figured(tariff.noticeDays, 'day') }} of notice. Not counted: the summer.
      </template>
      <template v-else>The yard has no prices: only the chance is known.</template>
    </p>
  </section>
</template>
