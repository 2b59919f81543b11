import type { DayPlan, Person, Place } from '../../model/entities'
import type { PlaceNeed } from '../../model/words'
import type { RefitRows } from '../../model/refit'
import { groupBy, placeOfKind } from '../../model/refit'
import { attendanceOf } from '../../time/attendance'
import { dayNumber, minuteMs, minutesOf } from '../../time/civil'
import { dayMemo } from '../../time/dayMemo'
import { openOn } from '../../time/openAt'
import type { ZoneClock } from '../../time/zone'
import { without } from '../../time/intervals'
import type { Interval } from '../../time/intervals'
import { wantedOn } from '../wanted'
import type { Ashore } from './haulOuts'
import { lieOf } from './lies'

/** Ends of a day that go on into the night at the place: no way home, nothing packed. Added up. */
export const stays = { notAtAll: 0, sinceYesterday: 1, untilTomorrow: 2 } as const

/** Where everybody can be, day by day, with travel, set-up and pack-up taken off. */
export interface Sites {
  readonly people: readonly Person[]
  /** The same with nobody away who did not say so; not said: these. */
  readonly whole?: Sites
  /**
   * Spans in which a person can work at a kind of place on a local day. `ends`: which ends of it go on into the night
   * there (`stays`, for the boat alone); not said: it is a day trip.
   */
  presence(person: number, placeNeed: PlaceNeed, day: number, ends?: number): readonly Interval[]
  /** Ends of a day at the boat that can go on into the night, as far as the person's own days and places say. */
  ends(person: number, day: number): number
  /** Where a person may sleep after a day at the boat; null: at home. */
  sleepsAt(person: number, day: number): Place | null
  /** A pause planned in the person's day, UTC ms; null: none. Work in one go runs through it. */
  pauseOn(person: number, day: number): Interval | null
  /** Packing up, the way and unpacking between two kinds of place on a day, ms; null: not in one day. */
  move(from: PlaceNeed, to: PlaceNeed, day: number): number | null
  /** True when the person has no hours in any week and no extra day. */
  never(person: number): boolean
  /** True when the person said they cannot come on a local day. */
  away(person: number, day: number): boolean
}

/** The most that a person can be at a place on a day, the nights before and after spent there where that can be. */
export const widest = (sites: Sites, person: number, need: PlaceNeed, day: number) =>
  sites.presence(person, need, day, need === 'boat' ? sites.ends(person, day) : stays.notAtAll)

const none: readonly Interval[] = []

const length = (spans: readonly Interval[]): number =>
  spans.reduce((sum, [from, to]) => sum + to - from, 0)

/** What of the presence does not depend on where she lies: remembered over all passes. */
export interface SiteHours {
  readonly people: readonly Person[]
  never(person: number): boolean
  away(person: number, day: number): boolean
  pauseOn(person: number, day: number): Interval | null
  /** Hours of a person on a day for a kind of place that is this place then. */
  on(
    person: number,
    placeNeed: PlaceNeed,
    place: Place | null,
    day: number,
    ends: number,
  ): readonly Interval[]
}

/** People who are still with us, and their hours; `rows` must not change afterwards. */
export function siteHours(rows: RefitRows, clock: ZoneClock): SiteHours {
  const people = [...rows.person]
    .filter((person) => !person.gone)
    .sort((a, b) => (a.order < b.order ? -1 : a.order > b.order ? 1 : a.id < b.id ? -1 : 1))
  const slots = groupBy(rows.weekSlot, (slot) => slot.personId)
  const exceptions = groupBy(rows.personDay, (day) => day.personId)
  const attendance = people.map((person) =>
    attendanceOf(slots.get(person.id) ?? [], exceptions.get(person.id) ?? []),
  )
  const dayPlans = new Map(rows.dayPlan.map((plan) => [dayNumber(plan.on), plan]))
  const isWanted = wantedOn(rows)
  type Memos = readonly ((day: number) => readonly Interval[])[]
  /** By place, then kind of place and ends of the day. */
  const known = new Map<Place | null, Map<PlaceNeed, Memos[]>>()
  const pauses = people.map(({ breakFrom, breakMin }) => {
    if (breakFrom === null || breakMin === 0) return null
    const from = minutesOf(breakFrom)
    return dayMemo((day): Interval => [clock.at(day, from), clock.at(day, from + breakMin)])
  })

  /** Hours between two times of a day while the place is open, setting up and packing up taken off. */
  function inside(
    place: Place | null,
    day: number,
    [from, to]: Interval,
    ends: number,
  ): readonly Interval[] {
    const open = openOn(place, day)
    if (!open) return none
    const setUp = ends & stays.sinceYesterday ? 0 : (place?.setUpMin ?? 0)
    const packUp = ends & stays.untilTomorrow ? 0 : (place?.packUpMin ?? 0)
    const start = Math.max(from, open[0]) + setUp
    const end = Math.min(to, open[1]) - packUp
    return end > start ? [[clock.at(day, start), clock.at(day, end)]] : none
  }

  function usual(
    person: number,
    place: Place | null,
    day: number,
    ends: number,
  ): readonly Interval[] {
    const travel = place?.travelMin ?? 0
    const given = attendance[person]?.on(day) ?? []
    // Between two stretches of one day everybody drives home and back, wherever they sleep.
    const spans = given.flatMap(([from, to], at) => {
      const own =
        (at === 0 ? ends & stays.sinceYesterday : 0) |
        (at === given.length - 1 ? ends & stays.untilTomorrow : 0)
      return inside(
        place,
        day,
        [
          from + (own & stays.sinceYesterday ? 0 : travel),
          to - (own & stays.untilTomorrow ? 0 : travel),
        ],
        own,
      )
    })
    return spans.length > 0 ? spans : none
  }

  function asPlanned(
    plan: DayPlan,
    person: number,
    placeNeed: PlaceNeed,
    place: Place | null,
    ends: number,
  ) {
    if (placeNeed !== plan.placeNeed || !plan.personIds.includes(people[person]?.id ?? ''))
      return none
    // Who cannot come does not, whoever was put down for the day before.
    if (attendance[person]?.away(dayNumber(plan.on))) return none
    const day = dayNumber(plan.on)
    return (attendance[person]?.awayAt(day) ?? []).reduce<readonly Interval[]>(
      (left, [a, b]) => without(left, clock.at(day, a), clock.at(day, b)),
      inside(place, day, [minutesOf(plan.from), minutesOf(plan.to)], ends),
    )
  }

  return {
    people,
    never: (person) => attendance[person]?.never ?? true,
    away: (person, day) => attendance[person]?.away(day) ?? false,
    pauseOn: (person, day) => pauses[person]?.(day) ?? null,
    on(person, placeNeed, place, day, ends) {
      const ofPlace = known.get(place) ?? new Map<PlaceNeed, Memos[]>()
      known.set(place, ofPlace)
      const byEnds = ofPlace.get(placeNeed) ?? []
      ofPlace.set(placeNeed, byEnds)
      const memos = (byEnds[ends] ??= people.map((_, one) =>
        dayMemo((on) => {
          // She is out sailing, or other people are aboard.
          if (placeNeed === 'boat' && isWanted(on) === 'gone') return none
          const plan = dayPlans.get(on)
          return plan ? asPlanned(plan, one, placeNeed, place, ends) : usual(one, place, on, ends)
        }),
      ))
      return memos[person]?.(day) ?? none
    },
  }
}

