/**
 * An independent judge of plans. It shares no code with the solver: wall-clock times come from Intl;
 * attendance, arcs, waits and hull windows are worked out here again from the rows. Only types are core's.
 */
import type { Step } from '../../core/model/entities'
import type { StoredPlan } from '../../core/model/stored'
import type { RefitRows } from '../../core/model/refit'
import { haulOuts, hull, hullsByPlace, liftOuts } from './hulls'
import { launches } from './launches'
import { bonds, sequence, togetherness } from './order'
import { pauses } from './pauses'
import { airKeeps, cleanAir } from './air'
import { Days } from './stays'
import { inTheWeather } from './weather'
import { attendance, releases, shape } from './placements'
import { wallClock } from './wallClock'

/** Every way in which a plan breaks the rules, as sentences; empty when it holds. */
export function judgePlan(given: RefitRows, plan: StoredPlan): string[] {
  const rows = hullsByPlace(given)
  const zone = rows.refit[0]?.zone ?? 'UTC'
  const wall = wallClock(zone)
  const faults: string[] = []
  const placed = new Map(plan.placements.map((one) => [one.stepId, one]))
  const jobOf = new Map(rows.job.map((job) => [job.id, job]))
  const open = rows.step.filter(
    (step) =>
      (step.state === 'open' || step.state === 'doing') &&
      jobOf.get(step.jobId)?.decision === 'plan',
  )
  const stepOf = new Map(open.map((step) => [step.id, step]))
  const hauls = haulOuts(rows, plan, zone)
  const kept = new Map<string, (readonly [number, number])[]>()
  for (const one of plan.placements)
    for (const person of one.personIds)
      for (const span of one.segments) kept.set(person, [...(kept.get(person) ?? []), span])
  const days = new Days(rows, plan, hauls, stepOf, wall, zone)
  /** At another step, at another place that day, or pausing. */
  const busy = (placeNeed: Step['placeNeed']) => (person: string, from: number, to: number) =>
    days.isElsewhere(person, wall(from).date, placeNeed) ||
    days.pauses(person, from, to) ||
    (kept.get(person) ?? []).some(([a, b]) => a < to && from < b)
  const say = (step: Step, fault: string) => faults.push(`${step.title}: ${fault}`)

  for (const one of plan.placements) {
    const step = stepOf.get(one.stepId)
    if (!step) {
      faults.push(`A step that is not open is placed: ${one.stepId}`)
      continue
    }
    for (const fault of [
      ...shape(step, one, plan, rows),
      ...attendance(step, one, rows, days, wall),
      ...hull(step, one, rows, hauls),
      ...releases(step, one, rows, wall),
      ...inTheWeather(step, one, plan.now, rows, wall),
      ...pauses(step, one, rows, hauls, days, wall, zone, busy(step.placeNeed), plan.now, (at) =>
        airKeeps(step, at, rows, placed, stepOf, wall),
      ),
    ])
      say(step, fault)
  }
  faults.push(...togetherness(plan))
  faults.push(...days.faults())
  faults.push(...days.openFaults(placed))
  faults.push(...cleanAir(rows, placed, stepOf, wall))
  faults.push(...sequence(rows, placed, stepOf))
  faults.push(...bonds(rows, placed, stepOf))
  faults.push(...liftOuts(rows, hauls, plan, zone, wall))
  faults.push(...launches(rows, plan, placed, open, jobOf, hauls, wall))
  const excused = new Set(plan.reasons.flatMap((reason) => reason.stepIds))
  if (plan.reasons.length === 0)
    for (const step of open)
      if (!placed.has(step.id)) say(step, 'is not placed, and no reason given')
  for (const id of excused) {
    const step = stepOf.get(id)
    if (step && placed.has(id)) say(step, 'is called impossible, and placed')
  }
  return faults
}
