import { lower, upper } from './engine'
import type { Engine, Propagator, Reason } from './engine'

/** A rising function of whole numbers and the greatest argument that keeps it at or under a value. */
export interface Rising {
  /** Infinity: no value. */
  of(x: number): number
  /** Greatest x with of(x) ≤ y; below every x: none. */
  most(y: number): number
}

/**
 * y ≥ f(x), where all conditions hold: the one shape of lags, order of two activities, and the
 * finish that a makespan must reach. Conditions are atoms; a single open one is denied when the
 * bounds cannot meet.
 */
export class Follows implements Propagator, Reason {
  constructor(
    private readonly x: number,
    private readonly y: number,
    private readonly f: Rising,
    private readonly conditions: readonly number[],
  ) {}

  /** Listens to what can make it act. */
  attach(engine: Engine): void {
    engine.listen(lower(this.x), this)
    engine.listen(upper(this.y), this)
    for (let i = 0; i < this.conditions.length; i += 2)
      engine.listen(this.conditions[i] as number, this)
  }

  run(engine: Engine): boolean {
    let open = -1
    for (let i = 0; i < this.conditions.length; i += 2) {
      const [side, c] = [this.conditions[i] as number, this.conditions[i + 1] as number]
      if (engine.isTrue(side, c)) continue
      if (engine.isFalse(side, c) || open >= 0) return true
      open = i
    }
    const low = engine.low(this.x)
    if (open >= 0) {
      if (this.f.of(low) <= engine.high(this.y)) return true
      return engine.raise(
        (this.conditions[open] as number) ^ 1,
        1 - (this.conditions[open + 1] as number),
        this.denial(engine, open),
      )
    }
    const least = this.f.of(low)
    if (least > engine.low(this.y)) {
      if (least === Infinity) return this.never(engine)
      if (!engine.raise(lower(this.y), least, this)) return false
    }
    const most = this.f.most(engine.high(this.y))
    return most >= engine.high(this.x) || engine.raise(upper(this.x), -most, this)
  }

  /** A condition is denied because x is so late and y so early. */
  private denial(engine: Engine, open: number): Reason {
    const high = engine.high(this.y)
    const late = this.f.most(high) + 1
    return {
      explain: (_side, _c, into) => {
        into.push(lower(this.x), late, upper(this.y), -high)
        for (let i = 0; i < this.conditions.length; i += 2)
          if (i !== open) into.push(this.conditions[i] as number, this.conditions[i + 1] as number)
      },
    }
  }

  private never(engine: Engine): false {
    const high = engine.high(this.y)
    return engine.fail([
      lower(this.x),
      this.f.most(high) + 1,
      upper(this.y),
      -high,
      ...this.conditions,
    ])
  }

  explain(side: number, c: number, into: number[]): void {
    // y ≥ c because x ≥ the first x that pushes it there; x ≤ -c because y < f(-c + 1).
    if (side === lower(this.y)) into.push(lower(this.x), this.f.most(c - 1) + 1)
    else into.push(upper(this.y), 1 - this.f.of(1 - c))
    for (const one of this.conditions) into.push(one)
  }
}

/** A start lies in its calendar, where all conditions hold. */
export class InCalendar implements Propagator, Reason {
  constructor(
    private readonly x: number,
    private readonly calendar: { next(t: number): number; previous(t: number): number },
    private readonly conditions: readonly number[],
  ) {}

  attach(engine: Engine): void {
    engine.listen(lower(this.x), this)
    engine.listen(upper(this.x), this)
    for (let i = 0; i < this.conditions.length; i += 2)
      engine.listen(this.conditions[i] as number, this)
  }

  run(engine: Engine): boolean {
    const low = engine.low(this.x)
    const high = engine.high(this.x)
    const next = this.calendar.next(low)
    const [side, c] = [this.conditions[0], this.conditions[1]]
    if (side !== undefined && c !== undefined && !engine.isTrue(side, c)) {
      if (engine.isFalse(side, c) || next <= high) return true
      return engine.raise(side ^ 1, 1 - c, this.closed(low, high))
    }
    if (next > high) {
      const atoms: number[] = []
      this.closed(low, high).explain(0, 0, atoms)
      return engine.fail([...atoms, ...this.conditions])
    }
    if (next > low && !engine.raise(lower(this.x), next, this)) return false
    const previous = this.calendar.previous(high)
    return previous >= high || engine.raise(upper(this.x), -previous, this)
  }

  /** Nothing is open between the two. */
  private closed(low: number, high: number): Reason {
    return {
      explain: (_side, _c, into) =>
        into.push(lower(this.x), this.calendar.previous(low) + 1, upper(this.x), -high),
    }
  }

  explain(side: number, c: number, into: number[]): void {
    // x ≥ c because x is past the last open start before c; x ≤ -c because it is before the next.
    if (side === lower(this.x)) into.push(side, this.calendar.previous(c - 1) + 1)
    else into.push(side, -(this.calendar.next(1 - c) - 1))
    for (const one of this.conditions) into.push(one)
  }
}

/** Σ weight × (variable) ≤ a limit that only falls. Weights and lower bounds are at least 0. */
export class AtMost implements Propagator {
  limit = Infinity
  constructor(private readonly terms: readonly (readonly [variable: number, weight: number])[]) {}

  attach(engine: Engine): void {
    engine.addLate(
      this,
      this.terms.map(([variable]) => lower(variable)),
    )
  }

  least(engine: Engine): number {
    let sum = 0
    for (const [variable, weight] of this.terms) sum += weight * engine.low(variable)
    return sum
  }

  run(engine: Engine): boolean {
    if (this.limit === Infinity) return true
    const sum = this.least(engine)
    if (sum > this.limit) return engine.fail(this.lows(engine, -1))
    for (const [variable, weight] of this.terms) {
      const most = engine.low(variable) + Math.floor((this.limit - sum) / weight)
      if (most >= engine.high(variable)) continue
      const atoms = this.lows(engine, variable)
      const reason: Reason = { explain: (_side, _c, into) => into.push(...atoms) }
      if (!engine.raise(upper(variable), -most, reason)) return false
    }
    return true
  }

  private lows(engine: Engine, except: number): number[] {
    return this.terms.flatMap(([variable]) =>
      variable === except ? [] : [lower(variable), engine.low(variable)],
    )
  }
}
