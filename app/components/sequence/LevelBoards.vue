<script setup lang="ts">
import { computed } from 'vue'
import type { Board } from '#core/sequence/board'
import type { LaneSizes, LevelLayout } from '#core/sequence/fit'
import type { Ruler } from '#core/sequence/ruler'
import { xOf } from '#core/sequence/ruler'
import { boardTall, seamHeight } from '#core/sequence/lanes'

/** Boards of one level with their seams, the slack behind them, and thin lines for what is folded. No words yet. */
const props = defineProps<{
  level: LevelLayout
  ruler: Ruler
  sizes: LaneSizes
  /** Hands on what the gate does not wait for are grey. */
  greyOthers?: boolean
}>()

/** The lane's rope wants more height, and its seam lies where the rope runs. */
const boards = computed(() =>
  props.level.laid.flatMap(({ board, lane }) => {
    const track = props.level.lanes[lane]
    if (!track) return []
    const top = props.level.y + track.y
    const tall = boardTall(props.sizes.board, board.plank.binding)
    return [{ board, top, tall, seamY: top + tall - seamHeight }]
  }),
)
function outline(board: Board, top: number, tall: number): string {
  const { x0, x1 } = board
  const foot = top + tall
  const start = board.tornLeft
    ? `M${x0} ${foot}l3 ${-tall / 4}l-3 ${-tall / 4}l3 ${-tall / 4}l-3 ${-tall / 4}`
    : `M${x0} ${foot}V${top}`
  if (board.openFrom !== null) return `${start}H${x1}`
  if (board.tornRight)
    return `${start}H${x1}l-3 ${tall / 4}l3 ${tall / 4}l-3 ${tall / 4}l3 ${tall / 4}`
  return board.plank.goesOn
    ? `${start}H${Math.max(x0, x1 - 6)}L${x1} ${foot}`
    : `${start}H${x1}V${foot}`
}
/** Where steps of a board are pinned. */
const pins = (board: Board) =>
  board.plank.pieces.flatMap((piece) => {
    const x = xOf(props.ruler, piece.from)
    const isSeen = x >= props.ruler.left && x <= props.ruler.right
    return !piece.done && piece.step.pinnedOn !== null && isSeen ? [x] : []
  })
const { urlOf } = useChartIds()
const fills = { hands: 'var(--ink)', waits: urlOf('waiting'), earned: 'var(--brass)' } as const
const parts = (board: Board) =>
  board.plank.seam.flatMap((part) => {
    const x = xOf(props.ruler, part.from)
    const end = xOf(props.ruler, part.to)
    if (part.to <= props.ruler.from || part.from >= props.ruler.to) return []
    const least = part.kind === 'waits' ? 0 : 1.5
    const grey = props.greyOthers && part.kind === 'hands' && !board.plank.ofGate
    return [
      { x, width: Math.max(least, end - x), fill: grey ? 'var(--ink2)' : fills[part.kind], grey },
    ]
  })
const lathY = (row: number): number =>
  props.level.y + props.level.height - 4 - 5 * (props.level.lathRows - 1 - row)
</script>

<template>
  <g>
    <g v-for="{ board, top, tall, seamY } in boards" :key="board.plank.key">
      <rect
        :x="board.x0"
        :y="top"
        :width="board.x1 - board.x0"
        :height="tall"
        :fill="board.plank.done ? 'var(--brass-tint)' : 'var(--sheet)'"
      />
      <rect
        :x="board.x0"
        :y="seamY"
        :width="board.x1 - board.x0"
        :height="seamHeight"
        fill="var(--sheet)"
        stroke="var(--ink)"
        stroke-width="0.8"
      />
      <rect
        v-for="(part, index) in parts(board)"
        :key="index"
        :x="part.x"
        :y="seamY"
        :width="part.width"
        :height="seamHeight"
        :fill="part.fill"
        :fill-opacity="part.grey ? 0.55 : 1"
      />
      <path
        :d="outline(board, top, tall)"
        fill="none"
        :stroke="board.plank.binding ? 'var(--redlead)' : 'var(--ink)'"
        :stroke-width="board.plank.binding ? 2.4 : 1.5"
        :stroke-dasharray="board.plank.byOthers ? '5 3' : undefined"
      />
      <g v-for="x in pins(board)" :key="`pin ${x}`">
        <line
          :x1="x"
          :x2="x"
          :y1="top"
          :y2="seamY + seamHeight"
          stroke="var(--ink)"
          stroke-width="2"
        />
        <circle :cx="x" :cy="top" r="3.6" fill="var(--ink)" stroke="var(--sheet)" />
      </g>
      <path
        v-if="board.droop"
        :d="`M${board.droop[0]} ${seamY + 2}q${(board.droop[1] - board.droop[0]) / 4} 7 ${(board.droop[1] - board.droop[0]) / 2} 4t${(board.droop[1] - board.droop[0]) / 2} 0`"
        fill="none"
        stroke="var(--ink2)"
        stroke-width="1.3"
      />
    </g>
    <g v-for="lath in level.laths" :key="lath.plank.key">
      <line
        :x1="lath.x0"
        :x2="lath.x1"
        :y1="lathY(lath.row)"
        :y2="lathY(lath.row)"
        stroke="var(--ink2)"
        stroke-opacity="0.6"
        stroke-width="2"
      />
      <!-- Wide enough to be pointed at. -->
      <line
        :x1="lath.x0"
        :x2="lath.x1"
        :y1="lathY(lath.row)"
        :y2="lathY(lath.row)"
        stroke="transparent"
        stroke-width="7"
      >
        <title>{{ lath.plank.name }}</title>
      </line>
    </g>
  </g>
</template>
