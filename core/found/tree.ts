import type { Job } from '../model/entities'
import { groupBy } from '../model/refit'
import { jobCosts } from '../money/jobCost'
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
        costMinor: all.costMinor + costOf(child.id).totalMinor + beneath.costMinor,
        depth: Math.max(all.depth, 1 + beneath.depth),
      }
    }
    known.set(job.id, all)
    return all
  }
  for (const job of rows.job) under(job, new Set([job.id]))
  return known
}
