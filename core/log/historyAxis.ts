/** All that was done in one place, on a line of time: what was before us first and out of scale, the last of it stretched. */
import { dayMs, dayNumber } from '../time/civil'
import type { IsAfloat } from './daysAfloat'
import type { CameAgain, HistoryEntry } from './history'

/** What lies so close together that one mark stands for it. */
interface AxisMark {
  readonly key: string
  readonly x: number
  readonly kind: HistoryEntry['kind']
  readonly count: number
}

export interface HistoryAxis {
  readonly marks: readonly AxisMark[]
  /** Where the line is broken: left of it nothing is to scale; null: nothing is known from before us. */
  readonly breakX: number | null
  /** First days of years that have room for their number. */
  readonly years: readonly { readonly x: number; readonly text: string }[]
  /** From the repair to when it came again. */
  readonly held: readonly [number, number]
  readonly todayX: number
  /** Stretches afloat up to today. */
  readonly afloat: readonly (readonly [number, number])[]
}

const edge = 14
/** Room of a mark from before us, and of the break after the last of them. */
const [roughWide, breakWide] = [64, 30]
/** Up to when it came again takes so much of the line: what is since then is what is asked about. */
const untilAgain = 0.6
/** Closer marks are one. */
const leastApart = 16
const leastYear = 40
/** Of marks that are one the first of these is shown. */
const tells: readonly HistoryEntry['kind'][] = ['found', 'done', 'toCome', 'before']

/**
 * Lays the history of a place out between two edges.
 * @param entries in time, as `historyOf` gives them
 * @param today civil date
 * @param width px, at least 240
 */
export function historyAxis(
  entries: readonly HistoryEntry[],
  again: Pick<CameAgain, 'doneOn' | 'foundOn'>,
  today: string,
  isAfloat: IsAfloat,
  width: number,
): HistoryAxis {
  const rough = entries.filter((one) => one.isRough)
  const own = entries.filter((one) => !one.isRough)
  const days = own.map((one) => dayNumber(one.on))
  const right = width - edge
  const left =
    edge + (rough.length === 0 ? 0 : Math.min(roughWide * rough.length, width / 4) + breakWide)
  const [repaired, found, now] = [again.doneOn, again.foundOn, today].map(dayNumber) as [
    number,
    number,
    number,
  ]
  const first = Math.min(repaired, ...days)
  const last = Math.max(found, now, ...days)
  const knee = last > found ? left + (right - left) * untilAgain : right
  const between = (day: number, a: number, b: number, x0: number, x1: number) =>
    b <= a ? x1 : x0 + ((day - a) / (b - a)) * (x1 - x0)
  const xOf = (day: number): number => {
    if (day <= first) return left
    if (day >= last) return right
    return day <= found
      ? between(day, first, found, left, knee)
      : between(day, found, last, knee, right)
  }
  const roughStep = (left - breakWide - edge) / Math.max(1, rough.length)
  const placed = [
    ...rough.map((one, index) => ({ one, x: edge + index * roughStep })),
    ...own.map((one) => ({ one, x: xOf(dayNumber(one.on)) })),
  ]
  const marks: AxisMark[] = []
  for (const { one, x } of placed) {
    const before = marks.at(-1)
    if (!before || x - before.x >= leastApart)
      marks.push({ key: one.key, x, kind: one.kind, count: 1 })
    else {
      const kind = tells.find((each) => each === before.kind || each === one.kind) ?? one.kind
      marks[marks.length - 1] = { ...before, kind, count: before.count + 1 }
    }
  }
  const years: { x: number; text: string }[] = []
  const [from, to] = [first, last].map((day) => new Date(day * dayMs).getUTCFullYear()) as [
    number,
    number,
  ]
  for (let year = from + 1; year <= to; year++) {
    const x = xOf(dayNumber(`${year}-01-01`))
    if (x - (years.at(-1)?.x ?? left) >= leastYear) years.push({ x, text: `${year}` })
  }
  const floats: [number, number][] = []
  for (let day = first; day < now; day++) {
    const stretch = floats.at(-1)
    if (!isAfloat(day)) continue
    if (stretch && stretch[1] === day) stretch[1] = day + 1
    else floats.push([day, day + 1])
  }
  return {
    marks,
    breakX: rough.length === 0 ? null : left - breakWide / 2,
    years,
    held: [xOf(repaired), xOf(found)],
    todayX: xOf(now),
    afloat: floats.map(([a, b]) => [xOf(a), xOf(b)] as const),
  }
}
