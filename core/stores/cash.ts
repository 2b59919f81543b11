/** When money leaves: what is open on its last day to buy, what is ordered when it comes, trades when they come. */
import type { BuyBoard } from './board'
import { landed } from './landed'
import type { StoreFacts } from './storeFacts'

export interface Outlay {
  /** Local day number. */
  readonly day: number
  readonly minor: number
  /** True: it is ordered or booked. */
  readonly isSure: boolean
  readonly what: string
}

/** Outlays still to come, by day, minor units of the refit's currency. What has no price or no day is left out. */
export function outlays(board: BuyBoard, facts: StoreFacts): Outlay[] {
  const { rows, today } = facts
  const own = rows.refit[0]?.currency ?? ''
  const list: Outlay[] = []
  const orders = new Map(rows.purchase.map((one) => [one.id, landed(rows, one, own)]))
  const lines = new Map(
    [...orders.values()].flatMap((one) => one.lines).map((one) => [one.line.id, one]),
  )
  for (const row of board.rows) {
    const { pool, window } = row
    if (row.kind === 'buy' && pool.priceMinor !== null && window.closesOn !== null) {
      const opens = window.opensOn !== null && Number.isFinite(window.opensOn) ? window.opensOn : 0
      const day = Math.max(today, opens, window.closesOn)
      list.push({ day, minor: pool.priceMinor, isSure: false, what: pool.name })
    }
    if (row.kind === 'onItsWay' && row.dueOn !== null) {
      const line = lines.get(row.wants[0]?.line?.line.id ?? '')
      const minor = line?.ownMinor ?? pool.priceMinor
      if (minor != null)
        list.push({ day: Math.max(today, row.dueOn), minor, isSure: true, what: pool.name })
    }
  }
  for (const { step, booking, on, priceMinor } of [...board.trades, ...board.sent])
    if (on !== null && priceMinor !== null)
      list.push({
        day: Math.max(today, on),
        minor: priceMinor,
        isSure: booking?.state === 'booked',
        what: step.title,
      })
  return list.sort((a, b) => a.day - b.day)
}

export interface OutlayStretch {
  readonly from: number
  /** Day after its last. */
  readonly to: number
  readonly openMinor: number
  readonly sureMinor: number
}

/** Sums over stretches of days that follow each other, each from a day to before the next. */
export function outlaysBy(list: readonly Outlay[], edges: readonly number[]): OutlayStretch[] {
  return edges.slice(0, -1).map((from, at) => {
    const to = edges[at + 1] as number
    const own = list.filter((one) => one.day >= from && one.day < to)
    const sum = (isSure: boolean) =>
      own.filter((one) => one.isSure === isSure).reduce((all, one) => all + one.minor, 0)
    return { from, to, openMinor: sum(false), sureMinor: sum(true) }
  })
}
