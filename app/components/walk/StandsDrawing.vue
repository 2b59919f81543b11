<script setup lang="ts">
import { computed } from 'vue'
import type { SupportFigures } from '#core/members/pressure'
import { standsUnder } from '#core/members/stands'

/** Her on her pads, from the side, with the pressure under each; the list beside it says the same. */
const props = defineProps<{ pads: readonly SupportFigures[] }>()
/** Her house is seen, what stands above it is not. */
const { holder, drawing } = useHerDrawing(260, 0.15)
const under = 22
const [padWide, padHigh, foot] = [22, 6, 9]
const stands = computed(() => {
  if (!drawing.value) return []
  const { lines: hull, frame: at } = drawing.value
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
      v-if="drawing"
      class="block"
      :width="drawing.frame.width"
      :height="drawing.frame.ground + under - drawing.top"
      :viewBox="`0 ${drawing.top} ${drawing.frame.width} ${drawing.frame.ground + under - drawing.top}`"
      aria-hidden="true"
    >
      <HerSide :lines="drawing.lines" :frame="drawing.frame" />
      <path
        :d="`M0 ${drawing.frame.ground}H${drawing.frame.width}`"
        stroke="var(--ink)"
        stroke-width="2"
      />
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
          :y="drawing.frame.ground + 16"
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
