/** Stretches in which a job stands open: a hole, a hatch off, something stripped, until the next step that closes. */
import type { Job, Step } from '../model/entities'
import { groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Placement } from '../model/stored'
import { factsOf } from './facts'

export interface Opening {
  readonly job: Job
  /** What opens it. */
  readonly step: Step
  readonly isBegun: boolean
  /** The start of what opens it, and when what closes it is cured, UTC ms; Infinity: nothing is placed that closes it. */
  readonly from: number
  readonly to: number
}

/** The openings of planned jobs that have a step which closes them again. Jobs that name none are not judged. */
export function openings(
  rows: Pick<RefitRows, 'job' | 'step'>,
  placements: ReadonlyMap<string, Pick<Placement, 'segments' | 'readyAt'>>,
): Opening[] {
  const byJob = groupBy(rows.step, (step) => step.jobId)
  return rows.job.flatMap((job) => {
    if (job.decision !== 'plan') return []
    const steps = inOrder(byJob.get(job.id) ?? []).filter((step) => step.state !== 'dropped')
    const found: Opening[] = []
    let open = null as Pick<Opening, 'step' | 'from' | 'isBegun'> | null
    for (const [at, step] of steps.entries()) {
      const isDone = step.state === 'done'
      // What is cut or filled in the shed opens and shuts nothing of her.
      if (step.placeNeed !== 'boat') continue
      if (open && factsOf(step).closes) {
        const to = placements.get(step.id)?.readyAt ?? Infinity
        if (!isDone) found.push({ job, ...open, to })
        open = null
      }
      const isBegun = isDone || step.state === 'doing'
      if (!factsOf(step).opens || (open && !isBegun)) continue
      const from = isBegun ? -Infinity : placements.get(step.id)?.segments[0]?.[0]
      const isClosed = steps
        .slice(at + 1)
        .some((one) => one.placeNeed === 'boat' && factsOf(one).closes)
      // Of several that opened it, the last is named.
      if (from !== undefined && isClosed) open = { step, isBegun, from: open?.from ?? from }
    }
    return found
  })
}
