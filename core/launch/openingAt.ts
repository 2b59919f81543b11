import type { HullLines, Spot } from '../boatMap/hull'
import { zoneRegions } from '../boatMap/regions'
import { isInside } from '../geometry/polygon'
import type { Zone } from '../model/entities'

/** Where on her a hole is. */
export interface OpeningPlace {
  /** 0 the stern to 1 the bow. */
  readonly along: number
  /** Over the waterline; under it negative. */
  readonly heightM: number
  readonly zoneId: string | null
}

/** A drawing is read so fine: a hundredth of her length, and five centimetres. */
const [finestShare, finestM] = [0.01, 0.05]
const rounded = (value: number, to: number): number =>
  Number((Math.round(value / to) * to).toFixed(2))

/**
 * Where water could get in, by a spot pressed on her side view.
 * @param spot shares of her length, up from the waterline
 * @returns null: it is not on her hull, keel or rudder
 */
export function openingAt(
  lines: HullLines,
  zones: readonly Zone[],
  loaM: number,
  spot: Spot,
): OpeningPlace | null {
  if (![lines.body, ...lines.keels, ...lines.rudders].some((one) => isInside(spot, one)))
    return null
  const within = [...zoneRegions(zones, lines)].filter(
    ([, shape]) => shape.view === 'side' && isInside(spot, shape.corners),
  )
  // Under water the skin is meant, not the cabin behind it.
  const skin = within.find(([zone]) => zone.belowWaterline || zone.strake === 'underwater')
  const [place] = (spot[1] < 0 ? skin : undefined) ?? within[0] ?? []
  return {
    along: Math.min(1, Math.max(0, rounded(spot[0], finestShare))),
    heightM: rounded(spot[1] * loaM, finestM),
    zoneId: place?.id ?? null,
  }
}

/** "0.60 m under the waterline". */
export const sayHeight = (metres: number): string =>
  metres === 0
    ? 'at the waterline'
    : `${Math.abs(metres).toFixed(2)} m ${metres < 0 ? 'under' : 'over'} the waterline`
