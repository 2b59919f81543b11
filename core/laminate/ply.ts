import { needRange } from '../guard'

/** Density of glass, kg/m³. Source: handbook 10. */
const glassKgM3 = 2560
/** Density of cured resin, kg/m³. Source: handbook 10. */
export const resinKgM3 = { epoxy: 1150, polyester: 1200 } as const

function check(caller: string, weightGM2: number, share: number): void {
  needRange(caller, 'cloth weight in g/m²', weightGM2, 0, 5000)
  needRange(caller, 'fibre share', share, 0.1, 0.8)
}

/**
 * Resin for a ply, kg/m²: w(1−φ)/φ. `weightGM2` 0–5000 dry cloth, `share` φ 0.1–0.8 fibre by weight.
 * Throws RangeError outside. Source: handbook 10. Example: 450 g/m² at 0.5 → 0.45 kg/m².
 */
export function resinKgPerM2(weightGM2: number, share: number): number {
  check('resinKgPerM2', weightGM2, share)
  return ((weightGM2 / 1000) * (1 - share)) / share
}

/**
 * Thickness of one ply, mm: w/ρf + w(1−φ)/(φρr). Inputs as resinKgPerM2; `resinDensity` 900–1500 kg/m³.
 * Throws RangeError outside. Source: handbook 10. Example: 450 g/m², 0.5, epoxy → 0.567 mm.
 */
export function plyThicknessMm(weightGM2: number, share: number, resinDensity: number): number {
  check('plyThicknessMm', weightGM2, share)
  needRange('plyThicknessMm', 'resin density in kg/m³', resinDensity, 900, 1500)
  const glassM = weightGM2 / 1000 / glassKgM3
  return 1000 * (glassM + resinKgPerM2(weightGM2, share) / resinDensity)
}

/**
 * Plies of `plyMm` (over 0 to 20 mm) that reach `levelMm` (0–200 mm), and how far they stand over it.
 * A level within a thousandth of a ply counts as reached: sizes come rounded. Throws RangeError outside.
 */
export function pliesToLevel(levelMm: number, plyMm: number): { plies: number; overMm: number } {
  needRange('pliesToLevel', 'level in mm', levelMm, 0, 200)
  needRange('pliesToLevel', 'ply in mm', plyMm, 1e-3, 20)
  const plies = Math.max(0, Math.ceil(levelMm / plyMm - 1e-3))
  return { plies, overMm: Math.max(0, plies * plyMm - levelMm) }
}
