<script setup lang="ts">
import { computed } from 'vue'
import type { SequenceFacts } from '#core/sequence/facts'
import { dayMore, dayTitle, phoneDayOf } from '#core/sequence/phoneDay'
import { levelShort } from '#core/sequence/pieces'
import { clockTimeOf } from '#core/time/say'
import { dateOf } from '#core/time/civil'
import { inOrder } from '#core/model/refit'

/** Two days on a phone: time runs down, everybody is a thread from step to step, each step is said beside its board. */
const props = defineProps<{
  facts: SequenceFacts
  day: number
  needed: ReadonlySet<string>
  gateName: string
  width: number
}>()
defineEmits<{ step: [stepId: string] }>()
const { sayDay, shortDateTime } = useDates()
const store = useRefitStore()
const pieces = computed(() => new Map(props.facts.pieces.map((one) => [one.step.id, one])))
const placed = computed(
  () => new Map((props.facts.plan?.placements ?? []).map((one) => [one.stepId, one])),
)
const titleOf = (stepId: string) => pieces.value.get(stepId)?.step.title ?? ''
/** What is waited for after the last stretch of a step, and whether the gate waits for it. */
function moreOf(stepId: string, to: number): string {
  const one = placed.value.get(stepId)
  const last = one?.segments.at(-1)?.[1] ?? to
  const waits =
    one && to === last && one.readyAt > last
      ? `waits to ${shortDateTime(one.readyAt, props.facts.clock)}`
      : ''
  return [waits, props.needed.has(stepId) ? '' : `not for ${props.gateName}`]
    .filter(Boolean)
    .join(', ')
}
const days = computed(() =>
  [0, 1].map((index) => {
    const { clock, plan } = props.facts
    const day = props.day + index
    const drawn = phoneDayOf(
      plan?.placements ?? [],
      clock,
      day,
      (id) => pieces.value.get(id)?.level ?? null,
      (id, to) => ({ title: titleOf(id), more: moreOf(id, to) }),
      props.width,
    )
    return {
      day,
      name: sayDay(dateOf(day)),
      drawn,
      lines: drawn.words.map((one) => ({
        ...one,
        title: titleOf(one.stepId),
        when: `${clockTimeOf(one.from, clock)}–${clockTimeOf(one.to, clock)}`,
        more: moreOf(one.stepId, one.to),
        people: placed.value.get(one.stepId)?.personIds ?? [],
      })),
    }
  }),
)
const people = computed(() => inOrder(store.rows.person.filter((one) => !one.gone)))
const marks = (ids: readonly string[]) =>
  people.value.flatMap((one, index) => (ids.includes(one.id) ? [{ index, name: one.name }] : []))
const looks = [
  { stroke: 'var(--verdigris)', dash: undefined },
  { stroke: 'var(--water-deep)', dash: '7 4' },
  { stroke: 'var(--brass-deep)', dash: '2 4' },
  { stroke: 'var(--ink)', dash: '10 3 2 3' },
] as const
const lookOf = (personId: string) =>
  looks[people.value.findIndex((one) => one.id === personId)] ?? looks[looks.length - 1]!
const isNeeded = (stepId: string) => props.needed.has(stepId)
</script>

<template>
  <div>
    <section v-for="own in days" :key="own.day" class="mt-4">
      <h2>{{ own.name }}</h2>
      <p v-if="own.lines.length === 0" class="text-ink2">Nobody has anything to do.</p>
      <div v-else class="relative" :style="{ height: `${own.drawn.height}px` }">
        <svg
          class="absolute inset-0"
          :width="own.drawn.wordsX"
          :height="own.drawn.height"
          overflow="visible"
          aria-hidden="true"
        >
          <g v-for="one in own.drawn.hours" :key="one.hour">
            <line
              x1="34"
              :x2="own.drawn.wordsX - 12"
              :y1="one.y"
              :y2="one.y"
              stroke="var(--rule)"
              stroke-width="1"
            />
            <text x="0" :y="one.y + 5" class="cond-thin" font-size="14" fill="var(--ink)">
              {{ String(one.hour % 24).padStart(2, '0') }}
            </text>
          </g>
          <text
            v-for="one in own.drawn.columns"
            :key="one.level"
            :transform="`translate(${one.x - 8} 20) rotate(-28)`"
            class="cond"
            font-size="14"
            fill="var(--ink)"
          >
            {{ levelShort[one.level] }}
          </text>
          <path
            v-for="one in own.lines"
            :key="`to ${one.key}`"
            :d="`M${one.x} ${one.y}H${own.drawn.wordsX - 14}L${own.drawn.wordsX - 4} ${one.top + 10}`"
            fill="none"
            stroke="var(--ink2)"
            stroke-width="1"
          />
          <rect
            v-for="one in own.drawn.boards"
            :key="one.key"
            :x="one.x - own.drawn.boardWide / 2"
            :y="one.y0"
            :width="own.drawn.boardWide"
            :height="Math.max(3, one.y1 - one.y0 - 1)"
            :fill="isNeeded(one.stepId) ? 'var(--sheet)' : 'var(--rule2)'"
            stroke="var(--ink)"
            stroke-width="1.2"
          />
          <g v-for="one in own.drawn.threads" :key="one.personId">
            <path
              :d="one.d"
              fill="none"
              :stroke="lookOf(one.personId).stroke"
              stroke-width="3"
              :stroke-dasharray="lookOf(one.personId).dash"
            />
            <circle
              v-for="at in one.starts"
              :key="at.y"
              :cx="at.x"
              :cy="at.y"
              r="4"
              :fill="lookOf(one.personId).stroke"
              stroke="var(--sheet)"
            />
          </g>
        </svg>
        <ol :aria-label="own.name">
          <li
            v-for="line in own.lines"
            :key="line.key"
            class="absolute right-0"
            :style="{ left: `${own.drawn.wordsX}px`, top: `${line.top}px` }"
          >
            <button
              class="block w-full text-left"
              :style="{ minHeight: `${line.tall}px` }"
              @click="$emit('step', line.stepId)"
            >
              <span class="cond block" :style="{ fontSize: `${dayTitle}px`, lineHeight: '19px' }">{{
                line.title
              }}</span>
              <span
                class="flex items-center gap-1 text-ink2"
                :style="{ fontSize: `${dayMore}px`, lineHeight: '18px' }"
              >
                <span class="cond-thin">{{ line.when }}</span>
                <PersonMark v-for="one in marks(line.people)" :key="one.name" v-bind="one" small />
                <span class="sr-only">{{
                  marks(line.people)
                    .map((one) => one.name)
                    .join(' and ')
                }}</span>
              </span>
              <span
                v-if="line.more"
                class="cond-thin block text-ink2"
                :style="{ fontSize: `${dayMore}px`, lineHeight: '18px' }"
                >{{ line.more }}</span
              >
            </button>
          </li>
        </ol>
      </div>
    </section>
  </div>
</template>
