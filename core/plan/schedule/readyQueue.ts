import type { Activity } from './compile'

/** Steps whose predecessors inside the phase are dealt with, most urgent first: a binary heap. */
export class ReadyQueue {
  private readonly heap: Activity[] = []
  private readonly inside: Map<string, Activity>
  private readonly waiting = new Map<string, number>()

  constructor(
    activities: readonly Activity[],
    private readonly before: (a: Activity, b: Activity) => boolean,
  ) {
    this.inside = new Map(activities.map((activity) => [activity.step.id, activity]))
    for (const activity of activities) {
      const count = activity.before.filter((arc) => this.inside.has(arc.from)).length
      this.waiting.set(activity.step.id, count)
      if (count === 0) this.push(activity)
    }
  }

  next(): Activity | undefined {
    const top = this.heap[0]
    const last = this.heap.pop()
    if (top && last && top !== last) {
      this.heap[0] = last
      this.sink(0)
    }
    return top
  }

  /** Lets go what waited only for this one. */
  release(activity: Activity): void {
    for (const arc of activity.after) {
      const left = this.waiting.get(arc.to)
      if (left === undefined) continue
      this.waiting.set(arc.to, left - 1)
      if (left === 1) this.push(this.inside.get(arc.to) as Activity)
    }
  }

  private push(activity: Activity): void {
    this.heap.push(activity)
    let i = this.heap.length - 1
    while (i > 0) {
      const parent = (i - 1) >> 1
      if (!this.before(this.heap[i] as Activity, this.heap[parent] as Activity)) break
      this.swap(i, parent)
      i = parent
    }
  }

  private sink(from: number): void {
    let i = from
    for (;;) {
      let first = i
      for (const child of [2 * i + 1, 2 * i + 2])
        if (
          child < this.heap.length &&
          this.before(this.heap[child] as Activity, this.heap[first] as Activity)
        )
          first = child
      if (first === i) return
      this.swap(i, first)
      i = first
    }
  }

  private swap(i: number, j: number): void {
    const kept = this.heap[i] as Activity
    this.heap[i] = this.heap[j] as Activity
    this.heap[j] = kept
  }
}
