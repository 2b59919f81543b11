/** Days counted only while she floats: ashore no engine runs and no anode goes. */
import { dateOf, dayNumber } from '../time/civil'

/** Whether she is afloat on a local day, as it was or is planned: ashore no hours run. */
export type IsAfloat = (day: number) => boolean

/** Days afloat from one civil date up to another. */
export function daysAfloat(from: string, to: string, isAfloat: IsAfloat): number {
  let days = 0
  for (let day = dayNumber(from); day < dayNumber(to); day++) if (isAfloat(day)) days++
  return days
}

/** Days looked through for the one that is asked for. */
const mostDays = 4000

/** The civil date by which she was so many days afloat since another; null: not within some ten years. */
export function dayAfloat(from: string, days: number, isAfloat: IsAfloat): string | null {
  let left = days
  const first = dayNumber(from)
  for (let day = first; day < first + mostDays; day++) {
    if (left <= 1e-9) return dateOf(day)
    if (isAfloat(day)) left -= 1
  }
  return null
}
