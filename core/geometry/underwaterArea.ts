import { needRange } from '../guard'

/** How full the hull is under water. Source: handbook 9. */
export const hullFullness = { full: 1, moderate: 0.75, light: 0.5 } as const

/**
 * Underwater area, m², by the trade's rule: k × LWL × (beam + draught). LWL 1–60 m, beam 0.5–20 m,
 * draught 0.1–10 m, k 0.3–1.2. Throws RangeError outside. Source: handbook 9.
 * Example: k 0.75, 10 × (3.5 + 1.7) → 39 m².
 */
export function underwaterAreaM2(k: number, lwlM: number, beamM: number, draughtM: number): number {
  needRange('underwaterAreaM2', 'k', k, 0.3, 1.2)
  needRange('underwaterAreaM2', 'waterline length in m', lwlM, 1, 60)
  needRange('underwaterAreaM2', 'beam in m', beamM, 0.5, 20)
  needRange('underwaterAreaM2', 'draught in m', draughtM, 0.1, 10)
  return k * lwlM * (beamM + draughtM)
}
