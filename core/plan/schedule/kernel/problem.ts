/**
 * A scheduling problem that knows nothing of boats: activities in modes, lags, calendars, resources.
 * Time is whole numbers from 0; intervals are half-open. docs/kernel.md states it exactly.
 */
import type { Interval } from '../../../time/intervals'

export interface Resource {
  readonly id: string
  /** Steps `[from, to, capacity]`, apart and in order; time not listed has capacity 0. */
  readonly profile: readonly (readonly [from: number, to: number, capacity: number])[]
}

/** One way of doing an activity. */
export interface Mode {
  readonly duration: number
  /** Units by resource id while it is worked on. */
  readonly demands: Readonly<Record<string, number>>
}

export interface Activity {
  readonly id: string
  readonly modes: readonly Mode[]
  /** Null: any time. */
  readonly windows: readonly Interval[] | null
  /** May pause where its windows or resources are closed, and only there. */
  readonly splittable: boolean
  /** Counts its finish in the last objective; 0: not at all. */
  readonly weight: number
}

/** `to` starts between `minLag` and `maxLag` after the finish of `from`. */
export interface Arc {
  readonly from: string
  readonly to: string
  /** Null: no least lag. */
  readonly minLag: number | null
  readonly maxLag: number | null
  /** Points `[finish, earliest start]`: from one point to the next the lag of the first holds. */
  readonly earliestAfter: readonly (readonly [finish: number, earliest: number])[] | null
}

/** A finish after `at` costs `weight` a unit of time. */
export interface Deadline {
  readonly activity: string
  readonly at: number
  readonly weight: number
}

export interface Problem {
  /** Everything is finished by then; null: no limit. */
  readonly horizon: number | null
  readonly resources: readonly Resource[]
  readonly activities: readonly Activity[]
  readonly arcs: readonly Arc[]
  readonly deadlines: readonly Deadline[]
}

/** What a plan is measured by, in order: weighted lateness, makespan, weighted finishes. */
export type Cost = readonly [lateness: number, makespan: number, weighted: number]

/** A plan: mode, start and stretches of every activity, in the order of the problem. */
export interface Plan {
  readonly modes: readonly number[]
  readonly starts: readonly number[]
  readonly finishes: readonly number[]
  readonly cost: Cost
}

/** A part of the problem that can be relaxed, and that a proof of impossibility needs. */
export type Member =
  | { readonly kind: 'minLag'; readonly arc: number }
  | { readonly kind: 'maxLag'; readonly arc: number }
  | { readonly kind: 'windows'; readonly activity: number }
  | { readonly kind: 'resource'; readonly resource: number }
  | { readonly kind: 'horizon' }

export type Answer =
  | {
      readonly status: 'feasible'
      readonly plan: Plan
      /** No plan does better in the first objective that counts. */
      readonly bound: number
      readonly proved: boolean
    }
  | {
      readonly status: 'infeasible'
      readonly members: readonly Member[]
      /** False when time ran out before every member was shown to be needed. */
      readonly irreducible: boolean
    }
  | { readonly status: 'unknown'; readonly bound: number }

/** Negative when `a` is better. */
export function compareCost(a: Cost, b: Cost): number {
  return a[0] - b[0] || a[1] - b[1] || a[2] - b[2]
}
