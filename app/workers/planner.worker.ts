import { expose } from 'comlink'
import type { StoredPlan } from '#core/model/stored'
import type { RefitRows } from '#core/model/refit'
import type { PriorityBasis } from '#core/plan/priority'
import { makePlan } from '#core/plan/makePlan'

/** A plan with the ranking that came of it, in shapes that cross to the page. */
export interface PlanAnswer {
  readonly plan: StoredPlan
  readonly ranking: readonly { readonly jobId: string; readonly score: number; readonly basis: PriorityBasis }[]
}

const planner = {
  plan(rows: RefitRows, now: number): PlanAnswer {
    const { plan, ranked } = makePlan(rows, now)
    return {
      plan,
      ranking: ranked.map(({ job, score, basis }) => ({ jobId: job.id, score, basis })),
    }
  },
}
export type Planner = typeof planner

expose(planner)
