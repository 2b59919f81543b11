<script setup lang="ts">
import { computed } from 'vue'
import { pathOf } from '#core/boatMap/frame'
import { aloft } from '#core/boatMap/hull'
import type { Spot } from '#core/boatMap/hull'
import { middleOf, zoneRegions } from '#core/boatMap/regions'
import type { LeaveLine } from '#core/today/leaving'

/** Her elevation with the numbers of the list at their places. The list says the same. */
const props = defineProps<{ lines: readonly LeaveLine[]; isAshore: boolean }>()
const store = useRefitStore()
const { holder, drawing } = useHerDrawing(280, aloft - 0.012)
const regions = computed(() =>
  drawing.value ? zoneRegions(store.rows.zone, drawing.value.lines) : null,
)
/** Where things are that belong to no place of hers. */
const usual: Readonly<Record<string, Spot>> = {
  hatches: [0.52, 0.17],
  drains: [0.2, 0.13],
  cups: [0.75, -0.1],
  stands: [0.36, -0.1],
  lines: [0.9, 0.09],
  power: [0.12, 0.05],
  ladder: [0.22, 0.02],
  watch: [0.6, 0.16],
}
function spotOf(line: LeaveLine): Spot {
  const zone = store.rows.zone.find((one) => one.id === line.zoneId)
  const shape = zone && regions.value?.get(zone)
  if (!zone || !shape) return usual[line.key] ?? [0.5, 0.1]
  const [along, height] = middleOf(shape)
  // A deck seen from the side: its edge, a little above.
  return shape.view === 'side'
    ? [along, height]
    : [along, (drawing.value?.lines.sheer(along) ?? 0.1) + 0.02]
}
const size = 26
/** Marks beside each other where two would lie on one. */
const marks = computed(() => {
  const frame = drawing.value?.frame
  if (!frame) return []
  const placed: { x: number; y: number }[] = []
  return props.lines.map((line, at) => {
    const [x0, y] = frame.at('side', spotOf(line))
    let x = x0
    while (placed.some((one) => Math.abs(one.x - x) < size && Math.abs(one.y - y) < size))
      x += size + 2
    const shown = { line, no: at + 1, x: Math.min(x, frame.width - size), y }
    placed.push(shown)
    return shown
  })
})
const covers = computed(() => {
  const set = drawing.value
  if (!set) return []
  return store.rows.cover.flatMap((cover) => {
    if (cover.kind === 'heat') return []
    const alongs = cover.zoneIds.flatMap((id) => {
      const zone = store.rows.zone.find((one) => one.id === id)
      const shape = zone && regions.value?.get(zone)
      return shape ? shape.corners.map(([x]) => x) : []
    })
    if (alongs.length === 0) return []
    const [a, b] = [Math.min(...alongs), Math.max(...alongs)]
    const top = 0.09
    const edge = (x: number) => set.lines.sheer(x)
    const inset = (b - a) * 0.15
    return [
      {
        id: cover.id,
        d: pathOf(set.frame, 'side', [
          [a, edge(a)],
          [a + inset, edge(a) + top],
          [b - inset, edge(b) + top],
          [b, edge(b)],
        ]),
      },
    ]
  })
})
const height = computed(() => (drawing.value ? drawing.value.frame.ground + 8 : 200))
</script>

<template>
  <div ref="holder" class="max-w-[32rem]">
    <svg
      v-if="drawing"
      class="block"
      :width="drawing.frame.width"
      :height="height - drawing.top"
      :viewBox="`0 ${drawing.top} ${drawing.frame.width} ${height - drawing.top}`"
      aria-hidden="true"
    >
      <HerSide :lines="drawing.lines" :frame="drawing.frame" />
      <path
        v-for="one in covers"
        :key="one.id"
        :d="one.d"
        fill="var(--rule2)"
        stroke="var(--ink)"
        stroke-width="2"
        opacity="0.85"
      />
      <path
        :d="
          isAshore
            ? `M0 ${drawing.frame.ground}H${drawing.frame.width}`
            : `M0 ${drawing.frame.water}H${drawing.frame.width}`
        "
        stroke="var(--ink)"
        stroke-width="2"
        :stroke-dasharray="isAshore ? undefined : '7 4'"
      />
      <foreignObject
        v-for="one in marks"
        :key="one.line.key"
        :x="one.x - 14"
        :y="one.y - 14"
        width="30"
        height="30"
      >
        <LeaveMark :line="one.line" :no="one.no" />
      </foreignObject>
    </svg>
  </div>
</template>
