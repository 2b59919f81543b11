import type { Calendar } from '../calendar'
import type { Compiled, CompiledActivity, CompiledArc } from '../compiled'
import { Engine, lower, upper } from './engine'
import { AtMost, Follows, InCalendar } from './follow'
import type { Rising } from './follow'
import { SharesOf } from './shares'
import type { Share } from './shares'

/** Pairs of activities given a variable for their order, at most. */
const mostOrders = 1500

/** A compiled problem as variables and propagators. */
export interface Model {
  readonly engine: Engine
  /** Start of each activity. */
  readonly starts: readonly number[]
  /** Variables of the modes of each activity; empty: there is only one. */
  readonly modes: readonly (readonly number[])[]
  /** Which of two activities that never run together comes first. */
  readonly orders: readonly number[]
  readonly makespan: number
  readonly lateness: AtMost | null
  /** The problem was refuted while it was built. */
  readonly refuted: boolean
}

const latestOf = (one: CompiledActivity): number =>
  Math.max(...one.modes.map((mode) => mode.calendar.last))

const startOf = (calendar: Calendar): Rising => ({
  of: (x) => {
    const start = calendar.next(x)
    return start === Infinity ? Infinity : calendar.finish(start)
  },
  most: (y) => calendar.lastEndingBy(y),
})

const after = (f: Rising, lag: number): Rising => ({
  of: (x) => f.of(x) + lag,
  most: (y) => f.most(y - lag),
})

/** Lies at or under all of them. */
const leastOf = (all: readonly Rising[]): Rising =>
  all.length === 1
    ? (all[0] as Rising)
    : {
        of: (x) => Math.min(...all.map((f) => f.of(x))),
        most: (y) => Math.max(...all.map((f) => f.most(y))),
      }

/** How early `to` may be, given the start of `from` in one mode. */
function leastStart(arc: CompiledArc, calendar: Calendar): Rising {
  const finish = startOf(calendar)
  const { after: table, minLag } = arc
  if (table === null) return after(finish, minLag ?? 0)
  const lag = minLag ?? -Infinity
  return {
    of: (x) => {
      const end = finish.of(x)
      return end === Infinity ? Infinity : Math.max(table.earliest(end), end + lag)
    },
    most: (y) =>
      Math.min(finish.most(table.latest(y)), lag === -Infinity ? Infinity : finish.most(y - lag)),
  }
}

/** How late `from` must be in one mode, given the start of `to`. */
function notTooEarly(maxLag: number, calendar: Calendar): Rising {
  return {
    of: (x) => calendar.firstEndingAt(x - maxLag),
    most: (y) => {
      const start = calendar.previous(y)
      return start < 0 ? -Infinity : calendar.finish(start) + maxLag
    },
  }
}

