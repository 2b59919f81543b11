import type { Row } from '../model/entities'
import { dayNumber, minutesOf, weekdayOf } from './civil'
import { joined } from './intervals'
import type { Interval } from './intervals'

/** The hours a person gives on each day, from weekly slots and dated exceptions. */
export interface Attendance {
  /** Minutes after local midnight: spans in order, apart from each other; empty when the person does not come. */
  on(day: number): readonly Interval[]
  /** True when no slot and no extra day gives any hours. */
  readonly never: boolean
  /** True when the person said they cannot come that day. */
  away(day: number): boolean
}

const none: readonly Interval[] = []

/** Monday-based week number since the epoch. */
const weekOf = (day: number): number => Math.floor((day + 3) / 7)

/**
 * Attendance of one person. "Cannot come" takes the whole day away; an extra day adds its hours to
 * what the week gives.
 */
export function attendanceOf(
  slots: readonly Row<'weekSlot'>[],
  exceptions: readonly Row<'personDay'>[],
): Attendance {
  const away = new Set(
    exceptions.filter((day) => day.kind === 'cannotCome').map((day) => dayNumber(day.on)),
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
  return {
    never: weekly.length === 0 && extra.length === 0,
    away: (day) => away.has(day),
    on(day) {
      if (away.has(day)) return none
      const spans = weekly.filter((slot) => holds(slot, day)).map((slot) => slot.span)
      for (const one of extra) if (one.day === day) spans.push(one.span)
      return spans.length === 0 ? none : joined(spans)
    },
  }
}
