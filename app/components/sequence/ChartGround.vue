<script setup lang="ts">
import { waterFill } from '#core/sequence/water'
import type { Scene } from '#core/sequence/scene'

/** What all else stands on: paper, days with hands on them, folded weeks, and the water. */
defineProps<{ scene: Scene }>()
</script>

<template>
  <g>
    <rect
      :x="0"
      :y="scene.top - 2"
      :width="scene.width"
      :height="scene.ground"
      fill="var(--paper)"
    />
    <rect
      v-for="[x0, x1] in scene.bays"
      :key="x0"
      :x="x0"
      :y="scene.top"
      :width="x1 - x0"
      :height="scene.ground - scene.top"
      fill="var(--sheet)"
      opacity="0.7"
    />
    <rect
      v-if="scene.view === 'seasons'"
      :x="scene.ruler.left"
      :y="scene.top"
      :width="scene.ruler.right - scene.ruler.left"
      :height="scene.ground - scene.top"
      fill="var(--sheet)"
      opacity="0.7"
    />
    <path
      v-for="stand in scene.stands.filter((one) => one.afloat)"
      :key="stand.from"
      :d="waterFill(stand, scene.ruler, scene.waterTop, scene.ground + 8)"
      fill="var(--water)"
    />
  </g>
</template>
