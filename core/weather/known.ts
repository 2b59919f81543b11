/** The hours of weather a refit knows: the forecast, and what people said of single days. */
import type { WeatherHour } from '../cure/dewPoint'
import type { RefitRows } from '../model/refit'
import { dayMs, dayNumber, hourMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'

/** How far ahead of when it was asked a forecast is believed. Source: handbook-2 C3. */
export const forecastDays = 7

/** Hours of weather in order, and how far they are planned by. */
export interface KnownWeather {
  readonly hours: readonly WeatherHour[]
  /** End of the forecast, UTC ms: after it the month's usual days are planned with. 0: no forecast comes here. */
  readonly until: number
}

const lowAt = 5
const highAt = 15

/** All that is known, in order of time; days as people said they are take the place of the forecast's. */
export function knownWeather(
  rows: Pick<RefitRows, 'forecast' | 'dayPlan'>,
  clock: ZoneClock,
): KnownWeather {
  const [stored] = rows.forecast
  const believed = (stored?.takenAt ?? 0) + forecastDays * dayMs
  const forecast = (stored?.hours ?? []).filter((hour) => hour.at < believed)
  const last = forecast.at(-1)
  const byDay = new Map<number, WeatherHour[]>()
  for (const hour of forecast) {
    const day = clock.dayOf(hour.at)
    const ofDay = byDay.get(day)
    if (ofDay) ofDay.push(hour)
    else byDay.set(day, [hour])
  }
  for (const said of rows.dayPlan) {
    if (said.lowC === null && said.highC === null && !said.rain) continue
    const day = dayNumber(said.on)
    const hours = asSaid(byDay.get(day) ?? [], said, clock.at(day, 0))
    if (hours.length > 0) byDay.set(day, hours)
  }
  return {
    hours: [...byDay.values()].flat().sort((a, b) => a.at - b.at),
    until: last ? last.at + hourMs : 0,
  }
}

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
