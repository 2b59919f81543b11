import { dayMemo } from '../../time/dayMemo'
import type { ZoneClock } from '../../time/zone'
import type { PlaceNeed } from '../../model/words'
import type { Crews } from './crews'
import { widest } from './sites'
import type { Sites } from './sites'
import { intersect } from '../../time/intervals'
import type { Interval } from '../../time/intervals'

/** Longest plan accepted, in days: 15 years. */
export const horizonDays = 15 * 366

/** Hours in which enough capable people can be at a place, nobody counted as busy. */
export interface OpenHours {
  on(day: number): readonly Interval[]
  /** Longest stretch in the two years from a day, ms; 0: never there together. */
  longestFrom(day: number): number
  /** True when some stretch of these years is so long, ms. Looks no further than the first that is. */
  reaches(day: number, ms: number): boolean
}

/** Days looked at for the longest stretch: every week cycle and yearly exception comes round. */
const lookDays = 740

const none: readonly Interval[] = []

/** Spans in which at least `need` of the spans overlap. */
function overlaps(spans: readonly Interval[], need: number): readonly Interval[] {
  const edges = spans
    .flatMap(([from, to]) => [
      { at: from, step: 1 },
      { at: to, step: -1 },
    ])
    .sort((a, b) => a.at - b.at || a.step - b.step)
  const result: Interval[] = []
  let count = 0
  let from = 0
  for (const edge of edges) {
    const was = count
    count += edge.step
    if (was < need && count >= need) from = edge.at
    if (was >= need && count < need && edge.at > from) result.push([from, edge.at])
  }
  return result.length > 0 ? result : none
}

/** Open hours for crews of `crewMin` out of the hands with a capable one among them, remembered day by day. */
function openHours(sites: Sites, { capable, hands, crewMin, placeNeed }: Asking): OpenHours {
  const together = (people: readonly number[], need: number, day: number) => {
    const there = people.map((person) => widest(sites, person, placeNeed, day))
    const coming = there.filter((spans) => spans.length > 0)
    if (coming.length < need) return none
    return coming.length === 1 && need === 1
      ? (coming[0] as readonly Interval[])
      : overlaps(coming.flat(), need)
  }
  const isMixed = hands.length > capable.length
  const on = (day: number) => {
    const open = together(hands, crewMin, day)
    return isMixed && open.length > 0 ? intersect(open, together(capable, 1, day)) : open
  }
  const memo = dayMemo(on)
  let longest = 0
  /** Days that were looked at: from the first of them, up to but not with the second. */
  let [first, next] = [Infinity, Infinity]
  const see = (day: number): void => {
    for (const [from, to] of memo(day)) longest = Math.max(longest, to - from)
  }
  /** Goes on looking until a stretch is so long. What was seen before a day is no fault: it only says that one should look. */
  function look(day: number, ms: number): number {
    if (first === Infinity) [first, next] = [day, day]
    for (; first > day; first--) see(first - 1)
    for (; next < day + lookDays && longest < ms; next++) see(next)
    return longest
  }
  return {
    on: memo,
    longestFrom: (day) => look(day, Infinity),
    reaches: (day, ms) => look(day, ms) >= ms,
  }
}

/** A crew that a step may have, and the longest stretch it is ever there together; 0: never. */
export interface CrewStretch {
  readonly size: number
  readonly longestMs: number
  /** True when it is ever there together for so long, ms. */
  reaches(ms: number): boolean
}

/** The people and place a step asks for. */
interface Asking {
  readonly capable: readonly number[]
  /** Those and whoever else may make up the crew. */
  readonly hands: readonly number[]
  readonly crewMin: number
  readonly placeNeed: PlaceNeed
}
/** Open hours shared by all steps that ask for the same people at the same place. */
export interface HoursByClass {
  of(asking: Asking): OpenHours
  /** The longest stretch that each crew of a list is at a place together in the two years from a day. */
  stretches(crews: Crews, placeNeed: PlaceNeed, day: number): readonly CrewStretch[]
}

