/** The day in one sentence. */
import { clockTimeOf } from '../time/say'
import type { ZoneClock } from '../time/zone'
import type { DayLine } from './dayLine'
import type { DayNights } from './dayStays'

const mostLetters = 34

/** A title short enough for a heading: up to its first comma, or cut at a word. */
export function shortTitle(title: string): string {
  const first = title.split(/[,:;(]/)[0]?.trim() ?? title
  if (first.length <= mostLetters) return first
  const cut = first.slice(0, mostLetters)
  return `${cut.slice(0, Math.max(cut.lastIndexOf(' '), 12))} …`
}

/** Time that the start of a bound line can slip, ms. */
const spare = (line: DayLine): number => (line.limit?.beginBy ?? Infinity) - line.from

/**
 * What the weather binds of the day, and when it ends: "Plies at 12:00, begun by 14:40. Away by 16:30." With nothing
 * bound, the next thing to do. `lines` in order of time, at least one of them work; `night`: how it is spent where nobody
 * goes home.
 */
export function sayDaySheet(
  lines: readonly DayLine[],
  now: number,
  clock: ZoneClock,
  night: DayNights['after'] = null,
): string {
  const work = lines.filter((line) => line.kind === 'work' && line.to > now)
  // Of all that the weather binds, what has the least time to spare.
  const bound = work
    .filter((line) => line.limit !== null)
    .sort((a, b) => spare(a) - spare(b) || a.from - b.from)[0]
  const next = bound ?? work[0]
  const end = lines.at(-1)
  const away = night
    ? ` The night ${night === 'aboard' ? 'aboard' : 'near by'}.`
    : end
      ? ` Away by ${clockTimeOf(Math.max(...lines.map((one) => one.to)), clock)}.`
      : ''
  if (!next?.step) {
    const left = lines.filter((line) => line.kind === 'work' && line.step?.state !== 'done').length
    return left > 0
      ? `Its time has passed: ${left === 1 ? '1 step' : `${left} steps`} not ticked off.`
      : `All that was planned is done.${away}`
  }
  const title = shortTitle(next.step.title)
  const underWay = next.step.state === 'doing'
  // Its time has come, but nobody said that it was begun.
  const due = next.from <= now ? 'is next' : `at ${clockTimeOf(next.from, clock)}`
  const when = underWay ? 'under way' : due
  const by = !bound?.limit
    ? ''
    : underWay || bound.limit.beginBy <= bound.from
      ? `, done by ${clockTimeOf(bound.limit.at, clock)}`
      : `, begun by ${clockTimeOf(bound.limit.beginBy, clock)}`
  return `${title} ${when}${by}.${away}`
}
