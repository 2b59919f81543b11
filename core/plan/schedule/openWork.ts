import type { Job, Step } from '../../model/entities'
import type { Placement, Remark } from '../../model/stored'
import type { PlaceNeed } from '../../model/words'
import { byId } from '../../model/refit'
import type { RefitRows } from '../../model/refit'
import { dayNumber, secondMs } from '../../time/civil'
import type { ZoneClock } from '../../time/zone'
import { factsOf, maySplit } from '../facts'
import { haulOutOf, launchHeldBy } from '../haulOutOf'
import { plannedJobs } from '../network'
import type { StepArc } from '../network'
import { workLeftHours } from '../workLeft'
import { liveHours } from '../liveHours'
import { forecastWindows, needsWeather } from '../weatherAllowance'
import type { DaysLost } from '../weatherAllowance'
import type { Binding } from './binding'
import { calendarsOf } from './calendars'
import type { Calendars } from './calendars'
import { crewsByClass, teamOf } from './crews'
import { ceilTick } from './tick'
import type { Ashore } from './haulOuts'
import { Seasons } from './seasons'
import { structureOf } from './structure'
import type { Interval } from '../../time/intervals'
import type { Structure } from './structure'
import { unplannable } from './unplannable'

interface Release {
  readonly at: number
  readonly binding: Binding
}

/** One step made ready for the schedule. */
export interface OpenStep {
  /** Its place among the open steps. */
  readonly index: number
  readonly step: Step
  readonly job: Job
  readonly before: readonly StepArc[]
  readonly after: readonly StepArc[]
  /** It needs weather, and does not follow another such step through a bond window. */
  readonly startsSpell: boolean
  /** Milliseconds of work still to do for one person; 0: takes nobody. */
  readonly workMs: number
  /** Who has its skill. */
  readonly capable: readonly number[]
  /** Who may make up its least crew: beside one who has the skill, anybody. */
  readonly hands: readonly number[]
  /** The one of them it is kept for; null: whoever can. */
  readonly wanted: number | null
  readonly crewMin: number
  readonly crewMax: number
  /** Every crew it may have; the same list for all steps that ask for the same people. */
  readonly crews: readonly (readonly number[])[]
  readonly splittable: boolean
  readonly placeNeed: PlaceNeed
  /** Haul-out this step is ashore in or afloat after; null: no matter. */
  readonly ashore: Ashore | null
  /** The same for steps that the hull and the months suit at the same times. */
  readonly hullClass: string
  /** Haul-out whose launch waits for it; null: none. */
  readonly holds: Ashore | null
  readonly releases: readonly Release[]
  /** When it may be done by its months and its last day; null: whenever. */
  readonly season: readonly Interval[] | null
  /** When the forecast lets it be done; null: whenever. */
  readonly fit: readonly Interval[] | null
  /** When it is warm enough for it out of doors; null: it needs no warmth. */
  readonly warm: readonly Interval[] | null
  /** Milliseconds of work that a trade still has to do; 0: none. */
  readonly tradeMs: number
  /** So much later than it could begin a trade that nobody booked comes, ms; as planned 0. */
  readonly tradeLateMs: number
  /** A booked trade does it: from then until then. */
  readonly booking: { readonly id: string; readonly from: number; readonly to: number } | null
}

/** The open work of a refit: what follows what, who can be where when, and what is left to do. */
export interface OpenWork extends Calendars {
  readonly structure: Structure
  readonly rows: RefitRows
  readonly clock: ZoneClock
  readonly now: number
  /** Open steps by id. */
  readonly activities: ReadonlyMap<string, OpenStep>
  /** When finished steps let the next begin, by step id. */
  readonly readyAfterDone: ReadonlyMap<string, number>
  /** When the first of an arc lets the second begin, UTC ms; `placed`: where the first lies. Undefined: that is not known. */
  readonly readyBy: (
    arc: StepArc,
    placed: Pick<Placement, 'segments' | 'readyAt'> | undefined,
  ) => number | undefined
  /** When finished steps were finished, by step id. */
  readonly doneAt: ReadonlyMap<string, number>
  /** When what a launch waits for and is finished is ready for the water, by step id. */
  readonly waterReadyAfterDone: ReadonlyMap<string, number>
  /** Finished steps whose wait a launch still has to see out, by haul-out id. */
  readonly doneHolding: ReadonlyMap<string, readonly string[]>
  /** Steps that cannot be planned at all, with the reason. */
  readonly remarks: readonly Remark[]
  /** Days lost to the weather as they are drawn; undefined: as they are to be expected. */
  readonly daysLost?: DaysLost
}

