/** What a month, a season or all of it brought: money by account, hours against their guess, inches, and what was found. */
import type { RefitRows } from '../model/refit'
import { liveHours } from '../plan/liveHours'
import { plannedHours } from '../plan/planned'
import type { Derived } from '../progress/derive'
import { dayNumber, addDays } from '../time/civil'
import type { Money } from './accounts'
import { sumOf } from './lines'
import type { MoneyLine } from './lines'

/** A time, both days counted. */
export interface Span {
  readonly from: string
  readonly to: string
}

interface ReportAccount {
  readonly key: string
  readonly name: string
  readonly plannedMinor: number
  readonly beforeMinor: number
  readonly spanMinor: number
}

/** A month of a refit; what is added up runs from its first payment or finished step on. */
export interface MonthSums {
  /** 'YYYY-MM'. */
  readonly month: string
  readonly minor: number
  readonly totalMinor: number
  readonly inches: number
  readonly totalIn: number
}

export interface MoneyReport {
  readonly span: Span
  /** Paid in it, in order; money without a day belongs to no span. */
  readonly lines: readonly MoneyLine[]
  readonly spentMinor: number
  readonly accounts: readonly ReportAccount[]
  readonly burntMinor: number
  readonly hoursByPerson: readonly { readonly personId: string; readonly hours: number }[]
  readonly hours: number
  /** Of steps closed in it that have hours of work: what they were planned at, and what they took. */
  readonly plannedHours: number
  readonly tookHours: number
  readonly stepsClosed: number
  readonly inches: number
  /** Things found. */
  readonly found: number
  readonly months: readonly MonthSums[]
}

/** `derived` and `money` of the same rows. The span's days may be any; what is later than today is empty. */
export function moneyReport(
  rows: RefitRows,
  money: Money,
  { clock }: Derived,
  span: Span,
): MoneyReport {
  const isIn = (on: string | null) => on !== null && on >= span.from && on <= span.to
  const isBefore = (on: string | null) => on !== null && on < span.from
  const spent = money.lines.filter((one) => one.isSpent)
  const lines = spent.filter((one) => isIn(one.on))
  const starts = clock.at(dayNumber(span.from), 0)
  const ends = clock.at(dayNumber(addDays(span.to, 1)), 0)
  const within = (at: number | null) => at !== null && at >= starts && at < ends
  const closed = rows.step.filter((one) => one.state === 'done' && within(one.doneAt))
  const hours = liveHours(rows)
  const took = new Map<string, number>()
  for (const one of hours)
    if (one.stepId !== null && one.kind === 'work')
      took.set(one.stepId, (took.get(one.stepId) ?? 0) + one.hours)
  const measured = closed.filter((one) => (took.get(one.id) ?? 0) > 0)
  const own = hours.filter((one) => isIn(one.on))
  const byPerson = new Map<string, number>()
  for (const one of own) byPerson.set(one.personId, (byPerson.get(one.personId) ?? 0) + one.hours)
  return {
    span,
    lines,
    spentMinor: sumOf(lines),
    accounts: money.accounts.flatMap((one): ReportAccount[] => {
      const paid = one.lines.filter((line) => line.isSpent)
      const spanMinor = sumOf(paid.filter((line) => isIn(line.on)))
      const beforeMinor = sumOf(paid.filter((line) => isBefore(line.on)))
      return spanMinor === 0 && beforeMinor === 0 && one.plannedMinor === 0
        ? []
        : [
            {
              key: one.key,
              name: one.name,
              plannedMinor: one.plannedMinor,
              beforeMinor,
              spanMinor,
            },
          ]
    }),
    burntMinor: money.contingency.burns
      .filter((one) => isIn(one.on))
      .reduce((sum, one) => sum + one.minor, 0),
    hoursByPerson: [...byPerson]
      .map(([personId, some]) => ({ personId, hours: some }))
      .sort((a, b) => b.hours - a.hours || (a.personId < b.personId ? -1 : 1)),
    hours: own.reduce((sum, one) => sum + one.hours, 0),
    plannedHours: measured.reduce((sum, one) => sum + plannedHours(one), 0),
    tookHours: measured.reduce((sum, one) => sum + (took.get(one.id) ?? 0), 0),
    stepsClosed: closed.length,
    inches: closed.reduce((sum, one) => sum + (one.earnedIn ?? 0), 0),
    found: rows.finding.filter((one) => within(one.foundAt)).length,
    months: monthSums(rows, spent, clock),
  }
}

/** Month by month from the first to the last in which something was paid or finished, none left out. */
function monthSums(
  rows: Pick<RefitRows, 'step'>,
  spent: readonly MoneyLine[],
  clock: Derived['clock'],
): MonthSums[] {
  const minors = new Map<string, number>()
  const inches = new Map<string, number>()
  const add = (sums: Map<string, number>, month: string, value: number) =>
    sums.set(month, (sums.get(month) ?? 0) + value)
  for (const one of spent) if (one.on !== null) add(minors, one.on.slice(0, 7), one.minor)
  for (const one of rows.step)
    if (one.state === 'done' && one.doneAt !== null && one.earnedIn !== null)
      add(inches, clock.dateOf(one.doneAt).slice(0, 7), one.earnedIn)
  const known = [...minors.keys(), ...inches.keys()].sort()
  const [first, last] = [known[0], known.at(-1)]
  if (first === undefined || last === undefined) return []
  const months: MonthSums[] = []
  let [totalMinor, totalIn] = [0, 0]
  for (let month = first; month <= last; month = monthAfter(month)) {
    const [minor, own] = [minors.get(month) ?? 0, inches.get(month) ?? 0]
    totalMinor += minor
    totalIn += own
    months.push({ month, minor, totalMinor, inches: own, totalIn })
  }
  return months
}

const monthAfter = (month: string): string => {
  const [year = 0, number = 1] = month.split('-').map(Number)
  return number === 12 ? `${year + 1}-01` : `${year}-${String(number + 1).padStart(2, '0')}`
}

/** First and last day of a month 'YYYY-MM'. */
export const spanOfMonth = (month: string): Span => ({
  from: `${month}-01`,
  to: addDays(`${monthAfter(month)}-01`, -1),
})
