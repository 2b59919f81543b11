/** The shortest length of a strip that takes all pieces, none turned. Source: handbook 11, sheet goods. */
import { Skyline } from './skyline'
import type { Piece } from './skyline'

export interface Strip {
  /** How far along the roll the pieces come. */
  readonly length: number
  /** Across and along, of each piece in the order given. */
  readonly at: readonly (readonly [x: number, y: number])[]
  /** No plan can be shorter than this. */
  readonly atLeast: number
}

export interface StripSearch {
  /** 0 to under 1; the same numbers give the same plan. */
  readonly random: () => number
  /** Asked now and then: the best so far is given when it is true. */
  readonly isOver: () => boolean
}

const hair = 1e-9
/** With so many pieces and more, a plan takes milliseconds to lay. */
const dear = 700
/** So many orders that are by size only nearly. */
const nearTries = 24

/** No length is shorter: what the areas come to, the longest piece, pieces that cannot lie side by side. */
export function leastLength(width: number, pieces: readonly Piece[]): number {
  const area = pieces.reduce((sum, one) => sum + one.w * one.h, 0)
  const longest = Math.max(0, ...pieces.map((one) => one.h))
  const wide = pieces.filter((one) => one.w > width / 2 + hair).reduce((sum, one) => sum + one.h, 0)
  const needed = Math.max(area / width, longest, wide)
  // Lengths of whole numbers add up to whole numbers.
  return pieces.every((one) => Number.isInteger(one.h)) ? Math.ceil(needed - 1e-7) : needed
}

/**
 * Lays pieces on a strip of a width, as short as the time allows. Throws RangeError for a width or size that is not over 0,
 * and for a piece wider than the strip.
 */
export function packStrip(width: number, pieces: readonly Piece[], search: StripSearch): Strip {
  if (!(width > 0 && Number.isFinite(width)))
    throw new RangeError('packStrip: width must be over 0')
  for (const { w, h } of pieces) {
    if (!(w > 0 && h > 0 && Number.isFinite(w) && Number.isFinite(h)))
      throw new RangeError('packStrip: every piece has a width and a length over 0')
    if (w > width + hair) throw new RangeError('packStrip: a piece is wider than the strip')
  }
  return new StripPacker(width, pieces, search).run()
}

class StripPacker {
  private readonly skyline: Skyline
  private readonly atLeast: number
  private best: { length: number; at: [number, number][] } | null = null
  private bestOrder: Int32Array

  constructor(
    private readonly width: number,
    private readonly pieces: readonly Piece[],
    private readonly search: StripSearch,
  ) {
    this.skyline = new Skyline(width, pieces)
    this.atLeast = leastLength(width, pieces)
    this.bestOrder = this.by((one) => one.w * one.h)
  }

  run(): Strip {
    const orders = [
      this.by((one) => one.w * one.h),
      this.by((one) => one.w),
      this.by((one) => one.h),
      this.by((one) => one.w + one.h),
      this.by((one) => Math.max(one.w, one.h)),
      this.by((one) => one.w * this.width + one.h),
    ]
    for (const order of orders) this.whole(order)
    this.nearly()
    // Between what is known to be too short and the best so far; each try twice as long as those before it failed.
    let tries = 4 * this.pieces.length + 20
    while (!this.isDone()) {
      let low = this.atLeast
      while (!this.isDone()) {
        const best = this.best?.length ?? Infinity
        const target = this.targetBetween(low, best)
        if (target === null) break
        if (!this.reach(target, orders, tries)) low = target
      }
      tries *= 2
    }
    const { length, at } = this.best ?? { length: 0, at: [] }
    return { length, at, atLeast: this.atLeast }
  }

  private isDone(): boolean {
    return (this.best?.length ?? Infinity) <= this.atLeast + hair || this.search.isOver()
  }

  /** A length worth trying: halfway, whole where the pieces are; null: none lies between. */
  private targetBetween(low: number, best: number): number | null {
    const isWhole = Number.isInteger(this.atLeast) && Number.isInteger(best)
    const middle = low === this.atLeast && best - low < best * 0.004 ? low : (low + best) / 2
    const target = isWhole ? Math.floor(middle) : middle
    if (target >= best - best * 1e-6) return null
    return low > this.atLeast && target <= low + low * 1e-6 ? null : target
  }

  private by(size: (piece: Piece) => number): Int32Array {
    const order = Int32Array.from(this.pieces, (_, index) => index)
    const sizes = this.pieces.map(size)
    return order.sort((a, b) => (sizes[b] as number) - (sizes[a] as number) || a - b)
  }

  /** Long ones first, and wide and large ones, but not to the letter: of many pieces one of these is near the best at once. */
  private nearly(): void {
    const { random } = this.search
    const sizes: readonly ((piece: Piece) => number)[] = [
      (one) => one.h,
      (one) => one.w * one.h,
      (one) => one.w + one.h,
      (one) => Math.max(one.w, one.h),
    ]
    for (let at = 0; at < nearTries && !this.isDone(); at++)
      this.whole(this.by((one) => (sizes[at % sizes.length]?.(one) ?? 0) * (0.8 + 0.4 * random())))
  }

  /** Lays all, however long it gets. */
  private whole(order: Int32Array): void {
    this.skyline.lay(order, Infinity)
    this.keep(order)
  }

  private keep(order: Int32Array): void {
    const length = this.skyline.top()
    if (this.best && length >= this.best.length - hair) return
    const at = this.pieces.map((_, index): [number, number] => [
      this.skyline.x[index] as number,
      this.skyline.y[index] as number,
    ])
    this.best = { length, at }
    this.bestOrder = Int32Array.from(order)
  }

  /** Whether all pieces find room under a length, in so many tries of changed orders. The best is kept. */
  private reach(target: number, orders: readonly Int32Array[], tries: number): boolean {
    // Where a try is dear, the best so far is the one start.
    const starts = this.pieces.length < dear ? [this.bestOrder, ...orders] : [this.bestOrder]
    let order = Int32Array.from(starts[0] as Int32Array)
    let least = Infinity
    for (const start of starts) {
      const left = this.skyline.lay(start, target)
      if (left === 0) return this.found(start)
      if (left < least) [least, order] = [left, Int32Array.from(start)]
    }
    const next = new Int32Array(order.length)
    for (let at = 0, since = 0; at < tries; at++, since++) {
      if (at % 16 === 0 && this.search.isOver()) return false
      next.set(order)
      this.change(next, since)
      const left = this.skyline.lay(next, target)
      if (left === 0) return this.found(next)
      // Alike is taken too: it leads on over level ground.
      if (left <= least) {
        if (left < least) since = 0
        least = left
        order.set(next)
      }
    }
    return false
  }

  private found(order: Int32Array): true {
    this.keep(order)
    return true
  }

  /** Two pieces change places, or one is laid earlier; more of that the longer nothing was won. */
  private change(order: Int32Array, since: number): void {
    const { random } = this.search
    const many = order.length
    const times = 1 + (random() < 0.25 ? 1 : 0) + (since > 50 * many && random() < 0.2 ? 2 : 0)
    for (let n = 0; n < times; n++) {
      const a = Math.floor(random() * many)
      const b = Math.floor(random() * many)
      const piece = order[a] as number
      if (random() < 0.5) {
        order[a] = order[b] as number
        order[b] = piece
      } else if (a > b) {
        order.copyWithin(b + 1, b, a)
        order[b] = piece
      } else {
        order.copyWithin(a, a + 1, b + 1)
        order[b] = piece
      }
    }
  }
}
