<script setup lang="ts">
import { computed } from 'vue'
import { boatOutline, zonePoints } from '#core/geometry/boatOutline'
import type { Zone } from '#core/model/entities'

/**
 * Our own side elevation and deck plan, drawn from length, waterline, beam and draught. Each place
 * shows how many open jobs are there; pressing it filters.
 */
const props = defineProps<{
  zones: readonly Zone[]
  counts: ReadonlyMap<string, { readonly open: number; readonly severe: boolean }>
  chosen: string | null
}>()
const emit = defineEmits<{ choose: [zoneId: string | null] }>()
const store = useRefitStore()
const unknownBoat = { loaM: 10, lwlM: null, beamM: null, draughtM: null, boatType: 'sail' } as const

const W = 330
const shape = computed(() => boatOutline(store.refit ?? unknownBoat, W))
const hull = computed(() => {
  const { water, sheer, draught, aft, fore } = shape.value
  const canoe = water + draught * 0.42
  return `M10 ${sheer + 4} Q${W * 0.5} ${sheer + 16} ${W - 10} ${sheer - 10} Q${W - 18} ${water - 8} ${fore} ${water} Q${fore - 40} ${canoe} ${W * 0.62} ${canoe} L${W * 0.6} ${water + draught} L${W * 0.36} ${water + draught} L${W * 0.33} ${canoe} Q${aft + 30} ${canoe - 4} ${aft} ${water} L16 ${water - 10} Z`
})
const rudder = computed(() => {
  const { water, draught, aft } = shape.value
  return `M${aft + 6} ${water + 2} h16 l4 ${draught * 0.85} h-17z`
})
const deck = computed(() => {
  const { mid, half } = shape.value
  return `M12 ${mid - half * 0.55} Q${W * 0.25} ${mid - half} ${W * 0.5} ${mid - half} Q${W * 0.82} ${mid - half * 0.92} ${W - 10} ${mid} Q${W * 0.82} ${mid + half * 0.92} ${W * 0.5} ${mid + half} Q${W * 0.25} ${mid + half} 12 ${mid + half * 0.55} Z`
})
const marks = computed(() => {
  const busy = props.zones.filter((zone) => (props.counts.get(zone.id)?.open ?? 0) > 0)
  return [...zonePoints(busy, shape.value)].map(([zone, { x, y }]) => {
    const count = props.counts.get(zone.id)
    return { zone, x, y, open: count?.open ?? 0, severe: count?.severe ?? false }
  })
})
const toggle = (zoneId: string) => emit('choose', props.chosen === zoneId ? null : zoneId)
</script>

<template>
  <svg :viewBox="`0 -30 ${W} 460`" class="w-full" role="group" aria-label="The boat, by place">
    <g fill="none" stroke="var(--ink)" stroke-width="2" aria-hidden="true">
      <g v-if="shape.masts > 0">
        <path
          :d="`M${W * 0.58} ${shape.sheer} V-22 M${W * 0.58} -18 L${W - 14} ${shape.sheer - 10} M${W * 0.58} -18 L${W * 0.3} ${shape.sheer + 2}`"
        />
        <path
          v-if="shape.masts > 1"
          :d="`M${W * 0.22} ${shape.sheer + 6} V52 M${W * 0.22} 54 L14 ${shape.sheer + 4}`"
        />
      </g>
      <path :d="hull" fill="var(--sheet)" />
      <path :d="rudder" fill="var(--sheet)" />
      <path
        :d="`M${W * 0.26} ${shape.sheer + 8} l14 -34 h72 l10 14 h62 l12 14`"
        fill="var(--sheet)"
      />
      <path
        :d="`M0 ${shape.water} H${W}`"
        stroke="var(--water-deep)"
        stroke-dasharray="7 4"
        stroke-width="1.5"
      />
      <path :d="deck" fill="var(--sheet)" />
      <path
        :d="`M${W * 0.34} ${shape.mid - shape.half * 0.55} h${W * 0.3} l40 ${shape.half * 0.25} v${shape.half * 0.6} l-40 ${shape.half * 0.25} h-${W * 0.3}z M${W * 0.1} ${shape.mid - shape.half * 0.42} h${W * 0.2} v${shape.half * 0.84} h-${W * 0.2}z`"
        stroke-width="1.3"
      />
    </g>
    <g
      v-for="mark in marks"
      :key="mark.zone.id"
      class="cursor-pointer"
      role="button"
      tabindex="0"
      :aria-pressed="chosen === mark.zone.id"
      :aria-label="`${mark.zone.name}: ${mark.open} open${mark.severe ? ', some severe' : ''}`"
      @click="toggle(mark.zone.id)"
      @keydown.enter.prevent="toggle(mark.zone.id)"
      @keydown.space.prevent="toggle(mark.zone.id)"
    >
      <title>{{ mark.zone.name }}</title>
      <rect :x="mark.x - 22" :y="mark.y - 22" width="44" height="44" fill="transparent" />
      <rect
        :x="mark.x - 11"
        :y="mark.y - 11"
        width="22"
        height="22"
        :fill="
          chosen === mark.zone.id ? 'var(--ink)' : mark.severe ? 'var(--redlead)' : 'var(--sheet)'
        "
        stroke="var(--ink)"
        stroke-width="1.5"
        :transform="mark.severe ? `rotate(45 ${mark.x} ${mark.y})` : undefined"
      />
      <text
        :x="mark.x"
        :y="mark.y + 5"
        text-anchor="middle"
        class="cond"
        font-size="15"
        :fill="chosen === mark.zone.id || mark.severe ? 'var(--sheet)' : 'var(--ink)'"
      >
        {{ mark.open }}
      </text>
    </g>
  </svg>
</template>
