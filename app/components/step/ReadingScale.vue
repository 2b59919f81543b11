<script setup lang="ts">
import { computed } from 'vue'
import type { Limits } from '#core/steps/readings'
import { verdictOf } from '#core/steps/readings'
import { formatQuantity } from '#core/units/quantity'

/** A reading on its scale: green passes, white is watched, hatched fails; the red bar is the limit. */
const props = defineProps<{ limits: Limits; value: number | null }>()
const store = useRefitStore()
const edges = computed(() =>
  [props.limits.low, props.limits.high, props.limits.failAt].filter((one) => one !== null),
)
const range = computed(() => {
  const all = [...edges.value, ...(props.value === null ? [] : [props.value])]
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const room = Math.max(high - low, Math.abs(high) * 0.25, 1) * 0.4
  return [Math.max(low >= 0 ? 0 : -Infinity, low - room), high + room] as const
})
const share = (value: number) => {
  const [low, high] = range.value
  return Math.min(100, Math.max(0, ((value - low) / (high - low)) * 100))
}
/** Stretches between the edges, each judged by its middle. */
const parts = computed(() => {
  const [low, high] = range.value
  const cuts = [low, ...[...new Set(edges.value)].sort((a, b) => a - b), high]
  return cuts.slice(1).map((to, index) => {
    const from = cuts[index] as number
    return { from, to, verdict: verdictOf((from + to) / 2, props.limits) }
  })
})
const looks = { pass: 'bg-verdigris-tint', watch: 'bg-sheet', fail: 'hatch' } as const
const words = { pass: 'pass', watch: 'watch', fail: 'fails' } as const
const say = (value: number) => formatQuantity(value, '', store.refit?.units ?? 'metric')
</script>

<template>
  <div v-if="edges.length > 0" class="pt-6 pb-6" aria-hidden="true">
    <div class="relative h-5 border-2 border-ink">
      <div
        v-for="part in parts"
        :key="part.from"
        class="absolute inset-y-0"
        :class="looks[part.verdict]"
        :style="{ left: `${share(part.from)}%`, width: `${share(part.to) - share(part.from)}%` }"
      >
        <span class="cond absolute -top-6 left-1/2 -translate-x-1/2 leading-none">{{
          words[part.verdict]
        }}</span>
      </div>
      <template v-for="edge in edges" :key="edge">
        <span
          class="absolute -inset-y-1.5 w-1 -translate-x-1/2 bg-redlead"
          :style="{ left: `${share(edge)}%` }"
        />
        <span
          class="cond absolute top-6 -translate-x-1/2 leading-none"
          :style="{ left: `${share(edge)}%` }"
          >{{ say(edge) }}</span
        >
      </template>
      <svg
        v-if="value !== null"
        class="absolute -top-1 -translate-x-1/2"
        :style="{ left: `${share(value)}%` }"
        width="22"
        height="26"
        viewBox="0 0 22 26"
      >
        <path
          d="M1 1h20L11 22z"
          :fill="verdictOf(value, limits) === 'fail' ? 'var(--redlead)' : 'var(--ink)'"
          stroke="var(--sheet)"
          stroke-width="1.5"
        />
      </svg>
    </div>
  </div>
</template>
