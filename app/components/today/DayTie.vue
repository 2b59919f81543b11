<script setup lang="ts">
import { computed } from 'vue'
import type { DayLine } from '#core/today/dayLine'
import { formatHours } from '#core/units/hours'
import { hourMs } from '#core/time/civil'
import { capital } from '#core/units/counted'

/** Short steps at one place, tied to one pin with their count. Pressed, they stand one by one. */
const props = defineProps<{
  line: DayLine
  tied: readonly DayLine[]
  /** Height there is for its words, px. */
  room: number
  narrow: boolean
  pinX: number
  left: number
  width: number
  top: number
}>()
defineEmits<{ open: [lines: readonly DayLine[]] }>()
const titles = computed(() => props.tied.map((one) => one.step?.title ?? '').join(', '))
const length = computed(() => formatHours((props.line.to - props.line.from) / hourMs))
const secondFrom = 40
</script>

<template>
  <li
    class="absolute py-1"
    :style="{ top: `${top}px`, left: `${left}px`, width: `${width}px`, height: `${room}px` }"
  >
    <svg
      class="absolute"
      width="40"
      height="24"
      :style="{ left: `${pinX - left - 20}px`, top: '3px' }"
      aria-hidden="true"
    >
      <rect
        x="9"
        y="1"
        width="22"
        height="22"
        fill="var(--sheet)"
        stroke="var(--ink)"
        stroke-width="2"
      />
      <path d="M2 12h7M31 12h7" stroke="var(--ink)" stroke-width="2" />
      <text x="20" y="17.5" text-anchor="middle" class="cond" font-size="15" fill="var(--ink)">
        {{ tied.length }}
      </text>
    </svg>
    <button
      class="block w-full text-left max-sm:min-h-11"
      :aria-label="`${capital(line.what)}, ${length}: ${titles}. One by one.`"
      :title="titles"
      @click="$emit('open', tied)"
    >
      <span class="flex items-baseline justify-between gap-2">
        <span
          class="cond truncate text-lg leading-tight underline decoration-rule underline-offset-4 max-sm:text-base"
          >{{ capital(line.what) }}</span
        >
        <span class="cond shrink-0 leading-none">{{ length }}</span>
      </span>
      <span
        v-if="room >= secondFrom && !narrow"
        class="cond block truncate leading-tight text-ink2"
        >{{ titles }}</span
      >
    </button>
  </li>
</template>
