import type { RefitRows } from '../../model/refit'
import type { ZoneClock } from '../../time/zone'
import { Waits } from '../waits'
import { hullWindows } from './hullWindows'
import { hoursByClass } from './openHours'
import type { HoursByClass } from './openHours'
import { makeSites, siteHours } from './sites'
import { haulOutsInTime } from './haulOuts'
import type { SiteHours, Sites } from './sites'
import type { Ashore } from './haulOuts'
import type { OpenStep } from './openWork'
import type { Interval } from '../../time/intervals'

/** When people can be where, and where she lies: rests on people, places, haul-outs and days, on no job. */
export interface Calendars {
  readonly waits: Waits
  readonly ashore: readonly Ashore[]
  readonly hours: SiteHours
  readonly sites: Sites
  /** Where people can be, and open hours by class of step, for launches as placed so far; shared by all passes. */
  readonly laidOut: (ashore: readonly Ashore[]) => LaidOut
}

/** Calendars for one set of launch dates. */
interface LaidOut {
  readonly sites: Sites
  readonly hours: HoursByClass
  /** When the hull and the months suit a step. */
  readonly windowsOf: (activity: OpenStep) => readonly Interval[]
}

export function calendarsOf(rows: RefitRows, clock: ZoneClock, now: number): Calendars {
  const ashore = haulOutsInTime(rows, clock, now)
  const hours = siteHours(rows, clock)
  return {
    ashore,
    waits: new Waits(rows, clock),
    hours,
    sites: makeSites(rows, clock, ashore, hours),
    laidOut: remembered(rows, clock, hours),
  }
}

/** Hull windows for launches as they are placed, worked out once for all steps that ask for the same. */
function windowsByClass(
  ashore: readonly Ashore[],
  rows: Pick<RefitRows, 'gate'>,
): LaidOut['windowsOf'] {
  const own = new Map(ashore.map((one) => [one.haulOut.id, one]))
  const known = new Map<string, readonly Interval[]>()
  return (activity) => {
    let windows = known.get(activity.hullClass)
    if (!windows) {
      const hauled = own.get(activity.ashore?.haulOut.id ?? '') ?? null
      windows = hullWindows({ ...activity, ashore: hauled }, ashore, rows)
      known.set(activity.hullClass, windows)
    }
    return windows
  }
}

/** Sets of launch dates whose open hours are kept; passes over one refit differ little. */
const mostKept = 200

function remembered(
  rows: RefitRows,
  clock: ZoneClock,
  hours: SiteHours,
): (ashore: readonly Ashore[]) => LaidOut {
  const known = new Map<string, LaidOut>()
  return (ashore) => {
    const key = ashore.map((one) => `${one.from} ${one.launchAt}`).join(' ')
    let found = known.get(key)
    if (!found) {
      if (known.size >= mostKept) known.clear()
      const still = ashore.map((one) => ({ ...one }))
      const sites = makeSites(rows, clock, still, hours)
      found = { sites, hours: hoursByClass(sites), windowsOf: windowsByClass(still, rows) }
      known.set(key, found)
    }
    return found
  }
}
