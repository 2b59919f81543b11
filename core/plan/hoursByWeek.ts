import { placeNeeds } from '../model/words'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { dateOf, hourMs, weekdayOf } from '../time/civil'
import { lengthOf } from '../time/intervals'
import { zoneClock } from '../time/zone'
import { plannedJobs } from './network'
import { isOpen, plannedHours } from './planned'
import { makeSites, widest } from './schedule/sites'
import { haulOutsAsPlanned } from './schedule/haulOuts'
import type { Sites } from './schedule/sites'

/** A week's person-hours: what the plan puts there, and what its people have. */
interface WeekHours {
  readonly monday: string
  readonly planned: number
  /** Hours people can work that week, at whichever place gives them most each day. */
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
  const sites = makeSites(rows, clock, haulOutsAsPlanned(rows, plan, clock))
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
      there: hoursThere(sites, firstMonday + week * 7, today),
    })),
  }
}

/** Presence over a week, days gone by left out. A person is at one place a day: the one that gives most. */
function hoursThere(sites: Sites, monday: number, today: number): number {
  let ms = 0
  for (let day = Math.max(monday, today); day < monday + 7; day++)
    sites.people.forEach((_, person) => {
      const at = placeNeeds.map((place) =>
        lengthOf(widest(sites, person, place, day), sites.pauseOn(person, day)),
      )
      ms += Math.max(...at)
    })
  return ms / hourMs
}

function unfitHours(rows: RefitRows, plan: Pick<StoredPlan, 'placements'>): number {
  const placed = new Set(plan.placements.map((one) => one.stepId))
  const jobs = new Set(plannedJobs(rows).map((job) => job.id))
  return rows.step
    .filter((step) => jobs.has(step.jobId) && isOpen(step) && !placed.has(step.id))
    .reduce((sum, step) => sum + plannedHours(step), 0)
}
