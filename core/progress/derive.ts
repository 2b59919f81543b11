import { liveHours } from '../plan/liveHours'
import type { Gate, Step } from '../model/entities'
import type { StoredPlan } from '../model/stored'
import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { calibrated } from '../forecast/calibration'
import { daysBetween, mondayOf } from '../time/civil'
import { startOfDate, zoneClock } from '../time/zone'
import type { ZoneClock } from '../time/zone'
import { dayMinor, tariffOf } from '../money/yard'
import { gateNeeds } from '../plan/gateNeeds'
import { canBeDated, gateGaps } from '../plan/gateGaps'
import type { GateGap } from '../plan/gateGaps'
import { gateDate } from '../plan/haulOutOf'
import { plannedJobs } from '../plan/network'
import { isOpen, plannedHours } from '../plan/planned'
import { provisionals } from '../steps/provisional'
import { earnedInches, gateMarkInches, loaInches, openHoursOf, tapeInches } from './inches'
import { growthOf } from '../found/growth'
import type { Growth } from '../found/growth'
import { bredByJob } from '../found/tree'
import { triageQueue } from '../triage/triage'
import type { Bred } from '../found/tree'
import { jobStateOf } from './jobState'
import type { JobState } from './jobState'

export interface GateFigures {
  readonly gate: Gate
  /** Civil date aimed at; null: as soon as possible. */
  readonly aimedOn: string | null
  /** Civil date planned; null: no plan yet, or it cannot be dated as it stands. */
  readonly plannedOn: string | null
  /** What its date cannot stand on, or leaves out; null: no plan yet. */
  readonly gap: GateGap | null
  /** Days after the aim, negative when before; null when either is missing. */
  readonly daysLate: number | null
  /** Inch of its mark on the Tape. */
  readonly markIn: number
  /** Planned hours it still needs, earlier gates' left out. */
  readonly hoursNeeded: number
  /** True when it waits for any work at all, done or open. */
  readonly hasWork: boolean
  /** Things that are only for the time being and are to be made right before it. */
  readonly provisional: readonly Step[]
}

interface JobFigures {
  readonly state: JobState
  readonly hoursPlanned: number
  readonly hoursOpen: number
  readonly hoursLogged: number
  readonly earnedIn: number
  /** Inches of the Tape its open steps stand for. */
  readonly openIn: number
  readonly stepsDone: number
  readonly stepCount: number
}

/** Every figure that more than one view shows. */
export interface Derived {
  readonly clock: ZoneClock
  readonly today: string
  readonly loaIn: number
  readonly earnedIn: number
  readonly earnedThisWeekIn: number
  readonly hoursOpen: number
  readonly hoursDone: number
  readonly hoursLogged: number
  /** In the order in which they come. */
  readonly gates: readonly GateFigures[]
  /** The launch to come; null: none. */
  readonly launch: GateFigures | null
  readonly jobs: ReadonlyMap<string, JobFigures>
  /** Jobs of the plan that nobody has broken into steps. */
  readonly jobsWithoutSteps: number
  /** Open jobs without a gate that nobody has placed: no gate's date counts them. */
  readonly jobsToPlace: number
  /** What was found during each job, and during what was found. */
  readonly bred: ReadonlyMap<string, Bred>
  readonly found: {
    /** Planned hours of jobs found during jobs, and their share of all planned hours. */
    readonly hoursPlanned: number
    readonly share: number
    /** All planned hours, done and open, found and not. */
    readonly allHours: number
    readonly growth: Growth
  }
  readonly ashore: { readonly day: number; readonly costPerDayMinor: number } | null
}

/** The one derivation: rows, the accepted plan and the time give all shared figures. */
export function derive(given: RefitRows, plan: StoredPlan | null, now: number): Derived {
  const rows = calibrated(given)
  const refit = rows.refit[0]
  const clock = zoneClock(refit?.zone ?? 'UTC')
  const planned = plannedJobs(rows)
  const plannedIds = new Set(planned.map((job) => job.id))
  const loaIn = loaInches(refit?.loaM ?? 0)
  const hoursOpen = openHoursOf(rows.step, plannedIds)
  const earnedIn = tapeInches(loaIn, earnedInches(rows.step, refit?.earnedKeptIn), hoursOpen)
  const weekStart = startOfDate(clock, mondayOf(clock.dateOf(now)))
  const doneSteps = rows.step.filter((step) => step.state === 'done')
  const perHour = hoursOpen > 0 ? (loaIn - earnedIn) / hoursOpen : 0
  const gates = gateFigures(rows, plan, clock, loaIn, earnedIn, hoursOpen)
  const withSteps = new Set(
    rows.step.filter((step) => step.state !== 'dropped').map((step) => step.jobId),
  )
  const jobs = jobFigures(rows, plannedIds, perHour)
  const none = { hoursPlanned: 0, hoursLogged: 0 }
  return {
    clock,
    today: clock.dateOf(now),
    loaIn,
    earnedIn,
    earnedThisWeekIn: earnedInches(doneSteps.filter((step) => (step.doneAt ?? 0) >= weekStart)),
    hoursOpen,
    hoursDone: doneSteps.reduce((sum, step) => sum + plannedHours(step), 0),
    hoursLogged: liveHours(rows).reduce((sum, entry) => sum + entry.hours, 0),
    gates,
    launch: gates.find((one) => one.gate.kind === 'launch') ?? null,
    jobs,
    bred: bredByJob(rows, (jobId) => jobs.get(jobId) ?? none),
    found: foundFigures(rows, jobs),
    jobsToPlace: triageQueue(rows, clock.dateOf(now)).filter(
      (item) => item.kind === 'job' && item.job.decision === 'plan',
    ).length,
    jobsWithoutSteps: planned.filter((job) => !withSteps.has(job.id)).length,
    ashore: ashoreFigures(rows, clock, now),
  }
}

