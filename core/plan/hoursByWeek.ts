import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { dateOf, hourMs, weekdayOf } from '../time/civil'
import { zoneClock } from '../time/zone'
import { plannedJobs } from './network'
import { isOpen, plannedHours } from './planned'
import { handsOn } from './handsOn'
import type { HandsDay } from './handsOn'

/** A week's person-hours: what the plan puts there, and what its people have. */
interface WeekHours {
  readonly monday: string
  readonly planned: number
  /** Hours people can work that week, each day at the place they are planned at. */
  readonly there: number
}
export interface HoursReview {
  readonly weeks: readonly WeekHours[]
  /** Planned hours of open steps that have no place in the plan. */
  readonly unfit: number
}

/** Hours planned against hours there for `weeks` weeks from the one the plan was made in, and what does not fit. */
export function hoursByWeek(
  rows: RefitRows,
  plan: Pick<StoredPlan, 'placements' | 'launches' | 'now'>,
  weeks: number,
): HoursReview {
  const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
  const hands = handsOn(rows, plan, clock)
  const today = clock.dayOf(plan.now)
  const firstMonday = today - weekdayOf(today) + 1
  const planned = new Map<number, number>()
  for (const one of plan.placements)
    for (const [from, to] of one.segments) {
      const week = Math.floor((clock.dayOf(from) - firstMonday) / 7)
      planned.set(week, (planned.get(week) ?? 0) + ((to - from) / hourMs) * one.personIds.length)
    }
  return {
    unfit: unfitHours(rows, plan),
    weeks: Array.from({ length: weeks }, (_, week) => ({
      monday: dateOf(firstMonday + week * 7),
      planned: planned.get(week) ?? 0,
      there: hoursThere(hands, firstMonday + week * 7, today),
    })),
  }
}

/** What a week's days give, days gone by left out. */
function hoursThere(hands: (day: number) => HandsDay, monday: number, today: number): number {
  let hours = 0
  for (let day = Math.max(monday, today); day < monday + 7; day++) hours += hands(day).hours
  return hours
}

function unfitHours(rows: RefitRows, plan: Pick<StoredPlan, 'placements'>): number {
  const placed = new Set(plan.placements.map((one) => one.stepId))
  const jobs = new Set(plannedJobs(rows).map((job) => job.id))
  return rows.step
    .filter((step) => jobs.has(step.jobId) && isOpen(step) && !placed.has(step.id))
    .reduce((sum, step) => sum + plannedHours(step), 0)
}
