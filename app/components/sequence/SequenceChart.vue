<script setup lang="ts">
import { computed } from 'vue'
import { placedBoards, platesOf } from '#core/sequence/plates'
import { ghostRope } from '#core/sequence/ghostRope'
import type { Ghost } from '#core/sequence/ghostRope'
import { atX } from '#core/sequence/ruler'
import { axisWidth } from '#core/sequence/top'
import type { Scene } from '#core/sequence/scene'
import type { BoardUse } from '~/utils/boardUse'

/**
 * The drawing: the boat cut amidships at the left, time running off her side. Lines first, then plates in the ground's
 * own colour under words that run past a board, then words, knots and dates.
 */
const props = defineProps<{
  scene: Scene
  floats: boolean
  use: BoardUse
  /** What a lever that is pointed at would do; null: none is. */
  ghost: Ghost | null
}>()
/** A day looked at closely: its local number. */
const emit = defineEmits<{ day: [day: number] }>()
function closer(event: MouseEvent) {
  const svg = event.currentTarget as SVGSVGElement
  const x = event.clientX - svg.getBoundingClientRect().left
  if (x > axisWidth) emit('day', store.zone.dayOf(atX(props.scene.ruler, x)))
}
const store = useRefitStore()
/** Post and rope where they would be: drawn over the rest, so that nothing moves for them. */
const rope = computed(() => props.ghost && ghostRope(props.scene, props.ghost, store.zone))
const sizes = computed(() => props.scene.layout.sizes)
const boards = computed(() => placedBoards(props.scene.levels))
const plates = computed(() => platesOf(boards.value, sizes.value.board))
const flagRow = 24
const { idOf, urlOf } = provideChartIds()
/** Dates that are not planned. */
const thin: Readonly<Record<string, string>> = { aimed: '2 4', likely: '7 5' }
</script>

<template>
  <svg
    :width="scene.width"
    :height="scene.height"
    :viewBox="`0 0 ${scene.width} ${scene.height}`"
    class="block max-w-none select-none print:h-auto print:w-full"
    role="group"
    :aria-label="scene.view === 'launch' ? 'The way to the gate' : 'All seasons'"
    @dblclick="closer"
  >
    <ChartPatterns :plates="plates" />
    <g aria-hidden="true">
      <ChartGround :id="idOf('ground')" :scene="scene" />
      <rect
        v-for="one in scene.pleats"
        :key="one.x0"
        :x="one.x0"
        :y="scene.top"
        :width="one.x1 - one.x0"
        :height="scene.ground - scene.top"
        :fill="urlOf('pleat')"
      />
      <line
        v-for="level in scene.levels"
        :key="level.level"
        :x1="axisWidth"
        :x2="scene.width"
        :y1="level.y"
        :y2="level.y"
        stroke="var(--rule)"
      />
      <ChartWater :scene="scene" />
      <BoatAxis
        :levels="scene.levels"
        :width="axisWidth"
        :water-top="scene.waterTop"
        :bottom="scene.bottom"
        :ground="scene.ground"
        :floats="floats"
      />
      <line
        v-for="post in scene.posts"
        :key="post.key"
        :x1="post.x"
        :x2="post.x"
        :y1="(scene.flagRows - 1 - (post.row ?? 0)) * flagRow + 1"
        :y2="scene.ground + 4"
        :stroke="post.kind === 'asked' || post.kind === 'likely' ? 'var(--redlead)' : 'var(--ink)'"
        :stroke-width="post.kind === 'asked' ? 5 : thin[post.kind] ? 2 : 2.6"
        :stroke-dasharray="thin[post.kind]"
      />
      <line
        v-if="rope && rope.postX !== null"
        :x1="rope.postX"
        :x2="rope.postX"
        :y1="scene.top - 4"
        :y2="scene.ground + 4"
        stroke="var(--redlead)"
        stroke-width="4"
        stroke-dasharray="9 6"
      />
      <path
        v-if="scene.rope"
        :d="scene.rope"
        fill="none"
        stroke="var(--redlead)"
        stroke-width="5"
      />
      <path
        v-if="rope"
        :d="rope.path"
        fill="none"
        stroke="var(--redlead)"
        stroke-width="4"
        stroke-dasharray="9 6"
      />
      <LevelBoards
        v-for="level in scene.levels"
        :key="level.level"
        :level="level"
        :ruler="scene.ruler"
        :sizes="sizes"
      />
      <g :clip-path="urlOf('plates')"><use :href="`#${idOf('ground')}`" /></g>
      <path
        v-if="rope"
        :d="rope.along"
        fill="none"
        stroke="var(--redlead)"
        stroke-width="4"
        stroke-dasharray="9 6"
      />
      <ChartRope :scene="scene" />
      <BoardWords :boards="boards" :sizes="sizes" :name-size="scene.layout.style.nameSize" />
      <ChartTop :scene="scene" />
      <ChartTroughs :scene="scene" />
    </g>
    <ChartKnots :knots="scene.knots" :boards="boards" @plank="use.onPlank" />
    <BoardHits v-bind="use" :boards="boards" :sizes="sizes" :ruler="scene.ruler" />
  </svg>
</template>
