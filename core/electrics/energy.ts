/** What she uses in a day, what stores it, and what puts it back. */
import { needRange } from '../guard'

/** Share of a bank that may be drawn, and charge cycles it stands at that; starting values, the maker's sheet decides. Source: handbook 13. */
export const chemistries = {
  lead: { name: 'Lead, flooded', usable: 0.5, cycles: 500 },
  agm: { name: 'AGM', usable: 0.5, cycles: 600 },
  lithium: { name: 'Lithium iron phosphate', usable: 0.8, cycles: 3000 },
} as const
export type Chemistry = keyof typeof chemistries

/** A bank ages: this much more than is drawn. Source: handbook 13. */
const ageFactor = 1.1
/** What of an inverter's draw comes out of it. */
export const inverterShare = 0.85
/** What of a panel's plate arrives in the battery. */
const solarShare = 0.7

/** Ah a day of a load: W × how many × hours ÷ volts, through an inverter ÷ 0.85. Volts 1–600; throws RangeError outside. */
export function loadAh(
  watts: number,
  many: number,
  hours: number,
  volts: number,
  isByInverter: boolean,
): number {
  needRange('loadAh', 'hours a day', hours, 0, 24)
  needRange('loadAh', 'volts', volts, 1, 600)
  return (watts * many * hours) / volts / (isByInverter ? inverterShare : 1)
}

/** Bank, Ah: a day's Ah × days ÷ what may be drawn × 1.1. Source: handbook 13. Example: 75.3 × 2 ÷ 0.5 × 1.1 = 331. */
export function bankAh(ahADay: number, days: number, chemistry: Chemistry): number {
  needRange('bankAh', 'days', days, 0, 60)
  return ((ahADay * days) / chemistries[chemistry].usable) * ageFactor
}

/** Ah a day of panels: W × peak sun hours × 0.7 ÷ volts. Source: handbook 13. Example: 200 × 4.2 × 0.7 ÷ 12 = 49. */
export function solarAh(watts: number, sunHours: number, volts: number): number {
  needRange('solarAh', 'sun hours', sunHours, 0, 24)
  return (watts * sunHours * solarShare) / volts
}

/** So many hours a bank has to last at what is drawn at once, or its volts sag; starting values, the maker's sheet decides. */
const drawHours: Readonly<Record<Chemistry, number>> = { lead: 5, agm: 5, lithium: 2 }

/** Bank for what is drawn at once, Ah: A × hours it has to last at that. Source: handbook-2 I9. Example: 75 A of AGM → 375. */
export function bankByDrawAh(amps: number, chemistry: Chemistry): number {
  needRange('bankByDrawAh', 'draw in A', amps, 0, 1e5)
  return amps * drawHours[chemistry]
}

/** Cost of a kilowatt-hour that is used: price ÷ (usable kWh × cycles). All over 0. Source: handbook 13. */
export function costOfKwh(
  price: number,
  ah: number,
  volts: number,
  usable: number,
  cycles: number,
): number {
  needRange('costOfKwh', 'Ah', ah, 1e-3, 1e6)
  needRange('costOfKwh', 'cycles', cycles, 1, 1e6)
  return price / (((ah * volts) / 1000) * usable * cycles)
}
