/** What is there to cut from: lots of the shelf and holes of the pieces, and what is left for the shelf. */
import type { FromBoard } from '../../../cutting/cutPlan'
import { by, round } from '../../parts'
import type { Put, Tools } from '../../sum'
import type { OnePiece } from './pieces'

/** A rest that is worth keeping, mm. Starting values. */
const keptFrom = { long: 250, wide: 120 } as const

/** Rests that go on the shelf, and lots that come off it. */
export function shelfPuts(
  what: string,
  from: readonly FromBoard[],
  stock: readonly { readonly name: string; readonly lot: string }[],
  more: readonly { readonly long: number; readonly wide: number }[],
  { say }: Tools,
): Put[] {
  const rests = [...from.flatMap((one) => (one.rest ? [one.rest] : [])), ...more].filter(
    (one) =>
      Math.max(one.long, one.wide) >= keptFrom.long &&
      Math.min(one.long, one.wide) >= keptFrom.wide,
  )
  return [
    ...from.flatMap((one): Put[] => {
      const lot = one.board === null ? undefined : stock[one.board]
      return lot && lot.lot !== ''
        ? [{ is: 'useStock', key: lot.lot, stockId: lot.lot, name: `${lot.name} is cut up` }]
        : []
    }),
    ...rests.map((one, at): Put => ({
      is: 'offcut',
      key: `rest ${at + 1}`,
      name: `${what}, left over`,
      size: `${by(say(round(one.long, 0), 'mm'), say(round(one.wide, 0), 'mm'))}`,
      longMm: round(one.long, 0),
      wideMm: round(one.wide, 0),
    })),
  ]
}

/** A board that is there, or a hole of a piece: `of` is the place of that piece in the list; −1: it is none. */
interface There {
  readonly name: string
  readonly long: number
  readonly wide: number
  readonly lot: string
  readonly of: number
}

/** What is there, and the holes of the pieces: they are stock too, less what their own edge needs on each side. */
const thereAnd = (
  stock: readonly Omit<There, 'of'>[],
  pieces: readonly OnePiece[],
  edge: number,
): There[] => [
  ...stock.map((one) => ({ ...one, of: -1 })),
  ...pieces.flatMap((one, at) =>
    one.hole && one.hole.long > 2 * edge && one.hole.wide > 2 * edge
      ? [
          {
            name: `the hole of ${one.no}`,
            long: one.hole.long - 2 * edge,
            wide: one.hole.wide - 2 * edge,
            lot: '',
            of: at,
          },
        ]
      : [],
  ),
]

/** True where a piece would come out of its own hole, or out of a hole in what is cut out of it. */
function goesRound(from: readonly FromBoard[], there: readonly There[]): boolean {
  const within = new Map<number, number>()
  for (const one of from) {
    const of = one.board === null ? -1 : (there[one.board]?.of ?? -1)
    if (of >= 0) for (const piece of one.laid) within.set(piece.piece, of)
  }
  return [...within.keys()].some((piece) => {
    const seen = new Set<number>()
    for (let at: number | undefined = piece; at !== undefined; at = within.get(at)) {
      if (seen.has(at)) return true
      seen.add(at)
    }
    return false
  })
}

/** A plan with the holes of pieces as stock; without them where a piece would come out of its own hole. */
export function withHoles<Plan>(
  stock: readonly Omit<There, 'of'>[],
  pieces: readonly OnePiece[],
  edge: number,
  plan: (there: readonly There[]) => Plan,
  fromOf: (plan: Plan) => readonly FromBoard[],
): { readonly plan: Plan; readonly there: readonly There[] } {
  const all = thereAnd(stock, pieces, edge)
  const tried = plan(all)
  if (!goesRound(fromOf(tried), all)) return { plan: tried, there: all }
  const there = thereAnd(stock, [], edge)
  return { plan: plan(there), there }
}
