/** Labels with their marks find room: none lies on another while there is any. */

export interface Box {
  readonly id: string
  readonly width: number
  readonly height: number
  /** Where its middle would best be. */
  readonly x: number
  readonly y: number
  /** Heights between which it may lie. */
  readonly top: number
  readonly bottom: number
}
export interface PlacedBox {
  readonly id: string
  /** Its middle. */
  readonly x: number
  readonly y: number
  /** How far it had to move. */
  readonly moved: number
}

const gap = 3
const stride = 5

/**
 * Places boxes one after the other at the nearest free point to where they would be, inside their heights and 0 to
 * `width`. Where there is none left, a box lies where it would be.
 */
export function placeBoxes(boxes: readonly Box[], width: number): PlacedBox[] {
  const taken: { x: number; y: number; width: number; height: number }[] = []
  return boxes.map((box) => {
    const free = (x: number, y: number): boolean =>
      taken.every(
        (other) =>
          Math.abs(other.x - x) >= (other.width + box.width) / 2 + gap ||
          Math.abs(other.y - y) >= (other.height + box.height) / 2 + gap,
      )
    const spot = nearestFree(box, width, free)
    taken.push({ ...spot, width: box.width, height: box.height })
    return { id: box.id, ...spot, moved: Math.hypot(spot.x - box.x, spot.y - box.y) }
  })
}

const between = (value: number, low: number, high: number): number =>
  Math.min(Math.max(value, low), Math.max(low, high))

function nearestFree(
  box: Box,
  width: number,
  free: (x: number, y: number) => boolean,
): { x: number; y: number } {
  const [left, right] = [box.width / 2, width - box.width / 2]
  const [top, bottom] = [box.top + box.height / 2, box.bottom - box.height / 2]
  const home = { x: between(box.x, left, right), y: between(box.y, top, bottom) }
  if (free(home.x, home.y)) return home
  let best: { x: number; y: number; far: number } | null = null
  for (let y = top; y <= Math.max(top, bottom); y += stride)
    for (let x = left; x <= Math.max(left, right); x += stride) {
      // Along the boat is nearer than across her: a name that is moved stays at its height.
      const far = Math.hypot(x - home.x, (y - home.y) * 1.5)
      if ((best === null || far < best.far) && free(x, y)) best = { x, y, far }
    }
  return best ? { x: best.x, y: best.y } : home
}
