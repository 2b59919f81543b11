import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { haulOutsAsPlanned } from '../plan/schedule/haulOuts'
import type { ZoneClock } from '../time/zone'
import type { IsAfloat } from './daysAfloat'

/** Whether she is afloat on a local day, as it was or as it is planned. */
export function afloatBy(
  rows: Pick<RefitRows, 'haulOut' | 'place' | 'refit' | 'tideStation'>,
  plan: StoredPlan | null,
  clock: ZoneClock,
): IsAfloat {
  const ashore = haulOutsAsPlanned(rows, plan, clock).map((one) => ({
    from: clock.dayOf(one.from),
    to: one.launchAt === Infinity ? Infinity : clock.dayOf(one.launchAt),
  }))
  return (day) => !ashore.some((one) => one.from <= day && day < one.to)
}
