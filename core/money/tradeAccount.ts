/** How one stands with a trade: agreed, asked for, paid, held back, owed. Source: handbook 8. */
import type { Row } from '../model/entities'
import { groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { tradeSum } from '../stores/tradeSheet'
import type { TradeSum } from '../stores/tradeSheet'
import { inOwn } from './rate'

type Booking = Row<'tradeBooking'>

export interface TradeAccount {
  readonly booking: Booking
  readonly items: readonly Row<'tradeItem'>[]
  readonly invoices: readonly Row<'invoice'>[]
  readonly sum: TradeSum
  /** The price with what was taken since; 0 where nobody said one. */
  readonly agreedMinor: number
  readonly billedMinor: number
  /** Asked for beyond what was agreed; 0: nothing is. */
  readonly beyondMinor: number
  readonly paidMinor: number
  /** Kept back until all of it was looked at and is right; 0 then. */
  readonly heldMinor: number
  /** Still to be paid of what was agreed, or of a smaller bill; nothing before they are booked. */
  readonly owedMinor: number
  /** What may be paid today: of what is billed and agreed, less what is held and was paid. */
  readonly payableMinor: number
  /** What of a payment to them was planned: the price they were booked at, against all that they come to. */
  readonly plannedOf: (minor: number) => number
}

/** True when every line was looked at and is right; without lines nobody looked. */
const isChecked = (items: readonly Row<'tradeItem'>[]): boolean =>
  items.length > 0 && items.every((one) => one.done === 'right')

/** One account a booking, those called off left out unless something was paid. */
export function tradeAccounts(
  rows: Pick<RefitRows, 'tradeBooking' | 'tradeItem' | 'invoice' | 'spend' | 'refit'>,
): TradeAccount[] {
  const own = rows.refit[0]?.currency ?? 'EUR'
  const items = groupBy(rows.tradeItem, (one) => one.bookingId)
  const invoices = groupBy(rows.invoice, (one) => one.bookingId)
  const paid = groupBy(rows.spend, (one) => one.bookingId)
  return rows.tradeBooking.flatMap((booking): TradeAccount[] => {
    const payments = paid.get(booking.id) ?? []
    if (booking.state === 'cancelled' && payments.length === 0) return []
    const lines = inOrder(items.get(booking.id) ?? [])
    const bills = [...(invoices.get(booking.id) ?? [])].sort((a, b) => (a.on < b.on ? -1 : 1))
    const sum = tradeSum(booking.priceMinor, lines, own)
    const agreedMinor = (booking.priceMinor ?? 0) + sum.takenMinor
    const billedMinor = bills.reduce((all, one) => all + one.minor, 0)
    const paidMinor = payments.reduce(
      (all, one) => all + inOwn(one.minor, one, own) * (one.isBack ? -1 : 1),
      0,
    )
    const heldMinor = isChecked(lines) ? 0 : Math.round((agreedMinor * booking.retainPercent) / 100)
    const isComing = booking.state === 'booked' || booking.state === 'came'
    // A bill under what was agreed, after they came, is all there is to pay.
    const due =
      booking.state === 'came' && billedMinor > 0 ? Math.min(agreedMinor, billedMinor) : agreedMinor
    const planned = booking.priceMinor
    const owedMinor = isComing ? Math.max(0, due - paidMinor) : 0
    // All that is paid in the end uses up all that was planned, be it more or less than was agreed.
    const wholeMinor = isComing ? paidMinor + owedMinor : Math.max(agreedMinor, paidMinor)
    return [
      {
        booking,
        items: lines,
        invoices: bills,
        sum,
        agreedMinor,
        billedMinor,
        beyondMinor: Math.max(0, billedMinor - agreedMinor),
        paidMinor,
        heldMinor,
        owedMinor,
        payableMinor: Math.max(
          0,
          Math.min(agreedMinor, billedMinor) -
            Math.min(heldMinor, Math.min(agreedMinor, billedMinor)) -
            paidMinor,
        ),
        plannedOf: (minor) =>
          planned === null || wholeMinor <= 0 ? minor : Math.round((minor * planned) / wholeMinor),
      },
    ]
  })
}
