<script setup lang="ts">
import { computed } from 'vue'
import type { RopePart } from '~/utils/ropePaths'

/** Everybody's strand of the day: twisted where they work together, apart where each is alone. */
const props = defineProps<{
  strands: readonly { readonly personId: string; readonly parts: readonly RopePart[] }[]
  width: number
  height: number
  /** Down to here the day is done, px. */
  doneTo: number
}>()
const looks = ['rope-solid', 'rope-chequered', 'rope-striped', 'rope-dotted'] as const
const drawn = computed(() =>
  props.strands.map((strand, index) => ({
    id: strand.personId,
    look: looks[Math.min(index, looks.length - 1)] as string,
    idle: strand.parts.filter((part) => part.idle),
    ...ropePaths(strand.parts, (2 * Math.PI * index) / Math.max(1, props.strands.length)),
  })),
)
</script>

<template>
  <svg
    class="pointer-events-none absolute inset-0"
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    aria-hidden="true"
  >
    <g v-for="one in drawn" :key="one.id" class="rope" :class="one.look">
      <path class="edge" :d="one.whole" />
      <path class="body" :d="one.whole" />
      <path class="mark" :d="one.whole" />
    </g>
    <template v-for="one in drawn.slice(0, -1)" :key="`over-${one.id}`">
      <g v-for="(piece, at) in one.over" :key="at" class="rope" :class="one.look">
        <path class="edge" :d="piece" />
        <path class="body" :d="piece" />
        <path class="mark" :d="piece" />
      </g>
    </template>
    <template v-for="one in drawn" :key="`idle-${one.id}`">
      <line
        v-for="part in one.idle"
        :key="part.y0"
        :x1="part.x - 7"
        :x2="part.x + 7"
        :y1="part.y0 + 12"
        :y2="part.y0 + 12"
        class="stroke-ink"
        stroke-width="2"
      />
    </template>
  </svg>
</template>

<style scoped>
.rope path {
  fill: none;
  stroke-linejoin: round;
}
.edge {
  stroke: var(--ink);
  stroke-width: 9;
}
.body {
  stroke-width: 6;
}
.mark {
  stroke: none;
  stroke-width: 6;
}
.rope-solid .body {
  stroke: var(--verdigris);
}
.rope-chequered .body {
  stroke: var(--sheet);
}
.rope-chequered .mark {
  stroke: var(--water-deep);
  stroke-dasharray: 4.5 4.5;
}
.rope-striped .body {
  stroke: var(--brass);
}
.rope-striped .mark {
  stroke: var(--ink);
  stroke-dasharray: 2 9;
}
.rope-dotted .body {
  stroke: var(--sheet);
}
.rope-dotted .mark {
  stroke: var(--ink);
  stroke-width: 3;
  stroke-linecap: round;
  stroke-dasharray: 0.1 7;
}
@media print {
  .rope-solid .body {
    stroke: #000;
  }
}
</style>
