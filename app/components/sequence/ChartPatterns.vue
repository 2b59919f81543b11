<script setup lang="ts">
import type { Plate } from '#core/sequence/plates'

/** Hatching of waits, stripes of folded weeks, and where words lie on plates. */
defineProps<{ plates: readonly Plate[] }>()
const { idOf } = useChartIds()
</script>

<template>
  <defs>
    <pattern
      :id="idOf('waiting')"
      width="5"
      height="5"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <line x1="0" y1="0" x2="0" y2="5" stroke="var(--ink2)" stroke-width="1.6" />
    </pattern>
    <pattern :id="idOf('pleat')" width="3" height="8" patternUnits="userSpaceOnUse">
      <line x1="1" y1="0" x2="1" y2="8" stroke="var(--rule)" stroke-width="1.4" />
    </pattern>
    <clipPath :id="idOf('plates')">
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
</template>
