/** When she goes in: on a day and hour of the yard, not before its date, not before what it waits for. */
import type { Job, Step } from '../../core/model/entities'
import type { Placement, StoredPlan } from '../../core/model/stored'
import type { RefitRows } from '../../core/model/refit'
import type { Haul } from './hulls'
import { afterTheWater } from './order'
import { firstDeep, isDeep } from './slip'
import { waitHours } from './placements'
import { hhmm, hour, minute } from './wallClock'
import type { Wall } from './wallClock'

/** She goes in with the first lift of the day; where the slip has a tide, as it comes. */
function atTheSlip(rows: RefitRows, haul: Haul, wall: (at: number) => Wall): string[] {
  const wrong = [`${haul.row.name}: launched at the wrong time of day`]
  const usual = wall(haul.launch).minutes === hhmm(haul.yard?.liftFrom ?? '09:00')
  const deep = isDeep(rows, haul)
  if (!deep) return usual ? [] : wrong
  // Between two heights ten minutes apart the water is taken to rise straight: two minutes off at the most, and then to the next five.
  const first =
    firstDeep(haul, deep, haul.launch, wall) ?? firstDeep(haul, deep, haul.launch, wall, 2)
  if (first !== null)
    return haul.launch >= first - 2 * minute && haul.launch <= first + 7 * minute ? [] : wrong
  // No water that day is right only where there never is any.
  const ever = Array.from({ length: 52 }, (_, week) => haul.launch + week * 7 * 24 * hour).some(
    (at) => firstDeep(haul, deep, at, wall) !== null,
  )
  return ever || !usual ? [`${haul.row.name}: launched without water`] : []
}

export function launches(
  rows: RefitRows,
  plan: StoredPlan,
  placed: ReadonlyMap<string, Placement>,
  open: readonly Step[],
  jobOf: ReadonlyMap<string, Job>,
  hauls: readonly Haul[],
  wall: (at: number) => Wall,
): string[] {
  return hauls
    .filter((haul) => haul.row.launchActual === null && haul.launch < Infinity)
    .flatMap((haul) => {
      const faults: string[] = []
      const shown = wall(haul.launch)
      const lifts = haul.yard?.liftWeekdays ?? []
      for (const closed of haul.yard?.noLifts ?? [])
        if (closed.from <= shown.date && shown.date <= closed.to)
          faults.push(`${haul.row.name}: the yard lifts nothing on ${shown.date}`)
      if (lifts.length > 0 && !lifts.includes(shown.weekday))
        faults.push(`${haul.row.name}: the yard does not lift on ${shown.date}`)
      faults.push(...atTheSlip(rows, haul, wall))
      const aim = haul.row.launchBooked ?? haul.row.launchAimed
      if (haul.row.launchWhen !== 'asReady' && shown.date < aim)
        faults.push(`${haul.row.name}: launched before its date`)
      const tooLate = afterTheWater(rows)
      const gate = rows.gate.find((row) => row.kind === 'launch' && row.haulOutId === haul.row.id)
      for (const step of open) {
        const job = jobOf.get(step.jobId)
        const later = plan.warnings.some(
          (one) => one.kind === 'moved' && one.jobIds.includes(step.jobId),
        )
        const holds =
          !later &&
          !step.afterGate &&
          !tooLate.has(step.id) &&
          step.hullNeed === 'either' &&
          gate !== undefined &&
          job?.gateId === gate.id
        const ready = placed.get(step.id)?.readyAt
        const wet = step.hullNeed === 'ashore' && !step.afterGate && !tooLate.has(step.id)
        const at = placed.get(step.id)?.segments.at(-1)?.[1]
        if (wet && at !== undefined && at > haul.out && at <= haul.launch) {
          const takes = at + waitHours(step, at, rows, 'water') * hour
          if (takes > haul.launch + 1)
            faults.push(`${haul.row.name}: launched before ${step.title} takes water`)
        }
        if (holds && ready !== undefined && ready > haul.launch)
          faults.push(`${haul.row.name}: launched before ${step.title} is ready`)
      }
      return faults
    })
}
