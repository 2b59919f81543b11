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
    .map((want): BoardItem => {
      const kept = keptFor(rows, want.sum.key, want.job.id)
      const changed = kept ? changedSince(kept, want) : []
      const worked =
        isSaid(want) && isWorkable(want) && !want.sum.isSearch
          ? workSum(want.sum, want.values, facts.tools)
          : null
      return {
        want,
        at: facts.startOf(want.step.id),
        answer: worked?.ok ? worked.value : null,
        guesses: [
          ...new Set(
            isSaid(want)
              ? guessesIn(want.sum.asks, want.values, want.known).map((one) => one.label)
              : [],
          ),
        ],
        isKept: kept !== null && changed.length === 0,
        changed,
        kept,
        holds: facts.holds(want.step.id),
      }
    })
    .sort(
      (a, b) =>
        (a.at ?? Infinity) - (b.at ?? Infinity) || (a.want.sum.key < b.want.sum.key ? -1 : 1),
    )
}