/** Open hours of these sites, each kind worked out when it is first asked for. */
export function hoursByClass(sites: Sites): HoursByClass {
  const known = new Map<string, OpenHours>()
  const of = (asking: Asking): OpenHours => {
    const { capable, hands, crewMin, placeNeed } = asking
    const key = `${placeNeed} ${crewMin} ${capable.join()} ${hands.join()}`
    let hours = known.get(key)
    if (!hours) {
      hours = openHours(sites, asking)
      known.set(key, hours)
    }
    return hours
  }
  const stretchesAt: Record<PlaceNeed, Map<Crews, readonly CrewStretch[]>> = {
    boat: new Map(),
    shed: new Map(),
    away: new Map(),
  }
  return {
    of,
    stretches(crews, placeNeed, day) {
      const already = stretchesAt[placeNeed].get(crews)
      if (already) return already
      const found = crews.map((crew) => {
        const open = of({ capable: crew, hands: crew, crewMin: crew.length, placeNeed })
        return {
          size: crew.length,
          get longestMs() {
            return open.longestFrom(day)
          },
          reaches: (ms: number) => open.reaches(day, ms),
        }
      })
      stretchesAt[placeNeed].set(crews, found)
      return found
    },
  }
}

const clip = (span: Interval, window: Interval): Interval => [
  Math.max(span[0], window[0]),
  Math.min(span[1], window[1]),
]

/** Earliest stretch of work at or after `from` inside hours and windows; null within the horizon. */
export function workForward(
  hours: OpenHours,
  windows: readonly Interval[],
  from: number,
  workMs: number,
  splittable: boolean,
  clock: ZoneClock,
): { readonly start: number; readonly finish: number } | null {
  const end = windows.at(-1)?.[1] ?? -Infinity
  const begin = Math.max(from, windows[0]?.[0] ?? from)
  if (begin >= end) return null
  const firstDay = clock.dayOf(begin)
  // Work in one go that no stretch of two years is long enough for is not looked for over fifteen.
  if (!splittable && !hours.reaches(firstDay, workMs)) return null
  const lastDay = end === Infinity ? firstDay + horizonDays : clock.dayOf(end)
  let start: number | null = null
  let left = workMs
  for (let day = firstDay; day <= lastDay; day++)
    for (const open of hours.on(day))
      for (const window of windows) {
        const [a, b] = clip([Math.max(open[0], from), open[1]], window)
        if (b <= a) continue
        if (!splittable) {
          if (b - a >= workMs) return { start: a, finish: a + workMs }
          continue
        }
        start ??= a
        if (b - a >= left) return { start, finish: a + left }
        left -= b - a
      }
  return null
}

/** Latest start of work that ends at or before `until`; null when there is none after `notBefore`. */
export function workBackward(
  hours: OpenHours,
  windows: readonly Interval[],
  until: number,
  workMs: number,
  splittable: boolean,
  clock: ZoneClock,
  notBefore: number,
): { readonly start: number; readonly finish: number } | null {
  const lastDay = clock.dayOf(until)
  const firstDay = clock.dayOf(notBefore)
  let finish: number | null = null
  let left = workMs
  for (let day = lastDay; day >= firstDay; day--) {
    const spans = hours.on(day)
    for (let i = spans.length - 1; i >= 0; i--)
      for (let w = windows.length - 1; w >= 0; w--) {
        const open = spans[i] as Interval
        const [a, b] = clip([open[0], Math.min(open[1], until)], windows[w] as Interval)
        if (b <= a) continue
        if (!splittable) {
          if (b - a >= workMs) return { start: b - workMs, finish: b }
          continue
        }
        finish ??= b
        if (b - a >= left) return { start: b - left, finish }
        left -= b - a
      }
  }
  return null
}
