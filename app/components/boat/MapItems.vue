<script setup lang="ts">
import { computed } from 'vue'
import type { MapItem } from '~/composables/useBoatMap'

/** What stands at a place, side by side and in the middle of its label. */
const props = defineProps<{ items: readonly MapItem[]; x: number; y: number; wide: number }>()
const laid = computed(() => {
  const all = props.items.reduce((sum, one) => sum + itemWide(one), 0)
  let at = props.x + (props.wide - all) / 2 + 3
  return props.items.map((item) => {
    const here = at
    at += itemWide(item)
    return { item, at: here }
  })
})
</script>

<template>
  <g v-for="({ item, at }, index) in laid" :key="index" :transform="`translate(${at} ${y})`">
    <template v-if="item.is === 'mark'">
      <path
        v-for="piece in markPieces(item.severity, item.fill)"
        :key="piece.d"
        :d="piece.d"
        :fill="piece.fill"
        :stroke="piece.stroke"
        :stroke-width="piece.width"
        stroke-linejoin="round"
      />
      <text v-if="item.many > 1" x="28" y="18" font-size="17" class="cond" fill="var(--ink)">
        {{ item.many }}
      </text>
    </template>
    <template v-else-if="item.is === 'count'">
      <rect
        x="1"
        y="0"
        width="22"
        height="22"
        :fill="item.severe ? 'var(--redlead)' : 'var(--sheet)'"
        stroke="var(--ink)"
        stroke-width="1.5"
        :transform="item.severe ? 'rotate(45 12 11)' : undefined"
      />
      <text
        x="12"
        y="16.5"
        text-anchor="middle"
        font-size="16"
        class="cond"
        :fill="item.severe ? 'var(--sheet)' : 'var(--ink)'"
      >
        {{ item.many }}
      </text>
    </template>
    <template v-else-if="item.is === 'drop'">
      <CauseDrop :letter="item.letter" />
    </template>
    <g v-else fill="none" stroke="var(--ink)" stroke-width="2.2">
      <path d="M1 19H22M2 16L19 6" />
      <path d="M12 18V9M12 9" stroke-width="0" />
      <path d="M9 -2V7M5.5 3.5L9 7L12.5 3.5" />
    </g>
  </g>
</template>
