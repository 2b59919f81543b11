<script setup lang="ts">
import { computed } from 'vue'
import { laneSizes } from '#core/sequence/fit'
import { placedBoards, platesOf } from '#core/sequence/plates'
import type { Weekend } from '#core/sequence/weekend'
import { dateOf } from '#core/time/civil'
import { clockTimeOf } from '#core/time/say'
import type { BoardUse } from '~/utils/boardUse'

/** Two days close up: steps as boards, each person a thread from the ground up and back, the air over them. */
const props = defineProps<{
  weekend: Weekend
  floats: boolean
  use: BoardUse
}>()
const store = useRefitStore()
const { sayDay } = useDates()
const sizes = laneSizes.weekend
const axis = 124
const { idOf, urlOf } = provideChartIds()
const boards = computed(() => placedBoards(props.weekend.layout.levels))
const plates = computed(() => platesOf(boards.value, sizes.board))
const waterTop = computed(
  () =>
    props.weekend.layout.levels.find((one) => one.level === 'underwater')?.y ??
    props.weekend.bottom,
)
const colours = ['var(--verdigris)', 'var(--water-deep)', 'var(--brass-deep)', 'var(--ink)']
const colourOf = (index: number): string => colours[index % colours.length] ?? 'var(--ink)'
const indexOf = (personId: string): number =>
  props.weekend.threads.findIndex((one) => one.personId === personId)
const fitWords = (index: number): string => {
  const air = props.weekend.days[index]?.air
  if (!air) return 'no weather is known for it'
  if (air.usual) return 'usual for the month; the forecast does not reach it'
  const [first] = air.fit
  if (!first) return 'not fit to coat: rain, or too near the dew point'
  const { clock } = store.derived
  return `fit to coat ${air.fit.map((one) => `${clockTimeOf(one.from, clock)}–${clockTimeOf(one.to, clock)}`).join(', ')}`
}
const shapePath = {
  square: 'M-8 -8H8V8H-8Z',
  triangle: 'M0 -9L9 7H-9Z',
  diamond: 'M0 -10L10 0L0 10L-10 0Z',
  round: 'M-8.5 0a8.5 8.5 0 1 0 17 0a8.5 8.5 0 1 0 -17 0Z',
} as const
const nameOf = (personId: string): string =>
  store.rows.person.find((one) => one.id === personId)?.name ?? ''
/** Hands stand one after the other under their day. */
const handsOf = (day: Weekend['days'][number]) =>
  day.hands.map((one, at) => ({
    ...one,
    x: day.x0 + (at * (day.x1 - day.x0)) / Math.max(2, day.hands.length),
    words: `${nameOf(one.personId)} ${one.planned.toFixed(1)} of ${one.there.toFixed(1)} h`,
  }))
</script>

