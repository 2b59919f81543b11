<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { costScene, moneyTicks } from '#core/money/costScene'
import type { InchPoint } from '#core/money/costScene'
import { digitsOf, formatMoney } from '#core/money/money'

/** The money hung under the Tape, inch under inch: paid, planned with its reserve, likely; and what is left of the reserve. */
const store = useRefitStore()
const { money, currency, inchAt, outcome, say } = useMoney()
const { chanceBy } = useOdds()
const { sayDate } = useDates()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 1240, height: 300 })
const { idOf, urlOf } = provideChartIds()
const [chartTop, chartHeight, reserveHeight, gap] = [42, 176, 62, 12]
const foot = chartTop + chartHeight
const reserveTop = foot + gap
const reserveFoot = reserveTop + reserveHeight

const scene = computed(() =>
  costScene(
    money.value,
    store.derived.loaIn,
    store.derived.earnedIn,
    inchAt.value,
    (jobId) => store.rows.job.find((one) => one.id === jobId)?.title ?? '',
    outcome.value,
  ),
)
const x = (inch: number) => (inch / Math.max(1, store.derived.loaIn)) * (width.value - 2) + 1
const y = (minor: number) => foot - (minor / scene.value.topMinor) * chartHeight
const reserveTotal = computed(() => Math.max(1, money.value.contingency.totalMinor))
const r = (minor: number) =>
  reserveFoot -
  (Math.max(0, Math.min(reserveTotal.value, minor)) / reserveTotal.value) * reserveHeight
/** A stair: level to the next point, then up or down to it. */
const stair = (points: readonly InchPoint[], of: (minor: number) => number, end: number) => {
  const [first, ...rest] = points
  if (!first) return ''
  const steps = rest.map((one) => `H${x(one.inch)}V${of(one.minor)}`)
  return `M${x(first.inch)} ${of(first.minor)}${steps.join('')}H${x(end)}`
}
const endX = computed(() => x(store.derived.loaIn))
const ticks = computed(() => moneyTicks(scene.value.topMinor, digitsOf(currency.value)))
const short = (minor: number) => {
  const major = minor / 10 ** digitsOf(currency.value)
  return major >= 1000 && major % 1000 === 0
    ? `${formatMoney(minor / 1000, currency.value)}k`
    : say(minor)
}
/** Names of gates where there is room: the next launch first, then the last gate, then the others. */
const gates = computed(() => {
  const all = store.derived.gates
  const first = (id: string) =>
    id === store.derived.launch?.gate.id ? 0 : id === all.at(-1)?.gate.id ? 1 : 2
  const taken: { from: number; to: number }[] = []
  return [...all]
    .sort((a, b) => first(a.gate.id) - first(b.gate.id))
    .map(({ gate, markIn, plannedOn, aimedOn, daysLate }) => {
      const at = Math.min(x(markIn), endX.value - 1)
      const chance = outcome.value && chanceBy(gate.id, aimedOn)
      const label =
        chance !== null && aimedOn
          ? `${gate.name} by ${sayDate(aimedOn)}: ${chance} in 100`
          : plannedOn
            ? `${gate.name} ${sayDate(plannedOn)}`
            : gate.name
      const wide = label.length * 6.6
      const left = Math.min(Math.max(at - wide / 2, 70), endX.value - wide)
      const shown = taken.every((one) => left > one.to || left + wide < one.from)
      if (shown) taken.push({ from: left - 8, to: left + wide + 8 })
      return { id: gate.id, at, label, left, shown, late: (daysLate ?? 0) > 0 }
    })
})
/** What is paid stands where the drawing leaves room: to the right below the point, or to its left above it. */
const paidAt = computed(() => {
  const [at, high] = [x(scene.value.now.inch), y(scene.value.now.minor)]
  return at < width.value * 0.7
    ? { x: at + 12, y: Math.min(high + 16, foot - 24), anchor: 'start' as const }
    : { x: at - 10, y: high - 26, anchor: 'end' as const }
})
/** Room for the piles on the left of the drawing: what is paid stays under them. */
const [pilesWide, pilesFoot] = [560, 172]
const hasRoom = computed(() => {
  const { spent, now } = scene.value
  const paid = spent.findLast((one) => x(one.inch) <= pilesWide)?.minor ?? 0
  return x(now.inch) > pilesWide && y(paid) > pilesFoot
})
/** From where we are to what the runs end at: half of them, and 8 in 10. */
const fan = (low: number, high: number, of: (minor: number) => number) => {
  const { now } = scene.value
  const from = `M${x(now.inch)} ${of(of === y ? now.minor : money.value.contingency.leftMinor)}`
  return `${from}L${endX.value} ${of(low)}V${of(high)}Z`
}
const bands = computed(() => {
  const out = scene.value.outcome
  if (!out) return null
  const reserve = scene.value.end.withReserveMinor
  return {
    outer: fan(out.p10, out.p90, y),
    inner: fan(out.p25, out.p75, y),
    reserve:
      money.value.contingency.leftMinor > 0 ? fan(reserve - out.p90, reserve - out.p10, r) : '',
    half: `half the runs end at ${say(round(out.p25))} to ${say(round(out.p75))}, 8 in 10 at ${say(round(out.p10))} to ${say(round(out.p90))}`,
  }
})
/** To three figures: no band is known closer. */
const round = (minor: number) => {
  const one = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, minor))) - 2)
  return Math.round(minor / one) * one
}
/** Where the names of gates end, and how far over the foot those of burns reach. */
const [underNames, overNames] = [18, 20]
/** Names of burns where they have room beside one another. */
const burns = computed(() => {
  let free = -Infinity
  return scene.value.burns.map((one) => {
    const text = `${one.what} −${say(one.minor)}`
    const at = x(one.inch)
    const left = Math.min(at + 3, endX.value - text.length * 6.2)
    const shown = left > free && text.length * 6.2 < width.value / 3
    if (shown) free = left + text.length * 6.2 + 6
    return { ...one, at, left, text, shown }
  })
})
const planSaid = computed(() => {
  const { percent, totalMinor } = money.value.contingency
  const hatched =
    width.value > 600 && percent > 0
      ? `, hatched over it ${percent} % contingency, ${say(totalMinor)}`
      : ''
  return `plan ${say(scene.value.end.plannedMinor)}${hatched}`
})
const said = computed(() => {
  const { now, end, goneAtIn } = scene.value
  const gone =
    goneAtIn === null
      ? 'the contingency lasts'
      : `the contingency is gone at ${Math.round(goneAtIn)} in`
  return `Money by the inch: ${say(now.minor)} paid at ${Math.round(now.inch)} in, planned ${say(end.plannedMinor)}, likely ${say(end.likelyMinor)}${bands.value ? `; ${bands.value.half}` : ''}; ${gone}.`
})
</script>

