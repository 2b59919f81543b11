import { useEventListener } from '@vueuse/core'
import { ref, watch } from 'vue'
import type { Ref } from 'vue'

const [least, most] = [1, 5]
/** Moved less than this it was a press, not a pull. */
const pressed = 5

/**
 * Zoom and pan of a drawing that is laid out anew for each zoom, `zoom` times `size`: dragged, pinched, by wheel
 * with ctrl, and by buttons. Panning moves the picture itself, and nothing is drawn anew. `pulled` tells a press from
 * a pull.
 */
export function useMapView(
  svg: Ref<SVGSVGElement | null>,
  layer: Ref<HTMLElement | null>,
  holder: Ref<HTMLElement | null>,
  size: Ref<{ readonly width: number; readonly height: number }>,
) {
  const zoom = ref(1)
  let [left, top] = [0, 0]
  const pulled = ref(false)
  const pointers = new Map<string | number, { x: number; y: number }>()
  let waiting = false

  function show() {
    waiting = false
    const { width, height } = size.value
    left = Math.min(Math.max(0, left), width * (zoom.value - 1))
    top = Math.min(Math.max(0, top), height * (zoom.value - 1))
    // A layer that is moved is not painted anew.
    if (layer.value) layer.value.style.transform = `translate3d(${-left}px, ${-top}px, 0)`
  }
  const showSoon = () => {
    if (waiting) return
    waiting = true
    requestAnimationFrame(show)
  }
  watch([svg, size], () => svg.value && show(), { flush: 'post' })

  /** Zooms about a point of the screen, which stays where it is. */
  function zoomTo(next: number, at?: { x: number; y: number }) {
    const to = Math.min(most, Math.max(least, next))
    const box = holder.value?.getBoundingClientRect()
    if (!box || to === zoom.value) return
    const share = at ? [(at.x - box.left) / box.width, (at.y - box.top) / box.height] : [0.5, 0.5]
    const [sx, sy] = share as [number, number]
    const { width, height } = size.value
    const by = to / zoom.value
    left = (left + sx * width) * by - sx * width
    top = (top + sy * height) * by - sy * height
    zoom.value = to
    showSoon()
  }
  useEventListener(
    svg,
    'wheel',
    (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return
      event.preventDefault()
      zoomTo(zoom.value * Math.exp(-event.deltaY / 300), { x: event.clientX, y: event.clientY })
    },
    { passive: false },
  )
  useEventListener(svg, 'pointerdown', (event: PointerEvent) => {
    pointers.set(event.pointerId, { x: event.clientX, y: event.clientY })
    if (pointers.size === 1) pulled.value = false
  })
  useEventListener('pointermove', (event: PointerEvent) => {
    const was = pointers.get(event.pointerId)
    if (!was) return
    const now = { x: event.clientX, y: event.clientY }
    const [dx, dy] = [now.x - was.x, now.y - was.y]
    if (!pulled.value && Math.hypot(dx, dy) < pressed) return
    // What is pulled keeps the pointer: nothing lights up under it.
    if (!pulled.value && zoom.value > 1) holder.value?.setPointerCapture(event.pointerId)
    pulled.value = true
    const other = [...pointers].find(([id]) => id !== event.pointerId)?.[1]
    if (other) {
      const far = (point: { x: number; y: number }) =>
        Math.hypot(point.x - other.x, point.y - other.y)
      if (far(was) > 0)
        zoomTo(zoom.value * (far(now) / far(was)), {
          x: (now.x + other.x) / 2,
          y: (now.y + other.y) / 2,
        })
    } else if (zoom.value > 1) {
      left -= dx
      top -= dy
      showSoon()
    }
    pointers.set(event.pointerId, now)
  })
  for (const name of ['pointerup', 'pointercancel'] as const)
    useEventListener(name, (event: PointerEvent) => void pointers.delete(event.pointerId))
  return { zoom, zoomTo, pulled, reset: () => zoomTo(1) }
}
