import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { arcsOf, stepsByJob } from '../plan/network'

/** Asked for one gate after another: ids of the steps it needs, its jobs' and all that these wait for. */
export function needsOf(rows: RefitRows): (gateId: string) => Set<string> {
  const before = groupBy(arcsOf(rows), (arc) => arc.to)
  const steps = stepsByJob(rows)
  const jobs = groupBy(rows.job, (job) => job.gateId)
  return (gateId) => {
    const needed = new Set<string>()
    const queue = (jobs.get(gateId) ?? []).flatMap((job) =>
      (steps.get(job.id) ?? []).map((step) => step.id),
    )
    for (let id = queue.pop(); id !== undefined; id = queue.pop()) {
      if (needed.has(id)) continue
      needed.add(id)
      for (const arc of before.get(id) ?? []) queue.push(arc.from)
    }
    return needed
  }
}
