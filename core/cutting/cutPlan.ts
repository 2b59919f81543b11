/** A cutting plan: first from what is there, then from what is bought. */
import type { Strip, StripSearch } from './strip'
import { packAround } from './around'
import { packStrip } from './strip'
import { cutBoard } from './guillotine'
import type { Board, BoardPiece, Laid } from './guillotine'

/** A piece to cut, its trim and wrap in it. */
export interface CutPiece extends BoardPiece {
  /** It comes from what is bought, never from what is there. */
  readonly isBought?: boolean
  /** Where somebody laid it on the roll: along from the free end, across from the near edge. It is not turned. */
  readonly pin?: { readonly along: number; readonly across: number }
}

export interface FromBoard {
  /** Which of the boards given; null: one that is bought. */
  readonly board: number | null
  readonly laid: readonly Laid[]
  /** The largest piece left whole. */
  readonly rest: Board | null
}
export interface RollPlan {
  /** How far along the roll the last cut is. */
  readonly length: number
  readonly onRoll: readonly Laid[]
  readonly fromStock: readonly FromBoard[]
  /** No plan from the roll alone can be shorter than this for the pieces on it. */
  readonly atLeast: number
}

const indexes = (many: number): number[] => Array.from({ length: many }, (_, at) => at)
const areaOf = (one: Board): number => one.long * one.wide

function shuffled(list: readonly number[], random: () => number): number[] {
  const next = [...list]
  for (let at = next.length - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1))
    ;[next[at], next[other]] = [next[other] as number, next[at] as number]
  }
  return next
}

const largest = (rests: readonly Board[]): Board | null =>
  rests.reduce<Board | null>(
    (best, one) => (!best || areaOf(one) > areaOf(best) ? one : best),
    null,
  )

/** Orders in which a board is tried: large ones first, long ones first, wide ones first, and dice. */
function orders(
  pieces: readonly CutPiece[],
  open: readonly number[],
  search: StripSearch,
  tries: number,
): number[][] {
  const by = (size: (one: CutPiece) => number): number[] =>
    [...open].sort((a, b) => size(pieces[b] as CutPiece) - size(pieces[a] as CutPiece) || a - b)
  const dice = (): number[] =>
    [...open]
      .map((at) => [at, areaOf(pieces[at] as CutPiece) * (0.5 + search.random())] as const)
      .sort((a, b) => b[1] - a[1])
      .map(([at]) => at)
  return [
    by(areaOf),
    by((one) => one.long),
    by((one) => one.wide),
    ...Array.from({ length: tries }, dice),
  ]
}

/** Fills boards one after the other, each as full as some tries make it. */
function fromBoards(
  pieces: readonly CutPiece[],
  boards: readonly Board[],
  boardOrder: readonly number[],
  kerf: number,
  search: StripSearch,
): { readonly used: FromBoard[]; readonly open: number[] } {
  const isFree = (at: number): boolean => !pieces[at]?.isBought && !pieces[at]?.pin
  let open = indexes(pieces.length).filter(isFree)
  const kept = indexes(pieces.length).filter((at) => !isFree(at))
  const used: FromBoard[] = []
  for (const at of boardOrder) {
    const board = boards[at] as Board
    let best: ReturnType<typeof cutBoard> | null = null
    let most = 0
    for (const order of orders(pieces, open, search, 6)) {
      const cut = cutBoard(board, pieces, order, kerf)
      const area = cut.laid.reduce((sum, one) => sum + one.long * one.wide, 0)
      if (area > most + 1e-6) [best, most] = [cut, area]
    }
    if (!best) continue
    const taken = new Set(best.laid.map((one) => one.piece))
    used.push({ board: at, laid: best.laid, rest: largest(best.rests) })
    open = open.filter((one) => !taken.has(one))
  }
  return { used, open: [...open, ...kept].sort((a, b) => a - b) }
}

/** Pieces on a roll, each turned or not as `turn` says. */
function onRoll(
  pieces: readonly CutPiece[],
  open: readonly number[],
  rollWide: number,
  turn: (at: number) => boolean,
  search: StripSearch,
): { readonly length: number; readonly laid: Laid[]; readonly atLeast: number } {
  const lying = open.map((at) => {
    const { long, wide, mayTurn, pin } = pieces[at] as CutPiece
    const isTurned =
      !pin && mayTurn && long <= rollWide + 1e-7 && (turn(at) || wide > rollWide + 1e-7)
    return isTurned ? { w: long, h: wide, isTurned } : { w: wide, h: long, isTurned }
  })
  const pinned = open.some((piece) => pieces[piece]?.pin)
  const packed = pinned
    ? roundPins(pieces, open, lying, rollWide, search)
    : packStrip(rollWide, lying, search)
  return {
    length: packed.length,
    atLeast: packed.atLeast,
    laid: open.map((piece, index) => {
      const [across, along] = packed.at[index] as readonly [number, number]
      const { w, h, isTurned } = lying[index] as (typeof lying)[number]
      return { piece, along, across, long: h, wide: w, isTurned }
    }),
  }
}

/** The same with some of them pinned, in the order of `lying`. */
function roundPins(
  pieces: readonly CutPiece[],
  open: readonly number[],
  lying: readonly { readonly w: number; readonly h: number }[],
  rollWide: number,
  search: StripSearch,
): Strip {
  const isPinned = (index: number): boolean => pieces[open[index] as number]?.pin !== undefined
  const pins = indexes(open.length).filter(isPinned)
  const free = indexes(open.length).filter((index) => !isPinned(index))
  const at: (readonly [number, number])[] = []
  const boxes = pins.map((index) => {
    const pin = pieces[open[index] as number]?.pin ?? { along: 0, across: 0 }
    at[index] = [pin.across, pin.along]
    return { ...(lying[index] as { w: number; h: number }), x: pin.across, y: pin.along }
  })
  const packed = packAround(
    rollWide,
    boxes,
    free.map((index) => lying[index] as { w: number; h: number }),
    search,
  )
  free.forEach((index, of) => {
    at[index] = packed.at[of] as readonly [number, number]
  })
  return { ...packed, at }
}

