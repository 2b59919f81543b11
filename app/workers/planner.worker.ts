import { expose } from 'comlink'
import { applyDifference } from '#core/model/applyChange'
import type { ChangeItem, RowChange } from '#core/model/changes'
import { emptyRows } from '#core/model/refit'
import type { StoredPlan } from '#core/model/stored'
import type { RefitRows } from '#core/model/refit'
import type { PriorityBasis } from '#core/plan/priority'
import { bestPlan, usualIterations } from '#core/plan/improve'
import { dragsOn, slipDays } from '#core/plan/drag'
import type { Drag } from '#core/plan/drag'
import { prepare } from '#core/plan/prepare'
import type { Planned } from '#core/plan/finishPlan'
import { isOpen } from '#core/plan/planned'
import { askingOf } from '#core/plan/whatIf'
import type { WhatIf } from '#core/plan/whatIf'

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
}

/** What is worked out anew at every opening: the order of the jobs. */
export type Standing = Pick<PlanAnswer, 'ranking'>

/** Told now and then how much of the effort is spent, 0 to 1. */
export type OnProgress = (share: number) => void

/** The same for everybody, so that two windows come to one plan. */
const seed = 1

/** Progress is told so often at most, ms. */
const toldEveryMs = 100

/** For so long the refit as it is need not be laid again between two questions, ms. */
const askedAnewMs = 60_000

/** Rows as the page had them last; only what changed since crosses over. */
let rows: RefitRows = emptyRows()
/** The refit as it is, as it was laid for the last question. */
let asking: {
  readonly rows: RefitRows
  readonly key: string
  readonly ask: (items: readonly ChangeItem[]) => WhatIf
} | null = null

const standingOf = (ranked: Planned['ranked']): Standing => ({
  ranking: ranked.map(({ job, score, basis }) => ({ jobId: job.id, score, basis })),
})

const planner = {
  /** What became of the rows since the last call. */
  take(changes: readonly RowChange[]): void {
    rows = applyDifference(rows, changes)
  },
  /** For a refit whose accepted plan still holds: no plan is laid. */
  standing: (now: number): Standing => standingOf(prepare(rows, now).ranked),
  /** What changes would do, asked one after the other of the same refit. `now`: UTC ms. */
  whatIf(now: number, accepted: StoredPlan | null, items: readonly ChangeItem[]): WhatIf {
    const key = `${Math.floor(now / askedAnewMs)} ${accepted?.now ?? 0}`
    if (asking?.rows !== rows || asking.key !== key)
      asking = { rows, key, ask: askingOf(rows, now, accepted) }
    return asking.ask(items)
  },
  /** What each step of a chain holds up, measured by leaving it out. */
  drags: (plan: StoredPlan, gateId: string, stepIds: readonly string[]): Drag[] =>
    dragsOn(rows, plan, gateId, stepIds),
  /** Days for which a job can be put off in a plan before its gate moves; null: not known. */
  slip: (plan: StoredPlan, gateId: string, jobId: string): number | null =>
    slipDays(rows, plan, gateId, jobId),
  plan(now: number, accepted: StoredPlan | null, onProgress: OnProgress | null): PlanAnswer {
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
    const planned = bestPlan(rows, now, { seed, iterations, stop }, accepted)
    return { plan: planned.plan, seed, iterations, ...standingOf(planned.ranked) }
  },
}
export type Planner = typeof planner

expose(planner)
