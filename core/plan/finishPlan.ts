import { namedStep } from '../model/namedStep'
import type { Gate } from '../model/entities'
import type { Mend, PlannedGate, StoredPlan, Remark } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { byId, groupBy } from '../model/refit'
import { formatHours, formatWait } from '../units/hours'
import { hourMs } from '../time/civil'
import { sayFullDate } from '../time/say'
import type { ZoneClock } from '../time/zone'
import { canBeDated, gateGaps } from './gateGaps'
import { gateDate, gateDeadline } from './haulOutOf'
import {
  coldSteps,
  comeForLaunch,
  lateAfterGate,
  leftOpen,
  offTheirPins,
  unconfirmedLifts,
} from './looks'
import type { Prepared } from './prepare'
import type { Ranked } from './priority'
import type { Bounds } from './schedule/criticalPath'
import type { OpenWork } from './schedule/openWork'
import type { Pass } from './schedule/pass'
import { urgencyMark } from './urgency'

/** A plan and what it was weighed with. */
export interface Planned {
  readonly plan: StoredPlan
  readonly bounds: ReadonlyMap<string, Bounds>
  readonly ranked: readonly Ranked[]
}

/** The plan of a pass, with what is wrong with it and what wants a look. */
export function finishPlan(prepared: Prepared, pass: Pass): Planned {
  const { rows, compiled, bounds, ranked, remarks, moved } = prepared
  const { clock } = compiled
  const reasons = [
    ...remarks,
    ...[...compiled.remarks, ...pass.remarks].sort((a, b) =>
      (a.stepIds[0] ?? '') < (b.stepIds[0] ?? '') ? -1 : 1,
    ),
  ]
  const launches = launchesOf(pass)
  const placements = [...pass.placements.values()]
  const laid = laidGates(compiled, pass)
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
    urgencies: Object.fromEntries(ranked.map(({ job }) => [job.id, urgencyMark(job)])),
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
      ...unconfirmedLifts(compiled, pass),
      ...leftOpen(compiled, pass),
      ...offTheirPins(compiled, pass),
      ...moved,
    ],
  }
  return { plan, bounds, ranked }
}

function statusOf(reasons: readonly Remark[]): StoredPlan['status'] {
  if (reasons.some((reason) => reason.kind !== 'horizon')) return 'infeasible'
  return reasons.length > 0 ? 'unknown' : 'feasible'
}

/** Haul-outs as the pass laid them: those whose launch it placed. */
function launchesOf(pass: Pass): StoredPlan['launches'] {
  const from = new Map(pass.ashore.map((one) => [one.haulOut.id, one.from]))
  return pass.launches.map(({ haulOutId, at }) => ({
    haulOutId,
    from: from.get(haulOutId) ?? at,
    at,
  }))
}

/** Launches as placed; other gates when the last of their jobs' steps is ready. */
export function laidGates(compiled: OpenWork, pass: Pass): PlannedGate[] {
  const byGate = groupBy([...compiled.activities.values()], (one) => one.job.gateId)
  const launched = pass.launches
    .filter((launch) => launch.gateId !== '')
    .map(({ gateId, at, readyAt, binding }) => ({ gateId, at, readyAt, binding }))
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
      return [{ gateId: gate.id, at, readyAt: at, binding }]
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
          message: `“${from.title}” may be covered within ${formatWait(limit)}, but “${to.title}” (${jobs.get(to.jobId)?.title ?? ''}) comes ${gap} later. ${planned(mend)}`,
          jobIds: [to.jobId],
          stepIds: [from.id, to.id],
        },
      ]
    }),
  )
}

function planned(mend: Mend): string {
  const taking = mend.hours > 0 ? formatHours(mend.hours) : 'within its hours'
  if (mend.kind === 'peelPly')
    return `Peel ply is planned on it, ${taking}; it needs no keying then.`
  return mend.kind === 'etching'
    ? `Etching it again, rinsing and drying are planned before that, ${taking}.`
    : `Washing, keying and wiping are planned before it, ${taking}.`
}

/** Trades booked before all is ready for them, trades nobody booked, and trades that came and left work over. */
function tradeWarnings(compiled: OpenWork, pass: Pass): Remark[] {
  const { clock, rows } = compiled
  const date = (at: number) => sayFullDate(clock.dateOf(at))
  return [...compiled.activities.values()].flatMap((activity): Remark[] => {
    const { step, job, booking, tradeMs } = activity
    const segments = pass.placements.get(step.id)?.segments ?? []
    const [start, finish] = [segments[0]?.[0], segments.at(-1)?.[1]]
    const named = namedStep(step, job)
    const remark = (message: string): Remark[] => [
      { kind: 'trade', message, jobIds: [job.id], stepIds: [step.id] },
    ]
    if (start === undefined || finish === undefined) return []
    if (booking)
      return start <= booking.from
        ? []
        : remark(
            `${named} is booked before the boat is ready for it. The earliest safe date is ${date(start)}; it and all that follows it are planned from then.`,
          )
    const came = rows.tradeBooking.find((one) => one.stepId === step.id && one.state === 'came')
    if (came)
      return remark(
        `${came.trade} came for ${named}, which is not done. Is it done now, or do they come again? It is planned as if they finished on ${date(finish)}.`,
      )
    return tradeMs === 0
      ? []
      : remark(
          `${named} is for a trade, and none is booked. It is planned as if they came on ${date(start)}.`,
        )
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
