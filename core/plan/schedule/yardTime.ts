import type { Place } from '../../model/entities'
import { dayMs, weekdayOf } from '../../time/civil'
import { intersect } from '../../time/intervals'
import type { Interval } from '../../time/intervals'
import type { ZoneClock } from '../../time/zone'

/** Minutes after midnight between which a yard is assumed to work, and its days when none are set. */
const opens = 8 * 60
const shuts = 17 * 60
const usualDays: readonly number[] = [1, 2, 3, 4, 5]

/** First instant at or after `at` in a yard's working hours, on the days on which it lifts. */
export function yardTime(at: number, yard: Place | null, clock: ZoneClock): number {
  const days = yard && yard.liftWeekdays.length > 0 ? yard.liftWeekdays : usualDays
  for (let day = clock.dayOf(at); ; day++) {
    if (!days.includes(weekdayOf(day)) || clock.at(day, shuts) <= at) continue
    return Math.max(at, clock.at(day, opens))
  }
}

/** Days looked through for a trade's hours: far more than any job of theirs takes. */
const mostDays = 4000

/**
 * Working stretches of a trade from `from` (UTC ms) on: on weekdays in the yard's hours, inside the windows, until
 * `workMs` are done. Null: the windows end before.
 */
export function tradeStretches(
  from: number,
  workMs: number,
  windows: readonly Interval[],
  clock: ZoneClock,
): Interval[] | null {
  const stretches: Interval[] = []
  let left = workMs
  const first = clock.dayOf(from)
  for (let day = first; day < first + mostDays; day++) {
    if (!usualDays.includes(weekdayOf(day))) continue
    const open: Interval = [Math.max(from, clock.at(day, opens)), clock.at(day, shuts)]
    if (open[1] <= open[0]) continue
    for (const [a, b] of intersect([open], windows)) {
      const to = Math.min(b, a + left)
      stretches.push([a, to])
      left -= to - a
      if (left <= 0) return stretches
    }
    if ((windows.at(-1)?.[1] ?? -Infinity) <= open[1]) return null
  }
  return null
}

/** Calendar time that trade hours take, weekends and nights among it: for reckoning back. */
export const tradeElapsedMs = (workMs: number): number =>
  Math.ceil(workMs / ((shuts - opens) * 60_000)) * (7 / usualDays.length) * dayMs
