/** Who is there on a day and for how long: one sum for the weeks of hours, the widths of days and the hands over them. */
import type { StoredPlan } from '../model/stored'
import { placeNeeds } from '../model/words'
import type { PlaceNeed } from '../model/words'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { dayMemo } from '../time/dayMemo'
import { hourMs } from '../time/civil'
import { lengthOf } from '../time/intervals'
import type { ZoneClock } from '../time/zone'
import { haulOutsAsPlanned } from './schedule/haulOuts'
import { makeSites, widest } from './schedule/sites'

/** A day as its hands. */
export interface HandsDay {
  /** Local day number. */
  readonly day: number
  /** Person-hours there. */
  readonly hours: number
  readonly personIds: readonly string[]
  /** Hours of each of them. */
  readonly hoursEach: readonly number[]
  /** Who would come and cannot. */
  readonly awayIds: readonly string[]
}

/** What a plan has a person do on a day. */
interface Worked {
  readonly places: Set<PlaceNeed>
  readonly spans: (readonly [number, number])[]
}

/** By `person day`. */
function workedOn(
  rows: Pick<RefitRows, 'step'>,
  plan: Pick<StoredPlan, 'placements'> | null,
  clock: ZoneClock,
): ReadonlyMap<string, Worked> {
  const steps = byId(rows.step)
  const worked = new Map<string, Worked>()
  for (const one of plan?.placements ?? []) {
    const need = steps.get(one.stepId)?.placeNeed
    if (!need) continue
    for (const span of one.segments)
      for (const personId of one.personIds) {
        const key = `${personId} ${clock.dayOf(span[0])}`
        const known = worked.get(key) ?? { places: new Set<PlaceNeed>(), spans: [] }
        known.places.add(need)
        known.spans.push(span)
        worked.set(key, known)
      }
  }
  return worked
}

/** The part of a pause through which somebody works, because the work cannot be left. */
function workedThrough(pause: readonly [number, number] | null, day: Worked | undefined): number {
  if (!pause || !day) return 0
  return day.spans.reduce(
    (sum, [from, to]) => sum + Math.max(0, Math.min(to, pause[1]) - Math.max(from, pause[0])),
    0,
  )
}

/**
 * Hours of local days as asked: what each person can give at the place worked that day, travel, set-up, pack-up and the
 * pause they keep taken off; a day the plan leaves free at whichever place gives most.
 */
export function handsOn(
  rows: RefitRows,
  plan: Pick<StoredPlan, 'placements' | 'launches'> | null,
  clock: ZoneClock,
): (day: number) => HandsDay {
  const sites = makeSites(rows, clock, haulOutsAsPlanned(rows, plan, clock))
  const worked = workedOn(rows, plan, clock)
  return dayMemo((day) => {
    const personIds: string[] = []
    const awayIds: string[] = []
    const hoursEach: number[] = []
    sites.people.forEach((person, index) => {
      if (sites.away(index, day)) awayIds.push(person.id)
      const own = worked.get(`${person.id} ${day}`)
      const pause = sites.pauseOn(index, day)
      const most = Math.max(
        ...[...(own?.places ?? placeNeeds)].map((place) =>
          lengthOf(widest(sites, index, place, day), pause),
        ),
      )
      if (most <= 0) return
      personIds.push(person.id)
      hoursEach.push((most + workedThrough(pause, own)) / hourMs)
    })
    const hours = hoursEach.reduce((sum, one) => sum + one, 0)
    return { day, hours, personIds, hoursEach, awayIds }
  })
}
