import { fitToCoat } from '../cure/dewPoint'
import type { WeatherHour } from '../cure/dewPoint'
import { hourMs } from '../time/civil'

/** Coldest air for coating when the step names none, °C: most data sheets start at 10. */
export const usualMinC = 10

/** Stretches in which coating or laminating may be done, UTC ms, half open. */
export function fitWindows(
  hours: readonly WeatherHour[],
  minTempC: number,
  needsDry: boolean,
): [number, number][] {
  const windows: [number, number][] = []
  for (const hour of hours) {
    if (!fitToCoat(hour, minTempC, needsDry)) continue
    const last = windows.at(-1)
    if (last && last[1] === hour.at) last[1] = hour.at + hourMs
    else windows.push([hour.at, hour.at + hourMs])
  }
  return windows
}

/** A day's weather as the person says it is: the forecast bent to their low, high and rain. */
export function asSaid(
  hours: readonly WeatherHour[],
  said: { readonly lowC: number | null; readonly highC: number | null; readonly rain: boolean },
): WeatherHour[] {
  if (hours.length === 0) return []
  const temps = hours.map((hour) => hour.tempC)
  const [low, high] = [Math.min(...temps), Math.max(...temps)]
  const toLow = said.lowC ?? low
  const toHigh = Math.max(toLow, said.highC ?? high)
  const bend = (tempC: number) =>
    high === low ? toLow : toLow + ((tempC - low) * (toHigh - toLow)) / (high - low)
  return hours.map((hour) => {
    const tempC = bend(hour.tempC)
    // Damp air stays as far below saturation as forecast.
    const dewC = hour.dewC + (tempC - hour.tempC)
    return { ...hour, tempC, dewC, rain: said.rain || hour.rain }
  })
}
