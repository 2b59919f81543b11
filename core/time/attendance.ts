import type { Row } from '../model/entities'
import { dayNumber, minutesOf, weekdayOf } from './civil'

/** Minutes after local midnight, half open. */
export type MinuteSpan = readonly [number, number]

/** The hours a person gives on each day, from weekly slots and dated exceptions. */
export interface Attendance {
  /** Spans in order, apart from each other; empty when the person does not come. */
  on(day: number): readonly MinuteSpan[]
  /** True when no slot and no extra day gives any hours. */
  readonly never: boolean
  /** True when the person said they cannot come that day. */
  away(day: number): boolean
}

const none: readonly MinuteSpan[] = []

/** Joins spans that touch or overlap. */
function joined(spans: MinuteSpan[]): readonly MinuteSpan[] {
  const sorted = spans.filter(([from, to]) => to > from).sort((a, b) => a[0] - b[0])
  const result: MinuteSpan[] = []
  for (const span of sorted) {
    const last = result.at(-1)
    if (last && span[0] <= last[1])
      result[result.length - 1] = [last[0], Math.max(last[1], span[1])]
    else result.push(span)
  }
  return result
}

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
      span: [minutesOf(day.from), minutesOf(day.to)] as MinuteSpan,
    }))
  const weekly = slots.map((slot) => ({
    weekday: slot.weekday,
    span: [minutesOf(slot.from), minutesOf(slot.to)] as MinuteSpan,
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
