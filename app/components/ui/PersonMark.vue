<script setup lang="ts">
/** The initial of a person in the look of their strand. */
defineProps<{ index: number; name: string }>()
const looks = [
  'rounded-full bg-verdigris text-sheet',
  'bg-water-deep text-sheet',
  'bg-brass text-on-brass',
  'bg-sheet text-ink',
] as const
</script>

<template>
  <span
    class="cond inline-flex size-6 shrink-0 items-center justify-center border border-ink text-sm leading-none"
    :class="looks[Math.min(index, looks.length - 1)]"
    aria-hidden="true"
    >{{ name.slice(0, 1) }}</span
  >
</template>
