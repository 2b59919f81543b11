<script setup lang="ts">
/** What the marks of the map mean. */
const cuts = [
  [1, 'looks'],
  [2, 'wears'],
  [3, 'fails'],
  [4, 'danger'],
] as const
const fills = [
  [3, 'job', 'job in the plan'],
  [2, 'watched', 'watched'],
  [1, 'accepted', 'accepted'],
  [2, 'mended', 'mended'],
] as const
</script>

<template>
  <div
    class="cond flex flex-wrap items-center gap-x-4 gap-y-0.5 text-base"
    aria-label="What the marks mean"
    role="group"
  >
    <span v-for="[severity, word] in cuts" :key="word" class="flex items-center gap-1"
      ><MarkShape :severity="severity" fill="none" hidden />{{ word }}</span
    >
    <span aria-hidden="true">|</span>
    <span v-for="[severity, fill, word] in fills" :key="word" class="flex items-center gap-1"
      ><MarkShape :severity="severity" :fill="fill" hidden />{{ word }}</span
    >
    <span class="flex items-center gap-1.5">
      <svg width="22" height="14" aria-hidden="true">
        <rect width="22" height="14" fill="var(--paper)" stroke="var(--ink)" />
        <circle
          v-for="n in 6"
          :key="n"
          :cx="n * 3.4"
          :cy="n % 2 ? 4.5 : 9.5"
          r="1.2"
          fill="var(--ink)"
        />
      </svg>
      not looked at
    </span>
    <span>Cut empty: no word yet</span>
  </div>
</template>
