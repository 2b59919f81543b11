import { createRandom } from '../../../random'
import { Breeding } from './breed'
import { compileProblem } from './compiled'
import type { Compiled } from './compiled'
import { energyBound } from './energy'
import { Search } from './exact/search'
import type { Limits } from './exact/search'
import { irreducible } from './irreducible'
import { planOf } from './plans'
import { compareCost } from './problem'
import type { Answer, Plan, Problem } from './problem'

export interface Effort {
  readonly seed: number
  /** Plans laid and conflicts met at most: with the seed it fixes the answer. */
  readonly iterations: number
  /** True: stop now with what is known. */
  readonly stop: () => boolean
  /** The same for naming the reasons of an impossibility; absent: `stop` holds. */
  readonly stopReasons?: () => boolean
  /** Told of every better plan. */
  readonly better?: (plan: Plan) => void
}

/** How the effort is shared out by the number of activities: the more there are, the less a complete search proves. */
interface Share {
  readonly upTo: number
  /** Plans bred at most before the complete search begins, and rounds without a better one. */
  readonly laid: number
  readonly patience: number
  /** Conflicts of one stretch of complete search, and of one look round the best plan; looks after each stretch. */
  readonly stretch: number
  readonly look: number
  readonly looks: number
}
const shares: readonly Share[] = [
  { upTo: 48, laid: 6000, patience: 8, stretch: 1500, look: 250, looks: 12 },
  { upTo: 80, laid: 6000, patience: 8, stretch: 200, look: 100, looks: 48 },
  { upTo: Infinity, laid: 40_000, patience: Infinity, stretch: 200, look: 100, looks: 48 },
]
/** Beyond so many activities the complete search is not built. */
const mostExact = 400

type Stage = 'lateness' | 'makespan'

/**
 * Solves a problem: a plan with the best cost found and what is proved about it, or the reasons why
 * there is none, or neither when the effort was too small. Deterministic for a seed and a number of
 * iterations; `stop` only ends it early.
 */
export function solveProblem(problem: Problem, effort: Effort): Answer {
  return new Solving(compileProblem(problem), effort).run()
}

class Solving {
  private best: Plan | null = null
  private spent = 0
  private readonly random
  private readonly share: Share

  constructor(
    private readonly compiled: Compiled,
    private readonly effort: Effort,
  ) {
    this.random = createRandom(effort.seed)
    const count = compiled.activities.length
    this.share = shares.find((one) => count <= one.upTo) as Share
  }

  run(): Answer {
    const late = this.compiled.deadlines.some((one) => one.weight > 0)
    const exact = this.compiled.activities.length <= mostExact
    const search = exact ? new Search(this.compiled, this.random) : null
    // What plain propagation refutes needs no plan to be tried.
    if (search?.refuted) return this.impossible()
    const heads = search?.heads ?? this.compiled.activities.map(() => 0)
    const bound = Math.max(search?.leastMakespan ?? 0, energyBound(this.compiled, heads))
    if (bound > this.compiled.horizon) return this.impossible()
    this.breed(late ? 0 : bound)
    if (!search) return this.answer(late ? 0 : bound, false)
    if (!late) return this.finish('makespan', search, bound, Infinity)
    const first = this.finish('lateness', search, 0, Infinity)
    if (first.status !== 'feasible' || !first.proved) return first
    const lateness = first.plan.cost[0]
    const second = this.finish('makespan', new Search(this.compiled, this.random), bound, lateness)
    return second.status === 'feasible' ? { ...second, bound: lateness } : second
  }

  private breed(bound: number): void {
    const breeding = new Breeding(this.compiled, this.random, (plan) => this.offer(plan))
    if (!breeding.possible) return
    const { laid, patience } = this.share
    const most = Math.min(laid, this.effort.iterations)
    const over = () => this.effort.stop() || breeding.laid >= most || this.reached(bound)
    breeding.first(over)
    // Where no rule finds a plan, breeding seldom does: that is for the search.
    for (let idle = this.best ? 0 : patience; idle < patience && !over(); idle++) {
      const before = this.best
      breeding.generation()
      if (this.best !== before) idle = -1
    }
    this.spent += breeding.laid
  }

  private reached(bound: number): boolean {
    if (!this.best) return false
    const late = this.compiled.deadlines.length > 0
    return this.best.cost[0] === 0 && (late ? false : this.best.cost[1] <= bound)
  }

  /** Complete search for one objective, in turn with looks round the best plan known. */
  private finish(stage: Stage, search: Search, bound: number, lateness: number): Answer {
    const at = stage === 'lateness' ? 0 : 1
    const limits = (): Limits => {
      const better = this.best ? this.best.cost[at] - 1 : Infinity
      return stage === 'lateness'
        ? { lateness: better, makespan: Infinity }
        : { lateness, makespan: better }
    }
    const least = () =>
      Math.max(bound, stage === 'lateness' ? search.leastLateness : search.leastMakespan)
    for (;;) {
      if (this.best && this.best.cost[at] <= bound) return this.answer(bound, true)
      if (this.best) search.lean(this.best)
      const outcome = this.find(search, limits(), this.share.stretch, [])
      if (outcome === 'refuted')
        return this.best ? this.answer(this.best.cost[at], true) : this.impossible()
      if (this.over) return this.answer(least(), false)
      if (outcome === 'found') continue
      for (let round = 0; this.best && round < this.share.looks && !this.over; round++) {
        const outcome = this.find(search, limits(), this.share.look, this.around(search, this.best))
        if (outcome === 'refuted') return this.answer(this.best.cost[at], true)
      }
      if (this.over) return this.answer(least(), false)
    }
  }

  private get over(): boolean {
    return this.spent >= this.effort.iterations || this.effort.stop()
  }

  private find(search: Search, limits: Limits, conflicts: number, assumed: readonly number[]) {
    const before = search.conflicts
    const { outcome, found } = search.find(
      limits,
      {
        stop: this.effort.stop,
        conflicts: Math.min(conflicts, this.effort.iterations - this.spent),
      },
      assumed,
    )
    this.spent += search.conflicts - before
    if (found) this.offer(planOf(this.compiled, found.modes, found.starts))
    return outcome
  }

  /** Leaves free what runs in some stretch of the plan, and a few more; holds the rest near. */
  private around(search: Search, plan: Plan): number[] {
    const { random } = this
    const count = plan.starts.length
    const makespan = plan.cost[1]
    const length = makespan * (0.15 + 0.35 * random())
    const from = random() * (makespan - length)
    const free = new Set<number>()
    for (let index = 0; index < count; index++)
      if (
        ((plan.starts[index] as number) < from + length &&
          (plan.finishes[index] as number) > from) ||
        random() < 0.1
      )
        free.add(index)
    const earlier = Math.ceil(makespan * (0.02 + 0.2 * random() * random()))
    return search.assumeNear(plan, free, earlier)
  }

  private offer(plan: Plan): void {
    if (this.best && compareCost(plan.cost, this.best.cost) >= 0) return
    this.best = plan
    this.effort.better?.(plan)
  }

  private answer(bound: number, proved: boolean): Answer {
    if (!this.best) return { status: 'unknown', bound }
    return { status: 'feasible', plan: this.best, bound, proved }
  }

  private impossible(): Answer {
    return { status: 'infeasible', ...irreducible(this.compiled.problem, this.effort) }
  }
}
