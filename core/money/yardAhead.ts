/** What yard and berth ask for over the whole refit, and from tomorrow on, when all goes as planned. */
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { haulOutsAsPlanned, slingMs } from '../plan/schedule/haulOuts'
import type { Ashore } from '../plan/schedule/haulOuts'
import type { Derived } from '../progress/derive'
import { daysBetween } from '../time/civil'
import { comingOutMinor, daysMinor, hasDayPrice, tariffOf } from './yard'

export interface YardAhead {
  /** Every haul-out, gone and to come, and the berth between them until the last gate. */
  readonly wholeMinor: number
  /** Of it from tomorrow on. */
  readonly toComeMinor: number
}

type Time = Pick<Derived, 'clock' | 'today'>

/** Civil dates of a lift-out and of the launch after it: without a planned one the day aimed at, or today where that is gone. */
function datesOf({ haulOut, from, launchAt }: Ashore, { clock, today }: Time) {
  const aimed = haulOut.launchBooked ?? haulOut.launchAimed
  const planned = Number.isFinite(launchAt) ? clock.dateOf(launchAt) : null
  return {
    lifted: haulOut.liftOutActual ?? clock.dateOf(from - slingMs),
    launched: haulOut.launchActual ?? planned ?? (aimed < today ? today : aimed),
  }
}

/** Days from one date to another, and how many of them are still to come. */
function daysOf(from: string, to: string, today: string) {
  const all = Math.max(0, daysBetween(from, to))
  const soFar = Math.min(all, Math.max(0, daysBetween(from, today)))
  return { all, soFar, toCome: all - soFar }
}

/** Launches and gates of a plan, or of a run of one. */
type Dates = Pick<StoredPlan, 'launches'> & {
  readonly gates: readonly { readonly at: number }[]
}

export function yardAhead(rows: RefitRows, plan: Dates | null, time: Time): YardAhead {
  const loaM = rows.refit[0]?.loaM ?? 0
  const { clock, today } = time
  const ashore = haulOutsAsPlanned(rows, plan, clock)
  const lastGate = plan?.gates.reduce((last, one) => Math.max(last, one.at), 0) ?? 0
  const berthMinor = tariffOf(rows.yardTariff, null)?.berthPerDayMinor ?? 0
  let [wholeMinor, toComeMinor] = [0, 0]
  ashore.forEach((one, index) => {
    const tariff = tariffOf(rows.yardTariff, one.haulOut.placeId)
    if (!tariff) return
    const { lifted, launched } = datesOf(one, time)
    const yard = daysOf(lifted, launched, today)
    const isOut = one.haulOut.liftOutActual !== null
    const isIn = one.haulOut.launchActual !== null && one.haulOut.launchActual <= today
    wholeMinor += comingOutMinor(tariff) + daysMinor(tariff, 1, yard.all, loaM) + tariff.liftMinor
    toComeMinor +=
      (isOut ? 0 : comingOutMinor(tariff)) +
      daysMinor(tariff, yard.soFar + 1, yard.all, loaM) +
      (isIn ? 0 : tariff.liftMinor)
    const next = ashore[index + 1]
    const until = next ? datesOf(next, time).lifted : clock.dateOf(lastGate)
    const berth = daysOf(launched, until, today)
    wholeMinor += berth.all * berthMinor
    toComeMinor += berth.toCome * berthMinor
  })
  return { wholeMinor, toComeMinor }
}

/**
 * What launching so many days after the plan's day costs more, days less than 0 before it: those days in the yard at
 * their own prices, less the berth for as many. Null: no day ashore has a price, or that launch is not to come.
 */
export function laterLaunchMinor(
  rows: RefitRows,
  plan: Dates | null,
  haulOutId: string | null,
  days: number,
  time: Time,
): number | null {
  const one = haulOutsAsPlanned(rows, plan, time.clock).find(
    ({ haulOut }) => haulOut.id === haulOutId,
  )
  const tariff = tariffOf(rows.yardTariff, one?.haulOut.placeId)
  if (!one || one.haulOut.launchActual !== null || !tariff || !hasDayPrice(tariff)) return null
  const { lifted, launched } = datesOf(one, time)
  const planned = Math.max(0, daysBetween(lifted, launched))
  const then = Math.max(0, planned + days)
  const [few, many] = [Math.min(planned, then), Math.max(planned, then)]
  const yard = daysMinor(tariff, few + 1, many, rows.refit[0]?.loaM ?? 0)
  const berth = (many - few) * (tariffOf(rows.yardTariff, null)?.berthPerDayMinor ?? 0)
  return Math.sign(days) * (yard - berth)
}
