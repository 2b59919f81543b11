<script setup lang="ts">
import { computed } from 'vue'
import { ticksOf } from '#core/sequence/axis'
import { xAt } from '#core/sequence/scale'
import type { TimeScale } from '#core/sequence/scale'
import { dayNumber } from '#core/time/civil'
import { sayDate } from '#core/time/say'

/** Dates along the top, and a brass mark under each day on which somebody comes. */
const props = defineProps<{
  scale: TimeScale
  from: string
  to: string
  bottom: number
  presentDays: readonly string[]
}>()
const store = useRefitStore()
const xOf = (date: string) => xAt(props.scale, store.derived.clock.at(dayNumber(date), 0))
const ticks = computed(() =>
  ticksOf(props.from, props.to).map(({ date, named }) => ({
    date,
    x: xOf(date),
    label: named ? sayDate(date) : String(Number(date.slice(8))),
  })),
)
const dayWidth = computed(
  () => (props.scale.right - props.scale.left) / (dayNumber(props.to) - dayNumber(props.from)),
)
</script>

<template>
  <g>
    <g v-for="tick in ticks" :key="tick.date">
      <line :x1="tick.x" :x2="tick.x" :y1="30" :y2="bottom" stroke="var(--rule2)" />
      <text :x="tick.x + 3" y="16" class="cond" font-size="15" fill="var(--ink)">
        {{ tick.label }}
      </text>
    </g>
    <rect
      v-for="date in presentDays"
      :key="date"
      :x="xOf(date) + 1"
      y="24"
      :width="Math.max(2, dayWidth - 2)"
      height="5"
      fill="var(--brass)"
    />
  </g>
</template>
