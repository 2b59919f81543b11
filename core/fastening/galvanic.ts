/** Metals that meet in sea water. */

/** Volts against a silver chloride cell, the nobler the higher. Source: handbook 11. */
export const metals = {
  magnesium: { name: 'Magnesium', volts: -1.6 },
  zinc: { name: 'Zinc', volts: -1 },
  aluminium: { name: 'Aluminium', volts: -0.85 },
  mildSteel: { name: 'Mild steel', volts: -0.61 },
  stainlessActive: { name: 'Stainless, under sealant or in wet core', volts: -0.5 },
  brass: { name: 'Brass', volts: -0.34 },
  copper: { name: 'Copper', volts: -0.32 },
  bronze: { name: 'Bronze', volts: -0.28 },
  lead: { name: 'Lead', volts: -0.22 },
  stainlessPassive: { name: 'Stainless, in the open', volts: -0.05 },
  titanium: { name: 'Titanium', volts: 0 },
  carbon: { name: 'Carbon fibre', volts: 0.25 },
} as const
export type Metal = keyof typeof metals

/** Wetted pairs further apart than this are kept apart, volts. Source: handbook 11. */
export const isolateOverV = 0.2

export interface MetalPair {
  readonly first: Metal
  readonly second: Metal
  /** How far apart, volts, to a hundredth. */
  readonly volts: number
  /** The one that is eaten. */
  readonly eaten: Metal
}

/** A pair of metals: how far apart they are and which one goes. Source: handbook 11. */
export function metalPair(first: Metal, second: Metal): MetalPair {
  const [a, b] = [metals[first].volts, metals[second].volts]
  return {
    first,
    second,
    volts: Math.round(Math.abs(a - b) * 100) / 100,
    eaten: a <= b ? first : second,
  }
}
