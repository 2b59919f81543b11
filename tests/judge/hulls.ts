/** Where she lies, worked out again from the rows. */
import type { HaulOut, Place, Step } from '../../core/model/entities'
import type { Placement, StoredPlan } from '../../core/model/stored'
import type { RefitRows } from '../../core/model/refit'
import { firstLift } from './slip'
import { hhmm, hour, instantOf } from './wallClock'
import type { Wall } from './wallClock'

const slings = 3 * hour

/** Below the waterline is worked on ashore: said here again from the rows. */
export function hullsByPlace(rows: RefitRows): RefitRows {
  const wet = (step: Step): boolean => {
    if (step.operation === 'barrier' || step.operation === 'antifoul') return true
    const job = rows.job.find((one) => one.id === step.jobId)
    if (job?.zoneId) return rows.zone.some((zone) => zone.id === job.zoneId && zone.belowWaterline)
    return rows.system.some((one) => one.id === job?.systemId && one.kind === 'stern gear')
  }
  const paper = ['buy', 'label', 'setUp', 'packUp']
  return {
    ...rows,
    step: rows.step.map((step) => {
      if (step.hullNeed !== 'byPlace') return step
      const aboard = step.placeNeed === 'boat' && !step.afterGate && !paper.includes(step.operation)
      return { ...step, hullNeed: aboard && wet(step) ? 'ashore' : 'either' }
    }),
  }
}

export interface Haul {
  readonly row: HaulOut
  readonly yard: Place | undefined
  readonly out: number
  readonly launch: number
}

export function haulOuts(rows: RefitRows, plan: StoredPlan, zone: string): Haul[] {
  const planned = new Map(plan.launches.map((one) => [one.haulOutId, one]))
  return rows.haulOut
    .map((row) => {
      const yard =
        rows.place.find((place) => place.id === row.placeId) ??
        [...rows.place]
          .sort((a, b) => (a.id < b.id ? -1 : 1))
          .find((place) => place.kind === 'yard')
      const lift = hhmm(yard?.liftFrom ?? '09:00')
      const dated = row.liftOutActual ?? row.liftOutBooked ?? row.liftOutAimed
      // When she really comes out is the plan's to say, and `liftOuts` judges it.
      const said = planned.get(row.id)?.from
      const out = said === undefined ? instantOf(dated, lift, zone) : said - slings
      const launch = row.launchActual
        ? instantOf(row.launchActual, lift, zone)
        : (planned.get(row.id)?.at ?? Infinity)
      return { row, yard, out, launch }
    })
    .sort((a, b) => a.out - b.out)
}

export function hull(
  step: Step,
  one: Placement,
  rows: RefitRows,
  hauls: readonly Haul[],
): string[] {
  const nobody = one.personIds.length === 0
  return one.segments.flatMap(([from, to]) => {
    const ashore = hauls.some((haul) => from >= haul.out + slings && to <= haul.launch)
    const wet = hauls.every((haul) => to <= haul.out || from >= haul.launch + slings)
    if (step.hullNeed === 'ashore' && !ashore) return ['is placed while she is not ashore']
    if (step.hullNeed === 'afloat' && !wet) return ['is placed while she is not afloat']
    const coming = hauls.filter((haul) => haul.row.launchActual === null)
    if (step.hullNeed === 'slings' && coming.length > 0) {
      const hung = hauls.some((haul) => from >= haul.launch && to <= haul.launch + slings)
      return hung ? [] : ['is placed while she does not hang in the slings']
    }
    const hangs = hauls.some(
      (haul) =>
        (from < haul.out + slings && to > haul.out) ||
        (from < haul.launch + slings && to > haul.launch),
    )
    if (step.placeNeed === 'boat' && !nobody && hangs) return ['has people aboard while she hangs']
    return []
  })
}

/** She comes out on her date; on the first lift from now where that is past and unconfirmed; never before she was let go. */
export function liftOuts(
  rows: RefitRows,
  hauls: readonly Haul[],
  plan: StoredPlan,
  zone: string,
  wall: (at: number) => Wall,
): string[] {
  return hauls.flatMap((haul, index) => {
    const { row, yard, out, launch } = haul
    if (row.launchActual !== null || launch === Infinity) return []
    const lift = hhmm(yard?.liftFrom ?? '09:00')
    const dated = row.liftOutActual ?? row.liftOutBooked ?? row.liftOutAimed
    const goneBy = row.liftOutActual === null && dated < wall(plan.now).date
    const floor = Math.max(
      goneBy ? plan.now : instantOf(dated, lift, zone),
      row.liftOutActual === null ? (hauls[index - 1]?.launch ?? -Infinity) + slings : -Infinity,
    )
    const faults: string[] = []
    if (out < floor) faults.push(`${row.name}: lifted out before she can be`)
    const first = firstLift(rows, haul, floor, wall) ?? floor
    if (out > first + 8 * 24 * hour) faults.push(`${row.name}: lifted out days after she could be`)
    if (launch < out + slings) faults.push(`${row.name}: launched before she is out`)
    return faults
  })
}
