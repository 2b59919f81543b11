import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { arcsOf, stepsByJob } from '../plan/network'

/** Ids of the steps a gate needs: its jobs', and all that these wait for. */
export function neededBy(rows: RefitRows, gateId: string): Set<string> {
  const before = groupBy(arcsOf(rows), (arc) => arc.to)
  const needed = new Set<string>()
  const queue = [...stepsByJob(rows)].flatMap(([jobId, steps]) =>
    rows.job.find((job) => job.id === jobId)?.gateId === gateId ? steps.map((one) => one.id) : [],
  )
  for (let id = queue.pop(); id !== undefined; id = queue.pop()) {
    if (needed.has(id)) continue
    needed.add(id)
    for (const arc of before.get(id) ?? []) queue.push(arc.from)
  }
  return needed
}
