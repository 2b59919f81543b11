/** The way in: what open jobs want worked out, soonest first, with each answer as it stands. */
import type { KeptSum } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { guessesIn } from './doubt'
import type { Answer, Tools } from './sum'
import { changedSince, isSaid, isWorkable, keptFor, wantedSums } from './wanted'
import type { Want } from './wanted'
import { workSum } from './workSum'

export interface BoardItem {
  readonly want: Want
  /** When its step begins in the plan, UTC ms; null: it has no place there. */
  readonly at: number | null
  /** Null: the job says none of its figures, they do not go together, or it is a search. */
  readonly answer: Answer | null
  /** Figures that are guessed and may be off. */
  readonly guesses: readonly string[]
  /** Kept for this job, and nothing the job says has changed since. */
  readonly isKept: boolean
  /** What the job says otherwise since it was kept. */
  readonly changed: readonly string[]
  readonly kept: KeptSum | null
  /** Gate that waits for its step; null: none. */
  readonly holds: string | null
}

export interface BoardFacts {
  readonly startOf: (stepId: string) => number | null
  readonly holds: (stepId: string) => string | null
  readonly tools: Tools
}

/** Every sum an open job wants, or one job alone, the soonest first; those without a place in the plan last. */
export function benchBoard(rows: RefitRows, facts: BoardFacts, jobId?: string): BoardItem[] {
  return wantedSums(rows, jobId)
    .map((want) => itemOf(want, keptFor(rows, want.sum.key, want.job.id), facts))
    .sort(
      (a, b) =>
        (a.at ?? Infinity) - (b.at ?? Infinity) || (a.want.sum.key < b.want.sum.key ? -1 : 1),
    )
}

/** A want as it lies on the bench. It is worked when it is first looked at: of many wanted sums few are on the screen. */
function itemOf(
  want: Want,
  kept: KeptSum | null,
  { startOf, holds, tools }: BoardFacts,
): BoardItem {
  const changed = kept ? changedSince(kept, want) : []
  let answer: Answer | null | undefined
  let guesses: readonly string[] | undefined
  return {
    want,
    at: startOf(want.step.id),
    get answer() {
      if (answer !== undefined) return answer
      const worked =
        isSaid(want) && isWorkable(want) && !want.sum.isSearch
          ? workSum(want.sum, want.values, tools)
          : null
      return (answer = worked?.ok ? worked.value : null)
    },
    get guesses() {
      guesses ??= isSaid(want)
        ? [...new Set(guessesIn(want.sum.asks, want.values, want.known).map((one) => one.label))]
        : []
      return guesses
    },
    isKept: kept !== null && changed.length === 0,
    changed,
    kept,
    holds: holds(want.step.id),
  }
}
