/** A day as part of a chain of stays: nights at either end of it, and the ways between places within it. */
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import type { PlaceNeed } from '../model/words'
import { nightsOf } from '../levers/dayLevers'
import { haulOutsAsPlanned } from '../plan/schedule/haulOuts'
import { makeSites } from '../plan/schedule/sites'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { bareLine } from './dayLine'
import type { DayLine } from './dayLine'
import { placeOn } from './placeOn'

/** How the nights before and after a date are spent; null: everybody goes home. */
export interface DayNights {
  readonly before: 'aboard' | 'lodging' | null
  readonly after: 'aboard' | 'lodging' | null
}

/** The nights that the plan counts on round a date, of any of these people. What some leave unpacked, nobody packs. */
export function nightsAround(
  rows: RefitRows,
  plan: Pick<StoredPlan, 'placements' | 'launches'>,
  on: string,
  personIds: readonly string[],
  clock: ZoneClock,
): DayNights {
  const day = dayNumber(on)
  const nights = nightsOf(rows, plan, clock).filter((one) => personIds.includes(one.personId))
  const howOn = (at: number) => {
    const how = nights.find((one) => one.day === at)?.place.nights
    return how === undefined || how === 'none' ? null : how
  }
  return { before: howOn(day - 1), after: howOn(day) }
}

/** Packing up, the way and unpacking, for everybody who goes on to another place within the day. */
export function movesOn(
  rows: RefitRows,
  plan: Pick<StoredPlan, 'launches'>,
  work: readonly DayLine[],
  on: string,
  clock: ZoneClock,
): DayLine[] {
  const sites = makeSites(rows, clock, haulOutsAsPlanned(rows, plan, clock))
  const moves = new Map<string, DayLine>()
  for (const id of new Set(work.flatMap((line) => line.personIds))) {
    const own = work.filter((line) => line.personIds.includes(id))
    for (const [at, line] of own.entries()) {
      const before = own[at - 1]
      const [from, to] = [before?.step?.placeNeed, line.step?.placeNeed]
      if (!before || !from || !to || from === to) continue
      const length = sites.move(from, to, dayNumber(on))
      if (length === null) continue
      const key = `${before.to} ${to}`
      const known = moves.get(key)
      moves.set(key, {
        ...bareLine,
        kind: 'move',
        what: `Pack up, and on to ${nameOf(rows, plan, to, on, clock)}`,
        from: before.to,
        to: before.to + length,
        personIds: [...(known?.personIds ?? []), id],
      })
    }
  }
  return [...moves.values()]
}

const nameOf = (
  rows: RefitRows,
  plan: Pick<StoredPlan, 'launches'>,
  need: PlaceNeed,
  on: string,
  clock: ZoneClock,
): string => placeOn(rows, plan, on, need, clock)?.name ?? ''
