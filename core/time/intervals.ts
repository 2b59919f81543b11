/**
 * Sets of half-open intervals of whatever unit, kept as lists in order and apart from each other: the one
 * set of them for calendars, windows and hours.
 */
export type Interval = readonly [from: number, to: number]

/** The same time as intervals apart and in order, touching ones joined, empty ones left out. */
export function joined(list: readonly Interval[]): Interval[] {
  const result: [number, number][] = []
  for (const [from, to] of [...list].sort((a, b) => a[0] - b[0])) {
    const last = result.at(-1)
    if (to <= from) continue
    if (last && from <= last[1]) last[1] = Math.max(last[1], to)
    else result.push([from, to])
  }
  return result
}

/** What two sets have in common. */
export function intersect(a: readonly Interval[], b: readonly Interval[]): Interval[] {
  const both: Interval[] = []
  for (let i = 0, j = 0; i < a.length && j < b.length;) {
    const left = a[i] as Interval
    const right = b[j] as Interval
    const from = Math.max(left[0], right[0])
    const to = Math.min(left[1], right[1])
    if (from < to) both.push(from === left[0] && to === left[1] ? left : [from, to])
    if (left[1] < right[1]) i++
    else j++
  }
  return both
}

/** A set without a stretch. */
export function without(set: readonly Interval[], from: number, to: number): Interval[] {
  const left: Interval[] = []
  for (const span of set) {
    if (to <= span[0] || from >= span[1]) left.push(span)
    else {
      if (from > span[0]) left.push([span[0], from])
      if (to < span[1]) left.push([to, span[1]])
    }
  }
  return left
}

/** What intervals come to, one of them left out. */
export function lengthOf(spans: readonly Interval[], but: Interval | null): number {
  const left = but ? without(spans, but[0], but[1]) : spans
  return left.reduce((sum, [from, to]) => sum + to - from, 0)
}
