/** What is good enough for the time being: never silently for good. */
import type { ChangeItem } from '../model/changes'
import type { Gate, Job, Step } from '../model/entities'
import { keysAfter } from '../model/order'
import { byId, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import { accepted, refused } from '../result'
import type { Result } from '../result'

export const isProvisional = (step: Pick<Step, 'provisionalFor' | 'state'>): boolean =>
  step.provisionalFor.trim() !== '' && step.state !== 'dropped'

/** A provisional thing that still is one. */
export interface Provisional {
  readonly step: Step
  readonly job: Job | null
  readonly gate: Gate | null
  /** The job that makes it right. */
  readonly rightBy: Job | null
}

/** What is provisional and not made right yet: its completing job has open steps, or none was made. */
export function provisionals(rows: Pick<RefitRows, 'step' | 'job' | 'gate'>): Provisional[] {
  const jobs = byId(rows.job)
  const gates = byId(rows.gate)
  const isRight = (jobId: string | null): boolean => {
    const steps = rows.step.filter((one) => one.jobId === jobId && one.state !== 'dropped')
    return steps.length > 0 && steps.every((one) => one.state === 'done')
  }
  return rows.step
    .filter((step) => isProvisional(step) && !isRight(step.rightByJobId))
    .map((step) => ({
      step,
      job: jobs.get(step.jobId) ?? null,
      gate: gates.get(step.rightBeforeGateId ?? '') ?? null,
      rightBy: jobs.get(step.rightByJobId ?? '') ?? null,
    }))
}

/** Answers of the person. */
export interface ForTheTimeBeing {
  readonly missing: string
  readonly notTrustedWith: string
  readonly gateId: string | null
  /** Person-hours to make it right. */
  readonly hours: number
}

/** The step as provisional, with the job that makes it right. Refused without what is missing, and without a gate. */
export function makeProvisional(
  rows: Pick<RefitRows, 'job' | 'step'>,
  step: Step,
  given: ForTheTimeBeing,
  newId: () => string,
): Result<readonly ChangeItem[]> {
  const missing = given.missing.trim()
  if (missing === '') return refused('Say what is missing, so that somebody can put it right.')
  if (given.gateId === null) return refused('Say before which gate it is made right.')
  const job = rows.job.find((one) => one.id === step.jobId)
  const jobId = newId()
  const [order] = keysAfter(inOrder(rows.job).at(-1)?.order ?? null, 1)
  return accepted([
    {
      op: 'create',
      entity: 'job',
      id: jobId,
      patch: {
        title: `Make right: ${step.title}`.slice(0, 300),
        detail: missing,
        zoneId: job?.zoneId ?? null,
        systemId: job?.systemId ?? null,
        purpose: job?.purpose ?? 'safe',
        severity: job?.severity ?? 2,
        gateId: given.gateId,
        parentJobId: step.jobId,
        placed: true,
        order: order as string,
      },
    },
    {
      op: 'create',
      entity: 'step',
      id: newId(),
      patch: { jobId, title: missing.slice(0, 300), hoursLikely: given.hours, order: 'm' },
    },
    patchOf('step', step, {
      provisionalFor: missing,
      provisionalNot: given.notTrustedWith.trim(),
      rightBeforeGateId: given.gateId,
      rightByJobId: jobId,
    }),
  ])
}
