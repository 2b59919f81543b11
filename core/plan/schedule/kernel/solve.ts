import { createRandom } from '../../../random'
import { compileProblem } from './compiled'
import type { Compiled } from './compiled'
import { Search } from './exact/search'
import { irreducible } from './irreducible'
import { planOf } from './plans'
import { compareCost } from './problem'
import type { Answer, Plan, Problem } from './problem'

export interface Effort {
  readonly seed: number
  /** Conflicts of the search at most: with the seed it fixes the answer. */
  readonly iterations: number
  /** True: stop now with what is known. */
  readonly stop: () => boolean
  /** Told of every better plan. */
  readonly better?: (plan: Plan) => void
}

/**
 * Solves a problem: a plan with the best cost found and what is proved about it, or the reasons why
 * there is none, or neither when the effort was too small. Deterministic for a seed and a number of
 * iterations; `stop` only ends it early.
 */
export function solveProblem(problem: Problem, effort: Effort): Answer {
  const compiled = compileProblem(problem)
  const work = new Solving(compiled, effort)
  return work.run()
}

class Solving {
  private best: Plan | null = null
  private spent = 0
  private readonly random

  constructor(
    private readonly compiled: Compiled,
    private readonly effort: Effort,
  ) {
    this.random = createRandom(effort.seed)
  }

  run(): Answer {
    const late = this.compiled.deadlines.some((one) => one.weight > 0)
    let bound = 0
    if (late) {
      const search = this.newSearch()
      const outcome = this.descend(search, (best) => ({
        lateness: (best?.cost[0] ?? Infinity) - 1,
        makespan: Infinity,
      }))
      if (!this.best) return this.without(outcome, search.leastMakespan)
      if (outcome !== 'refuted' && this.best.cost[0] > 0)
        return { status: 'feasible', plan: this.best, bound: search.leastLateness, proved: false }
      bound = this.best.cost[0]
    }
    const search = this.newSearch()
    const outcome = this.descend(search, (best) => ({
      lateness: late ? bound : Infinity,
      makespan: (best?.cost[1] ?? Infinity) - 1,
    }))
    const least = outcome === 'refuted' ? (this.best?.cost[1] ?? 0) : search.leastMakespan
    if (!this.best) return this.without(outcome, least)
    return {
      status: 'feasible',
      plan: this.best,
      bound: late ? bound : least,
      proved: outcome === 'refuted',
    }
  }

  private newSearch(): Search {
    const search = new Search(this.compiled, this.random)
    if (this.best) search.lean(this.best)
    return search
  }

  /** Finds better and better plans until none is left or the effort is spent. */
  private descend(
    search: Search,
    limits: (best: Plan | null) => { lateness: number; makespan: number },
  ): 'refuted' | 'spent' {
    for (;;) {
      const before = search.conflicts
      const { outcome, found } = search.find(limits(this.best), {
        stop: this.effort.stop,
        conflicts: this.effort.iterations - this.spent,
      })
      this.spent += search.conflicts - before
      if (!found) return outcome === 'refuted' ? 'refuted' : 'spent'
      this.offer(planOf(this.compiled, found.modes, found.starts))
      if (this.spent >= this.effort.iterations || this.effort.stop()) return 'spent'
    }
  }

  private offer(plan: Plan): void {
    if (this.best && compareCost(plan.cost, this.best.cost) >= 0) return
    this.best = plan
    this.effort.better?.(plan)
  }

  private without(outcome: 'refuted' | 'spent', bound: number): Answer {
    if (outcome === 'spent') return { status: 'unknown', bound }
    return { status: 'infeasible', ...irreducible(this.compiled.problem, this.effort) }
  }
}
