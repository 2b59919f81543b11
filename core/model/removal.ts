/** What has to go or let go when a row is taken away. */
import type { ChangeItem } from './changes'
import type { EntityName, Job, Step } from './entities'
import type { RefitRows } from './refit'

type Plain = { readonly id: string; readonly version: number }

export const deletion = (entity: EntityName, row: Plain): ChangeItem => ({
  op: 'delete',
  entity,
  id: row.id,
  baseVersion: row.version,
})
export const patchOf = (
  entity: EntityName,
  row: Plain,
  patch: Readonly<Record<string, unknown>>,
): ChangeItem => ({ op: 'patch', entity, id: row.id, baseVersion: row.version, patch })

/** Everything that hangs on a step, and the step. Hours logged on it still hold it: see `hasHours`. */
export function stepRemoval(rows: RefitRows, step: Step): ChangeItem[] {
  return [
    ...rows.bringLine
      .filter((one) => one.stepId === step.id)
      .map((one) => deletion('bringLine', one)),
    ...rows.tradeBooking
      .filter((one) => one.stepId === step.id)
      .map((one) => deletion('tradeBooking', one)),
    ...rows.part
      .filter((one) => one.neededByStepId === step.id)
      .map((one) => patchOf('part', one, { neededByStepId: null })),
    ...rows.clock
      .filter((one) => one.stepId === step.id)
      .map((one) => patchOf('clock', one, { stepId: null })),
    ...rows.bag
      .filter((one) => one.wantedByStepId === step.id)
      .map((one) => patchOf('bag', one, { wantedByStepId: null })),
    ...rows.dayPlan
      .filter((one) => one.stepOrder.includes(step.id))
      .map((one) =>
        patchOf('dayPlan', one, { stepOrder: one.stepOrder.filter((id) => id !== step.id) }),
      ),
    deletion('step', step),
  ]
}

/** True when hours were written down for a step: it may be dropped, but not taken away. */
export const hasHours = (rows: Pick<RefitRows, 'hoursEntry'>, stepId: string): boolean =>
  rows.hoursEntry.some((entry) => entry.stepId === stepId)

/** A job with its steps and links. */
export function jobRemoval(rows: RefitRows, job: Job): ChangeItem[] {
  const steps = rows.step.filter((one) => one.jobId === job.id)
  return [
    ...rows.link
      .filter((one) => one.fromJobId === job.id || one.toJobId === job.id)
      .map((one) => deletion('link', one)),
    ...steps.flatMap((step) => stepRemoval(rows, step)),
    ...(['part', 'document', 'webLink'] as const).flatMap((kind) =>
      rows[kind].filter((one) => one.jobId === job.id).map((one) => deletion(kind, one)),
    ),
    deletion('job', job),
  ]
}
