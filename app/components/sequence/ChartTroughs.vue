<script setup lang="ts">
import { computed } from 'vue'
import { figureSize } from '#core/sequence/troughs'
import type { Trough } from '#core/sequence/troughs'
import type { Scene } from '#core/sequence/scene'

/** A vessel a week: as high as the hours there, filled with what is planned, brass for what was done. */
const props = defineProps<{ scene: Scene }>()
const foot = computed(() => props.scene.troughTop + 4 + props.scene.troughHigh)
const lean = (one: Trough): number => Math.min(5, (one.x1 - one.x0) / 5)
const vessel = (one: Trough): string => {
  const [l, tall] = [lean(one), one.there + one.logged]
  return `M${one.x0} ${foot.value - tall}L${one.x0 + l} ${foot.value}H${one.x1 - l}L${one.x1} ${foot.value - tall}`
}
const fill = (one: Trough, from: number, to: number): string => {
  const tall = Math.max(1, one.there + one.logged)
  const at = (h: number) => lean(one) * (1 - h / tall)
  const f = foot.value
  return `M${one.x0 + at(from)} ${f - from}L${one.x0 + at(to)} ${f - to}H${one.x1 - at(to)}L${one.x1 - at(from)} ${f - from}Z`
}
</script>

<template>
  <g>
    <text x="12" :y="scene.troughTop + 18" class="cond" font-size="14" fill="var(--ink)">
      Hours by week
    </text>
    <text x="12" :y="scene.troughTop + 34" class="cond-thin" font-size="13" fill="var(--ink)">
      {{ scene.view === 'launch' ? 'planned / there' : 'brass is logged' }}
    </text>
    <g v-for="one in scene.troughs" :key="one.week.monday">
      <path
        v-if="one.planned > 0.5"
        :d="fill(one, one.logged, one.logged + one.planned)"
        fill="var(--rule)"
      />
      <path v-if="one.logged > 0.3" :d="fill(one, 0, one.logged)" fill="var(--brass)" />
      <path
        v-if="one.over > 0.5"
        :d="`M${one.x0 - 2} ${foot - one.there - one.logged - 4}H${one.x1 + 2}`"
        stroke="var(--redlead)"
        stroke-width="4"
      />
      <path
        v-if="one.there > 0"
        :d="vessel(one)"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.8"
      />
      <text
        v-if="one.figures"
        :x="(one.x0 + one.x1) / 2"
        :y="foot + 17"
        text-anchor="middle"
        class="cond"
        :font-size="figureSize"
        fill="var(--ink)"
      >
        {{ one.figures }}
      </text>
    </g>
  </g>
</template>
