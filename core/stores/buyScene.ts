/** The drawing of what to buy and when, on the scale of the Sequence: rows, what folds, and when the money leaves. */
import { baysOf, weekendLabels } from '../sequence/axis'
import type { Label } from '../sequence/axis'
import type { SequenceFacts } from '../sequence/facts'
import { handCells } from '../sequence/handCells'
import type { HandCell } from '../sequence/handCells'
import { widthOf } from '../sequence/measure'
import type { FlaggedPost } from '../sequence/posts'
import { mondayOn, xOf } from '../sequence/ruler'
import type { Ruler } from '../sequence/ruler'
import { axisWidth, launchRuler, topOf } from '../sequence/top'
import type { TopAsk } from '../sequence/top'
import type { BuyBoard, BuyRow } from './board'
import { dayPlaces, marksEnd, rowMarks, tradeMarks } from './buyMarks'
import type { BuyMark, DayPlaces } from './buyMarks'
import { outlays } from './cash'
import { askedBy, foldedTo, sayFolded } from './folding'
import { pressesCall } from './headline'
import { moneyOf } from './buyMoney'
import type { MoneyMonth, MoneyPile } from './buyMoney'
import { sayRow, sayThing, sayTrade } from './sayBuy'
import type { SaidRow } from './sayBuy'
import type { StoreFacts } from './storeFacts'

export interface BuyAsk extends Omit<TopAsk, 'view'> {
  /** Least height: it grows where more has to stand. */
  readonly height: number
  readonly currency: string
  /** Keys of what is folded and is to be seen all the same. */
  readonly unfolded: ReadonlySet<string>
}

export interface DrawnRow {
  readonly key: string
  /** Top of the row. */
  readonly y: number
  /** The whole name, in one line or two. */
  readonly name: readonly string[]
  /** In the smaller letters of two lines. */
  readonly isSmall: boolean
  readonly marks: readonly BuyMark[]
  /** Where its crate stands, which may be moved to another day; null: it has none. */
  readonly crateX: number | null
  /** What stands in the drawing, and all there is to say. */
  readonly said: SaidRow
  readonly full: SaidRow
  readonly wordsX: number
  readonly wordsWidth: number
}

/** Rows of a month that have no room, as one; unfolded, they stand under it. */
export interface Lath {
  readonly key: string
  readonly y: number
  readonly text: string
  readonly isUnfolded: boolean
  readonly xs: readonly number[]
  readonly wordsX: number
}

export interface BuyHead {
  readonly key: string
  readonly y: number
  readonly text: string
  /** How many more there are; '': all stand. */
  readonly note: string
  readonly isUnfolded: boolean
}

export interface BuyScene {
  readonly view: 'launch'
  readonly ruler: Ruler
  readonly width: number
  readonly height: number
  readonly posts: readonly FlaggedPost[]
  readonly flagRows: number
  readonly datesY: number
  readonly handsY: number
  readonly dates: readonly Label[]
  readonly hands: readonly HandCell[]
  readonly bays: readonly (readonly [number, number])[]
  readonly top: number
  /** Foot of the last row. */
  readonly foot: number
  readonly rows: readonly DrawnRow[]
  readonly laths: readonly Lath[]
  readonly heads: readonly BuyHead[]
  readonly piles: readonly MoneyPile[]
  readonly months: readonly MoneyMonth[]
  /** What one washer of the piles stands for. */
  readonly washer: string
  readonly moneyY: number
}

export const rowHigh = 23.5
export const headHigh = 18
const moneyHigh = 72
export const [nameSize, nameSmall, wordsSize] = [15, 12.5, 15]
const [nameLeft, wordsGap] = [12, 9]
/** So many trades are drawn, and fewer where there is much to buy. */
const [mostTrades, fewTrades, muchToBuy] = [3, 2, 10]

/** A name in as few lines as it needs, none of it lost. */
function nameLines(name: string, room: number): Pick<DrawnRow, 'name' | 'isSmall'> {
  if (widthOf(name, nameSize) <= room) return { name: [name], isSmall: false }
  const words = name.split(' ')
  const lines = ['']
  for (const word of words) {
    const longer = lines.at(-1) === '' ? word : `${lines.at(-1)} ${word}`
    if (widthOf(longer, nameSmall) <= room || lines.at(-1) === '' || lines.length === 2)
      lines[lines.length - 1] = longer
    else lines.push(word)
  }
  return { name: lines, isSmall: true }
}
const nameWidth = ({ name, isSmall }: Pick<DrawnRow, 'name' | 'isSmall'>): number =>
  Math.max(...name.map((line) => widthOf(line, isSmall ? nameSmall : nameSize)))

/**
 * Words after the last mark. Where all of them have no room there, what presses stands there alone; where that has none
 * either, all of them stand as far right as they fit, over the marks.
 */
