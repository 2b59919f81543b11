/** Where she lies, day by day. */
import type { Place } from '../../model/entities'
import { byId, placeOfKind } from '../../model/refit'
import type { RefitRows } from '../../model/refit'
import { dayNumber } from '../../time/civil'
import type { ZoneClock } from '../../time/zone'
import { slingMs } from './haulOuts'
import type { Ashore } from './haulOuts'

/** The haul-out she stands ashore in as a local day begins; null: she is afloat. */
export function ashoreAtDawn(
  ashore: readonly Ashore[],
  day: number,
  clock: ZoneClock,
): Ashore | null {
  // As the day begins: people go to the yard on launch day, to the berth on lift-out day.
  const dawn = clock.at(day, 0)
  return ashore.find((one) => dawn >= one.from - slingMs && dawn < one.launchAt) ?? null
}

/**
 * Where she lies on a local day: in the yard of her haul-out; afloat at the berth said for that day, else at the first
 * one; without any berth in the yard. Null: no place is known.
 */
export function lieOf(
  rows: Pick<RefitRows, 'place' | 'lying'>,
  ashore: readonly Ashore[],
  clock: ZoneClock,
): (day: number) => Place | null {
  const places = byId(rows.place)
  const usual = placeOfKind(rows, 'berth') ?? ashore[0]?.yard ?? null
  const times = rows.lying.map((one) => ({
    from: dayNumber(one.from),
    to: dayNumber(one.to),
    place: places.get(one.placeId) ?? null,
  }))
  return (day) => {
    const hauled = ashoreAtDawn(ashore, day, clock)
    if (hauled) return hauled.yard
    return times.find((one) => one.from <= day && day <= one.to)?.place ?? usual
  }
}
