<script setup lang="ts">
/** The initial of a person in the look of their strand. */
defineProps<{ index: number; name: string; small?: boolean }>()
const looks = [
  'rounded-full bg-verdigris text-sheet',
  'bg-water-deep text-sheet',
  'bg-brass text-on-brass',
  'bg-sheet text-ink',
] as const
</script>

<template>
  <span
    class="cond inline-flex shrink-0 items-center justify-center border border-ink leading-none"
    :class="[
      looks[Math.min(index, looks.length - 1)],
      small ? 'size-[18px] text-xs' : 'size-6 text-sm',
    ]"
    aria-hidden="true"
    >{{ name.slice(0, 1) }}</span
  >
</template>
