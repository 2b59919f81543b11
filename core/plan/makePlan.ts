import type { Gate } from '../model/entities'
import type { Mend, PlannedGate, StoredPlan, Remark } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { byId, groupBy } from '../model/refit'
import { formatHours, formatWait } from '../units/hours'
import { hourMs } from '../time/civil'
import { sayFullDate } from '../time/say'
import { zoneClock } from '../time/zone'
import type { ZoneClock } from '../time/zone'
import { canBeDated, gateGaps } from './gateGaps'
import { gateDate, gateDeadline } from './haulOutOf'
import { withHullNeeds } from './hullNeed'
import { cycleSentence, findCycle, plannedJobs } from './network'
import { fitFixedLaunches } from './overflow'
import { coldSteps, comeForLaunch, lateAfterGate } from './looks'
import { rankedJobs } from './ranking'
import type { Ranked } from './priority'
import { calendarsOf } from './schedule/calendars'
import { openWork } from './schedule/openWork'
import type { OpenStep, OpenWork } from './schedule/openWork'
import { criticalPath } from './schedule/criticalPath'
import type { Bounds } from './schedule/criticalPath'
import { phasesOf } from './schedule/phases'
import type { Phase } from './schedule/phases'
import { refitPass } from './schedule/refitPass'
import type { Pass } from './schedule/refitPass'
import { structureOf } from './schedule/structure'

/** A plan and what it was weighed with. */
export interface Planned {
  readonly plan: StoredPlan
  readonly bounds: ReadonlyMap<string, Bounds>
  readonly ranked: readonly Ranked[]
}

/** A refit made ready for passes: circles cut, work that misses a fixed launch moved on. */
export interface Prepared {
  readonly rows: RefitRows
  readonly compiled: OpenWork
  readonly phases: readonly Phase[]
  readonly bounds: ReadonlyMap<string, Bounds>
  readonly ranked: readonly Ranked[]
  readonly remarks: readonly Remark[]
  readonly moved: readonly Remark[]
}

/**
 * Schedules a refit from `now` (UTC ms) on, in one pass. Deterministic; `rows` are not touched.
 * Infeasible: some step cannot be done, each named with its reason; the rest is planned all the
 * same. Unknown: no room was found within the 15-year horizon.
 */
export function makePlan(rows: RefitRows, now: number): Planned {
  const prepared = prepare(rows, now)
  return finishPlan(prepared, layPass(prepared))
}

/** Everything about a refit that does not depend on the order in which steps are placed. */
export function prepare(given: RefitRows, now: number): Prepared {
  const clock = zoneClock(given.refit[0]?.zone ?? 'UTC')
  const { links, remarks } = withoutCircles(given)
  const rows = withHullNeeds(given)
  const open = { ...rows, link: links }
  // Work that is moved to another haul-out follows the same work, and is done by the same people.
  const structure = structureOf(open)
  const calendars = calendarsOf(open, clock)
  const weigh = (some: RefitRows) => weighed(openWork(some, clock, now, structure, calendars))
  const fitted = fitFixedLaunches(
    open,
    clock,
    scoresOf(() => weigh(open).ranked),
    (some, haulOutId) => {
      const pass = layPass({ rows, remarks, moved: [], ...weigh(some) })
      return pass.launches.find((one) => one.haulOutId === haulOutId)?.at ?? 0
    },
  )
  return { rows, remarks, moved: fitted.moved, ...weigh(fitted.rows) }
}

function weighed(compiled: OpenWork) {
  const phases = phasesOf(compiled)
  const bounds = criticalPath(compiled, phases)
  return { compiled, phases, bounds, ranked: rankedJobs(compiled.rows, bounds) }
}

/** One pass. `orderOf` says a step's place in the order instead of its latest start. */
export function layPass(prepared: Prepared, orderOf?: (stepId: string) => number): Pass {
  return refitPass(prepared.compiled, prepared.phases, urgency(prepared, orderOf))
}

