/** Ways to launch: what is done before she floats, afloat, or in a lift after that; each as the changes it takes. */
import { reachable } from '../graph'
import type { ChangeItem } from '../model/changes'
import type { Gate, HaulOut, Job, Step } from '../model/entities'
import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import type { StoredPlan } from '../model/stored'
import { addDays } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { haulOutOf } from '../plan/haulOutOf'
import { withHullNeeds } from '../plan/hullNeed'
import { plannedJobs } from '../plan/network'
import { isOpen } from '../plan/planned'
import { haulOutsAsPlanned } from '../plan/schedule/haulOuts'

export type WayKey = 'now' | 'ashore' | 'early' | 'again'

/** One way to launch. */
export interface LaunchWay {
  readonly key: WayKey
  /** Jobs that are finished before she floats, by what this way asks; what they wait for comes with them. */
  readonly before: readonly string[]
  /** Jobs that are done afloat. */
  readonly afloat: readonly string[]
  /** Jobs that need her ashore and go into a later haul-out. */
  readonly carried: readonly string[]
  readonly items: readonly ChangeItem[]
}

/** What is asked about one haul-out. */
export interface WaysAsked {
  readonly haulOutId: string
  /** Jobs that somebody says must be done before she floats; null: as it is usual. */
  readonly needed: ReadonlySet<string> | null
  /** Civil date of the second lift-out of floating and lifting again. */
  readonly againOn: string
  /** Id of the haul-out that this would make. */
  readonly againId: string
  readonly againGateId: string
}

/** A lift for what was left is aimed to last so long, days; its launch follows the work. */
const againDays = 14

interface Scope {
  readonly haulOut: HaulOut
  readonly gate: Gate
  readonly next: { readonly haulOut: HaulOut; readonly gate: Gate | null } | null
  /** Jobs compared, with their open steps. */
  readonly jobs: readonly {
    readonly job: Job
    readonly steps: readonly Step[]
    readonly begun: boolean
    /** The launch waits for it as things are. */
    readonly holds: boolean
  }[]
}

/** True where she has to be out of the water for some of the steps. */
const needsHerAshore = (steps: readonly Step[]): boolean =>
  steps.some((step) => step.hullNeed === 'ashore' && !step.afterGate)

/**
 * Usually done before she floats: what keeps the water out or people safe, and what was begun on her open bottom.
 * Source: handbook 6.
 */
export const isNeeded = (job: Job, steps: readonly Step[], begun: boolean): boolean =>
  job.purpose === 'float' || job.purpose === 'safe' || (begun && needsHerAshore(steps))

/** The haul-out and the jobs that the ways differ in; null: it has no launch to come. */
export function scopeOf(
  given: RefitRows,
  plan: StoredPlan,
  haulOutId: string,
  clock: ZoneClock,
): Scope | null {
  const rows = withHullNeeds(given)
  const haulOut = rows.haulOut.find((one) => one.id === haulOutId)
  const gate = rows.gate.find((one) => one.kind === 'launch' && one.haulOutId === haulOutId)
  if (!haulOut || !gate || haulOut.launchActual !== null) return null
  const coming = haulOutsAsPlanned(rows, plan, clock).filter(
    (one) => one.haulOut.launchActual === null,
  )
  const at = coming.findIndex((one) => one.haulOut.id === haulOutId)
  const after = coming[at + 1]
  const launchAt = coming[at]?.launchAt ?? Infinity
  const until = after?.from ?? Infinity
  const open = groupBy(rows.step.filter(isOpen), (step) => step.jobId)
  const begun = new Set(
    rows.step
      .filter((one) => one.state === 'done' || one.state === 'doing')
      .map((one) => one.jobId),
  )
  const starts = new Map(plan.placements.map((one) => [one.stepId, one.segments[0]?.[0] ?? 0]))
  const laterLaunches = new Set(
    rows.gate.filter((one) => one.kind === 'launch' && one.id !== gate.id).map((one) => one.id),
  )
  const jobs = plannedJobs(rows).flatMap((job) => {
    const steps = open.get(job.id) ?? []
    const isHere =
      job.gateId === gate.id ||
      (needsHerAshore(steps) && haulOutOf(job, rows, coming)?.haulOut.id === haulOutId)
    const isOver = steps.every((step) => (starts.get(step.id) ?? Infinity) < until)
    const aboard = steps.some(
      (step) =>
        step.placeNeed === 'boat' &&
        step.hullNeed === 'either' &&
        !step.afterGate &&
        (starts.get(step.id) ?? 0) >= launchAt,
    )
    const between = isOver && aboard
    const isOthers = laterLaunches.has(job.gateId ?? '') || needsLater(job, steps)
    const counts = steps.length > 0 && (isHere || (between && !isOthers))
    return counts ? [{ job, steps, begun: begun.has(job.id), holds: isHere }] : []
  })
  const nextGate = rows.gate.find(
    (one) => one.kind === 'launch' && one.haulOutId === after?.haulOut.id,
  )
  return {
    haulOut,
    gate,
    next: after ? { haulOut: after.haulOut, gate: nextGate ?? null } : null,
    jobs,
  }

  function needsLater(job: Job, steps: readonly Step[]): boolean {
    return needsHerAshore(steps) && haulOutOf(job, rows, coming)?.haulOut.id !== haulOutId
  }
}

