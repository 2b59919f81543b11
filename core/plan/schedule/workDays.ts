import type { Interval } from '../../time/intervals'

/** Days laid out at a time. */
const chunkDays = 366

/**
 * The days on which somebody comes to a place, in order, with a quick way past those that are full:
 * a disjoint-set forest with path halving (Tarjan), so that a pass over a crowded calendar stays
 * near linear.
 */
export class WorkDays {
  private readonly days: number[] = []
  private readonly next: number[] = []
  private laidOutTo: number

  constructor(
    firstDay: number,
    private readonly presence: (day: number) => readonly Interval[],
    private readonly isFull: (day: number) => boolean,
  ) {
    this.laidOutTo = firstDay
  }

  /** Position of the first work day on or after a day. */
  positionOf(day: number, lastDay: number): number {
    while ((this.days.at(-1) ?? -Infinity) < day && this.laidOutTo <= lastDay) this.layOut()
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
    while (position >= this.days.length && this.laidOutTo <= lastDay) this.layOut()
    return this.days[position]
  }

  /** First position from `position` on with free time. */
  nextFree(position: number): number {
    let at = position
    for (;;) {
      const to = this.next[at]
      if (to === undefined || to === at) return at
      const beyond = this.next[to] ?? to
      this.next[at] = beyond
      at = to
    }
  }

  /** Marks a day as full. */
  fill(day: number): void {
    if (day >= this.laidOutTo) return
    const position = this.positionOf(day, day)
    if (this.days[position] === day) this.next[position] = position + 1
  }

  private layOut(): void {
    const until = this.laidOutTo + chunkDays
    for (let day = this.laidOutTo; day < until; day++) {
      if (this.presence(day).length === 0) continue
      const position = this.days.length
      this.days.push(day)
      this.next.push(this.isFull(day) ? position + 1 : position)
    }
    this.laidOutTo = until
  }
}
