/** Pieces on a strip round others that somebody has pinned down: each in the first corner where it finds room. */
import { leastLength } from './strip'
import type { Strip, StripSearch } from './strip'
import type { Piece } from './skyline'

export interface Pinned extends Piece {
  /** Across the strip and along it, from its corner. */
  readonly x: number
  readonly y: number
}

const hair = 1e-7
interface Box {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
}
const overlap = (a: Box, b: Box): boolean =>
  a.x < b.x + b.w - hair &&
  b.x < a.x + a.w - hair &&
  a.y < b.y + b.h - hair &&
  b.y < a.y + a.h - hair

/** Two pinned pieces that lie over each other, or one that leaves the strip; null: they lie well. */
export function pinsAtOdds(width: number, pins: readonly Pinned[]): readonly number[] | null {
  for (const [at, one] of pins.entries()) {
    if (one.x < -hair || one.y < -hair || one.x + one.w > width + hair) return [at]
    const other = pins.findIndex((each, index) => index < at && overlap(one, each))
    if (other >= 0) return [other, at]
  }
  return null
}

/** The piece in the corner where it comes least far along. */
function lowestCorner(piece: Piece, laid: readonly Box[], width: number): Box {
  const xs = [0, ...laid.flatMap((one) => [one.x + one.w, one.x - piece.w])]
  const ys = [0, ...laid.map((one) => one.y + one.h)].sort((a, b) => a - b)
  for (const y of ys) {
    let best: Box | null = null
    for (const x of xs) {
      if (x < -hair || x + piece.w > width + hair) continue
      const tried = { x: Math.max(0, x), y, w: piece.w, h: piece.h }
      if ((best && best.x <= tried.x) || laid.some((one) => overlap(tried, one))) continue
      best = tried
    }
    if (best) return best
  }
  // Behind everything there is always room; the last of `ys` is that.
  throw new RangeError('packAround: a piece is wider than the strip')
}

/**
 * Lays pieces on a strip round pinned ones, as short as the time allows. Precondition: every piece fits the width, and
 * `pinsAtOdds` finds nothing.
 */
export function packAround(
  width: number,
  pins: readonly Pinned[],
  pieces: readonly Piece[],
  search: StripSearch,
): Strip {
  let best: Strip | null = null
  const atLeast = Math.max(
    leastLength(width, [...pins, ...pieces]),
    ...pins.map((one) => one.y + one.h),
  )
  const tryOrder = (order: readonly number[]): void => {
    const laid: Box[] = [...pins]
    const at: [number, number][] = []
    for (const index of order) {
      const box = lowestCorner(pieces[index] as Piece, laid, width)
      laid.push(box)
      at[index] = [box.x, box.y]
    }
    const length = Math.max(0, ...laid.map((one) => one.y + one.h))
    if (!best || length < best.length - hair) best = { length, at, atLeast }
  }
  const by = (size: (one: Piece) => number): number[] =>
    pieces
      .map((_, at) => at)
      .sort((a, b) => size(pieces[b] as Piece) - size(pieces[a] as Piece) || a - b)
  for (const size of [(one: Piece) => one.w * one.h, (one: Piece) => one.h, (one: Piece) => one.w])
    tryOrder(by(size))
  for (let round = 0; round < 400 && !search.isOver(); round++) {
    const dice = pieces.map((one) => one.w * one.h * (0.4 + search.random()))
    tryOrder(pieces.map((_, at) => at).sort((a, b) => (dice[b] ?? 0) - (dice[a] ?? 0)))
  }
  return best as unknown as Strip
}
