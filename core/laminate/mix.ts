import { needRange } from '../guard'

/**
 * Resin and hardener in a mix of `totalG` grams (0–500 000) at R:H by weight, each part over 0 to 1000.
 * Throws RangeError outside. Source: handbook 9. Example: 600 g at 100:33 → 451.1 and 148.9 g.
 */
export function mixByWeight(
  totalG: number,
  resinParts: number,
  hardenerParts: number,
): { resinG: number; hardenerG: number } {
  needRange('mixByWeight', 'total in g', totalG, 0, 500_000)
  needRange('mixByWeight', 'resin parts', resinParts, 1e-3, 1000)
  needRange('mixByWeight', 'hardener parts', hardenerParts, 1e-3, 1000)
  const resinG = (totalG * resinParts) / (resinParts + hardenerParts)
  return { resinG, hardenerG: totalG - resinG }
}
