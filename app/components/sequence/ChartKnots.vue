<script setup lang="ts">
import type { Knot } from '#core/sequence/rope'
import type { PlacedBoard } from '#core/sequence/plates'

/** The knots of the rope, to be pressed: each opens the plank it is tied on. */
const props = defineProps<{
  knots: readonly Knot[]
  boards: readonly PlacedBoard[]
}>()
defineEmits<{ plank: [key: string] }>()

const plankOf = ({ stepIds }: Knot) =>
  props.boards.find(({ board }) =>
    board.plank.pieces.some((piece) => stepIds.includes(piece.step.id)),
  )?.board.plank
function spoken(knot: Knot): string {
  const titles = props.boards.flatMap(({ board }) =>
    board.plank.pieces.flatMap(({ step }) => (knot.stepIds.includes(step.id) ? [step.title] : [])),
  )
  const link = knot.numbers.length > 1 ? 'Links' : 'Link'
  return `${link} ${knot.label} of what holds the gate: ${[...new Set(titles)].join(', ')}`
}
</script>

<template>
  <g>
    <template v-for="knot in knots" :key="knot.label">
      <rect
        v-if="plankOf(knot)"
        class="knot"
        :x="knot.x - Math.max(knot.half, 12)"
        :y="knot.y - 12"
        :width="Math.max(knot.half, 12) * 2"
        height="24"
        rx="12"
        fill="transparent"
        role="button"
        tabindex="0"
        :aria-label="spoken(knot)"
        @click="$emit('plank', plankOf(knot)!.key)"
        @keydown.enter.prevent="$emit('plank', plankOf(knot)!.key)"
        @keydown.space.prevent="$emit('plank', plankOf(knot)!.key)"
      >
        <title>{{ spoken(knot) }}</title>
      </rect>
    </template>
  </g>
</template>

<style scoped>
.knot {
  cursor: pointer;
}
.knot:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 1px;
}
</style>
