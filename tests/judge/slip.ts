/** The water at a slip, written down here again: a tide of the sun alone. */
import type { RefitRows } from '../../core/model/refit'
import type { Haul } from './hulls'
import { hhmm, hour, minute } from './wallClock'
import type { Wall } from './wallClock'

/** Whether a tide of the sun alone, written down here again, is deep enough at an instant. */
export function isDeep(rows: RefitRows, haul: Haul): ((at: number) => boolean) | null {
  const station = rows.tideStation.find((one) => one.id === haul.yard?.tideStationId)
  const sun = station?.constituents[0]
  const draught = rows.refit[0]?.draughtM
  if (!station || !sun || draught == null || !haul.yard) return null
  const need = draught + haul.yard.underKeelM - haul.yard.slipDepthM
  return (at) => {
    const angle = 30 * (at / hour) - sun.phaseDeg
    return station.meanM + sun.amplitudeM * Math.cos((angle * Math.PI) / 180) >= need
  }
}

/**
 * The first minute of a day's lift hours from which she has her depth for long enough; null: there is none.
 * @param less minutes by which the water may be short.
 */
export function firstDeep(
  haul: Haul,
  deep: (at: number) => boolean,
  at: number,
  wall: (at: number) => Wall,
  less = 0,
): number | null {
  const [opens, shuts] = [hhmm(haul.yard?.liftFrom ?? ''), hhmm(haul.yard?.liftUntil ?? '')]
  const midnight = at - wall(at).minutes * minute
  let from: number | null = null
  for (let minutes = opens; minutes <= shuts; minutes++) {
    const now = midnight + minutes * minute
    if (!deep(now) || minutes === shuts) {
      const until = minutes
      // Slings and swing take 35 minutes, and can be done before the water is there.
      const lift = from === null ? 0 : Math.max(opens, from - 35)
      const lowered = Math.max(lift + 35, from ?? 0)
      if (from !== null && until - lowered >= (haul.yard?.launchMin ?? 0) - less)
        return midnight + lift * minute
      from = null
    } else from ??= minutes
  }
  return null
}

const day = 24 * hour

/** The first day from an instant on which she can be lifted: a day of the yard, not closed, with water; null: none in 500. */
export function firstLift(
  rows: RefitRows,
  haul: Haul,
  from: number,
  wall: (at: number) => Wall,
): number | null {
  const deep = isDeep(rows, haul)
  const weekdays = haul.yard?.liftWeekdays ?? []
  for (let at = from; at < from + 500 * day; at += day) {
    const { date, weekday } = wall(at)
    if (weekdays.length > 0 && !weekdays.includes(weekday)) continue
    if ((haul.yard?.noLifts ?? []).some((one) => one.from <= date && date <= one.to)) continue
    if (!deep || firstDeep(haul, deep, at, wall) !== null) return at
  }
  return null
}
