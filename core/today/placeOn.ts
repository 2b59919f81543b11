import type { Place } from '../model/entities'
import { placeOfKind } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import type { PlaceNeed } from '../model/words'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { haulOutsAsPlanned, slingMs } from '../plan/schedule/haulOuts'
import type { Ashore } from '../plan/schedule/haulOuts'

/** The haul-out she stands ashore in as a date begins; null: she is afloat. */
export function ashoreOn(ashore: readonly Ashore[], on: string, clock: ZoneClock): Ashore | null {
  const dawn = clock.at(dayNumber(on), 0)
  return ashore.find((one) => dawn >= one.from - slingMs && dawn < one.launchAt) ?? null
}

/** The place people go to on a date for a kind of work: the yard or the berth for the boat, by where she lies. */
export function placeOn(
  rows: RefitRows,
  plan: Pick<StoredPlan, 'launches'> | null,
  on: string,
  placeNeed: PlaceNeed,
  clock: ZoneClock,
): Place | null {
  const of = (kind: Place['kind']) => placeOfKind(rows, kind)
  if (placeNeed === 'away') return null
  if (placeNeed === 'shed') return of('shed')
  const ashore = haulOutsAsPlanned(rows, plan, clock)
  const here = ashoreOn(ashore, on, clock)
  return here ? here.yard : (of('berth') ?? ashore[0]?.yard ?? null)
}
