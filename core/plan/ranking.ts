import type { Job } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { groupBy } from '../model/refit'
import { plannedJobs, ranksOf, stepsByJob } from './network'
import { isOpen } from './planned'
import { priorityScore, rankJobs } from './priority'
import type { PriorityBasis, Ranked } from './priority'
import { slackDays } from './schedule/criticalPath'
import type { Bounds } from './schedule/criticalPath'

/** Open jobs of the plan with score and sentence, most pressing first. */
export function rankedJobs(rows: RefitRows, bounds: ReadonlyMap<string, Bounds>): Ranked[] {
  const steps = stepsByJob(rows)
  const stillOpen = (job: Job): boolean => {
    const list = steps.get(job.id)
    return !list || list.some(isOpen)
  }
  const open = plannedJobs(rows).filter(stillOpen)
  const openIds = new Set(open.map((job) => job.id))
  const waiting = groupBy(
    rows.link.filter((link) => openIds.has(link.toJobId)),
    (link) => link.fromJobId,
  )
  /** Of the last steps a gate waits for: what is done afloat after a launch gate holds it no more. */
  const slackOf = (job: Job): number | null => {
    for (const rank of ranksOf(steps.get(job.id) ?? []).reverse()) {
      const slacks = rank.flatMap((step) => {
        const bound = bounds.get(step.id)
        const slack = bound ? slackDays(bound) : null
        return slack === null ? [] : [slack]
      })
      if (slacks.length > 0) return Math.min(...slacks)
    }
    return null
  }
  return rankJobs(
    open.map((job) => {
      const basis: PriorityBasis = {
        purpose: job.purpose,
        severity: job.severity,
        spreading: job.spreading,
        slackDays: slackOf(job),
        waitingJobs: new Set((waiting.get(job.id) ?? []).map((link) => link.toJobId)).size,
      }
      return { job, basis, score: priorityScore(basis) }
    }),
  )
}
