import type { Calendar } from '../calendar'
import type { CompiledResource } from '../compiled'
import { stepAt } from '../steps'
import { Because, lower, upper } from './engine'
import type { Engine, Propagator } from './engine'

/** One mode of an activity drawing on a resource. */
export interface Share {
  /** Variable of the start. */
  readonly start: number
  /** Variable that is 1 when the mode is chosen; -1: it is the only one. */
  readonly chosen: number
  readonly units: number
  readonly calendar: Calendar
}

/**
 * What is surely taken of a resource is never more than there is: time-table filtering. A share
 * surely runs from its latest start to its earliest finish. Every reason names one point of time and
 * the shares that surely cover it (pointwise explanation), which keeps what is learned general.
 */
export class SharesOf implements Propagator {
  /** Time-table: from `at[k]` on, `taken[k]`, of `there[k]`. */
  private at: number[] = []
  private taken: number[] = []
  private there: number[] = []
  private readonly from: number[]
  private readonly to: number[]
  private readonly cuts: number[] = []
  private leastRoom = 0

  constructor(
    private readonly resource: CompiledResource,
    private readonly shares: readonly Share[],
  ) {
    this.from = shares.map(() => 0)
    this.to = shares.map(() => 0)
  }

  attach(engine: Engine): void {
    const sides = new Set<number>()
    for (const { start, chosen } of this.shares) {
      sides.add(lower(start)).add(upper(start))
      if (chosen >= 0) sides.add(lower(chosen))
    }
    engine.addLate(this, sides)
  }

  run(engine: Engine): boolean {
    if (!this.lay(engine)) return true
    for (let k = 0; k + 1 < this.at.length; k++)
      if ((this.taken[k] as number) > (this.there[k] as number)) {
        const t = (this.at[k + 1] as number) - 1
        return engine.fail(this.coverers(engine, t, -1, this.there[k] as number))
      }
    for (let one = 0; one < this.shares.length; one++) {
      const share = this.shares[one] as Share
      if (share.chosen >= 0 && engine.high(share.chosen) === 0) continue
      const sure = share.chosen < 0 || engine.low(share.chosen) === 1
      if (sure && engine.isFixed(share.start)) continue
      if (share.units <= this.leastRoom) continue
      if (!(sure ? this.push(engine, one, share) : this.exclude(engine, one, share))) return false
    }
    return true
  }

  /** Lays out the time-table. False: nothing is sure yet. */
  private lay(engine: Engine): boolean {
    const { cuts } = this
    cuts.length = 0
    for (let one = 0; one < this.shares.length; one++) {
      const { start, chosen, calendar } = this.shares[one] as Share
      this.from[one] = 0
      this.to[one] = 0
      if (chosen >= 0 && engine.low(chosen) === 0) continue
      const latest = engine.high(start)
      const earliest = calendar.finish(engine.low(start))
      if (latest >= earliest) continue
      this.from[one] = latest
      this.to[one] = earliest
      cuts.push(latest, earliest)
      if (calendar.splittable)
        for (let i = Math.max(0, stepAt(calendar.from, latest)); i < calendar.from.length; i++) {
          const [a, b] = [calendar.from[i] as number, calendar.to[i] as number]
          if (a >= earliest) break
          if (a > latest && a < earliest) cuts.push(a)
          if (b > latest && b < earliest) cuts.push(b)
        }
    }
    if (cuts.length === 0) return false
    cuts.sort((a, b) => a - b)
    const [first, last] = [cuts[0] as number, cuts.at(-1) as number]
    const changes = this.resource.at
    const begin = stepAt(changes, first)
    for (let k = begin + 1; k < changes.length && (changes[k] as number) < last; k++)
      cuts.push(changes[k] as number)
    cuts.sort((a, b) => a - b)
    this.at.length = 0
    for (const t of cuts) if (this.at.at(-1) !== t) this.at.push(t)
    this.taken.length = 0
    this.there.length = 0
    let step = begin
    for (const t of this.at) {
      while (step + 1 < this.resource.at.length && (this.resource.at[step + 1] as number) <= t)
        step++
      this.taken.push(0)
      this.there.push(this.resource.units[step] as number)
    }
    for (let one = 0; one < this.shares.length; one++) {
      const [from, to] = [this.from[one] as number, this.to[one] as number]
      if (from >= to) continue
      const { units, calendar } = this.shares[one] as Share
      for (let k = stepAt(this.at, from); (this.at[k] as number) < to; k++)
        if (!calendar.splittable || calendar.isOpen(this.at[k] as number))
          this.taken[k] = (this.taken[k] as number) + units
    }
    this.leastRoom = Infinity
    for (let k = 0; k + 1 < this.at.length; k++)
      this.leastRoom = Math.min(
        this.leastRoom,
        (this.there[k] as number) - (this.taken[k] as number),
      )
    return true
  }

  /** Whether step k has no room for the share besides the others. */
  private blocks(k: number, one: number, units: number): boolean {
    const t = this.at[k] as number
    const own = (this.from[one] as number) <= t && t < (this.to[one] as number) ? units : 0
    return (this.taken[k] as number) - own + units > (this.there[k] as number)
  }

