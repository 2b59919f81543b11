<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { formatHours } from '#core/units/hours'
import { ashoreFrom, slingMs } from '#core/plan/schedule/sites'
import { gateDate } from '#core/plan/haulOutOf'
import { addDays, dateOf, dayNumber, weekdayOf } from '#core/time/civil'
import { sayDate as sayTick } from '#core/time/say'
import { purposeName } from '#core/plan/priority'
import { mostLabelPx, usePlanks } from '~/composables/usePlanks'
import type { PackedPlank } from '~/composables/usePlanks'

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
const { sayDate, shortDate } = useDates()
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

const zone = computed(() => store.derived.clock)
const fromAt = computed(() => zone.value.at(dayNumber(props.from), 0))
const toAt = computed(() => zone.value.at(dayNumber(props.to), 0))
const plotWidth = computed(() => Math.max(200, width.value - left - 4))
const x = (at: number) =>
  left + ((at - fromAt.value) / (toAt.value - fromAt.value)) * plotWidth.value
const { rows } = usePlanks(
  fromAt,
  toAt,
  x,
  computed(() => props.chainSteps),
  computed(() => props.only),
)

const placedRows = computed(() => {
  let y = top
  return rows.value.map((row) => {
    const own = { ...row, y }
    y += row.lanes * laneHeight + strakeGap
    return own
  })
})
const bottom = computed(
  () => top + rows.value.reduce((sum, row) => sum + row.lanes * laneHeight + strakeGap, 0),
)
const height = computed(() => bottom.value + waterHeight + hoursHeight)

