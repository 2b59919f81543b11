import { addDays, daysBetween } from '../time/civil'

export interface DryingReading {
  readonly on: string
  readonly value: number
}

/** What readings say of when it is dry. */
export type Drying =
  | { readonly is: 'tooFew'; readonly more: number }
  | { readonly is: 'dry'; readonly since: string }
  | { readonly is: 'notFalling' }
  | {
      readonly is: 'falling'
      readonly on: string
      /** Four chances in five that the line crosses in between; a null end cannot be said. */
      readonly from: string
      readonly to: string | null
      /** Days in which what is over the dry reference halves. */
      readonly halfDays: number
      readonly k: number
      /** The fitted reading on a day. */
      readonly at: (on: string) => number
      readonly used: number
    }
  /** The line was to cross by `on`, and on the last reading's day, `readOn`, it was still wet: no date can be said. */
  | { readonly is: 'overdue'; readonly on: string; readonly readOn: string }

/** Student's t, 90 % point, by degrees of freedom from 1: any table of it. */
const tNinety = [
  3.078, 1.886, 1.638, 1.533, 1.476, 1.44, 1.415, 1.397, 1.383, 1.372, 1.363, 1.356, 1.35, 1.345,
  1.341, 1.337, 1.333, 1.33, 1.328, 1.325, 1.323, 1.321, 1.319, 1.318, 1.316, 1.315, 1.314, 1.313,
  1.311, 1.31,
] as const
/** The same for any number of degrees of freedom from 1; beyond the table the normal distribution's. */
export const tNinetyOf = (freedom: number): number => tNinety[freedom - 1] ?? 1.282

const fewest = 3
/** Beyond this a date means nothing, days. */
const farthest = 3650

/**
 * When a core that dries is likely to be dry: R(t) = dry + (R0 − dry)·e^(−kt), fitted as a straight line of
 * ln(R − dry) on days by least squares. The range is where the 80 % band of the fitted line crosses.
 * @param dry reading of sound, dry core. @param passAt reading under which it counts as dry, over `dry`.
 */
export function dryingOf(given: readonly DryingReading[], dry: number, passAt: number): Drying {
  const readings = [...given].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))
  const last = readings.at(-1)
  if (last && last.value < passAt) return { is: 'dry', since: last.on }
  const used = readings.filter((one) => one.value > dry)
  const first = used[0]
  if (!first || used.length < fewest) return { is: 'tooFew', more: fewest - used.length }
  const days = used.map((one) => daysBetween(first.on, one.on))
  const logs = used.map((one) => Math.log(one.value - dry))
  const many = used.length
  const mean = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0) / many
  const [dayMean, logMean] = [mean(days), mean(logs)]
  const spread = days.reduce((sum, day) => sum + (day - dayMean) ** 2, 0)
  if (spread === 0) return { is: 'tooFew', more: 2 }
  const slope =
    days.reduce((sum, day, at) => sum + (day - dayMean) * ((logs[at] as number) - logMean), 0) /
    spread
  const k = -slope
  if (!(k > 0)) return { is: 'notFalling' }
  const goal = Math.log(passAt - dry)
  const crossing = dayMean + (logMean - goal) / k
  if (crossing > farthest) return { is: 'notFalling' }
  const off = days.reduce(
    (sum, day, at) => sum + ((logs[at] as number) - logMean - slope * (day - dayMean)) ** 2,
    0,
  )
  const scatter = Math.sqrt(off / (many - 2))
  const [early, late] = bandCrossings()
  const date = (day: number) => addDays(first.on, Math.round(day))
  const [on, readOn] = [date(crossing), last?.on ?? first.on]
  if (on <= readOn) return { is: 'overdue', on, readOn }
  return {
    is: 'falling',
    on,
    // What was read wet was not dry before it was read.
    from: date(early) > readOn ? date(early) : readOn,
    to: late === null || late > farthest ? null : date(late),
    halfDays: Math.LN2 / k,
    k,
    at: (on) => dry + Math.exp(logMean + slope * (daysBetween(first.on, on) - dayMean)),
    used: many,
  }

  /** Where (line − goal)² = (t·s)²·(1/n + (day − mean)²/spread): Fieller's bounds. */
  function bandCrossings(): [number, number | null] {
    const reach = tNinetyOf(many - 2) * scatter
    const height = logMean - goal
    const a = slope ** 2 - reach ** 2 / spread
    const b = slope * height
    const c = height ** 2 - reach ** 2 / many
    const root = Math.sqrt(Math.max(0, b ** 2 - a * c))
    // The band opens faster than the line falls: it never leaves the goal again on its late side.
    if (a <= 0) return [c > 0 ? dayMean + (-b - root) / a : dayMean, null]
    const ends = [(-b - root) / a, (-b + root) / a].map((one) => one + dayMean)
    return [Math.min(...ends), Math.max(...ends)]
  }
}
