<script setup lang="ts">
import { computed } from 'vue'
import type { Fill } from '#core/walk/marks'

/** A finding's mark: how deep the block is cut says how bad, what fills the cut says how it stands. */
const props = defineProps<{ severity: number; fill: Fill; many?: number; hidden?: boolean }>()
const pieces = computed(() => markPieces(props.severity, props.fill))
const count = computed(() => ((props.many ?? 1) > 1 ? String(props.many) : ''))
const wide = computed(() => 30 + count.value.length * 8)
</script>

<template>
  <svg
    :viewBox="`-2 -4 ${wide} 27`"
    :width="wide"
    height="27"
    class="shrink-0 overflow-visible"
    :role="hidden ? undefined : 'img'"
    :aria-hidden="hidden || undefined"
    :aria-label="hidden ? undefined : sayMark(severity, fill, many)"
  >
    <path
      v-for="piece in pieces"
      :key="piece.d"
      :d="piece.d"
      :fill="piece.fill"
      :stroke="piece.stroke"
      :stroke-width="piece.width"
      stroke-linejoin="round"
    />
    <text v-if="count" x="28" y="17" font-size="17" class="cond" fill="var(--ink)">
      {{ count }}
    </text>
  </svg>
</template>
