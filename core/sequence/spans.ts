/** Days on the time line that are not about work: she is wanted, the yard lifts nothing, she lies elsewhere; the water at the slip. */
import * as said from '../model/said'
import type { RefitRows } from '../model/refit'
import { haulOutsInTime } from '../plan/schedule/haulOuts'
import { dateOf, dayNumber } from '../time/civil'
import { sayDate } from '../time/say'
import type { ZoneClock } from '../time/zone'
import { widthOf } from './measure'
import { xOf } from './ruler'
import type { Ruler } from './ruler'

export interface DaySpan {
  readonly key: string
  readonly kind: 'wanted' | 'noLifts' | 'lies'
  readonly x0: number
  readonly x1: number
  /** Row from the top, 0 the first. */
  readonly row: number
  /** What has room in it; '': nothing has, it is only pointed at. */
  readonly text: string
  /** All of it, for those who point or listen. */
  readonly title: string
}

export const spanSize = 13
export const spanRow = 16
/** Height of a strip where there is no room for a row. */
export const thinSpan = 3
const pad = 4
/** Least width that is seen. */
const leastWide = 3
/** Rows at most: what is left over is not drawn, and would be too much to read. */
const mostRows = 3

/** What is said of a span, the longest words first. */
interface Said {
  readonly key: string
  readonly kind: DaySpan['kind']
  /** Civil dates, both included. */
  readonly from: string
  readonly to: string
  readonly words: readonly string[]
}

/** Days on which a slip has her depth, one after the other. */
export interface TideSpan {
  readonly key: string
  readonly x0: number
  readonly x1: number
  /** Civil dates, both included. */
  readonly from: string
  readonly to: string
}
/** Height of the strip of water. */
export const tideHigh = 6

/**
 * When the slip of her next launch has her depth for a lift, from a first day to the end of a ruler; where every day has
 * it, it parts nothing.
 */
export function tideSpans(
  rows: Pick<RefitRows, 'haulOut' | 'place' | 'refit' | 'tideStation'>,
  clock: ZoneClock,
  ruler: Ruler,
  first: number,
): TideSpan[] {
  const last = clock.dayOf(ruler.to) - 1
  const next = haulOutsInTime(rows, clock).find((one) => one.launchAt === Infinity)
  const slip = next?.lifts.slip
  if (!slip) return []
  const spells: [number, number][] = []
  for (let day = first; day <= last; day++) {
    if (slip.lift(day) === null) continue
    const spell = spells.at(-1)
    if (spell && spell[1] === day - 1) spell[1] = day
    else spells.push([day, day])
  }
  if (spells.length === 1 && spells[0]?.[0] === first && spells[0][1] === last) return []
  return spells.map(([from, to]) => ({
    key: `${from}`,
    x0: xOf(ruler, clock.at(from, 0)),
    x1: xOf(ruler, clock.at(to + 1, 0)),
    from: dateOf(from),
    to: dateOf(to),
  }))
}

/** Spans that are seen on a ruler, laid in as few rows as they need, wanted days before all else; thin: strips without words. */
export function daySpans(
  rows: Pick<RefitRows, 'wantedDays' | 'place' | 'lying'>,
  clock: ZoneClock,
  ruler: Ruler,
  thin = false,
): DaySpan[] {
  const names = new Map(rows.place.map((one) => [one.id, one.name]))
  const all: Said[] = [
    ...rows.wantedDays.map((one) => ({
      key: `wanted ${one.id}`,
      kind: 'wanted' as const,
      from: one.from,
      to: one.to,
      words: [
        `${said.wantedFor[one.why]}${one.note ? `: ${one.note}` : ''}`,
        said.wantedFor[one.why],
      ],
    })),
    ...rows.place.flatMap((place) =>
      place.noLifts.map((one, index) => ({
        key: `no lifts ${place.id} ${index}`,
        kind: 'noLifts' as const,
        from: one.from,
        to: one.to,
        words: [`no lifts${one.why ? `: ${one.why}` : ''}`, 'no lifts'],
      })),
    ),
    ...rows.lying.map((one) => ({
      key: `lies ${one.id}`,
      kind: 'lies' as const,
      from: one.from,
      to: one.to,
      words: [`at ${names.get(one.placeId) ?? ''}`],
    })),
  ]
  const spans: DaySpan[] = []
  for (const one of all) {
    const [from, to] = [clock.at(dayNumber(one.from), 0), clock.at(dayNumber(one.to) + 1, 0)]
    if (to <= ruler.from || from >= ruler.to) continue
    const x0 = xOf(ruler, from)
    const x1 = Math.max(x0 + leastWide, xOf(ruler, to))
    const row = Array.from({ length: thin ? 1 : mostRows }, (_, at) => at).find((at) =>
      spans.every((other) => other.row !== at || x1 + 2 <= other.x0 || x0 >= other.x1 + 2),
    )
    if (row === undefined) continue
    const fitting = one.words.find((words) => widthOf(words, spanSize) + 2 * pad <= x1 - x0)
    const text = thin ? '' : (fitting ?? '')
    const until = one.to === one.from ? '' : ` to ${sayDate(one.to)}`
    const title = `${one.words[0]}, ${sayDate(one.from)}${until}`
    spans.push({ key: one.key, kind: one.kind, x0, x1, row, text, title })
  }
  return spans
}
