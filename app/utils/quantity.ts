import { formatLength } from '#core/units/length'
import type { UnitSystem } from '#core/units/length'
import { packsFor } from '#core/fastening/count'

/** A number for reading: no more digits than anybody can measure. */
export function plainNumber(value: number): string {
  const places = Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 10 ? 1 : 2
  return String(Number(value.toFixed(places)))
}

/** An amount with its unit, lengths in the units of the refit. */
export function sayAmount(value: number, unit: string, units: UnitSystem): string {
  if (units === 'us' && (unit === 'mm' || unit === 'm'))
    return formatLength(unit === 'mm' ? value / 1000 : value, units)
  return unit === 'pieces' || unit === '' ? plainNumber(value) : `${plainNumber(value)} ${unit}`
}

/** "2 packs of 5", or '' when it is cut to measure. */
export function sayPacks(quantity: number, pack: number | null, unit: string): string {
  if (pack === null || pack === 1) return ''
  const { packs } = packsFor(quantity, pack)
  const of = unit === 'pieces' ? plainNumber(pack) : `${plainNumber(pack)} ${unit}`
  return `${packs} ${packs === 1 ? 'pack' : 'packs'} of ${of}`
}
