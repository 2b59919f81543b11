import { clockState } from '../cure/clockState'
import type { Row, Step } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { hourMs } from '../time/civil'
import { meanAirC } from './planned'
import { ceilTick } from './schedule/tick'

/** Months looked at before a cure is taken as endless, at the speed of the last of them. */
const mostMonths = 240

/** First instant of the next month, UTC ms. */
const nextMonth = (at: number): number => {
  const date = new Date(at)
  return Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 1)
}

/**
 * When the wait after a step is over, UTC ms on the grid: a cure month by month with each month's mean air, never under
 * the lowest temperature it needs (cover or heat is assumed). Ten-degree rule: handbook 9.
 */
export const waitOver = (step: Step, finish: number, rows: Pick<RefitRows, 'refit'>): number =>
  step.waitKind === 'none'
    ? finish
    : ceilTick(waitEndsAt(step, finish, rows.refit[0]?.monthMeanC ?? []))

/** The same to the millisecond. `means`: air by month, °C, January first. */
export function waitEndsAt(step: Step, finish: number, means: readonly number[]): number {
  if (step.waitKind !== 'chem') return finish + step.waitHours * hourMs
  let at = finish
  let left = step.waitHours
  for (let month = 0; ; month++) {
    const air = meanAirC(at, means) ?? step.waitRefC
    const speed = 2 ** ((Math.max(air, step.waitMinC ?? air) - step.waitRefC) / 10)
    const end = nextMonth(at)
    const earned = ((end - at) / hourMs) * speed
    if (earned >= left || month === mostMonths) return at + (left / speed) * hourMs
    left -= earned
    at = end
  }
}

/** A clock that still runs for a step, its pot aside; null: none. */
const runningClock = (step: Step, rows: Pick<RefitRows, 'clock'>): Row<'clock'> | undefined =>
  rows.clock.find((one) => one.stepId === step.id && one.endedAt === null && one.kind !== 'pot')

/**
 * When a finished step lets the next begin, UTC ms: by its running clock with what was read on it, else by its wait.
 * `otherwise`: taken as finished then, where nobody said when.
 */
export function readyAfterDone(
  step: Step,
  rows: Pick<RefitRows, 'refit' | 'clock' | 'clockReading'>,
  otherwise: number,
): number {
  const doneAt = step.doneAt ?? otherwise
  const clock = runningClock(step, rows)
  if (!clock) return waitOver(step, doneAt, rows)
  const means = rows.refit[0]?.monthMeanC ?? []
  const air = (at: number) => {
    const mean = meanAirC(at, means) ?? clock.assumedC
    return Math.max(mean, clock.minC ?? mean)
  }
  const readings = rows.clockReading.filter((one) => one.clockId === clock.id)
  const { opensAt } = clockState(clock, readings, air, doneAt)
  return opensAt === null ? waitOver(step, clock.startedAt, rows) : ceilTick(opensAt)
}
