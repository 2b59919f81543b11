/** What a report says of its span in words, once for its page and for paper. */
import { sayDate } from '../time/say'
import { formatHours } from '../units/hours'
import { formatInches } from '../units/length'
import { formatMoney } from './money'
import type { MoneyReport } from './report'

/** Names and values, in order. `personOf`: name of a person by id; '': nobody of this refit. */
export function reportFigures(
  report: MoneyReport,
  currency: string,
  personOf: (personId: string) => string,
): (readonly [name: string, value: string])[] {
  const say = (minor: number) => formatMoney(minor, currency)
  const perInch =
    report.inches > 0 ? `, ${say(Math.round(report.spentMinor / report.inches))} an inch` : ''
  const each = report.hoursByPerson.map(
    (one) => `${personOf(one.personId) || 'somebody'} ${formatHours(one.hours)}`,
  )
  const took =
    report.plannedHours > 0
      ? formatHours(report.tookHours / report.plannedHours)
      : 'nothing measured'
  return [
    ['Inches earned', `${formatInches(report.inches)}${perInch}`],
    ['Steps closed', String(report.stepsClosed)],
    ['Hours written down', [formatHours(report.hours), each.join(', ')].filter(Boolean).join(': ')],
    ['For an hour planned it took', took],
    ['Taken from the contingency', say(report.burntMinor)],
    ['Things found', String(report.found)],
  ]
}

/** What its hours count. `today`: civil date on which it is made. */
export const reportNote = ({ stepsClosed }: MoneyReport, today: string): string =>
  `By ${sayDate(today)} ${today.slice(0, 4)}. Hours with the way and set-up; an hour planned against work alone, of the ${stepsClosed} steps closed those with hours of work.`
