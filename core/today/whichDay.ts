/** Which of the next days suits a step that is done in one go? Source: handbook-2 C3. */
import type { Step } from '../model/entities'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { plannedHours } from '../plan/planned'
import { haulOutsAsPlanned } from '../plan/schedule/haulOuts'
import { hoursByClass } from '../plan/schedule/openHours'
import { makeSites } from '../plan/schedule/sites'
import type { Waits } from '../plan/waits'
import { ceilTick } from '../plan/schedule/tick'
import { hourMs } from '../time/civil'
import { intersect } from '../time/intervals'
import type { Interval } from '../time/intervals'
import type { ZoneClock } from '../time/zone'
import { teamOf } from '../plan/schedule/crews'
import { forecastDays } from '../weather/known'

/** A day as it suits a step. */
export interface SuitedDay {
  readonly on: string
  /** The longest stretch in which people and weather are both there; null: there is none. */
  readonly stretch: Interval | null
  /** Latest start in it with which the step is done, touch-dry included; null: it does not fit. */
  readonly latestStart: number | null
  /** Why not. `short`: there is a stretch, but not long enough. */
  readonly why: '' | 'nobody' | 'weather' | 'short'
}

const length = ([from, to]: Interval): number => to - from

/**
 * The next seven days, those that suit first, the one with most time to spare before. Who is busy with other work is
 * not asked: the plan weighs that. Empty when no forecast reaches.
 */
export function whichDay(
  rows: RefitRows,
  plan: StoredPlan | null,
  step: Step,
  now: number,
  waits: Waits,
  clock: ZoneClock,
): SuitedDay[] {
  if (waits.weather.until <= now) return []
  const sites = makeSites(rows, clock, haulOutsAsPlanned(rows, plan, clock))
  const { capable, hands } = teamOf(step, sites.people)
  const crewMin = Math.max(1, Math.min(step.crewMin, hands.length))
  const there = hoursByClass(sites).of({ capable, hands, crewMin, placeNeed: step.placeNeed })
  const workMs = ceilTick((plannedHours(step) * hourMs) / crewMin)
  const open = waits.weather.openTo(step, now) ?? [[-Infinity, Infinity]]
  const first = clock.dayOf(now)
  return Array.from({ length: forecastDays }, (_, ahead): SuitedDay => {
    const day = first + ahead
    const on = clock.dateOf(clock.at(day, 720))
    const people = there
      .on(day)
      .flatMap(([from, to]): Interval[] => (to > now ? [[Math.max(from, now), to]] : []))
    const none = { on, stretch: null, latestStart: null }
    if (people.length === 0 || hands.length < step.crewMin) return { ...none, why: 'nobody' }
    const [best] = intersect(people, open).sort((a, b) => length(b) - length(a))
    if (!best) return { ...none, why: 'weather' }
    if (length(best) < workMs) return { ...none, stretch: best, why: 'short' }
    return { on, stretch: best, latestStart: best[1] - workMs, why: '' }
  }).sort((a, b) => spare(b, workMs) - spare(a, workMs) || (a.on < b.on ? -1 : 1))
}

/** Time to spare on a day that suits, ms; -1: it does not. */
const spare = (day: SuitedDay, workMs: number): number =>
  day.why === '' && day.stretch ? length(day.stretch) - workMs : -1
