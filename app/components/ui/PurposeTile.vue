<script setup lang="ts">
import type { Purpose } from '#core/model/words'
import { purposeName } from '#core/plan/priority'

/** The letter tile of a purpose. The letter says it; the colour only helps. */
defineProps<{ purpose: Purpose }>()
const look: Readonly<Record<Purpose, string>> = {
  float: 'bg-water-deep text-sheet border-water-deep',
  safe: 'bg-redlead text-sheet border-redlead',
  go: 'bg-verdigris text-sheet border-verdigris',
  live: 'bg-sheet text-ink border-ink',
  shine: 'bg-brass text-on-brass border-ink',
}
</script>

<template>
  <span
    class="cond inline-flex size-6 shrink-0 items-center justify-center border text-base leading-none"
    :class="look[purpose]"
    role="img"
    :aria-label="purposeName[purpose]"
    :title="purposeName[purpose]"
    >{{ purpose === 'shine' ? '✦' : purposeName[purpose][0] }}</span
  >
</template>
