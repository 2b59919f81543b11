import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { digitsOf } from '../money/money'
import { moneyLines } from '../money/lines'
import type { MoneyLine } from '../money/lines'
import type { Span } from '../money/report'
import { accounts as accountSaid } from '../model/said'

const written: Readonly<Record<MoneyLine['from'], string>> = {
  order: 'order',
  part: 'part without an order',
  trade: 'trade',
  spend: 'what was paid',
  yard: 'yard meter',
}

/**
 * Money lines of a span as a table, first row headings, by day; null: all, those without a day and those still owed too.
 * Sums are numbers in the refit's currency, so that a table adds them up. `today`: civil date.
 */
export function moneyTable(
  rows: RefitRows,
  today: string,
  span: Span | null,
): (string | number)[][] {
  const [systems, jobs] = [byId(rows.system), byId(rows.job)]
  const currency = rows.refit[0]?.currency ?? 'EUR'
  const digits = digitsOf(currency)
  const lines = moneyLines(rows, today).filter(
    (one) =>
      span === null || (one.isSpent && one.on !== null && one.on >= span.from && one.on <= span.to),
  )
  return [
    ['Date', 'Paid', 'What', 'Account', 'Job', `Sum in ${currency}`, 'Of it planned', 'Written as'],
    ...lines.map((one) => [
      one.on ?? '',
      one.isSpent ? 'yes' : 'owed',
      one.what,
      one.systemId === null ? accountSaid[one.account] : (systems.get(one.systemId)?.name ?? ''),
      jobs.get(one.jobId ?? '')?.title ?? '',
      one.minor / 10 ** digits,
      one.plannedMinor / 10 ** digits,
      written[one.from],
    ]),
  ]
}
