/** The stand-in for a weather service: "Fennside", cool and maritime, made up from a seed. */
import { createRandom } from '#core/random'
import { dewPointC } from '#core/cure/dewPoint'
import type { WeatherHour } from '#core/cure/dewPoint'
import { dayMs, hourMs } from '#core/time/civil'

/** Half the swing between night and early afternoon, °C. */
const swingC = 4.5
const warmestHour = 15

/** Hours of weather for `days` days from a UTC day, the same whenever asked. */
export function weatherFrom(
  firstDay: number,
  days: number,
  monthMeanC: readonly number[],
): WeatherHour[] {
  const hours: WeatherHour[] = []
  for (let day = firstDay; day < firstDay + days; day++) {
    const dice = createRandom(day)
    const mean = (monthMeanC[new Date(day * dayMs).getUTCMonth()] ?? 12) + (dice() - 0.5) * 5
    const rainFrom = dice() < 0.35 ? Math.floor(dice() * 20) : 99
    const rainHours = 2 + Math.floor(dice() * 5)
    const cover = Math.round(dice() * 10) / 10
    for (let hour = 0; hour < 24; hour++) {
      const rain = hour >= rainFrom && hour < rainFrom + rainHours
      const tempC = mean + swingC * Math.cos(((hour - warmestHour) * Math.PI) / 12)
      const humidity = Math.min(97, Math.max(45, 78 - (tempC - mean) * 4 + (rain ? 14 : 0)))
      hours.push({
        at: day * dayMs + hour * hourMs,
        tempC: Math.round(tempC * 10) / 10,
        dewC: Math.round(dewPointC(tempC, humidity) * 10) / 10,
        rain,
        cloud: rain ? 1 : cover,
      })
    }
  }
  return hours
}
