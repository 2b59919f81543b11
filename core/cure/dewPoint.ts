/** Magnus coefficients over water; a has no unit, b in °C. Source: handbook 9. */
const a = 17.625
const b = 243.04

/**
 * Dew point in °C of air at `tempC` (−40 to 60 °C) and relative humidity 0 < rh ≤ 100 %.
 * Throws RangeError outside. Example: 20 °C at 50 % → 9.3 °C.
 */
export function dewPointC(tempC: number, rhPercent: number): number {
  if (!(rhPercent > 0 && rhPercent <= 100))
    throw new RangeError('dewPointC: humidity must be over 0 and at most 100 %')
  if (!(tempC >= -40 && tempC <= 60)) throw new RangeError('dewPointC: air must be −40 to 60 °C')
  const gamma = Math.log(rhPercent / 100) + (a * tempC) / (b + tempC)
  return (b * gamma) / (a - gamma)
}

/** Degrees a surface must stay above the dew point to be coated. Source: handbook 9. */
const dewMarginC = 3

/** One hour of weather as shown and planned with. */
export interface WeatherHour {
  readonly at: number
  readonly tempC: number
  readonly dewC: number
  readonly rain: boolean
  /** 0 a clear sky, 1 an overcast one; absent: not reported, and taken as overcast. */
  readonly cloud?: number
}

/** True when a surface is far enough above the dew point, read to a tenth of a degree: 3.0 passes. Source: handbook-2. */
export const aboveDew = (surfaceC: number, dewC: number): boolean =>
  Math.round((surfaceC - dewC) * 10) >= dewMarginC * 10
