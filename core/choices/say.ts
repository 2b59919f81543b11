/** An open decision in a line: what, who, by when, and how near that is. */
import type { RefitRows } from '../model/refit'
import { byId, inOrder } from '../model/refit'
import { daysBetween } from '../time/civil'
import { sayDay } from '../time/say'
import type { Decision } from './choose'
import type { DecideBy } from './decideBy'

export interface DecisionLine {
  readonly decision: Decision
  readonly jobTitle: string
  readonly who: string
  /** Civil date; null: no gate waits for it, or it was not worked out yet. */
  readonly by: string | null
  readonly said: string
  /** Its day is over, or nearer than a fortnight. */
  readonly isLate: boolean
  readonly isNear: boolean
}

const nearDays = 14

/** Open decisions, the one to be taken first at the top, those without a date last. */
export function decisionLines(
  rows: RefitRows,
  dates: readonly DecideBy[],
  today: string,
): DecisionLine[] {
  const jobs = byId(rows.job)
  const people = byId(rows.person)
  const known = new Map(dates.map((one) => [one.decisionId, one]))
  const lines = inOrder(rows.decision)
    .filter((one) => one.decidedOn === null)
    .map((decision): DecisionLine => {
      const found = known.get(decision.id)
      const by = found?.by ?? null
      const left = by === null ? null : daysBetween(today, by)
      const options = rows.option.filter((one) => one.decisionId === decision.id).length
      return {
        decision,
        jobTitle: jobs.get(decision.jobId)?.title ?? '',
        who: people.get(decision.whoId ?? '')?.name ?? '',
        by,
        said: sayLeft(left, by, today, options, found !== undefined),
        isLate: left !== null && left < 0,
        isNear: left !== null && left <= nearDays,
      }
    })
  return lines.sort((a, b) => ((a.by ?? '9999') < (b.by ?? '9999') ? -1 : 1))
}

function sayLeft(
  left: number | null,
  by: string | null,
  today: string,
  options: number,
  isKnown: boolean,
): string {
  if (options < 2) return options === 0 ? 'no option is written down' : 'only one option'
  if (left === null || by === null) return isKnown ? 'no gate waits for it' : ''
  const on = sayDay(by, today.slice(0, 4))
  if (left < 0) return `was to be decided by ${on}`
  return left === 0 ? 'decide today' : `decide by ${on}`
}
