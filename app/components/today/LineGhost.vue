<script setup lang="ts">
import { computed } from 'vue'
import type { LineTarget } from '~/composables/useLineDrag'

/** A line on its way along the day: where it is, where it would go, and that in words. */
const props = defineProps<{
  title: string
  y: number
  left: number
  width: number
  target: LineTarget | null
}>()
const store = useRefitStore()
const words = computed(() => {
  const to = props.target
  if (!to) return 'stays'
  if (to.kind === 'who')
    return `for ${store.rows.person.find((one) => one.id === to.personId)?.name ?? ''}`
  if (to.beforeId === null) return 'after the others'
  return `before “${store.rows.step.find((one) => one.id === to.beforeId)?.title ?? ''}”`
})
</script>

<template>
  <div class="pointer-events-none" aria-hidden="true">
    <div
      v-if="target?.kind === 'order'"
      class="absolute z-20 h-1 bg-ink"
      :style="{ top: `${target.y - 2}px`, left: `${left - 14}px`, width: `${width + 14}px` }"
    />
    <div
      class="cond absolute z-30 flex h-8 items-center justify-between gap-3 border-2 border-dashed border-ink bg-brass-tint px-2 text-lg leading-none"
      :style="{ top: `${y - 16}px`, left: `${left}px`, width: `${width}px` }"
    >
      <span class="truncate">{{ title }}</span>
      <span class="shrink-0 bg-ink px-1.5 py-1 text-base text-sheet">{{ words }}</span>
    </div>
  </div>
</template>
