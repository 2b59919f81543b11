import type { Job, Step } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { HullNeed, Operation } from '../model/words'

/** What a step needs of the hull once its place and operation have been asked. */
export type SettledHullNeed = Exclude<HullNeed, 'byPlace'>

/** Work that is done on paper or by ordering: the hull does not matter wherever it is for. */
const ofNoHull: readonly Operation[] = ['buy', 'label', 'setUp', 'packUp']
/** Coats that are only ever put on below the waterline. */
const alwaysBelow: readonly Operation[] = ['barrier', 'antifoul']

/**
 * What a step needs of the hull. Said by hand it stands; left to place and operation, work aboard a
 * place below the waterline needs her ashore, and so do barrier coat and antifouling anywhere. A job
 * without a place counts as below the waterline when it belongs to the stern gear. What comes after the
 * gate cannot need her ashore. Source: handbook 6.
 */
export function hullReader(
  rows: Pick<RefitRows, 'job' | 'zone' | 'system'>,
): (step: Step) => SettledHullNeed {
  const jobs = byId(rows.job)
  const below = new Set(rows.zone.filter((zone) => zone.belowWaterline).map((zone) => zone.id))
  const sternGear = new Set(
    rows.system.filter((system) => system.kind === 'stern gear').map((system) => system.id),
  )
  const isBelow = (job: Job | undefined): boolean =>
    job?.zoneId ? below.has(job.zoneId) : sternGear.has(job?.systemId ?? '')
  return (step) => {
    if (step.hullNeed !== 'byPlace') return step.hullNeed
    if (step.placeNeed !== 'boat' || step.afterGate || ofNoHull.includes(step.operation))
      return 'either'
    return alwaysBelow.includes(step.operation) || isBelow(jobs.get(step.jobId))
      ? 'ashore'
      : 'either'
  }
}

/** Rows in which every step says what it needs of the hull. */
export function withHullNeeds(rows: RefitRows): RefitRows {
  const needOf = hullReader(rows)
  return {
    ...rows,
    step: rows.step.map((step) =>
      step.hullNeed === 'byPlace' ? { ...step, hullNeed: needOf(step) } : step,
    ),
  }
}
