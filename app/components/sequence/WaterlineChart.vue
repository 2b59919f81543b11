<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { strakeRows } from '#core/sequence/planks'
import { xAt } from '#core/sequence/scale'
import type { TimeScale } from '#core/sequence/scale'
import { ashoreSpans } from '#core/sequence/water'
import { dayNumber } from '#core/time/civil'
import { formatHours } from '#core/units/hours'

/**
 * The waterline chart: time to the right, work as planks in strakes by place, hatched tails for
 * waits, posts for gates, and the water she rises from when ashore and sits in when afloat.
 */
const props = defineProps<{
  from: string
  to: string
  chainSteps: ReadonlySet<string>
  /** Only these steps; null: all work. */
  only: ReadonlySet<string> | null
}>()
const emit = defineEmits<{ job: [jobId: string] }>()
const store = useRefitStore()
const planner = usePlannerStore()
const time = useTimeStore()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 900, height: 600 })

const left = 86
const top = 66
const laneHeight = 29
const strakeGap = 12
const waterHeight = 58
const hoursHeight = 74
const leastPlot = 200
/** Past this many days a day is too narrow for marks of its own. */
const longDays = 130
const strakeName = {
  away: 'Away',
  shed: 'Shed',
  rig: 'Rig',
  deck: 'On deck',
  below: 'Below',
  underwater: 'Underwater',
} as const

const scale = computed((): TimeScale => {
  const { clock } = store.derived
  return {
    from: clock.at(dayNumber(props.from), 0),
    to: clock.at(dayNumber(props.to), 0),
    left,
    right: left + Math.max(leastPlot, width.value - left - 4),
  }
})
const rows = computed(() => {
  let y = top
  return strakeRows(store.rows, store.accepted, scale.value, props.chainSteps, props.only).map(
    (row) => {
      const own = { ...row, y }
      y += row.lanes * laneHeight + strakeGap
      return own
    },
  )
})
const bottom = computed(() =>
  rows.value.reduce((sum, row) => sum + row.lanes * laneHeight + strakeGap, top),
)
const ashore = computed(() => ashoreSpans(store.rows, store.accepted, store.derived.clock))
const isLong = computed(() => dayNumber(props.to) - dayNumber(props.from) > longDays)
const presentDays = computed(() => {
  if (isLong.value) return []
  const seen = new Set<string>()
  for (const one of store.accepted?.placements ?? [])
    if (one.personIds.length > 0)
      for (const [from] of one.segments) seen.add(store.derived.clock.dateOf(from))
  return [...seen].filter((date) => date >= props.from && date < props.to)
})
const chainLines = computed(() => {
  const dots = rows.value.flatMap((row) =>
    row.planks
      .filter((plank) => plank.binding)
      .map((plank) => ({
        x: plank.x,
        end: plank.x + plank.width + plank.waitWidth,
        y: row.y + plank.lane * laneHeight + 13,
      })),
  )
  return dots
    .sort((a, b) => a.x - b.x)
    .slice(1)
    .map((dot, index) => {
      const before = dots[index] as (typeof dots)[number]
      const startX = Math.min(before.end, dot.x)
      return `M${startX} ${before.y} L${dot.x} ${before.y} L${dot.x} ${dot.y}`
    })
})
const nowX = computed(() =>
  time.minute > scale.value.from && time.minute < scale.value.to
    ? xAt(scale.value, time.minute)
    : null,
)
</script>

<template>
  <div ref="box" class="min-w-0">
    <svg
      :width="width"
      :height="bottom + waterHeight + hoursHeight"
      class="block"
      role="group"
      aria-label="Waterline chart"
    >
      <defs>
        <pattern
          id="hatching"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink2)" stroke-width="1.4" />
        </pattern>
      </defs>
      <g aria-hidden="true">
        <ChartAxis
          :scale="scale"
          :from="from"
          :to="to"
          :bottom="bottom"
          :present-days="presentDays"
        />
        <g v-for="row in rows" :key="row.strake">
          <line
            x1="0"
            :x2="width"
            :y1="row.y + row.lanes * laneHeight + 4"
            :y2="row.y + row.lanes * laneHeight + 4"
            stroke="var(--rule)"
          />
          <text x="0" :y="row.y + 19" class="cond" font-size="17" fill="var(--ink)">
            {{ strakeName[row.strake] }}
          </text>
        </g>
        <ChartWater :scale="scale" :ashore="ashore" :top="bottom" :height="waterHeight" />
        <path
          v-for="line in chainLines"
          :key="line"
          :d="line"
          fill="none"
          stroke="var(--redlead)"
          stroke-width="2"
        />
      </g>
      <StrakePlanks
        v-for="row in rows"
        :key="row.strake"
        :row="row"
        :y="row.y"
        :lane-height="laneHeight"
        @job="emit('job', $event)"
      />
      <g aria-hidden="true">
        <GatePosts :scale="scale" :bottom="bottom + waterHeight" :width="width" :from="from" />
        <g v-if="nowX !== null">
          <line
            :x1="nowX"
            :x2="nowX"
            y1="22"
            :y2="bottom + waterHeight"
            stroke="var(--ink)"
            stroke-width="2.5"
          />
          <circle :cx="nowX" cy="22" r="5.5" fill="var(--ink)" />
        </g>
        <WeekHours v-if="!isLong" :scale="scale" :top="bottom + waterHeight" />
      </g>
    </svg>
    <p v-if="planner.hours.unfit > 0" class="text-redlead">
      {{ formatHours(planner.hours.unfit) }} of work have no place in the plan and are in no week.
    </p>
  </div>
</template>
