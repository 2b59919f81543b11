<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { supposing } from '#core/model/applyChange'
import { formatMoney } from '#core/money/money'
import { dayLevers, hoursWon, nightsOf, priceOfNights } from '#core/levers/dayLevers'
import type { DayLever } from '#core/levers/dayLevers'
import { formatHours } from '#core/units/hours'

/** Nights away, two places in a day, cover: what each way does to the gates, asked of a plan made anew. */
const store = useRefitStore()
const planner = usePlannerStore()
const levers = computed(() => dayLevers(store.rows))
const asked = ref<Readonly<Record<string, string>>>({})
const busy = ref('')

/** What the other way would do; the answer goes when anything changes. */
async function ask(lever: DayLever) {
  busy.value = lever.key
  try {
    const answer = await planner.consequence(lever.items)
    if (answer) asked.value = { ...asked.value, [lever.key]: answer.said }
  } catch (error) {
    asked.value = { ...asked.value, [lever.key]: sentenceOf(error) }
  } finally {
    busy.value = ''
  }
}
watch(
  () => store.plan?.inputsHash,
  () => (asked.value = {}),
)
/** Nights that the plan counts on at a place, and what they cost. */
const nightsSaid = (lever: DayLever): string => {
  const plan = store.accepted
  if (!plan || !lever.isOn || !lever.key.startsWith('nights ')) return ''
  const id = lever.key.slice('nights '.length)
  const nights = nightsOf(store.rows, plan, store.zone).filter((one) => one.place.id === id)
  if (nights.length === 0) return 'The plan has no night there.'
  const price = priceOfNights(nights)
  const many = nights.length === 1 ? 'One night' : `${nights.length} nights`
  return `${many} in the plan${price === null ? ', no price put down' : `, ${formatMoney(price, store.refit?.currency ?? 'EUR')}`}.`
}
/** Hours at the boat won or lost by the other way; '' where it changes none. */
const hoursSaid = (lever: DayLever): string => {
  const plan = store.accepted
  if (!plan) return ''
  const won = hoursWon(store.rows, supposing(store.rows, lever.items), plan, store.zone)
  if (Math.abs(won) < 0.05) return ''
  return `${formatHours(Math.abs(won))} a week ${won > 0 ? 'more' : 'less'} at the boat in the next four weeks.`
}
const other = (lever: DayLever) => (lever.isOn ? 'Without' : 'With')
async function take(lever: DayLever) {
  await store.attempt(`${lever.what}: ${lever.isOn ? 'no' : 'yes'}`, lever.items)
}
</script>

<template>
  <section v-if="levers.length > 0" aria-labelledby="set-levers">
    <h2 id="set-levers" class="border-b-2 border-ink">What it would do to the gates</h2>
    <p class="mt-1 text-ink2">
      Each is asked by laying the plan twice from now on, as it is and the other way.
    </p>
    <ul>
      <li
        v-for="lever in levers"
        :key="lever.key"
        class="grid items-center gap-x-4 gap-y-1 border-b border-rule py-2 md:grid-cols-[16rem_1fr_auto]"
      >
        <span
          ><b class="font-semibold">{{ lever.what }}</b
          ><span class="cond block text-ink2">{{
            lever.isOn ? 'As planned now' : 'Not planned now'
          }}</span></span
        >
        <span class="leading-tight" aria-live="polite">
          {{ nightsSaid(lever) }}
          <template v-if="busy === lever.key">Laying it both ways…</template>
          <template v-else-if="asked[lever.key] !== undefined"
            ><b class="font-semibold">{{ other(lever) }} it:</b> {{ hoursSaid(lever) }}
            {{ asked[lever.key] }}</template
          >
        </span>
        <span class="flex gap-2">
          <button
            class="btn btn-small"
            :disabled="busy !== '' || planner.busy || store.plan === null"
            :aria-label="`${other(lever)} it? ${lever.what}`"
            @click="ask(lever)"
          >
            {{ other(lever) }} it?
          </button>
          <button
            v-if="asked[lever.key] !== undefined"
            class="btn btn-small"
            :aria-label="`Plan ${other(lever).toLowerCase()} it: ${lever.what}`"
            @click="take(lever)"
          >
            Plan so
          </button>
        </span>
      </li>
    </ul>
  </section>
</template>
