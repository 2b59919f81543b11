/** What yard and berth ask for over the whole refit, and from today on, when all goes as planned. */
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { haulOutsAsPlanned, slingMs } from '../plan/schedule/haulOuts'
import type { Derived } from '../progress/derive'
import { daysBetween } from '../time/civil'
import { comingOutMinor, daysMinor, tariffOf } from './yard'

export interface YardAhead {
  /** Every haul-out, gone and to come. */
  readonly wholeMinor: number
  /** From tomorrow on. */
  readonly toComeMinor: number
}

/** Haul-outs without a planned launch count to the day they are aimed at, or to today where that is gone. */
export function yardAhead(
  rows: RefitRows,
  plan: StoredPlan | null,
  { clock, today }: Pick<Derived, 'clock' | 'today'>,
): YardAhead {
  const loaM = rows.refit[0]?.loaM ?? 0
  let [wholeMinor, toComeMinor] = [0, 0]
  for (const one of haulOutsAsPlanned(rows, plan, clock)) {
    const tariff = tariffOf(rows.yardTariff, one.haulOut.placeId)
    if (!tariff) continue
    const lifted = one.haulOut.liftOutActual ?? clock.dateOf(one.from - slingMs)
    const aimed = one.haulOut.launchBooked ?? one.haulOut.launchAimed
    const launched =
      one.haulOut.launchActual ??
      (Number.isFinite(one.launchAt) ? clock.dateOf(one.launchAt) : aimed < today ? today : aimed)
    const all = Math.max(0, daysBetween(lifted, launched))
    const soFar = Math.min(all, Math.max(0, daysBetween(lifted, today)))
    const isOut = one.haulOut.liftOutActual !== null
    const isIn = one.haulOut.launchActual !== null && one.haulOut.launchActual <= today
    wholeMinor += comingOutMinor(tariff) + daysMinor(tariff, 1, all, loaM) + tariff.liftMinor
    toComeMinor +=
      (isOut ? 0 : comingOutMinor(tariff)) +
      daysMinor(tariff, soFar + 1, all, loaM) +
      (isIn ? 0 : tariff.liftMinor)
  }
  return { wholeMinor, toComeMinor }
}
