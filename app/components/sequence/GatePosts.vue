<script setup lang="ts">
import { computed } from 'vue'
import { xAt } from '#core/sequence/scale'
import type { TimeScale } from '#core/sequence/scale'
import { dayNumber } from '#core/time/civil'

/** Posts of the gates that fall into the stretch, and a dotted one where a late gate was aimed at. */
const props = defineProps<{ scale: TimeScale; bottom: number; width: number; from: string }>()
const store = useRefitStore()
const { sayDate } = useDates()
const noon = 720
const gates = computed(() => {
  const { clock, gates: all } = store.derived
  return all.flatMap(({ gate, plannedOn, aimedOn, daysLate }) => {
    const at = store.accepted?.gates.find((one) => one.gateId === gate.id)?.at
    if (at === undefined || plannedOn === null || at < props.scale.from || at >= props.scale.to)
      return []
    const late = (daysLate ?? 0) > 0
    const aimed =
      late && aimedOn && aimedOn >= props.from
        ? xAt(props.scale, clock.at(dayNumber(aimedOn), noon))
        : null
    const label = `${gate.name} ${sayDate(plannedOn)}`
    const wide = label.length * 7.4 + 16
    const x = xAt(props.scale, at)
    return [{ gate, x, label, wide, aimed, aimedOn, late, launch: gate.kind === 'launch' }]
  })
})
</script>

<template>
  <g>
    <g v-for="one in gates" :key="one.gate.id">
      <template v-if="one.aimed !== null">
        <line
          :x1="one.aimed"
          :x2="one.aimed"
          y1="50"
          :y2="bottom"
          stroke="var(--ink)"
          stroke-width="2"
          stroke-dasharray="2 4"
        />
        <text
          :x="one.aimed - 4"
          y="61"
          text-anchor="end"
          class="cond"
          font-size="14"
          fill="var(--ink)"
          paint-order="stroke"
          stroke="var(--paper)"
          stroke-width="4"
        >
          aimed {{ sayDate(one.aimedOn ?? '') }}
        </text>
      </template>
      <line
        :x1="one.x"
        :x2="one.x"
        y1="34"
        :y2="bottom"
        :stroke="one.late ? 'var(--redlead)' : 'var(--ink)'"
        :stroke-width="one.launch ? 4 : 2"
      />
      <path
        :d="`M${one.x} 32 h${one.wide} l-7 8 l7 8 h-${one.wide}z`"
        :fill="one.late ? 'var(--redlead)' : 'var(--ink)'"
        :transform="one.x + one.wide > width ? `translate(${one.x * 2} 0) scale(-1 1)` : undefined"
      />
      <text
        :x="one.x + one.wide > width ? one.x - 8 : one.x + 7"
        :text-anchor="one.x + one.wide > width ? 'end' : 'start'"
        y="45"
        class="cond"
        font-size="15"
        fill="var(--sheet)"
      >
        {{ one.label }}
      </text>
    </g>
  </g>
</template>
