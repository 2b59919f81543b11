/** Zoom and pan: the point under the finger stays there, and nothing is pulled past the edge. */
import { beforeEach, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { useMapView } from '../../app/composables/useMapView'
import { inSetup } from './inSetup'

beforeEach(() => {
  vi.stubGlobal('requestAnimationFrame', (draw: () => void) => draw())
})

/** A drawing of 400 by 200 that begins at 100, 50 of the screen. */
async function drawing() {
  const [svg, layer, holder] = ['svg', 'div', 'div'].map((tag) => document.createElement(tag))
  const held = vi.fn()
  Object.assign(holder as HTMLElement, {
    getBoundingClientRect: () => ({ left: 100, top: 50, width: 400, height: 200 }),
    setPointerCapture: held,
  })
  const { made } = inSetup(() =>
    useMapView(
      ref(svg as never),
      ref(layer as HTMLElement),
      ref(holder as HTMLElement),
      ref({ width: 400, height: 200 }),
    ),
  )
  await nextTick()
  const point = (kind: string, pointerId: number, clientX: number, clientY: number) => {
    const event = new Event(kind, { bubbles: true })
    Object.assign(event, { pointerId, clientX, clientY })
    ;(kind === 'pointerdown' ? (svg as Element) : window).dispatchEvent(event)
  }
  const wheel = (deltaY: number, clientX: number, clientY: number, ctrlKey = true) => {
    const event = new Event('wheel', { cancelable: true })
    Object.assign(event, { deltaY, clientX, clientY, ctrlKey, metaKey: false })
    svg?.dispatchEvent(event)
    return event.defaultPrevented
  }
  /** Where a point of the drawing, as shares of it, is on the screen. */
  const onScreen = (x: number, y: number) => {
    const [left, top] = [...(layer?.style.transform.matchAll(/-?[\d.]+(?=px)/g) ?? [])].map(Number)
    const { value: zoom } = made.zoom
    return [100 + x * 400 * zoom + (left ?? 0), 50 + y * 200 * zoom + (top ?? 0)]
  }
  return { made, point, wheel, held, onScreen, layer: layer as HTMLElement }
}
const close = (found: readonly number[], wanted: readonly number[]) =>
  found.forEach((one, at) => expect(one).toBeCloseTo(wanted[at] as number, 6))

it('zooms about the pointer by wheel with ctrl, between whole and five times', async () => {
  const { made, wheel, onScreen } = await drawing()
  expect(wheel(-100, 400, 100, false)).toBe(false)
  expect(made.zoom.value).toBe(1)
  // e^(1/3) nearer; three quarters along and a quarter down stay where they are.
  expect(wheel(-100, 400, 100)).toBe(true)
  expect(made.zoom.value).toBeCloseTo(1.3956, 4)
  close(onScreen(0.75, 0.25), [400, 100])
  for (let turn = 0; turn < 9; turn++) wheel(-100, 400, 100)
  expect(made.zoom.value).toBe(5)
  for (let turn = 0; turn < 9; turn++) wheel(900, 400, 100)
  expect(made.zoom.value).toBe(1)
  close(onScreen(0, 0), [100, 50])
})

it('zooms about its middle by button, and back to the whole', async () => {
  const { made, onScreen } = await drawing()
  made.zoomTo(2)
  close(onScreen(0.5, 0.5), [300, 150])
  close(onScreen(0, 0), [-100, -50])
  made.reset()
  expect(made.zoom.value).toBe(1)
  close(onScreen(0, 0), [100, 50])
})

it('is pulled with the pointer that pulls it, as far as its edge and not by a press', async () => {
  const { made, point, held, onScreen } = await drawing()
  made.zoomTo(2)
  point('pointerdown', 1, 200, 100)
  point('pointermove', 1, 203, 103)
  expect([made.pulled.value, held.mock.calls.length]).toEqual([false, 0])
  point('pointermove', 1, 230, 90)
  expect(made.pulled.value).toBe(true)
  expect(held).toHaveBeenCalledExactlyOnceWith(1)
  close(onScreen(0.5, 0.5), [330, 140])
  // A finger that was never set down on it pulls nothing.
  point('pointermove', 7, 10, 10)
  close(onScreen(0.5, 0.5), [330, 140])
  point('pointermove', 1, 2000, 1000)
  close(onScreen(0, 0), [100, 50])
  point('pointerup', 1, 2000, 1000)
  point('pointermove', 1, 0, 0)
  close(onScreen(0, 0), [100, 50])
  point('pointerdown', 2, 0, 0)
  expect(made.pulled.value).toBe(false)
})

it('is pinched by two fingers about the middle between them; whole, it is not pulled', async () => {
  const { made, point, held, onScreen } = await drawing()
  point('pointerdown', 1, 200, 100)
  point('pointermove', 1, 260, 100)
  expect(held).not.toHaveBeenCalled()
  close(onScreen(0, 0), [100, 50])
  point('pointermove', 1, 200, 100)
  point('pointerdown', 2, 300, 100)
  // From 100 apart to 200: twice as near, and what lay under the new middle, 300, stays.
  point('pointermove', 2, 400, 100)
  expect(made.zoom.value).toBe(2)
  close(onScreen(0.5, 0.25), [300, 100])
  expect(made.pulled.value).toBe(true)
  point('pointerup', 2, 400, 100)
  point('pointercancel', 1, 200, 100)
  point('pointermove', 1, 0, 0)
  close(onScreen(0.5, 0.25), [300, 100])
})
