import { expose } from 'comlink'
import { applyDifference } from '#core/model/applyChange'
import type { RowChange } from '#core/model/changes'
import { emptyRows } from '#core/model/refit'
import type { StoredPlan } from '#core/model/stored'
import type { RefitRows } from '#core/model/refit'
import type { PriorityBasis } from '#core/plan/priority'
import { hoursByWeek } from '#core/plan/hoursByWeek'
import type { HoursReview } from '#core/plan/hoursByWeek'
import { bestPlan, usualIterations } from '#core/plan/improve'
import { prepare } from '#core/plan/prepare'
import type { Planned } from '#core/plan/finishPlan'
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

/** Told now and then how much of the effort is spent, 0 to 1. */
export type OnProgress = (share: number) => void

/** The same for everybody, so that two windows come to one plan. */
const seed = 1

/** Weeks of hours planned and there that the Sequence can show. */
const weeksShown = 60
/** Progress is told so often at most, ms. */
const toldEveryMs = 100

/** Rows as the page had them last; only what changed since crosses over. */
let rows: RefitRows = emptyRows()

const standingOf = (ranked: Planned['ranked'], plan: StoredPlan): Standing => ({
  ranking: ranked.map(({ job, score, basis }) => ({ jobId: job.id, score, basis })),
  hours: hoursByWeek(rows, plan, weeksShown),
})

const planner = {
  /** What became of the rows since the last call. */
  take(changes: readonly RowChange[]): void {
    rows = applyDifference(rows, changes)
  },
  /** For a refit whose accepted plan still holds: no plan is laid. */
  standing: (now: number, plan: StoredPlan): Standing =>
    standingOf(prepare(rows, now).ranked, plan),
  plan(now: number, onProgress: OnProgress | null): PlanAnswer {
    const iterations = usualIterations(rows.step.filter(isOpen).length)
    let asked = 0
    let told = performance.now()
    // Asked between tries: the place to say how far it is.
    const stop = (): boolean => {
      asked++
      if (onProgress && performance.now() - told > toldEveryMs) {
        told = performance.now()
        onProgress(Math.min(1, asked / (2 * iterations)))
      }
      return false
    }
    const planned = bestPlan(rows, now, { seed, iterations, stop })
    return { plan: planned.plan, seed, iterations, ...standingOf(planned.ranked, planned.plan) }
  },
}
export type Planner = typeof planner

expose(planner)
