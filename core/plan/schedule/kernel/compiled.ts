import { Calendar, Stretches } from './calendar'
import { intersect, joined } from '../../../time/intervals'
import type { Member, Problem } from './problem'
import type { Interval } from '../../../time/intervals'

/** One mode made ready: what it takes and when it can be done. */
export interface CompiledMode {
  readonly calendar: Calendar
  /** Resource index and units, only where units > 0. */
  readonly demands: readonly (readonly [resource: number, units: number])[]
}

export interface CompiledActivity {
  readonly index: number
  /** At least one; modes that can never be done are left in, their calendars closed. */
  readonly modes: readonly CompiledMode[]
}

export interface CompiledArc {
  /** Position in the problem's list. */
  readonly index: number
  readonly from: number
  readonly to: number
  readonly minLag: number | null
  readonly maxLag: number | null
  readonly after: EarliestAfter | null
}

/** Capacity as steps: from `at[i]` on `units[i]`, until `at[i + 1]`. */
export interface CompiledResource {
  readonly at: readonly number[]
  readonly units: readonly number[]
  readonly most: number
}

export interface Compiled {
  readonly problem: Problem
  /** Nothing worth looking at starts or ends later. */
  readonly horizon: number
  readonly activities: readonly CompiledActivity[]
  readonly arcs: readonly CompiledArc[]
  readonly resources: readonly CompiledResource[]
  /** Weight and time by activity index. */
  readonly deadlines: readonly {
    readonly activity: number
    readonly at: number
    readonly weight: number
  }[]
}

/** Which parts of a problem to leave out. */
export type Relaxed = (member: Member) => boolean
const nothing: Relaxed = () => false

/** A wait whose length depends on when it begins. */
class EarliestAfter {
  private readonly finish: number[] = []
  private readonly lag: number[] = []
  /** Earliest start promised by all points before. */
  private readonly floor: number[] = []

  constructor(points: readonly (readonly [number, number])[]) {
    let floor = -Infinity
    for (const [finish, earliest] of [...points].sort((a, b) => a[0] - b[0])) {
      const last = this.finish.length - 1
      if (last >= 0) floor = Math.max(floor, finish - 1 + (this.lag[last] as number))
      this.finish.push(finish)
      this.lag.push(earliest - finish)
      this.floor.push(floor)
    }
  }

  /** Earliest start after a finish; never falls as the finish rises. */
  earliest(finish: number): number {
    let at = 0
    while (at + 1 < this.finish.length && (this.finish[at + 1] as number) <= finish) at++
    return Math.max(this.floor[at] ?? -Infinity, finish + (this.lag[at] ?? 0))
  }

  /** Latest finish that still lets a start be at `start`. */
  latest(start: number): number {
    for (let at = this.finish.length - 1; at > 0; at--) {
      if ((this.floor[at] as number) > start) continue
      const fits = start - (this.lag[at] as number)
      if (fits >= (this.finish[at] as number)) return this.cut(at, fits)
    }
    return this.cut(0, start - (this.lag[0] ?? 0))
  }

  private cut(at: number, finish: number): number {
    const next = this.finish[at + 1]
    return next === undefined ? finish : Math.min(finish, next - 1)
  }
}

