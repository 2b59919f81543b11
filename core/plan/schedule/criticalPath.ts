import type { CureStage } from '../../model/words'
import { dayMs, dayNumber, hourMs } from '../../time/civil'
import { gateDeadline } from '../haulOutOf'
import { weatherAllowance } from '../weatherAllowance'
import { durationMs } from './openWork'
import type { OpenStep, OpenWork } from './openWork'
import { hullWindows } from './hullWindows'
import { launchDay } from './launchDay'
import { workBackward, workForward } from './openHours'
import { tradeElapsedMs, tradeStretches } from './yardTime'
import { isInSlings } from './phases'
import type { Phase } from './phases'
import type { Ashore } from './haulOuts'
import type { Interval } from '../../time/intervals'
import { keepApart, liftOn, slingMs } from './haulOuts'

/** Earliest and latest of a step when nobody is ever busy, UTC ms. */
export interface Bounds {
  readonly earliestStart: number
  readonly earliestFinish: number
  /** Infinity: no gate waits for it. */
  readonly latestStart: number
  readonly latestFinish: number
  /** The latest start, or for what follows a launch afloat the start with which it is done the day after. */
  readonly dueStart: number
}

/** Days its end can slip without moving its nearest gate: whole days, never negative; null: no gate. */
export const slackDays = (bounds: Bounds): number | null =>
  bounds.latestFinish === Infinity
    ? null
    : Math.max(0, Math.floor((bounds.latestFinish - bounds.earliestFinish) / dayMs))

/** How many people a step is reckoned with. */
type CrewSize = (activity: OpenStep) => number

interface Earliest {
  readonly start: number
  readonly finish: number
  readonly ready: number
  /** When it is ready for the water; its finish where no launch waits for it. */
  readonly forWater: number
}

/** Everything as early as it can be when nobody is ever busy, launches among it. */
interface Forward {
  readonly earliest: ReadonlyMap<string, Earliest>
  readonly ashore: readonly Ashore[]
  readonly windowsOf: (activity: OpenStep) => readonly Interval[]
}

const allowanceMs = (activity: OpenStep, at: number, compiled: OpenWork): number =>
  activity.startsSpell
    ? (weatherAllowance(activity.step, at, compiled.rows, compiled.now, compiled.waits.weather)
        ?.ms ?? 0)
    : 0

function forwardPass(compiled: OpenWork, phases: readonly Phase[], crew: CrewSize): Forward {
  // Launches are placed while walking; the compiled ones stay as they are.
  const ashore = compiled.ashore.map((one) => ({ ...one }))
  const own = new Map(ashore.map((one) => [one.haulOut.id, one]))
  const { hours } = compiled.laidOut(compiled.ashore)
  const windowsOf = (activity: OpenStep) =>
    hullWindows(withOwn(activity, own), ashore, compiled.rows)
  const earliest = new Map<string, Earliest>()
  for (const phase of phases) {
    for (const activity of phase.activities) earliest.set(activity.step.id, forward(activity))
    const launch = phase.launch ? own.get(phase.launch.haulOut.id) : undefined
    if (!launch) continue
    const held = phase.activities.filter((one) => one.holds === phase.launch)
    const watched = [...compiled.activities.values()]
      .filter((one) => isInSlings(one, launch))
      .flatMap((one) => one.before.map((arc) => arc.from))
    const ready = Math.max(
      compiled.now,
      launch.from,
      ...held.map((one) => earliest.get(one.step.id)?.forWater ?? 0),
      ...watched.map((id) => earliest.get(id)?.ready ?? compiled.readyAfterDone.get(id) ?? 0),
    )
    launch.launchAt = launchDay(launch, ready, { kind: 'now' }, compiled.clock).at
    keepApart(ashore, ashore.indexOf(launch))
  }
  return { earliest, ashore, windowsOf }

  function forward(activity: OpenStep): Earliest {
    const { step } = activity
    let from = compiled.now
    for (const arc of activity.before) {
      const before = earliest.get(arc.from)
      const ready = compiled.readyBy(
        arc,
        before && { segments: [[before.start, before.finish]], readyAt: before.ready },
      )
      if (ready !== undefined) from = Math.max(from, ready + arc.minWaitHours * hourMs)
    }
    for (const release of activity.releases) from = Math.max(from, release.at)
    from += allowanceMs(activity, from, compiled)
    const slings = step.hullNeed === 'slings' ? own.get(activity.ashore?.haulOut.id ?? '') : null
    if (slings && slings.launchAt < Infinity) {
      const start = Math.max(from, slings.launchAt)
      return done(start, start + durationMs(activity, activity.crewMin))
    }
    if (activity.booking) {
      const start = Math.max(from, activity.booking.from)
      return done(start, Math.max(start, activity.booking.to))
    }
    if (activity.tradeMs > 0) {
      const found = tradeStretches(from, activity.tradeMs, windowsOf(activity), compiled.clock)
      return done(found?.[0]?.[0] ?? from, found?.at(-1)?.[1] ?? from)
    }
    const work = durationMs(activity, crew(activity))
    const place =
      work === 0
        ? null
        : workForward(
            hours.of(activity),
            windowsOf(activity),
            from,
            work,
            activity.splittable,
            compiled.clock,
          )
    return done(place?.start ?? from, place?.finish ?? from)

    function done(start: number, finish: number): Earliest {
      const forWater = activity.holds ? compiled.waits.forWater(step, finish) : finish
      return { start, finish, ready: compiled.waits.over(step, finish), forWater }
    }
  }
}

