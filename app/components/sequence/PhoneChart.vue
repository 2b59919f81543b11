<script setup lang="ts">
import { computed } from 'vue'
import { lastDayTo } from '#core/sequence/facts'
import type { SequenceFacts } from '#core/sequence/facts'
import { phoneOf, phoneTitle, phoneWhy } from '#core/sequence/phone'
import { levelShort } from '#core/sequence/pieces'
import { planksOf } from '#core/sequence/planks'
import type { KnotReading } from '#core/sequence/reading'
import { ropePath } from '#core/sequence/rope'
import { dayRuler, isPleat, mondayOn, weekRuler, xOf } from '#core/sequence/ruler'
import { weekFigures } from '#core/sequence/weeks'
import { addDays, dateOf } from '#core/time/civil'

/** The sequence on a phone: time runs down the screen, the levels stand side by side, words only at the knots. */
const props = defineProps<{
  facts: SequenceFacts
  /** Each link by itself, from the gate back. */
  reading: readonly KnotReading[]
  gateId: string | null
  aimedOn: string | null
  now: number
  width: number
  seasons: boolean
}>()
const emit = defineEmits<{ step: [stepId: string] }>()
const { sayDate } = useDates()
const top = 54
const [perDay, leastHeight, weekTall, leastWeek] = [8.5, 420, 9, 34]
const today = computed(() => props.facts.clock.dayOf(props.now))
const range = computed(() => {
  const { firstDay, lastDay } = props.facts
  if (props.seasons) return { first: mondayOn(firstDay), end: mondayOn(lastDay) + 7 }
  const end = lastDayTo(props.facts, props.gateId, props.aimedOn, today.value) + 1
  return { first: mondayOn(today.value), end }
})
const weeks = computed(() =>
  weekFigures(
    props.facts.rows,
    props.facts.plan,
    props.facts.clock,
    props.facts.hands,
    mondayOn(range.value.first),
    range.value.end,
    today.value,
  ),
)
const ruler = computed(() => {
  const { first, end } = range.value
  const { clock, hands } = props.facts
  if (!props.seasons) {
    const height = Math.max(leastHeight, (end - first) * perDay)
    return dayRuler(first, end, (day) => hands(day).hours, clock, top, top + height)
  }
  const open = weeks.value.filter((one) => !isPleat(one)).length
  return weekRuler(weeks.value, clock, top, top + Math.max(leastHeight, open * weekTall * 3))
})
const chain = computed(() => new Set(props.reading.flatMap((one) => one.stepIds)))
const phone = computed(() => {
  const { facts } = props
  const needed = props.gateId === null ? new Set<string>() : facts.neededBy(props.gateId)
  const planks = planksOf(
    facts.pieces,
    { chain: chain.value, needed, arcs: facts.arcs, readyBy: facts.readyBy },
    props.seasons ? 60 : 20,
  )
  const starts = new Map(facts.pieces.map((one) => [one.step.id, one.from]))
  return phoneOf(
    props.seasons ? planks : planks.filter((plank) => plank.ofGate),
    props.reading,
    (stepId) => starts.get(stepId) ?? null,
    ruler.value,
    props.width,
  )
})
const height = computed(() => Math.max(phone.value.height, ruler.value.right) + 16)
const dates = computed(() => {
  let free = top - 20
  return weeks.value.flatMap((week) => {
    const saturday = week.monday + 5
    const y = xOf(ruler.value, props.facts.clock.at(props.seasons ? week.monday : saturday, 0))
    const at = Math.max(y, top + 4)
    if (at < free + leastWeek || isPleat(week)) return []
    free = at
    const hours =
      week.there > 0
        ? `${Math.round(week.planned)}/${Math.round(week.there)} h`
        : `${Math.round(week.logged)} h`
    const date = props.seasons ? dateOf(week.monday) : addDays(dateOf(week.monday), 5)
    return [{ y: at, date: sayDate(date), hours }]
  })
})
const fills = { hands: 'var(--ink)', waits: 'url(#phone-waits)', earned: 'var(--brass)' } as const
const nowY = computed(() => xOf(ruler.value, props.now))
const rope = computed(() => {
  // The path is made for time to the right: turned, its x is our y.
  const points = phone.value.rope.map(({ x, y }) => ({ x: y, y: x }))
  const end = points.at(-1)
  const whole = end ? [...points, { x: ruler.value.right, y: end.y }] : points
  return ropePath(whole)
})
</script>

