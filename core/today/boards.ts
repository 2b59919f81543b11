/** What the hours of a day allow, one board for each kind of work that the day holds. */
import type { Step } from '../model/entities'
import type { Operation } from '../model/words'
import { factsOf } from '../plan/facts'
import { hourMs } from '../time/civil'
import { joined } from '../time/intervals'
import type { Interval } from '../time/intervals'
import { settleMs, usualAirC } from '../plan/schedule/sharedAir'
import { isWet, touchDryHours } from '../weather/need'
import type { Forbidden, Weather } from '../weather/weather'
import type { DayLine } from './dayLine'

/** A stretch of a board: allowed, or forbidden with its reason. */
export interface BoardSpan {
  readonly from: number
  readonly to: number
  /** Null: allowed. */
  readonly why: Forbidden['why'] | 'tooLate' | 'wet' | null
  /** Lowest or highest temperature behind 'cold' and 'hot', °C. */
  readonly limitC: number | null
}

export interface Board {
  readonly title: string
  readonly spans: readonly BoardSpan[]
  /** Last start with which the day's work of this kind is dry in time; null: nothing ends it. */
  readonly lastStart: number | null
}

/** What work is called on its board; other work that weather forbids stands under one of its own. */
const titles: Partial<Record<Operation, string>> = {
  laminate: 'Plies',
  fill: 'Filler',
  prime: 'Paint',
  barrier: 'Paint',
  antifoul: 'Paint',
  paint: 'Paint',
  varnish: 'Varnish',
  bed: 'Sealant',
  weld: 'Welding',
}
const otherWork = 'Dry work'
const mostBoards = 3

/**
 * Boards of a stretch of a day for the work on it and the work it has no room for. A board that forbids nothing is
 * left out; the strictest come first, three at most.
 */
export function boardsOf(
  weather: Weather,
  lines: readonly DayLine[],
  alsoWanted: readonly Step[],
  from: number,
  to: number,
): Board[] {
  const groups = new Map<string, { steps: Step[]; lines: DayLine[] }>()
  const groupOf = (step: Step) => {
    const title = titles[step.operation] ?? otherWork
    const group = groups.get(title) ?? { steps: [], lines: [] }
    groups.set(title, group)
    return group
  }
  for (const line of lines)
    if (line.step && line.personIds.length > 0) {
      groupOf(line.step).steps.push(line.step)
      groupOf(line.step).lines.push(line)
    }
  for (const step of alsoWanted) groupOf(step).steps.push(step)
  return [...groups]
    .flatMap(([title, group]): Board[] => {
      const strictest = group.steps
        .map((step) => ({ step, spells: within(weather.forbidden(step), from, to) }))
        .sort((a, b) => length(b.spells) - length(a.spells))[0]
      if (!strictest || strictest.spells.length === 0) return []
      const starts = group.lines.flatMap((line) => line.limit?.beginBy ?? [])
      const lastStart = starts.length > 0 ? Math.min(...starts) : null
      const need = weather.needOf(strictest.step)
      return [
        {
          title,
          lastStart: lastStart !== null && lastStart < to ? lastStart : null,
          spans: spansOf(strictest.spells, lastStart, from, to, {
            cold: need?.minTempC ?? null,
            hot: need?.maxTempC ?? null,
          }),
        },
      ]
    })
    .sort((a, b) => closed(b) - closed(a))
    .slice(0, mostBoards)
}

const sands = ({ step }: DayLine): boolean => step !== null && factsOf(step).drifts

/**
 * When dust may be made on a day that has both: not from half an hour before wet work in the open until it is
 * touch-dry. Null: the day has only one of them.
 */
export function dustBoard(
  weather: Weather,
  lines: readonly DayLine[],
  from: number,
  to: number,
): Board | null {
  const isOpen = (line: DayLine) =>
    line.step !== null && weather.siteOf(line.step).exposure === 'open'
  const wet = lines.filter((line) => line.step !== null && isWet(line.step) && isOpen(line))
  if (wet.length === 0 || !lines.some((line) => sands(line) && isOpen(line))) return null
  const closed = joined(
    wet.map((line): Interval => {
      const step = line.step as Step
      const air = weather.airAt(weather.siteOf(step), line.to) ?? usualAirC
      return [line.from - settleMs, line.to + touchDryHours(step, air) * hourMs]
    }),
  )
  const spans: BoardSpan[] = []
  let at = from
  for (const [a, b] of closed) {
    if (a > at) spans.push({ from: at, to: Math.min(a, to), why: null, limitC: null })
    const end = Math.min(b, to)
    if (end > Math.max(a, at))
      spans.push({ from: Math.max(a, at), to: end, why: 'wet', limitC: null })
    at = Math.max(at, end)
  }
  if (at < to) spans.push({ from: at, to, why: null, limitC: null })
  return { title: 'Dust', spans, lastStart: null }
}

const within = (spells: readonly Forbidden[], from: number, to: number): Forbidden[] =>
  spells.filter((one) => one.to > from && one.from < to)

const length = (spells: readonly Forbidden[]): number =>
  spells.reduce((sum, one) => sum + one.to - one.from, 0)

const closed = (board: Board): number =>
  board.spans.reduce((sum, one) => sum + (one.why === null ? 0 : one.to - one.from), 0)

/** The whole stretch as allowed and forbidden parts; what comes after the last start is too late. */
function spansOf(
  spells: readonly Forbidden[],
  lastStart: number | null,
  from: number,
  to: number,
  limits: { readonly cold: number | null; readonly hot: number | null },
): BoardSpan[] {
  const spans: BoardSpan[] = []
  const put = (a: number, b: number, why: BoardSpan['why'], limitC: number | null) => {
    if (b <= a) return
    const last = spans.at(-1)
    if (last && last.why === why && last.to === a) spans[spans.length - 1] = { ...last, to: b }
    else spans.push({ from: a, to: b, why, limitC })
  }
  let at = from
  for (const spell of spells) {
    open(at, Math.min(to, spell.from))
    const limitC = spell.why === 'cold' ? limits.cold : spell.why === 'hot' ? limits.hot : null
    put(Math.max(at, spell.from), Math.min(to, spell.to), spell.why, limitC)
    at = Math.min(to, Math.max(at, spell.to))
  }
  open(at, to)
  return spans

  /** Allowed up to the last start, where that lies in it. */
  function open(a: number, b: number): void {
    const cut = lastStart !== null && a <= lastStart && lastStart < b ? lastStart : b
    put(a, cut, null, null)
    put(cut, b, 'tooLate', null)
  }
}
