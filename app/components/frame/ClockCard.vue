<script setup lang="ts">
import type { ShownClock } from '~/composables/useClocks'

/** One running clock: what is left, the bar of closed (hatched) and open time, what happens at zero. */
defineProps<{
  shown: ShownClock
  /** One slim line: what is left, what it is of, the bar. */
  brief?: boolean
}>()
defineEmits<{ open: [] }>()
</script>

<template>
  <button
    type="button"
    class="text-left hover:bg-brass-tint"
    :class="
      brief
        ? 'flex min-h-9 shrink-0 items-center gap-2 px-1 max-sm:min-h-11'
        : 'block w-full border border-ink bg-sheet p-2.5'
    "
    :aria-label="`${shown.clock.title}: ${shown.left} ${shown.until}. Open the clock.`"
    @click="$emit('open')"
  >
    <span v-if="!brief" class="cond block leading-tight">{{ shown.clock.title }}</span>
    <span class="flex items-baseline gap-2">
      <span
        class="cond whitespace-nowrap"
        :class="[shown.alarming ? 'text-redlead' : '', brief ? 'text-xl' : 'text-2xl']"
        >{{ shown.left }}</span
      >
      <span class="cond text-ink2 leading-tight" :class="{ 'whitespace-nowrap': brief }">{{
        brief ? shown.clock.title : shown.until
      }}</span>
    </span>
    <span
      class="relative block h-3 border border-ink bg-sheet"
      :class="brief ? 'w-20 max-sm:w-14' : 'my-1.5'"
    >
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
