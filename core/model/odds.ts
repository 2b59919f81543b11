/** What many runs of the accepted plan said: stored beside it, read by every view. */
import type { RefitRows } from './refit'

export const doubtKinds = [
  'season',
  'weather',
  'found',
  'steps',
  'again',
  'kind',
  'part',
  'trade',
  'prices',
  'price',
  'rest',
] as const

/** What runs differ in. `of`: kind of work, step, or key of an account; '' for others. `rest`: nothing that has a name here. */
export interface Doubt {
  readonly kind: (typeof doubtKinds)[number]
  readonly of: string
  /** Share of the spread of the cost, and of the next gate's day, that goes with it, 0 to 1. */
  readonly ofCost: number
  readonly ofDays: number
}

export interface GateOdds {
  readonly gateId: string
  /** Local day numbers on which runs had it, with how many did, in order. */
  readonly days: readonly (readonly [day: number, runs: number])[]
  /** Runs in which it had no day. */
  readonly never: number
  /** Inches that even odds put on the Tape by the aimed day; null: no day is aimed at, or it is gone. */
  readonly ghostIn: number | null
}

/** A day on which she could be lifted in, were it booked. */
export interface LiftDate {
  readonly day: number
  /** Runs of 100 in which all is ready for it. */
  readonly ready: number
  /** What booking it comes to on average more than the cheapest of them, minor units; null: no prices. */
  readonly extraMinor: number | null
  /** Local day until which it can be cancelled for nothing. */
  readonly freeUntil: number
  /** Why nothing is lifted after it for more than a fortnight; '': something is. */
  readonly lastBefore: string
}

/**
 * What booking a lift comes to over the runs, on average: the yard's days until she goes in, a berth she does not need
 * meanwhile, the fee of a day that is missed, all in minor units; and the day she goes in.
 */
export type LiftCost = readonly [
  yardMinor: number,
  berthMinor: number,
  feeMinor: number,
  goesDay: number,
]

export interface LiftOdds {
  readonly haulOutId: string
  readonly dates: readonly LiftDate[]
  /** The cheapest, all told; null: no prices. */
  readonly bestDay: number | null
  /** Every lift: its day, runs of 100 that are ready, what it costs more; null: too soon to be worth weighing, or no prices. Odds of an older make lack it. */
  readonly all?: readonly (readonly [
    day: number,
    ready: number,
    extraMinor: number | null,
    cost?: LiftCost,
  ])[]
}

/** Minor units. Shares are of runs. */
export interface CostOdds {
  /** What the accounts called likely when the runs were made; the rest is measured from it. */
  readonly likelyMinor: number
  /** What was planned and set aside then. */
  readonly reserveMinor: number
  /** 10, 25, 50, 75, 80 and 90 %. */
  readonly at: Readonly<Record<'p10' | 'p25' | 'p50' | 'p75' | 'p80' | 'p90', number>>
  /** Share of runs that cost more than what is planned and set aside. */
  readonly beyondReserve: number
}

export interface StoredOdds {
  readonly runs: number
  readonly gates: readonly GateOdds[]
  readonly cost: CostOdds
  /** Share of runs in which a step was on the chain to its gate, by step id; under 1 in 20 left out. */
  readonly onChain: Readonly<Record<string, number>>
  /** The next gate, and half of the 80 % band of its day in days; null: it has no day in too many runs. */
  readonly next: { readonly gateId: string; readonly halfDays: number | null } | null
  /** What makes the doubt, most first. */
  readonly doubts: readonly Doubt[]
  readonly lifts: readonly LiftOdds[]
}

/** The odds as they are stored; null: nothing was run yet. */
export const storedOdds = (rows: Pick<RefitRows, 'odds'>): StoredOdds | null =>
  rows.odds[0]?.result ?? null

/** Local day of a share of the runs, number ceil(pN); null: in that many it had none. `share` over 0, at most 1. */
export function dayOfShare({ days, never }: GateOdds, share: number): number | null {
  const all = days.reduce((sum, [, runs]) => sum + runs, never)
  let left = Math.max(1, Math.ceil(share * all))
  for (const [day, runs] of days) {
    left -= runs
    if (left <= 0) return day
  }
  return null
}

/** Share of runs in which a gate came by the end of a local day, 0 to 1. */
export function shareBy({ days, never }: GateOdds, by: number): number {
  const all = days.reduce((sum, [, runs]) => sum + runs, never)
  const some = days.reduce((sum, [day, runs]) => sum + (day <= by ? runs : 0), 0)
  return all === 0 ? 0 : some / all
}

/** Even odds, and safe. */
export const [likelyShare, safeShare] = [0.5, 0.8] as const
