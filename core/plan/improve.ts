import { asShare, atOnce } from '../inParts'
import type { InParts } from '../inParts'
import { createRandom } from '../random'
import type { Random } from '../random'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import type { Planned } from './finishPlan'
import { explained, firstPassInParts, lay } from './makePlan'
import type { Laid } from './makePlan'
import { comparePlanCost, isWorthChanging } from './planCost'
import type { PlanCost } from './planCost'
import { prepare } from './prepare'
import type { Prepared } from './prepare'
import { Breeding } from './schedule/kernel/breed'
import { compileProblem } from './schedule/kernel/compiled'
import type { Plan } from './schedule/kernel/problem'
import { onKernel } from './schedule/onKernel'

export interface PlanEffort {
  readonly seed: number
  /** Orders tried besides the first: with the seed they fix the plan. */
  readonly iterations: number
  /** True: stop now with the best so far. */
  readonly stop: () => boolean
  /** Told of every better plan: orders tried so far and what it costs. */
  readonly better?: (tried: number, cost: PlanCost) => void
}

/** Plans laid by the kernel for one order that is tried. */
const laidEach = 12
/** Beyond so many steps the kernel's plans take longer than they are worth at the screen. */
const mostOnKernel = 600

/** A few steps are laid in no time, and 120 orders find the best of them (`bruteForce.test.ts`). */
const mostIterations = 120

/** Orders tried for a refit of so many open steps, so that a person hardly waits. */
export const usualIterations = (openSteps: number): number =>
  Math.max(2, Math.min(mostIterations, Math.floor(3000 / Math.max(1, openSteps))))

/**
 * The best plan found: the first pass, then orders bred by the kernel and orders near the best one,
 * each read back by a full pass, so that whatever is given out holds every rule. Never worse than
 * `makePlan`; deterministic for a seed and a number of iterations. With the plan accepted before, its sequence is
 * kept unless what was found is worth the change.
 */
export const bestPlan = (
  rows: RefitRows,
  now: number,
  effort: PlanEffort,
  accepted: StoredPlan | null = null,
): Planned => atOnce(bestPlanInParts(rows, now, effort, accepted))

/** The same, to be left between two passes where newer work comes; what it tells is the share of the effort spent. */
export function* bestPlanInParts(
  rows: RefitRows,
  now: number,
  effort: PlanEffort,
  accepted: StoredPlan | null = null,
): InParts<Planned> {
  const prepared = prepare(rows, now)
  yield 0
  const best = yield* bestPassInParts(prepared, effort, accepted)
  yield 1
  return explained(prepared, best)
}

/** What the passes by rule are of the whole effort, where it is told. */
const firstShare = 0.2
/** What breeding is of the rest. */
const bredShare = 0.3

/** Where a step comes in an order: the lowest first. */
type PlaceOf = (stepId: string) => number

/** The pass of the best plan, with what it costs. */
export const bestPass = (
  prepared: Prepared,
  effort: PlanEffort,
  accepted: StoredPlan | null = null,
): Laid => atOnce(bestPassInParts(prepared, effort, accepted))

function* bestPassInParts(
  prepared: Prepared,
  effort: PlanEffort,
  accepted: StoredPlan | null,
): InParts<Laid> {
  const first = yield* asShare(firstPassInParts(prepared, accepted), 0, firstShare)
  const improving = new Improving(prepared, first, effort)
  const best = yield* asShare(improving.run(), firstShare, 1)
  return accepted !== null && !isWorthChanging(first.cost, best.cost) ? first : best
}

class Improving {
  private readonly random: Random
  private tried = 0

  constructor(
    private readonly prepared: Prepared,
    private best: Laid,
    private readonly effort: PlanEffort,
  ) {
    this.random = createRandom(effort.seed)
  }

  *run(): InParts<Laid> {
    const bred = yield* asShare(this.bredOrders(), 0, bredShare)
    yield* asShare(this.triesFrom(bred), bredShare, 1)
    return this.best
  }

  /** Tries orders that were bred, then such as are near the best. */
  private *triesFrom(bred: readonly PlaceOf[]): InParts<void> {
    for (const placeOf of bred) {
      if (this.over) return
      this.tryOrder(placeOf)
      yield this.spent
    }
    while (!this.over) {
      this.tryNear()
      yield this.spent
    }
  }

  /** Share of the orders tried. */
  private get spent(): number {
    return this.tried / Math.max(1, this.effort.iterations)
  }

  private get over(): boolean {
    return this.tried >= this.effort.iterations || this.effort.stop()
  }

  private tryOrder(placeOf: PlaceOf): void {
    this.tried++
    const candidate = lay(this.prepared, { placeOf, pinned: 'first' })
    if (comparePlanCost(candidate.cost, this.best.cost) >= 0) return
    this.best = candidate
    this.effort.better?.(this.tried, candidate.cost)
  }

  /** Half of the effort: the kernel breeds plans. Its better ones as orders, the best first: at most half of all. */
  private *bredOrders(): InParts<readonly PlaceOf[]> {
    const { compiled, phases } = this.prepared
    if (compiled.activities.size > mostOnKernel) return []
    const { problem, stepIds } = onKernel(compiled, phases, this.best.pass)
    const found: Plan[] = []
    const breeding = new Breeding(compileProblem(problem), this.random, (plan) => {
      const better = found.at(-1)
      if (
        !better ||
        plan.cost[0] < better.cost[0] ||
        (plan.cost[0] === better.cost[0] && plan.cost[1] < better.cost[1])
      )
        found.push(plan)
    })
    if (!breeding.possible) return []
    const most = Math.ceil(this.effort.iterations / 2)
    breeding.first(this.effort.stop)
    while (breeding.laid < most * laidEach && !this.effort.stop()) {
      breeding.generation()
      yield Math.min(1, breeding.laid / (most * laidEach))
    }
    // Later ones were better.
    return found
      .slice(-most)
      .reverse()
      .map((plan) => {
        const starts = new Map(stepIds.map((id, index) => [id, plan.starts[index] as number]))
        return (id: string) => starts.get(id) ?? Infinity
      })
  }

  /** An order near the best: its starts, each moved by up to some days. */
  private tryNear(): void {
    const { placements } = this.best.pass
    const reach = (1 + 20 * this.random() * this.random()) * 86_400_000
    const keys = new Map<string, number>()
    for (const [id, one] of placements)
      keys.set(
        id,
        (one.segments[0]?.[0] ?? 0) + (this.random() < 0.3 ? (this.random() - 0.7) * reach : 0),
      )
    this.tryOrder((id) => keys.get(id) ?? Infinity)
  }
}
