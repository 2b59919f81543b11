import { needRange } from '../guard'

/** Thick mix that stays in the cup, on the stick and in the sand-off. Source: handbook 10. */
const waste = 0.25

/** A sleeved hole; all mm. */
export interface SleevedHole {
  /** Over-drilled hole, 0–300. */
  readonly diameterMm: number
  /** Depth filled, skin and core, 0–200. */
  readonly depthMm: number
  /** How far the core is dug back beyond the hole, 0–100. */
  readonly undercutMm: number
  /** Core's share of the depth, 0 to the depth. */
  readonly coreMm: number
}

/**
 * Thick mix for one sleeved hole, mL, 25 % waste in it: (π/4·D²·t + π((D/2+u)² − (D/2)²)·t_core) × 1.25.
 * Throws RangeError outside. Source: handbook 10.
 * Example: D 16, t 20, u 5, core 12 → (4021 + 3958) mm³ × 1.25 = 9.97 mL.
 */
export function sleeveMl({ diameterMm, depthMm, undercutMm, coreMm }: SleevedHole): number {
  needRange('sleeveMl', 'hole in mm', diameterMm, 0, 300)
  needRange('sleeveMl', 'depth in mm', depthMm, 0, 200)
  needRange('sleeveMl', 'undercut in mm', undercutMm, 0, 100)
  needRange('sleeveMl', 'core in mm', coreMm, 0, depthMm)
  const radiusMm = diameterMm / 2
  const bore = Math.PI * radiusMm ** 2 * depthMm
  const ring = Math.PI * ((radiusMm + undercutMm) ** 2 - radiusMm ** 2) * coreMm
  return ((bore + ring) / 1000) * (1 + waste)
}
