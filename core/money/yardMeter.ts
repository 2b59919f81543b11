/** The yard meter: what each time ashore cost so far, and what of it nobody has asked for yet. */
import type { Row } from '../model/entities'
import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { haulOutsAsPlanned, slingMs } from '../plan/schedule/haulOuts'
import { daysBetween } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { inOwn } from './rate'
import { laterLaunch } from './yardAhead'
import { comingOutMinor, dayMinor, daysMinor, hasDayPrice, tariffOf } from './yard'

export interface YardAccount {
  readonly haulOut: Row<'haulOut'>
  /** Days in the yard so far. */
  readonly days: number
  readonly runUpMinor: number
  readonly billedMinor: number
  /** Run up beyond the bills. Once she is launched and a bill came, nothing more is reckoned. */
  readonly owedMinor: number
}

/** Each time she was lifted, up to `today` (civil date), in the refit's currency `own`. Without a tariff: none. */
export function yardAccounts(
  rows: Pick<RefitRows, 'haulOut' | 'place' | 'yardTariff' | 'spend' | 'refit'>,
  own: string,
  today: string,
): YardAccount[] {
  const loaM = rows.refit[0]?.loaM ?? 0
  const bills = groupBy(rows.spend, (one) => one.haulOutId)
  return rows.haulOut.flatMap((haulOut): YardAccount[] => {
    const tariff = tariffOf(rows, haulOut)
    const { liftOutActual, launchActual } = haulOut
    if (!tariff || liftOutActual === null || liftOutActual > today) return []
    const until = launchActual !== null && launchActual <= today ? launchActual : today
    const days = daysBetween(liftOutActual, until)
    const launched = launchActual !== null && launchActual <= today
    const runUpMinor =
      comingOutMinor(tariff) + daysMinor(tariff, 1, days, loaM) + (launched ? tariff.liftMinor : 0)
    const own_ = bills.get(haulOut.id) ?? []
    const billedMinor = own_.reduce(
      (sum, one) => sum + inOwn(one.minor, one, own) * (one.isBack ? -1 : 1),
      0,
    )
    const isSettled = launched && own_.length > 0
    const owedMinor = isSettled ? 0 : Math.max(0, runUpMinor - billedMinor)
    return [{ haulOut, days, runUpMinor, billedMinor, owedMinor }]
  })
}

/** The time ashore that runs, or comes next, with what it comes to when she is launched as planned. */
export interface YardMeter {
  readonly haulOut: Row<'haulOut'>
  readonly isAshore: boolean
  /** Days in the yard until today. */
  readonly daysSoFar: number
  readonly freeDays: number
  readonly daysSoFarMinor: number
  /** The lift out, blocking and washing. */
  readonly outMinor: number
  /** Civil date of the planned launch; null: it has none. */
  readonly launchOn: string | null
  /** Days from today to the launch. */
  readonly daysToCome: number
  readonly daysToComeMinor: number
  /** The lift back in. */
  readonly inMinor: number
  readonly totalMinor: number
  /** False: a lift has a price, a day ashore has none yet. */
  readonly hasDayPrice: boolean
  /** The next day in the yard. */
  readonly dayMinor: number
  /** What launching seven days later asks for; null: no day ashore has a price. */
  readonly weekLater: ReturnType<typeof laterLaunch>
}

/** The haul-out she is in, else the next; null: none, or no prices of a yard. `today`: civil date. */
export function yardMeter(
  rows: RefitRows,
  plan: StoredPlan | null,
  clock: ZoneClock,
  today: string,
): YardMeter | null {
  const loaM = rows.refit[0]?.loaM ?? 0
  const one = haulOutsAsPlanned(rows, plan, clock).find(
    ({ haulOut }) => haulOut.launchActual === null || haulOut.launchActual > today,
  )
  const tariff = one && tariffOf(rows, one.haulOut)
  if (!one || !tariff) return null
  const lifted = one.haulOut.liftOutActual ?? clock.dateOf(one.from - slingMs)
  const launchOn = Number.isFinite(one.launchAt) ? clock.dateOf(one.launchAt) : null
  const daysSoFar = Math.max(0, daysBetween(lifted, today))
  const allDays = launchOn === null ? daysSoFar : Math.max(daysSoFar, daysBetween(lifted, launchOn))
  const cost = (from: number, to: number) => daysMinor(tariff, from, to, loaM)
  const [daysSoFarMinor, daysToComeMinor] = [cost(1, daysSoFar), cost(daysSoFar + 1, allDays)]
  const [outMinor, inMinor] = [comingOutMinor(tariff), tariff.liftMinor]
  return {
    haulOut: one.haulOut,
    isAshore: one.haulOut.liftOutActual !== null && one.haulOut.liftOutActual <= today,
    daysSoFar,
    freeDays: tariff.freeDays,
    daysSoFarMinor,
    outMinor,
    launchOn,
    daysToCome: allDays - daysSoFar,
    daysToComeMinor,
    inMinor,
    totalMinor: outMinor + daysSoFarMinor + daysToComeMinor + inMinor,
    hasDayPrice: hasDayPrice(tariff),
    dayMinor: dayMinor(tariff, daysSoFar + 1, loaM),
    weekLater: laterLaunch(rows, plan, one.haulOut.id, 7, { clock, today }),
  }
}
