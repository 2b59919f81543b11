<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { calibrations, startsFrom } from '#core/forecast/calibration'
import { workKinds } from '#core/model/said'
import { counted } from '#core/units/counted'

/** Guess against truth by kind of work: a plumb line where guesses hang, a bob where the work really does. */
const store = useRefitStore()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 620, height: 400 })
const all = computed(() => calibrations(store.rows))
/** Kinds with one step fold where there are many. */
const most = 14
const folds = ref(true)
const shown = computed(() =>
  all.value.length > most && folds.value
    ? all.value.filter((one) => one.steps > 1).slice(0, most)
    : all.value,
)
const [rowHigh, top, nameWide] = [26, 30, 140]
const narrowPx = 480
const isNarrow = computed(() => width.value < narrowPx)
const endWide = computed(() => (isNarrow.value ? 66 : 118))
const left = computed(() => Math.min(nameWide, width.value * 0.32))
const right = computed(() => Math.max(left.value + 80, width.value - endWide.value))
/** From 0.8 to 4 times on a scale of ratios. */
const [least, largest] = [0.8, 4]
const x = (factor: number) =>
  left.value +
  12 +
  ((Math.log(Math.min(largest, Math.max(least, factor))) - Math.log(least)) /
    (Math.log(largest) - Math.log(least))) *
    (right.value - left.value - 24)
const height = computed(() => top + shown.value.length * rowHigh + 26)
const marks = computed(() => [
  { at: 1, label: 'as guessed' },
  { at: startsFrom, label: isNarrow.value ? '' : '1.6×' },
  { at: 2, label: '2×' },
  { at: 3, label: '3×' },
])
const times = (factor: number) => `${factor.toFixed(1)}×`
const said = (one: (typeof all.value)[number]) =>
  `${workKinds[one.operation]} takes you ${times(one.factor)} what you guess, by ${counted(one.steps, 'step')}; between ${times(one.low)} and ${times(one.high)} in 8 of 10`
const nameOf = (id: string) => store.rows.person.find((one) => one.id === id)?.name ?? 'Somebody'
</script>

<template>
  <section aria-labelledby="guess-truth">
    <h2 id="guess-truth" class="border-b-2 border-ink text-lg">
      Guess against truth, by kind of work
    </h2>
    <p v-if="all.length === 0" class="mt-2 text-ink2">
      No step with hours is finished yet. Until one is, an hour guessed is taken to need
      {{ startsFrom }}: what most people find.
    </p>
    <div ref="box" class="overflow-hidden">
      <svg :width="width" :height="height" class="block" aria-hidden="true">
        <g v-for="mark in marks" :key="mark.at">
          <line
            :x1="x(mark.at)"
            :x2="x(mark.at)"
            :y1="top - 8"
            :y2="height - 22"
            :stroke="
              mark.at === 1 ? 'var(--ink)' : mark.at === startsFrom ? 'var(--ink2)' : 'var(--rule)'
            "
            :stroke-width="mark.at === 1 ? 2.5 : 1"
            :stroke-dasharray="mark.at === startsFrom ? '2 3' : undefined"
          />
          <text
            :x="x(mark.at)"
            :y="top - 13"
            text-anchor="middle"
            class="cond"
            font-size="14"
            fill="var(--ink)"
          >
            {{ mark.label }}
          </text>
        </g>
        <path
          :d="`M${x(1) - 6} ${height - 22}h12v5l-6 11l-6 -11z`"
          fill="var(--brass)"
          stroke="var(--ink)"
        />
        <g
          v-for="(one, at) in shown"
          :key="one.operation"
          :transform="`translate(0 ${top + at * rowHigh})`"
        >
          <line :x1="0" :x2="width" :y1="rowHigh" :y2="rowHigh" stroke="var(--rule2)" />
          <text x="0" y="17" class="cond" font-size="16" fill="var(--ink)">
            {{ workKinds[one.operation] }}
          </text>
          <rect
            :x="x(one.low)"
            y="7"
            :width="Math.max(2, x(one.high) - x(one.low))"
            height="10"
            fill="var(--brass-tint)"
            stroke="var(--brass-deep)"
          />
          <line
            v-for="step in one.guessed"
            :key="step.stepId"
            :x1="x(step.ratio)"
            :x2="x(step.ratio)"
            y1="5"
            y2="19"
            stroke="var(--ink2)"
          />
          <template v-if="one.mean !== null">
            <line
              :x1="x(one.mean)"
              :x2="x(one.factor)"
              y1="12"
              y2="12"
              stroke="var(--ink)"
              stroke-width="2"
            />
            <circle
              :cx="x(one.mean)"
              cy="12"
              r="4.5"
              fill="var(--sheet)"
              stroke="var(--ink)"
              stroke-width="1.5"
            />
          </template>
          <path
            :d="`M${x(one.factor) - 6} 6h12v4l-6 9l-6 -9z`"
            fill="var(--brass)"
            stroke="var(--ink)"
          />
          <text
            :x="right + 34"
            y="18"
            text-anchor="end"
            class="cond"
            font-size="17"
            :fill="one.factor >= 2 ? 'var(--redlead)' : 'var(--ink)'"
          >
            {{ times(one.factor) }}
          </text>
          <text :x="width" y="17" text-anchor="end" class="cond" font-size="15" fill="var(--ink2)">
            {{ one.steps }}{{ isNarrow ? '' : one.steps === 1 ? ' step' : ' steps' }}
          </text>
        </g>
      </svg>
      <ul class="sr-only">
        <li v-for="one in shown" :key="one.operation">{{ said(one) }}.</li>
      </ul>
    </div>
    <p class="text-sm text-ink2">
      Thin line: a step. Ring: your mean. Bob: what to use, few steps lean to {{ startsFrom }}; bar
      8 in 10.
      <button v-if="all.length > most" class="underline max-sm:min-h-11" @click="folds = !folds">
        {{ folds ? `${all.length - shown.length} more kinds` : 'Fewer kinds' }}
      </button>
    </p>
    <ul v-if="all.some((one) => one.people.length > 0)" class="mt-1 leading-snug">
      <li v-for="one in all.filter((kind) => kind.people.length > 1)" :key="one.operation">
        <span class="cond">{{ workKinds[one.operation] }}:</span>
        {{
          one.people
            .map(
              (who) =>
                `${nameOf(who.personId)} ${times(who.factor)} (${counted(who.steps, 'step')})`,
            )
            .join(', ')
        }}
      </li>
    </ul>
  </section>
</template>
