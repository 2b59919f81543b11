/** Room for work, gathered from the free time of one day after the other. */
import type { PlaceNeed } from '../../model/words'
import type { Interval } from '../../time/intervals'

/** Work found room for: its stretches. */
export interface WorkStretches {
  readonly segments: readonly Interval[]
  readonly start: number
  readonly finish: number
}

/** What is looked for. */
export interface Wanted {
  readonly crew: readonly number[]
  readonly place: PlaceNeed
  readonly windows: readonly Interval[]
  /** Not before, UTC ms. */
  readonly from: number
  /** Clock time of the work, ms. */
  readonly workMs: number
  readonly splittable: boolean
  /** A finish after this is of no use. */
  readonly giveUpAt: number
  /** A step whose time counts as free; for asking what it keeps from being done. */
  readonly ignoring?: string | undefined
  /** Work in one go gives up after so many days with room, none of it long enough; not said: never. */
  readonly patienceDays?: number | undefined
}

/** Shortest stretch worth unpacking for; the last of the work may be shorter. */
export const leastStretchMs = 60 * 60_000
/** No work is begun for so little (or a quarter of it) before so long a pause: it starts after the pause. */
const scrapMs = 2 * 3_600_000
const longPauseMs = 7 * 86_400_000

/** Gathers stretches day by day until the work is done. */
export class RoomSearch {
  private segments: Interval[] = []
  private left: number
  /** So little of the work is no beginning before a long pause. */
  private readonly scrap: number
  /** Windows that closed before the days looked at so far. */
  private closed = 0

  constructor(private readonly wanted: Wanted) {
    this.left = wanted.workMs
    this.scrap = Math.max(scrapMs, wanted.workMs / 4)
  }

  /** Shorter stretches are of no use, ms. Who gives up after some days counts all that are worth unpacking for. */
  get stretchMs(): number {
    const { splittable, patienceDays } = this.wanted
    const wanted = splittable || patienceDays !== undefined ? leastStretchMs : Infinity
    return this.left < leastStretchMs ? 1 : Math.min(this.left, wanted)
  }

  /** Days come in order. */
  takeDay(free: readonly Interval[]): WorkStretches | null {
    const { windows } = this.wanted
    const begin = free[0]?.[0] ?? -Infinity
    while ((windows[this.closed]?.[1] ?? Infinity) <= begin) this.closed++
    for (const span of free)
      for (let at = this.closed; at < windows.length; at++) {
        const window = windows[at] as Interval
        if (window[0] >= span[1]) break
        const from = Math.max(span[0], window[0], this.wanted.from)
        const to = Math.min(span[1], window[1])
        if (to <= from) continue
        const found = this.wanted.splittable ? this.take(from, to) : this.takeWhole(from, to)
        if (found) return found
      }
    return null
  }

  private takeWhole(from: number, to: number): WorkStretches | null {
    const { workMs } = this.wanted
    return to - from >= workMs ? stretches([[from, from + workMs]]) : null
  }

  private take(from: number, to: number): WorkStretches | null {
    const last = this.segments.at(-1)
    const done = this.wanted.workMs - this.left
    if (last && from - last[1] > longPauseMs && done <= this.scrap) this.startAfresh()
    if (to - from < Math.min(leastStretchMs, this.left)) return null
    if (to - from >= this.left) return stretches([...this.segments, [from, from + this.left]])
    this.segments.push([from, to])
    this.left -= to - from
    return null
  }

  private startAfresh(): void {
    this.segments = []
    this.left = this.wanted.workMs
  }
}

const stretches = (segments: readonly Interval[]): WorkStretches => ({
  segments,
  start: (segments[0] as Interval)[0],
  finish: (segments.at(-1) as Interval)[1],
})
