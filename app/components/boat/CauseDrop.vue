<script setup lang="ts">
/** The drop with the letter of a cause; within a drawing of its own size. */
defineProps<{ letter: string }>()
</script>

<template>
  <g>
    <path d="M10 -4Q19 7 19 12A9 9 0 0 1 1 12Q1 7 10 -4Z" fill="var(--water-deep)" />
    <text x="10" y="17" text-anchor="middle" font-size="14" class="cond" fill="var(--sheet)">
      {{ letter }}
    </text>
  </g>
</template>
