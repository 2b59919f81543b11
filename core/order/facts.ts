/** The refit as order rules read it: every step with its time and place, and when she goes in and comes out. */
import { namedStep } from '../model/namedStep'
import type { Gate, Job, Step, Zone } from '../model/entities'
import { byId, groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Mend, Placement, StoredPlan } from '../model/stored'
import type { Operation } from '../model/words'
import { hourMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { plannedJobs } from '../plan/network'
import { openings } from '../plan/openings'
import type { Opening } from '../plan/openings'
import { haulOutsAsPlanned } from '../plan/schedule/haulOuts'
import type { Ashore } from '../plan/schedule/haulOuts'

/** A step that was done or has a place in the plan. */
export interface OrderStep {
  readonly step: Step
  readonly job: Job
  readonly zone: Zone | null
  /** Below the waterline on the hull itself. */
  readonly under: boolean
  readonly from: number
  /** When it is or was worked on last, and when its wait is over, UTC ms. */
  readonly to: number
  readonly readyAt: number
  readonly done: boolean
  readonly personIds: readonly string[]
  readonly mends: readonly Mend[]
}

export interface OrderFacts {
  readonly rows: RefitRows
  readonly plan: StoredPlan | null
  readonly clock: ZoneClock
  readonly now: number
  /** In the order of time. */
  readonly steps: readonly OrderStep[]
  readonly placements: ReadonlyMap<string, Placement>
  stepOf(stepId: string): OrderStep | null
  /** Steps of a job that were not dropped, placed or not. */
  allOfJob(jobId: string): readonly Step[]
  /** Steps of a job in time; a job without any gives none. */
  ofJob(jobId: string): readonly OrderStep[]
  /** Steps at a place on the boat in time. */
  atZone(zoneId: string): readonly OrderStep[]
  readonly jobs: readonly Job[]
  /** Stretches in which she stands open. */
  readonly openings: readonly Opening[]
  readonly ashore: readonly Ashore[]
  /** The stretch ashore an instant lies in; null: afloat. */
  ashoreAt(at: number): Ashore | null
  readonly gates: ReadonlyMap<string, Gate>
  /** Short date of an instant. */
  readonly date: (at: number) => string
}

const noMends: readonly Mend[] = []

/** Reads a refit for the rules. `date` says an instant as views do. */
export function orderFacts(
  rows: RefitRows,
  plan: StoredPlan | null,
  clock: ZoneClock,
  now: number,
  date: (at: number) => string,
): OrderFacts {
  const jobs = plannedJobs(rows)
  const jobById = byId(jobs)
  const zones = byId(rows.zone)
  const placements = new Map(plan?.placements.map((one) => [one.stepId, one]) ?? [])
  const steps: OrderStep[] = []
  // One shape for all of them, in one go: there are thousands, and this runs on every change.
  for (const step of rows.step) {
    const job = jobById.get(step.jobId)
    if (!job || step.state === 'dropped') continue
    const zone = zones.get(job.zoneId ?? '') ?? null
    const under = step.placeNeed === 'boat' && (zone?.belowWaterline ?? false)
    const done = step.state === 'done'
    const one = done ? undefined : placements.get(step.id)
    const [first, last] = [one?.segments[0], one?.segments.at(-1)]
    const to = done ? step.doneAt : last?.[1]
    const from = done ? (to ?? 0) - step.hoursLikely * hourMs : first?.[0]
    if (to === null || to === undefined || from === undefined) continue
    steps.push({
      step,
      job,
      zone,
      under,
      from,
      to,
      readyAt: one?.readyAt ?? to,
      done,
      personIds: one?.personIds ?? step.byIds,
      mends: one?.mends ?? noMends,
    })
  }
  steps.sort((a, b) => a.from - b.from || a.to - b.to)
  const known = new Map(steps.map((one) => [one.step.id, one]))
  const byJob = groupBy(steps, (one) => one.job.id)
  const byZone = groupBy(
    steps.filter((one) => one.step.placeNeed === 'boat' && one.zone !== null),
    (one) => one.zone?.id ?? '',
  )
  const all = groupBy(
    rows.step.filter((step) => step.state !== 'dropped'),
    (step) => step.jobId,
  )
  const ashore = haulOutsAsPlanned(rows, plan, clock)
  return {
    rows,
    plan,
    clock,
    now,
    steps,
    placements,
    stepOf: (id) => known.get(id) ?? null,
    allOfJob: (id) => all.get(id) ?? [],
    ofJob: (id) => byJob.get(id) ?? [],
    atZone: (id) => byZone.get(id) ?? [],
    jobs,
    openings: openings(rows, placements),
    ashore,
    ashoreAt: (at) => ashore.find((one) => one.from <= at && at < one.launchAt) ?? null,
    gates: byId(rows.gate),
    date,
  }
}

/** True when a step is one of these operations. */
export const does = ({ step }: OrderStep, ...operations: readonly Operation[]): boolean =>
  operations.includes(step.operation)

/** True when a step or its job speaks of something. */
export const speaksOf = ({ step, job }: OrderStep, words: RegExp): boolean =>
  words.test(step.title) || words.test(job.title)

const stepping =
  /\b(step|stepped|stepping)\b.*\b(mast|rig)\b|\b(mast|rig)\b.*\b(stepped|up again|in again)\b/i

/** True when a step puts the mast or the rig up. */
export const stepsTheMast = ({ step }: OrderStep): boolean => stepping.test(step.title)

/** A step as sentences name it. */
export const named = ({ step, job }: Pick<OrderStep, 'step' | 'job'>): string =>
  namedStep(step, job)
