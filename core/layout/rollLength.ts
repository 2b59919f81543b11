import { fitsRoll, rollPlan } from '../cutting/cutPlan'
import { needRange } from '../guard'

/** Pieces of one size to cut from a roll, metres, wrap and trim included. */
export interface RollPiece {
  readonly count: number
  /** Along the roll. */
  readonly longM: number
  /** Across the roll. */
  readonly wideM: number
}

/** A plan at once: the bench searches on, and is never longer. */
const atOnce = { isOver: () => true, random: () => 0.5 }

/**
 * Length to buy off a roll of `rollM` (0.1–10 m) for up to eight sizes of pieces (0–500 of each, sides 0.01–20
 * m). `mayTurn`: the pile or pattern has no direction, so that a piece may lie either way. Throws RangeError outside, or
 * for a piece wider than the roll. Source: handbook 10, sheet goods; cutting/cutPlan, without search.
 */
export function rollLengthM(pieces: readonly RollPiece[], rollM: number, mayTurn: boolean): number {
  needRange('rollLengthM', 'roll in m', rollM, 0.1, 10)
  needRange('rollLengthM', 'sizes', pieces.length, 0, 8)
  for (const piece of pieces) {
    needRange('rollLengthM', 'pieces', piece.count, 0, 500)
    needRange('rollLengthM', 'side in m', piece.longM, 0.01, 20)
    needRange('rollLengthM', 'side in m', piece.wideM, 0.01, 20)
  }
  const all = pieces.flatMap(({ count, longM, wideM }) =>
    Array.from({ length: count }, () => ({ long: longM, wide: wideM, mayTurn })),
  )
  if (all.length === 0) return 0
  if (!all.every((piece) => fitsRoll(piece, rollM)))
    throw new RangeError('rollLengthM: a piece is wider than the roll; seam it or buy a wider one')
  return rollPlan(all, [], rollM, atOnce).length
}