  /** Last blocked open time in the work from `start` to `finish`; -1: none. */
  private lastBlocked(one: number, share: Share, start: number, finish: number): number {
    for (let k = Math.min(stepAt(this.at, finish - 1), this.at.length - 2); k >= 0; k--) {
      const end = this.at[k + 1] as number
      if (end <= start) break
      if (!this.blocks(k, one, share.units)) continue
      const t = share.calendar.lastOpen(
        Math.max(start, this.at[k] as number),
        Math.min(finish, end),
      )
      if (t >= 0) return t
    }
    return -1
  }

  private firstBlocked(one: number, share: Share, start: number, finish: number): number {
    for (let k = Math.max(0, stepAt(this.at, start)); k + 1 < this.at.length; k++) {
      if ((this.at[k] as number) >= finish) break
      if (!this.blocks(k, one, share.units)) continue
      const end = this.at[k + 1] as number
      const t = share.calendar.firstOpen(
        Math.max(start, this.at[k] as number),
        Math.min(finish, end),
      )
      if (t >= 0) return t
    }
    return -1
  }

  private push(engine: Engine, one: number, share: Share): boolean {
    const { start, calendar, units } = share
    for (;;) {
      const low = engine.low(start)
      const t = this.lastBlocked(one, share, low, calendar.finish(low))
      if (t < 0) break
      const atoms = this.coverers(engine, t, one, this.thereAt(t) - units)
      atoms.push(lower(start), calendar.covers(t))
      if (share.chosen >= 0) atoms.push(lower(share.chosen), 1)
      if (!engine.raise(lower(start), t + 1, new Because(atoms))) return false
      if (!this.settle(engine, share, lower(start))) return false
    }
    for (;;) {
      const high = engine.high(start)
      const t = this.firstBlocked(one, share, high, calendar.finish(high))
      if (t < 0) break
      const atoms = this.coverers(engine, t, one, this.thereAt(t) - units)
      atoms.push(upper(start), -t)
      if (share.chosen >= 0) atoms.push(lower(share.chosen), 1)
      if (!engine.raise(upper(start), 1 - calendar.covers(t), new Because(atoms))) return false
      if (!this.settle(engine, share, upper(start))) return false
    }
    return true
  }

  /** Moves a pushed bound on to a possible start, so that the next look is at one. */
  private settle(engine: Engine, share: Share, side: number): boolean {
    const { start, calendar } = share
    const chosen = share.chosen >= 0 ? [lower(share.chosen), 1] : []
    const low = engine.low(start)
    const high = engine.high(start)
    if (side === lower(start)) {
      const next = calendar.next(low)
      if (next === low) return true
      if (next > high)
        return engine.fail([side, calendar.previous(low) + 1, upper(start), -high, ...chosen])
      return engine.raise(
        side,
        next,
        new Because([side, calendar.previous(next - 1) + 1, ...chosen]),
      )
    }
    const previous = calendar.previous(high)
    if (previous === high) return true
    if (previous < low)
      return engine.fail([side, -(calendar.next(high) - 1), lower(start), low, ...chosen])
    return engine.raise(
      side,
      -previous,
      new Because([side, -(calendar.next(previous + 1) - 1), ...chosen]),
    )
  }

  /** Denies an open mode for which no start is left. */
  private exclude(engine: Engine, one: number, share: Share): boolean {
    const { start, calendar, units } = share
    const high = engine.high(start)
    const atoms: number[] = []
    let low = calendar.next(engine.low(start))
    let reach = -1
    let least = Infinity
    while (low <= high) {
      const t = this.lastBlocked(one, share, low, calendar.finish(low))
      if (t < 0) return true
      atoms.push(...this.coverers(engine, t, one, this.thereAt(t) - units))
      least = Math.min(least, calendar.covers(t))
      reach = Math.max(reach, t)
      low = calendar.next(t + 1)
    }
    if (reach < 0) return true
    atoms.push(lower(start), Math.min(engine.low(start), Math.max(least, 0)), upper(start), -high)
    return engine.raise(upper(share.chosen), 0, new Because(atoms))
  }

  private thereAt(t: number): number {
    return this.there[stepAt(this.at, t)] as number
  }

  /** Just enough shares that surely cover `t` to take more than `room`. */
  private coverers(engine: Engine, t: number, except: number, room: number): number[] {
    let sum = 0
    const found: number[] = []
    for (let one = 0; one < this.shares.length; one++) {
      if (one === except) continue
      const { calendar, units } = this.shares[one] as Share
      if ((this.from[one] as number) > t || t >= (this.to[one] as number)) continue
      if (calendar.splittable && !calendar.isOpen(t)) continue
      found.push(one)
      sum += units
    }
    const atoms: number[] = []
    for (const one of found) {
      const { start, chosen, units, calendar } = this.shares[one] as Share
      if (sum - units > room) {
        sum -= units
        continue
      }
      atoms.push(lower(start), calendar.covers(t), upper(start), -t)
      if (chosen >= 0) atoms.push(lower(chosen), 1)
    }
    return atoms
  }
}
