import { addDays, daysBetween, dayNumber, weekdayOf } from './civil'

/** Longest stretch of days entered in one go. */
export const longestSpanDays = 366

/**
 * Every civil date from the first to the last, both in; with `weekdays` (1 Monday to 7 Sunday) only those.
 * Empty when the last is before the first or the stretch is longer than `longestSpanDays`.
 */
export function datesFromTo(
  from: string,
  to: string,
  weekdays: readonly number[] | null = null,
): string[] {
  const many = daysBetween(from, to) + 1
  if (many < 1 || many > longestSpanDays) return []
  return Array.from({ length: many }, (_, index) => addDays(from, index)).filter(
    (date) => weekdays === null || weekdays.includes(weekdayOf(dayNumber(date))),
  )
}
