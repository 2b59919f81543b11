/** What a change of step state brings with it: inches earned or taken back, and the time it was done. */
import { earnedInches, inchesForClosing, loaInches, openHoursOf } from '../progress/inches'
import { plannedJobs } from '../plan/network'
import { plannedHours } from '../plan/planned'
import type { Step } from './entities'
import type { RefitRows } from './refit'

/** The part of a step that the program itself sets. */
export interface Settled {
  readonly doneAt: number | null
  readonly earnedIn: number | null
}

/**
 * Settles a step on its way from `before` to `after`. Finishing stores the inches worked out from all
 * steps as they are just before; reopening takes back exactly what was stored. Null: nothing to set.
 */
export function settleStep(
  before: Step | null,
  after: Step,
  rows: RefitRows,
  now: number,
): Settled | null {
  const wasDone = before?.state === 'done'
  const isDone = after.state === 'done'
  if (wasDone === isDone) return null
  if (!isDone) return { doneAt: null, earnedIn: null }
  const others = rows.step.filter((step) => step.id !== after.id)
  const asOpen: Step = { ...after, state: 'open' }
  const plannedIds = new Set(plannedJobs(rows).map((job) => job.id))
  return {
    doneAt: after.doneAt ?? now,
    earnedIn: inchesForClosing(
      loaInches(rows.refit[0]?.loaM ?? 0),
      earnedInches(others),
      plannedHours(after),
      openHoursOf([...others, asOpen], new Set([...plannedIds, after.jobId])),
    ),
  }
}
