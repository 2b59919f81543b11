/**
 * Pieces laid on a strip one after the other along its skyline: always in the lowest gap, the one that fits it best.
 * Source: best fit on a skyline with scored fits, as published for the strip packing problem; ours in what it scores.
 */

/** A piece as it lies: w across the strip, h along it. It is not turned. */
export interface Piece {
  readonly w: number
  readonly h: number
}

/** Lengths closer than this are the same. */
const hair = 1e-9

/** Lays pieces by an order of them; kept for many tries, so that nothing is made anew for each. */
export class Skyline {
  /** Where each piece lies after a try; NaN: it found no room under the limit. */
  readonly x: Float64Array
  readonly y: Float64Array
  private readonly w: Float64Array
  private readonly h: Float64Array
  // The skyline from left to right, as a list of segments.
  private readonly atX: Float64Array
  private readonly atY: Float64Array
  private readonly wide: Float64Array
  private count = 0
  /** No piece that is left goes into a gap as narrow as this: floors only rise, and pieces only grow fewer. */
  private tooNarrow = 0
  private readonly left: Int32Array

  constructor(
    private readonly width: number,
    pieces: readonly Piece[],
  ) {
    const many = pieces.length
    this.w = Float64Array.from(pieces, (one) => one.w)
    this.h = Float64Array.from(pieces, (one) => one.h)
    this.x = new Float64Array(many)
    this.y = new Float64Array(many)
    this.atX = new Float64Array(2 * many + 2)
    this.atY = new Float64Array(2 * many + 2)
    this.wide = new Float64Array(2 * many + 2)
    this.left = new Int32Array(many)
  }

  /**
   * Lays the pieces, earlier ones of the order where several fit alike, none over `limit`. Gives the area of those that
   * found no room; what it comes to along the strip is `top`.
   */
  lay(order: Int32Array, limit: number): number {
    this.count = 1
    this.atX[0] = 0
    this.atY[0] = 0
    this.wide[0] = this.width
    this.left.set(order)
    this.tooNarrow = 0
    let open = order.length
    while (open > 0) {
      const gap = this.lowest()
      const y = this.atY[gap] as number
      if (y >= limit - hair) break
      const room = this.wide[gap] as number
      const chosen = room <= this.tooNarrow ? -1 : this.best(gap, open, limit)
      if (chosen < 0) {
        if (room > this.tooNarrow) this.tooNarrow = room
        this.raise(gap)
        continue
      }
      const piece = this.left[chosen] as number
      this.place(piece, gap)
      // The order of those that are left stays.
      this.left.copyWithin(chosen, chosen + 1, open)
      open -= 1
    }
    let area = 0
    for (let at = 0; at < open; at++) {
      const piece = this.left[at] as number
      this.x[piece] = Number.NaN
      this.y[piece] = Number.NaN
      area += (this.w[piece] as number) * (this.h[piece] as number)
    }
    return area
  }

  /** How far along the strip the laid pieces come. */
  top(): number {
    let most = 0
    for (let at = 0; at < this.y.length; at++) {
      const end = (this.y[at] as number) + (this.h[at] as number)
      if (end > most) most = end
    }
    return most
  }

  private lowest(): number {
    let best = 0
    for (let at = 1; at < this.count; at++)
      if ((this.atY[at] as number) < (this.atY[best] as number) - hair) best = at
    return best
  }

  /** Height of the wall left and right of a gap, over its floor; Infinity: the edge of the strip. */
  private wall(gap: number, side: -1 | 1): number {
    const to = gap + side
    return to < 0 || to >= this.count
      ? Infinity
      : (this.atY[to] as number) - (this.atY[gap] as number)
  }

  /** Index among those left of the piece that fits a gap best; -1: none fits. */
  private best(gap: number, open: number, limit: number): number {
    const room = this.wide[gap] as number
    const high = limit - (this.atY[gap] as number)
    const [a, b] = [this.wall(gap, -1), this.wall(gap, 1)]
    const [tall, low] = a >= b ? [a, b] : [b, a]
    let chosen = -1
    let most = -1
    for (let at = 0; at < open; at++) {
      const piece = this.left[at] as number
      const [w, h] = [this.w[piece] as number, this.h[piece] as number]
      if (w > room + hair || h > high + hair) continue
      const score = scoreOf(room - w, h, tall, low)
      if (score > most) {
        most = score
        chosen = at
        if (score === bestScore) break
      }
    }
    return chosen
  }

  /** Lays a piece in a gap, against its taller wall. */
  private place(piece: number, gap: number): void {
    const [w, h] = [this.w[piece] as number, this.h[piece] as number]
    const room = this.wide[gap] as number
    const floor = this.atY[gap] as number
    const isLeft = this.wall(gap, -1) >= this.wall(gap, 1)
    const x = (this.atX[gap] as number) + (isLeft ? 0 : room - w)
    this.x[piece] = x
    this.y[piece] = floor
    if (room - w <= hair) {
      this.atY[gap] = floor + h
    } else if (isLeft) {
      this.open(gap)
      this.atY[gap] = floor + h
      this.wide[gap] = w
      this.atX[gap + 1] = x + w
      this.wide[gap + 1] = room - w
    } else {
      this.open(gap)
      this.wide[gap] = room - w
      this.atX[gap + 1] = x
      this.atY[gap + 1] = floor + h
      this.wide[gap + 1] = w
    }
    this.join(isLeft || room - w <= hair ? gap : gap + 1)
  }

  /** A gap that takes nothing is filled up to its lower wall. */
  private raise(gap: number): void {
    const [a, b] = [this.wall(gap, -1), this.wall(gap, 1)]
    const up = Math.min(a, b)
    this.atY[gap] = up === Infinity ? Infinity : (this.atY[gap] as number) + up
    this.join(gap)
  }

  /** Makes room for one more segment after `gap`, with the same values. */
  private open(gap: number): void {
    for (const list of [this.atX, this.atY, this.wide]) list.copyWithin(gap + 1, gap, this.count)
    this.count += 1
  }

  /** Joins a segment with neighbours of its height. */
  private join(at: number): void {
    if (at + 1 < this.count && this.isLevel(at, at + 1)) this.merge(at)
    if (at > 0 && this.isLevel(at - 1, at)) this.merge(at - 1)
  }

  private isLevel(one: number, other: number): boolean {
    return Math.abs((this.atY[one] as number) - (this.atY[other] as number)) <= hair
  }

  private merge(at: number): void {
    this.wide[at] = (this.wide[at] as number) + (this.wide[at + 1] as number)
    for (const list of [this.atX, this.atY, this.wide]) list.copyWithin(at + 1, at + 2, this.count)
    this.count -= 1
  }
}

const bestScore = 5

/** How well a piece suits a gap: fills its width, ends level with a wall. What suits alike is left to the order. */
function scoreOf(spare: number, h: number, tall: number, low: number): number {
  if (spare <= hair) {
    if (Math.abs(h - tall) <= hair) return bestScore
    return Math.abs(h - low) <= hair ? 4 : 3
  }
  if (Math.abs(h - tall) <= hair) return 2
  return Math.abs(h - low) <= hair ? 1 : 0
}