/** The plan of a pass, with what is wrong with it and what wants a look. */
export function finishPlan(prepared: Prepared, pass: Pass): Planned {
  const { rows, compiled, bounds, ranked, remarks, moved } = prepared
  const { clock } = compiled
  const reasons = [...remarks, ...compiled.remarks, ...pass.remarks]
  const launches = pass.launches.map(({ haulOutId, at }) => ({ haulOutId, at }))
  const placements = [...pass.placements.values()]
  const laid = plannedGates(compiled, pass)
  const at = new Map(laid.map((gate) => [gate.gateId, gate.at]))
  const gaps = gateGaps(compiled.rows, {
    placements,
    reasons,
    launches,
    at: (gateId) => at.get(gateId),
  })
  const gates = laid.filter(({ gateId }) => {
    const gap = gaps.get(gateId)
    return !gap || canBeDated(gap)
  })
  const plan: StoredPlan = {
    status: statusOf(reasons),
    now: compiled.now,
    placements,
    gates,
    launches,
    reasons,
    warnings: [
      ...bondWarnings(compiled, pass),
      ...tradeWarnings(compiled, pass),
      ...lateGates(rows, gates, clock),
      ...lateAfterGate(compiled, pass),
      ...coldSteps(compiled, pass),
      ...comeForLaunch(compiled, pass),
      ...moved,
    ],
  }
  return { plan, bounds, ranked }
}

/** Priority by job, worked out when first asked for. */
function scoresOf(rankedOf: () => readonly Ranked[]): (jobId: string) => number {
  let scores: ReadonlyMap<string, number> | null = null
  return (jobId) => {
    scores ??= new Map(rankedOf().map((one) => [one.job.id, one.score]))
    return scores.get(jobId) ?? 0
  }
}

function statusOf(reasons: readonly Remark[]): StoredPlan['status'] {
  if (reasons.some((reason) => reason.kind !== 'horizon')) return 'infeasible'
  return reasons.length > 0 ? 'unknown' : 'feasible'
}

/** Takes the closing link out of each circle, naming its jobs. */
function withoutCircles(rows: RefitRows): { links: RefitRows['link']; remarks: Remark[] } {
  const planned = new Set(plannedJobs(rows).map((job) => job.id))
  let links = rows.link.filter((one) => planned.has(one.fromJobId) && planned.has(one.toJobId))
  const remarks: Remark[] = []
  for (let cycle = findCycle(links); cycle; cycle = findCycle(links)) {
    const [first, last] = [cycle[0], cycle.at(-1)]
    links = links.filter((one) => !(one.fromJobId === last && one.toJobId === first))
    remarks.push({
      kind: 'cycle',
      message: cycleSentence(cycle, rows.job),
      jobIds: cycle,
      stepIds: [],
    })
  }
  return { links, remarks }
}

/** Urgency: today's hand-made order, then pins, then latest start (or a given order), priority, list order. */
function urgency(
  { compiled, bounds, ranked }: Prepared,
  orderOf: (stepId: string) => number = (stepId) => bounds.get(stepId)?.latestStart ?? Infinity,
): (a: OpenStep, b: OpenStep) => boolean {
  const { rows, clock, now } = compiled
  const today = rows.dayPlan.find((day) => day.on === clock.dateOf(now))
  const hand = new Map((today?.stepOrder ?? []).map((id, index) => [id, index]))
  const rank = new Map(ranked.map((one, index) => [one.job.id, index]))
  const pinned = (a: OpenStep) => a.job.pinnedRank ?? Infinity
  const keys = (a: OpenStep): number[] => [
    hand.get(a.step.id) ?? Infinity,
    pinned(a),
    orderOf(a.step.id),
    rank.get(a.job.id) ?? Infinity,
  ]
  const known = new Map<string, number[]>()
  const keysOf = (a: OpenStep) => {
    const already = known.get(a.step.id) ?? keys(a)
    known.set(a.step.id, already)
    return already
  }
  return (a, b) => {
    const [left, right] = [keysOf(a), keysOf(b)]
    for (let i = 0; i < left.length; i++)
      if (left[i] !== right[i]) return (left[i] as number) < (right[i] as number)
    if (a.step.order !== b.step.order) return a.step.order < b.step.order
    return a.step.id < b.step.id
  }
}

