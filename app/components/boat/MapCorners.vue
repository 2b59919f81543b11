<script setup lang="ts">
import { computed, ref } from 'vue'
import { pathOf } from '#core/boatMap/frame'
import type { MapFrame } from '#core/boatMap/frame'
import type { Spot } from '#core/boatMap/hull'
import type { Zone } from '#core/model/entities'
import type { ZoneShape } from '#core/model/entities/boat'

/** Corners of a place on the map: dragged, or moved by arrows. */
const props = defineProps<{
  frame: MapFrame
  editing: { readonly zone: Zone; readonly shape: ZoneShape }
  /** The point of the boat under a pointer; null: it lies beside her. */
  spotAt: (event: MouseEvent) => { readonly view: ZoneShape['view']; readonly spot: Spot } | null
}>()
const emit = defineEmits<{ shape: [shape: ZoneShape] }>()
const dragging = ref<number | null>(null)
const dragged = ref<readonly Spot[] | null>(null)
const corners = computed(() => dragged.value ?? props.editing.shape.corners)
function startCorner(event: PointerEvent, at: number) {
  event.stopPropagation()
  ;(event.target as Element).setPointerCapture(event.pointerId)
  dragging.value = at
  dragged.value = [...corners.value]
}
function moveCorner(event: PointerEvent) {
  const at = dragging.value
  const spot = props.spotAt(event)
  if (at === null || !spot || spot.view !== props.editing.shape.view) return
  dragged.value = corners.value.map((one, index) => (index === at ? spot.spot : one))
}
function endCorner() {
  const { shape } = props.editing
  if (dragging.value !== null && dragged.value)
    emit('shape', { view: shape.view, corners: dragged.value })
  dragging.value = null
  dragged.value = null
}
const nudge = 0.01
const steps: Readonly<Record<string, Spot>> = {
  ArrowLeft: [nudge, 0],
  ArrowRight: [-nudge, 0],
  ArrowUp: [0, nudge],
  ArrowDown: [0, -nudge],
}
function nudgeCorner(event: KeyboardEvent, at: number) {
  const step = steps[event.key]
  const { shape } = props.editing
  if (!step) return
  event.preventDefault()
  event.stopPropagation()
  emit('shape', {
    view: shape.view,
    corners: shape.corners.map(([x, y], index) =>
      index === at ? [x + step[0], y + step[1]] : [x, y],
    ),
  })
}
</script>

<template>
  <g>
    <path
      :d="pathOf(frame, editing.shape.view, corners, true)"
      fill="var(--verdigris-tint)"
      fill-opacity=".6"
      stroke="var(--verdigris)"
      stroke-width="2.5"
      stroke-dasharray="6 4"
      pointer-events="none"
    />
    <circle
      v-for="(corner, at) in corners"
      :key="at"
      :cx="frame.at(editing.shape.view, corner)[0]"
      :cy="frame.at(editing.shape.view, corner)[1]"
      r="11"
      class="cursor-move"
      fill="var(--sheet)"
      stroke="var(--verdigris)"
      stroke-width="3"
      role="button"
      tabindex="0"
      :aria-label="`Corner ${at + 1} of ${editing.zone.name}: arrows move it`"
      @pointerdown="startCorner($event, at)"
      @pointermove="moveCorner"
      @pointerup="endCorner"
      @keydown="nudgeCorner($event, at)"
    />
  </g>
</template>
