import type { Job, Step } from '../../model/entities'
import type { Trouble } from '../../model/stored'
import type { PlaceNeed } from '../../model/words'
import { groupBy } from '../../model/refit'
import type { RefitRows } from '../../model/refit'
import { dayNumber, hourMs, minuteMs } from '../../time/civil'
import type { ZoneClock } from '../../time/zone'
import { factsOf, maySplit } from '../facts'
import { haulOutOf, holdsLaunch } from '../haulOutOf'
import { arcsOf, plannedJobs, stepsByJob } from '../network'
import type { Arc } from '../network'
import { plannedHours, plannedWaitHours } from '../planned'
import { needsWeather } from '../weatherAllowance'
import type { Binding } from './binding'
import { hoursByClass } from './openHours'
import type { HoursByClass } from './openHours'
import { ceilTick } from './tick'
import { haulOutsInTime, makeSites, siteHours } from './sites'
import type { Ashore, SiteHours, Sites } from './sites'

export interface Release {
  readonly at: number
  readonly binding: Binding
}

/** One step made ready for the schedule. */
export interface Activity {
  readonly step: Step
  readonly job: Job
  readonly before: readonly Arc[]
  readonly after: readonly Arc[]
  /** It needs weather, and does not follow another such step through a bond window. */
  readonly startsSpell: boolean
  /** Milliseconds of work still to do for one person; 0: takes nobody. */
  readonly workMs: number
  readonly capable: readonly number[]
  /** The one of them it is kept for; null: whoever can. */
  readonly wanted: number | null
  readonly crewMin: number
  readonly crewMax: number
  readonly splittable: boolean
  readonly placeNeed: PlaceNeed
  /** Haul-out this step is ashore in or afloat after; null: no matter. */
  readonly ashore: Ashore | null
  /** Haul-out whose launch waits for it; null: none. */
  readonly holds: Ashore | null
  readonly releases: readonly Release[]
  /** A booked trade does it: from then until then. */
  readonly booking: { readonly id: string; readonly from: number; readonly to: number } | null
}

export interface Compiled {
  readonly rows: RefitRows
  readonly clock: ZoneClock
  readonly now: number
  readonly sites: Sites
  readonly hours: SiteHours
  /** Open hours by class of step, for launches as placed so far; shared by all passes. */
  readonly classHours: (ashore: readonly Ashore[]) => HoursByClass
  readonly ashore: readonly Ashore[]
  /** Open steps by id. */
  readonly activities: ReadonlyMap<string, Activity>
  /** When finished steps let the next begin, by step id. */
  readonly readyAfterDone: ReadonlyMap<string, number>
  /** When finished steps were finished, by step id. */
  readonly doneAt: ReadonlyMap<string, number>
  /** Finished steps whose wait a launch still has to see out, by haul-out id. */
  readonly doneHolding: ReadonlyMap<string, readonly string[]>
  /** Steps that cannot be planned at all, with the reason. */
  readonly troubles: readonly Trouble[]
}

/** When the wait after a step is over, planned with the month's mean air. */
export function waitOver(step: Step, finish: number, rows: RefitRows): number {
  if (step.waitKind === 'none') return finish
  const month = new Date(finish).getUTCMonth()
  const mean = rows.refit[0]?.monthMeanC ?? []
  return ceilTick(finish + plannedWaitHours(step, month, mean) * hourMs)
}

/** Length of the work with a crew of `size`, rounded up to the grid. */
export const durationMs = (activity: Pick<Activity, 'workMs'>, size: number): number =>
  ceilTick(activity.workMs / size)

function releasesOf(step: Step, rows: RefitRows, clock: ZoneClock): Release[] {
  const releases: Release[] = []
  if (step.notBefore !== null)
    releases.push({
      at: clock.at(dayNumber(step.notBefore), 0),
      binding: { kind: 'notBefore', on: step.notBefore },
    })
  for (const part of rows.part)
    if (part.neededByStepId === step.id && part.state === 'ordered' && part.arrivesOn !== null)
      releases.push({
        at: clock.at(dayNumber(part.arrivesOn) + 1, 0),
        binding: { kind: 'part', partId: part.id },
      })
  return releases
}

function bookingOf(step: Step, rows: RefitRows, clock: ZoneClock): Activity['booking'] {
  const booking = rows.tradeBooking.find((one) => one.stepId === step.id && one.state === 'booked')
  if (!booking) return null
  return {
    id: booking.id,
    from: clock.at(dayNumber(booking.from), 480),
    to: clock.at(dayNumber(booking.to), 1020),
  }
}

/** A step under way keeps what is planned less what is logged, and never less than a quarter. */
function workLeftMs(step: Step, logged: ReadonlyMap<string, number>): number {
  const planned = plannedHours(step)
  const left =
    step.state === 'doing' ? Math.max(planned / 4, planned - (logged.get(step.id) ?? 0)) : planned
  return Math.round(left * 60) * minuteMs
}

