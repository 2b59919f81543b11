import { tzOffset } from '@date-fns/tz'
import { dateOf, dayMs, dayNumber, minuteMs } from './civil'
import { dayMemo } from './dayMemo'

/** Converts between UTC instants and the wall clock of one IANA zone, daylight saving included. */
export interface ZoneClock {
  readonly zone: string
  /** UTC ms of minutes after local midnight of a day. A time that daylight saving skips is the one an hour on. */
  at(day: number, minutes: number): number
  /** Local day number an instant falls on. */
  dayOf(instant: number): number
  /** Minutes after local midnight, 0 to 1439. */
  minutesOf(instant: number): number
  dateOf(instant: number): string
}

/** True for a zone name this runtime knows. */
export const isZone = (zone: string): boolean => Number.isFinite(tzOffset(zone, new Date(0)))

/** Clocks that were made: a zone's offsets are the same whoever asks, and dear to ask the runtime for. */
const made = new Map<string, ZoneClock>()

/** The clock of one zone; remembers each day's offset, so repeated asks are cheap. Throws RangeError for a zone not known. */
export function zoneClock(zone: string): ZoneClock {
  const known = made.get(zone)
  if (known) return known
  if (!isZone(zone)) throw new RangeError(`zoneClock: ${zone} is not a known time zone`)
  const clock = makeClock(zone)
  made.set(zone, clock)
  return clock
}

function makeClock(zone: string): ZoneClock {
  const midnightOffset = dayMemo((day) => tzOffset(zone, new Date(day * dayMs)))
  const known = new Map<number, number>()
  const changing = (quarter: number): number => {
    const offset = known.get(quarter) ?? tzOffset(zone, new Date(quarter * 15 * minuteMs))
    known.set(quarter, offset)
    return offset
  }
  const offsetAt = (instant: number): number => {
    if (!Number.isFinite(instant)) throw new RangeError(`zoneClock: ${instant} is no instant`)
    const day = Math.floor(instant / dayMs)
    const offset = midnightOffset(day)
    if (offset === midnightOffset(day + 1)) return offset
    // A day on which the clocks change: asked by the quarter hour, which no zone's change falls between.
    return changing(Math.floor(instant / (15 * minuteMs)))
  }
  const local = (instant: number): number => instant + offsetAt(instant) * minuteMs
  const dayOf = (instant: number): number => Math.floor(local(instant) / dayMs)
  return {
    zone,
    at(day, minutes) {
      const wall = day * dayMs + minutes * minuteMs
      const first = wall - offsetAt(wall) * minuteMs
      const second = wall - offsetAt(first) * minuteMs
      // In the skipped hour neither guess maps back; the later instant is the one an hour on.
      return local(second) === wall ? second : Math.max(first, second)
    },
    dayOf,
    minutesOf: (instant) => Math.floor((local(instant) % dayMs) / minuteMs),
    dateOf: (instant) => dateOf(dayOf(instant)),
  }
}

/** UTC ms of local midnight at the start of a civil date. */
export const startOfDate = (clock: ZoneClock, date: string): number => clock.at(dayNumber(date), 0)
