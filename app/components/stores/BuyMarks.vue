<script setup lang="ts">
import type { BuyMark } from '#core/stores/buyMarks'

/** Marks of one row: windows, leads, spare days, needs, what comes. */
defineProps<{ marks: readonly BuyMark[]; middle: number }>()
const { urlOf } = useChartIds()
const half = 6
type Of<Kind extends BuyMark['kind']> = Extract<BuyMark, { kind: Kind }>
/** Runs to a point over its last week. */
const window = (one: Of<'open'>, y: number) =>
  `M${one.x0} ${y - half}H${one.taper}L${one.x1} ${y - 1}V${y + 1}L${one.taper} ${y + half}H${one.x0}Z`
/** A line that hangs through, as slack does. */
const droop = (x0: number, x1: number, y: number) =>
  `M${x0} ${y}Q${(x0 + x1) / 2} ${y + 15} ${x1} ${y}`
</script>

<template>
  <g>
    <template v-for="(one, at) in marks" :key="at">
      <rect
        v-if="one.kind === 'early' || one.kind === 'lateBy'"
        :x="one.x0"
        :y="middle - half"
        :width="one.x1 - one.x0"
        :height="half * 2"
        :fill="urlOf(one.kind === 'early' ? 'early' : 'late')"
        :stroke="one.kind === 'early' ? 'var(--ink2)' : 'var(--redlead)'"
      />
      <path v-else-if="one.kind === 'open'" :d="window(one, middle)" fill="var(--verdigris)" />
      <path
        v-else-if="one.kind === 'look'"
        :d="`M${one.x0} ${middle - 10}H${one.x1}v6`"
        fill="none"
        stroke="var(--brass)"
        stroke-width="2.4"
        stroke-dasharray="6 3"
      />
      <line
        v-else-if="one.kind === 'lead'"
        :x1="one.x0"
        :x2="one.x1"
        :y1="middle"
        :y2="middle"
        stroke="var(--ink)"
        stroke-width="1.6"
      />
      <path
        v-else-if="one.kind === 'spare'"
        :d="droop(one.x0, one.x1, middle)"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.4"
      />
      <line
        v-else-if="one.kind === 'way'"
        :x1="one.x0"
        :x2="one.x1"
        :y1="middle"
        :y2="middle"
        stroke="var(--brass)"
        stroke-width="4"
      />
      <g v-else-if="one.kind === 'lateRope'">
        <line
          :x1="one.x0"
          :x2="one.x1"
          :y1="middle"
          :y2="middle"
          stroke="var(--redlead)"
          stroke-width="5"
        />
        <line
          :x1="one.x0"
          :x2="one.x1"
          :y1="middle"
          :y2="middle"
          stroke="var(--sheet)"
          stroke-width="1.5"
          stroke-dasharray="2.5 4"
        />
      </g>
      <rect
        v-else-if="one.kind === 'gap'"
        :x="one.x0"
        :y="middle - 3.5"
        :width="one.x1 - one.x0"
        height="7"
        fill="var(--redlead)"
      />
      <line
        v-else-if="one.kind === 'need'"
        :x1="one.x"
        :x2="one.x"
        :y1="middle - 9"
        :y2="middle + 9"
        stroke="var(--ink)"
        stroke-width="3.4"
      />
      <g v-else-if="one.kind === 'crate' || one.kind === 'crateLate'">
        <rect
          :x="one.x - 8"
          :y="middle - 8"
          width="16"
          height="16"
          :fill="one.kind === 'crate' ? 'var(--brass)' : 'var(--redlead)'"
          stroke="var(--ink)"
          stroke-width="1.6"
        />
        <path
          :d="`M${one.x - 8} ${middle - 8}l16 16m0 -16l-16 16`"
          :stroke="one.kind === 'crate' ? 'var(--ink)' : 'var(--sheet)'"
          stroke-width="1.4"
        />
      </g>
      <rect
        v-else-if="one.kind === 'slip'"
        :x="one.x - 7.5"
        :y="middle - 7.5"
        width="15"
        height="15"
        fill="var(--paper)"
        stroke="var(--redlead)"
        stroke-width="1.8"
        stroke-dasharray="3 2.5"
      />
      <g v-else-if="one.kind === 'washer'">
        <circle
          :cx="one.x"
          :cy="middle"
          r="8"
          fill="var(--brass)"
          stroke="var(--ink)"
          stroke-width="1.6"
        />
        <circle
          :cx="one.x"
          :cy="middle"
          r="3"
          fill="var(--paper)"
          stroke="var(--ink)"
          stroke-width="1.4"
        />
      </g>
      <path
        v-else-if="one.kind === 'shuts' || one.kind === 'opens'"
        :d="
          one.kind === 'shuts'
            ? `M${one.x + 5} ${middle - 9}h-5v18h5`
            : `M${one.x - 5} ${middle - 9}h5v18h-5`
        "
        fill="none"
        :stroke="one.kind === 'shuts' ? 'var(--redlead)' : 'var(--verdigris)'"
        stroke-width="2.6"
      />
      <path
        v-else-if="one.kind === 'torn'"
        :d="`M${one.x - 3} ${middle - 8}l4 5l-6 5l4 6`"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.6"
      />
    </template>
  </g>
</template>
