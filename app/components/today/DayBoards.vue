<script setup lang="ts">
import type { Board, BoardSpan } from '#core/today/boards'
import type { DayScale } from '#core/today/dayScale'
import { clockTimeOf } from '#core/time/say'
import { formatTemp } from '#core/units/quantity'

/** What the hours allow: hatched is forbidden with its reason, plain is allowed, the red bar is the last start. */
defineProps<{ boards: readonly Board[]; scale: DayScale }>()
const store = useRefitStore()
const temp = (tempC: number | null) => formatTemp(tempC ?? 0, store.refit?.units ?? 'metric')
function said(span: BoardSpan, isLast: boolean): string {
  if (span.why === null) {
    return isLast ? 'yes' : `yes till ${clockTimeOf(span.to, store.zone)}`
  }
  if (span.why === 'cold') return `no: under ${temp(span.limitC)}`
  if (span.why === 'hot') return `no: over ${temp(span.limitC)}`
  if (span.why === 'tooLate') return 'too late to begin'
  if (span.why === 'wet') return 'no: wet work'
  return span.why === 'rain' ? 'no: rain' : 'no: near dew'
}
/** Letters of the label in a stretch so high; 7 px a letter. */
const fits = (words: string, px: number) => px >= words.length * 7 + 10
</script>

<template>
  <div class="relative flex gap-1.5" :style="{ height: `${scale.height}px` }">
    <div
      v-for="board in boards"
      :key="board.title"
      class="relative w-9"
      role="img"
      :aria-label="`${board.title}: ${board.spans.map((span, at) => `${clockTimeOf(span.from, store.zone)} to ${clockTimeOf(span.to, store.zone)} ${said(span, at === board.spans.length - 1)}`).join(', ')}`"
    >
      <div
        v-for="(span, at) in board.spans"
        :key="span.from"
        class="absolute inset-x-0 flex items-center justify-center border-2 border-ink"
        :class="span.why === null ? 'bg-verdigris-tint' : 'hatch'"
        :style="{
          top: `${scale.yOf(span.from)}px`,
          height: `${Math.max(2, scale.yOf(span.to) - scale.yOf(span.from) + 2)}px`,
        }"
      >
        <span
          v-if="
            fits(
              said(span, at === board.spans.length - 1),
              scale.yOf(span.to) - scale.yOf(span.from),
            )
          "
          class="upright cond leading-none whitespace-nowrap"
          :class="span.why === null ? '' : 'bg-paper py-1'"
          >{{ said(span, at === board.spans.length - 1) }}</span
        >
      </div>
      <div
        v-if="board.lastStart !== null"
        class="absolute -inset-x-1 z-10"
        :style="{ top: `${scale.yOf(board.lastStart) - 2}px` }"
      >
        <span class="block h-1.5 bg-redlead" />
        <span
          class="cond absolute -top-5 left-1/2 -translate-x-1/2 bg-paper px-0.5 leading-none text-redlead"
          >{{ clockTimeOf(board.lastStart, store.zone) }}</span
        >
      </div>
    </div>
  </div>
</template>

<style scoped>
.upright {
  writing-mode: vertical-rl;
  transform: rotate(180deg);
  font-size: 0.95rem;
}
</style>
