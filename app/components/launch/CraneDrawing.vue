<script setup lang="ts">
import { computed } from 'vue'
import type { CraneUse } from '#core/launch/lift'

/** The crane on the quay and her on its hook, to scale across: how far it stands back, and where she hangs. */
const props = defineProps<{
  use: CraneUse
  setBackM: number
  beamM: number
  draughtM: number
}>()
const [width, height] = [300, 150]
const ground = 96
const scale = computed(() =>
  Math.min(26, (width - 110) / Math.max(1, props.use.radiusM + props.beamM / 2)),
)
const craneX = 60
const hookX = computed(() => craneX + props.use.radiusM * scale.value)
const quayX = computed(() => craneX + props.setBackM * scale.value)
const half = computed(() => (props.beamM / 2) * scale.value)
const low = computed(() => Math.min(40, props.draughtM * scale.value))
const said = computed(
  () =>
    `The crane is set back ${props.setBackM.toFixed(2)} m; she hangs ${props.use.radiusM.toFixed(2)} m from its turning centre.`,
)
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" class="h-40 w-full" role="img" :aria-label="said">
    <rect
      x="0"
      :y="ground"
      :width="quayX"
      :height="height - ground - 14"
      fill="var(--rule)"
      stroke="var(--ink)"
      stroke-width="1.6"
    />
    <rect :x="quayX" y="112" :width="width - quayX" height="24" fill="var(--water)" />
    <rect :x="craneX - 34" y="78" width="62" height="10" fill="var(--ink)" />
    <circle :cx="craneX - 24" cy="92" r="5" fill="var(--ink)" />
    <circle :cx="craneX - 4" cy="92" r="5" fill="var(--ink)" />
    <circle :cx="craneX + 18" cy="92" r="5" fill="var(--ink)" />
    <rect
      :x="craneX - 26"
      y="62"
      width="20"
      height="16"
      fill="var(--sheet)"
      stroke="var(--ink)"
      stroke-width="1.6"
    />
    <path :d="`M${craneX} 78L${hookX} 8`" stroke="var(--ink)" stroke-width="5" />
    <path
      :d="`M${hookX} 8L${hookX - half} 74M${hookX} 8L${hookX + half} 74`"
      stroke="var(--brass-deep)"
      stroke-width="2"
      fill="none"
    />
    <path
      :d="`M${hookX - half} 72H${hookX + half}C${hookX + half} 96 ${hookX + half * 0.3} 104 ${hookX + 4} ${104 + low * 0.4}V${104 + low * 0.6}H${hookX - 4}V${104 + low * 0.4}C${hookX - half * 0.3} 104 ${hookX - half} 96 ${hookX - half} 72Z`"
      fill="var(--sheet)"
      stroke="var(--ink)"
      stroke-width="2"
    />
    <path
      :d="`M${craneX} 142H${quayX}M${craneX} 137v10M${quayX} 137v10M${craneX} 100V137`"
      stroke="var(--ink)"
      stroke-width="1.2"
      fill="none"
    />
    <text
      :x="(craneX + quayX) / 2"
      y="132"
      text-anchor="middle"
      font-size="14"
      font-weight="600"
      class="cond"
      fill="var(--ink)"
    >
      {{ setBackM.toFixed(2) }}
    </text>
    <text
      :x="hookX"
      y="147"
      text-anchor="middle"
      font-size="14"
      font-weight="600"
      class="cond"
      fill="var(--ink)"
    >
      {{ use.radiusM.toFixed(2) }} m
    </text>
  </svg>
</template>