/** Length of the work with a crew of `size`, rounded up to the grid. */
export const durationMs = (activity: Pick<OpenStep, 'workMs'>, size: number): number =>
  ceilTick(activity.workMs / size)

function releasesOf(step: Step, rows: RefitRows, clock: ZoneClock): Release[] {
  const releases: Release[] = []
  if (step.notBefore !== null)
    releases.push({
      at: clock.at(dayNumber(step.notBefore), 0),
      binding: { kind: 'notBefore', on: step.notBefore },
    })
  if (step.pinnedOn !== null)
    releases.push({
      at: clock.at(dayNumber(step.pinnedOn), 0),
      binding: { kind: 'pin', on: step.pinnedOn },
    })
  for (const part of rows.part)
    if (part.neededByStepId === step.id && part.state === 'ordered' && part.arrivesOn !== null)
      releases.push({
        at: clock.at(dayNumber(part.arrivesOn) + 1, 0),
        binding: { kind: 'part', partId: part.id },
      })
  return releases
}

function bookingOf(step: Step, rows: RefitRows, clock: ZoneClock): OpenStep['booking'] {
  const booking = rows.tradeBooking.find((one) => one.stepId === step.id && one.state === 'booked')
  if (!booking) return null
  return {
    id: booking.id,
    from: clock.at(dayNumber(booking.from), 480),
    to: clock.at(dayNumber(booking.to), 1020),
  }
}

/**
 * True when none of our own people do a step: a trade has the job, was booked for it, or it takes a licensed person
 * here and nobody said that the job is done by us.
 */
function isForTrade(
  step: Step,
  job: Job,
  rows: Pick<RefitRows, 'refit' | 'tradeBooking'>,
): boolean {
  if (job.doBy === 'trade') return true
  const kinds: readonly string[] = rows.refit[0]?.licensedHere ?? []
  if (step.licensedKind !== null && kinds.includes(step.licensedKind) && job.doBy !== 'own')
    return true
  return rows.tradeBooking.some(
    (one) => one.stepId === step.id && (one.state === 'booked' || one.state === 'came'),
  )
}

/** To the second: what arithmetic leaves behind must not cost a tick. */
const workLeftMs = (step: Step, logged: ReadonlyMap<string, number>): number =>
  Math.round(workLeftHours(step, logged.get(step.id) ?? 0) * 3600) * secondMs

/**
 * Makes a refit ready for the schedule. Pure: the rows are not touched. A structure and calendars of other
 * rows may be given where these differ in nothing that they rest on: only what is left to do is worked out.
 */