/** Launches as early as they can be with the largest crews and nobody busy, UTC ms by haul-out. */
export function earliestLaunches(
  compiled: OpenWork,
  phases: readonly Phase[],
): ReadonlyMap<string, number> {
  const largest: CrewSize = (one) =>
    Math.max(one.crewMin, Math.min(one.crewMax, one.capable.length))
  const { ashore } = forwardPass(compiled, phases, largest)
  return new Map(ashore.map((one) => [one.haulOut.id, one.launchAt]))
}

/** Calendar-aware critical path without capacity limits, with each step's least crew. */
export function criticalPath(compiled: OpenWork, phases: readonly Phase[]): Map<string, Bounds> {
  const { earliest, ashore, windowsOf } = forwardPass(compiled, phases, (one) => one.crewMin)
  const own = new Map(ashore.map((one) => [one.haulOut.id, one]))
  const { hours } = compiled.laidOut(compiled.ashore)
  const latest = backwardPass()
  const due = afterLaunch()
  return new Map(
    [...earliest].map(([id, one]) => {
      const last = latest.get(id)
      return [
        id,
        {
          earliestStart: one.start,
          earliestFinish: one.finish,
          latestStart: last?.start ?? Infinity,
          latestFinish: last?.finish ?? Infinity,
          dueStart: Math.min(last?.start ?? Infinity, due.get(id) ?? Infinity),
        },
      ]
    }),
  )

  /** What is done afloat for a launch is due the day after it, UTC ms by step: no reason to launch earlier. */
  function afterLaunch(): Map<string, number> {
    const starts = new Map<string, number>()
    for (const phase of [...phases].reverse())
      for (const activity of [...phase.activities].reverse()) {
        const launch = own.get(activity.ashore?.haulOut.id ?? '')
        const { step, job } = activity
        if (step.hullNeed !== 'afloat' || step.afterGate || !launch) continue
        const gate = compiled.rows.gate.find((one) => one.id === job.gateId)
        if (gate?.kind !== 'launch') continue
        let by = compiled.clock.at(compiled.clock.dayOf(launch.launchAt) + 2, 0)
        for (const arc of activity.after) by = Math.min(by, starts.get(arc.to) ?? Infinity)
        starts.set(step.id, backward(activity, by).start)
      }
    return starts
  }

  function backwardPass() {
    const latest = new Map<string, { start: number; finish: number }>()
    const deadlines = jobDeadlines()
    for (const phase of [...phases].reverse()) {
      const launch = phase.launch ? own.get(phase.launch.haulOut.id) : undefined
      const launchBy = launch ? latestLaunch(launch, latest) : Infinity
      for (const activity of [...phase.activities].reverse()) {
        let readyBy = deadlineOf(activity, deadlines)
        if (activity.holds && activity.holds === phase.launch)
          readyBy = Math.min(readyBy, cureBy(activity, launchBy, 'forWater'))
        for (const arc of activity.after) {
          const start = latest.get(arc.to)?.start
          const next = compiled.activities.get(arc.to)
          if (start === undefined) continue
          const by =
            start - arc.minWaitHours * hourMs - (next ? allowanceMs(next, start, compiled) : 0)
          readyBy = Math.min(readyBy, cureBy(activity, by, arc.once))
        }
        if (readyBy === Infinity) continue
        latest.set(activity.step.id, backward(activity, readyBy))
      }
    }
    return latest
  }

  /** When its whole wait would be over, if it is as far as `once` by an instant. */
  function cureBy({ step }: OpenStep, by: number, once: CureStage | 'forWater'): number {
    if (once === 'cured' || by === Infinity) return by
    const { waits } = compiled
    const far = (at: number) =>
      once === 'forWater' ? waits.forWater(step, at) : waits.over(step, at, once)
    return waits.over(step, finishFor(by, far))
  }

  /** The aimed lift, or earlier when what comes after the launch needs it. */
  function latestLaunch(launch: Ashore, latest: ReadonlyMap<string, { start: number }>): number {
    const { haulOut } = launch
    let by = liftOn(launch, haulOut.launchBooked ?? haulOut.launchAimed)
    for (const activity of compiled.activities.values())
      if (activity.ashore?.haulOut.id === haulOut.id) {
        const start = latest.get(activity.step.id)?.start
        if (start === undefined) continue
        if (activity.step.hullNeed === 'afloat') by = Math.min(by, start - slingMs)
        if (activity.step.hullNeed === 'slings') by = Math.min(by, start)
      }
    return by
  }

  /** What comes after the gate has its own last day, if any. */
  function deadlineOf({ step, job }: OpenStep, deadlines: ReadonlyMap<string, number>): number {
    if (!step.afterGate) return deadlines.get(job.id) ?? Infinity
    return step.dueBy === null ? Infinity : compiled.clock.at(dayNumber(step.dueBy) + 1, 0)
  }

  function jobDeadlines(): Map<string, number> {
    const gates = new Map(compiled.rows.gate.map((gate) => [gate.id, gate]))
    const asap = new Map<string, number>()
    for (const activity of compiled.activities.values())
      if (!activity.step.afterGate && gates.get(activity.job.gateId ?? '')?.kind === 'asap') {
        const gateId = activity.job.gateId as string
        const ready = earliest.get(activity.step.id)?.ready ?? 0
        asap.set(gateId, Math.max(asap.get(gateId) ?? 0, ready))
      }
    const deadlines = new Map<string, number>()
    for (const activity of compiled.activities.values()) {
      const gate = gates.get(activity.job.gateId ?? '')
      if (!gate || gate.kind === 'launch') continue
      const by = asap.get(gate.id) ?? gateDeadline(compiled.rows, gate, compiled.clock)
      if (by !== null && by !== undefined) deadlines.set(activity.job.id, by)
    }
    return deadlines
  }

  function backward(activity: OpenStep, readyBy: number): { start: number; finish: number } {
    const finishBy = latestFinish(activity, readyBy, compiled)
    const one = earliest.get(activity.step.id)
    const floor = one?.start ?? compiled.now
    const work = durationMs(activity, activity.crewMin)
    if (activity.tradeMs > 0)
      return { start: finishBy - tradeElapsedMs(activity.tradeMs), finish: finishBy }
    if (work === 0 || activity.booking || activity.step.hullNeed === 'slings')
      return { start: finishBy, finish: finishBy }
    if (finishBy < (one?.finish ?? 0))
      return { start: floor + finishBy - (one?.finish ?? 0), finish: finishBy }
    return (
      workBackward(
        hours.of(activity),
        windowsOf(activity),
        finishBy,
        work,
        activity.splittable,
        compiled.clock,
        floor,
      ) ?? { start: floor, finish: one?.finish ?? finishBy }
    )
  }
}

/** Latest finish whose wait is over by `readyBy`; the wait depends on the month, so it is asked again. */
const latestFinish = (activity: OpenStep, readyBy: number, compiled: OpenWork): number =>
  finishFor(readyBy, (finish) => compiled.waits.over(activity.step, finish))

function finishFor(readyBy: number, over: (finish: number) => number): number {
  let finish = readyBy
  for (let round = 0; round < 3; round++) finish = readyBy - (over(finish) - finish)
  return finish
}

const withOwn = (activity: OpenStep, own: ReadonlyMap<string, Ashore>): OpenStep =>
  activity.ashore ? { ...activity, ashore: own.get(activity.ashore.haulOut.id) ?? null } : activity
