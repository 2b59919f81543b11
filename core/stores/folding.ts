/** Which rows of what to buy stand, and which fold where there is little room. */
import { groupBy } from '../model/refit'
import { formatMoney } from '../money/money'
import { dateOf } from '../time/civil'
import type { BuyRow } from './board'
import { presses } from './headline'

/** The day by which a row that may fold asks for something; Infinity: none. */
export const askedBy = (row: BuyRow): number =>
  row.kind === 'onItsWay' ? (row.dueOn ?? Infinity) : (row.window.closesOn ?? Infinity)

/** What has to be seen to, slipped or holds its step: it stands however much there is. */
const stays = (row: BuyRow, today: number): boolean =>
  presses(row, today) || (row.kind === 'onItsWay' && (row.holds || row.slippedDays > 0))

/** Rows that stand, and those that fold into laths by month, so that all is `room` rows where that can be. */
export function foldedTo(rows: readonly BuyRow[], room: number, today: number) {
  const monthOf = (row: BuyRow) =>
    Number.isFinite(askedBy(row)) ? dateOf(askedBy(row)).slice(0, 7) : 'none'
  for (let first = Math.min(rows.length, room); ; first--) {
    const isShown = (row: BuyRow, at: number) => at < first || stays(row, today)
    const shown = rows.filter(isShown)
    const laths = [
      ...groupBy(
        rows.filter((row, at) => !isShown(row, at)),
        monthOf,
      ),
    ]
    if (shown.length + Math.min(laths.length, mostLaths) > room && first > 0) continue
    const own = laths.slice(0, mostLaths - 1)
    const rest = laths.slice(mostLaths - 1).flatMap(([, all]) => all)
    return { shown, laths: rest.length === 0 ? own : [...own, ['later', rest] as const] }
  }
}
const mostLaths = 3

const monthNames =
  'January February March April May June July August September October November December'.split(' ')

/** What is folded, in words. @param month its year and month, 'later', or 'none': nothing asks for it on a day */
export function sayFolded(
  month: string,
  rows: readonly BuyRow[],
  year: string,
  currency: string,
): string {
  const priced = rows.reduce((sum, row) => sum + (row.pool.priceMinor ?? 0), 0)
  const cost = priced > 0 ? `, ${formatMoney(priced, currency)}` : ''
  const ofYear = month.startsWith(year) ? '' : ` ${month.slice(0, 4)}`
  const when =
    month === 'later'
      ? 'later'
      : month === 'none'
        ? 'without a day'
        : `in ${monthNames[Number(month.slice(5)) - 1]}${ofYear}`
  return `${rows.length} more ${when}${cost}`
}
