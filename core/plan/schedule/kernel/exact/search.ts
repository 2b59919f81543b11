import type { Compiled } from '../compiled'
import type { Random } from '../../../../random'
import { lower, upper } from './engine'
import type { Model } from './model'
import { makeModel } from './model'

/** What a search may spend. */
export interface Budget {
  /** True: stop now. Asked now and then. */
  readonly stop: () => boolean
  /** Conflicts at most. */
  readonly conflicts: number
}

/** A solution in modes and starts, by activity. */
export interface Found {
  readonly modes: readonly number[]
  readonly starts: readonly number[]
}

/** What a solution must do better than what is known. */
export interface Limits {
  /** Weighted lateness at most; Infinity: no matter. */
  readonly lateness: number
  /** Makespan at most; Infinity: no matter. */
  readonly makespan: number
}

/** `barren`: nothing within the assumptions, which proves nothing beyond them. */
export type Outcome = 'found' | 'refuted' | 'barren' | 'spent'

/** Length of the run with a number, in conflicts: the Luby sequence times a unit. */
const restartUnit = 100
function luby(i: number): number {
  let size = 1
  while (size < i + 1) size = 2 * size + 1
  while (size - 1 !== i) {
    size = (size - 1) >> 1
    i %= size
  }
  return (size + 1) >> 1
}

/**
 * Complete search that can be asked again with tighter limits and keeps what it learned in between.
 * Choices go by conflict score towards the best solution known, or in every other run by earliest
 * start first.
 */
export class Search {
  private readonly model: Model
  private readonly phase: number[]
  private run = 0
  private dead: boolean

  constructor(
    compiled: Compiled,
    private readonly random: Random,
  ) {
    this.model = makeModel(compiled)
    this.dead = this.model.refuted || !this.model.engine.propagate()
    this.phase = this.model.engine.score.map(() => -1)
  }

  /** There is no solution within the limits so far: found without or with a choice. */
  get refuted(): boolean {
    return this.dead
  }

  /** Earliest start of each activity, by propagation alone. */
  get heads(): number[] {
    const { engine, starts } = this.model
    engine.backTo(0)
    return starts.map((variable) => engine.low(variable))
  }

  get conflicts(): number {
    return this.model.engine.conflicts
  }

  /** Least makespan not refuted yet. */
  get leastMakespan(): number {
    const { engine, makespan } = this.model
    engine.backTo(0)
    return engine.low(makespan)
  }

  /** Least weighted lateness not refuted yet. */
  get leastLateness(): number {
    const { engine, lateness } = this.model
    engine.backTo(0)
    return lateness?.least(engine) ?? 0
  }

  /** Choices lean towards this solution from now on. */
  lean(found: Found): void {
    const { starts, modes } = this.model
    starts.forEach((variable, index) => (this.phase[variable] = found.starts[index] as number))
    modes.forEach((own, index) =>
      own.forEach((variable, at) => (this.phase[variable] = found.modes[index] === at ? 1 : 0)),
    )
  }

  /**
   * Looks for a solution within limits and, for this once, under assumptions (atoms). Limits stay:
   * later ones must not be looser.
   */
  find(
    limits: Limits,
    budget: Budget,
    assumed: readonly number[] = [],
  ): { outcome: Outcome; found: Found | null } {
    const { engine, makespan, lateness } = this.model
    const nothing = (outcome: Outcome) => ({ outcome, found: null })
    engine.backTo(0)
    if (this.dead) return nothing('refuted')
    if (lateness && limits.lateness < lateness.limit) lateness.limit = limits.lateness
    if (
      (limits.makespan < Infinity && !engine.raise(upper(makespan), -limits.makespan, null)) ||
      (lateness && !lateness.run(engine)) ||
      !engine.propagate()
    )
      return this.refute()
    const last = engine.conflicts + budget.conflicts
    for (;;) {
      const end = Math.min(last, engine.conflicts + restartUnit * luby(this.run++))
      const outcome = this.descend(end, budget, assumed)
      if (outcome === 'found') return { outcome, found: this.read() }
      if (outcome === 'refuted') return this.refute()
      engine.backTo(0)
      if (outcome === 'barren') return nothing('barren')
      engine.clean()
      if (engine.conflicts >= last || budget.stop()) return nothing('spent')
    }
  }

  private refute(): { outcome: Outcome; found: null } {
    this.dead = true
    return { outcome: 'refuted', found: null }
  }

