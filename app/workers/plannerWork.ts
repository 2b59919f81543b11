import { Turns } from './turns'
import type { OnProgress } from './turns'
import { applyDifference, supposing } from '#core/model/applyChange'
import type { ChangeItem, RowChange } from '#core/model/changes'
import { emptyRows } from '#core/model/refit'
import type { StoredPlan } from '#core/model/stored'
import type { RefitRows } from '#core/model/refit'
import type { PriorityBasis } from '#core/plan/priority'
import { bestPlanInParts, usualIterations } from '#core/plan/improve'
import { dragsOn, slipDays } from '#core/plan/drag'
import type { Drag } from '#core/plan/drag'
import { chancesBought, chancesWithEach, comparedRuns } from '#core/forecast/chances'
import type { ChanceBought, ChanceWith } from '#core/forecast/chances'
import { readyChance } from '#core/forecast/readyChance'
import type { ReadyChance } from '#core/forecast/readyChance'
import { keepChance } from '#core/forecast/keeps'
import type { KeepChance } from '#core/forecast/keeps'
import { oddsOf } from '#core/forecast/odds'
import { forecastRuns, joined } from '#core/forecast/runs'
import type { Runs, RunsAsked } from '#core/forecast/runs'
import type { StoredOdds } from '#core/model/odds'
import { prepare } from '#core/plan/prepare'
import type { Planned } from '#core/plan/finishPlan'
import { isOpen } from '#core/plan/planned'
import { Waits } from '#core/plan/waits'
import { Asking } from '#core/plan/whatIf'
import type { WhatIf } from '#core/plan/whatIf'
import { decideByDates } from '#core/choices/decideBy'
import type { DecideBy } from '#core/choices/decideBy'
import { ashoreLeft } from '#core/launch/ashoreLeft'
import { compareWays } from '#core/launchWays/compare'
import type { WaysCompared } from '#core/launchWays/compare'
import { launchWays, scopeOf } from '#core/launchWays/ways'
import type { LaunchWay, WaysAsked } from '#core/launchWays/ways'
import { zoneClock } from '#core/time/zone'

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

/** Ways to launch side by side, with the changes that each takes. */
export interface WaysAnswer extends WaysCompared {
  readonly changes: readonly LaunchWay[]
}

/** What is worked out anew at every opening: the order of the jobs. */
export type Standing = Pick<PlanAnswer, 'ranking'>

/** The same for everybody, so that two windows come to one plan. */
const seed = 1

/** For so long the refit as it is need not be laid again between two questions, ms. */
const askedAnewMs = 60_000

const standingOf = (ranked: Planned['ranked']): Standing => ({
  ranking: ranked.map(({ job, score, basis }) => ({ jobId: job.id, score, basis })),
})

