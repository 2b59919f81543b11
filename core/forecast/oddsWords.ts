/** What may be said of a gate by the runs of a plan. */
import { dayOfShare, likelyShare, safeShare, shareBy } from '../model/odds'
import type { GateOdds, StoredOdds } from '../model/odds'
import { dateOf, dayNumber } from '../time/civil'
import { sayDate } from '../time/say'

/** Civil dates; null: in that many runs it has no day. */
export interface LikelyDates {
  readonly likelyOn: string | null
  readonly safeOn: string | null
}

const dateOfShare = (odds: GateOdds, share: number): string | null => {
  const day = dayOfShare(odds, share)
  return day === null ? null : dateOf(day)
}

export const likelyDates = (odds: GateOdds): LikelyDates => ({
  likelyOn: dateOfShare(odds, likelyShare),
  safeOn: dateOfShare(odds, safeShare),
})

export const oddsOfGate = (odds: StoredOdds | null, gateId: string | null): GateOdds | null =>
  odds?.gates.find((one) => one.gateId === gateId) ?? null

/** 'likely 6 July, safe 20 July'; 'likely and safe 5 June'. `year`: left out of dates in it. */
export function sayLikely({ likelyOn, safeOn }: LikelyDates, year: string): string {
  if (likelyOn === null) return 'likely on no day'
  if (safeOn === null) return `likely ${sayDate(likelyOn, year)}, safe on no day`
  return likelyOn === safeOn
    ? `likely and safe ${sayDate(safeOn, year)}`
    : `likely ${sayDate(likelyOn, year)}, safe ${sayDate(safeOn, year)}`
}

/** Runs of 100 in which a gate came by the end of a civil date, rounded down: no chance is said to be better than it is. */
export const chanceOn = (odds: GateOdds, date: string): number =>
  Math.floor(shareBy(odds, dayNumber(date)) * 100 + 1e-9)
