import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { mapFrame } from '#core/boatMap/frame'
import type { MapFrame } from '#core/boatMap/frame'
import { hullLines } from '#core/boatMap/hull'
import type { HullLines } from '#core/boatMap/hull'

/** Her from the side as wide as there is room: her lines, where they lie, and where the drawing begins. */
interface HerDrawing {
  readonly lines: HullLines
  readonly frame: MapFrame
  /** What stands higher is cut off, px. */
  readonly top: number
}

/**
 * A side view in a box of its own, which is given to the box's `ref`.
 * @param leastPx it is never narrower
 * @param aboveShare of her length is seen over the waterline
 */
export function useHerDrawing(leastPx: number, aboveShare: number) {
  const store = useRefitStore()
  const holder = ref<HTMLElement | null>(null)
  const { width } = useElementSize(holder, { width: 560, height: 200 })
  const drawing = computed((): HerDrawing | null => {
    if (!store.refit) return null
    const lines = hullLines(store.refit)
    const frame = mapFrame(lines, Math.max(leastPx, Math.round(width.value)))
    return { lines, frame, top: Math.max(0, frame.water - aboveShare * frame.length) }
  })
  return { holder, drawing }
}
