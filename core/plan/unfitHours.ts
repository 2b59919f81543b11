import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { plannedJobs } from './network'
import { isOpen, plannedHours } from './planned'

/** Planned person-hours of open steps that have no place in a plan: they are in no week of it. */
export function unfitHours(
  rows: Pick<RefitRows, 'job' | 'step'>,
  plan: Pick<StoredPlan, 'placements'>,
): number {
  const placed = new Set(plan.placements.map((one) => one.stepId))
  const jobs = new Set(plannedJobs(rows).map((job) => job.id))
  return rows.step
    .filter((step) => jobs.has(step.jobId) && isOpen(step) && !placed.has(step.id))
    .reduce((sum, step) => sum + plannedHours(step), 0)
}
