import type { Placement, PlannedGate, Remark } from '../../model/stored'
import type { Bounds } from './criticalPath'
import type { Ashore } from './haulOuts'
import type { OpenWork } from './openWork'
import type { Phase } from './phases'

/** What one pass over all open work gives. */
export interface Pass {
  readonly placements: ReadonlyMap<string, Placement>
  readonly launches: readonly LaidLaunch[]
  readonly remarks: readonly Remark[]
  readonly ashore: readonly Ashore[]
}

export type LaidLaunch = PlannedGate & { readonly haulOutId: string }

/** What a pass is laid from. */
export interface PassInput {
  readonly compiled: OpenWork
  /** What each launch waits for. */
  readonly phases: readonly Phase[]
  /** Launches when nobody is ever busy, by haul-out: none can be earlier. */
  readonly launchesFrom: ReadonlyMap<string, number>
  /** Earliest and latest of each step when nobody is ever busy. */
  readonly bounds: ReadonlyMap<string, Bounds>
}

/** How a pass is laid: with every reason asked for, or as if something took no time or came later. */
export interface PassOptions {
  /** What keeps each step from starting sooner is found out. Takes some times as long. */
  readonly explained?: boolean
  /** Steps that take no time, wait for nothing but their order, and are waited for by nothing else. */
  readonly dropped?: ReadonlySet<string>
  /** Steps that do not start before an instant. */
  readonly delayed?: ReadonlyMap<string, number>
  /** Opening steps put off until wanted days are over, by step id. */
  readonly putOff?: ReadonlyMap<string, number>
  /** Work in one go that no day is long enough for runs over, or goes on another day, instead of having no place. */
  readonly runsOver?: boolean
}
