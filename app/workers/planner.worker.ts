import { expose } from 'comlink'
import type { StoredPlan } from '#core/model/stored'
import type { RefitRows } from '#core/model/refit'
import type { PriorityBasis } from '#core/plan/priority'
import { hoursByWeek } from '#core/plan/hoursByWeek'
import type { WeekHours } from '#core/plan/hoursByWeek'
import { makePlan } from '#core/plan/makePlan'

/** A plan with the ranking that came of it, in shapes that cross to the page. */
export interface PlanAnswer {
  readonly plan: StoredPlan
  readonly ranking: readonly {
    readonly jobId: string
    readonly score: number
    readonly basis: PriorityBasis
  }[]
  readonly weeks: readonly WeekHours[]
}

/** Weeks of hours asked and there that the Sequence can show. */
const weeksShown = 60

const planner = {
  plan(rows: RefitRows, now: number): PlanAnswer {
    const { plan, ranked, bounds } = makePlan(rows, now)
    return {
      plan,
      ranking: ranked.map(({ job, score, basis }) => ({ jobId: job.id, score, basis })),
      weeks: hoursByWeek(rows, bounds, now, weeksShown),
    }
  },
}
export type Planner = typeof planner

expose(planner)
