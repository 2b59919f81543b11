import type { Step } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { dayMs } from '../time/civil'
import { ceilTick } from './schedule/tick'

/** Ahead of this the forecast says nothing, and the month's share of workable days is planned with. */
export const forecastMs = 7 * dayMs

/** Time to allow before a step that needs weather, and the share of days it comes from. */
export interface Allowance {
  readonly share: number
  readonly ms: number
}

/** True for work out of doors that wants warmth or dryness. */
export const needsWeather = (step: Pick<Step, 'needsDry' | 'minTempC' | 'placeNeed'>): boolean =>
  step.placeNeed === 'boat' && (step.needsDry || step.minTempC !== null)

/**
 * What a day that suits a step is expected to cost in waiting, when it may start at `at`: elapsed time ÷
 * the month's workable share, less the day itself. Null: it needs no weather, or the forecast decides.
 */
export function weatherAllowance(
  step: Pick<Step, 'needsDry' | 'minTempC' | 'placeNeed'>,
  at: number,
  rows: Pick<RefitRows, 'refit'>,
  now: number,
): Allowance | null {
  if (!needsWeather(step) || at - now <= forecastMs) return null
  const share = rows.refit[0]?.workableShare[new Date(at).getUTCMonth()] ?? 1
  return share >= 1 ? null : { share, ms: ceilTick((1 / share - 1) * dayMs) }
}