/** One planner: it holds the rows it was given, and answers from them. */
export function makePlanner() {
  /** Rows as the page had them last; only what changed since crosses over. */
  let rows: RefitRows = emptyRows()
  /** The refit as it is, as it was laid for the last question. */
  let asking: { readonly rows: RefitRows; readonly key: string; readonly about: Asking } | null =
    null

  function askingAt(now: number, accepted: StoredPlan | null): Asking {
    const key = `${Math.floor(now / askedAnewMs)} ${accepted?.now ?? 0} ${accepted?.placements.length ?? 0}`
    if (asking?.rows !== rows || asking.key !== key)
      asking = { rows, key, about: new Asking(rows, now, accepted) }
    return asking.about
  }

  const turns = new Turns()

  return {
    /** What became of the rows since the last call. */
    take(changes: readonly RowChange[]): void {
      rows = applyDifference(rows, changes)
    },
    /** For a refit whose accepted plan still holds: no plan is laid. */
    standing: (now: number): Standing => standingOf(prepare(rows, now).ranked),
    /** Leaves the question under way. */
    callOff: (): void => turns.callOff(),
    /** What changes would do, asked one after the other of the same refit. `now`: UTC ms. */
    whatIf: (
      now: number,
      accepted: StoredPlan | null,
      items: readonly ChangeItem[],
      onProgress: OnProgress | null = null,
    ): Promise<WhatIf | null> => turns.answered(askingAt(now, accepted).whatIf(items), onProgress),
    /** The plan of which `whatIf` spoke, to be accepted with the changes. */
    async planWith(
      now: number,
      accepted: StoredPlan | null,
      items: readonly ChangeItem[],
    ): Promise<PlanAnswer | null> {
      const planned = await turns.answered(askingAt(now, accepted).planWith(items), null)
      if (!planned) return null
      return { plan: planned.plan, seed, iterations: 0, ...standingOf(planned.ranked) }
    },
    /** When work ashore for a launch would be ready, UTC ms by job: with changes, laid anew. */
    async readyWith(
      now: number,
      accepted: StoredPlan | null,
      items: readonly ChangeItem[],
      haulOutId: string,
    ): Promise<ReadonlyMap<string, number> | null> {
      const plan = await turns.answered(askingAt(now, accepted).laidWith(items), null)
      if (!plan) return null
      const then = supposing(rows, items)
      const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
      const left = ashoreLeft(then, plan, haulOutId, clock, new Waits(then, clock))
      return new Map(left?.jobs.map((one) => [one.job.id, one.readyAt]))
    },
    /** Ways to launch from a haul-out, each laid and costed. */
    ways(
      now: number,
      plan: StoredPlan,
      asked: WaysAsked,
      onProgress: OnProgress,
    ): Promise<WaysAnswer | null> {
      const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
      const scope = scopeOf(rows, plan, asked.haulOutId, clock)
      if (!scope) return Promise.resolve(null)
      const ways = launchWays(rows, scope, asked)
      const parts = compareWays(rows, askingAt(now, plan), ways, scope.gate.id, now, clock)
      return turns.answered(
        (function* () {
          return { ...(yield* parts), changes: ways }
        })(),
        onProgress,
      )
    },
    /** The plan run again and again with all that is not known drawn. */
    runs: (
      plan: StoredPlan,
      asked: RunsAsked,
      onProgress: OnProgress | null,
    ): Promise<Runs | null> => turns.answered(forecastRuns(rows, plan, asked), onProgress),
    /** The chance of each gate with changes and without them. */
    chances: (
      now: number,
      accepted: StoredPlan | null,
      items: readonly ChangeItem[],
      onProgress: OnProgress,
    ): Promise<ChanceBought[] | null> =>
      turns.answered(chancesBought(rows, askingAt(now, accepted), items, comparedRuns), onProgress),
    /** The chance of each gate with each of several changes. */
    chancesWithEach: (
      now: number,
      accepted: StoredPlan | null,
      ways: readonly (readonly ChangeItem[])[],
      onProgress: OnProgress,
    ): Promise<ChanceWith[][] | null> =>
      turns.answered(
        chancesWithEach(rows, askingAt(now, accepted), ways, comparedRuns),
        onProgress,
      ),
    /** How likely steps are all finished by an instant. */
    keeps: (
      plan: StoredPlan,
      stepIds: readonly string[],
      until: number,
    ): Promise<KeepChance | null> =>
      turns.answered(keepChance(rows, plan, stepIds, until, comparedRuns), null),
    /** When a step could begin as far as what comes before it goes. */
    ready: (plan: StoredPlan, stepId: string): Promise<ReadyChance | null> =>
      turns.answered(readyChance(rows, plan, stepId, comparedRuns), null),
    /** What runs of a plan come to, whoever made them. */
    odds: (plan: StoredPlan, parts: readonly Runs[]): StoredOdds =>
      oddsOf(rows, plan, joined(parts)),
    /** By when open decisions have to be taken. */
    decideBy: (now: number): Promise<readonly DecideBy[] | null> =>
      turns.answered(decideByDates(rows, now), null),
    /** What each step of a chain holds up, measured by leaving it out. */
    drags: (plan: StoredPlan, gateId: string, stepIds: readonly string[]): Promise<Drag[] | null> =>
      turns.answered(dragsOn(rows, plan, gateId, stepIds), null),
    /** Days for which a job can be put off in a plan before its gate moves; null: not known. */
    slip: (plan: StoredPlan, gateId: string, jobId: string): Promise<number | null> =>
      turns.answered(slipDays(rows, plan, gateId, jobId), null),
    /** A whole plan. It is left between two passes where newer work comes. */
    async plan(
      now: number,
      accepted: StoredPlan | null,
      onProgress: OnProgress | null,
    ): Promise<PlanAnswer | null> {
      const iterations = usualIterations(rows.step.filter(isOpen).length)
      const effort = { seed, iterations, stop: () => false }
      const planned = await turns.answered(bestPlanInParts(rows, now, effort, accepted), onProgress)
      return planned && { plan: planned.plan, seed, iterations, ...standingOf(planned.ranked) }
    },
  }
}
export type Planner = ReturnType<typeof makePlanner>
