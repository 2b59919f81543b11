/** Moves a day's lines so that none is timed in hours the forecast forbids. */
import { hourAgainst } from '../cure/dewPoint'
import type { WeatherHour, WeatherNeed } from '../cure/dewPoint'
import { hourMs } from '../time/civil'
import { clockTimeOf } from '../time/say'
import type { ZoneClock } from '../time/zone'
import { formatHours } from '../units/hours'
import { formatTemp } from '../units/quantity'
import type { UnitSystem } from '../units/length'
import type { DayLine, Limit } from './dayLine'
import { fitWindows, needOf, touchDryHours } from './weather'

/** A line that the day's weather leaves no room for, and why. */
export interface NotToday {
  readonly line: DayLine
  readonly why: string
}

export interface Retimed {
  readonly lines: readonly DayLine[]
  readonly notToday: readonly NotToday[]
}

interface Wanting {
  readonly line: DayLine
  readonly need: WeatherNeed | null
  readonly windows: readonly (readonly [number, number])[]
  readonly touchDryMs: number
  /** Not before what it waits for, UTC ms. */
  readonly readyFrom: number
}

/**
 * Lines in which what wants weather lies inside the hours that suit it, touch-dry included; other work of
 * the same people fills the hours before. With no weather, or where all suits, the plan's own times stand.
 * `readyFrom` says when what a line waits for outside this day is over; `before` names the steps of this
 * sheet that it follows.
 */
export function retime(
  work: readonly DayLine[],
  weather: readonly WeatherHour[],
  until: number | null,
  readyFrom: (line: DayLine) => number,
  before: (line: DayLine) => readonly string[],
  clock: ZoneClock,
  units: UnitSystem,
): Retimed {
  if (weather.length === 0) return { lines: work, notToday: [] }
  const wanting = work.map((line) => wantingOf(line, weather, readyFrom(line)))
  const suits = ({ line, windows, touchDryMs, need }: Wanting) =>
    need === null || windows.some(([a, b]) => a <= line.from && line.to + touchDryMs <= b)
  const say = sayer(weather, clock, units)
  if (wanting.every(suits))
    return { lines: wanting.map((one) => ({ ...one.line, limit: say.limit(one) })), notToday: [] }
  const free = new Map<string, number>()
  for (const line of work)
    for (const id of line.personIds) free.set(id, Math.min(free.get(id) ?? Infinity, line.from))
  const left = [...wanting]
  const placed: DayLine[] = []
  const notToday: NotToday[] = []
  const ends = new Map<string, number>()
  const lost = new Set<string>()
  while (left.length > 0) {
    let best: { readonly at: number; readonly one: Wanting } | null = null
    for (const one of left) {
      const own = before(one.line)
      if (own.some((id) => left.some((other) => other.line.step?.id === id && other !== one)))
        continue
      const at = startOf(one, own)
      if (at !== null && (best === null || at < best.at)) best = { at, one }
    }
    if (!best) {
      for (const one of left) {
        lost.add(one.line.step?.id ?? '')
        notToday.push({ line: one.line, why: say.notToday(one) })
      }
      break
    }
    const { at, one } = best
    const to = at + one.line.to - one.line.from
    const moved = { ...one.line, from: at, to, moved: at !== one.line.from }
    const wait = one.line.waitUntil === null ? null : one.line.waitUntil + to - one.line.to
    placed.push({ ...moved, waitUntil: wait, limit: say.limit({ ...one, line: moved }) })
    for (const id of one.line.personIds) free.set(id, to)
    if (one.line.step) ends.set(one.line.step.id, wait ?? to)
    left.splice(left.indexOf(one), 1)
  }
  return { lines: placed.sort((a, b) => a.from - b.from || a.to - b.to), notToday }

  /** Earliest start that its people, what it follows and the weather allow; null: none today. */
  function startOf(one: Wanting, own: readonly string[]): number | null {
    if (own.some((id) => lost.has(id))) return null
    const length = one.line.to - one.line.from
    const at = Math.max(
      one.readyFrom,
      ...one.line.personIds.map((id) => free.get(id) ?? one.line.from),
      ...(one.line.personIds.length === 0 ? [one.line.from] : []),
      ...own.map((id) => ends.get(id) ?? -Infinity),
    )
    if (one.need === null) return at
    for (const [a, b] of one.windows) {
      const start = Math.max(a, at)
      const fits = start + length + one.touchDryMs <= b
      if (fits && (until === null || start + length <= until)) return start
    }
    return null
  }
}

function wantingOf(line: DayLine, weather: readonly WeatherHour[], readyFrom: number): Wanting {
  const need = line.step ? needOf(line.step) : null
  const mean = weather.reduce((sum, hour) => sum + hour.tempC, 0) / weather.length
  return {
    line,
    need,
    windows: need ? fitWindows(weather, need) : [],
    touchDryMs: line.step && need ? touchDryHours(line.step, mean) * hourMs : 0,
    readyFrom,
  }
}

function sayer(weather: readonly WeatherHour[], clock: ZoneClock, units: UnitSystem) {
  const end = (weather.at(-1)?.at ?? 0) + hourMs
  /** What is wrong in the hour an instant lies in. */
  const against = (at: number, need: WeatherNeed): string => {
    const hour = weather.find((one) => one.at <= at && at < one.at + hourMs)
    const what = hour ? hourAgainst(hour, need) : null
    if (what === 'cold') return `under ${formatTemp(need.minTempC ?? 0, units)}`
    return what ?? 'the forecast ends'
  }
  const dryWords = (touchDryMs: number): string =>
    touchDryMs === 0 ? '' : `, touch-dry takes about ${formatHours(touchDryMs / hourMs)}`
  return {
    /** By when it must be done, when the day's weather turns before its end. */
    limit({ line, need, windows, touchDryMs }: Wanting): Limit | null {
      if (!need) return null
      const window = windows.find(([a, b]) => a <= line.from && line.to + touchDryMs <= b)
      if (!window) return null
      if (window[1] >= end) return null
      const at = window[1] - touchDryMs
      return {
        at,
        why: `done by ${clockTimeOf(at, clock)}: ${against(window[1], need)} at ${clockTimeOf(window[1], clock)}${dryWords(touchDryMs)}`,
        missed: false,
      }
    },
    notToday({ line, need, windows, touchDryMs }: Wanting): string {
      if (!need) return 'it follows what cannot be done today'
      if (windows.length === 0) {
        const reasons = new Set(weather.map((hour) => against(hour.at, need)))
        return `no hour suits it: ${[...reasons].join(', ')}`
      }
      const long = formatHours((line.to - line.from + touchDryMs) / hourMs)
      const spans = windows.map(([a, b]) => `${clockTimeOf(a, clock)}–${clockTimeOf(b, clock)}`)
      return `it wants ${long}${touchDryMs > 0 ? ' with drying' : ''} and only ${spans.join(', ')} suits it: ${against(windows[0]?.[1] ?? 0, need)} after`
    },
  }
}
