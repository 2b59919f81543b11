/** Rules of money: currencies and their rates, shares that add up, days that are not still to come. */
import { liveHours } from '../../plan/liveHours'
import { sayFullDate } from '../../time/say'
import { formatHours } from '../../units/hours'
import { isCurrency } from '../../money/money'
import { groupBy } from '../refit'
import type { RuleContext, RuleProblem, Rules } from './rule'
import { mendWhen, when } from './rule'

/** A sum in another currency than the refit's needs the rate of a day. `what`: what was done on that day. */
export function rateProblems(
  row: {
    readonly currency: string
    readonly rate: number | null
    readonly rateOn: string | null
  },
  { rows }: RuleContext,
  what: string,
): RuleProblem[] {
  const own = rows.refit[0]?.currency ?? ''
  const isForeign = row.currency !== '' && row.currency !== own
  return [
    ...when(
      row.currency !== '' && !isCurrency(row.currency),
      'currency',
      `“${row.currency}” is no currency. Write its three letters, for example GBP.`,
    ),
    ...when(
      isForeign && row.rate === null,
      'rate',
      `What is one ${row.currency} in ${own}? Type the rate of the day ${what}.`,
    ),
    ...when(
      row.rate !== null && row.rateOn === null,
      'rateOn',
      'Which day is that rate of? Type its date.',
    ),
  ]
}

const stillToCome = (on: string, { today }: RuleContext, instead: string): RuleProblem[] =>
  when(today !== null && on > today, 'on', `That day is still to come. ${instead}`)

const sharesOf = ({ rows, once }: RuleContext, spendId: string) =>
  once('sharesOfSpends', () => groupBy(rows.spendShare, (one) => one.spendId)).get(spendId) ?? []

export const moneyRules: Rules = {
  spend: (row, context) => {
    const shares = sharesOf(context, row.id)
    const sum = shares.reduce((all, one) => all + one.minor, 0)
    return [
      ...rateProblems(row, context, 'it was paid'),
      ...stillToCome(
        row.on,
        context,
        'What is still to be paid is an order, or the price of a booking.',
      ),
      ...when(
        shares.length > 0 && sum !== row.minor,
        'minor',
        'Its shares do not add up to it. Share it out anew.',
      ),
    ]
  },
  spendShare: (row) =>
    when(
      row.jobId !== null && row.systemId !== null,
      'systemId',
      'A share goes to a job or to a system: the job has its system already.',
    ),
  budget: (row, { rows, once }) => {
    const key = (one: typeof row) => `${one.account} ${one.systemId ?? ''}`
    const counts = once('budgets', () => groupBy(rows.budget, key))
    return [
      ...when(
        (row.account === 'system') !== (row.systemId !== null),
        'systemId',
        row.account === 'system'
          ? 'Which system is it planned for? Choose one.'
          : 'What belongs to no system has none. Leave it out.',
      ),
      ...mendWhen(
        (counts.get(key(row)) ?? []).length > 1,
        'minor',
        'There is a sum planned for this already. Change that one.',
      ),
    ]
  },
  hoursEntry: (row, context) => {
    const sums = context.once('hoursOfDays', () => {
      const found = new Map<string, number>()
      for (const one of liveHours(context.rows)) {
        const key = `${one.personId} ${one.on}`
        found.set(key, (found.get(key) ?? 0) + one.hours)
      }
      return found
    })
    const sum = sums.get(`${row.personId} ${row.on}`) ?? 0
    return mendWhen(
      sum > 24 + 1e-9,
      'hours',
      `That makes ${formatHours(sum)} for one person on ${sayFullDate(row.on)}. A day has 24: put another entry right first.`,
    )
  },
  invoice: (row, context) =>
    stillToCome(row.on, context, 'Write it down when it has come, with the date on it.'),
}
