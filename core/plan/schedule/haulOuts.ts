/** When she is out of the water. */
import type { HaulOut, Place } from '../../model/entities'
import type { StoredPlan } from '../../model/stored'
import { placeOfKind } from '../../model/refit'
import type { RefitRows } from '../../model/refit'
import { dayNumber, hourMs } from '../../time/civil'
import type { ZoneClock } from '../../time/zone'
import { Lifts } from './lifts'

/** A haul-out as the schedule sees it; `launchAt` is known once its launch is placed. */
export interface Ashore {
  readonly haulOut: HaulOut
  /** The yard; null when none was named. */
  readonly yard: Place | null
  /** When the yard can lift her. */
  readonly lifts: Lifts
  /** Work ashore may start. Not before she was launched from the haul-out before. */
  from: number
  /** The lift back in. Infinity while not placed. */
  launchAt: number
}

type HaulOutRows = Pick<RefitRows, 'haulOut' | 'place' | 'refit' | 'tideStation'>

/** Assumed time from the first strop to work going on: lifting, blocking, or leaving the slings. */
export const slingMs = 3 * hourMs

/** The yard that lifts her; without a name the first there is. Null: no yard is known. */
export const yardOf = (rows: Pick<RefitRows, 'place'>, { placeId }: HaulOut): Place | null =>
  (placeId === null ? undefined : rows.place.find((one) => one.id === placeId)) ??
  placeOfKind(rows, 'yard')

/** UTC ms at which a lift on a civil date begins. */
export const liftOn = (one: Pick<Ashore, 'lifts'>, date: string): number =>
  one.lifts.at(dayNumber(date))

const liftOutDate = (haulOut: HaulOut): string =>
  haulOut.liftOutActual ?? haulOut.liftOutBooked ?? haulOut.liftOutAimed

/** True when a lift-out is behind us by its date, and nobody said that it happened. */
export const isUnconfirmed = (haulOut: HaulOut, now: number, clock: ZoneClock): boolean =>
  haulOut.liftOutActual === null &&
  haulOut.launchActual === null &&
  liftOutDate(haulOut) < clock.dateOf(now)

/**
 * Haul-outs in time order, those already launched with their launch, none before the launch of the one before it. With
 * `now`, a lift-out that nobody confirmed comes on the next day on which the yard lifts.
 */
export function haulOutsInTime(rows: HaulOutRows, clock: ZoneClock, now?: number): Ashore[] {
  const ashore = rows.haulOut
    .map((haulOut): Ashore => {
      const yard = yardOf(rows, haulOut)
      const launched = haulOut.launchActual
      const lifts = new Lifts(rows, yard, haulOut, clock)
      const late = now !== undefined && isUnconfirmed(haulOut, now, clock)
      const lift = late ? lifts.next(now) : liftOn({ lifts }, liftOutDate(haulOut))
      return {
        haulOut,
        yard,
        lifts,
        from: lift + slingMs,
        launchAt: launched === null ? Infinity : liftOn({ lifts }, launched),
      }
    })
    .sort((a, b) => a.from - b.from || (a.haulOut.id < b.haulOut.id ? -1 : 1))
  ashore.forEach((_, index) => keepApart(ashore, index))
  return ashore
}

/** Puts off the lift-out after a launch that is known: she is let go first. */
export function keepApart(ashore: readonly Ashore[], launched: number): void {
  const [one, next] = [ashore[launched], ashore[launched + 1]]
  if (!one || !next || one.launchAt === Infinity) return
  if (next.haulOut.liftOutActual === null && next.from - slingMs < one.launchAt + slingMs)
    next.from = next.lifts.next(one.launchAt + slingMs) + slingMs
}

/** Haul-outs in time order, lifted and launched as planned where that has not happened. */
export function haulOutsAsPlanned(
  rows: HaulOutRows,
  plan: Pick<StoredPlan, 'launches'> | null,
  clock: ZoneClock,
): Ashore[] {
  const planned = new Map(plan?.launches.map((one) => [one.haulOutId, one]) ?? [])
  return haulOutsInTime(rows, clock).map((one) => {
    const laid = planned.get(one.haulOut.id)
    if (!laid || one.launchAt !== Infinity) return one
    return { ...one, from: laid.from, launchAt: laid.at }
  })
}
