/** Outlines of straight sides, given by their corners one after the other. */

export type Corner = readonly [number, number]

/** Area in square units of the corners, whichever way round; 0 for fewer than three. Shoelace formula. */
export function polygonArea(corners: readonly Corner[]): number {
  let twice = 0
  corners.forEach(([x, y], index) => {
    const [nextX, nextY] = corners[(index + 1) % corners.length] as Corner
    twice += x * nextY - nextX * y
  })
  return Math.abs(twice) / 2
}

/** Smallest rectangle round the corners. Precondition: at least one. */
export function boundsOf(corners: readonly Corner[]): {
  readonly left: number
  readonly right: number
  readonly low: number
  readonly high: number
} {
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)]
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    low: Math.min(...ys),
    high: Math.max(...ys),
  }
}

/** True when a point lies inside (even-odd rule: a ray to the right meets the sides an odd number of times). */
export function isInside([x, y]: Corner, corners: readonly Corner[]): boolean {
  let inside = false
  corners.forEach(([ax, ay], index) => {
    const [bx, by] = corners[(index + 1) % corners.length] as Corner
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside
  })
  return inside
}

/** What is left of an outline on one side of a straight cut. Sutherland and Hodgman, 1974. */
function cutBy(
  corners: readonly Corner[],
  inside: (corner: Corner) => boolean,
  meet: (from: Corner, to: Corner) => Corner,
): Corner[] {
  return corners.flatMap((to, index) => {
    const from = corners.at(index - 1) as Corner
    const crossing = inside(from) === inside(to) ? [] : [meet(from, to)]
    return inside(to) ? [...crossing, to] : crossing
  })
}

const meetAt =
  (axis: 0 | 1, at: number) =>
  (from: Corner, to: Corner): Corner => {
    const share = (at - from[axis]) / (to[axis] - from[axis])
    const other = from[1 - axis] as number
    const met = other + share * ((to[1 - axis] as number) - other)
    return axis === 0 ? [at, met] : [met, at]
  }

/**
 * The part of an outline inside an upright rectangle. Where the outline is hollow the parts hang together by
 * sides without width, which have no area.
 */
export function clippedTo(
  corners: readonly Corner[],
  left: number,
  low: number,
  right: number,
  high: number,
): Corner[] {
  let rest: Corner[] = [...corners]
  rest = cutBy(rest, ([x]) => x >= left, meetAt(0, left))
  rest = cutBy(rest, ([x]) => x <= right, meetAt(0, right))
  rest = cutBy(rest, ([, y]) => y >= low, meetAt(1, low))
  return cutBy(rest, ([, y]) => y <= high, meetAt(1, high))
}

const turn = ([ax, ay]: Corner, [bx, by]: Corner, [cx, cy]: Corner): number =>
  Math.sign((bx - ax) * (cy - ay) - (by - ay) * (cx - ax))

/** True when two sides that are not neighbours cross. */
export function crossesItself(corners: readonly Corner[]): boolean {
  const many = corners.length
  const corner = (at: number) => corners[at % many] as Corner
  for (let one = 0; one < many; one++)
    for (let two = one + 2; two < many; two++) {
      if (one === 0 && two === many - 1) continue
      const [a, b, c, d] = [corner(one), corner(one + 1), corner(two), corner(two + 1)]
      if (turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0) return true
    }
  return false
}
