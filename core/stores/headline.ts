/** What presses today, and the sentence over the drawing. */
import { dateOf } from '../time/civil'
import { sayDate } from '../time/say'
import { capital, counted, inWords } from '../units/counted'
import type { BuyBoard, BuyRow } from './board'
import { isAssumed } from './sayBuy'
import type { TradeFacts } from './trades'

/** True for a row that somebody has to see to today. */
export function presses(row: BuyRow, today: number): boolean {
  if (row.kind === 'onItsWay') return row.dueOn === null || row.dueOn < today
  return (
    row.kind === 'buy' &&
    (row.window.state === 'late' ||
      row.window.state === 'buyToday' ||
      // It can be helped for as long as it is not shut: after that the measure alone does it.
      (row.window.state === 'shutsFirst' && (row.window.closesOn ?? 0) - today <= soonDays))
  )
}
/** True for a trade that nobody has booked and whose last day to be called is here or gone. */
export const pressesCall = ({ booking, window }: TradeFacts, today: number): boolean =>
  booking?.state !== 'booked' &&
  window.opensOn === null &&
  window.closesOn !== null &&
  window.closesOn <= today
/** A window that shuts before it opens is told so many days ahead. */
const soonDays = 35

export interface BuyHeadline {
  readonly lead: string
  /** What presses most, in red; '': nothing does. */
  readonly worst: string
}

function worstOf(row: BuyRow, year: string): string {
  const { name } = row.pool
  if (row.kind === 'onItsWay')
    return row.dueOn === null
      ? `nobody knows when ${name} comes`
      : `${name} was due on ${sayDate(dateOf(row.dueOn), year)}`
  if (row.window.state === 'late')
    return isAssumed(row)
      ? `${name} comes late if it takes ${counted(row.window.leadDays, 'day')}`
      : `${name} comes late whatever you do`
  if (row.window.state === 'shutsFirst') return `${name} shuts before it opens`
  return row.chance !== null && row.chance >= 0.45 && !isAssumed(row)
    ? `even odds that ${name} misses its step`
    : `buy ${name}`
}

/** The headline of a day. Dates of `year` go without it. */
export function buyHeadline(board: BuyBoard, today: number, year: string): BuyHeadline {
  const pressing = board.rows.filter((row) => presses(row, today))
  const calls = [...board.trades, ...board.sent].filter((one) => pressesCall(one, today))
  const many = pressing.length + calls.length
  const worst = pressing[0] ? worstOf(pressing[0], year) : (calls[0]?.step.title ?? '')
  if (many > 0) {
    const things = many === 1 ? 'One thing' : `${capital(inWords(many))} things`
    return { lead: `${things} to see to: `, worst }
  }
  if (board.counts.all === 0) return { lead: 'No parts are written down yet', worst: '' }
  const next = board.rows.find((row) => row.kind === 'buy' && row.window.closesOn !== null)
  return {
    lead: next
      ? `Nothing presses; ${next.pool.name} is next, by ${sayDate(dateOf(next.window.closesOn ?? 0), year)}`
      : 'Nothing presses',
    worst: '',
  }
}
