/** What a way to launch costs from now on: days in the yard and at the berth, lifts, and hours on the way. */
import type { Place } from '../model/entities'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { nightsOf } from '../levers/dayLevers'
import { haulOutsAsPlanned, slingMs } from '../plan/schedule/haulOuts'
import { lieOf } from '../plan/schedule/lies'
import { berthsOf } from '../money/berth'
import { comingOutMinor, daysMinor, tariffOf } from '../money/yard'
import type { ZoneClock } from '../time/zone'

/** Money in minor units. Null: the yard has no price here. */
export interface WayMoney {
  readonly daysAshore: number
  readonly daysAfloat: number
  readonly lifts: number
  readonly yardMinor: number
  readonly berthMinor: number
  readonly liftsMinor: number
  readonly totalMinor: number
}

/**
 * From the day of `from` to the day of `until` (UTC ms), so that ways are compared over the same days. A day on which she
 * is lifted or launched counts as one at the yard when it begins there. Source: handbook 6.
 */
export function wayMoney(
  rows: RefitRows,
  plan: StoredPlan,
  from: number,
  until: number,
  clock: ZoneClock,
): WayMoney | null {
  const loaM = rows.refit[0]?.loaM ?? 0
  const [first, last] = [clock.dayOf(from), clock.dayOf(until)]
  const berths = berthsOf(rows)
  let berthMinor = berths.minor(first, last)
  let [daysAshore, yardMinor, lifts, liftsMinor] = [0, 0, 0, 0]
  for (const one of haulOutsAsPlanned(rows, plan, clock)) {
    const tariff = tariffOf(rows, one.haulOut)
    if (!tariff) return null
    const lifted = clock.dayOf(one.from - slingMs)
    const launched = one.launchAt === Infinity ? Infinity : clock.dayOf(one.launchAt)
    // Ashore as a day begins: not on the day of lifting out, still on the day of launching.
    const begin = Math.max(first, lifted + 1)
    const end = Math.min(last, launched)
    daysAshore += Math.max(0, end - begin + 1)
    berthMinor -= berths.minor(begin, end)
    yardMinor += daysMinor(tariff, begin - lifted, end - lifted, loaM)
    const comesOut = one.haulOut.liftOutActual === null && lifted >= first && lifted <= last
    const goesIn = one.haulOut.launchActual === null && launched >= first && launched <= last
    lifts += Number(comesOut) + Number(goesIn)
    liftsMinor += (comesOut ? comingOutMinor(tariff) : 0) + (goesIn ? tariff.liftMinor : 0)
  }
  const daysAfloat = Math.max(0, last - first + 1 - daysAshore)
  return {
    daysAshore,
    daysAfloat,
    lifts,
    yardMinor,
    berthMinor,
    liftsMinor,
    totalMinor: yardMinor + berthMinor + liftsMinor,
  }
}

/**
 * Hours that people spend on the way to her, unpacking and packing up, for the given steps: each day of a person at the
 * boat once, nights spent there taken off.
 */
export function accessHours(
  rows: RefitRows,
  plan: StoredPlan,
  stepIds: ReadonlySet<string>,
  clock: ZoneClock,
): number {
  const lies = lieOf(rows, haulOutsAsPlanned(rows, plan, clock), clock)
  const atBoat = new Set(rows.step.filter((one) => one.placeNeed === 'boat').map((one) => one.id))
  const days = new Map<string, number>()
  for (const one of plan.placements) {
    if (!stepIds.has(one.stepId) || !atBoat.has(one.stepId)) continue
    for (const personId of one.personIds)
      for (const [at] of one.segments) days.set(`${personId} ${clock.dayOf(at)}`, clock.dayOf(at))
  }
  const wayMin = (place: Place | null) =>
    place ? 2 * place.travelMin + place.setUpMin + place.packUpMin : 0
  let minutes = 0
  for (const day of days.values()) minutes += wayMin(lies(day))
  for (const { personId, day, place } of nightsOf(rows, plan, clock))
    if (days.has(`${personId} ${day}`) && days.has(`${personId} ${day + 1}`))
      minutes -= wayMin(place)
  return minutes / 60
}
