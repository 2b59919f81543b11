/** Days on which she is wanted whole. */
import type { RefitRows } from '../model/refit'
import { dayNumber } from '../time/civil'

/** 'gone': nobody works on her; 'livedOn': work goes on, but nothing may stand open; '': an ordinary day. */
export type Wanted = 'gone' | 'livedOn' | ''

/** What she is wanted for on a local day. */
export function wantedOn(rows: Pick<RefitRows, 'wantedDays'>): (day: number) => Wanted {
  const times = rows.wantedDays.map((one) => ({
    from: dayNumber(one.from),
    to: dayNumber(one.to),
    what: one.why === 'livedOn' ? ('livedOn' as const) : ('gone' as const),
  }))
  if (times.length === 0) return () => ''
  return (day) => {
    const there = times.filter((one) => one.from <= day && day <= one.to)
    return there.find((one) => one.what === 'gone')?.what ?? there[0]?.what ?? ''
  }
}
