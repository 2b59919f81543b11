/** When she is out of the water. */
import type { HaulOut, Place } from '../../model/entities'
import type { StoredPlan } from '../../model/stored'
import { placeOfKind } from '../../model/refit'
import type { RefitRows } from '../../model/refit'
import { dayNumber, hourMs, minutesOf, weekdayOf } from '../../time/civil'
import type { ZoneClock } from '../../time/zone'

/** A haul-out as the schedule sees it; `launchAt` is known once its launch is placed. */
export interface Ashore {
  readonly haulOut: HaulOut
  /** The yard; null when none was named. */
  readonly yard: Place | null
  /** Work ashore may start. Not before she was launched from the haul-out before. */
  from: number
  /** The lift back in. Infinity while not placed. */
  launchAt: number
}

/** Assumed time from the first strop to work going on: lifting, blocking, or leaving the slings. */
export const slingMs = 3 * hourMs

/** Reader of the local days on which a yard lifts nothing. Source: handbook-2 H2. */
export function liftsNothing(yard: Place | null): (day: number) => boolean {
  const closed = (yard?.noLifts ?? []).map(
    (one) => [dayNumber(one.from), dayNumber(one.to)] as const,
  )
  return (day) => closed.some(([from, to]) => from <= day && day <= to)
}

/** First instant at or after `from` at which the yard lifts. */
export function nextLift(from: number, yard: Place | null, clock: ZoneClock): number {
  const weekdays = yard?.liftWeekdays ?? []
  const liftAt = (day: number) => liftOnDay(yard, day, clock)
  const isClosed = liftsNothing(yard)
  const lifts = (day: number) => weekdays.length === 0 || weekdays.includes(weekdayOf(day))
  const first = clock.dayOf(from)
  let day = first
  let looked = 0
  // A yard that names no day of the week lifts on none: after a week of looking any day will do.
  while (liftAt(day) < from || isClosed(day) || (!lifts(day) && looked <= 7)) {
    if (!isClosed(day)) looked++
    day++
  }
  return liftAt(day)
}

/** UTC ms of the yard's first lift on a local day. */
export const liftOnDay = (yard: Place | null, day: number, clock: ZoneClock): number =>
  clock.at(day, minutesOf(yard?.liftFrom ?? '09:00'))

/** UTC ms of the yard's first lift on a civil date. */
export const liftOn = (one: Pick<Ashore, 'yard'>, date: string, clock: ZoneClock): number =>
  liftOnDay(one.yard, dayNumber(date), clock)

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
export function haulOutsInTime(
  rows: Pick<RefitRows, 'haulOut' | 'place'>,
  clock: ZoneClock,
  now?: number,
): Ashore[] {
  const places = new Map(rows.place.map((place) => [place.id, place]))
  const yardOf = (haulOut: HaulOut) =>
    (haulOut.placeId === null ? undefined : places.get(haulOut.placeId)) ??
    placeOfKind(rows, 'yard')
  const ashore = rows.haulOut
    .map((haulOut): Ashore => {
      const yard = yardOf(haulOut)
      const launched = haulOut.launchActual
      const late = now !== undefined && isUnconfirmed(haulOut, now, clock)
      const lift = late ? nextLift(now, yard, clock) : liftOn({ yard }, liftOutDate(haulOut), clock)
      return {
        haulOut,
        yard,
        from: lift + slingMs,
        launchAt: launched === null ? Infinity : liftOn({ yard }, launched, clock),
      }
    })
    .sort((a, b) => a.from - b.from || (a.haulOut.id < b.haulOut.id ? -1 : 1))
  ashore.forEach((_, index) => keepApart(ashore, index, clock))
  return ashore
}

/** Puts off the lift-out after a launch that is known: she is let go first. */
export function keepApart(ashore: readonly Ashore[], launched: number, clock: ZoneClock): void {
  const [one, next] = [ashore[launched], ashore[launched + 1]]
  if (!one || !next || one.launchAt === Infinity) return
  if (next.haulOut.liftOutActual === null && next.from - slingMs < one.launchAt + slingMs)
    next.from = nextLift(one.launchAt + slingMs, next.yard, clock) + slingMs
}

/** Haul-outs in time order, lifted and launched as planned where that has not happened. */
export function haulOutsAsPlanned(
  rows: Pick<RefitRows, 'haulOut' | 'place'>,
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
