/** Air and dew point of a day over a drawing, and the hours in which a coat would be fit. */
import { aboveDew } from '../cure/dewPoint'
import type { WeatherHour } from '../cure/dewPoint'
import { hourMs } from '../time/civil'
import type { Ruler } from './ruler'
import { xOf } from './ruler'

export interface AirLine {
  readonly air: string
  readonly dew: string
  /** Said temperatures with their places, whole °C. */
  readonly degrees: readonly { readonly x: number; readonly y: number; readonly tempC: number }[]
  /** Stretches in which no rain falls and air is 3 °C over its dew point. */
  readonly fit: readonly {
    readonly x0: number
    readonly x1: number
    readonly from: number
    readonly to: number
  }[]
  /** The forecast does not reach; it is only the month's usual. */
  readonly usual: boolean
}

const leastSpread = 6

/** The air between two instants in a band `top` to `bottom`; null: nothing is known of it. */
export function airLine(
  hours: readonly WeatherHour[],
  [from, to]: readonly [number, number],
  meanC: number | null,
  ruler: Ruler,
  [top, bottom]: readonly [number, number],
): AirLine | null {
  const own = hours.filter((one) => one.at >= from - hourMs && one.at <= to)
  const reaches = own.length > 1 && (own.at(-1)?.at ?? 0) >= to - 2 * hourMs
  if (!reaches) {
    if (meanC === null) return null
    const y = (top + bottom) / 2
    const [a, b] = [xOf(ruler, from), xOf(ruler, to)]
    return {
      air: `M${a} ${y}H${b}`,
      dew: '',
      degrees: [{ x: (a + b) / 2, y: y - 5, tempC: Math.round(meanC) }],
      fit: [],
      usual: true,
    }
  }
  const low = Math.min(...own.map((one) => one.dewC))
  const high = Math.max(low + leastSpread, ...own.map((one) => one.tempC))
  const yOf = (value: number) => bottom - 3 - ((value - low) / (high - low)) * (bottom - top - 18)
  const path = (key: 'tempC' | 'dewC') =>
    own
      .map((one, index) => {
        const at = Math.min(to, Math.max(from, one.at))
        return `${index === 0 ? 'M' : 'L'}${xOf(ruler, at).toFixed(1)} ${yOf(one[key]).toFixed(1)}`
      })
      .join('')
  const fit: { x0: number; x1: number; from: number; to: number }[] = []
  for (const one of own) {
    const [a, b] = [Math.max(from, one.at), Math.min(to, one.at + hourMs)]
    if (b <= a || one.rain || !aboveDew(one.tempC, one.dewC)) continue
    const last = fit.at(-1)
    if (last?.to === a) {
      last.to = b
      last.x1 = xOf(ruler, b)
    } else fit.push({ x0: xOf(ruler, a), x1: xOf(ruler, b), from: a, to: b })
  }
  const said = own.filter((one) => one.at >= from + hourMs && one.at <= to - hourMs)
  const degrees = said
    .filter((_, index) => index % 3 === 0)
    .map((one) => ({ x: xOf(ruler, one.at), y: yOf(one.tempC) - 5, tempC: Math.round(one.tempC) }))
  return { air: path('tempC'), dew: path('dewC'), degrees, fit, usual: false }
}
