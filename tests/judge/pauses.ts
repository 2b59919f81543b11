/** Work that may be left pauses only while its crew is not there or busy, or she is not as it needs her. */
import type { Step } from '../../core/model/entities'
import type { Placement } from '../../core/model/stored'
import type { RefitRows } from '../../core/model/refit'
import type { Haul } from './hulls'
import { hull } from './hulls'
import type { Days } from './stays'
import { afterForecast, weatherForbids } from './weather'
import { dates, instantOf, minute, tick } from './wallClock'
import type { Wall } from './wallClock'

export function pauses(
  step: Step,
  one: Placement,
  rows: RefitRows,
  hauls: readonly Haul[],
  days: Days,
  wall: (at: number) => Wall,
  zone: string,
  busy: (personId: string, from: number, to: number) => boolean,
  now: number,
  air: (at: number) => boolean,
): string[] {
  if (one.personIds.length === 0) return []
  return one.segments.slice(1).flatMap(([from], index) => {
    const left = one.segments[index]?.[1] ?? from
    const rest = one.segments.slice(index + 1).reduce((sum, [a, b]) => sum + b - a, 0)
    for (const date of dates(wall(left).date, wall(from).date)) {
      const month = Number(date.slice(5, 7)) - 1
      const named = [
        'jan',
        'feb',
        'mar',
        'apr',
        'may',
        'jun',
        'jul',
        'aug',
        'sep',
        'oct',
        'nov',
        'dec',
      ]
      // Out of its months, or in one too cold for it, it may wait.
      if (step.months.length > 0 && !step.months.includes(named[month] as never)) continue
      if (step.minTempC !== null && (rows.refit[0]?.monthMeanC[month] ?? 99) < step.minTempC)
        continue
      const noon = instantOf(date, 12 * 60, zone)
      const spans = one.personIds.map((id) => days.hours(id, step.placeNeed, date))
      // The whole crew is there from the latest coming to the earliest going of some choice of stretches.
      for (const [a, b] of spans.reduce(together, [[0, 24 * 60]])) {
        const start = Math.max(left, noon + ((a as number) - 12 * 60) * minute)
        const end = Math.min(from, noon + ((b as number) - 12 * 60) * minute)
        let free = 0
        for (let at = Math.ceil(start / tick) * tick; at + tick <= end; at += tick) {
          const could =
            hull(step, { ...one, segments: [[at, at + tick]] }, rows, hauls).length === 0 &&
            !weatherForbids(step, at, now, rows, wall) &&
            !afterForecast(step, at, now, rows) &&
            !air(at) &&
            !one.personIds.some((id) => busy(id, at, at + tick))
          free = could ? free + 1 : 0
          // Less than an hour is not worth unpacking for, unless it is all that is left; some minutes never are.
          if (free * tick >= Math.min(60, Math.max(30, rest / minute)) * minute)
            return [`is left on ${date} while its crew could go on`]
        }
      }
    }
    return []
  })
}

const together = (left: readonly number[][], right: readonly number[][]): number[][] =>
  left.flatMap(([a = 0, b = 0]) =>
    right.flatMap(([c = 0, d = 0]) =>
      Math.max(a, c) < Math.min(b, d) ? [[Math.max(a, c), Math.min(b, d)]] : [],
    ),
  )
