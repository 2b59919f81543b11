import { atOnce } from '../inParts'
import type { InParts } from '../inParts'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { finishPlan } from './finishPlan'
import type { Planned } from './finishPlan'
import { inSequence } from './inSequence'
import { comparePlanCost, isWorthChanging, planCost } from './planCost'
import type { PlanCost } from './planCost'
import { latestStartFirst, layPass, prepare } from './prepare'
import type { Prepared } from './prepare'
import type { Pass } from './schedule/pass'
import { marginsMs } from './urgency'
import type { Order } from './urgency'

/** A pass with the order it was laid in and what it costs. */
export interface Laid {
  readonly order: Order
  readonly pass: Pass
  readonly cost: PlanCost
}

/** Above so many open steps fewer margins are tried: a pass takes its time. */
const manySteps = 1500

/**
 * Schedules a refit from `now` (UTC ms) on. With the plan accepted before, its sequence is kept unless another order
 * is worth the change. Deterministic; `rows` are not touched. Infeasible: some step cannot be done, each named with
 * its reason; the rest is planned all the same. Unknown: no room was found within the 15-year horizon.
 */
export function makePlan(
  rows: RefitRows,
  now: number,
  accepted: StoredPlan | null = null,
): Planned {
  const prepared = prepare(rows, now)
  return explained(prepared, firstPass(prepared, accepted))
}

/** The pass of an order and what it costs. */
export function lay(prepared: Prepared, order: Order): Laid {
  const pass = layPass(prepared, order)
  return { order, pass, cost: planCost(prepared, pass) }
}

/** The accepted plan laid again, and what it costs; null: it knows none of today's steps. */
function keptPass(prepared: Prepared, accepted: StoredPlan, fresh: Pass): Laid | null {
  const kept = inSequence(prepared, accepted, fresh)
  if (!kept) return null
  const pass = kept.pass ?? layPass(prepared, kept.order)
  return { order: kept.order, pass, cost: planCost(prepared, pass) }
}

/**
 * The best of the passes by rule, or the accepted sequence where none is worth the change. Can be left after each pass.
 */
export function* firstPassInParts(prepared: Prepared, accepted: StoredPlan | null): InParts<Laid> {
  const ruled = yield* bestOfRules(prepared)
  const kept = accepted && keptPass(prepared, accepted, ruled.pass)
  if (!kept) return ruled
  yield 1
  return isWorthChanging(kept.cost, ruled.cost) ? ruled : kept
}

/** The same in one go. */
export const firstPass = (prepared: Prepared, accepted: StoredPlan | null): Laid =>
  atOnce(firstPassInParts(prepared, accepted))

/**
 * Two passes instead of all: by latest start, and in the accepted sequence. For a large refit about which something is
 * asked; can be left after each.
 */
export function* quickPasses(prepared: Prepared, accepted: StoredPlan | null): InParts<Laid> {
  const ruled = lay(prepared, latestStartFirst)
  yield 0.5
  const kept = accepted && keptPass(prepared, accepted, ruled.pass)
  if (!kept) return ruled
  yield 1
  return isWorthChanging(kept.cost, ruled.cost) ? ruled : kept
}

function* bestOfRules(prepared: Prepared): InParts<Laid> {
  const margins = prepared.compiled.activities.size > manySteps ? marginsMs.slice(1, 2) : marginsMs
  let best = lay(prepared, latestStartFirst)
  for (const [at, marginMs] of margins.entries()) {
    if (marginMs === Infinity) continue
    yield at / margins.length
    const other = lay(prepared, { marginMs })
    if (comparePlanCost(other.cost, best.cost) < 0) best = other
  }
  return best
}

/** The plan of a pass, laid once more with every reason asked for. */
export const explained = (prepared: Prepared, { order }: Laid): Planned =>
  finishPlan(prepared, layPass(prepared, order, { explained: true }))
