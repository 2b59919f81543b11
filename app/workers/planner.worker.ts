import { expose } from 'comlink'
import type { StoredPlan } from '#core/model/stored'
import type { RefitRows } from '#core/model/refit'
import type { PriorityBasis } from '#core/plan/priority'
import { hoursByWeek } from '#core/plan/hoursByWeek'
import type { HoursReview } from '#core/plan/hoursByWeek'
import { bestPlan, usualIterations } from '#core/plan/improve'
import { prepare } from '#core/plan/makePlan'
import type { Planned } from '#core/plan/makePlan'
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
  readonly hours: HoursReview
}

/** What is worked out anew at every opening: the order of the jobs, and the hours by week. */
export type Standing = Pick<PlanAnswer, 'ranking' | 'hours'>

/** The same for everybody, so that two windows come to one plan. */
const seed = 1

/** Weeks of hours planned and there that the Sequence can show. */
const weeksShown = 60

const standingOf = (rows: RefitRows, ranked: Planned['ranked'], plan: StoredPlan): Standing => ({
  ranking: ranked.map(({ job, score, basis }) => ({ jobId: job.id, score, basis })),
  hours: hoursByWeek(rows, plan, weeksShown),
})

const planner = {
  /** For a refit whose accepted plan still holds: no plan is laid. */
  standing: (rows: RefitRows, now: number, plan: StoredPlan): Standing =>
    standingOf(rows, prepare(rows, now).ranked, plan),
  plan(rows: RefitRows, now: number): PlanAnswer {
    const iterations = usualIterations(rows.step.filter(isOpen).length)
    const effort = { seed, iterations, stop: () => false }
    const planned = bestPlan(rows, now, effort)
    return {
      plan: planned.plan,
      seed,
      iterations,
      ...standingOf(rows, planned.ranked, planned.plan),
    }
  },
}
export type Planner = typeof planner

expose(planner)
