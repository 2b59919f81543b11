import TinyQueue from 'tinyqueue'
import type { OpenStep } from './openWork'

/** Steps whose predecessors are dealt with, most urgent first. */
export class ReadyQueue {
  private readonly ready: TinyQueue<OpenStep>
  /** Predecessors still to be dealt with, by step index. */
  private readonly waiting: Int32Array

  /** @param rankOf place of a step among all by urgency, by its index; the lowest goes first. */
  constructor(
    private readonly activities: ReadonlyMap<string, OpenStep>,
    private readonly rankOf: ArrayLike<number>,
    from?: ReadyQueue,
  ) {
    const rank = (one: OpenStep) => rankOf[one.index] as number
    this.ready = new TinyQueue<OpenStep>([...(from?.ready.data ?? [])], (a, b) => rank(a) - rank(b))
    this.waiting = from ? from.waiting.slice() : new Int32Array(rankOf.length)
    if (from) return
    for (const activity of activities.values()) {
      const count = activity.before.filter((arc) => activities.has(arc.from)).length
      this.waiting[activity.index] = count
      if (count === 0) this.ready.push(activity)
    }
  }

  /** The same queue, to be gone through apart. */
  copy(): ReadyQueue {
    return new ReadyQueue(this.activities, this.rankOf, this)
  }

  /** Puts back one that could not be dealt with yet. */
  push(activity: OpenStep): void {
    this.ready.push(activity)
  }

  next(): OpenStep | undefined {
    return this.ready.pop()
  }

  /** Lets go what waited only for this one. */
  release(activity: OpenStep): void {
    for (const arc of activity.after) {
      const next = this.activities.get(arc.to)
      if (!next) continue
      const left = (this.waiting[next.index] as number) - 1
      this.waiting[next.index] = left
      if (left === 0) this.ready.push(next)
    }
  }
}
