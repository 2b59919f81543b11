import type { Job } from '../model/entities'
import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'

/** What grew under a job: everything found during it, and during what was found. */
export interface Bred {
  readonly jobs: number
  /** Planned hours. */
  readonly hoursPlanned: number
  readonly hoursLogged: number
  /** Parts and trades with a price, minor units. */
  readonly costMinor: number
  /** Generations beneath it; 0: nothing was found. */
  readonly depth: number
}

const nothing: Bred = { jobs: 0, hoursPlanned: 0, hoursLogged: 0, costMinor: 0, depth: 0 }

/** Prices of a job's parts and booked trades, minor units. */
export function jobCosts(rows: RefitRows): (jobId: string) => number {
  const jobOfStep = new Map(rows.step.map((step) => [step.id, step.jobId]))
  const parts = groupBy(rows.part, (part) => part.jobId ?? jobOfStep.get(part.neededByStepId ?? ''))
  const trades = groupBy(
    rows.tradeBooking.filter((one) => one.state !== 'cancelled'),
    (one) => jobOfStep.get(one.stepId),
  )
  return (jobId) =>
    (parts.get(jobId) ?? []).reduce(
      (sum, part) => sum + Math.round((part.priceMinor ?? 0) * part.quantity),
      0,
    ) + (trades.get(jobId) ?? []).reduce((sum, one) => sum + (one.priceMinor ?? 0), 0)
}

/**
 * What grew under every job. `own` gives a job's own hours. A circle of parents, which the border refuses,
 * is cut where it closes.
 */
export function bredByJob(
  rows: RefitRows,
  own: (jobId: string) => { readonly hoursPlanned: number; readonly hoursLogged: number },
): Map<string, Bred> {
  const children = groupBy(rows.job, (job) => job.parentJobId)
  const costOf = jobCosts(rows)
  const known = new Map<string, Bred>()
  const under = (job: Job, path: ReadonlySet<string>): Bred => {
    const already = known.get(job.id)
    if (already) return already
    let all = nothing
    for (const child of children.get(job.id) ?? []) {
      if (path.has(child.id)) continue
      const beneath = under(child, new Set([...path, child.id]))
      const { hoursPlanned, hoursLogged } = own(child.id)
      all = {
        jobs: all.jobs + 1 + beneath.jobs,
        hoursPlanned: all.hoursPlanned + hoursPlanned + beneath.hoursPlanned,
        hoursLogged: all.hoursLogged + hoursLogged + beneath.hoursLogged,
        costMinor: all.costMinor + costOf(child.id) + beneath.costMinor,
        depth: Math.max(all.depth, 1 + beneath.depth),
      }
    }
    known.set(job.id, all)
    return all
  }
  for (const job of rows.job) under(job, new Set([job.id]))
  return known
}
