import TinyQueue from 'tinyqueue'
import type { OpenStep } from './openWork'

/** Steps whose predecessors are dealt with, most urgent first. */
export class ReadyQueue {
  private readonly ready: TinyQueue<OpenStep>
  private readonly inside: ReadonlyMap<string, OpenStep>
  private readonly waiting = new Map<string, number>()

  constructor(activities: readonly OpenStep[], before: (a: OpenStep, b: OpenStep) => boolean) {
    this.inside = new Map(activities.map((activity) => [activity.step.id, activity]))
    this.ready = new TinyQueue<OpenStep>([], (a, b) => (a === b ? 0 : before(a, b) ? -1 : 1))
    for (const activity of activities) {
      const count = activity.before.filter((arc) => this.inside.has(arc.from)).length
      this.waiting.set(activity.step.id, count)
      if (count === 0) this.ready.push(activity)
    }
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
      const left = this.waiting.get(arc.to)
      if (left === undefined) continue
      this.waiting.set(arc.to, left - 1)
      if (left === 1) this.ready.push(this.inside.get(arc.to) as OpenStep)
    }
  }
}
