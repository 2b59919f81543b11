import type { Place } from '../../model/entities'
import { weekdayOf } from '../../time/civil'
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
