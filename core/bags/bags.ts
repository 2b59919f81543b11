/** Strip-out bags: which are located, and which a step will want before anybody knows where they are. */
import type { Bag, Job, Step } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { dayMs } from '../time/civil'
import { isOpen } from '../plan/planned'

/** Days ahead at which a bag without a place is warned about: time for two trips. */
export const bagNoticeDays = 14

/** True when somebody could go and fetch it. */
export const isLocated = (bag: Pick<Bag, 'state' | 'storedAt'>): boolean =>
  bag.state === 'stored' && bag.storedAt.trim() !== ''

export interface BagWanted {
  readonly bag: Bag
  readonly step: Step
  readonly job: Job | undefined
  /** Start of the step on the plan, UTC ms; null: not on the plan. */
  readonly at: number | null
}

/** Bags that an open step wants back, with when, soonest first. */
export function bagsWanted(rows: RefitRows, plan: StoredPlan | null): BagWanted[] {
  const steps = byId(rows.step)
  const jobs = byId(rows.job)
  const starts = new Map(
    plan?.placements.map((one) => [one.stepId, one.segments[0]?.[0] ?? null]) ?? [],
  )
  return rows.bag
    .filter((bag) => bag.state !== 'fitted')
    .flatMap((bag): BagWanted[] => {
      const step = steps.get(bag.wantedByStepId ?? '')
      if (!step || !isOpen(step)) return []
      return [{ bag, step, job: jobs.get(step.jobId), at: starts.get(step.id) ?? null }]
    })
    .sort((a, b) => (a.at ?? Infinity) - (b.at ?? Infinity) || (a.bag.code < b.bag.code ? -1 : 1))
}

/** Bags not located whose step begins within the notice, or is under way. */
export const bagsToFind = (rows: RefitRows, plan: StoredPlan | null, now: number): BagWanted[] =>
  bagsWanted(rows, plan).filter(
    ({ bag, step, at }) =>
      !isLocated(bag) &&
      (step.state === 'doing' || (at !== null && at <= now + bagNoticeDays * dayMs)),
  )
