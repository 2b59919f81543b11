/** Posts along a run with keep-outs on a grid: the fewest, then the most even, proven. Source: handbook 11. */

export interface SpansAsked {
  readonly length: number
  readonly maxSpan: number
  /** No post at a ≤ x ≤ b. */
  readonly keepOuts: readonly (readonly [a: number, b: number])[]
  /** Posts between the ends stand on its multiples. */
  readonly grid: number
}

type Runs = (readonly [from: number, to: number])[]

const hair = 1e-9

/**
 * Positions of the posts, those at 0 and at the end among them. All lengths in one unit. Null: no post can stand where one
 * is needed. Throws RangeError for a length, span or grid that is not over 0, and for a keep-out that ends before it begins.
 *
 * Where a post can be after so many spans of a least and a greatest length is a handful of runs of grid lines; of each
 * least length the smallest greatest one is found, so that no more even row is left out.
 */
export function exactSpans(asked: SpansAsked): number[] | null {
  const { length, maxSpan, grid } = asked
  for (const [name, value] of Object.entries({ length, maxSpan, grid }))
    if (!(value > 0 && Number.isFinite(value)))
      throw new RangeError(`exactSpans: ${name} must be over 0`)
  for (const [a, b] of asked.keepOuts)
    if (!(a <= b)) throw new RangeError('exactSpans: a keep-out ends before it begins')
  return new Row(asked).solve()
}

class Row {
  /** In steps of the grid from here on. */
  private readonly end: number
  private readonly most: number
  private readonly last: number
  private readonly shut: Runs

  constructor(private readonly asked: SpansAsked) {
    const { grid } = asked
    this.end = asked.length / grid
    this.most = asked.maxSpan / grid
    // The post at the end is there already.
    this.last = Math.ceil(this.end - hair) - 1
    this.shut = asked.keepOuts
      .map(([a, b]): [number, number] => [Math.ceil(a / grid - hair), Math.floor(b / grid + hair)])
      .filter(([a, b]) => a <= b)
      .sort((one, other) => one[0] - other[0])
  }

  solve(): number[] | null {
    const spans = this.fewest()
    if (spans === null) return null
    if (spans === 1) return [0, this.asked.length]
    const { least, greatest } = this.mostEven(spans)
    return this.marks(spans, least, greatest)
  }

  /** The least number of spans none of which is too long; null: none will do. */
  private fewest(): number | null {
    let at = 0
    for (let spans = 1; ; spans++) {
      if (this.end - at <= this.most + hair) return spans
      // The farthest post leaves the least to be bridged.
      const to = this.openAtOrBefore(Math.min(this.last, Math.floor(at + this.most + hair)))
      if (to <= at) return null
      at = to
    }
  }

  private openAtOrBefore(line: number): number {
    let at = line
    for (const [a, b] of [...this.shut].reverse()) if (a <= at && at <= b) at = a - 1
    return at
  }

  /** Least and greatest span of the row with the smallest difference. */
  private mostEven(spans: number): { least: number; greatest: number } {
    const mean = this.end / spans
    const part = this.end - Math.floor(this.end + hair)
    // A span is a whole number of steps, or one that reaches the end, which may lie off the grid.
    const parts = part > hair ? [0, part] : [0]
    const below = (value: number) =>
      Math.max(...parts.map((one) => Math.floor(value - one + hair) + one))
    const under = (value: number) =>
      Math.max(...parts.map((one) => Math.ceil(value - one - hair) - 1 + one))
    let best = { least: 0, greatest: this.most }
    let greatest = below(this.most)
    let isKnown = false
    for (let least = below(mean); least >= 0; least = under(least)) {
      // No greatest span is under the mean.
      if (isKnown && mean - least >= best.greatest - best.least - hair) break
      if (!this.isRow(spans, least, greatest)) continue
      while (greatest > mean - hair && this.isRow(spans, least, under(greatest)))
        greatest = under(greatest)
      if (!isKnown || greatest - least < best.greatest - best.least - hair)
        best = { least, greatest }
      isKnown = true
    }
    return best
  }

  private isRow(spans: number, least: number, greatest: number): boolean {
    if (greatest < least - hair) return false
    return this.layers(spans, least, greatest) !== null
  }

  /** Where the post after each span can be; null: the last span does not come out. */
  private layers(spans: number, least: number, greatest: number): Runs[] | null {
    const [short, long] = [Math.max(1, Math.ceil(least - hair)), Math.floor(greatest + hair)]
    const layers: Runs[] = [[[0, 0]]]
    for (let span = 1; span < spans; span++) {
      const next = this.open(
        joined((layers[span - 1] as Runs).map(([a, b]) => [a + short, b + long] as const)),
      )
      if (next.length === 0) return null
      layers.push(next)
    }
    const from = Math.ceil(this.end - greatest - hair)
    const to = Math.floor(this.end - least + hair)
    const final = within(layers[spans - 1] as Runs, from, to)
    if (final.length === 0) return null
    layers[spans - 1] = final
    return layers
  }

  /** What of some runs is open to a post. */
  private open(runs: Runs): Runs {
    let left = within(runs, 1, this.last)
    for (const [a, b] of this.shut)
      left = left.flatMap(([from, to]): Runs => {
        if (b < from || to < a) return [[from, to]]
        const parts: Runs = []
        if (from < a) parts.push([from, a - 1])
        if (to > b) parts.push([b + 1, to])
        return parts
      })
    return left
  }

  private marks(spans: number, least: number, greatest: number): number[] {
    const layers = this.layers(spans, least, greatest)
    if (!layers) throw new Error('exactSpans: the row that was found does not come out')
    const [short, long] = [Math.max(1, Math.ceil(least - hair)), Math.floor(greatest + hair)]
    const lines: number[] = []
    let at = (layers[spans - 1] as Runs)[0]?.[0] as number
    for (let span = spans - 1; span >= 1; span--) {
      lines.unshift(at)
      at = within(layers[span - 1] as Runs, at - long, at - short)[0]?.[0] as number
    }
    return [0, ...lines.map((line) => line * this.asked.grid), this.asked.length]
  }
}

const within = (runs: Runs, from: number, to: number): Runs =>
  runs
    .map(([a, b]): [number, number] => [Math.max(a, from), Math.min(b, to)])
    .filter(([a, b]) => a <= b)

/** Runs in order, those that touch made one. */
function joined(runs: Runs): Runs {
  const all: [number, number][] = []
  for (const [a, b] of [...runs].sort((one, other) => one[0] - other[0])) {
    const last = all.at(-1)
    if (last && a <= last[1] + 1) last[1] = Math.max(last[1], b)
    else all.push([a, b])
  }
  return all
}
