<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { MapFrame } from '#core/boatMap/frame'
import { hullLines } from '#core/boatMap/hull'
import { loaInches } from '#core/progress/inches'
import { tapeMarks } from '#core/progress/tapeMarks'

/** A boat over the tape that is as long as she is. `loaM`: her length as typed so far; null: not yet. */
const props = defineProps<{ loaM: number | null }>()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 480, height: 200 })
/** Forty feet, until somebody says. */
const usualM = 12.192
const loaM = computed(() => props.loaM ?? usualM)
const lines = computed(() =>
  hullLines({
    loaM: loaM.value,
    lwlM: null,
    beamM: null,
    draughtM: null,
    boatType: 'sail',
    keel: 'fin',
    pilothouse: false,
  }),
)
const inches = computed(() => Math.round(loaInches(loaM.value)))
const marks = computed(() => tapeMarks(0, Math.max(1, inches.value), width.value))
/** Heights in shares of her length: the masts are cut off above. */
const [topShare, tapeHigh, underKeel] = [0.215, 30, 14]
const length = computed(() => width.value - 4)
const water = computed(() => topShare * length.value)
const ground = computed(() => water.value + lines.value.draught * length.value + underKeel)
/** Exactly as long as the Tape, bow to the left. */
const frame: Pick<MapFrame, 'at'> = {
  at: (_, [along, up]) => [2 + (1 - along) * length.value, water.value - up * length.value],
}
</script>

<template>
  <figure>
    <div ref="box" class="min-w-0">
      <svg :width="width" :height="ground + tapeHigh + 2" class="block" aria-hidden="true">
        <path :d="`M0 ${water}H${width}`" stroke="var(--water-deep)" stroke-dasharray="7 4" />
        <HerSide :lines="lines" :frame="frame" rigged />
        <g :transform="`translate(0 ${ground})`">
          <rect
            x="1"
            y="1"
            :width="Math.max(0, width - 2)"
            :height="tapeHigh - 2"
            fill="var(--sheet)"
            stroke="var(--ink)"
            stroke-width="2"
          />
          <line
            v-for="tick in marks.ticks"
            :key="tick.x"
            :x1="tick.x"
            :x2="tick.x"
            y1="1"
            :y2="1 + tick.length * 0.75"
            stroke="var(--ink)"
          />
          <text
            v-for="inch in marks.numbers"
            :key="inch"
            :x="marks.x(inch) - 3"
            :y="tapeHigh - 4"
            text-anchor="end"
            class="cond"
            font-size="14"
            fill="var(--ink)"
          >
            {{ inch }}
          </text>
        </g>
      </svg>
    </div>
    <figcaption class="mt-2 leading-snug text-ink2">
      <b class="cond text-ink">{{ inches }} in{{ loaM === usualM ? ' for 40 ft' : '' }}</b>: the
      Tape is as long as she is. Work done prints it, an inch at a time.
    </figcaption>
  </figure>
</template>
