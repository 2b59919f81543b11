/** Hours of each week of a drawing: planned, logged and there. */
import type { HandsDay } from '../plan/handsOn'
import { liveHours } from '../plan/liveHours'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { dayNumber, hourMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { mondayOn } from './ruler'

export interface WeekFigures {
  /** Local day number of its Monday. */
  readonly monday: number
  /** Person-hours that the plan puts there. */
  readonly planned: number
  readonly logged: number
  /** Person-hours people can give from `today` on. */
  readonly there: number
}

const adder = () => {
  const sums = new Map<number, number>()
  return {
    sums,
    add: (week: number, hours: number) => sums.set(week, (sums.get(week) ?? 0) + hours),
  }
}

/** Figures of every week from the Monday `first` to before `end` (local day numbers). */
export function weekFigures(
  rows: RefitRows,
  plan: Pick<StoredPlan, 'placements'> | null,
  clock: ZoneClock,
  hands: (day: number) => HandsDay,
  first: number,
  end: number,
  today: number,
): WeekFigures[] {
  const planned = adder()
  for (const one of plan?.placements ?? [])
    for (const [from, to] of one.segments)
      planned.add(mondayOn(clock.dayOf(from)), ((to - from) / hourMs) * one.personIds.length)
  const logged = adder()
  for (const entry of liveHours(rows)) logged.add(mondayOn(dayNumber(entry.on)), entry.hours)
  const figures: WeekFigures[] = []
  for (let monday = first; monday < end; monday += 7) {
    let there = 0
    for (let day = Math.max(monday, today); day < monday + 7; day++) there += hands(day).hours
    figures.push({
      monday,
      planned: planned.sums.get(monday) ?? 0,
      logged: logged.sums.get(monday) ?? 0,
      there,
    })
  }
  return figures
}