const days = computed(() => dayNumber(props.to) - dayNumber(props.from))
const weeks = computed(() => {
  const first = dayNumber(props.from)
  const step = days.value > 400 ? 61 : days.value > 130 ? 28 : 7
  const start = first + ((8 - weekdayOf(first)) % 7)
  const list: { at: number; label: string }[] = []
  for (let day = start; day < first + days.value; day += step) {
    const date = dateOf(day)
    const month = Number(date.slice(8)) <= 7 || step > 7 || list.length === 0
    list.push({
      at: zone.value.at(day, 0),
      label: month ? sayTick(date) : String(Number(date.slice(8))),
    })
  }
  return list
})
/** Days on which somebody comes, as brass marks under the dates. */
const presentDays = computed(() => {
  if (days.value > 130) return []
  const seen = new Set<string>()
  for (const one of store.accepted?.placements ?? [])
    if (one.personIds.length > 0)
      for (const [from] of one.segments) seen.add(zone.value.dateOf(from))
  return [...seen].filter((date) => date >= props.from && date < props.to)
})
const gates = computed(() =>
  store.derived.gates.flatMap(({ gate, plannedOn, aimedOn, daysLate }) => {
    const at = store.accepted?.gates.find((one) => one.gateId === gate.id)?.at
    if (at === undefined || plannedOn === null || at < fromAt.value || at >= toAt.value) return []
    const late = (daysLate ?? 0) > 0
    const aimed =
      late && aimedOn && aimedOn >= props.from ? x(zone.value.at(dayNumber(aimedOn), 720)) : null
    return [
      {
        gate,
        x: x(at),
        label: `${gate.name} ${sayDate(plannedOn)}`,
        aimed,
        aimedOn,
        late,
        launch: gate.kind === 'launch',
      },
    ]
  }),
)
/** Spans ashore inside the stretch, for the water. */
const ashore = computed(() =>
  store.rows.haulOut.map((haul) => {
    const yard = store.rows.place.find((one) => one.id === haul.placeId) ?? null
    const launchAt = haul.launchActual
      ? zone.value.at(dayNumber(haul.launchActual), 600)
      : (store.accepted?.launches.find((one) => one.haulOutId === haul.id)?.at ??
        zone.value.at(
          dayNumber(
            gateDate(store.rows, { kind: 'launch', haulOutId: haul.id, on: null }) ?? props.to,
          ),
          600,
        ))
    return { from: ashoreFrom(haul, yard, zone.value) - slingMs, to: launchAt, name: haul.name }
  }),
)
const water = computed(() => {
  const low = bottom.value + waterHeight - 18
  const high = bottom.value + 6
  const isAshore = (at: number) => ashore.value.some((one) => at >= one.from && at < one.to)
  const levelAt = (at: number) => (isAshore(at) ? low : high)
  const points: string[] = []
  const edges = ashore.value
    .flatMap((one) => [one.from, one.to])
    .filter((at) => at > fromAt.value && at < toAt.value)
  let level = levelAt(fromAt.value)
  points.push(`M${left} ${level}`)
  for (const edge of edges.sort((a, b) => a - b)) {
    const next = level === low ? high : low
    const at = x(edge)
    points.push(
      `L${Math.max(left, at - 14)} ${level} C${at} ${level} ${at} ${next} ${at + 14} ${next}`,
    )
    level = next
  }
  points.push(`L${left + plotWidth.value} ${level}`)
  const line = points.join(' ')
  return { line, area: `${line} V${bottom.value + waterHeight} H${left} Z`, low, high }
})
const waterWords = computed(() =>
  ashore.value
    .filter((one) => one.to > fromAt.value && one.from < toAt.value)
    .map((one) => ({
      x: Math.max(left, x(one.from)) + 8,
      words: `ashore since ${shortDate(one.from, zone.value)}`,
      soon: one.from > time.minute,
    })),
)
const hours = computed(() => {
  const { weeks } = planner.hours
  const most = Math.max(1, ...weeks.map((one) => Math.max(one.planned, one.there)))
  return weeks
    .map((one) => {
      const a = x(zone.value.at(dayNumber(one.monday), 0))
      const b = x(zone.value.at(dayNumber(addDays(one.monday, 7)), 0))
      return {
        ...one,
        a,
        b,
        plannedPx: (one.planned / most) * 44,
        therePx: (one.there / most) * 44,
      }
    })
    .filter((one) => one.a >= left - 1 && one.b <= left + plotWidth.value + 1)
})
const chainLines = computed(() => {
  const dots = placedRows.value.flatMap((row) =>
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
const spoken = (plank: PackedPlank): string =>
  `${plank.job.title}: ${plank.label}, ${shortDate(plank.from, zone.value)} to ${shortDate(plank.to, zone.value)}${
    plank.waitTo > plank.to ? `, then waits until ${shortDate(plank.waitTo, zone.value)}` : ''
  }${plank.binding ? ', it holds the launch' : ''}`
const cut = (plank: PackedPlank): string => {
  const room = plank.labelInside ? 400 : mostLabelPx
  const most = Math.floor(room / 7.3)
  return plank.label.length > most ? `${plank.label.slice(0, most - 1)}…` : plank.label
}
const tile = {
  float: 'var(--water-deep)',
  safe: 'var(--redlead)',
  go: 'var(--verdigris)',
  live: 'var(--sheet)',
  shine: 'var(--brass)',
} as const
</script>

<template>
  <div ref="box" class="min-w-0">
    <svg :width="width" :height="height" class="block" role="group" aria-label="Waterline chart">
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
        <g v-for="week in weeks" :key="week.at">
          <line :x1="x(week.at)" :x2="x(week.at)" :y1="30" :y2="bottom" stroke="var(--rule2)" />
          <text :x="x(week.at) + 3" y="16" class="cond" font-size="15" fill="var(--ink)">
            {{ week.label }}
          </text>
        </g>
        <rect
          v-for="date in presentDays"
          :key="date"
          :x="x(zone.at(dayNumber(date), 0)) + 1"
          y="24"
          :width="Math.max(2, plotWidth / days - 2)"
          height="5"
          fill="var(--brass)"
        />
        <g v-for="row in placedRows" :key="row.strake">
          <line
            x1="0"
            :x2="width"
            :y1="row.y + row.lanes * laneHeight + 4"
            :y2="row.y + row.lanes * laneHeight + 4"
            stroke="var(--rule)"
          />
          <text x="0" :y="row.y + 19" class="cond" font-size="17" fill="var(--ink)">
            {{ row.name }}
          </text>
        </g>
        <path :d="water.area" fill="var(--water)" />
        <path :d="water.line" fill="none" stroke="var(--water-deep)" stroke-width="3" />
        <text
          v-for="one in waterWords"
          :key="one.words"
          :x="one.x"
          :y="water.low + 13"
          class="cond"
          font-size="14"
          fill="var(--water-deep)"
        >
          {{ one.soon ? one.words.replace('since', 'from') : one.words }}
        </text>
        <path
          v-for="line in chainLines"
          :key="line"
          :d="line"
          fill="none"
          stroke="var(--redlead)"
          stroke-width="2"
        />
      </g>
      <g v-for="row in placedRows" :key="row.strake">
        <a
          v-for="plank in row.planks"
          :key="plank.key"
          href="#"
          class="plank"
          :aria-label="spoken(plank)"
          @click.prevent="emit('job', plank.job.id)"
        >
          <title>{{ spoken(plank) }}</title>
          <rect
            :x="plank.x"
            :y="row.y + plank.lane * laneHeight"
            :width="plank.width"
            height="26"
            fill="var(--sheet)"
          />
          <rect
            :x="plank.x"
            :y="row.y + plank.lane * laneHeight"
            :width="plank.width * plank.done"
            height="26"
            fill="var(--brass)"
          />
          <rect
            :x="plank.x"
            :y="row.y + plank.lane * laneHeight"
            :width="plank.width"
            height="26"
            fill="none"
            :stroke="plank.binding ? 'var(--redlead)' : 'var(--ink)'"
            :stroke-width="plank.binding ? 3 : 1.5"
            :stroke-dasharray="plank.byOthers ? '5 3' : undefined"
          />
          <rect
            v-if="plank.waitWidth > 1"
            :x="plank.x + plank.width"
            :y="row.y + plank.lane * laneHeight + 4"
            :width="plank.waitWidth"
            height="18"
            fill="url(#hatching)"
            stroke="var(--ink2)"
          />
          <rect
            :x="plank.x + 4"
            :y="row.y + plank.lane * laneHeight + 4"
            width="18"
            height="18"
            :fill="tile[plank.job.purpose]"
            stroke="var(--ink)"
          />
          <text
            :x="plank.x + 13"
            :y="row.y + plank.lane * laneHeight + 18"
            text-anchor="middle"
            class="cond"
            font-size="14"
            :fill="
              plank.job.purpose === 'live'
                ? 'var(--ink)'
                : plank.job.purpose === 'shine'
                  ? 'var(--on-brass)'
                  : 'var(--sheet)'
            "
          >
            {{ plank.job.purpose === 'shine' ? '✦' : purposeName[plank.job.purpose][0] }}
          </text>
          <text
            :x="plank.labelInside ? plank.x + 27 : plank.x + plank.width + plank.waitWidth + 5"
            :y="row.y + plank.lane * laneHeight + 18.5"
            class="cond"
            font-size="15"
            paint-order="stroke"
            :stroke="plank.labelInside ? 'none' : 'var(--paper)'"
            stroke-width="4"
            :fill="plank.labelInside && plank.done > 0.7 ? 'var(--on-brass)' : 'var(--ink)'"
          >
            {{ cut(plank) }}
          </text>
        </a>
      </g>
      <g aria-hidden="true">
        <g v-for="one in gates" :key="one.gate.id">
          <template v-if="one.aimed !== null">
            <line
              :x1="one.aimed"
              :x2="one.aimed"
              y1="50"
              :y2="bottom + waterHeight"
              stroke="var(--ink)"
              stroke-width="2"
              stroke-dasharray="2 4"
            />
            <text
              :x="one.aimed - 4"
              y="61"
              text-anchor="end"
              class="cond"
              font-size="14"
              fill="var(--ink)"
              paint-order="stroke"
              stroke="var(--paper)"
              stroke-width="4"
            >
              aimed {{ sayDate(one.aimedOn ?? '') }}
            </text>
          </template>
          <line
            :x1="one.x"
            :x2="one.x"
            y1="34"
            :y2="bottom + waterHeight"
            :stroke="one.late ? 'var(--redlead)' : 'var(--ink)'"
            :stroke-width="one.launch ? 4 : 2"
          />
          <path
            :d="`M${one.x} 32 h${one.label.length * 7.4 + 16} l-7 8 l7 8 h-${one.label.length * 7.4 + 16}z`"
            :fill="one.late ? 'var(--redlead)' : 'var(--ink)'"
            :transform="
              one.x + one.label.length * 7.4 + 16 > width
                ? `translate(${one.x * 2} 0) scale(-1 1)`
                : undefined
            "
          />
          <text
            :x="one.x + one.label.length * 7.4 + 16 > width ? one.x - 8 : one.x + 7"
            :text-anchor="one.x + one.label.length * 7.4 + 16 > width ? 'end' : 'start'"
            y="45"
            class="cond"
            font-size="15"
            fill="var(--sheet)"
          >
            {{ one.label }}
          </text>
        </g>
        <g v-if="time.minute > fromAt && time.minute < toAt">
          <line
            :x1="x(time.minute)"
            :x2="x(time.minute)"
            y1="22"
            :y2="bottom + waterHeight"
            stroke="var(--ink)"
            stroke-width="2.5"
          />
          <circle :cx="x(time.minute)" cy="22" r="5.5" fill="var(--ink)" />
        </g>
        <template v-if="days <= 130">
          <text x="0" :y="bottom + waterHeight + 34" class="cond" font-size="17" fill="var(--ink)">
            Hours
          </text>
          <text x="0" :y="bottom + waterHeight + 51" class="cond" font-size="14" fill="var(--ink2)">
            planned / there
          </text>
          <g v-for="one in hours" :key="one.monday">
            <rect
              :x="one.a + 4"
              :y="bottom + waterHeight + 52 - one.plannedPx"
              :width="Math.max(0, one.b - one.a - 8)"
              :height="one.plannedPx"
              fill="var(--rule)"
            />
            <rect
              :x="one.a + 4"
              :y="bottom + waterHeight + 52 - one.therePx"
              :width="Math.max(0, one.b - one.a - 8)"
              :height="one.therePx"
              fill="none"
              stroke="var(--ink2)"
              stroke-dasharray="3 3"
            />
            <text
              :x="(one.a + one.b) / 2"
              :y="bottom + waterHeight + 69"
              text-anchor="middle"
              class="cond"
              font-size="14"
              fill="var(--ink)"
            >
              {{
                one.b - one.a > 58
                  ? `${Math.round(one.planned)} / ${Math.round(one.there)}`
                  : Math.round(one.planned)
              }}
            </text>
          </g>
        </template>
      </g>
    </svg>
    <p v-if="planner.hours.unfit > 0" class="text-redlead">
      {{ formatHours(planner.hours.unfit) }} of work have no place in the plan and are in no week.
    </p>
  </div>
</template>

<style scoped>
.plank:hover rect:first-of-type {
  fill: var(--brass-tint);
}
</style>
