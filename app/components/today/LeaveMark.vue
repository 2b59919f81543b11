<script setup lang="ts">
import type { LeaveLine } from '#core/today/leaving'

/** The mark of a line before leaving: filled red stops, a ring is to do, dotted comes last, hatched runs, a bung is done. */
defineProps<{ line: LeaveLine; no: number }>()
</script>

<template>
  <span
    class="cond relative inline-flex size-7 shrink-0 items-center justify-center text-base leading-none"
    aria-hidden="true"
  >
    <svg class="absolute inset-0" viewBox="0 0 28 28">
      <path
        v-if="line.doneAt !== null"
        d="M3 4h22l-4 20H7z"
        fill="var(--brass)"
        stroke="var(--ink)"
        stroke-width="2"
        stroke-linejoin="round"
      />
      <circle v-else-if="line.kind === 'stop'" cx="14" cy="14" r="12" fill="var(--redlead)" />
      <circle
        v-else
        cx="14"
        cy="14"
        r="11.500"
        fill="var(--sheet)"
        stroke="var(--ink)"
        stroke-width="2.500"
        :stroke-dasharray="line.kind === 'last' ? '3.500 3' : undefined"
      />
      <g v-if="line.doneAt === null && line.kind === 'runs'" stroke="var(--ink2)" stroke-width="1">
        <path d="M6 18 18 6M8 22 22 8M12 24 24 12" />
      </g>
    </svg>
    <span
      class="relative px-0.5"
      :class="[
        line.doneAt !== null ? 'text-on-brass' : line.kind === 'stop' ? 'text-sheet' : '',
        line.kind === 'runs' && line.doneAt === null ? 'bg-sheet' : '',
      ]"
      >{{ no }}</span
    >
  </span>
</template>