/** Builds variables and propagators; `mostLate` limits the weighted lateness from the start. */
export function makeModel(compiled: Compiled): Model {
  const { activities, resources, horizon } = compiled
  const engine = new Engine()
  let refuted = false
  const keep = (held: boolean) => {
    if (!held) refuted = true
  }
  const starts = activities.map((one) => engine.newVariable(0, Math.max(0, latestOf(one))))
  const modes = activities.map((one) => {
    if (one.modes.length === 1) return []
    const own = one.modes.map((mode) => engine.newVariable(0, mode.calendar.closed ? 0 : 1))
    keep(engine.forbid(own.flatMap((mode) => [upper(mode), 0])))
    own.forEach((a, i) => {
      for (const b of own.slice(i + 1)) keep(engine.forbid([lower(a), 1, lower(b), 1]))
    })
    return own
  })
  const makespan = engine.newVariable(0, horizon)
  const chosen = (activity: number, mode: number): number[] => {
    const variable = modes[activity]?.[mode]
    return variable === undefined ? [] : [lower(variable), 1]
  }
  const open = (one: CompiledActivity) => one.modes.filter((mode) => !mode.calendar.closed)
  /** y ≥ f(x) for the mode of one activity, and the least of its modes in any case. */
  const link = (x: number, y: number, one: CompiledActivity, f: (calendar: Calendar) => Rising) => {
    new Follows(x, y, leastOf(open(one).map((mode) => f(mode.calendar))), []).attach(engine)
    if (one.modes.length > 1)
      one.modes.forEach((mode, at) => {
        if (!mode.calendar.closed)
          new Follows(x, y, f(mode.calendar), chosen(one.index, at)).attach(engine)
      })
  }

  for (const one of activities) {
    const start = starts[one.index] as number
    const usable = open(one)
    if (usable.length === 0) {
      refuted = true
      continue
    }
    const any = {
      next: (t: number) => Math.min(...usable.map((mode) => mode.calendar.next(t))),
      previous: (t: number) => Math.max(...usable.map((mode) => mode.calendar.previous(t))),
    }
    new InCalendar(
      start,
      usable.length === 1 ? (usable[0] as (typeof usable)[0]).calendar : any,
      [],
    ).attach(engine)
    if (one.modes.length > 1)
      one.modes.forEach((mode, at) => {
        if (!mode.calendar.closed)
          new InCalendar(start, mode.calendar, chosen(one.index, at)).attach(engine)
      })
    link(start, makespan, one, startOf)
  }
  if (!refuted)
    for (const arc of compiled.arcs) {
      const [from, to] = [activities[arc.from] as CompiledActivity, starts[arc.to] as number]
      const x = starts[arc.from] as number
      if (arc.minLag !== null || arc.after !== null)
        link(x, to, from, (calendar) => leastStart(arc, calendar))
      const { maxLag } = arc
      if (maxLag !== null) link(to, x, from, (calendar) => notTooEarly(maxLag, calendar))
    }
  const orders = refuted ? [] : addOrders()
  resources.forEach((resource, index) => {
    const shares: Share[] = activities.flatMap((one) =>
      one.modes.flatMap((mode, at): Share[] => {
        const units = mode.demands.find(([which]) => which === index)?.[1] ?? 0
        if (units === 0 || mode.calendar.closed) return []
        return [
          {
            start: starts[one.index] as number,
            chosen: modes[one.index]?.[at] ?? -1,
            units,
            calendar: mode.calendar,
          },
        ]
      }),
    )
    if (!refuted && shares.length > 0) new SharesOf(resource, shares).attach(engine)
  })
  const lateness = refuted ? null : addLateness()
  if (!refuted) wakeAll()
  return { engine, starts, modes, orders, makespan, lateness, refuted }

  /** Two activities that never fit side by side come one before the other. */
  function addOrders(): number[] {
    const made: number[] = []
    const single = activities.filter((one) => one.modes.length === 1)
    for (let i = 0; i < single.length; i++)
      for (let j = i + 1; j < single.length && made.length < mostOrders; j++) {
        const [a, b] = [single[i] as CompiledActivity, single[j] as CompiledActivity]
        const [one, other] = [a.modes[0], b.modes[0]]
        if (!one || !other) continue
        const apart = one.demands.some(([which, units]) => {
          const more = other.demands.find(([resource]) => resource === which)?.[1] ?? 0
          return more > 0 && units + more > (resources[which]?.most ?? Infinity)
        })
        if (!apart) continue
        const first = engine.newVariable(0, 1)
        const [x, y] = [starts[a.index] as number, starts[b.index] as number]
        new Follows(x, y, startOf(one.calendar), [lower(first), 1]).attach(engine)
        new Follows(y, x, startOf(other.calendar), [upper(first), 0]).attach(engine)
        made.push(first)
      }
    return made
  }

  function addLateness(): AtMost | null {
    const terms = compiled.deadlines.flatMap(({ activity, at, weight }): [number, number][] => {
      if (weight <= 0) return []
      const late = engine.newVariable(0, horizon)
      link(starts[activity] as number, late, activities[activity] as CompiledActivity, (calendar) =>
        after(startOf(calendar), -at),
      )
      return [[late, weight]]
    })
    if (terms.length === 0) return null
    const sum = new AtMost(terms)
    sum.attach(engine)
    return sum
  }

  /** Lets every propagator look once, by running all that listen to a start or a choice. */
  function wakeAll(): void {
    for (let side = 0; side < engine.value.length; side++) keep(engine.wake(side))
  }
}
