import { expose } from 'comlink'
import type { StoredPlan } from '#core/model/stored'
import type { RefitRows } from '#core/model/refit'
import type { PriorityBasis } from '#core/plan/priority'
import { hoursByWeek } from '#core/plan/hoursByWeek'
import type { WeekHours } from '#core/plan/hoursByWeek'
import { bestPlan, usualIterations } from '#core/plan/improve'
import { isOpen } from '#core/plan/planned'

/** A plan with the ranking that came of it, in shapes that cross to the page. */
export interface PlanAnswer {
  readonly plan: StoredPlan
  /** With these the plan can be worked out again. */
  readonly seed: number
  readonly iterations: number
  readonly ranking: readonly {
    readonly jobId: string
    readonly score: number
    readonly basis: PriorityBasis
  }[]
  readonly weeks: readonly WeekHours[]
}

/** The same for everybody, so that two windows come to one plan. */
const seed = 1

/** Weeks of hours asked and there that the Sequence can show. */
const weeksShown = 60

const planner = {
  plan(rows: RefitRows, now: number): PlanAnswer {
    const iterations = usualIterations(rows.step.filter(isOpen).length)
    const effort = { seed, iterations, stop: () => false }
    const { plan, ranked, bounds } = bestPlan(rows, now, effort)
    return {
      plan,
      seed,
      iterations,
      ranking: ranked.map(({ job, score, basis }) => ({ jobId: job.id, score, basis })),
      weeks: hoursByWeek(rows, bounds, now, weeksShown),
    }
  },
}
export type Planner = typeof planner

expose(planner)
