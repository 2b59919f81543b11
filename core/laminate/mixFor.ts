/** What a mix is made of, in grams: for the cup and for the stores. */
import { needRange } from '../guard'
import { mixByWeight } from './mix'

/** What mixed epoxy is used for: thin to wet out, thickened for the rest. */
export const mixUses = ['wetOut', 'bed', 'fillet', 'fill'] as const
export type MixUse = (typeof mixUses)[number]

/** Parts by weight; the data sheet of the resin decides. */
export const epoxyParts = { resin: 100, hardener: 33 } as const

/** Thickening powder to a gram of mixed epoxy: runny as syrup, thick as mayonnaise, stiff as butter. Starting values. */
const powderShare: Readonly<Record<MixUse, number>> = {
  wetOut: 0,
  bed: 0.05,
  fillet: 0.08,
  fill: 0.08,
}

/** g/mL: cured epoxy of handbook 10; silica glass, which the powder is. */
const epoxyDensity = 1.15
const powderDensity = 2.2

interface MixGrams {
  readonly resinG: number
  readonly hardenerG: number
  readonly powderG: number
}

/** Grams of `totalG` of a mix, 0–500 000, at 100:33. Throws RangeError outside. Source: handbook 9, second part I4. */
export function mixGrams(totalG: number, use: MixUse): MixGrams {
  const share = powderShare[use]
  const powderG = (totalG * share) / (1 + share)
  const { resin, hardener } = epoxyParts
  return { ...mixByWeight(totalG - powderG, resin, hardener), powderG }
}

/** What `ml` of a mix weigh, g, 0–500 000 mL: volumes of epoxy and powder add up. Throws RangeError outside. */
export function mixWeightG(ml: number, use: MixUse): number {
  needRange('mixWeightG', 'volume in mL', ml, 0, 500_000)
  const share = powderShare[use]
  return (ml * (1 + share)) / (1 / epoxyDensity + share / powderDensity)
}
