import type { Job } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { groupBy } from '../model/refit'
import { isOpen, plannedHours } from '../plan/planned'

/** Hours that stand for experience nobody has yet: 10 found on 40 planned. Source: handbook 5. */
export const foundBefore = 10
const plannedBefore = 40

export interface Growth {
  /** Hours still to be found for each open hour of jobs that were planned. */
  readonly perHour: number
  /** Planned hours of jobs found during jobs. */
  readonly foundHours: number
  /** Planned hours of finished steps of jobs that were not found. */
  readonly finishedHours: number
  /** Open hours of jobs that were not found. */
  readonly openHours: number
  /** What is still to be found, hours: perHour × openHours. */
  readonly expectedHours: number
}

/**
 * Found-work growth: (10 + hours of found jobs) ÷ (40 + planned hours finished in jobs not found); a job half
 * done counts with its finished steps. Source: handbook 5.
 */
export function growthOf(rows: Pick<RefitRows, 'job' | 'step'>): Growth {
  const steps = groupBy(
    rows.step.filter((step) => step.state !== 'dropped'),
    (step) => step.jobId,
  )
  const counted = (job: Job) => job.decision === 'plan' || job.decision === 'later'
  const sum = (job: Job, of: (step: (typeof rows.step)[number]) => boolean): number =>
    (steps.get(job.id) ?? []).filter(of).reduce((all, step) => all + plannedHours(step), 0)
  let [foundHours, finishedHours, openHours] = [0, 0, 0]
  for (const job of rows.job.filter(counted)) {
    if (job.parentJobId !== null) {
      foundHours += sum(job, () => true)
      continue
    }
    finishedHours += sum(job, (step) => step.state === 'done')
    if (job.decision === 'plan') openHours += sum(job, isOpen)
  }
  const perHour = (foundBefore + foundHours) / (plannedBefore + finishedHours)
  return { perHour, foundHours, finishedHours, openHours, expectedHours: perHour * openHours }
}
