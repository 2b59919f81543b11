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
  /** Steps at which the resources of the work in hand are looked at. */
  private readonly position: number[] = []

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
    for (let which = 0; which < demands.length; which++)
      this.position[which] = stepAt((this.left[demands[which]?.[0] as number] as Left).at, start)
    // Every resource is asked again from its place after the start was moved, until none of them moves it.
    for (let which = 0, agreed = 0; agreed < demands.length && start !== Infinity;) {
      const [resource, units] = demands[which] as CompiledMode['demands'][number]
      const past = this.firstShort(resource, which, calendar, units, start)
      if (past >= 0) {
        start = calendar.next(past)
        agreed = 0
      } else {
        agreed++
        which = which + 1 === demands.length ? 0 : which + 1
      }
    }
    return start
  }

  /** Latest start that ends by `to` with room for the whole work; -1: none. */
  latest(mode: CompiledMode, to: number): number {
    const { calendar, demands } = mode
    let start = calendar.lastEndingBy(to)
    if (start < 0) return -1
    const end = calendar.finish(start)
    for (let which = 0; which < demands.length; which++)
      this.position[which] = stepAt((this.left[demands[which]?.[0] as number] as Left).at, end - 1)
    for (let which = 0, agreed = 0; agreed < demands.length && start >= 0;) {
      const [resource, units] = demands[which] as CompiledMode['demands'][number]
      const before = this.lastShort(resource, which, calendar, units, start)
      if (before >= 0) {
        start = calendar.lastEndingBy(before)
        agreed = 0
      } else {
        agreed++
        which = which + 1 === demands.length ? 0 : which + 1
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
    resource: number,
    which: number,
    calendar: Calendar,
    units: number,
    start: number,
  ): number {
    const { at, units: left } = this.left[resource] as Left
    const finish = calendar.finish(start)
    let k = this.position[which] as number
    while (k + 1 < at.length && (at[k + 1] as number) <= start) k++
    this.position[which] = k
    for (; k < at.length && (at[k] as number) < finish; k++) {
      if ((left[k] as number) >= units) continue
      const end = at[k + 1] ?? Infinity
      if (!calendar.splittable) return end
      const from = Math.max(start, at[k] as number)
      if (calendar.firstOpen(from, Math.min(finish, end)) >= 0) return end
    }
    return -1
  }

  /** Begin of the last step in the work that is too short of units; -1: none. */
  private lastShort(
    resource: number,
    which: number,
    calendar: Calendar,
    units: number,
    start: number,
  ): number {
    const { at, units: left } = this.left[resource] as Left
    const finish = calendar.finish(start)
    let k = this.position[which] as number
    while (k > 0 && (at[k] as number) > finish - 1) k--
    this.position[which] = k
    for (; k >= 0; k--) {
      const end = at[k + 1] ?? Infinity
      if (end <= start) break
      if ((left[k] as number) >= units) continue
      const from = Math.max(start, at[k] as number)
      if (!calendar.splittable || calendar.firstOpen(from, Math.min(finish, end)) >= 0)
        return at[k] as number
    }
    return -1
  }
}
