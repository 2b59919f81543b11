<script setup lang="ts">
/** Hatchings of windows: not sure yet, and late. */
const { idOf } = useChartIds()
</script>

<template>
  <defs>
    <pattern
      :id="idOf('early')"
      width="6"
      height="6"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink2)" stroke-width="1.8" />
    </pattern>
    <pattern
      :id="idOf('late')"
      width="6"
      height="6"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <line x1="0" y1="0" x2="0" y2="6" stroke="var(--redlead)" stroke-width="3" />
    </pattern>
  </defs>
</template>
