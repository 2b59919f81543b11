import type { Calendar } from './calendar'
import type { Compiled, CompiledMode, CompiledResource } from './compiled'
import { stepAt } from './steps'

/** What is left of a resource as work is placed: steps in time. */
class Left {
  at: number[] = []
  units: number[] = []

  constructor(private readonly resource: CompiledResource) {
    this.clear()
  }

  clear(): void {
    this.at = this.resource.at.slice()
    this.units = this.resource.units.slice()
  }

  take(from: number, to: number, units: number): void {
    const first = this.cut(from)
    const last = this.cut(to)
    for (let k = first; k < last; k++) this.units[k] = (this.units[k] as number) - units
  }

  /** Makes a step begin at `t`; its position. */
  private cut(t: number): number {
    const k = stepAt(this.at, t)
    if (this.at[k] === t) return k
    this.at.splice(k + 1, 0, t)
    this.units.splice(k + 1, 0, this.units[k] as number)
    return k + 1
  }
}

/** Room in all resources of a problem while a plan is laid activity by activity. */
export class Room {
  private readonly left: Left[]

  constructor(compiled: Compiled) {
    this.left = compiled.resources.map((resource) => new Left(resource))
  }

  clear(): void {
    for (const one of this.left) one.clear()
  }

  /** Earliest start at or after `from` with room for the whole work; Infinity: none. */
  earliest(mode: CompiledMode, from: number): number {
    const { calendar, demands } = mode
    let start = calendar.next(from)
    for (let again = true; again && start !== Infinity;) {
      again = false
      const finish = calendar.finish(start)
      for (const [resource, units] of demands) {
        const past = this.firstShort(this.left[resource] as Left, calendar, units, start, finish)
        if (past < 0) continue
        start = calendar.next(past)
        again = true
        break
      }
    }
    return start
  }

  /** Latest start that ends by `to` with room for the whole work; -1: none. */
  latest(mode: CompiledMode, to: number): number {
    const { calendar, demands } = mode
    let start = calendar.lastEndingBy(to)
    for (let again = true; again && start >= 0;) {
      again = false
      const finish = calendar.finish(start)
      for (const [resource, units] of demands) {
        const before = this.lastShort(this.left[resource] as Left, calendar, units, start, finish)
        if (before < 0) continue
        start = calendar.lastEndingBy(before)
        again = true
        break
      }
    }
    return start
  }

  take(mode: CompiledMode, start: number): void {
    for (const [resource, units] of mode.demands)
      for (const [from, to] of mode.calendar.segments(start))
        (this.left[resource] as Left).take(from, to, units)
  }

  /** End of the first step in the work that is too short of units; -1: none. */
  private firstShort(
    left: Left,
    calendar: Calendar,
    units: number,
    start: number,
    finish: number,
  ): number {
    for (
      let k = stepAt(left.at, start);
      k < left.at.length && (left.at[k] as number) < finish;
      k++
    ) {
      if ((left.units[k] as number) >= units) continue
      const end = left.at[k + 1] ?? Infinity
      if (!calendar.splittable) return end
      const from = Math.max(start, left.at[k] as number)
      if (calendar.firstOpen(from, Math.min(finish, end)) >= 0) return end
    }
    return -1
  }

  /** Begin of the last step in the work that is too short of units; -1: none. */
  private lastShort(
    left: Left,
    calendar: Calendar,
    units: number,
    start: number,
    finish: number,
  ): number {
    for (let k = stepAt(left.at, finish - 1); k >= 0; k--) {
      const end = left.at[k + 1] ?? Infinity
      if (end <= start) break
      if ((left.units[k] as number) >= units) continue
      const from = Math.max(start, left.at[k] as number)
      if (!calendar.splittable || calendar.firstOpen(from, Math.min(finish, end)) >= 0)
        return left.at[k] as number
    }
    return -1
  }
}
