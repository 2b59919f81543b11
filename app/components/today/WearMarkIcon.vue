<script setup lang="ts">
import type { WearMark } from '#core/today/wear'

/** What is worn or kept away at a step; the text stands once beside the day. */
defineProps<{ mark: WearMark }>()
const words = { mask: 'Mask', glove: 'Gloves', flame: 'No flame', hand: 'Caution' } as const
</script>

<template>
  <span role="img" :aria-label="words[mark]" :title="words[mark]" class="inline-flex shrink-0">
    <svg
      width="20"
      height="20"
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      stroke-width="2"
      stroke-linejoin="round"
      stroke-linecap="round"
      aria-hidden="true"
    >
      <template v-if="mark === 'mask'">
        <path d="M4.5 9.5C6 6 9 5 12 5s6 1 7.5 4.5v4C18 17.5 15 19 12 19s-6-1.500-7.500-5.500z" />
        <circle cx="12" cy="13" r="3" />
        <path d="M4.500 9.500 1.500 8M19.500 9.500l3-1.500" />
      </template>
      <path
        v-else-if="mark === 'glove'"
        d="M8 21v-7l-4-3.500c-1.500-1.500.500-4 2.500-2.500L8 9.500V6c0-4 10-4 10 0v8l-1.500 7z"
      />
      <template v-else-if="mark === 'flame'">
        <path
          d="M12 3c1 4 5 5.500 5 11a5 5 0 0 1-10 0c0-3 2-4 2-6.500 1.500.500 2.500 1.500 3 3 .500-2.500.500-5 0-7.500z"
        />
        <path d="M3 21 21 3" />
      </template>
      <path v-else d="M12 4 3 20h18zM12 10v5M12 17.500v.100" />
    </svg>
  </span>
</template>
