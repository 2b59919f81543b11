/** Days on which she could go in: water, light, lift hours and people side by side. Source: handbook 6, handbook-2 H2. */
import type { LiftOdds } from '../model/odds'
import type { RefitRows } from '../model/refit'
import { slingMs } from '../plan/schedule/haulOuts'
import type { Ashore } from '../plan/schedule/haulOuts'
import { widest } from '../plan/schedule/sites'
import type { Sites } from '../plan/schedule/sites'
import { daylight } from '../tide/daylight'
import { liftHours } from '../tide/slip'
import { waterOver } from '../tide/tide'
import { dateOf, dayNumber, minuteMs, weekdayOf } from '../time/civil'
import { joined } from '../time/intervals'
import type { Interval } from '../time/intervals'
import type { ZoneClock } from '../time/zone'

export interface LiftDay {
  readonly day: number
  /** Civil date. */
  readonly on: string
  /** The yard lifts then, by weekday and closed dates. */
  readonly isLiftDay: boolean
  /** Why it is closed; '': it is not. */
  readonly closedFor: string
  /** Stretches of the day with her depth at the slip; null: no tide is known. */
  readonly water: readonly Interval[] | null
  /** When she can be lifted in: in lift hours, light and water; null: not that day. */
  readonly window: Interval | null
  readonly light: Interval | null
  /** When people of the boat are there, and who comes for the lift. */
  readonly presence: readonly Interval[]
  readonly personIds: readonly string[]
  /** Of 100 runs, those in which all is ready by then; null: not weighed. */
  readonly ready: number | null
  readonly extraMinor: number | null
  readonly isBooked: boolean
  readonly isPlanned: boolean
  readonly isBest: boolean
}

/** The days from one to another, both included. */
export function liftDaysOf(
  rows: RefitRows,
  one: Ashore,
  sites: Sites,
  odds: LiftOdds | null,
  clock: ZoneClock,
  from: number,
  to: number,
): LiftDay[] {
  const refit = rows.refit[0]
  const { yard, lifts, haulOut } = one
  const slip = lifts.slip
  const weighed = new Map(odds?.all?.map(([day, ready, extra]) => [day, { ready, extra }]) ?? [])
  const booked = haulOut.launchBooked === null ? null : dayNumber(haulOut.launchBooked)
  const planned = one.launchAt === Infinity ? null : clock.dayOf(one.launchAt)
  return Array.from({ length: Math.max(0, to - from + 1) }, (_, index): LiftDay => {
    const day = from + index
    const [start, end] = [clock.at(day, 0), clock.at(day + 1, 0)]
    const isLiftDay = lifts.isWeekday(day) && !lifts.isClosed(day)
    const closed = yard?.noLifts.find(
      (each) => dayNumber(each.from) <= day && day <= dayNumber(each.to),
    )
    const hours = yard && refit ? liftHours(yard, day, refit, clock) : null
    const window = !isLiftDay ? null : slip ? (slip.windows(day)[0] ?? null) : hours
    const there = sites.people.map((_, person) => widest(sites, person, 'boat', day))
    const liftAt = window?.[0] ?? lifts.at(day)
    const { latitudeDeg, longitudeDeg } = refit ?? { latitudeDeg: null, longitudeDeg: null }
    return {
      day,
      on: dateOf(day),
      isLiftDay,
      closedFor: closed ? closed.why || 'closed' : '',
      water: slip && slip.isKnown(day) ? waterOver(slip.tide, slip.needM, start, end) : null,
      window,
      light:
        latitudeDeg === null || longitudeDeg === null
          ? null
          : daylight(day, latitudeDeg, longitudeDeg, clock),
      presence: joined(there.flat()),
      personIds: sites.people
        .filter((_, person) => there[person]?.some(([a, b]) => a < liftAt + slingMs && b > liftAt))
        .map((person) => person.id),
      ready: weighed.get(day)?.ready ?? null,
      extraMinor: weighed.get(day)?.extra ?? null,
      isBooked: day === booked,
      isPlanned: day === planned,
      isBest: day === odds?.bestDay,
    }
  })
}

/** Days drawn: from the week of the aim, or of the plan where that is sooner, for about four weeks; not before today. */
export function liftDaysShown(
  one: Ashore,
  today: number,
  clock: ZoneClock,
): [from: number, to: number] {
  const aim = dayNumber(one.haulOut.launchBooked ?? one.haulOut.launchAimed)
  const planned = one.launchAt === Infinity ? aim : clock.dayOf(one.launchAt)
  const first = Math.max(today, Math.min(aim, planned))
  // Begun on the Saturday before, so that the weeks stand under one another.
  const from = Math.max(today, first - ((weekdayOf(first) + 1) % 7))
  return [from, Math.max(from + 27, planned + 7)]
}

/** Minutes of a stretch. */
export const minutesOfSpan = ([a, b]: Interval): number => Math.round((b - a) / minuteMs)