/** The ways that there are for a haul-out, as it is planned now the first, each as changes to the rows as they are. */
export function launchWays(rows: RefitRows, scope: Scope, asked: WaysAsked): LaunchWay[] {
  const { gate, haulOut, jobs, next } = scope
  const known = new Map(rows.job.map((job) => [job.id, job]))
  const put = (jobId: string, patch: Readonly<Partial<Job>>): ChangeItem[] => {
    const job = known.get(jobId)
    const isSame =
      !job || Object.entries(patch).every(([name, value]) => job[name as keyof Job] === value)
    return isSame ? [] : [patchOf('job', job, patch)]
  }
  const all = jobs.map(({ job }) => job.id)
  const now: LaunchWay = {
    key: 'now',
    before: jobs.filter((one) => one.holds).map(({ job }) => job.id),
    afloat: jobs.filter((one) => !one.holds).map(({ job }) => job.id),
    carried: [],
    items: [],
  }
  const ashore: LaunchWay = {
    key: 'ashore',
    before: all,
    afloat: [],
    carried: [],
    items: all.flatMap((id) => put(id, { gateId: gate.id, placed: true })),
  }
  const wanted = jobs
    .filter((one) =>
      asked.needed
        ? asked.needed.has(one.job.id)
        : one.holds && isNeeded(one.job, one.steps, one.begun),
    )
    .map(({ job }) => job.id)
  // What these wait for is done before them.
  const sources = groupBy(rows.link, (link) => link.toJobId)
  const needs = reachable(wanted, (id) => (sources.get(id) ?? []).map((link) => link.fromJobId))
  const needed = ({ job }: Scope['jobs'][number]) => needs.has(job.id)
  const before = jobs.filter(needed).map(({ job }) => job.id)
  const left = jobs.filter((one) => !needed(one))
  const dry = left.filter(({ steps }) => needsHerAshore(steps)).map(({ job }) => job.id)
  const wet = left.filter(({ steps }) => !needsHerAshore(steps)).map(({ job }) => job.id)
  const laterGate = rows.gate
    .filter((one) => one.kind === 'dated' && one.on !== null && one.on > haulOut.launchAimed)
    .sort((a, b) => ((a.on ?? '') < (b.on ?? '') ? -1 : 1))[0]
  const onceAfloat = wet.flatMap((id) =>
    known.get(id)?.gateId === gate.id
      ? put(id, { gateId: laterGate?.id ?? null, placed: true })
      : [],
  )
  const goesWhenReady: ChangeItem[] =
    haulOut.launchWhen === 'asReady' ? [] : [patchOf('haulOut', haulOut, { launchWhen: 'asReady' })]
  const hold = before.flatMap((id) => put(id, { gateId: gate.id, placed: true }))
  const early: LaunchWay = {
    key: 'early',
    // Without a haul-out after this one, what needs her ashore cannot be left.
    before: next ? before : [...before, ...dry],
    afloat: wet,
    carried: next ? dry : [],
    items: [
      ...goesWhenReady,
      ...hold,
      ...onceAfloat,
      ...(next
        ? dry.flatMap((id) =>
            put(id, { haulOutId: next.haulOut.id, gateId: next.gate?.id ?? null, placed: true }),
          )
        : []),
    ],
  }
  const again: LaunchWay = {
    key: 'again',
    before,
    afloat: wet,
    carried: dry,
    items: [
      ...goesWhenReady,
      {
        op: 'create',
        entity: 'haulOut',
        id: asked.againId,
        patch: {
          name: `${haulOut.name}, lifted again`.slice(0, 200),
          seasonId: haulOut.seasonId,
          placeId: haulOut.placeId,
          liftOutAimed: asked.againOn,
          launchAimed: addDays(asked.againOn, againDays),
          launchWhen: 'asReady',
        },
      },
      {
        op: 'create',
        entity: 'gate',
        id: asked.againGateId,
        patch: { name: 'Launched again', kind: 'launch', haulOutId: asked.againId },
      },
      ...hold,
      ...onceAfloat,
      ...dry.flatMap((id) =>
        put(id, { haulOutId: asked.againId, gateId: asked.againGateId, placed: true }),
      ),
    ],
  }
  return dry.length > 0 ? [now, ashore, early, again] : [now, ashore, early]
}
