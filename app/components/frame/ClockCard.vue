<script setup lang="ts">
import type { ShownClock } from '~/composables/useClocks'

/** One running clock: what is left, the bar of closed (hatched) and open time, what happens at zero. */
defineProps<{ shown: ShownClock; brief?: boolean }>()
defineEmits<{ open: [] }>()
</script>

<template>
  <button
    type="button"
    class="block w-full border border-ink bg-sheet p-2.5 text-left hover:bg-brass-tint"
    :aria-label="`${shown.clock.title}: ${shown.left} ${shown.until}. Open the clock.`"
    @click="$emit('open')"
  >
    <span class="cond block leading-tight" :class="{ 'sr-only': brief }">{{
      shown.clock.title
    }}</span>
    <span class="flex items-baseline gap-2">
      <span class="cond text-2xl whitespace-nowrap" :class="shown.alarming ? 'text-redlead' : ''">{{
        shown.left
      }}</span>
      <span class="cond text-ink2 leading-tight">{{
        brief ? shown.clock.title : shown.until
      }}</span>
    </span>
    <span class="relative my-1.5 block h-3 border border-ink bg-sheet">
      <span
        class="hatch absolute inset-y-0 left-0"
        :style="{ width: `${shown.openAtShare * 100}%` }"
      />
      <span
        class="absolute inset-y-0"
        :class="shown.clock.kind === 'pot' ? 'bg-redlead' : 'bg-verdigris'"
        :style="
          shown.clock.kind === 'pot'
            ? { left: `${shown.nowShare * 100}%`, right: 0 }
            : { left: `${shown.openAtShare * 100}%`, right: 0 }
        "
      />
      <span
        class="absolute -inset-y-1 w-0.5 bg-ink"
        :style="{ left: `${shown.nowShare * 100}%` }"
      />
    </span>
    <span v-if="!brief" class="block text-ink2 leading-snug">{{ shown.said }}</span>
  </button>
</template>
