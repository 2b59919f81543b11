import TinyQueue from 'tinyqueue'
import type { CompiledActivity, CompiledArc, CompiledMode, Compiled } from './compiled'
import { Room } from './room'

interface Placed {
  readonly starts: number[]
  readonly finishes: number[]
}

/** Times a plan is begun again with somebody held back, per activity, when a most lag is missed. */
const heldBackPerActivity = 2

/**
 * SerialGeneration schedule generation in both directions: the most urgent activity whose predecessors are
 * placed goes to the earliest room; mirrored, to the latest. Keys say urgency: smaller goes first.
 */
export class SerialGeneration {
  private readonly room: Room
  private readonly before: CompiledArc[][]
  private readonly after: CompiledArc[][]
  /** Activities in an order in which every arc with a least lag leads forward; empty: there is none. */
  readonly sorted: readonly number[]

  constructor(private readonly compiled: Compiled) {
    this.room = new Room(compiled)
    this.before = compiled.activities.map(() => [])
    this.after = compiled.activities.map(() => [])
    for (const arc of compiled.arcs) {
      ;(this.before[arc.to] as CompiledArc[]).push(arc)
      ;(this.after[arc.from] as CompiledArc[]).push(arc)
    }
    this.sorted = this.sort()
  }

  private sort(): number[] {
    const waiting = this.before.map((arcs) => arcs.length)
    const order = waiting.flatMap((count, index) => (count === 0 ? [index] : []))
    for (let i = 0; i < order.length; i++)
      for (const arc of this.after[order[i] as number] as CompiledArc[])
        if ((waiting[arc.to] = (waiting[arc.to] as number) - 1) === 0) order.push(arc.to)
    return order.length === waiting.length ? order : []
  }

  /** From the front. Null: some activity has no room, or a most lag cannot be kept. */
  forward(keys: readonly number[], modes: readonly number[]): Placed | null {
    const held = keys.map(() => 0)
    for (let tries = heldBackPerActivity * keys.length; tries >= 0; tries--) {
      const placed = this.tryForward(keys, modes, held)
      if (placed !== 'again') return placed
    }
    return null
  }

  private tryForward(
    keys: readonly number[],
    modes: readonly number[],
    held: number[],
  ): Placed | 'again' | null {
    const starts = keys.map(() => -1)
    const finishes = keys.map(() => -1)
    this.room.clear()
    const done = this.inTurn(keys, this.before, this.after, (index) => {
      const mode = this.modeOf(index, modes)
      let from = held[index] as number
      let until = Infinity
      for (const arc of this.before[index] as CompiledArc[]) {
        const end = finishes[arc.from] as number
        if (arc.minLag !== null) from = Math.max(from, end + arc.minLag)
        if (arc.after) from = Math.max(from, arc.after.earliest(end))
        if (arc.maxLag !== null) until = Math.min(until, end + arc.maxLag)
      }
      const start = this.room.earliest(mode, Math.max(0, from))
      if (start === Infinity) return 'stop'
      if (start > until) return this.holdBack(index, start, finishes, modes, held)
      starts[index] = start
      finishes[index] = mode.calendar.finish(start)
      this.room.take(mode, start)
      return 'placed'
    })
    if (done === 'placed') return { starts, finishes }
    return done === 'again' ? 'again' : null
  }

  /** The activities before it whose most lag it misses may not end so early. */
  private holdBack(
    index: number,
    start: number,
    finishes: readonly number[],
    modes: readonly number[],
    held: number[],
  ): 'again' | 'stop' {
    let moved = false
    for (const arc of this.before[index] as CompiledArc[]) {
      if (arc.maxLag === null || start <= (finishes[arc.from] as number) + arc.maxLag) continue
      const later = this.modeOf(arc.from, modes).calendar.firstEndingAt(start - arc.maxLag)
      if (later === Infinity || later <= (held[arc.from] as number)) return 'stop'
      held[arc.from] = later
      moved = true
    }
    return moved ? 'again' : 'stop'
  }

  /** From the back: everything as late as it may be when all is finished by `end`. Null: it does not fit. */
  backward(
    keys: readonly number[],
    modes: readonly number[],
    ends: (activity: number) => number,
  ): Placed | null {
    const starts = keys.map(() => -1)
    const finishes = keys.map(() => -1)
    this.room.clear()
    const done = this.inTurn(keys, this.after, this.before, (index) => {
      const mode = this.modeOf(index, modes)
      let to = ends(index)
      let least = -Infinity
      for (const arc of this.after[index] as CompiledArc[]) {
        const start = starts[arc.to] as number
        if (arc.minLag !== null) to = Math.min(to, start - arc.minLag)
        if (arc.after) to = Math.min(to, arc.after.latest(start))
        if (arc.maxLag !== null) least = Math.max(least, start - arc.maxLag)
      }
      const start = this.room.latest(mode, to)
      if (start < 0 || mode.calendar.finish(start) < least) return 'stop'
      starts[index] = start
      finishes[index] = mode.calendar.finish(start)
      this.room.take(mode, start)
      return 'placed'
    })
    return done === 'placed' ? { starts, finishes } : null
  }

  private modeOf(index: number, modes: readonly number[]): CompiledMode {
    return (this.compiled.activities[index] as CompiledActivity).modes[
      modes[index] as number
    ] as CompiledMode
  }

  /** Hands out activities whose arcs on one side are dealt with, smallest key first. */
  private inTurn(
    keys: readonly number[],
    inward: readonly CompiledArc[][],
    outward: readonly CompiledArc[][],
    place: (index: number) => 'placed' | 'again' | 'stop',
  ): 'placed' | 'again' | 'stop' {
    const waiting = inward.map((arcs) => arcs.length)
    const ready = new TinyQueue<number>([], (a, b) => (keys[a] as number) - (keys[b] as number))
    waiting.forEach((count, index) => count === 0 && ready.push(index))
    for (let index = ready.pop(); index !== undefined; index = ready.pop()) {
      const outcome = place(index)
      if (outcome !== 'placed') return outcome
      for (const arc of outward[index] as CompiledArc[]) {
        const other = outward === this.after ? arc.to : arc.from
        if ((waiting[other] = (waiting[other] as number) - 1) === 0) ready.push(other)
      }
    }
    return 'placed'
  }
}
