/**
 * Pieces out of one board by cuts from edge to edge, as a saw or shears make them: what is left after each cut is again
 * rectangles. Source: guillotine packing, best area fit, the shorter rest split off.
 */

export interface Board {
  /** Along the grain or nap, and across it; over 0. */
  readonly long: number
  readonly wide: number
}
export interface Laid {
  /** Which of the pieces given. */
  readonly piece: number
  readonly along: number
  readonly across: number
  readonly long: number
  readonly wide: number
  readonly isTurned: boolean
}
export interface BoardPiece extends Board {
  /** Without grain or nap it may lie across. */
  readonly mayTurn: boolean
}
interface Rest {
  readonly along: number
  readonly across: number
  readonly long: number
  readonly wide: number
}

const hair = 1e-7

/**
 * Lays as many of the pieces as find room, in the order of `order`; the cut takes `kerf` (0 and over) between neighbours.
 * What is left over are the rests, none overlapping another.
 */
export function cutBoard(
  board: Board,
  pieces: readonly BoardPiece[],
  order: readonly number[],
  kerf: number,
): { readonly laid: readonly Laid[]; readonly rests: readonly Rest[] } {
  let rests: Rest[] = [{ along: 0, across: 0, long: board.long, wide: board.wide }]
  const laid: Laid[] = []
  for (const at of order) {
    const piece = pieces[at]
    if (!piece) continue
    const spot = bestSpot(piece, rests)
    if (!spot) continue
    const { rest, isTurned } = spot
    const [long, wide] = isTurned ? [piece.wide, piece.long] : [piece.long, piece.wide]
    laid.push({ piece: at, along: rest.along, across: rest.across, long, wide, isTurned })
    rests = [...rests.filter((one) => one !== rest), ...split(rest, long, wide, kerf)]
  }
  return { laid, rests }
}

function bestSpot(
  piece: BoardPiece,
  rests: readonly Rest[],
): { readonly rest: Rest; readonly isTurned: boolean } | null {
  let best: { rest: Rest; isTurned: boolean; waste: number } | null = null
  for (const rest of rests)
    for (const isTurned of piece.mayTurn ? [false, true] : [false]) {
      const [long, wide] = isTurned ? [piece.wide, piece.long] : [piece.long, piece.wide]
      if (long > rest.long + hair || wide > rest.wide + hair) continue
      // The tighter in one direction, the less is cut to ribbons.
      const waste = Math.min(rest.long - long, rest.wide - wide)
      if (!best || waste < best.waste - hair) best = { rest, isTurned, waste }
    }
  return best
}

/** What is left of a rest after a piece in its corner: the larger of the two stays whole. */
function split(rest: Rest, long: number, wide: number, kerf: number): Rest[] {
  const restLong = rest.long - long - kerf
  const restWide = rest.wide - wide - kerf
  const lengthwise = restLong > restWide
  return [
    {
      along: rest.along + long + kerf,
      across: rest.across,
      long: restLong,
      wide: lengthwise ? rest.wide : wide,
    },
    {
      along: rest.along,
      across: rest.across + wide + kerf,
      long: lengthwise ? long : rest.long,
      wide: restWide,
    },
  ].filter((one) => one.long > hair && one.wide > hair)
}
