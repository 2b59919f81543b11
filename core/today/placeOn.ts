import type { Place } from '../model/entities'
import { placeOfKind } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import type { PlaceNeed } from '../model/words'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { haulOutsAsPlanned } from '../plan/schedule/haulOuts'
import { lieOf } from '../plan/schedule/lies'

/** The place people go to on a date for a kind of work: the yard or the berth for the boat, by where she lies. */
export function placeOn(
  rows: RefitRows,
  plan: Pick<StoredPlan, 'launches'> | null,
  on: string,
  placeNeed: PlaceNeed,
  clock: ZoneClock,
): Place | null {
  if (placeNeed === 'away') return null
  if (placeNeed === 'shed') return placeOfKind(rows, 'shed')
  return lieOf(rows, haulOutsAsPlanned(rows, plan, clock), clock)(dayNumber(on))
}
