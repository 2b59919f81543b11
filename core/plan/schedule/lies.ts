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

type LyingRows = Pick<RefitRows, 'place' | 'lying'>

/**
 * Local days `first` to `last` afloat, both counted, by the berth she lies at: said for a time, else the first one.
 * Neighbouring times at one berth are one. `without`: where she lies without any berth.
 */
export function berthTimes(
  rows: LyingRows,
  without: Place | null,
): (first: number, last: number) => { place: Place | null; from: number; to: number }[] {
  const places = byId(rows.place)
  const usual = placeOfKind(rows, 'berth') ?? without
  const said = rows.lying
    .map((one) => ({
      place: places.get(one.placeId) ?? null,
      from: dayNumber(one.from),
      to: dayNumber(one.to),
    }))
    .sort((a, b) => a.from - b.from)
  return (first, last) => {
    const times: { place: Place | null; from: number; to: number }[] = []
    const lie = (place: Place | null, until: number) => {
      const before = times.at(-1)
      const from = before ? before.to + 1 : first
      const to = Math.min(until, last)
      if (to < from) return
      if (before && before.place?.id === place?.id) before.to = to
      else times.push({ place, from, to })
    }
    for (const one of said) {
      lie(usual, one.from - 1)
      lie(one.place, one.to)
    }
    lie(usual, last)
    return times
  }
}

/**
 * Where she lies on a local day: in the yard of her haul-out; afloat at the berth said for that day, else at the first
 * one; without any berth in the yard. Null: no place is known.
 */
export function lieOf(
  rows: LyingRows,
  ashore: readonly Ashore[],
  clock: ZoneClock,
): (day: number) => Place | null {
  const timesOf = berthTimes(rows, ashore[0]?.yard ?? null)
  return (day) => {
    const hauled = ashoreAtDawn(ashore, day, clock)
    return hauled ? hauled.yard : (timesOf(day, day)[0]?.place ?? null)
  }
}