<template>
  <div ref="box" class="relative overflow-x-clip">
    <!-- Over the drawing where its left is empty. -->
    <GatePiles :class="hasRoom ? 'lg:absolute lg:top-6 lg:left-14' : 'mb-2'" />
    <svg
      :width="width"
      :height="reserveFoot + 4"
      class="block overflow-visible"
      role="img"
      :aria-label="said"
    >
      <defs>
        <pattern :id="idOf('hatch')" width="7" height="7" patternUnits="userSpaceOnUse">
          <path d="M-1 8L8 -1M-1 1L1 -1M6 8L8 6" stroke="var(--ink2)" stroke-width="0.8" />
        </pattern>
        <pattern :id="idOf('red')" width="7" height="7" patternUnits="userSpaceOnUse">
          <path d="M-1 8L8 -1M-1 1L1 -1M6 8L8 6" stroke="var(--redlead)" stroke-width="2" />
        </pattern>
      </defs>
      <g v-for="one in ticks" :key="one">
        <line :x1="1" :x2="endX" :y1="y(one)" :y2="y(one)" stroke="var(--rule2)" />
        <text x="2" :y="y(one) - 3" class="cond" font-size="14" fill="var(--ink2)">
          {{ short(one) }}
        </text>
      </g>
      <path
        :d="`M1 ${y(0)}L${endX} ${y(scene.end.plannedMinor)}V${y(scene.end.withReserveMinor)}Z`"
        :fill="urlOf('hatch')"
      />
      <line
        :x1="1"
        :y1="y(0)"
        :x2="endX"
        :y2="y(scene.end.plannedMinor)"
        stroke="var(--ink)"
        stroke-width="1.5"
        stroke-dasharray="6 4"
      />
      <template v-if="bands">
        <path :d="bands.outer" fill="var(--brass-tint)" stroke="var(--brass-deep)" />
        <path :d="bands.inner" fill="var(--brass)" fill-opacity="0.55" stroke="var(--brass-deep)" />
      </template>
      <line
        :x1="x(scene.now.inch)"
        :y1="y(scene.now.minor)"
        :x2="endX"
        :y2="y(scene.end.likelyMinor)"
        stroke="var(--ink)"
        stroke-width="3"
        stroke-dasharray="1.5 5"
        stroke-linecap="round"
      />
      <path
        :d="stair(scene.spent, y, scene.now.inch)"
        fill="none"
        stroke="var(--ink)"
        stroke-width="3"
      />
      <circle :cx="x(scene.now.inch)" :cy="y(scene.now.minor)" r="5" fill="var(--ink)" />
      <line x1="1" :x2="endX" :y1="foot" :y2="foot" stroke="var(--ink)" stroke-width="1.5" />
      <!-- All lines, then all names over them: no line runs through a name. -->
      <line
        v-for="gate in gates"
        :key="gate.id"
        :x1="gate.at"
        :x2="gate.at"
        :y1="underNames"
        :y2="reserveFoot"
        :stroke="gate.late ? 'var(--redlead)' : 'var(--ink)'"
        stroke-width="1.5"
        stroke-dasharray="2 4"
      />
      <template v-for="gate in gates" :key="gate.id">
        <text
          v-if="gate.shown"
          :x="gate.left"
          y="13"
          class="cond halo"
          font-size="15"
          :fill="gate.late ? 'var(--redlead)' : 'var(--ink)'"
        >
          {{ gate.label }}
        </text>
      </template>
      <text
        :x="paidAt.x"
        :y="paidAt.y"
        :text-anchor="paidAt.anchor"
        class="cond halo"
        font-size="17"
        fill="var(--ink)"
      >
        paid {{ say(scene.now.minor) }}
      </text>
      <text
        :x="paidAt.x"
        :y="paidAt.y + 17"
        :text-anchor="paidAt.anchor"
        class="cond halo"
        font-size="15"
        fill="var(--ink2)"
      >
        owed {{ say(money.owedMinor) }}
      </text>
      <text
        :x="endX - 4"
        :y="Math.max(32, y(scene.end.likelyMinor) - 12)"
        text-anchor="end"
        class="cond halo"
        font-size="16"
        fill="var(--ink)"
      >
        likely {{ say(scene.end.likelyMinor) }}
      </text>
      <text
        v-if="bands && width > 700"
        :x="endX - 4"
        :y="foot - 28"
        text-anchor="end"
        class="cond halo"
        font-size="15"
        fill="var(--ink)"
      >
        {{ bands.half }}
      </text>
      <text
        :x="endX - 4"
        :y="foot - 8"
        text-anchor="end"
        class="cond halo"
        font-size="15"
        fill="var(--ink2)"
      >
        {{ planSaid }}
      </text>
      <path
        :d="`${stair(scene.reserve, r, scene.now.inch)}V${reserveFoot}H1Z`"
        fill="var(--brass-tint)"
      />
      <path
        v-if="bands?.reserve"
        :d="bands.reserve"
        fill="var(--brass-tint)"
        stroke="var(--brass-deep)"
      />
      <line
        :x1="1"
        :y1="r(money.contingency.totalMinor)"
        :x2="endX"
        :y2="reserveFoot"
        stroke="var(--ink2)"
        stroke-dasharray="6 4"
      />
      <path
        :d="stair(scene.reserve, r, scene.now.inch)"
        fill="none"
        stroke="var(--ink)"
        stroke-width="2.5"
      />
      <line
        v-if="money.contingency.leftMinor > 0"
        :x1="x(scene.now.inch)"
        :y1="r(money.contingency.leftMinor)"
        :x2="scene.goneAtIn === null ? endX : x(scene.goneAtIn)"
        :y2="scene.goneAtIn === null ? r(scene.reserveEndMinor) : reserveFoot"
        stroke="var(--ink)"
        stroke-width="3"
        stroke-dasharray="1.5 5"
        stroke-linecap="round"
      />
      <rect
        v-if="scene.goneAtIn !== null"
        :x="x(scene.goneAtIn)"
        :y="reserveFoot - 13"
        :width="Math.max(0, endX - x(scene.goneAtIn))"
        height="13"
        :fill="urlOf('red')"
        stroke="var(--redlead)"
        stroke-width="1.5"
      />
      <g v-for="one in burns" :key="one.what">
        <line
          :x1="one.at"
          :x2="one.at"
          :y1="r(one.leftMinor)"
          :y2="one.shown ? reserveFoot : Math.max(r(one.leftMinor), reserveFoot - overNames)"
          stroke="var(--brass-deep)"
          stroke-dasharray="2 3"
        />
        <text
          v-if="one.shown"
          :x="one.left"
          :y="reserveFoot - 6"
          class="cond halo"
          font-size="14"
          fill="var(--ink)"
        >
          {{ one.text }}
        </text>
      </g>
      <line x1="1" :x2="endX" :y1="reserveFoot" :y2="reserveFoot" stroke="var(--ink)" />
    </svg>
  </div>
</template>

<style scoped>
.halo {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
</style>
