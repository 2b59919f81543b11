/** Readiness in words. */
import { capital, counted, inWords } from '../units/counted'
import type { Readiness } from './readiness'
import type { ReadyItem } from './readyItem'

/** "stops until 1 May", "no plan", "runs until 30 May", "look again", "skipped". `date` says an instant. */
export function sayStanding(item: ReadyItem, date: (at: number) => string): string {
  switch (item.state) {
    case 'stops':
      return item.until === null || item.until === Infinity
        ? 'stops, no plan'
        : `stops until ${date(item.until)}`
    case 'runs':
      return item.until === null ? 'runs' : `runs until ${date(item.until)}`
    case 'look':
      // Nobody has looked yet where no work lies behind it.
      return item.opening !== null || item.jobIds.length > 0 ? 'look again' : 'to be looked at'
    case 'ready':
      return 'done, not tried'
    case 'proven':
      return 'proven'
    case 'skipped':
      return 'skipped, signed'
    case 'notAboard':
      return 'not on this boat'
    case 'onDay':
      return 'on the day'
  }
}

export const stopsOf = ({ openings, before }: Readiness): ReadyItem[] =>
  [...openings, ...before].filter((one) => one.state === 'stops')

/** What nothing in the plan ends. */
export const withoutPlan = (readiness: Readiness): ReadyItem[] =>
  stopsOf(readiness).filter((one) => one.until === null || one.until === Infinity)

/** True for a line that is still open or wet at an instant. */
export const isOpenAt = (item: ReadyItem, at: number | null): boolean =>
  at !== null && item.until !== null && item.until > at

/** The head of the view: "Not yet: nine things stop her", "Nothing stops her: two want a look". */
export function sayReadiness(readiness: Readiness): {
  readonly yes: boolean
  readonly words: string
} {
  const stops = stopsOf(readiness).length
  const all = [...readiness.openings, ...readiness.before]
  const [runs, looks] = [
    all.filter((one) => one.state === 'runs').length,
    all.filter((one) => one.state === 'look' || one.state === 'ready').length,
  ]
  if (stops > 0)
    return {
      yes: false,
      words: `${capital(inWords(stops))} ${stops === 1 ? 'thing stops' : 'things stop'} her`,
    }
  const rest = [
    runs > 0 ? `${inWords(runs)} still ${runs === 1 ? 'cures' : 'cure'}` : '',
    looks > 0 ? `${counted(looks, 'line')} ${looks === 1 ? 'wants' : 'want'} a look` : '',
  ].filter(Boolean)
  return {
    yes: runs === 0,
    words: rest.length > 0 ? `Nothing stops her; ${rest.join(', ')}` : 'Nothing stops her',
  }
}
