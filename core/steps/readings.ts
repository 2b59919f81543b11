/** Readings at a step, and what they say of it. */
import type { Reading, Step } from '../model/entities'
import { groupBy } from '../model/refit'
import type { UnitSystem } from '../units/length'
import { formatQuantity } from '../units/quantity'

/** Source: handbook-2 D7. */
export type Verdict = 'pass' | 'watch' | 'fail'

/** The limits of a step; null: nothing is read at it. */
export interface Limits {
  readonly what: string
  readonly unit: string
  readonly low: number | null
  readonly high: number | null
  /** Beyond the passing side, up to here it is watched. */
  readonly failAt: number | null
  readonly source: string
}

export function limitsOf(step: Step): Limits | null {
  const what = step.readWhat.trim()
  if (what === '') return null
  return {
    what,
    unit: step.readUnit,
    low: step.readLow,
    high: step.readHigh,
    failAt: step.readFailAt,
    source: step.readSource,
  }
}

/**
 * What a value says. Inside low and high it passes. Beyond, up to `failAt`, it is watched: a `failAt` under the low
 * counts below it, one over the high above it. Beyond that, or with no `failAt`, it fails.
 */
export function verdictOf(value: number, { low, high, failAt }: Limits): Verdict {
  if (low !== null && value < low)
    return failAt !== null && failAt < low && value >= failAt ? 'watch' : 'fail'
  if (high !== null && value > high)
    return failAt !== null && failAt > high && value <= failAt ? 'watch' : 'fail'
  return 'pass'
}

/** False for a step that dries after it is done: its readings hold what follows, not itself. */
export const holdsItself = (step: Pick<Step, 'waitKind'>): boolean => step.waitKind !== 'dry'

/** The last reading of each unit of a step; those of the whole step under 0. */
export function lastReadings(
  step: Step,
  readings: readonly Reading[],
): ReadonlyMap<number, Reading> {
  const own = readings.filter((one) => one.stepId === step.id)
  return new Map(
    [...groupBy(own, (one) => String(one.unitNo ?? 0))].map(([no, list]) => [
      Number(no),
      list.reduce((last, one) => (one.at >= last.at ? one : last)),
    ]),
  )
}

/** A reading that fails, and what it holds. */
export interface Failed {
  readonly reading: Reading
  readonly unitNo: number | null
}

/** Last readings that fail. */
export function failedReadings(step: Step, readings: readonly Reading[]): Failed[] {
  const limits = limitsOf(step)
  if (!limits) return []
  return [...lastReadings(step, readings)]
    .filter(([, reading]) => verdictOf(reading.value, limits) === 'fail')
    .sort(([a], [b]) => a - b)
    .map(([no, reading]) => ({ reading, unitNo: no === 0 ? null : no }))
}

/** Units that their last reading holds. */
export const unitsHeld = (step: Step, readings: readonly Reading[]): ReadonlySet<number> =>
  new Set(failedReadings(step, readings).flatMap((one) => one.unitNo ?? []))

/** "up to 12 %, fails over 15 %". */
export function sayLimits({ low, high, failAt, unit }: Limits, units: UnitSystem): string {
  const say = (value: number) => formatQuantity(value, unit, units)
  const pass =
    low !== null && high !== null
      ? `${say(low)} to ${say(high)}`
      : high !== null
        ? `up to ${say(high)}`
        : low !== null
          ? `from ${say(low)}`
          : 'no limit written down'
  if (failAt === null || (low === null && high === null)) return pass
  return `${pass}, fails ${low !== null && failAt < low ? 'under' : 'over'} ${say(failAt)}`
}
