import type { RefitRows } from '../model/refit'
import { dayNumber, hourMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { haulOutsInTime } from './schedule/haulOuts'
import { makeSites, widest } from './schedule/sites'

/** Days looked at: a fortnight has every day of the week twice. */
const days = 14

/** Hours of the longest stretch that anybody has on the boat in the fortnight from a civil date; 0: nobody is ever there. */
export function longestDayHours(rows: RefitRows, from: string, clock: ZoneClock): number {
  const sites = makeSites(rows, clock, haulOutsInTime(rows, clock))
  const first = dayNumber(from)
  const stretches = sites.people.flatMap((_, person) =>
    Array.from({ length: days }, (_day, at) => widest(sites, person, 'boat', first + at)).flat(),
  )
  return Math.max(0, ...stretches.map(([start, end]) => end - start)) / hourMs
}
