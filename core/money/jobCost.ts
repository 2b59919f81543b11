import type { Part } from '../model/entities'
import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'

/** What a part costs, minor units: its price for one × how many; nothing when it went back or has no price. */
export const partCostMinor = (part: Pick<Part, 'priceMinor' | 'quantity' | 'state'>): number =>
  part.state === 'returned' || part.priceMinor === null
    ? 0
    : Math.round(part.priceMinor * part.quantity)

/** Parts of each job: its own, and those only its steps name. */
export function partsByJob(rows: Pick<RefitRows, 'part' | 'step'>): Map<string, Part[]> {
  const jobOfStep = new Map(rows.step.map((step) => [step.id, step.jobId]))
  return groupBy(rows.part, (part) => part.jobId ?? jobOfStep.get(part.neededByStepId ?? ''))
}

/** What a job costs as far as prices are known, minor units. */
export interface JobCost {
  /** Parts that were not returned. */
  readonly partsMinor: number
  /** Booked trades; without a priced booking the price for the whole job, when a trade does it. */
  readonly tradesMinor: number
  readonly totalMinor: number
  /** False: no price is known at all, which is not the same as free. */
  readonly known: boolean
}

/** The one sum of what a job costs, asked job by job; every view says this one. */
export function jobCosts(
  rows: Pick<RefitRows, 'job' | 'step' | 'part' | 'tradeBooking'>,
): (jobId: string) => JobCost {
  const jobOfStep = new Map(rows.step.map((step) => [step.id, step.jobId]))
  const parts = partsByJob(rows)
  const trades = groupBy(
    rows.tradeBooking.filter((one) => one.state !== 'cancelled' && one.priceMinor !== null),
    (one) => jobOfStep.get(one.stepId),
  )
  const wholeJob = new Map(
    rows.job
      .filter((job) => job.doBy === 'trade' && job.tradePriceMinor !== null)
      .map((job) => [job.id, job.tradePriceMinor as number]),
  )
  return (jobId) => {
    const priced = (parts.get(jobId) ?? []).filter(
      (part) => part.priceMinor !== null && part.state !== 'returned',
    )
    const booked = trades.get(jobId) ?? []
    const whole = wholeJob.get(jobId)
    const partsMinor = priced.reduce((sum, part) => sum + partCostMinor(part), 0)
    const tradesMinor =
      booked.length > 0
        ? booked.reduce((sum, one) => sum + (one.priceMinor as number), 0)
        : (whole ?? 0)
    return {
      partsMinor,
      tradesMinor,
      totalMinor: partsMinor + tradesMinor,
      known: priced.length > 0 || booked.length > 0 || whole !== undefined,
    }
  }
}
