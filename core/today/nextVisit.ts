import type { RefitRows } from '../model/refit'
import { attendanceOf } from '../time/attendance'
import { dayNumber, minutesOf } from '../time/civil'
import { openOn } from '../time/openAt'
import { wantedOn } from '../plan/wanted'
import type { ZoneClock } from '../time/zone'
import type { Place } from '../model/entities'

/** Days looked through for somebody who comes. */
const mostDays = 400

/** Who is there next after an instant. */
export interface Visit {
  /** UTC ms: at the place, travel taken off. */
  readonly at: number
  readonly personIds: readonly string[]
}

/**
 * The next time somebody is at a place after the day of an instant, by their weeks and the days they changed; null: nobody
 * comes within a year. Day plans for that date decide who comes; while it is shut, or she is out, nobody does.
 */
export function nextVisit(
  rows: Pick<RefitRows, 'person' | 'weekSlot' | 'personDay' | 'dayPlan' | 'wantedDays'>,
  place: Place | null,
  after: number,
  clock: ZoneClock,
): Visit | null {
  const people = rows.person
    .filter((person) => !person.gone)
    .map((person) => ({
      id: person.id,
      attendance: attendanceOf(
        rows.weekSlot.filter((one) => one.personId === person.id),
        rows.personDay.filter((one) => one.personId === person.id),
      ),
    }))
  const travel = place?.travelMin ?? 0
  const isWanted = wantedOn(rows)
  const first = clock.dayOf(after) + 1
  for (let day = first; day < first + mostDays; day++) {
    const open = openOn(place, day)
    if (!open || isWanted(day) === 'gone') continue
    const plan = rows.dayPlan.find((one) => dayNumber(one.on) === day)
    const coming = people.flatMap(({ id, attendance }) => {
      if (plan)
        return plan.personIds.includes(id) && !attendance.away(day)
          ? [{ id, at: clock.at(day, Math.max(minutesOf(plan.from), open[0])) }]
          : []
      const [span] = attendance.on(day)
      return span && span[0] + 2 * travel < span[1]
        ? [{ id, at: clock.at(day, Math.max(span[0] + travel, open[0])) }]
        : []
    })
    if (coming.length > 0)
      return {
        at: Math.min(...coming.map((one) => one.at)),
        personIds: coming.map((one) => one.id),
      }
  }
  return null
}
