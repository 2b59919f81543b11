<script setup lang="ts">
import { computed } from 'vue'
import { laneSizes } from '#core/sequence/fit'
import { boardTall, wordsLine } from '#core/sequence/lanes'
import { axisWidth } from '#core/sequence/scene'
import type { Scene } from '#core/sequence/scene'
import type { Board } from '#core/sequence/board'

/**
 * The drawing: the boat cut amidships at the left, time running off her side. Lines first, then plates in the ground's
 * own colour under words that run past a board, then words, knots and dates.
 */
const props = defineProps<{ scene: Scene; floats: boolean; open: string | null }>()
const emit = defineEmits<{ plank: [key: string]; knot: [stepIds: readonly string[]] }>()
const { shortDate } = useDates()
const store = useRefitStore()
const sizes = computed(() => laneSizes[props.scene.view])
const boards = computed(() =>
  props.scene.levels.flatMap((level) =>
    level.laid.flatMap(({ board, lane }) => {
      const track = level.lanes[lane]
      return track ? [{ board, level, top: level.y + track.y }] : []
    }),
  ),
)
/** Where words leave their board: a plate hides what lies under them. */
const plates = computed(() =>
  boards.value
    .filter(
      ({ board }) => board.words !== '' && (board.openFrom !== null || board.wordsEnd < board.x0),
    )
    .map(({ board, top }) => ({
      key: board.plank.key,
      x:
        board.wordsEnd < board.x0
          ? (board.tileX ?? board.wordsX) - 2
          : Math.max(board.x1 + 1, board.x0),
      end: Math.max(
        board.wordsEnd + 3,
        board.flag ? board.mendEnd + 3 : 0,
        board.slackX > board.wordsEnd && board.slack ? board.right - 4 : 0,
      ),
      y: top,
      tall: wordsLine(sizes.value.board) + 3,
    })),
)
function spoken(board: Board): string {
  const { plank } = board
  const { clock } = store.derived
  const dates = `${shortDate(plank.from, clock)} to ${shortDate(plank.to, clock)}`
  const slack =
    plank.binding || plank.slackDays === null
      ? ''
      : `, ${plank.slackDays} ${plank.slackDays === 1 ? 'day' : 'days'} slack`
  const name = plank.name === plank.job.title ? plank.name : `${plank.job.title}: ${plank.name}`
  return `${name}, ${dates}${slack}${plank.binding ? ', it is part of what holds the gate' : ''}${board.flag ? ', out of order' : ''}`
}
const hitTop = 2
</script>

<template>
  <svg
    :width="scene.width"
    :height="scene.height"
    class="block max-w-none select-none"
    role="group"
    :aria-label="scene.view === 'launch' ? 'The way to the gate' : 'All seasons'"
  >
    <defs>
      <pattern
        id="waiting"
        width="5"
        height="5"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line x1="0" y1="0" x2="0" y2="5" stroke="var(--ink2)" stroke-width="1.6" />
      </pattern>
      <pattern id="pleat" width="3" height="8" patternUnits="userSpaceOnUse">
        <line x1="1" y1="0" x2="1" y2="8" stroke="var(--rule)" stroke-width="1.4" />
      </pattern>
      <clipPath id="plates">
        <rect
          v-for="one in plates"
          :key="one.key"
          :x="one.x"
          :y="one.y"
          :width="Math.max(0, one.end - one.x)"
          :height="one.tall"
        />
      </clipPath>
    </defs>
    <g aria-hidden="true">
      <ChartGround id="sequence-ground" :scene="scene" />
      <rect
        v-for="one in scene.pleats"
        :key="one.x0"
        :x="one.x0"
        :y="scene.top"
        :width="one.x1 - one.x0"
        :height="scene.ground - scene.top"
        fill="url(#pleat)"
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
      <BoatAxis :scene="scene" :floats="floats" />
      <g v-for="post in scene.posts" :key="post.key">
        <line
          :x1="post.x"
          :x2="post.x"
          :y1="(scene.flagRows - 1 - (post.row ?? 0)) * 24 + 1"
          :y2="scene.ground + 4"
          :stroke="post.kind === 'asked' ? 'var(--redlead)' : 'var(--ink)'"
          :stroke-width="post.kind === 'asked' ? 5 : post.kind === 'aimed' ? 2 : 2.6"
          :stroke-dasharray="post.kind === 'aimed' ? '2 4' : undefined"
        />
      </g>
      <path
        v-if="scene.rope"
        :d="scene.rope"
        fill="none"
        stroke="var(--redlead)"
        stroke-width="5"
      />
      <LevelBoards
        v-for="level in scene.levels"
        :key="level.level"
        :level="level"
        :ruler="scene.ruler"
        :sizes="sizes"
      />
      <g clip-path="url(#plates)"><use href="#sequence-ground" /></g>
      <ChartRope :scene="scene" />
      <BoardWords
        v-for="level in scene.levels"
        :key="level.level"
        :level="level"
        :sizes="sizes"
        :style="scene.layout.style"
      />
      <ChartTop :scene="scene" />
      <ChartTroughs :scene="scene" />
    </g>
    <g v-for="{ board, top } in boards" :key="board.plank.key">
      <rect
        class="hit"
        :x="board.left + 4"
        :y="top - hitTop"
        :width="board.right - board.left - 8"
        :height="boardTall(sizes.board, board.plank.binding) + 2 * hitTop"
        fill="transparent"
        role="button"
        tabindex="0"
        :aria-label="spoken(board)"
        :aria-pressed="open === board.plank.key"
        @click="emit('plank', board.plank.key)"
        @keydown.enter.prevent="emit('plank', board.plank.key)"
        @keydown.space.prevent="emit('plank', board.plank.key)"
      >
        <title>{{ spoken(board) }}</title>
      </rect>
    </g>
  </svg>
</template>

<style scoped>
.hit {
  cursor: pointer;
}
.hit:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 1px;
}
.hit:hover {
  fill: color-mix(in srgb, var(--brass) 22%, transparent);
}
</style>
