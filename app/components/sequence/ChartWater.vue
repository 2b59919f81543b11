<script setup lang="ts">
import { computed } from 'vue'
import { xInside } from '#core/sequence/scale'
import type { TimeScale } from '#core/sequence/scale'
import { waterPath } from '#core/sequence/water'
import type { AshoreSpan } from '#core/sequence/water'

/** The water: high while she floats in it, low while she stands above it. */
const props = defineProps<{
  scale: TimeScale
  ashore: readonly AshoreSpan[]
  top: number
  height: number
}>()
const store = useRefitStore()
const time = useTimeStore()
const { shortDate } = useDates()
const low = computed(() => props.top + props.height - 18)
const line = computed(() => waterPath(props.ashore, props.scale, props.top + 6, low.value))
const words = computed(() =>
  props.ashore
    .filter((one) => one.to > props.scale.from && one.from < props.scale.to)
    .map((one) => ({
      x: xInside(props.scale, one.from) + 8,
      said: `ashore ${one.from > time.minute ? 'from' : 'since'} ${shortDate(one.from, store.derived.clock)}`,
    })),
)
</script>

<template>
  <g>
    <path :d="`${line} V${top + height} H${scale.left} Z`" fill="var(--water)" />
    <path :d="line" fill="none" stroke="var(--water-deep)" stroke-width="3" />
    <text
      v-for="one in words"
      :key="one.said"
      :x="one.x"
      :y="low + 13"
      class="cond"
      font-size="14"
      fill="var(--water-deep)"
    >
      {{ one.said }}
    </text>
  </g>
</template>
