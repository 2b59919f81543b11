<script setup lang="ts">
import { computed } from 'vue'
import { xAt } from '#core/sequence/scale'
import type { TimeScale } from '#core/sequence/scale'
import { addDays, dayNumber } from '#core/time/civil'

/** Hours planned against hours there, week by week under the dates they belong to. */
const props = defineProps<{ scale: TimeScale; top: number }>()
const store = useRefitStore()
const planner = usePlannerStore()
const tall = 44
const hours = computed(() => {
  const { weeks } = planner.hours
  const most = Math.max(1, ...weeks.map((one) => Math.max(one.planned, one.there)))
  const xOf = (date: string) => xAt(props.scale, store.derived.clock.at(dayNumber(date), 0))
  return weeks
    .map((one) => ({
      ...one,
      a: xOf(one.monday),
      b: xOf(addDays(one.monday, 7)),
      plannedPx: (one.planned / most) * tall,
      therePx: (one.there / most) * tall,
    }))
    .filter((one) => one.a >= props.scale.left - 1 && one.b <= props.scale.right + 1)
})
</script>

<template>
  <g>
    <text x="0" :y="top + 34" class="cond" font-size="17" fill="var(--ink)"> Hours </text>
    <text x="0" :y="top + 51" class="cond" font-size="14" fill="var(--ink2)">
      planned / there
    </text>
    <g v-for="one in hours" :key="one.monday">
      <rect
        :x="one.a + 4"
        :y="top + 52 - one.plannedPx"
        :width="Math.max(0, one.b - one.a - 8)"
        :height="one.plannedPx"
        fill="var(--rule)"
      />
      <rect
        :x="one.a + 4"
        :y="top + 52 - one.therePx"
        :width="Math.max(0, one.b - one.a - 8)"
        :height="one.therePx"
        fill="none"
        stroke="var(--ink2)"
        stroke-dasharray="3 3"
      />
      <text
        :x="(one.a + one.b) / 2"
        :y="top + 69"
        text-anchor="middle"
        class="cond"
        font-size="14"
        fill="var(--ink)"
      >
        {{
          one.b - one.a > 58
            ? `${Math.round(one.planned)} / ${Math.round(one.there)}`
            : Math.round(one.planned)
        }}
      </text>
    </g>
  </g>
</template>
