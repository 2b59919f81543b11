<script setup lang="ts">
import { letterWidth, mostLabelWidth } from '#core/sequence/planks'
import type { PackedPlank, StrakeRow } from '#core/sequence/planks'
import { purposeName } from '#core/plan/priority'

/** The planks of one strake: solid work, brass where it is done, hatched where it waits. */
defineProps<{ row: StrakeRow; y: number; laneHeight: number }>()
const emit = defineEmits<{ job: [jobId: string] }>()
const store = useRefitStore()
const { shortDate } = useDates()
const spoken = (plank: PackedPlank): string => {
  const { clock } = store.derived
  const wait = plank.waitTo > plank.to ? `, then waits until ${shortDate(plank.waitTo, clock)}` : ''
  return `${plank.job.title}: ${plank.label}, ${shortDate(plank.from, clock)} to ${shortDate(plank.to, clock)}${wait}${plank.binding ? ', it holds the launch' : ''}`
}
const cut = (plank: PackedPlank): string => {
  const most = Math.floor((plank.labelInside ? 400 : mostLabelWidth) / letterWidth)
  return plank.label.length > most ? `${plank.label.slice(0, most - 1)}…` : plank.label
}
const tile = {
  float: 'var(--water-deep)',
  safe: 'var(--redlead)',
  go: 'var(--verdigris)',
  live: 'var(--sheet)',
  shine: 'var(--brass)',
} as const
</script>

<template>
  <g>
    <a
      v-for="plank in row.planks"
      :key="plank.key"
      href="#"
      class="plank"
      :aria-label="spoken(plank)"
      @click.prevent="emit('job', plank.job.id)"
    >
      <title>{{ spoken(plank) }}</title>
      <rect
        :x="plank.x"
        :y="y + plank.lane * laneHeight"
        :width="plank.width"
        height="26"
        fill="var(--sheet)"
      />
      <rect
        :x="plank.x"
        :y="y + plank.lane * laneHeight"
        :width="plank.width * plank.done"
        height="26"
        fill="var(--brass)"
      />
      <rect
        :x="plank.x"
        :y="y + plank.lane * laneHeight"
        :width="plank.width"
        height="26"
        fill="none"
        :stroke="plank.binding ? 'var(--redlead)' : 'var(--ink)'"
        :stroke-width="plank.binding ? 3 : 1.5"
        :stroke-dasharray="plank.byOthers ? '5 3' : undefined"
      />
      <rect
        v-if="plank.waitWidth > 1"
        :x="plank.x + plank.width"
        :y="y + plank.lane * laneHeight + 4"
        :width="plank.waitWidth"
        height="18"
        fill="url(#hatching)"
        stroke="var(--ink2)"
      />
      <rect
        :x="plank.x + 4"
        :y="y + plank.lane * laneHeight + 4"
        width="18"
        height="18"
        :fill="tile[plank.job.purpose]"
        stroke="var(--ink)"
      />
      <text
        :x="plank.x + 13"
        :y="y + plank.lane * laneHeight + 18"
        text-anchor="middle"
        class="cond"
        font-size="14"
        :fill="
          plank.job.purpose === 'live'
            ? 'var(--ink)'
            : plank.job.purpose === 'shine'
              ? 'var(--on-brass)'
              : 'var(--sheet)'
        "
      >
        {{ plank.job.purpose === 'shine' ? '✦' : purposeName[plank.job.purpose][0] }}
      </text>
      <text
        :x="plank.labelInside ? plank.x + 27 : plank.x + plank.width + plank.waitWidth + 5"
        :y="y + plank.lane * laneHeight + 18.5"
        class="cond"
        font-size="15"
        paint-order="stroke"
        :stroke="plank.labelInside ? 'none' : 'var(--paper)'"
        stroke-width="4"
        :fill="plank.labelInside && plank.done > 0.7 ? 'var(--on-brass)' : 'var(--ink)'"
      >
        {{ cut(plank) }}
      </text>
    </a>
  </g>
</template>

<style scoped>
.plank:hover rect:first-of-type {
  fill: var(--brass-tint);
}
</style>
