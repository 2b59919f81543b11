<script setup lang="ts">
import { computed } from 'vue'
import { purposeName } from '#core/plan/priority'
import type { Board } from '#core/sequence/board'
import type { LaneSizes, LevelLayout } from '#core/sequence/fit'
import { wordsLine } from '#core/sequence/lanes'

/** The words of one level's boards: names, tiles, what is out of order and its mend, and days of slack. */
const props = defineProps<{ level: LevelLayout; sizes: LaneSizes; style: { nameSize: number } }>()
const boards = computed(() =>
  props.level.laid.flatMap(({ board, lane }) => {
    const track = props.level.lanes[lane]
    return track ? [{ board, top: props.level.y + track.y }] : []
  }),
)
const line = computed(() => wordsLine(props.sizes.board))
const tile = {
  float: 'var(--water-deep)',
  safe: 'var(--redlead)',
  go: 'var(--verdigris)',
  live: 'var(--sheet)',
  shine: 'var(--brass)',
} as const
const letterOf = (board: Board): string =>
  board.plank.job.purpose === 'shine' ? '✦' : (purposeName[board.plank.job.purpose][0] ?? '')
const letterFill = (board: Board): string => {
  const { purpose } = board.plank.job
  return purpose === 'live'
    ? 'var(--ink)'
    : purpose === 'shine'
      ? 'var(--on-brass)'
      : 'var(--sheet)'
}
const tileSize = computed(() => props.sizes.board - 7)
</script>

<template>
  <g>
    <g v-for="{ board, top } in boards" :key="board.plank.key">
      <template v-if="board.tileX !== null && board.words !== ''">
        <rect
          :x="board.tileX"
          :y="top + 1"
          :width="tileSize"
          :height="tileSize"
          :fill="tile[board.plank.job.purpose]"
          stroke="var(--ink)"
        />
        <text
          :x="board.tileX + tileSize / 2"
          :y="top + tileSize - 1"
          text-anchor="middle"
          class="cond"
          :font-size="tileSize - 2"
          :fill="letterFill(board)"
        >
          {{ letterOf(board) }}
        </text>
      </template>
      <text
        :x="board.wordsX"
        :y="top + line"
        class="cond"
        :font-size="style.nameSize"
        fill="var(--ink)"
      >
        {{ board.words }}
      </text>
      <path
        v-if="board.flag"
        :d="`M${board.flagX} ${top + line + 1}V${top + 1}L${board.flagX + 13} ${top + 6}L${board.flagX} ${top + 11}`"
        fill="var(--redlead)"
        stroke="var(--redlead)"
        stroke-width="1.4"
      />
      <text
        v-if="board.slack"
        :x="board.slackX"
        :y="top + line + (board.slackX > board.wordsEnd ? 0 : 5)"
        class="cond-thin"
        font-size="13"
        fill="var(--ink)"
      >
        {{ board.slack }}
      </text>
    </g>
  </g>
</template>
