<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { mapFrame } from '#core/boatMap/frame'
import { hullLines } from '#core/boatMap/hull'
import type { SupportFigures } from '#core/members/pressure'
import { standsUnder } from '#core/members/stands'

/** Her on her pads, from the side, with the pressure under each; the list beside it says the same. */
const props = defineProps<{ pads: readonly SupportFigures[] }>()
const store = useRefitStore()
const holder = ref<HTMLElement | null>(null)
const { width } = useElementSize(holder, { width: 420, height: 170 })
const lines = computed(() => (store.refit ? hullLines(store.refit) : null))
const frame = computed(
  () => lines.value && mapFrame(lines.value, Math.max(260, Math.round(width.value))),
)
/** Her house is seen, what stands above it is not. */
const top = computed(() => (frame.value ? frame.value.water - 0.15 * frame.value.length : 0))
const under = 22
const [padWide, padHigh, foot] = [22, 6, 9]
const stands = computed(() => {
  const [hull, at] = [lines.value, frame.value]
  if (!hull || !at) return []
  return standsUnder(props.pads).map((one) => {
    // Under the keel the blocks stand up from the ground.
    const height = one.isKeel ? -hull.draught : hull.bottom(one.along)
    const [x, y] = at.at('side', [one.along, height])
    return {
      ...one,
      x,
      y,
      high: one.isKeel ? at.ground - y : padHigh,
      legs: one.isKeel
        ? ''
        : `M${x - 4} ${y + padHigh}L${x - foot} ${at.ground}M${x + 4} ${y + padHigh}L${x + foot} ${at.ground}`,
      said: one.pressures.map((kPa) => Math.round(kPa)).join(', '),
    }
  })
})
</script>

<template>
  <div ref="holder">
    <svg
      v-if="lines && frame"
      class="block"
      :width="frame.width"
      :height="frame.ground + under - top"
      :viewBox="`0 ${top} ${frame.width} ${frame.ground + under - top}`"
      aria-hidden="true"
    >
      <HerSide :lines="lines" :frame="frame" />
      <path :d="`M0 ${frame.ground}H${frame.width}`" stroke="var(--ink)" stroke-width="2" />
      <g v-for="(one, index) in stands" :key="index">
        <path :d="one.legs" fill="none" stroke="var(--ink)" stroke-width="2.4" />
        <rect
          :x="one.x - padWide / 2"
          :y="one.y"
          :width="padWide"
          :height="one.high"
          :fill="one.marksHer ? 'var(--redlead)' : 'var(--drawn-wood)'"
          stroke="var(--ink)"
          stroke-width="1.4"
        />
        <text
          :x="one.x"
          :y="frame.ground + 16"
          text-anchor="middle"
          class="cond"
          font-size="14"
          font-weight="600"
          :fill="one.marksHer ? 'var(--redlead)' : 'var(--ink)'"
        >
          {{ one.said }}
        </text>
      </g>
    </svg>
  </div>
</template>
