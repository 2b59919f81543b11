import type { Place } from '../model/entities'
import { minutesOf, weekdayOf } from './civil'
import type { Interval } from './intervals'

const allDay: Interval = [0, 24 * 60]

/** Minutes after midnight between which a place is open on a local day; null: shut all day. */
export function openOn(place: Place | null, day: number): Interval | null {
  if (place === null) return allDay
  if (place.shutWeekdays.includes(weekdayOf(day))) return null
  return [
    place.opensAt === null ? 0 : minutesOf(place.opensAt),
    place.shutsAt === null ? 24 * 60 : minutesOf(place.shutsAt),
  ]
}