  /** One run, until a solution, a proof, or its share of conflicts is used up. */
  private descend(end: number, budget: Budget, assumed: readonly number[]): Outcome {
    const { engine } = this.model
    let steps = 0
    for (;;) {
      if (!engine.propagate()) {
        if (!engine.learn()) return 'refuted'
        if (engine.conflicts >= end) return 'spent'
        continue
      }
      if ((++steps & 15) === 0 && budget.stop()) return 'spent'
      const next = this.nextAssumed(assumed)
      if (next === 'denied') return 'barren'
      if (next === 'none' && !this.choose()) return 'found'
    }
  }

  /** Chooses the next assumption that does not hold yet. */
  private nextAssumed(assumed: readonly number[]): 'chosen' | 'denied' | 'none' {
    const { engine } = this.model
    for (let i = 0; i < assumed.length; i += 2) {
      const [side, c] = [assumed[i] as number, assumed[i + 1] as number]
      if (engine.isTrue(side, c)) continue
      if (engine.isFalse(side, c)) return 'denied'
      engine.decide(side, c)
      return 'chosen'
    }
    return 'none'
  }

  /**
   * Assumptions that keep a solution's other activities as they are: the same mode, and a start
   * between `earlier` before what it was and the same.
   */
  assumeNear(found: Found, free: ReadonlySet<number>, earlier: number): number[] {
    const { starts, modes } = this.model
    return starts.flatMap((variable, index) => {
      if (free.has(index)) return []
      const mode = modes[index]?.[found.modes[index] as number]
      const start = found.starts[index] as number
      const near = [lower(variable), start - earlier, upper(variable), -start]
      return mode === undefined ? near : [lower(mode), 1, ...near]
    })
  }

  /** Makes the next choice. False: everything is chosen. */
  private choose(): boolean {
    return this.run % 2 === 1 ? this.chooseEarliest() : this.chooseByScore()
  }

  private chooseEarliest(): boolean {
    const { engine, starts, modes } = this.model
    let best = -1
    let [low, high] = [Infinity, Infinity]
    for (let index = 0; index < starts.length; index++) {
      const variable = starts[index] as number
      const open = !engine.isFixed(variable) || this.openMode(index) >= 0
      if (!open) continue
      const [a, b] = [engine.low(variable), engine.high(variable)]
      if (a < low || (a === low && b < high)) {
        best = index
        low = a
        high = b
      }
    }
    if (best < 0) return false
    if ((modes[best] as readonly number[]).length > 0) {
      const mode = this.openMode(best)
      if (mode >= 0) {
        engine.decide(lower(mode), 1)
        return true
      }
    }
    engine.decide(upper(starts[best] as number), -low)
    return true
  }

  /** A mode of an activity still open, the leaned-to one first; -1: none. */
  private openMode(activity: number): number {
    const { engine, modes } = this.model
    let open = -1
    for (const variable of modes[activity] as readonly number[])
      if (!engine.isFixed(variable) && (open < 0 || this.phase[variable] === 1)) open = variable
    return open
  }

  private chooseByScore(): boolean {
    const { engine } = this.model
    let best = -1
    let score = -1
    const consider = (variable: number) => {
      if (engine.isFixed(variable)) return
      const own = engine.score[variable] as number
      if (own > score || (own === score && this.random() < 0.3)) {
        best = variable
        score = own
      }
    }
    this.model.starts.forEach(consider)
    for (const own of this.model.modes) own.forEach(consider)
    if (this.model.orders.length > 0 && best >= 0) this.model.orders.forEach(consider)
    if (best < 0) return false
    const [low, high] = [engine.low(best), engine.high(best)]
    const wanted = this.phase[best] as number
    if (wanted > low && wanted <= high) engine.decide(lower(best), wanted)
    else if (wanted === low || wanted < low || high - low < 8) engine.decide(upper(best), -low)
    else engine.decide(upper(best), -((low + high) >> 1))
    return true
  }

  private read(): Found {
    const { engine, starts, modes } = this.model
    for (const variable of this.model.orders) this.phase[variable] = engine.low(variable)
    const found = {
      starts: starts.map((variable) => engine.low(variable)),
      modes: modes.map((own) =>
        Math.max(
          0,
          own.findIndex((variable) => engine.low(variable) === 1),
        ),
      ),
    }
    this.lean(found)
    return found
  }
}