/** Makes a problem ready to be solved over and over. Precondition: it passed `readProblem`. */
export function compileProblem(problem: Problem, relaxed: Relaxed = nothing): Compiled {
  const horizon = horizonOf(problem, relaxed)
  const resourceIndex = new Map(problem.resources.map((one, index) => [one.id, index]))
  const activityIndex = new Map(problem.activities.map((one, index) => [one.id, index]))
  const resources = problem.resources.map((one, index): CompiledResource => {
    if (relaxed({ kind: 'resource', resource: index }))
      return { at: [0], units: [Infinity], most: Infinity }
    const at: number[] = [0]
    const units: number[] = [0]
    for (const [from, to, capacity] of one.profile) {
      const start = Math.max(0, from)
      if (to <= start) continue
      if (at.at(-1) === start) units[units.length - 1] = capacity
      else {
        at.push(start)
        units.push(capacity)
      }
      if (to < horizon) {
        at.push(to)
        units.push(0)
      }
    }
    return { at, units, most: Math.max(...units) }
  })
  const open = resources.map(() => new Map<number, readonly Interval[]>())
  /** When a resource has so many units: hundreds of activities ask for the same. */
  const openFor = (resource: number, units: number): readonly Interval[] => {
    const known = open[resource]?.get(units)
    if (known) return known
    const spans = openOf(resources[resource] as CompiledResource, units, horizon)
    open[resource]?.set(units, spans)
    return spans
  }
  const activities = problem.activities.map((one, index): CompiledActivity => {
    const free = one.windows === null || relaxed({ kind: 'windows', activity: index })
    const windowsTo = (end: number): readonly Interval[] =>
      free
        ? [[0, end]]
        : joined((one.windows ?? []).map(([from, to]) => [Math.max(0, from), Math.min(end, to)]))
    return {
      index,
      modes: one.modes.map((mode): CompiledMode => {
        const demands = Object.entries(mode.demands)
          .filter(([, units]) => units > 0)
          .map(([id, units]) => [resourceIndex.get(id) as number, units] as const)
        // Something of no length takes nothing, and may also happen at the very end.
        const stretches =
          mode.duration === 0
            ? windowsTo(horizon + 1)
            : demands.reduce<readonly Interval[]>(
                (all, [resource, units]) => intersect(all, openFor(resource, units)),
                windowsTo(horizon),
              )
        return {
          calendar: new Calendar(new Stretches(stretches), mode.duration, one.splittable),
          demands: mode.duration === 0 ? [] : demands,
        }
      }),
    }
  })
  const arcs = problem.arcs.map((arc, index): CompiledArc => {
    const least = relaxed({ kind: 'minLag', arc: index })
    return {
      index,
      from: activityIndex.get(arc.from) as number,
      to: activityIndex.get(arc.to) as number,
      minLag: least ? null : arc.minLag,
      maxLag: relaxed({ kind: 'maxLag', arc: index }) ? null : arc.maxLag,
      after: least || arc.earliestAfter === null ? null : new EarliestAfter(arc.earliestAfter),
    }
  })
  const deadlines = problem.deadlines.map(({ activity, at, weight }) => ({
    activity: activityIndex.get(activity) as number,
    at,
    weight,
  }))
  return { problem, horizon, activities, arcs, resources, deadlines }
}

/** When a resource has so many units up to a horizon. */
function openOf({ at, units: had }: CompiledResource, units: number, horizon: number): Interval[] {
  const spans: Interval[] = []
  for (const [i, from] of at.entries())
    if ((had[i] as number) >= units) spans.push([from, Math.min(horizon, at[i + 1] ?? horizon)])
  return joined(spans)
}

/**
 * The same problem with other durations, and other windows where they are given: what a forecast asks
 * for over and over. Demands, arcs and resources are shared with the original, whose horizon stays.
 */
export function retimed(
  compiled: Compiled,
  durationOf: (activity: number, mode: number) => number,
  windowsOf: (activity: number) => readonly Interval[] | null = () => null,
): Compiled {
  return {
    ...compiled,
    activities: compiled.activities.map((one): CompiledActivity => {
      const windows = windowsOf(one.index)
      return {
        index: one.index,
        modes: one.modes.map(({ calendar, demands }, mode): CompiledMode => {
          const duration = durationOf(one.index, mode)
          const open =
            windows === null
              ? calendar.open
              : new Stretches(intersect(calendar.open.intervals(), windows))
          return { demands, calendar: new Calendar(open, duration, calendar.splittable) }
        }),
      }
    }),
  }
}

/**
 * Latest time worth looking at. Past the last change of any calendar, time in which nothing is worked
 * on and no lag runs can be cut out of a plan, so a plan that exists at all exists within this.
 */
function horizonOf(problem: Problem, relaxed: Relaxed): number {
  let last = 0
  const change = (t: number) => {
    if (Number.isFinite(t)) last = Math.max(last, t)
  }
  problem.resources.forEach((one, index) => {
    if (!relaxed({ kind: 'resource', resource: index }))
      for (const [from, to] of one.profile) [from, to].forEach(change)
  })
  problem.activities.forEach((one, index) => {
    if (!relaxed({ kind: 'windows', activity: index }))
      for (const span of one.windows ?? []) span.forEach(change)
  })
  let room = 1
  for (const one of problem.activities) room += Math.max(...one.modes.map((mode) => mode.duration))
  for (const arc of problem.arcs) {
    room += Math.max(0, arc.minLag ?? 0)
    for (const [finish, earliest] of arc.earliestAfter ?? []) {
      change(finish)
      room += Math.max(0, earliest - finish)
    }
  }
  const enough = last + room
  if (problem.horizon === null || relaxed({ kind: 'horizon' })) return enough
  return Math.min(problem.horizon, enough)
}
