import type { RefitRows } from '../model/refit'
import { dateOf, hourMs, weekdayOf } from '../time/civil'
import { compile } from './schedule/compile'
import type { Compiled } from './schedule/compile'
import type { Bounds } from './schedule/criticalPath'
import { zoneClock } from '../time/zone'

/** A week's person-hours: asked for before levelling, and there. */
export interface WeekHours {
  readonly monday: string
  /** Planned hours of steps at their earliest, as if nobody were ever busy. */
  readonly asked: number
  /** Hours people can work at the boat that week. */
  readonly there: number
}

/** Hours asked against hours there for `weeks` weeks from the one `now` lies in. */
export function hoursByWeek(
  rows: RefitRows,
  bounds: ReadonlyMap<string, Bounds>,
  now: number,
  weeks: number,
): WeekHours[] {
  const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
  const compiled = compile(rows, clock, now)
  const today = clock.dayOf(now)
  const firstMonday = today - weekdayOf(today) + 1
  const asked = new Map<number, number>()
  for (const [stepId, bound] of bounds) {
    const activity = compiled.activities.get(stepId)
    if (!activity) continue
    const week = Math.floor((clock.dayOf(bound.earliestStart) - firstMonday) / 7)
    asked.set(week, (asked.get(week) ?? 0) + activity.workMs / hourMs)
  }
  return Array.from({ length: weeks }, (_, week) => ({
    monday: dateOf(firstMonday + week * 7),
    asked: asked.get(week) ?? 0,
    there: hoursThere(compiled, firstMonday + week * 7, today),
  }))
}

/** Presence at the boat over a week, days gone by left out. */
function hoursThere({ sites }: Compiled, monday: number, today: number): number {
  let ms = 0
  for (let day = Math.max(monday, today); day < monday + 7; day++)
    sites.people.forEach((_, person) => {
      for (const [from, to] of sites.presence(person, 'boat', day)) ms += to - from
    })
  return ms / hourMs
}
