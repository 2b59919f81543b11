/**
 * People who work on two refits of one household: the days another refit has them on, so that nobody is planned or
 * counted at two boats at once. Source: handbook 5, hours by person.
 */
import type { ChangeItem } from '../model/changes'
import type { Row } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import type { StoredPlan } from '../model/stored'
import { liveHours } from '../plan/liveHours'
import { hourMs } from '../time/civil'
import { zoneClock } from '../time/zone'
import type { ZoneClock } from '../time/zone'

interface DayElsewhere {
  /** Civil date where that boat lies. */
  readonly on: string
  readonly hours: number
}

/** One person as one other refit has them. */
export interface Elsewhere {
  readonly name: string
  readonly refitId: string
  readonly boatName: string
  /** From `today` on, by the plan that stands there. */
  readonly planned: readonly DayElsewhere[]
  /** Hours written down there, those corrected since left out. */
  readonly logged: readonly DayElsewhere[]
}

/** People are told by their names, however they are written. */
const nameKey = (name: string): string => name.trim().replace(/\s+/g, ' ').toLocaleLowerCase('en')

type Person = Row<'person'>

const byDay = (sums: ReadonlyMap<string, number>): DayElsewhere[] =>
  [...sums].map(([on, hours]) => ({ on, hours })).sort((a, b) => (a.on < b.on ? -1 : 1))

/** Hours that a plan has a person at work, by civil date, from `today` on. */
function plannedDays(
  plan: StoredPlan | null,
  personId: string,
  clock: ZoneClock,
  today: string,
): DayElsewhere[] {
  const sums = new Map<string, number>()
  for (const { personIds, segments } of plan?.placements ?? [])
    if (personIds.includes(personId))
      for (const [from, to] of segments) {
        const on = clock.dateOf(from)
        if (on >= today) sums.set(on, (sums.get(on) ?? 0) + (to - from) / hourMs)
      }
  return byDay(sums)
}

/** Hours of a person that are written down, by civil date. */
function loggedDays(rows: Pick<RefitRows, 'hoursEntry'>, personId: string): DayElsewhere[] {
  const sums = new Map<string, number>()
  for (const one of liveHours(rows))
    if (one.personId === personId) sums.set(one.on, (sums.get(one.on) ?? 0) + one.hours)
  return byDay(sums)
}

/** People of `names` who are in another refit too and not gone there. `today`: civil date. */
export function peopleElsewhere(
  other: RefitRows,
  names: readonly string[],
  today: string,
): Elsewhere[] {
  const [refit] = other.refit
  if (!refit) return []
  const clock = zoneClock(refit.zone)
  const wanted = new Map(names.map((name) => [nameKey(name), name]))
  return other.person.flatMap((person): Elsewhere[] => {
    const name = wanted.get(nameKey(person.name))
    if (name === undefined || person.gone) return []
    return [
      {
        name,
        refitId: refit.id,
        boatName: refit.boatName,
        planned: plannedDays(other.plan[0]?.result ?? null, person.id, clock, today),
        logged: loggedDays(other, person.id),
      },
    ]
  })
}

/** A day on which two boats have hours of one person. */
export interface DayOnBoth {
  readonly on: string
  readonly hereHours: number
  readonly thereHours: number
}

const both = (here: readonly DayElsewhere[], there: readonly DayElsewhere[]): DayOnBoth[] => {
  const hours = new Map(here.map((one) => [one.on, one.hours]))
  return there.flatMap(({ on, hours: thereHours }) => {
    const hereHours = hours.get(on)
    return hereHours === undefined ? [] : [{ on, hereHours, thereHours }]
  })
}

/** How one person of this refit stands with another boat. */
export interface SharedPerson {
  readonly person: Person
  readonly elsewhere: Elsewhere
  /** Days on which they are planned there and may still be planned here. */
  readonly openDays: readonly DayElsewhere[]
  /** Days on which both plans have them. */
  readonly plannedTwice: readonly DayOnBoth[]
  /** Days on which hours are written down for both boats. */
  readonly loggedTwice: readonly DayOnBoth[]
}

/** `plan`: the one that stands here; `today`: civil date. People gone are left out. */
export function sharedPeople(
  rows: Pick<RefitRows, 'person' | 'personDay' | 'hoursEntry'>,
  plan: StoredPlan | null,
  found: readonly Elsewhere[],
  clock: ZoneClock,
  today: string,
): SharedPerson[] {
  return rows.person
    .filter((one) => !one.gone)
    .flatMap((person) =>
      found
        .filter((one) => nameKey(one.name) === nameKey(person.name))
        .map((elsewhere) => {
          const away = new Set(
            rows.personDay
              .filter(
                (one) => one.personId === person.id && one.kind === 'cannotCome' && one.wholeDay,
              )
              .map((one) => one.on),
          )
          return {
            person,
            elsewhere,
            openDays: elsewhere.planned.filter((one) => !away.has(one.on)),
            plannedTwice: both(plannedDays(plan, person.id, clock, today), elsewhere.planned),
            loggedTwice: both(loggedDays(rows, person.id), elsewhere.logged),
          }
        }),
    )
}

/** Keeps the days of the other boat free of this one; who could not come for a part of one cannot come at all. */
export const keptFree = (
  { person, elsewhere, openDays }: SharedPerson,
  days: readonly Row<'personDay'>[],
  newId: () => string,
): ChangeItem[] =>
  openDays.map(({ on }) => {
    const known = days.find(
      (one) => one.personId === person.id && one.on === on && one.kind === 'cannotCome',
    )
    const reason = `At ${elsewhere.boatName}`
    return known
      ? patchOf('personDay', known, { wholeDay: true, reason })
      : {
          op: 'create',
          entity: 'personDay',
          id: newId(),
          patch: { personId: person.id, on, kind: 'cannotCome', wholeDay: true, reason },
        }
  })
