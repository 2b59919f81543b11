/** Time along a drawing: stretches that are as wide as what can be done in them, not as long as they last. */
import { weekdayOf } from '../time/civil'
import type { ZoneClock } from '../time/zone'

/** A point of the ruler: an instant and where it stands. */
interface Notch {
  readonly at: number
  readonly x: number
}

/** Instants to places: straight between its notches, which never go back. At least two. */
export interface Ruler {
  readonly notches: readonly Notch[]
  readonly from: number
  readonly to: number
  readonly left: number
  readonly right: number
}

/** The last notch not after a value, but never the very last one. */
function indexOf(notches: readonly Notch[], value: number, key: keyof Notch): number {
  let [low, high] = [0, notches.length - 2]
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if ((notches[middle]?.[key] ?? Infinity) <= value) low = middle
    else high = middle - 1
  }
  return low
}

/** Where an instant stands; what lies outside the ruler stands at its ends. */
export function xOf(ruler: Ruler, at: number): number {
  const { notches, from, to, left, right } = ruler
  if (at <= from) return left
  if (at >= to) return right
  const index = indexOf(notches, at, 'at')
  const [a, b] = [notches[index] as Notch, notches[index + 1] as Notch]
  return b.at === a.at ? a.x : a.x + ((at - a.at) / (b.at - a.at)) * (b.x - a.x)
}

/** The instant at a place; outside the ruler the nearer end. */
export function atX(ruler: Ruler, x: number): number {
  const { notches, from, to, left, right } = ruler
  if (x <= left) return from
  if (x >= right) return to
  const index = indexOf(notches, x, 'x')
  const [a, b] = [notches[index] as Notch, notches[index + 1] as Notch]
  return b.x === a.x ? a.at : a.at + ((x - a.x) / (b.x - a.x)) * (b.at - a.at)
}

/** A stretch of the ruler before it is fitted: how wide it wants to be. */
interface Stretch {
  readonly from: number
  readonly to: number
  readonly units: number
}

/** Stretches one after the other, fitted between two places. */
function fitted(stretches: readonly Stretch[], left: number, right: number): Ruler {
  const units = stretches.reduce((sum, one) => sum + one.units, 0)
  const scale = units > 0 ? (right - left) / units : 0
  const notches: Notch[] = []
  let x = left
  for (const one of stretches) {
    if (notches.length === 0) notches.push({ at: one.from, x })
    x += one.units * scale
    notches.push({ at: one.to, x })
  }
  const [first, last] = [notches[0], notches.at(-1)]
  return { notches, from: first?.at ?? 0, to: last?.at ?? 0, left, right }
}

/** Width of a day without hands, of an hour's hands, and the most hours that widen it. */
const [bareDay, handHour, mostHours] = [7, 1.9, 15]
/** Between these times of day most of its width lies; before and after each a share. */
const [morning, evening, nightShare] = [8 * 60, 18 * 60, 0.1]

/** Days from `first` to before `end` (local day numbers), each as wide as the hours people are there. */
export function dayRuler(
  first: number,
  end: number,
  hoursOn: (day: number) => number,
  clock: ZoneClock,
  left: number,
  right: number,
): Ruler {
  const stretches: Stretch[] = []
  for (let day = first; day < end; day++) {
    const units = bareDay + handHour * Math.min(mostHours, hoursOn(day))
    const [a, b, c, d] = [
      clock.at(day, 0),
      clock.at(day, morning),
      clock.at(day, evening),
      clock.at(day + 1, 0),
    ]
    stretches.push({ from: a, to: b, units: units * nightShare })
    stretches.push({ from: b, to: c, units: units * (1 - 2 * nightShare) })
    stretches.push({ from: c, to: d, units: units * nightShare })
  }
  return fitted(stretches, left, right)
}

/** A week of the seasons: hours planned and logged in it. */
export interface SeasonWeek {
  /** Local day number of its Monday. */
  readonly monday: number
  readonly planned: number
  readonly logged: number
}

const [bareWeek, weekHour, mostWeekHours, loggedShare] = [19, 1.15, 42, 0.2]
/** A week with less than this is folded to a pleat of so many units. */
const [leastWeek, pleat] = [0.5, 3]

/** True for a week in which nothing much is done: it is folded. */
export const isPleat = (week: SeasonWeek): boolean => week.planned + week.logged < leastWeek

/** Weeks one after the other, each as wide as what is done in it; empty ones are folded. */
export function weekRuler(
  weeks: readonly SeasonWeek[],
  clock: ZoneClock,
  left: number,
  right: number,
): Ruler {
  const stretches = weeks.map((week) => ({
    from: clock.at(week.monday, 0),
    to: clock.at(week.monday + 7, 0),
    units: isPleat(week)
      ? pleat
      : bareWeek + weekHour * Math.min(mostWeekHours, week.planned + loggedShare * week.logged),
  }))
  return fitted(stretches, left, right)
}

/** Two days and the night between them, each day on one scale between two times of day (minutes). */
export function pairRuler(
  day: number,
  [opens, shuts]: readonly [number, number],
  clock: ZoneClock,
  left: number,
  right: number,
  night: number,
): Ruler {
  const half = (right - left - night) / 2
  const at = (one: number, minutes: number) => clock.at(one, minutes)
  return {
    notches: [
      { at: at(day, opens), x: left },
      { at: at(day, shuts), x: left + half },
      { at: at(day + 1, opens), x: left + half + night },
      { at: at(day + 1, shuts), x: right },
    ],
    from: at(day, opens),
    to: at(day + 1, shuts),
    left,
    right,
  }
}

/** Monday of the week of a local day. */
export const mondayOn = (day: number): number => day - weekdayOf(day) + 1
