/** Piles of washers where money leaves, a week each, and what the months add up to. */
import { formatMoney, digitsOf } from '../money/money'
import { widthOf } from '../sequence/measure'
import { dateOf } from '../time/civil'
import { outlaysBy } from './cash'
import type { Outlay } from './cash'

export interface MoneyPile {
  readonly x: number
  /** Washers: those that are ordered lie below. */
  readonly sure: number
  readonly open: number
  readonly text: string
  /** False: there is no room for its sum. */
  readonly isSaid: boolean
}
export interface MoneyMonth {
  /** Where the month begins. */
  readonly x: number
  readonly middle: number
  readonly text: string
}

interface MoneyFrame {
  /** Local days: a Monday, and the day after the last. */
  readonly first: number
  readonly last: number
  readonly xOfDay: (day: number) => number
  readonly currency: string
  readonly right: number
}

const mostWashers = 7
const steps = [1, 2, 5] as const

/** What one washer stands for, minor units: the smallest of 10, 20, 50, 100 … with which no pile is too high. */
export function washerMinor(mostMinor: number, currency: string): number {
  const one = 10 ** digitsOf(currency)
  for (let power = 10; ; power *= 10)
    for (const step of steps)
      if (Math.ceil(mostMinor / (power * step * one)) <= mostWashers) return power * step * one
}

const months = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ')

/** First days of the months from one day to another, that day and the end with them. */
function monthEdges(first: number, last: number): number[] {
  const edges = [first]
  for (let day = first + 1; day < last; day++) if (dateOf(day).endsWith('-01')) edges.push(day)
  return [...edges, last]
}

export function moneyOf(list: readonly Outlay[], frame: MoneyFrame) {
  const { first, last, xOfDay, currency } = frame
  const weeks: number[] = []
  for (let day = first; day < last; day += 7) weeks.push(day)
  const stretches = outlaysBy(list, [...weeks, last])
  const most = Math.max(0, ...stretches.map((one) => one.openMinor + one.sureMinor))
  const washer = washerMinor(most, currency)
  let freeFrom = 0
  const piles = stretches.flatMap((one): MoneyPile[] => {
    const minor = one.openMinor + one.sureMinor
    if (minor === 0) return []
    const x = (xOfDay(one.from) + xOfDay(one.to)) / 2
    const text = formatMoney(minor, currency)
    const end = x + 12 + widthOf(text, 14)
    const isSaid = x - 10 >= freeFrom && end <= frame.right
    freeFrom = isSaid ? end + 4 : x + 10
    const all = Math.ceil(minor / washer)
    const sure = Math.min(all, Math.round(one.sureMinor / washer))
    return [{ x, sure, open: all - sure, text, isSaid }]
  })
  const edges = monthEdges(first, last)
  const byMonth = outlaysBy(list, edges).map((one): MoneyMonth => {
    const [x0, x1] = [xOfDay(one.from), xOfDay(one.to)]
    const name = months[Number(dateOf(one.from).slice(5, 7)) - 1] ?? ''
    const isWhole = dateOf(one.to).endsWith('-01')
    const until = isWhole ? '' : ` to the ${Number(dateOf(one.to - 1).slice(8))}.`
    const text = `${name}${until} ${formatMoney(one.openMinor + one.sureMinor, currency)}`
    return { x: x0, middle: (x0 + x1) / 2, text: widthOf(text, 14) + 8 <= x1 - x0 ? text : '' }
  })
  return { piles, months: byMonth, washer: formatMoney(washer, currency) }
}
