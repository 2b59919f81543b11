/** Days on which she is wanted whole. */
import type { Row } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import type { Opening } from './openings'

/** 'gone': nobody works on her; 'livedOn': work goes on, but nothing may stand open; '': an ordinary day. */
type Wanted = 'gone' | 'livedOn' | ''

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

/** Wanted days that find something standing open, with the instant after the last of them. */
export function openWhenWanted(
  rows: Pick<RefitRows, 'wantedDays'>,
  found: readonly Opening[],
  clock: ZoneClock,
): { readonly opening: Opening; readonly wanted: Row<'wantedDays'>; readonly until: number }[] {
  return rows.wantedDays.flatMap((wanted) => {
    const from = clock.at(dayNumber(wanted.from), 0)
    const until = clock.at(dayNumber(wanted.to) + 1, 0)
    return found
      .filter((one) => one.from < until && one.to > from)
      .map((opening) => ({ opening, wanted, until }))
  })
}