/** Found work against all that is planned or done; dropped and accepted jobs ask for nothing. */
function foundFigures(rows: RefitRows, jobs: ReadonlyMap<string, JobFigures>): Derived['found'] {
  const hours = (list: RefitRows['job']) =>
    list.reduce((sum, job) => sum + (jobs.get(job.id)?.hoursPlanned ?? 0), 0)
  const counted = rows.job.filter((job) => job.decision === 'plan' || job.decision === 'later')
  const hoursPlanned = hours(counted.filter((job) => job.parentJobId !== null))
  const all = hours(counted)
  const share = all > 0 ? hoursPlanned / all : 0
  return { hoursPlanned, share, allHours: all, growth: growthOf(rows) }
}

function jobFigures(
  rows: RefitRows,
  plannedIds: ReadonlySet<string>,
  inchesPerHour: number,
): Map<string, JobFigures> {
  const steps = groupBy(rows.step, (step) => step.jobId)
  const jobOfStep = new Map(rows.step.map((step) => [step.id, step.jobId]))
  const logged = new Map<string, number>()
  for (const entry of liveHours(rows)) {
    const jobId = entry.jobId ?? jobOfStep.get(entry.stepId ?? '')
    if (jobId) logged.set(jobId, (logged.get(jobId) ?? 0) + entry.hours)
  }
  return new Map(
    rows.job.map((job) => {
      const live = (steps.get(job.id) ?? []).filter((step) => step.state !== 'dropped')
      const sum = (list: typeof live) => list.reduce((all, step) => all + plannedHours(step), 0)
      const hoursOpen = sum(live.filter(isOpen))
      return [
        job.id,
        {
          state: jobStateOf(job, live),
          hoursPlanned: sum(live),
          hoursOpen,
          hoursLogged: logged.get(job.id) ?? 0,
          earnedIn: earnedInches(steps.get(job.id) ?? []),
          openIn: plannedIds.has(job.id) ? hoursOpen * inchesPerHour : 0,
          stepsDone: live.filter((step) => step.state === 'done').length,
          stepCount: live.length,
        },
      ]
    }),
  )
}

function gateFigures(
  rows: RefitRows,
  plan: StoredPlan | null,
  clock: ZoneClock,
  loaIn: number,
  earnedIn: number,
  hoursOpen: number,
): GateFigures[] {
  const plannedAt = new Map(plan?.gates.map((gate) => [gate.gateId, gate.at]) ?? [])
  const steps = new Map(rows.step.filter(isOpen).map((step) => [step.id, step]))
  const counted = new Set<string>()
  const needs = gateNeeds(rows)
  const gaps = plan ? gateGaps(rows, { ...plan, at: (id) => plannedAt.get(id) }, needs) : null
  const forNow = new Map(
    [...groupBy(provisionals(rows), (one) => one.gate?.id)].map(([id, list]) => [
      id,
      list.map((one) => one.step),
    ]),
  )
  let hoursSoFar = 0
  return comingGates(rows, plannedAt, clock).map((gate) => {
    let own = 0
    const needed = needs.steps(gate.id)
    for (const id of needed) {
      const step = steps.get(id)
      if (!step || counted.has(id)) continue
      counted.add(id)
      own += plannedHours(step)
    }
    hoursSoFar += own
    const aimedOn = gateDate(rows, gate)
    const at = plannedAt.get(gate.id)
    const gap = gaps?.get(gate.id) ?? null
    const plannedOn = at === undefined || !gap || !canBeDated(gap) ? null : clock.dateOf(at)
    return {
      gate,
      aimedOn,
      plannedOn,
      gap,
      hasWork: needed.size > 0,
      provisional: forNow.get(gate.id) ?? [],
      daysLate: aimedOn !== null && plannedOn !== null ? daysBetween(aimedOn, plannedOn) : null,
      markIn: gateMarkInches(loaIn, earnedIn, hoursSoFar, hoursOpen),
      hoursNeeded: own,
    }
  })
}

/** Gates not yet passed, by aimed date, then planned. */
function comingGates(
  rows: RefitRows,
  plannedAt: ReadonlyMap<string, number>,
  clock: ZoneClock,
): Gate[] {
  const launched = new Set(
    rows.haulOut.filter((haul) => haul.launchActual !== null).map((haul) => haul.id),
  )
  const key = (gate: Gate): string => {
    const at = plannedAt.get(gate.id)
    return gateDate(rows, gate) ?? (at === undefined ? '9999' : clock.dateOf(at))
  }
  return rows.gate
    .filter((gate) => !(gate.kind === 'launch' && launched.has(gate.haulOutId ?? '')))
    .sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : a.id < b.id ? -1 : 1))
}

function ashoreFigures(rows: RefitRows, clock: ZoneClock, now: number): Derived['ashore'] {
  const today = clock.dateOf(now)
  const haul = rows.haulOut.find(
    (one) => (one.liftOutActual ?? '9999') <= today && one.launchActual === null,
  )
  if (!haul?.liftOutActual) return null
  const tariff = tariffOf(rows, haul)
  const day = daysBetween(haul.liftOutActual, today)
  return {
    day,
    costPerDayMinor: tariff ? dayMinor(tariff, Math.max(1, day), rows.refit[0]?.loaM ?? 0) : 0,
  }
}
