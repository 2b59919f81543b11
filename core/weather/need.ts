/** What a step asks of the weather. */
import { aboveDew } from '../cure/dewPoint'
import type { Step } from '../model/entities'
import { factsOf } from '../plan/facts'
import type { SaysFacts } from '../plan/facts'
import { plannedWaitHours } from '../plan/planned'
import type { FeltHour } from './felt'
import type { Site } from './site'

/** Coldest for coating, laminating and filling where the step names none, °C: most data sheets start at 10. */
const usualMinC = 10

/** What work asks of an hour. */
export interface WeatherNeed {
  /** Coldest air and surface, °C; null: any. */
  readonly minTempC: number | null
  /** Warmest surface, °C; null: any. */
  readonly maxTempC: number | null
  readonly dry: boolean
  /** Coatings and laminates want the surface above the dew point; other work does not. */
  readonly dewMargin: boolean
}

/** What stands against work in an hour. */
export type Against = 'cold' | 'hot' | 'rain' | 'dew'

/** What of an hour stands against the work; null: it suits. */
export function against(hour: FeltHour, need: WeatherNeed): Against | null {
  const { minTempC, maxTempC } = need
  if (minTempC !== null && Math.min(hour.airC, hour.surfaceC) < minTempC - 1e-9) return 'cold'
  if (maxTempC !== null && hour.surfaceC > maxTempC + 1e-9) return 'hot'
  if (need.dry && hour.rain) return 'rain'
  return need.dewMargin && !aboveDew(hour.surfaceC, hour.dewC) ? 'dew' : null
}

/** True for what must stay above the dew point until it is touch-dry: coats, laminates and fillers. */
export const isWet = (step: SaysFacts): boolean => factsOf(step).wet

type Asking = SaysFacts & Pick<Step, 'minTempC' | 'maxTempC' | 'needsDry'>

/** What a step asks of the weather where it is done; null: nothing, or it has a roof. */
export function weatherNeed(step: Asking, site: Site): WeatherNeed | null {
  if (site.exposure === 'roof') return null
  const dewMargin = isWet(step)
  const { minTempC, maxTempC } = step
  if (!dewMargin && minTempC === null && maxTempC === null && !step.needsDry) return null
  return {
    minTempC: minTempC ?? (dewMargin ? usualMinC : null),
    maxTempC,
    dry: step.needsDry,
    dewMargin,
  }
}

/**
 * Hours after a wet step until rain and dew do it no harm: a third of its cure at the day's air, at least
 * 1 and at most 6; 3 where the step names no cure. 0 for work that is not wet. An assumption; the data
 * sheet decides.
 */
export function touchDryHours(step: Step, airC: number): number {
  if (!isWet(step)) return 0
  if (step.waitKind !== 'chem') return 3
  return Math.min(6, Math.max(1, plannedWaitHours(step, 0, [airC]) / 3))
}
