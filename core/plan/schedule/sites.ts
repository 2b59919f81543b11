import type { DayPlan, Person, Place } from '../../model/entities'
import type { PlaceNeed } from '../../model/words'
import type { RefitRows } from '../../model/refit'
import { groupBy, placeOfKind } from '../../model/refit'
import { attendanceOf } from '../../time/attendance'
import { dayNumber, minutesOf } from '../../time/civil'
import { dayMemo } from '../../time/dayMemo'
import type { ZoneClock } from '../../time/zone'
import { without } from '../../time/intervals'
import type { Interval } from '../../time/intervals'
import { slingMs } from './haulOuts'
import type { Ashore } from './haulOuts'

/** Where everybody can be, day by day, with travel, set-up and pack-up taken off. */
export interface Sites {
  readonly people: readonly Person[]
  /** Spans in which a person can work at a kind of place on a local day. */
  presence(person: number, placeNeed: PlaceNeed, day: number): readonly Interval[]
  /** True when the person has no hours in any week and no extra day. */
  never(person: number): boolean
  /** True when the person said they cannot come on a local day. */
  away(person: number, day: number): boolean
}

const none: readonly Interval[] = []

/** What of the presence does not depend on where she lies: remembered over all passes. */
export interface SiteHours {
  readonly people: readonly Person[]
  never(person: number): boolean
  away(person: number, day: number): boolean
  /** Hours of a person on a day for a kind of place that is this place then. */
  on(person: number, placeNeed: PlaceNeed, place: Place | null, day: number): readonly Interval[]
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
  const known = new Map<string, ((day: number) => readonly Interval[])[]>()

  function usual(person: number, place: Place | null, day: number): readonly Interval[] {
    const before = (place?.travelMin ?? 0) + (place?.setUpMin ?? 0)
    const after = (place?.travelMin ?? 0) + (place?.packUpMin ?? 0)
    const spans: Interval[] = []
    for (const [from, to] of attendance[person]?.on(day) ?? [])
      if (to - after > from + before)
        spans.push([clock.at(day, from + before), clock.at(day, to - after)])
    return spans.length > 0 ? spans : none
  }

  function asPlanned(plan: DayPlan, person: number, placeNeed: PlaceNeed, place: Place | null) {
    if (placeNeed !== plan.placeNeed || !plan.personIds.includes(people[person]?.id ?? ''))
      return none
    // Who cannot come does not, whoever was put down for the day before.
    if (attendance[person]?.away(dayNumber(plan.on))) return none
    const day = dayNumber(plan.on)
    const from = clock.at(day, minutesOf(plan.from) + (place?.setUpMin ?? 0))
    const to = clock.at(day, minutesOf(plan.to) - (place?.packUpMin ?? 0))
    if (to <= from) return none
    return (attendance[person]?.awayAt(day) ?? []).reduce<readonly Interval[]>(
      (left, [a, b]) => without(left, clock.at(day, a), clock.at(day, b)),
      [[from, to]],
    )
  }

  return {
    people,
    never: (person) => attendance[person]?.never ?? true,
    away: (person, day) => attendance[person]?.away(day) ?? false,
    on(person, placeNeed, place, day) {
      const key = `${placeNeed} ${place?.id ?? ''}`
      let memos = known.get(key)
      if (!memos) {
        memos = people.map((_, one) =>
          dayMemo((on) => {
            const plan = dayPlans.get(on)
            return plan ? asPlanned(plan, one, placeNeed, place) : usual(one, place, on)
          }),
        )
        known.set(key, memos)
      }
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
  const berth = placeOfKind(rows, 'berth')
  const shed = placeOfKind(rows, 'shed')
  const boat = people.map((_, person) =>
    dayMemo((day) => hours.on(person, 'boat', whereSheLies(day), day)),
  )
  const elsewhere = new Map<PlaceNeed, ((day: number) => readonly Interval[])[]>(
    (['shed', 'away'] as const).map((need) => [
      need,
      people.map((_, person) =>
        dayMemo((day) => hours.on(person, need, need === 'shed' ? shed : null, day)),
      ),
    ]),
  )

  function whereSheLies(day: number): Place | null {
    // As the day begins: people go to the yard on launch day, to the berth on lift-out day.
    const dawn = clock.at(day, 0)
    const hauled = ashore.find((one) => dawn >= one.from - slingMs && dawn < one.launchAt)
    return hauled ? hauled.yard : (berth ?? ashore[0]?.yard ?? null)
  }

  return {
    people,
    never: (person) => hours.never(person),
    away: (person, day) => hours.away(person, day),
    presence(person, placeNeed, day) {
      const memos = placeNeed === 'boat' ? boat : elsewhere.get(placeNeed)
      return memos?.[person]?.(day) ?? none
    },
  }
}
