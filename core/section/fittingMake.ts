/** How one bolt passes through a cored deck, as the dimensions of its job have it. */
import { threadOf } from '../fastening/threads'
import type { Job } from '../model/entities'

/** All lengths mm. */
export interface FittingMake {
  readonly boltMm: number
  /** Hole the bolt passes. */
  readonly holeMm: number
  /** Both skins together. */
  readonly skinsMm: number
  readonly coreMm: number
  /** Width to which the upper skin was drilled, and how far from the middle of the bolt the core is solid; null: bare core. */
  readonly solid: { readonly drilledMm: number; readonly toMm: number } | null
  /** Base of the fitting and plate below; null: not said. */
  readonly baseMm: number | null
  readonly plateMm: number | null
}

/** A core that was dug out and filled round a hole is drilled so much wider than the bolt first (recipe 3). */
const ringOverDrillMm = 8

/**
 * Read off the dimensions of a job made by a recipe for bolted fittings; null: the recipe is about no bolt through a core,
 * a dimension is missing, or the laminate is solid.
 */
export function fittingMakeOf({
  recipeKey,
  recipeInputs,
}: Pick<Job, 'recipeKey' | 'recipeInputs'>): FittingMake | null {
  const length = (key: string): number | null => {
    const value = recipeInputs[key]
    return typeof value === 'number' && value > 0 ? value : null
  }
  const [bolt, skins, core] = [length('bolt'), length('skin'), length('core')]
  if (recipeKey === null || bolt === null || skins === null || core === null) return null
  const hole = threadOf(bolt)?.clearanceMm
  const overDrill = recipeKey === 'dry-local-core' ? ringOverDrillMm : length('overDrill')
  const dugBack =
    recipeKey === 'dry-local-core'
      ? recipeInputs.way === 'ring'
        ? length('ring')
        : filledTo(length('areaM2'), length('holes'), bolt + ringOverDrillMm)
      : (length('undercut') ?? 0)
  if (hole === undefined || overDrill === null || dugBack === null) return null
  const drilledMm = bolt + overDrill
  return {
    boltMm: bolt,
    holeMm: hole,
    skinsMm: skins,
    coreMm: core,
    solid: { drilledMm, toMm: drilledMm / 2 + dugBack },
    baseMm: length('base'),
    plateMm: length('plate'),
  }
}

/** How far from a hole its share of an area that is filled whole reaches; null where the area is not said. */
function filledTo(areaM2: number | null, holes: number | null, overMm: number): number | null {
  if (areaM2 === null || holes === null) return null
  return Math.max(0, Math.sqrt((areaM2 * 1e6) / holes / Math.PI) - overMm / 2)
}
