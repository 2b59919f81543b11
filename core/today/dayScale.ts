/** The clock of a day, stretched where words are: heights in px that leave each line its room. */

/** A stretch of the day that wants room. */
export interface Held {
  readonly from: number
  readonly to: number
  /** Least height, px. */
  readonly px: number
}

export interface DayScale {
  readonly height: number
  /** Height of an instant; instants outside the day are held at its ends. */
  yOf(at: number): number
  /** Beginnings and ends of what is held, in order. */
  readonly edges: readonly number[]
}

/** Edges that follow each other are at least so far apart, px. */
const leastGapPx = 4

/**
 * A scale on which every held stretch has its room, in order of time, and on straight lines in between. Room that is
 * left up to `wantedPx` is shared out by the clock. Stretches may overlap; those of no length get room after them.
 */
export function dayScale(held: readonly Held[], wantedPx: number): DayScale {
  const edges = [...new Set(held.flatMap((one) => [one.from, one.to]))].sort((a, b) => a - b)
  const indexOf = new Map(edges.map((at, index) => [at, index]))
  const ys: number[] = []
  for (const [index, at] of edges.entries()) {
    const before = ys[index - 1]
    let y = before === undefined ? 0 : before + leastGapPx
    for (const one of held)
      if (one.to === at && one.from < at)
        y = Math.max(y, (ys[indexOf.get(one.from) as number] as number) + one.px)
    ys.push(y)
  }
  const [first, last] = [edges[0] ?? 0, edges.at(-1) ?? 0]
  const spare = Math.max(0, wantedPx - (ys.at(-1) ?? 0))
  if (last > first)
    for (const [index, at] of edges.entries())
      ys[index] = (ys[index] as number) + (spare * (at - first)) / (last - first)
  return {
    height: ys.at(-1) ?? 0,
    edges,
    yOf(at) {
      if (edges.length === 0 || at <= first) return 0
      if (at >= last) return ys.at(-1) as number
      const index = edges.findIndex((edge) => edge > at)
      const [a, b] = [edges[index - 1] as number, edges[index] as number]
      const [ya, yb] = [ys[index - 1] as number, ys[index] as number]
      return ya + ((at - a) / (b - a)) * (yb - ya)
    },
  }
}