/** Whether a piece can come out of a roll so wide. */
export const fitsRoll = ({ long, wide, mayTurn }: CutPiece, rollWide: number): boolean =>
  wide <= rollWide + 1e-7 || (mayTurn && long <= rollWide + 1e-7)

const quick = { isOver: () => true }

/**
 * The shortest length off a roll, after what comes out of boards that are there. Precondition: every piece fits the roll. The
 * search goes on until it is told to stop; the best is given. Throws RangeError for sizes not over 0.
 */
export function rollPlan(
  pieces: readonly CutPiece[],
  stock: readonly Board[],
  rollWide: number,
  search: StripSearch,
): RollPlan {
  const boards = indexes(stock.length).sort(
    (a, b) => areaOf(stock[a] as Board) - areaOf(stock[b] as Board) || a - b,
  )
  let best: RollPlan | null = null
  const keep = (used: readonly FromBoard[], roll: ReturnType<typeof onRoll>): void => {
    const better =
      !best ||
      roll.length < best.length - 1e-7 ||
      (roll.length < best.length + 1e-7 && used.length < best.fromStock.length)
    if (better)
      best = {
        length: roll.length,
        onRoll: roll.laid,
        fromStock: used,
        atLeast: roll.atLeast,
      }
  }
  const turns = [
    () => false,
    () => true,
    (at: number) => (pieces[at]?.long ?? 0) < (pieces[at]?.wide ?? 0),
  ]
  for (const boardOrder of [boards, [...boards].reverse(), []]) {
    const { used, open } = fromBoards(pieces, stock, boardOrder, 0, search)
    for (const turn of turns)
      keep(used, onRoll(pieces, open, rollWide, turn, { ...search, ...quick }))
  }
  const anyTurns = pieces.some((one) => one.mayTurn)
  // Rounds of the whole: another way to use what is there, another way to lie, and a while of search on the roll.
  for (let round = 0; !search.isOver() && round < 400; round++) {
    const from = round === 0 ? boards : shuffled(boards, search.random)
    const some =
      round % 3 === 2 ? from.slice(0, Math.floor(search.random() * (from.length + 1))) : from
    const { used, open } = fromBoards(pieces, stock, some, 0, search)
    const turn =
      !anyTurns || round % 2 === 0
        ? (turns[round % turns.length] as (at: number) => boolean)
        : (
            (flips) => (at: number) =>
              flips[at] === true
          )(pieces.map(() => search.random() < 0.5))
    let asked = 0
    const slice = { random: search.random, isOver: () => search.isOver() || (asked += 1) > 60 }
    const found = onRoll(pieces, open, rollWide, turn, slice)
    keep(used, found)
    const now = best as RollPlan | null
    if (
      now &&
      now.length <= now.atLeast + 1e-7 &&
      now.fromStock.length === stock.length &&
      !anyTurns
    )
      break
  }
  return best as unknown as RollPlan
}

export interface SheetPlan {
  /** Sheets that are bought. */
  readonly sheets: number
  readonly from: readonly FromBoard[]
}

/**
 * The fewest sheets of one size, after boards that are there, by cuts from edge to edge. Precondition: every piece fits a
 * sheet. The search goes on until it is told to stop.
 */
export function sheetPlan(
  pieces: readonly CutPiece[],
  stock: readonly Board[],
  sheet: Board,
  kerf: number,
  search: StripSearch,
): SheetPlan {
  const bought = leastSheets(pieces, sheet)
  let best: SheetPlan | null = null
  let bestRest = 0
  const boards = indexes(stock.length).sort(
    (a, b) => areaOf(stock[a] as Board) - areaOf(stock[b] as Board) || a - b,
  )
  for (let round = 0; round < 400; round++) {
    const order = round === 0 ? boards : shuffled(boards, search.random)
    const { used, open } = fromBoards(pieces, stock, order, kerf, search)
    const sheets: FromBoard[] = []
    let left = open
    while (left.length > 0) {
      let cut: ReturnType<typeof cutBoard> | null = null
      let most = 0
      for (const one of orders(pieces, left, search, round === 0 ? 2 : 8)) {
        const tried = cutBoard(sheet, pieces, one, kerf)
        const area = tried.laid.reduce((sum, each) => sum + each.long * each.wide, 0)
        if (area > most + 1e-6) [cut, most] = [tried, area]
      }
      if (!cut) throw new RangeError('sheetPlan: a piece is larger than the sheet')
      const taken = new Set(cut.laid.map((one) => one.piece))
      sheets.push({ board: null, laid: cut.laid, rest: largest(cut.rests) })
      left = left.filter((one) => !taken.has(one))
    }
    const rest = Math.max(0, ...sheets.map((one) => (one.rest ? areaOf(one.rest) : 0)))
    if (
      !best ||
      sheets.length < best.sheets ||
      (sheets.length === best.sheets && rest > bestRest)
    ) {
      best = { sheets: sheets.length, from: [...used, ...sheets] }
      bestRest = rest
    }
    if (search.isOver() || (best.sheets <= bought && stock.length === 0 && round > 40)) break
  }
  return best as SheetPlan
}

/** No plan takes fewer: what the areas come to. */
export const leastSheets = (pieces: readonly CutPiece[], sheet: Board): number =>
  Math.ceil(pieces.reduce((sum, one) => sum + areaOf(one), 0) / areaOf(sheet) - 1e-9)
