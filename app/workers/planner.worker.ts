import { expose } from 'comlink'
import type { StoredPlan } from '#core/model/stored'
import type { RefitRows } from '#core/model/refit'
import type { PriorityBasis } from '#core/plan/priority'
import { hoursByWeek } from '#core/plan/hoursByWeek'
import type { WeekHours } from '#core/plan/hoursByWeek'
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
  readonly weeks: readonly WeekHours[]
}

/** What is worked out anew at every opening: the order of the jobs, and the hours asked by week. */
export type Standing = Pick<PlanAnswer, 'ranking' | 'weeks'>

/** The same for everybody, so that two windows come to one plan. */
const seed = 1

/** Weeks of hours asked and there that the Sequence can show. */
const weeksShown = 60

type Weighed = Pick<Planned, 'ranked' | 'bounds'>
const standingOf = (rows: RefitRows, now: number, { ranked, bounds }: Weighed): Standing => ({
  ranking: ranked.map(({ job, score, basis }) => ({ jobId: job.id, score, basis })),
  weeks: hoursByWeek(rows, bounds, now, weeksShown),
})

const planner = {
  /** For a refit whose accepted plan still holds: no plan is laid. */
  standing: (rows: RefitRows, now: number): Standing => standingOf(rows, now, prepare(rows, now)),
  plan(rows: RefitRows, now: number): PlanAnswer {
    const iterations = usualIterations(rows.step.filter(isOpen).length)
    const effort = { seed, iterations, stop: () => false }
    const planned = bestPlan(rows, now, effort)
    return { plan: planned.plan, seed, iterations, ...standingOf(rows, now, planned) }
  },
}
export type Planner = typeof planner

expose(planner)
