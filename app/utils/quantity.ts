import type { UnitSystem } from '#core/units/length'
import { formatQuantity } from '#core/units/quantity'
import { packsFor } from '#core/fastening/count'

/** "2 packs of 5", or '' when it is cut to measure. */
export function sayPacks(
  quantity: number,
  pack: number | null,
  unit: string,
  units: UnitSystem,
): string {
  if (pack === null || pack === 1) return ''
  const { packs } = packsFor(quantity, pack)
  return `${packs} ${packs === 1 ? 'pack' : 'packs'} of ${formatQuantity(pack, unit, units)}`
}
