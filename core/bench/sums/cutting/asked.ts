/** What the cutting sums ask: pieces, and what is there to cut them from. */
import { amount, count, hidden, lines, maybeAmount, pick, rarely, words } from '../../ask'
import type { ShelfLot } from '../../sum'

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
