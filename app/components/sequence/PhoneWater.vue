<script setup lang="ts">
/** Where the way on a phone leads: the water with the gate's date, always in sight. */
defineProps<{ title: string; isLaunch: boolean }>()
</script>

<template>
  <div
    class="no-print fixed inset-x-0 bottom-14 z-10 h-20"
    :class="isLaunch ? 'bg-water' : 'border-t-2 border-rule bg-sheet'"
  >
    <span
      class="cond absolute -top-3 right-4 max-w-[calc(100%-2rem)] min-w-1/2 truncate bg-redlead px-3 py-0.5 text-center text-sheet"
      >{{ title }}</span
    >
    <svg v-if="isLaunch" width="150" height="70" class="absolute top-2 left-4" aria-hidden="true">
      <path
        d="M0 22q6 -5 12 0t12 0t12 0t12 0t12 0t12 0t12 0t12 0t12 0t12 0"
        fill="none"
        stroke="var(--water-deep)"
        stroke-width="2"
      />
      <path
        d="M14 22C34 27 84 27 124 17C120 32 112 44 98 48H44C28 46 18 34 14 22Z"
        fill="var(--sheet)"
        stroke="var(--ink)"
        stroke-width="1.8"
      />
      <path d="M18 33H118C112 43 106 46 98 48H44C32 46 24 42 18 33Z" fill="var(--ink)" />
    </svg>
    <p class="cond absolute top-6 left-44 text-lg">{{ isLaunch ? 'Afloat' : '' }}</p>
  </div>
</template>
