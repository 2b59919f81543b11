<script setup lang="ts">
import type { Scene } from '#core/sequence/scene'

/** The rope where it lies on the seams of the chain, and its knots. */
defineProps<{ scene: Scene }>()
</script>

<template>
  <g>
    <path :d="scene.ropeAlong" fill="none" stroke="var(--redlead)" stroke-width="5" />
    <path
      :d="scene.ropeAlong"
      fill="none"
      stroke="var(--sheet)"
      stroke-width="1.5"
      stroke-dasharray="2.5 4"
    />
    <g v-for="knot in scene.knots" :key="knot.label">
      <rect
        :x="knot.x - knot.half"
        :y="knot.y - 9.5"
        :width="knot.half * 2"
        height="19"
        rx="9.5"
        fill="var(--redlead)"
        stroke="var(--sheet)"
        stroke-width="1.5"
      />
      <text
        :x="knot.x"
        :y="knot.y + 4.8"
        text-anchor="middle"
        class="cond"
        font-size="13"
        fill="var(--sheet)"
        >{{ knot.label }}</text
      >
    </g>
  </g>
</template>
