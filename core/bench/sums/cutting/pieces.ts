/** What the cutting sums have in common: pieces as they are asked for, and boards as they are drawn. */
import type { CutPiece, FromBoard } from '../../../cutting/cutPlan'
import type { Laid } from '../../../cutting/guillotine'
import { accepted, refused } from '../../../result'
import type { Result } from '../../../result'
import { listed } from '../../../units/counted'
import { amount, count, hidden, lines, maybeAmount, pick, rarely, words } from '../../ask'
import type { Shape } from '../../drawing'
import { by, box, round } from '../../parts'
import type { Put, ShelfLot, Tools } from '../../sum'

const pieceCells = (along: string) =>
  [
    words('name', 'Piece', 'piece', 40),
    count('many', 'How many', 1, 200),
    amount('long', `Along the ${along}`, 'mm', 600, [5, 20_000], { doubt: 0.03 }),
    amount('wide', 'Across it', 'mm', 400, [5, 10_000], { doubt: 0.03 }),
    pick('turn', `The ${along}`, 'keep', [
      { value: 'keep', label: 'must run as said' },
      { value: 'free', label: 'may run either way' },
    ]),
    rarely(maybeAmount('holeLong', 'Hole in it, along', 'mm', [20, 20_000])),
    rarely(maybeAmount('holeWide', 'Hole, across', 'mm', [20, 10_000])),
    rarely(
      pick('from', 'It comes from', 'any', [
        { value: 'any', label: 'what is there, or bought' },
        { value: 'bought', label: 'what is bought alone' },
      ]),
    ),
    rarely(
      pick('join', 'It may be joined', 'no', [
        { value: 'no', label: 'no, in one' },
        { value: 'two', label: 'of two, with a seam' },
      ]),
    ),
  ] as const
type FirstPiece = { name: string; many: number; long: number; wide: number }

export const pieceLines = (along: string, initial: readonly FirstPiece[]) =>
  lines('pieces', 'Pieces, finished size', 'piece', pieceCells(along), initial, { most: 60 })

/** Pieces of a roll: some may be pinned where somebody laid them. */
export const rollPieceLines = (along: string, initial: readonly FirstPiece[]) =>
  lines(
    'pieces',
    'Pieces, finished size',
    'piece',
    [
      ...pieceCells(along),
      rarely(maybeAmount('pinAlong', 'Pinned, from the free end', 'mm', [0, 100_000])),
      rarely(maybeAmount('pinAcross', 'Pinned, from the near edge', 'mm', [0, 10_000])),
    ],
    initial,
    { most: 60 },
  )

export const seamAsked = amount('seam', 'Seam or lap where a piece is joined', 'mm', 20, [0, 500])

export const stockLines = (what: string) =>
  lines(
    'stock',
    `${what} that are there`,
    'offcut',
    [
      words('name', 'Offcut', 'offcut', 60),
      amount('long', 'Long', 'mm', 500, [5, 100_000]),
      amount('wide', 'Wide', 'mm', 400, [5, 10_000]),
      hidden('lot'),
    ],
    [],
    {
      most: 40,
      least: 0,
      help: 'Pieces left over on your shelf come in by themselves where their size is known.',
    },
  )

export const lotsAsLines = (lots: readonly ShelfLot[]) =>
  lots
    .filter((one) => one.wideMm !== null)
    .slice(0, 40)
    .map((one) => ({
      name: `${one.name}${one.where ? `, ${one.where}` : ''}`.slice(0, 60),
      long: one.longMm,
      wide: one.wideMm as number,
      lot: one.id,
    }))

export interface PieceAsked {
  readonly name: string
  readonly many: number
  readonly long: number
  readonly wide: number
  readonly turn: 'keep' | 'free'
  readonly holeLong: number | null
  readonly holeWide: number | null
  readonly from: 'any' | 'bought'
  readonly join: 'no' | 'two'
  readonly pinAlong?: number | null
  readonly pinAcross?: number | null
}
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

/** Pieces of a plan drawn from a corner; `tint`: they come from what is there; `onRoll`: they can be pinned
 * elsewhere on a roll so wide. */
export function drawnPieces(
  laid: readonly Laid[],
  pieces: readonly OnePiece[],
  [left, top]: readonly [number, number],
  { tint = false, onRoll }: { readonly tint?: boolean; readonly onRoll?: number },
  { say }: Tools,
): Shape[] {
  return laid.flatMap((one): Shape[] => {
    const piece = pieces[one.piece] as OnePiece
    const [x, y] = [left + one.along, top + one.across]
    const { trim } = piece
    const middle = [x + one.long / 2, y + one.wide / 2] as const
    return [
      box(x, y, one.long, one.wide, {
        fill: tint ? 'resin' : 'paper',
        thick: piece.cut.pin !== undefined,
        field: `pieces.${piece.line}.long`,
        ...(onRoll === undefined
          ? {}
          : {
              drag: {
                along: `pieces.${piece.line}.pinAlong`,
                across: `pieces.${piece.line}.pinAcross`,
                from: [one.along, one.across],
                mostAcross: Math.max(0, onRoll - piece.cut.wide),
              },
            }),
      }),
      ...(piece.cut.pin
        ? [
            {
              is: 'round' as const,
              at: [x + trim / 2, y + trim / 2] as const,
              radius: Math.max(8, trim / 2),
              fill: 'brass' as const,
            },
          ]
        : []),
      ...(trim > 0
        ? [
            box(
              x + trim,
              y + trim,
              one.isTurned ? piece.wide : piece.long,
              one.isTurned ? piece.long : piece.wide,
              { dashed: true, edge: 'soft' },
            ),
          ]
        : []),
      ...(piece.hole
        ? [
            box(
              middle[0] - (one.isTurned ? piece.hole.wide : piece.hole.long) / 2,
              middle[1] - (one.isTurned ? piece.hole.long : piece.hole.wide) / 2,
              one.isTurned ? piece.hole.wide : piece.hole.long,
              one.isTurned ? piece.hole.long : piece.hole.wide,
              { fill: 'stock' },
            ),
          ]
        : []),
      {
        is: 'label',
        from: [x + trim, y + trim],
        size: [one.long - 2 * trim, one.wide - 2 * trim],
        lines: [
          `${piece.no}`,
          piece.name,
          `${by(say(round(piece.long, 0), 'mm'), say(round(piece.wide, 0), 'mm'))}`,
        ],
      },
      {
        is: 'arrow',
        from: [
          x + one.long * (one.isTurned ? 0.9 : 0.72),
          y + one.wide * (one.isTurned ? 0.62 : 0.16),
        ],
        to: [x + one.long * 0.9, y + one.wide * (one.isTurned ? 0.9 : 0.16)],
      },
    ]
  })
}

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
