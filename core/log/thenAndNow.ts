/** A repair that did not hold beside what is made now in its place: how each is built, and what was not done the last time. */
import { byId, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Job, Step } from '../model/entities'
import { fittingMakeOf } from '../section/fittingMake'
import type { FittingMake } from '../section/fittingMake'
import type { CameAgain } from './history'

export interface ThenAndNow {
  /** The job that mends it now. */
  readonly jobId: string
  /** How both are built, where the dimensions are known; null: not known. */
  readonly makes: { readonly then: FittingMake; readonly now: FittingMake } | null
  /** Steps of now of a kind of work that the last time had none of, in order. */
  readonly isNew: readonly Step[]
  /** False: what is done now is not written down yet. */
  readonly hasSteps: boolean
  /** Steps of now that are still to be done. */
  readonly toCome: readonly Step[]
}

/** Null: the finding has no job that mends it, or it is the same one that did not hold. */
export function thenAndNow(
  rows: Pick<RefitRows, 'finding' | 'job' | 'step'>,
  again: Pick<CameAgain, 'findingId'>,
): ThenAndNow | null {
  const finding = rows.finding.find((one) => one.id === again.findingId)
  const jobs = byId(rows.job)
  const before = jobs.get(finding?.againAfterJobId ?? '')
  const now = jobs.get(finding?.jobId ?? '')
  if (!before || !now || before.id === now.id) return null
  const done = stepsOf(rows, before).filter((one) => one.state === 'done')
  const own = stepsOf(rows, now).filter((one) => one.state !== 'dropped')
  const did = new Set(done.map((one) => one.operation))
  return {
    jobId: now.id,
    makes: makesOf(before, did, now),
    hasSteps: own.length > 0,
    isNew: own.filter((one) => !did.has(one.operation)),
    toCome: own.filter((one) => one.state === 'open' || one.state === 'doing'),
  }
}

const stepsOf = (rows: Pick<RefitRows, 'step'>, job: Job): Step[] =>
  inOrder(rows.step.filter((one) => one.jobId === job.id))

/**
 * The hole, the skins and the core are those of the same place. What the last time had no dimensions of is drawn with its
 * core bare where nothing was filled then; where something was, nobody knows how far.
 */
function makesOf(before: Job, did: ReadonlySet<string>, job: Job): ThenAndNow['makes'] {
  const now = fittingMakeOf(job)
  const then = fittingMakeOf(before) ?? (now && !did.has('fill') ? { ...now, solid: null } : null)
  return now && then ? { now, then } : null
}