export function openWork(
  rows: RefitRows,
  clock: ZoneClock,
  now: number,
  structure: Structure = structureOf(rows),
  calendars: Calendars = calendarsOf(rows, clock, now),
): OpenWork {
  const { sites, waits } = calendars
  const { weather } = waits
  const classes = new Map<string, number>()
  const { before, after } = structure
  const coming = calendars.ashore.filter((one) => one.launchAt === Infinity)
  const steps = byId(rows.step)
  const seasons = new Seasons(rows, clock, now, weather)
  const logged = new Map<string, number>()
  for (const entry of liveHours(rows))
    if (entry.stepId !== null && entry.kind === 'work')
      logged.set(entry.stepId, (logged.get(entry.stepId) ?? 0) + entry.hours)
  const crewsOf = crewsByClass()
  const jobs = new Map(plannedJobs(rows).map((job) => [job.id, job]))
  const activities = new Map<string, OpenStep>()
  const readyAt = new Map<string, number>()
  const doneAtOf = new Map<string, number>()
  const waterReady = new Map<string, number>()
  const doneHolding = new Map<string, string[]>()
  const remarks: Remark[] = []
  for (const stepId of structure.stepIds) {
    const step = steps.get(stepId) as Step
    const job = jobs.get(step.jobId) as Job
    if (step.state === 'done') {
      const doneAt = step.doneAt ?? now
      doneAtOf.set(step.id, doneAt)
      readyAt.set(step.id, waits.afterDone(step, now))
      const held = launchHeldBy(job, step, rows, coming)
      if (held) {
        waterReady.set(step.id, waits.forWaterAfterDone(step, now))
        const id = held.haulOut.id
        doneHolding.set(id, [...(doneHolding.get(id) ?? []), step.id])
      }
      continue
    }
    const activity = toActivity(step, job)
    activities.set(step.id, activity)
  }
  remarks.push(...unplannable(activities.values(), sites, coming))
  return {
    rows,
    clock,
    now: ceilTick(now),
    structure,
    ...calendars,
    activities,
    readyAfterDone: readyAt,
    readyBy,
    doneAt: doneAtOf,
    waterReadyAfterDone: waterReady,
    doneHolding,
    remarks,
  }

  function readyBy(
    arc: StepArc,
    placed: Pick<Placement, 'segments' | 'readyAt'> | undefined,
  ): number | undefined {
    const isWhole = arc.once === 'cured'
    if (!placed)
      return isWhole || !readyAt.has(arc.from)
        ? readyAt.get(arc.from)
        : waits.afterDone(steps.get(arc.from) as Step, now, arc.once)
    return isWhole
      ? placed.readyAt
      : waits.over(steps.get(arc.from) as Step, placed.segments.at(-1)?.[1] ?? 0, arc.once)
  }

  /** One number for all that may be done at the same times. */
  function classOf(spans: readonly Interval[] | null): string {
    if (!spans) return ''
    const key = spans.flat().join()
    const known = classes.get(key) ?? classes.size
    classes.set(key, known)
    return String(known)
  }

  function toActivity(step: Step, job: Job): OpenStep {
    const haulOut = haulOutOf(job, rows, coming)
    const others = factsOf(step).byOthers || isForTrade(step, job, rows)
    const isTrades = step.operation === 'contract' || isForTrade(step, job, rows)
    const { capable, hands } = teamOf(step, sites.people)
    const wanted =
      step.wantedPersonId === null
        ? null
        : (capable.find((index) => sites.people[index]?.id === step.wantedPersonId) ?? -1)
    const workMs = others ? 0 : workLeftMs(step, logged)
    const season = seasons.of(step)
    const startsSpell =
      needsWeather(step, weather) &&
      !(before.get(step.id) ?? []).some((arc) => arc.maxWaitHours !== null)
    const fit =
      workMs > 0 && step.hullNeed !== 'slings' && bookingOf(step, rows, clock) === null
        ? forecastWindows(step, startsSpell, rows, now, weather)
        : null
    const crewMin = step.crewMin
    const crewMax = Math.max(crewMin, step.crewMax)
    return {
      index: activities.size,
      step,
      job,
      before: before.get(step.id) ?? [],
      after: after.get(step.id) ?? [],
      startsSpell,
      workMs,
      tradeMs: isTrades ? ceilTick(workLeftMs(step, logged) / step.crewMin) : 0,
      tradeLateMs: 0,
      capable,
      hands,
      wanted,
      crewMin,
      crewMax,
      crews: crewsOf({ capable, hands, wanted, crewMin, crewMax }),
      splittable: maySplit(step),
      placeNeed: step.placeNeed,
      ashore: step.hullNeed === 'either' ? null : haulOut,
      hullClass: `${step.hullNeed} ${step.placeNeed} ${workMs > 0} ${haulOut?.haulOut.id} ${job.gateId} ${classOf(season)} ${classOf(fit)}`,
      holds: launchHeldBy(job, step, rows, coming),
      releases: releasesOf(step, rows, clock),
      season,
      fit,
      warm: seasons.warm(step),
      booking: bookingOf(step, rows, clock),
    }
  }
}
