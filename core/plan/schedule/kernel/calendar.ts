import type { Interval } from '../../../time/intervals'
import { firstAbove } from './steps'

/** Open stretches, apart and in order, with the open time before each. */
export class Stretches {
  readonly from: number[] = []
  readonly to: number[] = []
  readonly before: number[] = []
  readonly total: number

  constructor(open: readonly Interval[]) {
    let total = 0
    for (const [from, to] of open) {
      if (to <= from) continue
      this.from.push(from)
      this.to.push(to)
      this.before.push(total)
      total += to - from
    }
    this.total = total
  }

  intervals(): Interval[] {
    return this.from.map((from, at) => [from, this.to[at] as number])
  }
}

/**
 * When one mode of an activity can be worked on, and what follows from its start. All lookups are
 * monotone in their argument, which is what the propagation rests on.
 */
export class Calendar {
  readonly from: readonly number[]
  readonly to: readonly number[]
  private readonly before: readonly number[]
  private readonly total: number
  /** Length a stretch must have to be begun in. */
  private readonly room: number
  readonly first: number
  readonly last: number

  constructor(
    readonly open: Stretches,
    readonly duration: number,
    readonly splittable: boolean,
  ) {
    this.from = open.from
    this.to = open.to
    this.before = open.before
    this.total = open.total
    this.room = splittable ? 1 : Math.max(1, duration)
    this.first = this.next(0)
    this.last = this.previous(Infinity)
  }

  /** No start is possible. */
  get closed(): boolean {
    return this.first === Infinity
  }

  /** Earliest possible start at or after `t`; Infinity: none. */
  next(t: number): number {
    let at = firstAbove(this.to, t + this.room - 1)
    while (at < this.from.length && (this.to[at] as number) - (this.from[at] as number) < this.room)
      at++
    const from = this.from[at]
    if (from === undefined) return Infinity
    const start = t > from ? t : from
    return this.splittable && this.total - this.workBefore(start) < this.duration ? Infinity : start
  }

  /** Latest possible start at or before `t`; -1: none. */
  previous(t: number): number {
    let at = firstAbove(this.from, t) - 1
    while (at >= 0 && (this.to[at] as number) - (this.from[at] as number) < this.room) at--
    if (at < 0) return -1
    const start = Math.min(t, (this.to[at] as number) - this.room)
    if (!this.splittable) return start
    const latest = this.total - Math.max(1, this.duration)
    if (this.workBefore(start) <= latest) return start
    if (latest < 0) return -1
    at = firstAbove(this.before, latest) - 1
    return (this.from[at] as number) + latest - (this.before[at] as number)
  }

  /** End of the work begun at a possible start. */
  finish(start: number): number {
    if (!this.splittable || this.duration === 0) return start + this.duration
    return this.timeOfWork(this.workBefore(start) + this.duration)
  }

  /** Latest possible start that ends by `t`; -1: none. */
  lastEndingBy(t: number): number {
    if (!this.splittable || this.duration === 0) return this.previous(t - this.duration)
    const work = this.workBefore(t) - this.duration
    if (work < 0) return -1
    // The last open moment with so much work before it.
    const at = firstAbove(this.before, work) - 1
    return (this.from[at] as number) + work - (this.before[at] as number)
  }

  /** Earliest possible start that ends at or after `t`; Infinity: none. */
  firstEndingAt(t: number): number {
    return this.next(this.lastEndingBy(t - 1) + 1)
  }

  /** Least s so that work begun at s or later, yet not after `t`, is going on at the open time `t`. */
  covers(t: number): number {
    return this.duration === 0 ? t + 1 : this.lastEndingBy(t) + 1
  }

  isOpen(t: number): boolean {
    const at = firstAbove(this.from, t) - 1
    return at >= 0 && t < (this.to[at] as number)
  }

  /** Last open time in [from, to); -1: none. */
  lastOpen(from: number, to: number): number {
    const at = firstAbove(this.from, to - 1) - 1
    if (at < 0) return -1
    const t = Math.min(to, this.to[at] as number) - 1
    return t >= from ? t : -1
  }

  /** First open time in [from, to); -1: none. */
  firstOpen(from: number, to: number): number {
    const at = firstAbove(this.to, from)
    const start = this.from[at]
    if (start === undefined) return -1
    const t = Math.max(from, start)
    return t < to ? t : -1
  }

  /** The stretches worked in from a possible start. */
  segments(start: number): Interval[] {
    const finish = this.finish(start)
    if (!this.splittable || this.duration === 0) return [[start, finish]]
    const made: Interval[] = []
    for (let at = firstAbove(this.to, start); at < this.from.length; at++) {
      const from = Math.max(start, this.from[at] as number)
      const to = Math.min(finish, this.to[at] as number)
      if (to <= from) break
      made.push([from, to])
    }
    return made
  }

  private workBefore(t: number): number {
    const at = firstAbove(this.from, t) - 1
    if (at < 0) return 0
    return (
      (this.before[at] as number) + Math.min(t, this.to[at] as number) - (this.from[at] as number)
    )
  }

  /** When so much open time is over: the end of a stretch, not the start of the next. */
  private timeOfWork(work: number): number {
    const at = Math.max(0, firstAbove(this.before, work - 1) - 1)
    return (this.from[at] as number) + work - (this.before[at] as number)
  }
}
