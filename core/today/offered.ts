import type { Job, Step } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { factsOf } from '../plan/facts'
import { hullReader } from '../plan/hullNeed'
import { isOpen, plannedHours } from '../plan/planned'
import { readyBy } from '../plan/readyBy'
import type { Waits } from '../plan/waits'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import type { Curing } from './curing'
import type { DayFrame } from './dayLine'
import { teamOf } from '../plan/schedule/crews'
import { haulOutsAsPlanned } from '../plan/schedule/haulOuts'
import { ashoreAtDawn } from '../plan/schedule/lies'

export interface Offered {
  readonly step: Step
  readonly job: Job | null
}

/** Longest job worth offering while something cures, hours. */
const shortWorkHours = 2
const mostOffered = 2

/**
 * Short open steps for the hours in which something cures: their turn has come, all waits before them over,
 * their date reached, their parts here, the hull as they need it, and enough people with the skill there. No
 * dust where anything is wet. Nothing when nothing cures.
 */
export function offeredWhile(
  rows: RefitRows,
  plan: StoredPlan,
  frame: DayFrame,
  curing: readonly Curing[],
  onSheet: ReadonlySet<string | undefined>,
  waits: Waits,
  clock: ZoneClock,
  dayStart: number,
): Offered[] {
  if (curing.length === 0) return []
  const jobs = byId(rows.job)
  const people = rows.person.filter((person) => frame.personIds.includes(person.id))
  const ready = readyBy(rows, waits, dayStart)
  const needOf = hullReader(rows)
  const ashore =
    ashoreAtDawn(haulOutsAsPlanned(rows, plan, clock), dayNumber(frame.on), clock) !== null
  const planned = new Set(plan.placements.map((one) => one.stepId))
  const wetZones = new Set(curing.map((one) => one.job?.zoneId ?? null))
  const awaited = new Set(
    rows.part
      .filter((part) => part.state === 'ordered' && (part.arrivesOn ?? '9999') >= frame.on)
      .map((part) => part.neededByStepId),
  )
  const enough = (step: Step): boolean => {
    const { capable, hands } = teamOf(step, people)
    const isKept = ({ wantedPersonId }: Step) =>
      wantedPersonId === null || capable.some((at) => people[at]?.id === wantedPersonId)
    return hands.length >= step.crewMin && isKept(step)
  }
  const hullSuits = (step: Step): boolean => {
    const need = needOf(step)
    return need === 'either' || (need === 'ashore' && ashore) || (need === 'afloat' && !ashore)
  }
  return rows.step
    .filter((step) => {
      const job = jobs.get(step.jobId)
      if (!job || job.decision !== 'plan' || !isOpen(step) || onSheet.has(step.id)) return false
      if (step.placeNeed !== frame.placeNeed || factsOf(step).byOthers) return false
      if (step.hoursLikely <= 0 || plannedHours(step) > shortWorkHours) return false
      if (step.notBefore !== null && step.notBefore > frame.on) return false
      if (factsOf(step).dusty && wetZones.has(job.zoneId)) return false
      if (curing.some((one) => one.step?.jobId === step.jobId)) return false
      return (
        ready(step) &&
        enough(step) &&
        hullSuits(step) &&
        !awaited.has(step.id) &&
        planned.has(step.id)
      )
    })
    .sort((a, b) => plannedHours(a) - plannedHours(b) || (a.id < b.id ? -1 : 1))
    .slice(0, mostOffered)
    .map((step) => ({ step, job: jobs.get(step.jobId) ?? null }))
}
