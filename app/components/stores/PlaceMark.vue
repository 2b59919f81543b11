<script setup lang="ts">
import type { ThingAt } from '#core/stores/thingAt'

/** Where a thing is: on the boat, in the shed, at home, on order, nowhere yet. One mark everywhere. */
defineProps<{ at: ThingAt; title?: string; large?: boolean }>()
const { idOf, urlOf } = provideChartIds()
</script>

<template>
  <svg
    :width="large ? 32 : 20"
    :height="large ? 32 : 20"
    viewBox="0 0 20 20"
    class="inline-block shrink-0"
    :aria-hidden="title === undefined"
    :role="title === undefined ? undefined : 'img'"
    :aria-label="title"
  >
    <title v-if="title">{{ title }}</title>
    <defs v-if="at === 'order'">
      <pattern
        :id="idOf('order')"
        width="4.5"
        height="4.5"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line x1="0" y1="0" x2="0" y2="4.5" stroke="var(--ink2)" stroke-width="1.6" />
      </pattern>
    </defs>
    <rect
      v-if="at === 'boat'"
      x="2"
      y="2"
      width="16"
      height="16"
      fill="var(--brass)"
      stroke="var(--ink)"
      stroke-width="1.5"
    />
    <path
      v-else-if="at === 'shed'"
      d="M2 9L10 2L18 9V18H2ZM6 14h8"
      fill="var(--sheet)"
      stroke="var(--ink)"
      stroke-width="1.6"
    />
    <g v-else-if="at === 'home'" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.6">
      <circle cx="10" cy="10" r="8" />
      <circle cx="10" cy="10" r="2.4" fill="var(--ink)" />
    </g>
    <g v-else-if="at === 'unsaid'">
      <rect x="2" y="2" width="16" height="16" fill="var(--sheet)" stroke="var(--ink2)" />
      <text x="10" y="15" text-anchor="middle" class="cond" font-size="14" fill="var(--ink)">
        ?
      </text>
    </g>
    <rect
      v-else-if="at === 'order'"
      x="2"
      y="2"
      width="16"
      height="16"
      :fill="urlOf('order')"
      stroke="var(--ink2)"
      stroke-width="1.5"
    />
    <rect
      v-else
      x="2.5"
      y="2.5"
      width="15"
      height="15"
      fill="none"
      stroke="var(--redlead)"
      stroke-width="2.4"
      stroke-dasharray="4 2.6"
    />
  </svg>
</template>
