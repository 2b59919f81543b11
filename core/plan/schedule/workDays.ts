import type { Interval } from '../../time/intervals'

/** What is left of a day: nothing, only scraps, or a stretch worth unpacking for. */
export type DayRoom = 'full' | 'crowded' | 'roomy'

/** Days laid out at a time. */
const chunkDays = 122

/** The days on which somebody comes to a place, in order, laid out as far as anybody asked; shared by all passes. */
export class ComingDays {
  readonly days: number[] = []
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
    for (let on = this.laidOutTo; on < until; on++)
      if (this.presence(on).length > 0) this.days.push(on)
    this.laidOutTo = until
    return true
  }
}

/**
 * The days on which somebody comes to a place, in order, with a quick way past those that are full:
 * a disjoint-set forest with path halving (Tarjan), so that a pass over a crowded calendar stays
 * near linear.
 */
export class WorkDays {
  private readonly days: readonly number[]
  /** Past days with no free time, and past those with no stretch worth unpacking for. */
  private readonly past = { full: [] as number[], crowded: [] as number[] }

  constructor(private readonly coming: ComingDays) {
    this.days = coming.days
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

  /** First position from `position` on with free time; `roomy`: with a stretch worth unpacking for. */
  nextFree(position: number, roomy: boolean): number {
    const next = roomy ? this.past.crowded : this.past.full
    let at = position
    for (;;) {
      const to = next[at]
      if (to === undefined || to === at) return at
      const beyond = next[to] ?? to
      next[at] = beyond
      at = to
    }
  }

  /** Marks a day as having less room than it had. */
  mark(day: number, room: DayRoom): void {
    if (room === 'roomy') return
    const position = this.positionOf(day, day)
    if (this.days[position] !== day) return
    this.past.crowded[position] = position + 1
    if (room === 'full') this.past.full[position] = position + 1
  }

  /** Marks a day as having more room than it had. */
  reopen(day: number, room: DayRoom): void {
    const position = this.positionOf(day, day)
    if (this.days[position] !== day) return
    for (const next of [this.past.full, this.past.crowded]) {
      next[position] = position
      // Only the run of days before it may lead past it.
      for (let at = position - 1; at >= 0 && (next[at] as number) > at; at--) next[at] = at + 1
    }
    this.mark(day, room)
  }
}
