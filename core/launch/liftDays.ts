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
  /** There is water in the lift hours, and too little to get away in. */
  readonly isShort: boolean
  /** When the slings would go on, UTC ms. */
  readonly liftAt: number
  readonly light: Interval | null
  /** When people of the boat are there, and who comes for the lift. */
  readonly presence: readonly Interval[]
  readonly personIds: readonly string[]
  /** Of 100 runs, those in which all is ready by then; null: not weighed. */
  readonly ready: number | null
  /** She could be lifted, and too few of the boat are there for it: it was left out where the days before and after were weighed. */
  readonly isTooFew: boolean
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
  const [firstWeighed, lastWeighed] = [Math.min(...weighed.keys()), Math.max(...weighed.keys())]
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
    const lift = isLiftDay && slip ? slip.lift(day) : null
    const window = !isLiftDay ? null : slip ? (lift?.window ?? null) : hours
    const there = sites.people.map((_, person) => widest(sites, person, 'boat', day))
    const liftAt = lifts.at(day)
    const { latitudeDeg, longitudeDeg } = refit ?? { latitudeDeg: null, longitudeDeg: null }
    return {
      day,
      on: dateOf(day),
      isLiftDay,
      closedFor: closed ? closed.why || 'closed' : '',
      water: slip && slip.isKnown(day) ? waterOver(slip.tide, slip.needM, start, end) : null,
      window,
      isShort: isLiftDay && slip !== null && lift === null && slip.windows(day).length > 0,
      liftAt,
      light:
        latitudeDeg === null || longitudeDeg === null
          ? null
          : daylight(day, latitudeDeg, longitudeDeg, clock),
      presence: joined(there.flat()),
      personIds: sites.people
        .filter((_, person) => there[person]?.some(([a, b]) => a < liftAt + slingMs && b > liftAt))
        .map((person) => person.id),
      ready: weighed.get(day)?.ready ?? null,
      isTooFew: window !== null && firstWeighed < day && day < lastWeighed && !weighed.has(day),
      extraMinor: weighed.get(day)?.extra ?? null,
      isBooked: day === booked,
      isPlanned: day === planned,
      isBest: day === odds?.bestDay,
    }
  })
}

/** Days of which every one is drawn; later ones only where she could be lifted with people there. */
const wholeDays = 28
/** Lifts after the cheapest, and after the planned one, that are still drawn. */
const afterAimDays = 14

export interface LiftSpan {
  readonly from: number
  /** Up to here every day. */
  readonly wholeTo: number
  readonly to: number
}

/** Days drawn: from the week of the aim, or of the plan where that is sooner, to past the cheapest lift; not before today. */
export function liftDaysShown(
  one: Ashore,
  best: number | null,
  today: number,
  clock: ZoneClock,
): LiftSpan {
  const aim = dayNumber(one.haulOut.launchBooked ?? one.haulOut.launchAimed)
  const planned = one.launchAt === Infinity ? aim : clock.dayOf(one.launchAt)
  const first = Math.max(today, Math.min(aim, planned))
  // Begun on the Saturday before, so that the weeks stand under one another.
  const from = Math.max(today, first - ((weekdayOf(first) + 1) % 7))
  const wholeTo = from + wholeDays - 1
  return {
    from,
    wholeTo,
    to: Math.max(wholeTo, planned + afterAimDays, (best ?? 0) + afterAimDays),
  }
}

/** True for a day that is drawn after the whole ones: she could be lifted, and somebody is there; or it is marked. */
export const isWorthShowing = (day: LiftDay): boolean =>
  (day.window !== null && day.personIds.length > 0) || day.isBooked || day.isPlanned || day.isBest

/** Minutes of a stretch. */
export const minutesOfSpan = ([a, b]: Interval): number => Math.round((b - a) / minuteMs)
