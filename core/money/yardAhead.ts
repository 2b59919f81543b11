/** What yard and berth ask for over the whole refit, and from tomorrow on, when all goes as planned. */
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { haulOutsAsPlanned, slingMs } from '../plan/schedule/haulOuts'
import type { Ashore } from '../plan/schedule/haulOuts'
import type { Derived } from '../progress/derive'
import { dayNumber } from '../time/civil'
import { berthsOf } from './berth'
import type { BerthTime } from './berth'
import { comingOutMinor, daysMinor, hasDayPrice, tariffOf } from './yard'

export interface YardAhead {
  /** Every haul-out, gone and to come, and the berths from the beginning of the refit to its last gate. */
  readonly wholeMinor: number
  /** Of it from tomorrow on. */
  readonly toComeMinor: number
}

type Time = Pick<Derived, 'clock' | 'today'>

/** Local days of a lift-out and of the launch after it: without a planned one the day aimed at, or today where that is gone. */
function daysOf({ haulOut, from, launchAt }: Ashore, { clock, today }: Time) {
  const aimed = haulOut.launchBooked ?? haulOut.launchAimed
  const lifted = haulOut.liftOutActual
  const launched = haulOut.launchActual ?? (aimed < today ? today : aimed)
  const isPlanned = haulOut.launchActual === null && Number.isFinite(launchAt)
  return {
    lifted: lifted === null ? clock.dayOf(from - slingMs) : dayNumber(lifted),
    launched: isPlanned ? clock.dayOf(launchAt) : dayNumber(launched),
  }
}

/** Launches and gates of a plan, or of a run of one. */
type Dates = Pick<StoredPlan, 'launches'> & {
  readonly gates: readonly { readonly at: number }[]
}

/**
 * Local days from which to which she is afloat, both counted, from the beginning of the refit to its last gate: the day of
 * a lift-out is one, that of a launch is the yard's.
 */
function afloatSpans(rows: RefitRows, ashore: readonly Ashore[], plan: Dates | null, time: Time) {
  const startedOn = rows.refit[0]?.startedOn ?? time.today
  const lastGate = plan?.gates.reduce((last, one) => Math.max(last, one.at), 0) ?? 0
  const times = ashore.map((one) => daysOf(one, time))
  const ends = [...times.map((one) => one.lifted), time.clock.dayOf(lastGate)]
  return [dayNumber(startedOn), ...times.map((one) => one.launched + 1)]
    .map((from, at) => ({ from, to: ends[at] ?? from }))
    .filter(({ from, to }) => from <= to)
}

/** Berth after berth from tomorrow to the last gate, but for the days ashore. */
export function berthsAhead(rows: RefitRows, plan: Dates | null, time: Time): BerthTime[] {
  const berths = berthsOf(rows)
  const tomorrow = dayNumber(time.today) + 1
  return afloatSpans(rows, haulOutsAsPlanned(rows, plan, time.clock), plan, time).flatMap(
    ({ from, to }) => berths.times(Math.max(from, tomorrow), to),
  )
}

export function yardAhead(rows: RefitRows, plan: Dates | null, time: Time): YardAhead {
  const loaM = rows.refit[0]?.loaM ?? 0
  const today = dayNumber(time.today)
  const berths = berthsOf(rows)
  const ashore = haulOutsAsPlanned(rows, plan, time.clock)
  let [wholeMinor, toComeMinor] = [0, 0]
  for (const one of ashore) {
    const tariff = tariffOf(rows, one.haulOut)
    if (!tariff) continue
    const { lifted, launched } = daysOf(one, time)
    const all = Math.max(0, launched - lifted)
    const soFar = Math.min(all, Math.max(0, today - lifted))
    const isOut = one.haulOut.liftOutActual !== null
    const isIn = one.haulOut.launchActual !== null && one.haulOut.launchActual <= time.today
    wholeMinor += comingOutMinor(tariff) + daysMinor(tariff, 1, all, loaM) + tariff.liftMinor
    toComeMinor +=
      (isOut ? 0 : comingOutMinor(tariff)) +
      daysMinor(tariff, soFar + 1, all, loaM) +
      (isIn ? 0 : tariff.liftMinor)
  }
  for (const { from, to } of afloatSpans(rows, ashore, plan, time)) {
    wholeMinor += berths.minor(from, to)
    toComeMinor += berths.minor(Math.max(from, today + 1), to)
  }
  return { wholeMinor, toComeMinor }
}

/**
 * What launching so many days after the plan's day asks for, days less than 0 before it: those days in the yard at their
 * own prices, and the berth on them that is not needed. Null: no day ashore has a price, or that launch is not to come.
 */
export function laterLaunch(
  rows: RefitRows,
  plan: Dates | null,
  haulOutId: string | null,
  days: number,
  time: Time,
): { readonly yardMinor: number; readonly berthMinor: number } | null {
  const one = haulOutsAsPlanned(rows, plan, time.clock).find(
    ({ haulOut }) => haulOut.id === haulOutId,
  )
  const tariff = one && tariffOf(rows, one.haulOut)
  if (!one || one.haulOut.launchActual !== null || !tariff || !hasDayPrice(tariff)) return null
  const { lifted, launched } = daysOf(one, time)
  const planned = Math.max(0, launched - lifted)
  const then = Math.max(0, planned + days)
  const [few, many] = [Math.min(planned, then), Math.max(planned, then)]
  const sign = Math.sign(days)
  return {
    yardMinor: sign * daysMinor(tariff, few + 1, many, rows.refit[0]?.loaM ?? 0),
    berthMinor: sign * berthsOf(rows).minor(lifted + few + 1, lifted + many),
  }
}

/** What it costs more, all told. */
export function laterLaunchMinor(...asked: Parameters<typeof laterLaunch>): number | null {
  const later = laterLaunch(...asked)
  return later && later.yardMinor - later.berthMinor
}
