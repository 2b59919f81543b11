/** Whether a box goes through an opening. */

export interface Turn {
  /** Sides of the item that pass through the opening, and the one that goes in last. */
  readonly across: readonly [number, number]
  readonly inward: number
  /** Turned in the plane of the opening by so many degrees; 0: square to it. */
  readonly turnedDeg: number
  /** What is left on the tighter side, mm, the clearance taken off; negative: it does not go. */
  readonly spare: number
}

const pairs: readonly (readonly [number, number, number])[] = [
  [0, 1, 2],
  [0, 2, 1],
  [1, 2, 0],
]

/** Least room that p × q leaves in a × b, both lying square; the better of the two ways round. */
const square = (p: number, q: number, a: number, b: number): number =>
  Math.max(Math.min(a - p, b - q), Math.min(a - q, b - p))

/**
 * Every way a box goes through a rectangular opening, sides in any unit: square to it on each of its three faces, and turned
 * in the opening's plane, which lets a long thin face through on the diagonal. `clear` is kept free in all. The best first.
 * A p × q face turned by θ needs p·cosθ + q·sinθ by p·sinθ + q·cosθ; the angle is tried in steps of 0.25°.
 * Source: handbook-2 I6; geometry of the rectangle in a rectangle.
 */
export function turnsThrough(
  item: readonly [number, number, number],
  opening: readonly [number, number],
  clear: number,
): Turn[] {
  const [a, b] = [opening[0] - clear, opening[1] - clear]
  return pairs
    .map(([one, two, last]): Turn => {
      const [p, q] = [item[one] as number, item[two] as number]
      let best: Turn = {
        across: [p, q],
        inward: item[last] as number,
        turnedDeg: 0,
        spare: square(p, q, a, b),
      }
      for (let step = 1; step < 360; step++) {
        const angle = (step / 4) * (Math.PI / 180)
        const needA = p * Math.cos(angle) + q * Math.sin(angle)
        const needB = p * Math.sin(angle) + q * Math.cos(angle)
        const spare = Math.min(a - needA, b - needB)
        if (spare > best.spare + 1e-9) best = { ...best, turnedDeg: step / 4, spare }
      }
      return best
    })
    .sort((x, y) => y.spare - x.spare)
}