/**
 * Presence of the people. A person's hours run from leaving to being back; a day plan's hours are
 * those at the place, and on its date nobody else comes.
 */
export function makeSites(
  rows: RefitRows,
  clock: ZoneClock,
  ashore: readonly Ashore[],
  hours: SiteHours = siteHours(rows, clock),
): Sites {
  const { people } = hours
  const shed = placeOfKind(rows, 'shed')
  const lies = dayMemo(lieOf(rows, ashore, clock))
  const boat = [0, 1, 2, 3].map((ends) =>
    people.map((_, person) => dayMemo((day) => hours.on(person, 'boat', lies(day), day, ends))),
  )
  const elsewhere = new Map<PlaceNeed, ((day: number) => readonly Interval[])[]>(
    (['shed', 'away'] as const).map((need) => [
      need,
      people.map((_, person) =>
        dayMemo((day) =>
          hours.on(person, need, need === 'shed' ? shed : null, day, stays.notAtAll),
        ),
      ),
    ]),
  )
  const drives = new Map(
    rows.drive.flatMap(({ fromPlaceId: a, toPlaceId: b, minutes }) => [
      [`${a} ${b}`, minutes] as const,
      [`${b} ${a}`, minutes] as const,
    ]),
  )
  const placeOf = (need: PlaceNeed, day: number): Place | null =>
    need === 'boat' ? lies(day) : need === 'shed' ? shed : null

  /** True when a person who is at the boat on a day can be there the next morning without going home. */
  function sleepsThere(person: number, day: number): boolean {
    const place = lies(day)
    if (!people[person]?.staysNights || !place || place.nights === 'none') return false
    if (place.nightsFrom !== null && day < dayNumber(place.nightsFrom)) return false
    // Lifted or launched in between, the night is no end of one stay: the next day begins with the way to her.
    if (lies(day + 1) !== place) return false
    const spent = (on: number, ends: number) => length(boat[ends]?.[person]?.(on) ?? none)
    const [last, next] = [spent(day, 3), spent(day + 1, 3)]
    // Where it wins no hour on either day nobody stays for it.
    return (
      last > 0 &&
      next > 0 &&
      (last > spent(day, stays.sinceYesterday) || next > spent(day + 1, stays.untilTomorrow))
    )
  }
  const nights = rows.place.some((place) => place.nights !== 'none')
    ? people.map((_, person) => dayMemo((day) => sleepsThere(person, day)))
    : null

  return {
    people,
    never: (person) => hours.never(person),
    away: (person, day) => hours.away(person, day),
    pauseOn: (person, day) => hours.pauseOn(person, day),
    ends(person, day) {
      const sleeps = nights?.[person]
      if (!sleeps) return stays.notAtAll
      return (sleeps(day - 1) ? stays.sinceYesterday : 0) | (sleeps(day) ? stays.untilTomorrow : 0)
    },
    sleepsAt: (person, day) => (nights?.[person]?.(day) ? lies(day) : null),
    move(from, to, day) {
      if (!rows.refit[0]?.twoPlaces) return null
      const [a, b] = [placeOf(from, day), placeOf(to, day)]
      if (!a || !b || a === b) return null
      const way = drives.get(`${a.id} ${b.id}`) ?? a.travelMin + b.travelMin
      return (a.packUpMin + way + b.setUpMin) * minuteMs
    },
    presence(person, placeNeed, day, ends = stays.notAtAll) {
      const memos = placeNeed === 'boat' ? boat[ends] : elsewhere.get(placeNeed)
      return memos?.[person]?.(day) ?? none
    },
  }
}