/** Launches as placed; other gates when the last of their jobs' steps is ready. */
function plannedGates(compiled: OpenWork, pass: Pass): PlannedGate[] {
  const byGate = groupBy([...compiled.activities.values()], (one) => one.job.gateId)
  const launched = pass.launches
    .filter((launch) => launch.gateId !== '')
    .map(({ gateId, at, binding }) => ({ gateId, at, binding }))
  const dated = compiled.rows.gate
    .filter((gate) => gate.kind !== 'launch')
    .flatMap((gate): PlannedGate[] => {
      let at = compiled.now
      let binding: PlannedGate['binding'] = { kind: 'now' }
      for (const activity of byGate.get(gate.id) ?? []) {
        const placed = pass.placements.get(activity.step.id)
        if (activity.step.afterGate || !placed || placed.readyAt <= at) continue
        at = placed.readyAt
        const finish = placed.segments.at(-1)?.[1] ?? at
        binding =
          at > finish
            ? { kind: 'wait', stepId: placed.stepId, until: at }
            : { kind: 'after', stepId: placed.stepId }
      }
      return [{ gateId: gate.id, at, binding }]
    })
  return [...launched, ...dated]
}

/** Bond windows that shut before the next step starts, each with the mend that is planned for it. */
function bondWarnings(compiled: OpenWork, pass: Pass): Remark[] {
  const steps = byId(compiled.rows.step)
  const jobs = byId(compiled.rows.job)
  const arcs = new Map(
    [...compiled.activities.values()].flatMap((one) =>
      one.before.map((arc) => [`${arc.from} ${arc.to}`, arc] as const),
    ),
  )
  return [...pass.placements.values()].flatMap((placed) =>
    (placed.mends ?? []).flatMap((mend): Remark[] => {
      const [from, to] = [steps.get(mend.fromStepId), steps.get(mend.toStepId)]
      const limit = arcs.get(`${mend.fromStepId} ${mend.toStepId}`)?.maxWaitHours ?? null
      const start = pass.placements.get(mend.toStepId)?.segments[0]?.[0]
      const finish =
        pass.placements.get(mend.fromStepId)?.segments.at(-1)?.[1] ?? from?.doneAt ?? undefined
      if (!from || !to || limit === null || start === undefined || finish === undefined) return []
      const gap = formatWait((start - finish) / hourMs)
      return [
        {
          kind: 'maxWait',
          message: `"${from.title}" may be covered within ${formatWait(limit)}, but "${to.title}" (${jobs.get(to.jobId)?.title ?? ''}) comes ${gap} later. ${planned(mend)}`,
          jobIds: [to.jobId],
          stepIds: [from.id, to.id],
        },
      ]
    }),
  )
}

function planned(mend: Mend): string {
  const taking = mend.hours > 0 ? formatHours(mend.hours) : 'within its hours'
  return mend.kind === 'peelPly'
    ? `Peel ply is planned on it, ${taking}; it needs no keying then.`
    : `Washing, keying and wiping are planned before it, ${taking}.`
}

/** Trades booked before what must be ready for them is. */
function tradeWarnings(compiled: OpenWork, pass: Pass): Remark[] {
  return [...compiled.activities.values()].flatMap((activity): Remark[] => {
    const start = pass.placements.get(activity.step.id)?.segments[0]?.[0]
    if (!activity.booking || start === undefined || start <= activity.booking.from) return []
    return [
      {
        kind: 'trade',
        message: `"${activity.step.title}" (${activity.job.title}) is booked before the boat is ready for it. The earliest safe date is ${sayFullDate(compiled.clock.dateOf(start))}.`,
        jobIds: [activity.job.id],
        stepIds: [activity.step.id],
      },
    ]
  })
}

function lateGates(rows: RefitRows, gates: readonly PlannedGate[], clock: ZoneClock): Remark[] {
  const named = new Map(rows.gate.map((gate): [string, Gate] => [gate.id, gate]))
  return gates.flatMap((planned): Remark[] => {
    const gate = named.get(planned.gateId)
    const by = gate ? gateDeadline(rows, gate, clock) : null
    if (!gate || by === null || planned.at < by) return []
    const days = clock.dayOf(planned.at) - clock.dayOf(by) + 1
    return [
      {
        kind: 'deadline',
        message: `${gate.name} is planned for ${sayFullDate(clock.dateOf(planned.at))}, ${days} ${days === 1 ? 'day' : 'days'} after ${sayFullDate(gateDate(rows, gate) ?? '')}.`,
        jobIds: [],
        stepIds: [],
      },
    ]
  })
}
