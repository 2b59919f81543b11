<script setup lang="ts">
import { computed } from 'vue'
import type { Panel, Row } from '#core/model/entities'
import type { Drying } from '#core/panel/drying'
import { addDays, daysBetween } from '#core/time/civil'

/** Readings over days, the fitted line, and where it is likely to cross what counts as dry. */
const props = defineProps<{
  panel: Panel
  readings: readonly Row<'dryingReading'>[]
  drying: Drying
  launchOn: string | null
}>()
const { sayDate } = useDates()
const [wide, high, left, foot] = [460, 150, 30, 20]
const list = computed(() => [...props.readings].sort((a, b) => (a.on < b.on ? -1 : 1)))
const from = computed(() => list.value[0]?.on ?? '2000-01-01')
const span = computed(() => {
  const ends = [
    list.value.at(-1)?.on,
    props.launchOn,
    props.drying.is === 'falling' ? (props.drying.to ?? props.drying.on) : null,
  ].flatMap((on) => (on ? [daysBetween(from.value, on)] : []))
  return Math.max(14, ...ends) * 1.04
})
const top = computed(
  () => Math.max(props.panel.dampFrom + 5, ...list.value.map((one) => one.value)) * 1.06,
)
const x = (on: string) => left + (daysBetween(from.value, on) / span.value) * (wide - left - 8)
const y = (value: number) => high - foot - (value / top.value) * (high - foot - 8)
const line = computed(() => {
  const { drying } = props
  if (drying.is !== 'falling') return ''
  return Array.from({ length: 41 }, (_, at) =>
    addDays(from.value, Math.round((span.value * at) / 41)),
  )
    .map((on, at) => `${at === 0 ? 'M' : 'L'}${x(on).toFixed(1)} ${y(drying.at(on)).toFixed(1)}`)
    .join('')
})
const ticks = computed(() => [0, 10, 20, 30, 40, 60, 80, 100].filter((one) => one < top.value))
</script>

<template>
  <svg
    :viewBox="`0 0 ${wide} ${high}`"
    class="block w-full"
    role="img"
    aria-label="Drying: readings and the fitted line"
  >
    <g v-if="drying.is === 'falling' && drying.to">
      <rect
        :x="x(drying.from)"
        :y="y(panel.dampFrom) - 8"
        :width="Math.max(3, x(drying.to) - x(drying.from))"
        :height="high - foot - y(panel.dampFrom) + 8"
        fill="var(--rule2)"
        stroke="var(--ink)"
      />
    </g>
    <path :d="`M${left} ${y(panel.dampFrom)}H${wide}`" stroke="var(--ink)" stroke-dasharray="6 4" />
    <text :x="left + 4" :y="y(panel.dampFrom) - 3" font-size="13" class="cond" fill="var(--ink)">
      {{ panel.dampFrom }}: dry
    </text>
    <path
      v-if="panel.dryReading !== null"
      :d="`M${left} ${y(panel.dryReading)}H${wide}`"
      stroke="var(--ink2)"
      stroke-dasharray="1 4"
    />
    <g v-if="launchOn && launchOn >= from">
      <path :d="`M${x(launchOn)} 4V${high - foot}`" stroke="var(--redlead)" stroke-width="3" />
      <text :x="x(launchOn) + 5" y="14" font-size="14" class="cond" fill="var(--redlead)">
        launch {{ sayDate(launchOn) }}
      </text>
    </g>
    <path :d="line" fill="none" stroke="var(--water-deep)" stroke-width="3" />
    <circle
      v-for="one in list"
      :key="one.id"
      :cx="x(one.on)"
      :cy="y(one.value)"
      r="4.5"
      fill="var(--sheet)"
      stroke="var(--ink)"
      stroke-width="2"
    />
    <path
      :d="`M${left} 4V${high - foot}H${wide}`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.6"
    />
    <g font-size="13" class="cond" fill="var(--ink)">
      <text v-for="tick in ticks" :key="tick" :x="left - 5" :y="y(tick) + 4" text-anchor="end">
        {{ tick }}
      </text>
      <text :x="left" :y="high - 5">{{ sayDate(from) }}</text>
      <text
        v-if="drying.is === 'falling'"
        :x="Math.min(wide - 4, x(drying.on))"
        :y="high - 5"
        text-anchor="end"
      >
        {{ sayDate(drying.on) }}
      </text>
    </g>
  </svg>
</template>