function troubleOf(activity: Activity, sites: Sites, coming: readonly Ashore[]): Trouble | null {
  const { step, job } = activity
  const about = { jobIds: [job.id], stepIds: [step.id] }
  const named = `"${step.title}" (${job.title})`
  if (activity.ashore === null && step.hullNeed === 'ashore' && coming.length === 0)
    return {
      kind: 'noWindow',
      message: `${named} needs her ashore, and no haul-out is planned. Add one in Settings.`,
      ...about,
    }
  if (activity.workMs === 0 || activity.booking) return null
  const short = activity.capable.length < activity.crewMin
  if (short)
    return {
      kind: 'noSkill',
      message: `${named} needs ${activity.crewMin} with ${step.skill} skill; ${activity.capable.length} of the people here have it.`,
      ...about,
    }
  if (activity.wanted === -1)
    return {
      kind: 'noSkill',
      message: `${named} is kept for somebody who ${step.skill === 'general' ? 'is no longer here' : `is no longer here or lacks ${step.skill} skill`}. Keep it for another, or for nobody.`,
      ...about,
    }
  if (activity.wanted !== null && sites.never(activity.wanted))
    return {
      kind: 'noHours',
      message: `${named} is kept for ${sites.people[activity.wanted]?.name}, who has no hours. Set their week in Settings.`,
      ...about,
    }
  const willing = activity.capable.filter((person) => !sites.never(person))
  if (willing.length < activity.crewMin) {
    const names = activity.capable.map((person) => sites.people[person]?.name).join(', ')
    return {
      kind: 'noHours',
      message: `${named} needs ${activity.crewMin}, but no hours are set for ${names}. Set their week in Settings.`,
      ...about,
    }
  }
  return null
}

/** Sets of launch dates whose open hours are kept; passes over one refit differ little. */
const mostKept = 40

function rememberedHours(
  rows: RefitRows,
  clock: ZoneClock,
  hours: SiteHours,
): (ashore: readonly Ashore[]) => HoursByClass {
  const known = new Map<string, HoursByClass>()
  return (ashore) => {
    const key = ashore.map((one) => one.launchAt).join(' ')
    let found = known.get(key)
    if (!found) {
      if (known.size >= mostKept) known.clear()
      const still = ashore.map((one) => ({ ...one }))
      found = hoursByClass(makeSites(rows, clock, still, hours))
      known.set(key, found)
    }
    return found
  }
}

/** Makes a refit ready for the schedule. Pure: the rows are not touched. */
export function compile(rows: RefitRows, clock: ZoneClock, now: number): Compiled {
  const ashore = haulOutsInTime(rows, clock)
  const coming = ashore.filter((one) => one.launchAt === Infinity)
  const hours = siteHours(rows, clock)
  const sites = makeSites(rows, clock, ashore, hours)
  const arcs = arcsOf(rows)
  const before = groupBy(arcs, (arc) => arc.to)
  const after = groupBy(arcs, (arc) => arc.from)
  const logged = new Map<string, number>()
  for (const entry of rows.hoursEntry)
    if (entry.stepId !== null)
      logged.set(entry.stepId, (logged.get(entry.stepId) ?? 0) + entry.hours)
  const cures = new Map(
    rows.clock
      .filter((one) => one.stepId !== null && one.endedAt === null && one.kind !== 'pot')
      .map((one) => [one.stepId as string, one]),
  )
  const jobs = new Map(plannedJobs(rows).map((job) => [job.id, job]))
  const activities = new Map<string, Activity>()
  const readyAfterDone = new Map<string, number>()
  const doneAtOf = new Map<string, number>()
  const doneHolding = new Map<string, string[]>()
  const troubles: Trouble[] = []
  for (const step of [...stepsByJob(rows).values()].flat()) {
    const job = jobs.get(step.jobId) as Job
    if (step.state === 'done') {
      const doneAt = step.doneAt ?? now
      doneAtOf.set(step.id, doneAt)
      const running = cures.get(step.id)
      const from = running ? running.startedAt : doneAt
      readyAfterDone.set(step.id, waitOver(step, from, rows))
      const haulOut = haulOutOf(job, rows, coming)
      if (haulOut && holdsLaunch(job, step, rows)) {
        const id = haulOut.haulOut.id
        doneHolding.set(id, [...(doneHolding.get(id) ?? []), step.id])
      }
      continue
    }
    const activity = toActivity(step, job)
    activities.set(step.id, activity)
    const trouble = troubleOf(activity, sites, coming)
    if (trouble) troubles.push(trouble)
  }
  return {
    rows,
    clock,
    now: ceilTick(now),
    sites,
    hours,
    classHours: rememberedHours(rows, clock, hours),
    ashore,
    activities,
    readyAfterDone,
    doneAt: doneAtOf,
    doneHolding,
    troubles,
  }

  function toActivity(step: Step, job: Job): Activity {
    const haulOut = haulOutOf(job, rows, coming)
    const holds = haulOut !== null && holdsLaunch(job, step, rows) ? haulOut : null
    const others = factsOf(step.operation).byOthers
    const capable = sites.people.flatMap((person, index) =>
      step.skill === 'general' || person.skills.includes(step.skill) ? [index] : [],
    )
    const wanted =
      step.wantedPersonId === null
        ? null
        : (capable.find((index) => sites.people[index]?.id === step.wantedPersonId) ?? -1)
    return {
      step,
      job,
      before: before.get(step.id) ?? [],
      after: after.get(step.id) ?? [],
      startsSpell:
        needsWeather(step) && !(before.get(step.id) ?? []).some((arc) => arc.maxWaitHours !== null),
      workMs: others ? 0 : workLeftMs(step, logged),
      capable,
      wanted,
      crewMin: step.crewMin,
      crewMax: Math.max(step.crewMin, step.crewMax),
      splittable: maySplit(step),
      placeNeed: step.placeNeed,
      ashore: step.hullNeed === 'either' ? null : haulOut,
      holds,
      releases: releasesOf(step, rows, clock),
      booking: bookingOf(step, rows, clock),
    }
  }
}
