import { hourMs } from '../time/civil'

/** Air or surface temperature, °C, at an instant. */
export type TemperatureAt = (instant: number) => number

/** Data-sheet values a two-part product cures by. Hours are at refC. */
export interface CureSheet {
  readonly refC: number
  /** Below it nothing cures; null: unknown, taken as no limit. */
  readonly minC: number | null
  /** Credit is capped here; null: unknown, taken as no cap. */
  readonly maxC: number | null
}

/**
 * Speed of cure against the reference temperature: doubles every 10 °C. 1 at refC, 0 below minC,
 * capped at maxC. Source: handbook 9, the ten-degree rule for amine-cured epoxies.
 */
export function cureRate(tempC: number, sheet: CureSheet): number {
  if (sheet.minC !== null && tempC < sheet.minC) return 0
  return 2 ** ((Math.min(tempC, sheet.maxC ?? Infinity) - sheet.refC) / 10)
}

/** Speed at which a bond window closes: the same rule, but cold does not stop it and heat is not capped. */
export const closingRate = (tempC: number, sheet: CureSheet): number =>
  2 ** ((tempC - sheet.refC) / 10)

/**
 * Longest stretch looked ahead, hours. A product that has not cured in 400 days at the given
 * temperatures is taken as never curing.
 */
const longestHours = 400 * 24
/** Quarter hours with the middle temperature: within 0.1 % of the integral for a 10 °C daily swing. */
const stretchMs = hourMs / 4

/** Equivalent hours at refC earned from `from` to `to`, UTC ms, summed quarter hour by quarter hour. */
export function doseHours(
  from: number,
  to: number,
  temperatureAt: TemperatureAt,
  rate: (tempC: number) => number,
): number {
  let dose = 0
  for (let at = from; at < to; at += stretchMs) {
    const length = Math.min(stretchMs, to - at)
    dose += (rate(temperatureAt(at + length / 2)) * length) / hourMs
  }
  return dose
}

/** The instant at which `hours` equivalent hours are reached from `from`; null when not within 400 days. */
export function doseReachedAt(
  from: number,
  hours: number,
  temperatureAt: TemperatureAt,
  rate: (tempC: number) => number,
): number | null {
  let left = hours
  for (let at = from; at <= from + longestHours * hourMs; at += stretchMs) {
    const speed = rate(temperatureAt(at + stretchMs / 2))
    const earned = (speed * stretchMs) / hourMs
    if (left <= earned + 1e-12) return left <= 0 ? at : at + (left / speed) * hourMs
    left -= earned
  }
  return null
}

/**
 * Pot life in hours for a mass in the cup: life × (refMass/mass)^0.35, never more than twice the
 * sheet's. Masses in grams, both above 0. Source: handbook 9.
 */
export const potLifeForMass = (lifeH: number, refMassG: number, massG: number): number =>
  lifeH * Math.min(2, (refMassG / massG) ** 0.35)
