import type { Row } from '../model/entities'
import { groupBy } from '../model/refit'
import { dateOf, dayNumber, minutesOf, weekdayOf } from './civil'
import { dayMemo } from './dayMemo'
import { joined, without } from './intervals'
import type { Interval } from './intervals'

/** The hours a person gives on each day, from weekly slots and dated exceptions. */
export interface Attendance {
  /** Minutes after local midnight: spans in order, apart from each other; empty when the person does not come. */
  on(day: number): readonly Interval[]
  /** True when no slot and no extra day gives any hours. */
  readonly never: boolean
  /** True when the person said they cannot come that day. */
  away(day: number): boolean
  /** Minutes after midnight at which they said they cannot be there; whole days away are not among them. */
  awayAt(day: number): readonly Interval[]
}

const none: readonly Interval[] = []

/** Monday-based week number since the epoch. */
const weekOf = (day: number): number => Math.floor((day + 3) / 7)

/**
 * Attendance of one person. An extra day adds its hours to what the week gives; "cannot come" takes the whole day
 * away, or its hours.
 */
export function attendanceOf(
  slots: readonly Row<'weekSlot'>[],
  exceptions: readonly Row<'personDay'>[],
): Attendance {
  const absences = exceptions.filter((day) => day.kind === 'cannotCome')
  const away = new Set(absences.filter((day) => day.wholeDay).map((day) => dayNumber(day.on)))
  const partly = groupBy(
    absences.filter((day) => !day.wholeDay),
    (day) => day.on,
  )
  const extra = exceptions
    .filter((day) => day.kind === 'extraDay')
    .map((day) => ({
      day: dayNumber(day.on),
      span: [minutesOf(day.from), minutesOf(day.to)] as Interval,
    }))
  const weekly = slots.map((slot) => ({
    weekday: slot.weekday,
    span: [minutesOf(slot.from), minutesOf(slot.to)] as Interval,
    every: slot.everyWeeks,
    week: slot.anchor ? weekOf(dayNumber(slot.anchor)) : 0,
  }))
  const holds = (slot: (typeof weekly)[number], day: number): boolean =>
    slot.weekday === weekdayOf(day) && (weekOf(day) - slot.week) % slot.every === 0
  function spansOn(day: number): readonly Interval[] {
    if (away.has(day)) return none
    const spans = weekly.filter((slot) => holds(slot, day)).map((slot) => slot.span)
    for (const one of extra) if (one.day === day) spans.push(one.span)
    if (spans.length === 0) return none
    let left: readonly Interval[] = joined(spans)
    for (const one of partly.get(dateOf(day)) ?? [])
      left = without(left, minutesOf(one.from), minutesOf(one.to))
    return left
  }
  return {
    never: weekly.length === 0 && extra.length === 0,
    away: (day) => away.has(day),
    awayAt: (day) =>
      (partly.get(dateOf(day)) ?? []).map((one) => [minutesOf(one.from), minutesOf(one.to)]),
    on: dayMemo(spansOn),
  }
}