<template>
  <svg
    :width="weekend.width"
    :height="weekend.height"
    :viewBox="`0 0 ${weekend.width} ${weekend.height}`"
    class="block max-w-none select-none print:h-auto print:w-full"
    role="group"
    aria-label="Two days"
  >
    <ChartPatterns :plates="plates" />
    <g aria-hidden="true">
      <g :id="idOf('ground')">
        <rect
          x="0"
          :y="weekend.airTop"
          :width="weekend.width"
          :height="weekend.ground - weekend.airTop"
          fill="var(--paper)"
        />
        <rect
          v-for="day in weekend.days"
          :key="day.day"
          :x="day.x0"
          :y="weekend.top"
          :width="day.x1 - day.x0"
          :height="weekend.bottom - weekend.top"
          fill="var(--sheet)"
          opacity="0.7"
        />
        <rect
          :x="weekend.days[0]!.x1"
          :y="weekend.top"
          :width="weekend.days[1]!.x0 - weekend.days[0]!.x1"
          :height="weekend.bottom - weekend.top"
          fill="var(--rule2)"
        />
      </g>
      <text
        :x="(weekend.days[0]!.x1 + weekend.days[1]!.x0) / 2"
        :y="weekend.airTop + 34"
        text-anchor="middle"
        class="cond"
        font-size="13"
        fill="var(--ink)"
      >
        night
      </text>
      <g v-for="(day, index) in weekend.days" :key="day.day">
        <text :x="day.x0" y="18" class="cond" font-size="18" fill="var(--ink)">
          {{ sayDay(dateOf(day.day)) }}
          <tspan class="cond-thin" dx="14" font-size="14" fill="var(--ink)">
            {{ fitWords(index) }}
          </tspan>
        </text>
        <g v-for="time in day.times" :key="time.text">
          <text
            :x="time.x"
            :y="weekend.airTop - 7"
            :text-anchor="time.x > day.x1 - 20 ? 'end' : 'middle'"
            class="cond-thin"
            font-size="13.5"
            fill="var(--ink)"
          >
            {{ time.text }}
          </text>
          <line
            :x1="time.x"
            :x2="time.x"
            :y1="weekend.top"
            :y2="weekend.bottom"
            stroke="var(--rule2)"
          />
        </g>
        <template v-if="day.air">
          <rect
            v-for="one in day.air.fit"
            :key="one.from"
            :x="one.x0"
            :y="weekend.airTop"
            :width="one.x1 - one.x0"
            height="46"
            fill="var(--brass-tint)"
          />
          <path
            :d="day.air.air"
            fill="none"
            stroke="var(--ink)"
            stroke-width="2"
            :stroke-dasharray="day.air.usual ? '6 4' : undefined"
          />
          <path :d="day.air.dew" fill="none" stroke="var(--ink2)" stroke-dasharray="2 3" />
          <text
            v-for="one in day.air.degrees"
            :key="one.x"
            :x="one.x"
            :y="one.y"
            text-anchor="middle"
            class="cond-thin"
            font-size="13"
            fill="var(--ink)"
          >
            {{ one.tempC }}°
          </text>
        </template>
      </g>
      <text x="12" :y="weekend.airTop + 14" class="cond" font-size="14" fill="var(--ink)">
        Air and dew
      </text>
      <text x="12" :y="weekend.airTop + 30" class="cond-thin" font-size="13" fill="var(--ink)">
        shaded: fit to coat
      </text>
      <line
        v-for="level in weekend.layout.levels"
        :key="level.level"
        :x1="axis"
        :x2="weekend.width"
        :y1="level.y"
        :y2="level.y"
        stroke="var(--rule)"
      />
      <BoatAxis
        :levels="weekend.layout.levels"
        :width="axis"
        :water-top="waterTop"
        :bottom="weekend.bottom"
        :ground="weekend.ground"
        :floats="floats"
      />
      <rect
        x="0"
        :y="weekend.ground"
        :width="weekend.width"
        height="7"
        fill="var(--rule)"
        stroke="var(--ink)"
        stroke-width="0.8"
      />
      <g v-for="thread in weekend.threads" :key="thread.personId">
        <path
          v-for="path in thread.paths"
          :key="path"
          :d="path"
          fill="none"
          :stroke="colourOf(indexOf(thread.personId))"
          stroke-width="2.2"
          :stroke-dasharray="
            thread.shape === 'round' ? undefined : thread.shape === 'square' ? '7 4' : '2 4'
          "
        />
      </g>
      <line
        v-if="weekend.nowX !== null"
        :x1="weekend.nowX"
        :x2="weekend.nowX"
        :y1="weekend.airTop"
        :y2="weekend.ground"
        stroke="var(--ink)"
        stroke-width="2.6"
      />
      <LevelBoards
        v-for="level in weekend.layout.levels"
        :key="level.level"
        :level="level"
        :ruler="weekend.ruler"
        :sizes="sizes"
        grey-others
      />
      <g :clip-path="urlOf('plates')"><use :href="`#${idOf('ground')}`" /></g>
      <BoardWords :boards="boards" :sizes="sizes" :name-size="15" two />
      <g v-for="thread in weekend.threads" :key="`marks ${thread.personId}`">
        <g
          v-for="mark in thread.marks"
          :key="`${mark.x} ${mark.y}`"
          :transform="`translate(${mark.x} ${mark.y})`"
        >
          <path
            :d="shapePath[thread.shape]"
            :fill="colourOf(indexOf(thread.personId))"
            stroke="var(--sheet)"
          />
          <text y="4.5" text-anchor="middle" class="cond" font-size="12" fill="var(--sheet)">
            {{ thread.letter }}
          </text>
        </g>
      </g>
      <text x="12" :y="weekend.ground + 26" class="cond" font-size="14" fill="var(--ink)">
        Hands
      </text>
      <template v-for="day in weekend.days" :key="`hands ${day.day}`">
        <text
          v-if="day.hands.length === 0"
          :x="day.x0"
          :y="weekend.ground + 26"
          class="cond-thin"
          font-size="14"
          fill="var(--ink)"
        >
          nobody is there
        </text>
        <g v-for="one in handsOf(day)" :key="one.personId">
          <g
            v-if="indexOf(one.personId) >= 0"
            :transform="`translate(${one.x + 9} ${weekend.ground + 21})`"
          >
            <path
              :d="shapePath[weekend.threads[indexOf(one.personId)]!.shape]"
              :fill="colourOf(indexOf(one.personId))"
            />
            <text y="4.5" text-anchor="middle" class="cond" font-size="12" fill="var(--sheet)">
              {{ weekend.threads[indexOf(one.personId)]!.letter }}
            </text>
          </g>
          <text
            :x="one.x + 24"
            :y="weekend.ground + 26"
            class="cond"
            font-size="14.5"
            fill="var(--ink)"
          >
            {{ one.words }}
          </text>
        </g>
      </template>
    </g>
    <BoardHits v-bind="use" :boards="boards" :sizes="sizes" :ruler="weekend.ruler" />
  </svg>
</template>
