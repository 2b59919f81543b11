import { hourAgainst } from '../cure/dewPoint'
import type { WeatherHour, WeatherNeed } from '../cure/dewPoint'
import type { Step } from '../model/entities'
import { factsOf } from '../plan/facts'
import { plannedWaitHours } from '../plan/planned'
import { hourMs } from '../time/civil'

/** Coldest air for coating when the step names none, °C: most data sheets start at 10. */
export const usualMinC = 10

/** Stretches whose hours suit a need, UTC ms, half open. */
export function fitWindows(hours: readonly WeatherHour[], need: WeatherNeed): [number, number][] {
  const windows: [number, number][] = []
  for (const hour of hours) {
    if (hourAgainst(hour, need) !== null) continue
    const last = windows.at(-1)
    if (last && last[1] === hour.at) last[1] = hour.at + hourMs
    else windows.push([hour.at, hour.at + hourMs])
  }
  return windows
}

/** What coating and laminating in the open ask for where no step says more. */
export const usualNeed: WeatherNeed = { minTempC: usualMinC, dry: true, dewMargin: true }

/** True for what must stay above the dew point until it is touch-dry: coats, laminates and fillers. */
const isWet = (step: Step): boolean =>
  factsOf(step.operation).coats || step.operation === 'laminate' || step.operation === 'fill'

/** What a step asks of the weather; null: nothing, or it is not done out of doors. */
export function needOf(step: Step): WeatherNeed | null {
  if (step.placeNeed !== 'boat') return null
  const dewMargin = isWet(step)
  if (!dewMargin && step.minTempC === null && !step.needsDry) return null
  return {
    minTempC: step.minTempC ?? (dewMargin ? usualMinC : null),
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

const lowAt = 5
const highAt = 15

/**
 * A day's weather as the person says it is. A forecast is bent to their low, high and rain; the water in the
 * air stays what it was, so the dew point does, and only follows the air where that falls below it. Without a
 * forecast both low and high make a day: coldest at 05:00, warmest at 15:00, dew point 1 °C under the low.
 * `dawn` is the day's local midnight, UTC ms.
 */
export function asSaid(
  hours: readonly WeatherHour[],
  said: { readonly lowC: number | null; readonly highC: number | null; readonly rain: boolean },
  dawn: number,
): WeatherHour[] {
  if (hours.length === 0) return madeFromWords(said, dawn)
  const temps = hours.map((hour) => hour.tempC)
  const [low, high] = [Math.min(...temps), Math.max(...temps)]
  const toLow = said.lowC ?? Math.min(low, said.highC ?? low)
  const toHigh = Math.max(toLow, said.highC ?? high)
  const bend = (tempC: number) =>
    high === low ? toLow : toLow + ((tempC - low) * (toHigh - toLow)) / (high - low)
  return hours.map((hour) => {
    const tempC = bend(hour.tempC)
    return { ...hour, tempC, dewC: Math.min(hour.dewC, tempC), rain: said.rain || hour.rain }
  })
}

function madeFromWords(
  { lowC, highC, rain }: Parameters<typeof asSaid>[1],
  dawn: number,
): WeatherHour[] {
  if (lowC === null || highC === null) return []
  const [mean, swing] = [(lowC + highC) / 2, (Math.max(lowC, highC) - lowC) / 2]
  return Array.from({ length: 24 }, (_, hour) => {
    // Half a wave from the low up to the high, and the longer half back down.
    const rising = hour >= lowAt && hour < highAt
    const share = rising
      ? (hour - lowAt) / (highAt - lowAt)
      : 1 - ((hour - highAt + 24) % 24) / (24 - (highAt - lowAt))
    const tempC = mean - swing * Math.cos(Math.PI * share)
    return { at: dawn + hour * hourMs, tempC, dewC: Math.min(lowC - 1, tempC), rain }
  })
}
