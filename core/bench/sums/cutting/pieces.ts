/** Every piece that is cut, whole or joined of two. */
import type { CutPiece } from '../../../cutting/cutPlan'
import { accepted, refused } from '../../../result'
import type { Result } from '../../../result'
import { listed } from '../../../units/counted'
import type { PieceAsked } from './asked'

/** One piece to cut, with its number on the plan. */
export interface OnePiece {
  readonly no: number
  readonly name: string
  /** Finished; of a piece that is joined its half. */
  readonly long: number
  readonly wide: number
  readonly trim: number
  readonly cut: CutPiece
  readonly hole: { readonly long: number; readonly wide: number } | null
  /** Which line of the list it is of. */
  readonly line: number
}

/** How a joined piece is halved: across its length, or its width where that is wider than what it comes from. */
type Halved = 'long' | 'wide'
export type Joined = ReadonlyMap<number, Halved>

/** Every piece by itself, numbered; trim or wrap lies outside the finished size on each edge, a seam between two halves. */
function everyPiece(
  asked: readonly PieceAsked[],
  trim: number,
  seam: number,
  joined: Joined,
): OnePiece[] {
  let no = 0
  return asked.flatMap((one, line) =>
    Array.from({ length: one.many }, (_, at) => at).flatMap((at): OnePiece[] => {
      const name = one.many > 1 ? `${one.name} ${at + 1}` : one.name
      const half = joined.get(line)
      const facts = {
        mayTurn: one.turn === 'free',
        ...(one.from === 'bought' ? { isBought: true } : {}),
      }
      const [along, across] = [one.pinAlong ?? null, one.pinAcross ?? null]
      if (!half)
        return [
          {
            no: ++no,
            name,
            long: one.long,
            wide: one.wide,
            trim,
            line,
            cut: {
              long: one.long + 2 * trim,
              wide: one.wide + 2 * trim,
              ...facts,
              // Of several alike the first is the one that was laid.
              ...(at === 0 && (along !== null || across !== null)
                ? { pin: { along: along ?? 0, across: across ?? 0 } }
                : {}),
            },
            hole:
              one.holeLong !== null && one.holeWide !== null
                ? { long: one.holeLong, wide: one.holeWide }
                : null,
          },
        ]
      const [long, wide] = half === 'long' ? [one.long / 2, one.wide] : [one.long, one.wide / 2]
      return ['a', 'b'].map((part) => ({
        no: ++no,
        name: `${name} ${part}`,
        long,
        wide,
        trim,
        line,
        cut: {
          long: half === 'long' ? long + trim + seam : long + 2 * trim,
          wide: half === 'wide' ? wide + trim + seam : wide + 2 * trim,
          ...facts,
        },
        hole: null,
      }))
    }),
  )
}

/**
 * Which lines are joined, way by way: what cannot be cut whole and may be joined always is; of the others none, all, and each by
 * itself where they are few.
 */
export function joinedWays(
  asked: readonly PieceAsked[],
  trim: number,
  fits: (piece: CutPiece) => boolean,
  widest: number,
): Joined[] {
  const may = asked.flatMap((one, line) =>
    one.join === 'two' && one.holeLong === null && one.pinAlong == null && one.pinAcross == null
      ? [line]
      : [],
  )
  const wholeOf = (line: number): CutPiece => {
    const one = asked[line] as PieceAsked
    return {
      long: one.long + 2 * trim,
      wide: one.wide + 2 * trim,
      mayTurn: one.turn === 'free',
    }
  }
  const halved = (line: number): readonly [number, Halved] => [
    line,
    wholeOf(line).wide > widest ? 'wide' : 'long',
  ]
  const must = may.filter((line) => !fits(wholeOf(line)))
  const others = may.filter((line) => fits(wholeOf(line)))
  const ways = [must]
  if (others.length > 0) ways.push([...must, ...others])
  if (others.length > 1 && others.length <= 4) ways.push(...others.map((line) => [...must, line]))
  return ways.map((lines_) => new Map(lines_.map(halved)))
}

/** Everything that is cut, in one of the ways to join pieces. */
export interface Cut {
  readonly pieces: readonly OnePiece[]
  readonly toCut: readonly CutPiece[]
  readonly joined: Joined
}

const enough = 0.5
/** The way whose plan takes least; of equal ones the first, which has the fewest seams. */
export function bestWay<Way>(
  ways: readonly Joined[],
  planOf: (joined: Joined) => Result<Way>,
  takes: (way: Way) => number,
): Result<Way> {
  const [first, ...others] = ways.map(planOf)
  return others.reduce(
    (best, way) =>
      way.ok && (!best.ok || takes(way.value) < takes(best.value) - enough) ? way : best,
    first as Result<Way>,
  )
}

/** Figure of an answer: what is joined. */
export const joinedFigures = (
  asked: readonly PieceAsked[],
  joined: Joined,
  seam: string,
): { readonly label: string; readonly value: string; readonly note: string }[] =>
  joined.size === 0
    ? []
    : [
        {
          label: 'Joined of two',
          value: listed([...joined.keys()].map((line) => asked[line]?.name ?? '')),
          note: `a seam of ${seam} on each half`,
        },
      ]

/** More than these are no plan that anybody cuts by. */
const mostPieces = 400

/**
 * Every piece with its trim, or why there is no plan: too many of them, or one that does not come out of what is sold, said at
 * its line.
 */
export function cutList(
  asked: readonly PieceAsked[],
  trim: number,
  seam: number,
  joined: Joined,
  fits: (piece: CutPiece) => boolean,
  sayWrong: (
    name: string,
    cut: CutPiece,
  ) => { readonly message: string; readonly cell: 'long' | 'wide'; readonly at: string },
): Result<Cut> {
  const pieces = everyPiece(asked, trim, seam, joined)
  if (pieces.length > mostPieces)
    return refused(`More than ${mostPieces} pieces on one plan. Split it.`, [
      { field: 'pieces', message: `There are ${pieces.length}.` },
    ])
  const toCut = pieces.map((one) => one.cut)
  const wrong = pieces.find((one) => !fits(one.cut))
  if (!wrong) return accepted({ pieces, toCut, joined })
  const said = sayWrong(wrong.name, wrong.cut)
  return refused(said.message, [{ field: `pieces.${wrong.line}.${said.cell}`, message: said.at }])
}
