<script setup lang="ts">
import { computed } from 'vue'
import { doubtsSaid, halfCost } from '#core/forecast/doubtWords'

/** What makes the doubt, most first: brass to the left is money, hatched to the right days of the next gate. */
const store = useRefitStore()
const { odds } = useOdds()
const { money, sayWhole: say } = useMoney()
const { idOf, urlOf } = provideChartIds()
const most = 7
const stored = computed(() => (odds.isFresh ? odds.stored : null))
const all = computed(() =>
  stored.value
    ? doubtsSaid(
        store.rows,
        stored.value,
        (key) => money.value.accounts.find((one) => one.key === key)?.name ?? key,
      )
    : [],
)
/** The rest always stands last. */
const rows = computed(() => [
  ...all.value.filter((one) => one.kind !== 'rest').slice(0, most),
  ...all.value.filter((one) => one.kind === 'rest'),
])
const next = computed(
  () =>
    store.derived.gates.find((one) => one.gate.id === stored.value?.next?.gateId)?.gate.name ?? '',
)
const topMinor = computed(() => Math.max(1, ...rows.value.map((one) => one.halfMinor)))
const topDays = computed(() => Math.max(1, ...rows.value.map((one) => one.halfDays)))
const side = 118
const days = (many: number) => `${Math.round(many)} ${Math.round(many) === 1 ? 'day' : 'days'}`
const isSaid = (many: number) => Math.round(many) >= 1
/** The one price that takes most off the band once it is in writing. */
const written = computed(() => {
  const [first] = all.value
    .filter((one) => one.knownMinor !== null)
    .sort((a, b) => b.halfMinor - a.halfMinor)
  const of = stored.value
  if (!first || !of || first.knownMinor === null) return null
  const [before, after] = [halfCost(of), first.knownMinor]
  return before - after < before / 100
    ? null
    : { name: first.name.replace(/: prices not in writing$/, ''), before, after }
})
</script>

<template>
  <section aria-labelledby="doubt">
    <h2 id="doubt" class="border-b-2 border-ink text-lg">What makes the doubt</h2>
    <p v-if="rows.length === 0" class="pt-1 text-ink2">
      It is known once the plan was run, and the runs are of this plan.
    </p>
    <p
      v-else-if="rows.every((one) => one.halfMinor < 1 && !isSaid(one.halfDays))"
      class="pt-1 text-ink2"
    >
      Neither a sum nor a date is in doubt in these runs.
    </p>
    <template v-else>
      <p class="flex justify-between gap-3 text-sm text-ink2">
        <span>± money</span><span v-if="next">± days to {{ next }}</span>
      </p>
      <svg width="0" height="0" class="absolute" aria-hidden="true">
        <pattern :id="idOf('days')" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="var(--sheet)" />
          <path d="M-1 7L7 -1M-1 1L1 -1M5 7L7 5" stroke="var(--ink)" />
        </pattern>
      </svg>
      <ul>
        <li v-for="one in rows" :key="one.key" class="leading-tight">
          <span class="grid grid-cols-[1fr_auto] items-end gap-x-3">
            <span>{{ one.name }}</span>
            <span class="cond text-right">
              <template v-if="one.ofCost > 0">{{ say(Math.round(one.halfMinor)) }}</template
              ><template v-if="one.ofCost > 0 && isSaid(one.halfDays)">, </template
              ><template v-if="isSaid(one.halfDays)">{{ days(one.halfDays) }}</template>
            </span>
          </span>
          <svg :width="2 * side + 4" height="13" class="block max-w-full" aria-hidden="true">
            <rect
              :x="side - (one.halfMinor / topMinor) * side"
              y="2"
              :width="(one.halfMinor / topMinor) * side"
              height="8"
              fill="var(--brass-deep)"
              stroke="var(--ink)"
              stroke-width="0.75"
            />
            <rect
              v-if="isSaid(one.halfDays)"
              :x="side + 2"
              y="2"
              :width="(one.halfDays / topDays) * side"
              height="8"
              :fill="urlOf('days')"
              stroke="var(--ink)"
              stroke-width="0.75"
            />
            <path :d="`M${side + 1} 0V13`" stroke="var(--ink)" stroke-width="2" />
          </svg>
        </li>
      </ul>
      <p v-if="written" class="mt-1 border-l-4 border-verdigris bg-verdigris-tint px-2 py-1">
        {{ written.name }}, all prices in writing:
        <span class="cond"
          >± {{ say(Math.round(written.before)) }}&nbsp;→ ±&nbsp;{{
            say(Math.round(written.after))
          }}</span
        >
      </p>
    </template>
  </section>
</template>
