/** What makes the doubt, in words and in money and days. */
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Doubt, StoredOdds } from '../model/odds'
import { operation as operationSaid } from '../model/said'
import type { Operation } from '../model/words'
import { factors } from './calibration'
import { capital } from '../units/counted'

export interface DoubtSaid extends Doubt {
  readonly key: string
  readonly name: string
  /** What it does to the cost either way, minor units, and to the next gate in days. */
  readonly halfMinor: number
  readonly halfDays: number
  /** Half the band of the cost once it is known; null: nothing can be written down for it. */
  readonly knownMinor: number | null
}

/** Half of the 80 % band of the cost. */
export const halfCost = ({ cost }: StoredOdds): number => (cost.at.p90 - cost.at.p10) / 2

/**
 * √(share of the spread) × half the 80 % band; without it the band is √(1 − share) of what it is. `accountName`: of its
 * key.
 */
export function doubtsSaid(
  rows: RefitRows,
  odds: StoredOdds,
  accountName: (key: string) => string,
): DoubtSaid[] {
  const half = halfCost(odds)
  const steps = byId(rows.step)
  const factorOf = factors(rows)
  const kind = (of: string) => (operationSaid as Readonly<Record<string, string>>)[of] ?? of
  const nameOf = (one: Doubt): string => {
    if (one.kind === 'season') return 'A good or a bad season'
    if (one.kind === 'found') return 'Found work still to come'
    if (one.kind === 'steps') return 'How long each step takes by itself'
    if (one.kind === 'again') return 'Work done again'
    if (one.kind === 'kind')
      return `${capital(kind(one.of))} takes ${factorOf(one.of as Operation).toFixed(1)} × its guess`
    if (one.kind === 'part') return `Parts for “${steps.get(one.of)?.title ?? 'a step'}” come late`
    if (one.kind === 'weather') return 'Days that suit work in the open'
    if (one.kind === 'trade')
      return `The trade for “${steps.get(one.of)?.title ?? 'a step'}” comes late`
    if (one.kind === 'prices') return 'How much dearer all is than its guess'
    if (one.kind === 'price') return `${accountName(one.of)}: prices not in writing`
    return 'All else, none of it large'
  }
  return odds.doubts.map((one) => ({
    ...one,
    key: `${one.kind} ${one.of}`,
    name: nameOf(one),
    halfMinor: Math.sqrt(one.ofCost) * half,
    halfDays: Math.sqrt(one.ofDays) * (odds.next?.halfDays ?? 0),
    knownMinor: one.kind === 'price' ? Math.sqrt(Math.max(0, 1 - one.ofCost)) * half : null,
  }))
}
