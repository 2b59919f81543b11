import type { Job, Step } from '../model/entities'
import type { Mend } from '../model/stored'
import type { PlaceNeed } from '../model/words'

/** By when something must be finished, and why. */
export interface Limit {
  /** UTC ms. */
  readonly at: number
  /** Last start with which it is; the same as `at` for work that may be left half done. */
  readonly beginBy: number
  readonly why: string
}

/** A line of the day sheet. */
export interface DayLine {
  readonly kind: 'setUp' | 'work' | 'move' | 'packUp'
  /** What is done where no step says it; '' for work. */
  readonly what: string
  readonly from: number
  readonly to: number
  /** All that the plan gives its step, this stretch among the others, ms; 0 without a step. */
  readonly wholeMs: number
  /** Null for set-up and pack-up. */
  readonly step: Step | null
  readonly job: Job | null
  readonly personIds: readonly string[]
  /** Goes on another day. */
  readonly continues: boolean
  readonly caution: string
  readonly limit: Limit | null
  /** End of the wait after it when that is after the work; null: none. */
  readonly waitUntil: number | null
  /** What is done besides because a bond window shuts. */
  readonly mends: readonly Mend[]
  /** It stands in hours that the forecast has come to forbid; '': it does not. A new plan is on its way then. */
  readonly against: string
}

/** What tells a line of a day from the others. */
export const lineKey = ({ kind, step, personIds, from }: DayLine): string =>
  `${kind} ${step?.id ?? personIds.join(' ')} ${from}`

/** A line of which there is no more to say than when, who and what. */
export const bareLine = {
  wholeMs: 0,
  step: null,
  job: null,
  continues: false,
  caution: '',
  limit: null,
  waitUntil: null,
  mends: [],
  against: '',
} as const

/** Whom and what the day has. */
export interface DayFrame {
  readonly on: string
  readonly placeNeed: PlaceNeed
  readonly personIds: readonly string[]
}
