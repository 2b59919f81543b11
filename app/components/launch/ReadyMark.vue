<script setup lang="ts">
import type { ReadyState } from '#core/launch/readyItem'

/**
 * How a line stands, by its shape first: a hole with a rim stops her, hatched it runs, a bung standing proud wants a
 * look, driven it is proven, struck it is skipped, dotted it belongs to the day. A drawing 24 wide about its middle.
 */
defineProps<{ state: ReadyState; number?: number | null }>()
const hatches = [-6, -1, 4, 9]
</script>

<template>
  <g>
    <template v-if="state === 'stops'">
      <circle
        r="9.5"
        :fill="number == null ? 'var(--sheet)' : 'var(--redlead)'"
        stroke="var(--redlead)"
        stroke-width="3"
      />
    </template>
    <template v-else-if="state === 'runs'">
      <circle r="10" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.8" />
      <path
        v-for="at in hatches"
        :key="at"
        :d="`M${at - 9} ${6}L${at + 3} ${-6}`"
        stroke="var(--ink)"
        stroke-width="1.2"
        clip-path="circle(9px at 0 0)"
      />
    </template>
    <path
      v-else-if="state === 'look' || state === 'ready'"
      d="M-10 -10H10L7 10H-7Z"
      fill="var(--sheet)"
      stroke="var(--ink)"
      stroke-width="2"
    />
    <path
      v-else-if="state === 'proven'"
      d="M-9 -7H9L6.5 9H-6.5Z"
      fill="var(--brass)"
      stroke="var(--ink)"
      stroke-width="2"
    />
    <template v-else-if="state === 'skipped'">
      <circle r="9.5" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.8" />
      <path d="M-11 11L11 -11" stroke="var(--ink)" stroke-width="2" />
    </template>
    <path v-else-if="state === 'notAboard'" d="M-8 0H8" stroke="var(--ink)" stroke-width="2.4" />
    <circle
      v-else
      r="9.5"
      fill="var(--sheet)"
      stroke="var(--ink)"
      stroke-width="1.8"
      stroke-dasharray="3 3"
    />
    <text
      v-if="number != null"
      y="5"
      text-anchor="middle"
      font-size="14"
      font-weight="600"
      font-family="var(--font-cond)"
      :fill="
        state === 'stops' ? 'var(--sheet)' : state === 'proven' ? 'var(--on-brass)' : 'var(--ink)'
      "
    >
      {{ number }}
    </text>
  </g>
</template>
