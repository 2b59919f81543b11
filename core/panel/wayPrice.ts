/** What the materials of a way cost, as far as anybody of the boat has said what they cost. */
import type { Part } from '../model/entities'
import type { DraftMaterial } from '../recipes/expand'

export interface WayPrice {
  readonly minor: number
  /** Materials nobody has a price of. */
  readonly unknown: number
}

/** By the newest part of the same name and unit that has a price; null: fewer than half of them have. */
export function wayPrice(
  materials: readonly DraftMaterial[],
  parts: readonly Pick<Part, 'name' | 'unit' | 'priceMinor' | 'state'>[],
): WayPrice | null {
  const key = (name: string, unit: string) => `${name.trim().toLowerCase()} ${unit}`
  const prices = new Map<string, number>()
  for (const { name, unit, priceMinor, state } of parts)
    if (priceMinor !== null && state !== 'returned') prices.set(key(name, unit), priceMinor)
  const known = materials.flatMap(({ what, unit, quantity }) => {
    const price = prices.get(key(what, unit))
    return price === undefined ? [] : [price * quantity]
  })
  if (known.length === 0 || 2 * known.length < materials.length) return null
  return {
    minor: Math.round(known.reduce((sum, one) => sum + one, 0)),
    unknown: materials.length - known.length,
  }
}
