import { needRange } from '../guard'

/** A plate is at least twice the footprint, and reaches this far past every bolt, mm. Source: handbook 11. */
const areaFactor = 2
const edgeMm = 25

/**
 * Sides of a backing plate, mm, for a bolt pattern lying inside a footprint; all 0–2000 mm. Each side
 * reaches 25 mm past the bolts, then both grow alike until the area is twice the footprint.
 * Throws RangeError outside. Source: handbook 11.
 * Example: footprint 100 × 60, bolts 70 × 30 → 120 × 80 = 9600, needs 12 000 → 134.2 × 89.4 mm.
 */
export function backingPlateMm(
  footprint: readonly [number, number],
  bolts: readonly [number, number],
): [number, number] {
  for (const side of [...footprint, ...bolts])
    needRange('backingPlateMm', 'side in mm', side, 0, 2000)
  const sides: [number, number] = [bolts[0] + 2 * edgeMm, bolts[1] + 2 * edgeMm]
  const grow = Math.sqrt(
    Math.max(1, (areaFactor * footprint[0] * footprint[1]) / (sides[0] * sides[1])),
  )
  return [sides[0] * grow, sides[1] * grow]
}
