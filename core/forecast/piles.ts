/** Runs of a gate as piles of boards: by day, by week or by month, so that a few piles hold them all. */
import type { GateOdds } from '../model/odds'
import { dayOfShare, safeShare } from '../model/odds'
import { dateOf, weekdayOf } from '../time/civil'

interface Pile {
  /** First civil date of it. */
  readonly on: string
  readonly runs: number
  /** True when runs of it are later than safe. */
  readonly isBeyond: boolean
}

export interface Piles {
  readonly by: 'day' | 'week' | 'month'
  readonly piles: readonly Pile[]
  /** Runs that came later than all that is drawn, or had no day. */
  readonly later: number
}

/** Where there are more, they are counted by the next longer time. */
const mostPiles = 16
/** What so few runs reach is not drawn: a tail would press all else together. */
const tailShare = 0.97

const begins = {
  day: (day: number) => day,
  week: (day: number) => day - (weekdayOf(day) - 1),
  month: (day: number) => day - Number(dateOf(day).slice(8)) + 1,
} as const

/** Piles of a gate, `most` of them unless they are months; none where it has no day in any run. */
export function pilesOf(odds: GateOdds, most = mostPiles): Piles {
  const all = odds.days.reduce((sum, [, runs]) => sum + runs, odds.never)
  const last = dayOfShare(odds, tailShare) ?? Infinity
  const safe = dayOfShare(odds, safeShare) ?? Infinity
  const shown = odds.days.filter(([day]) => day <= last)
  const later = all - shown.reduce((sum, [, runs]) => sum + runs, 0)
  for (const by of ['day', 'week', 'month'] as const) {
    const sums = new Map<number, { runs: number; isBeyond: boolean }>()
    for (const [day, runs] of shown) {
      const from = begins[by](day)
      const was = sums.get(from)
      sums.set(from, { runs: runs + (was?.runs ?? 0), isBeyond: was?.isBeyond || day > safe })
    }
    if (sums.size > most && by !== 'month') continue
    return {
      by,
      piles: [...sums].map(([from, one]) => ({ on: dateOf(from), ...one })),
      later,
    }
  }
  return { by: 'month', piles: [], later }
}
