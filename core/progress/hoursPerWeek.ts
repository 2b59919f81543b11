import type { RefitRows } from '../model/refit'
import { addDays, daysBetween, mondayOf } from '../time/civil'
import { liveHours } from '../plan/liveHours'

/** Hours written down in one week, from Monday. */
export interface WeekHours {
  readonly week: string
  readonly workHours: number
  /** Travel, set-up, pack-up and clean-up. */
  readonly otherHours: number
}

/**
 * Person-hours of the last weeks up to that of `today`, oldest first, weeks without any among them;
 * corrected entries counted once. At most `weeks` of them, beginning with the first that has any.
 */
export function hoursPerWeek(
  rows: Pick<RefitRows, 'hoursEntry'>,
  today: string,
  weeks: number,
): WeekHours[] {
  const sums = new Map<string, WeekHours>()
  for (const { on, hours, kind } of liveHours(rows)) {
    const week = mondayOf(on)
    const was = sums.get(week) ?? { week, workHours: 0, otherHours: 0 }
    sums.set(week, {
      week,
      workHours: was.workHours + (kind === 'work' ? hours : 0),
      otherHours: was.otherHours + (kind === 'work' ? 0 : hours),
    })
  }
  const first = [...sums.keys()].sort()[0]
  if (first === undefined) return []
  const last = mondayOf(today)
  const count = Math.min(weeks, Math.max(0, daysBetween(first, last)) / 7 + 1)
  return Array.from({ length: count }, (_, index) => {
    const week = addDays(last, (index - count + 1) * 7)
    return sums.get(week) ?? { week, workHours: 0, otherHours: 0 }
  })
}
