/** The chain of a gate as one rope through the drawing, with a numbered knot at each link. */

/** A link of the chain with its place on the drawing. */
export interface RopePoint {
  /** 2 for the link next to the gate, and so on back. */
  readonly number: number
  /** Null: the gate itself. */
  readonly stepId: string | null
  readonly x: number
  /** Middle of the seam it lies on. */
  readonly y: number
}

/** Links tied into one knot. */
export interface Knot {
  readonly label: string
  readonly numbers: readonly number[]
  readonly stepIds: readonly string[]
  readonly x: number
  readonly y: number
  readonly half: number
}

/** Knots nearer than this are tied into one. */
const nearest = 24
const radius = 9.5
const letter = 6.6

/** "8–10" of numbers that follow one another, else "3, 5". */
export function labelOf(numbers: readonly number[]): string {
  const sorted = [...numbers].sort((a, b) => a - b)
  const [first, last] = [sorted[0] ?? 0, sorted.at(-1) ?? 0]
  if (sorted.length === 1) return String(first)
  return last - first === sorted.length - 1 ? `${first}–${last}` : sorted.join(', ')
}

/** Points in the order of time, tied where they lie close on one seam. */
export function knotsOf(points: readonly RopePoint[]): Knot[] {
  const groups: RopePoint[][] = []
  for (const point of [...points].sort((a, b) => a.x - b.x || b.number - a.number)) {
    const near = groups.find((group) =>
      group.some((one) => Math.abs(one.y - point.y) < 2 && Math.abs(point.x - one.x) < nearest),
    )
    if (near) near.push(point)
    else groups.push([point])
  }
  return groups.map((group) => {
    const numbers = group.map((one) => one.number).sort((a, b) => a - b)
    const label = labelOf(numbers)
    const xs = group.map((one) => one.x)
    return {
      label,
      numbers,
      stepIds: [...group].sort((a, b) => a.number - b.number).flatMap((one) => one.stepId ?? []),
      x: (Math.min(...xs) + Math.max(...xs)) / 2,
      y: group[0]?.y ?? 0,
      half: Math.max(radius, (label.length * letter) / 2 + 4),
    }
  })
}

const round = (value: number): string => value.toFixed(1)

/** The pieces of it that lie on seams. */
export function ropeAlong(points: readonly { readonly x: number; readonly y: number }[]): string {
  return points
    .slice(1)
    .map((next, index) => {
      const from = points[index] ?? next
      return `M${round(from.x)} ${round(from.y)}H${round(next.x)}`
    })
    .join('')
}

/** One path along the seams: straight on them, and in a soft bend from one to the next. */
export function ropePath(points: readonly { readonly x: number; readonly y: number }[]): string {
  const [first, ...others] = points
  if (!first) return ''
  let path = `M${round(first.x)} ${round(first.y)}`
  let last = first
  for (const next of others) {
    path += `L${round(next.x)} ${round(last.y)}`
    if (Math.abs(next.y - last.y) > 1) {
      const bulge = next.y > last.y ? 7 : -7
      path += `C${round(next.x + bulge)} ${round(last.y + (next.y - last.y) / 3)} ${round(next.x - bulge)} ${round(last.y + (2 * (next.y - last.y)) / 3)} ${round(next.x)} ${round(next.y)}`
    }
    last = next
  }
  return path
}
