import { hourMs } from '../../time/civil'
import type { Interval } from '../../time/intervals'

/** Lengths of stretches that days are told apart by, ms: any time at all, one worth unpacking for, and longer ones. */
const lengthsMs = [1, hourMs, 2 * hourMs, 4 * hourMs]

const longestOfAll = lengthsMs.at(-1) as number

/** The longest of some stretches, ms; 0: there is none. */
export const longestOf = (free: readonly Interval[]): number =>
  free.reduce((longest, [from, to]) => Math.max(longest, to - from), 0)

/** Days laid out at a time. */
const chunkDays = 122

/** The days on which somebody comes to a place, in order, laid out as far as anybody asked; shared by all passes. */
export class ComingDays {
  readonly days: number[] = []
  /** Of each of them, the longest stretch there can be, ms. */
  readonly longestMs: number[] = []
  private laidOutTo: number

  constructor(
    firstDay: number,
    private readonly presence: (day: number) => readonly Interval[],
  ) {
    this.laidOutTo = firstDay
  }

  /** Lays out one stretch more. False: that far was asked already. */
  goOnTo(day: number): boolean {
    if (this.laidOutTo > day) return false
    const until = this.laidOutTo + chunkDays
    for (let on = this.laidOutTo; on < until; on++) {
      const longestMs = longestOf(this.presence(on))
      if (longestMs === 0) continue
      this.days.push(on)
      this.longestMs.push(longestMs)
    }
    this.laidOutTo = until
    return true
  }
}

/**
 * The days on which somebody comes to a place, in order, with a quick way past those that have no stretch of some
 * length left: for each length a disjoint-set forest with path halving (Tarjan), so that a pass over a crowded
 * calendar stays near linear.
 */
export class WorkDays {
  private readonly days: readonly number[]
  /** By length: past days with no stretch so long. */
  private readonly past: readonly number[][]

  constructor(
    private readonly coming: ComingDays,
    from?: WorkDays,
  ) {
    this.days = coming.days
    this.past = lengthsMs.map((_, by) => from?.past[by]?.slice() ?? [])
  }

  /** The same days, to be marked on their own from now on. */
  copy(): WorkDays {
    return new WorkDays(this.coming, this)
  }

  /** Position of the first work day on or after a day. */
  positionOf(day: number, lastDay: number): number {
    while ((this.days.at(-1) ?? -Infinity) < day && this.coming.goOnTo(lastDay));
    let low = 0
    let high = this.days.length
    while (low < high) {
      const middle = (low + high) >> 1
      if ((this.days[middle] as number) < day) low = middle + 1
      else high = middle
    }
    return low
  }

  /** Day number at a position; undefined past `lastDay`. */
  dayAt(position: number, lastDay: number): number | undefined {
    while (position >= this.days.length && this.coming.goOnTo(lastDay));
    return this.days[position]
  }

  /** First position from `position` on that may have a stretch of some length, ms; days with less may be among them. */
  nextFree(position: number, stretchMs: number): number {
    let by = 0
    while ((lengthsMs[by + 1] ?? Infinity) <= stretchMs) by++
    const next = this.past[by] as number[]
    const leastMs = lengthsMs[by] as number
    let at = position
    for (;;) {
      let to = next[at]
      if (to === undefined || to === at) {
        if ((this.coming.longestMs[at] ?? Infinity) >= leastMs) return at
        // Nobody is ever there for so long on such a day.
        to = at + 1
      }
      next[at] = next[to] ?? to
      at = to
    }
  }

  /** Marks a day as having less room than it had: its longest stretch, ms. */
  mark(day: number, longestMs: number): void {
    if (longestMs >= longestOfAll) return
    const position = this.positionOf(day, day)
    if (this.days[position] !== day) return
    this.past.forEach((next, by) => {
      if (longestMs < (lengthsMs[by] as number)) next[position] = position + 1
    })
  }

  /** Marks a day as having more room than it had. */
  reopen(day: number, longestMs: number): void {
    const position = this.positionOf(day, day)
    if (this.days[position] !== day) return
    for (const next of this.past) {
      next[position] = position
      // Only the run of days before it may lead past it.
      for (let at = position - 1; at >= 0 && (next[at] as number) > at; at--) next[at] = at + 1
    }
    this.mark(day, longestMs)
  }
}