<template>
  <div class="relative" :style="{ height: `${height}px` }">
    <svg :width="width" :height="height" class="absolute inset-0" aria-hidden="true">
      <defs>
        <pattern
          id="phone-waits"
          width="4"
          height="4"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="4" stroke="var(--ink2)" stroke-width="1.5" />
        </pattern>
      </defs>
      <g v-for="column in phone.columns" :key="column.level">
        <rect
          :x="column.x0 - 4"
          :y="top - 6"
          :width="column.x1 - column.x0 + 8"
          :height="ruler.right - top + 6"
          fill="var(--rule2)"
          opacity="0.6"
        />
        <text
          class="cond"
          font-size="14"
          fill="var(--ink)"
          :transform="`translate(${column.x0 + 4} ${top - 12}) rotate(-32)`"
        >
          {{ levelShort[column.level] }} {{ column.count }}
        </text>
      </g>
      <g v-for="one in dates" :key="one.y">
        <text x="8" :y="one.y + 5" class="cond" font-size="14" fill="var(--ink)">
          {{ one.date }}
        </text>
        <text x="8" :y="one.y + 19" class="cond-thin" font-size="12.5" fill="var(--ink)">
          {{ one.hours }}
        </text>
      </g>
      <g transform="matrix(0 1 1 0 0 0)">
        <path :d="rope" fill="none" stroke="var(--redlead)" stroke-width="4" />
      </g>
      <g v-for="column in phone.columns" :key="`bars ${column.level}`">
        <g v-for="bar in column.bars" :key="bar.plank.key">
          <rect
            :x="bar.x"
            :y="bar.y0"
            width="8"
            :height="bar.y1 - bar.y0"
            fill="var(--sheet)"
            :stroke="bar.plank.binding ? 'var(--redlead)' : 'var(--ink)'"
            :stroke-width="bar.plank.binding ? 2 : 1"
          />
          <rect
            v-for="(part, index) in bar.parts"
            :key="index"
            :x="bar.x + 1"
            :y="part.y"
            width="6"
            :height="part.tall"
            :fill="fills[part.kind]"
          />
        </g>
      </g>
      <line
        x1="56"
        :x2="phone.wordsX - 12"
        :y1="nowY"
        :y2="nowY"
        stroke="var(--ink)"
        stroke-width="2.5"
      />
      <path
        v-for="one in phone.words"
        :key="`to ${one.reading.label}`"
        :d="`M${one.x} ${one.y}H${phone.wordsX - 14}L${phone.wordsX - 4} ${one.top + 10}`"
        fill="none"
        stroke="var(--redlead)"
        stroke-width="1.4"
      />
      <g v-for="knot in phone.knots" :key="knot.label">
        <rect
          :x="knot.x - knot.half"
          :y="knot.y - 9.5"
          :width="2 * knot.half"
          height="19"
          rx="9.5"
          fill="var(--redlead)"
          stroke="var(--sheet)"
        />
        <text
          :x="knot.x"
          :y="knot.y + 4.6"
          text-anchor="middle"
          class="cond"
          font-size="13"
          fill="var(--sheet)"
        >
          {{ knot.label }}
        </text>
      </g>
    </svg>
    <ol aria-label="The rope, forward in time">
      <li
        v-for="one in phone.words"
        :key="one.reading.label"
        class="absolute right-2"
        :style="{ left: `${phone.wordsX}px`, top: `${one.top}px` }"
      >
        <button
          class="touch block w-full text-left"
          @click="emit('step', one.reading.stepIds.at(-1)!)"
        >
          <span class="cond block" :style="{ fontSize: `${phoneTitle}px`, lineHeight: '19px' }"
            ><span class="sr-only">Link {{ one.reading.label }}: </span>{{ one.reading.title
            }}<template v-if="one.reading.dates">, {{ one.reading.dates }}</template></span
          >
          <span
            class="cond-thin block text-ink2"
            :style="{ fontSize: `${phoneWhy}px`, lineHeight: '17px' }"
            >{{ one.reading.why }}</span
          >
        </button>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.touch {
  min-height: 36px;
}
</style>
