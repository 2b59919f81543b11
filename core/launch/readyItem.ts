/** A line of launch readiness: what it is about, how it stands, and what shows it. */
import type { HaulOut, HullOpening, ReadySign } from '../model/entities'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import type { OutOfOrder } from '../order/rule'
import type { Waits } from '../plan/waits'
import type { ZoneClock } from '../time/zone'

/**
 * 'stops': open, and she does not go in like that. 'runs': nothing is left to do but wait. 'look': asked for a look or a
 * word, and stops nothing. 'ready': done and cured, not tried. 'proven': tried, or signed for. 'onDay': of the day itself.
 */
export type ReadyState =
  | 'stops'
  | 'runs'
  | 'look'
  | 'ready'
  | 'proven'
  | 'skipped'
  | 'notAboard'
  | 'onDay'

export interface ReadyItem {
  /** Stable: signatures name it. */
  readonly key: string
  readonly title: string
  readonly opening: HullOpening | null
  readonly state: ReadyState
  /** When it stops or runs no longer by the plan, UTC ms; Infinity: nothing planned ends it. Null in other states. */
  readonly until: number | null
  /** What shows it, or what is still to be done. */
  readonly evidence: string
  /** What it costs to be wrong about it; '': not known. */
  readonly risk: string
  readonly jobIds: readonly string[]
  readonly stepIds: readonly string[]
  readonly sign: ReadySign | null
}

/** What readiness is worked out from, for one launch. */
export interface ReadyFacts {
  readonly rows: RefitRows
  readonly plan: StoredPlan | null
  readonly clock: ZoneClock
  readonly waits: Waits
  readonly now: number
  readonly haulOut: HaulOut
  /** What is out of order by the one list of rules. */
  readonly found: readonly OutOfOrder[]
  /** An instant as views say it: '5 June'. */
  readonly date: (at: number) => string
}
