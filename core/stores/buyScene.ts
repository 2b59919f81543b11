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
import { dateOf } from '../time/civil'
import { groupBy } from '../model/refit'
import { formatMoney } from '../money/money'
import type { BuyBoard, BuyRow } from './board'
import { dayPlaces, marksEnd, rowMarks, tradeMarks } from './buyMarks'
import type { BuyMark, DayPlaces } from './buyMarks'
import { outlays } from './cash'
import { moneyOf } from './buyMoney'
import type { MoneyMonth, MoneyPile } from './buyMoney'
import { sayRow, sayThing, sayTrade } from './sayBuy'
import type { SaidRow } from './sayBuy'
import type { StoreFacts } from './storeFacts'

export interface BuyAsk extends Omit<TopAsk, 'view'> {
  readonly height: number
  readonly currency: string
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

/** Rows of a month that have no room, as one. */
interface Lath {
  readonly key: string
  readonly y: number
  readonly text: string
  readonly xs: readonly number[]
  readonly wordsX: number
}

interface BuyHead {
  readonly y: number
  readonly text: string
  readonly note: string
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
const headHigh = 18
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

/** The day by which a row that may fold asks for something; Infinity: none. */
const askedBy = (row: BuyRow): number =>
  row.kind === 'onItsWay' ? (row.dueOn ?? Infinity) : (row.window.closesOn ?? Infinity)

/** Rows that stand, and those that fold into laths by month, so that all is `room` rows at most. */
function foldedTo(rows: readonly BuyRow[], room: number) {
  const monthOf = (row: BuyRow) =>
    Number.isFinite(askedBy(row)) ? dateOf(askedBy(row)).slice(0, 7) : 'none'
  const lathsOf = (from: number) => groupBy(rows.slice(from), monthOf)
  for (let shown = Math.min(rows.length, Math.max(1, room)); shown > 0; shown--) {
    const laths = lathsOf(shown)
    if (shown + Math.min(laths.size, mostLaths) <= room || shown === 1) {
      const list = [...laths]
      const own = list.slice(0, mostLaths - 1)
      const rest = list.slice(mostLaths - 1).flatMap(([, all]) => all)
      return {
        shown: rows.slice(0, shown),
        laths: rest.length === 0 ? own : [...own, ['later', rest] as const],
      }
    }
  }
  return { shown: rows, laths: [] }
}
const mostLaths = 3
const monthNames =
  'January February March April May June July August September October November December'.split(' ')

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
  const [trades, sent] = [board.trades.slice(0, most), board.sent.slice(0, most)]
  const [tradesLeft, sentLeft] = [
    board.trades.length - trades.length,
    board.sent.length - sent.length,
  ]
  const headsHigh = ((trades.length > 0 ? 1 : 0) + (sent.length > 0 ? 1 : 0)) * headHigh
  const room = Math.floor(
    (ask.height - plotY - moneyHigh - headsHigh - 6) / rowHigh - trades.length - sent.length,
  )
  const folded = foldedTo(board.rows, Math.max(4, room))
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
  const rows = folded.shown.map((row): DrawnRow => {
    const one = drawn(row.key, sayThing(row.pool), sayRow(row, today, year, ask.currency), (end) =>
      rowMarks(row, today, end, at),
    )
    return row.kind === 'onItsWay' ? { ...one, crateX: crateOf(one.marks) } : one
  })
  const laths = folded.laths.map(([month, list]): Lath => {
    const priced = list.reduce((sum, row) => sum + (row.pool.priceMinor ?? 0), 0)
    const cost = priced > 0 ? `, ${formatMoney(priced, ask.currency)}` : ''
    const when =
      month === 'later'
        ? 'later'
        : month === 'none'
          ? 'without a day'
          : `in ${monthNames[Number(month.slice(5)) - 1]}${month.startsWith(year) ? '' : ` ${month.slice(0, 4)}`}`
    const xs = list
      .map(askedBy)
      .filter((day) => !at.isBeyond(day))
      .map(at.noon)
    const text = `${list.length} more ${when}${cost}`
    const width = widthOf(text, wordsSize, 500)
    return {
      key: `lath ${month}`,
      y: next(rowHigh),
      text,
      xs,
      wordsX: Math.min(Math.max(at.today, ...xs) + wordsGap, at.right - width - 22),
    }
  })
  const heads: BuyHead[] = []
  const more = (left: number) => (left > 0 ? `${left} more later` : '')
  const tradeRows = [
    ['Trades', trades, tradesLeft],
    ['Sent out', sent, sentLeft],
  ] as const
  const others = tradeRows.flatMap(([text, list, left]) => {
    if (list.length === 0) return []
    heads.push({ y: next(headHigh), text, note: more(left) })
    return list.map((one) =>
      drawn(
        `trade ${one.step.id}`,
        one.kind === 'send' || !one.booking
          ? one.step.title
          : `${one.booking.trade}: ${one.step.title}`,
        sayTrade(one, today, year),
        () => tradeMarks(one, today, at),
      ),
    )
  })
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
    rows: [...rows, ...others],
    laths,
    heads,
    ...money,
    moneyY: height - 22,
  }
}
