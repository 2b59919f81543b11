<script setup lang="ts">
import { computed } from 'vue'
import { purposeName } from '#core/plan/priority'
import type { Board } from '#core/sequence/board'
import { subSize } from '#core/sequence/board'
import type { PlacedBoard } from '#core/sequence/plates'
import type { LaneSizes } from '#core/sequence/fit'
import { wordsLine } from '#core/sequence/lanes'

/** The words of boards: names, tiles, what is out of order and its mend, and days of slack. */
const props = defineProps<{
  boards: readonly PlacedBoard[]
  sizes: LaneSizes
  nameSize: number
  /** Boards have a second line. */
  two?: boolean
}>()
const line = computed(() => wordsLine(props.sizes.board, props.two))
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
const tileSize = computed(() => Math.min(17, props.sizes.board - 7))
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
      <text :x="board.wordsX" :y="top + line" class="cond" :font-size="nameSize" fill="var(--ink)">
        {{ board.words }}
      </text>
      <text
        v-if="two && board.sub"
        :x="board.wordsX"
        :y="top + line + 15"
        class="cond-thin"
        :font-size="subSize"
        fill="var(--ink)"
      >
        {{ board.sub }}
      </text>
      <g v-if="board.badge">
        <circle :cx="board.wordsEnd + 13" :cy="top + line - 5" r="9" fill="var(--redlead)" />
        <text
          :x="board.wordsEnd + 13"
          :y="top + line - 0.5"
          text-anchor="middle"
          class="cond"
          font-size="13"
          fill="var(--sheet)"
        >
          {{ board.badge }}
        </text>
      </g>
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
