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
  /** Who would come and cannot. */
  readonly awayIds: readonly string[]
}

type Worked = ReadonlyMap<string, ReadonlySet<PlaceNeed>>

/** Kinds of place at which a plan has each person on each day, by `person day`. */
function workedPlaces(
  rows: Pick<RefitRows, 'step'>,
  plan: Pick<StoredPlan, 'placements'> | null,
  clock: ZoneClock,
): Worked {
  const steps = byId(rows.step)
  const worked = new Map<string, Set<PlaceNeed>>()
  for (const one of plan?.placements ?? []) {
    const need = steps.get(one.stepId)?.placeNeed
    if (!need) continue
    for (const [from] of one.segments)
      for (const personId of one.personIds) {
        const key = `${personId} ${clock.dayOf(from)}`
        const known = worked.get(key)
        if (known) known.add(need)
        else worked.set(key, new Set([need]))
      }
  }
  return worked
}

/**
 * Hands of local days as asked: what each person can give at the place worked that day, travel, set-up and pack-up
 * taken off; a day the plan leaves free at whichever place gives most.
 */
export function handsOn(
  rows: RefitRows,
  plan: Pick<StoredPlan, 'placements' | 'launches'> | null,
  clock: ZoneClock,
): (day: number) => HandsDay {
  const sites = makeSites(rows, clock, haulOutsAsPlanned(rows, plan, clock))
  const worked = workedPlaces(rows, plan, clock)
  return dayMemo((day) => {
    const personIds: string[] = []
    const awayIds: string[] = []
    let hours = 0
    sites.people.forEach((person, index) => {
      if (sites.away(index, day)) awayIds.push(person.id)
      const places = worked.get(`${person.id} ${day}`) ?? placeNeeds
      const most = Math.max(
        ...[...places].map((place) =>
          lengthOf(widest(sites, index, place, day), sites.pauseOn(index, day)),
        ),
      )
      if (most <= 0) return
      personIds.push(person.id)
      hours += most / hourMs
    })
    return { day, hours, personIds, awayIds }
  })
}
