import { needRange } from '../guard'

/** Pieces of one size to cut from a roll, metres, wrap and trim included. */
export interface RollPiece {
  readonly count: number
  /** Along the roll. */
  readonly longM: number
  /** Across the roll. */
  readonly wideM: number
}

interface Shelf {
  readonly longM: number
  leftM: number
}

/** Shelves across the roll, longest pieces first: a piece goes on the first shelf that has room. */
function shelvesOf(pieces: readonly RollPiece[], rollM: number): Shelf[] {
  const shelves: Shelf[] = []
  const sorted = [...pieces].sort((a, b) => b.longM - a.longM || b.wideM - a.wideM)
  for (const piece of sorted)
    for (let i = 0; i < piece.count; i++) {
      const shelf = shelves.find((one) => one.leftM >= piece.wideM - 1e-9)
      if (shelf) shelf.leftM -= piece.wideM
      else shelves.push({ longM: piece.longM, leftM: rollM - piece.wideM })
    }
  return shelves
}

const turned = ({ count, longM, wideM }: RollPiece): RollPiece => ({
  count,
  longM: wideM,
  wideM: longM,
})

/**
 * Length to buy off a roll of `rollM` (0.1–10 m) for up to eight sizes of pieces (0–500 of each, sides 0.01–20
 * m), cut in rows across the roll. `mayTurn`: the pile or pattern has no direction, so that each size lies
 * whichever way comes out shorter. Throws RangeError outside, or for a piece wider than the roll.
 * Source: handbook 10, sheet goods; shelf packing, next longest first (Coffman and others 1980).
 */
export function rollLengthM(pieces: readonly RollPiece[], rollM: number, mayTurn: boolean): number {
  needRange('rollLengthM', 'roll in m', rollM, 0.1, 10)
  needRange('rollLengthM', 'sizes', pieces.length, 0, 8)
  for (const piece of pieces) {
    needRange('rollLengthM', 'pieces', piece.count, 0, 500)
    needRange('rollLengthM', 'side in m', piece.longM, 0.01, 20)
    needRange('rollLengthM', 'side in m', piece.wideM, 0.01, 20)
  }
  const real = pieces.filter((piece) => piece.count > 0)
  let ways: RollPiece[][] = [[]]
  for (const piece of real)
    ways = ways.flatMap((way) => [[...way, piece], ...(mayTurn ? [[...way, turned(piece)]] : [])])
  const lengths = ways
    .filter((way) => way.every((piece) => piece.wideM <= rollM + 1e-9))
    .map((way) => shelvesOf(way, rollM).reduce((sum, shelf) => sum + shelf.longM, 0))
  if (lengths.length === 0)
    throw new RangeError('rollLengthM: a piece is wider than the roll; seam it or buy a wider one')
  return Math.min(...lengths)
}