function placed(
  said: SaidRow,
  marks: readonly BuyMark[],
  at: DayPlaces,
): Pick<DrawnRow, 'said' | 'wordsX' | 'wordsWidth'> {
  const strong = widthOf(said.strong, wordsSize)
  const wordsWidth = strong + widthOf(said.rest, wordsSize, 500)
  const after = Math.max(marksEnd(marks), at.today) + wordsGap
  const last = at.right - 6
  if (after + wordsWidth > last && after + strong <= last)
    return { said: { ...said, rest: '' }, wordsX: after, wordsWidth: strong }
  return { said, wordsX: Math.min(after, last - wordsWidth - 16), wordsWidth }
}

function crateOf(marks: readonly BuyMark[]): number | null {
  const crate = marks.find((one) => one.kind === 'crate' || one.kind === 'crateLate')
  return crate && 'x' in crate ? crate.x : null
}

export function buyScene(
  stores: StoreFacts,
  facts: SequenceFacts,
  board: BuyBoard,
  ask: BuyAsk,
): BuyScene {
  const { clock } = facts
  const topAsk: TopAsk = { ...ask, view: 'launch' }
  const ruler = launchRuler(facts, topAsk)
  const { posts, rows: flagRows, datesY, handsY, plotY } = topOf(facts, topAsk, ruler)
  const at = dayPlaces(ruler, clock, ask.now)
  const { today } = stores
  const year = clock.dateOf(ask.now).slice(0, 4)
  const most = board.rows.length > muchToBuy ? fewTrades : mostTrades
  const ofTrades = ([key, text, all]: (typeof tradeKinds)[number], mostShown: number) => {
    const shown = all.filter(
      (one, at) => at < mostShown || pressesCall(one, today) || ask.unfolded.has(key),
    )
    const left = all.filter((one, at) => at >= mostShown && !pressesCall(one, today)).length
    return { key, text, shown, left }
  }
  const tradeKinds = [
    ['trades', 'Trades', board.trades],
    ['sent', 'Sent out', board.sent],
  ] as const
  const others = tradeKinds.map((one) => ofTrades(one, most)).filter((one) => one.shown.length > 0)
  const otherRows = others.reduce((sum, one) => sum + Math.min(one.shown.length, most), 0)
  const room = Math.floor(
    (ask.height - plotY - moneyHigh - others.length * headHigh - 6) / rowHigh - otherRows,
  )
  const { shown, laths: months } = foldedTo(board.rows, Math.max(4, room), today)
  const nameRoom = Math.max(at.today, axisWidth) - nameLeft - 8
  let y = plotY + 4
  const next = (high: number): number => {
    y += high
    return y - high
  }
  const drawn = (
    key: string,
    name: string,
    said: SaidRow,
    marksOf: (nameEnd: number) => BuyMark[],
  ): DrawnRow => {
    const lines = nameLines(name, nameRoom)
    const marks = marksOf(nameLeft + nameWidth(lines) + 8)
    const own = { key, y: next(rowHigh), ...lines, marks, crateX: null, full: said }
    return { ...own, ...placed(said, marks, at) }
  }
  const thing = (row: BuyRow): DrawnRow => {
    const one = drawn(row.key, sayThing(row.pool), sayRow(row, today, year, ask.currency), (end) =>
      rowMarks(row, today, end, at),
    )
    return row.kind === 'onItsWay' ? { ...one, crateX: crateOf(one.marks) } : one
  }
  const rows = shown.map(thing)
  const laths = months.map(([month, list]): Lath => {
    const xs = list
      .map(askedBy)
      .filter((day) => !at.isBeyond(day))
      .map(at.noon)
    const text = sayFolded(month, list, year, ask.currency)
    const width = widthOf(text, wordsSize, 500)
    const key = `lath ${month}`
    const lath = {
      key,
      y: next(rowHigh),
      text,
      isUnfolded: ask.unfolded.has(key),
      xs,
      wordsX: Math.min(Math.max(at.today, ...xs) + wordsGap, at.right - width - 22),
    }
    if (lath.isUnfolded) rows.push(...list.map(thing))
    return lath
  })
  const heads: BuyHead[] = []
  for (const { key, text, shown: list, left } of others) {
    heads.push({
      key,
      y: next(headHigh),
      text,
      note: left > 0 ? `${left} more` : '',
      isUnfolded: ask.unfolded.has(key),
    })
    for (const one of list)
      rows.push(
        drawn(
          `trade ${one.step.id}`,
          one.kind === 'send' || !one.booking
            ? one.step.title
            : `${one.booking.trade}: ${one.step.title}`,
          sayTrade(one, today, year),
          () => tradeMarks(one, today, at),
        ),
      )
  }
  const height = Math.max(ask.height, y + moneyHigh)
  const first = mondayOn(clock.dayOf(ruler.from))
  const money = moneyOf(outlays(board, stores), {
    first,
    last: clock.dayOf(ruler.to),
    xOfDay: (day) => xOf(ruler, clock.at(day, 0)),
    currency: ask.currency,
    right: ruler.right,
  })
  return {
    view: 'launch',
    ruler,
    width: ask.width,
    height,
    posts,
    flagRows,
    datesY,
    handsY,
    dates: weekendLabels(facts, ruler),
    hands: handCells(facts, ruler),
    bays: baysOf(facts, ruler),
    top: plotY,
    foot: y,
    rows,
    laths,
    heads,
    ...money,
    moneyY: height - 22,
  }
}
