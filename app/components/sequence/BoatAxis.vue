<script setup lang="ts">
import { computed } from 'vue'
import { widthOf } from '#core/sequence/measure'
import type { Level } from '#core/sequence/pieces'
import type { LevelLayout } from '#core/sequence/fit'

/** The boat cut amidships as the axis: her levels are the levels of the drawing. */
const props = defineProps<{
  levels: readonly LevelLayout[]
  /** Width of the axis, heights of the water, her keel and the hard, px. */
  width: number
  waterTop: number
  bottom: number
  ground: number
  floats: boolean
}>()
const names = {
  shed: 'Shed, trades',
  rig: 'Rig',
  deck: 'Deck',
  below: 'Below',
  underwater: 'Under water',
} as const
const of = (level: Level): LevelLayout | undefined =>
  props.levels.find((one) => one.level === level)
const deckY = computed(() => of('deck')?.y ?? 0)
const rigY = computed(() => of('rig')?.y ?? 0)
const side = props.width - 12
const section = computed(() => {
  const { waterTop: w, bottom: b } = props
  const d = deckY.value
  return `M0 ${d}L${side - 4} ${d + 7}C${side - 2} ${d + 40} ${side} ${w - 20} ${side} ${w}C${side} ${w + (b - w) * 0.55} ${side - 22} ${b - 34} 34 ${b - 22}Q20 ${b - 18} 17 ${b}L17 ${b + 6}H0Z`
})
const counted = computed(() =>
  props.levels.map((level) => {
    const [others, room] = [level.ofOthers, level.forRoom]
    const all = [...others, ...room]
    // Work that no gate waits for may come before it: it is not said to come later.
    const ofOthers = others.some((plank) => plank.job.gateId === null) ? 'not for it' : 'later'
    const word = room.length === 0 ? ofOthers : others.length === 0 ? 'folded' : 'more'
    const hours = all.reduce((sum, plank) => sum + plank.hours, 0)
    const count =
      all.length === 0
        ? ''
        : `+${all.length} ${word}${hours >= 0.5 ? `, ${Math.round(hours)} h` : ''}`
    const room1 = props.width - 26 - widthOf(names[level.level], 16)
    return {
      level,
      count,
      oneLine: level.height < 40 && widthOf(count, 13, 500) <= room1,
    }
  }),
)
const { idOf, urlOf } = useChartIds()
</script>

<template>
  <g>
    <path :d="section" fill="var(--rule2)" opacity="0.55" />
    <clipPath :id="idOf('axis-water')">
      <rect x="0" :y="waterTop" :width="width" :height="Math.max(0, ground - waterTop)" />
    </clipPath>
    <path
      :d="section"
      :fill="floats ? 'var(--water)' : 'var(--rule)'"
      opacity="0.5"
      :clip-path="urlOf('axis-water')"
    />
    <path :d="section" fill="none" stroke="var(--ink)" stroke-width="2" />
    <rect
      x="0"
      :y="bottom + 6"
      width="24"
      :height="Math.max(0, ground - bottom - 6)"
      fill="var(--rule)"
      stroke="var(--ink)"
      stroke-width="1"
    />
    <!-- Her mast, where there is nothing but the rig. -->
    <line x1="6" x2="6" :y1="rigY + 2" :y2="deckY" stroke="var(--ink)" stroke-width="3" />
    <g v-for="{ level, count, oneLine } in counted" :key="level.level">
      <text
        :x="level.level === 'rig' ? 18 : 12"
        :y="level.y + 19"
        class="cond"
        font-size="16"
        fill="var(--ink)"
      >
        {{ names[level.level] }}
        <tspan v-if="oneLine && count" dx="4" class="cond-thin" font-size="13">{{ count }}</tspan>
      </text>
      <text
        v-if="!oneLine && count"
        x="12"
        :y="level.y + 34"
        class="cond-thin"
        font-size="13"
        fill="var(--ink)"
      >
        {{ count }}
      </text>
      <g v-if="level.flagged > 0" :transform="`translate(12 ${level.y + (count ? 40 : 25)})`">
        <path d="M0 0L11 5L0 10V15" fill="var(--redlead)" stroke="var(--redlead)" />
        <text x="16" y="11" class="cond" font-size="13" fill="var(--redlead)">
          {{ level.flagged }} out of order
        </text>
      </g>
    </g>
  </g>
</template>
