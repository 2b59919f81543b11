/** How stuff bends: sag, stiffeners, curves it stands, and another stuff as stiff. */
import { needRange } from '../guard'

/** Stiffness E in GPa, what it bears in MPa, weight in kg/m³; starting values, the maker's sheet decides. */
export const stuffs = {
  softwood: { name: 'Softwood', eGpa: 10, mpa: 30, kgM3: 480 },
  hardwood: { name: 'Hardwood', eGpa: 13, mpa: 45, kgM3: 700 },
  plywood: { name: 'Marine plywood', eGpa: 8, mpa: 30, kgM3: 600 },
  glass: { name: 'Glass laminate, woven', eGpa: 12, mpa: 150, kgM3: 1700 },
  mat: { name: 'Glass laminate, mat', eGpa: 7, mpa: 85, kgM3: 1450 },
  carbon: { name: 'Carbon laminate', eGpa: 60, mpa: 500, kgM3: 1500 },
  aluminium: { name: 'Aluminium, marine plate', eGpa: 70, mpa: 125, kgM3: 2660 },
  steel: { name: 'Steel', eGpa: 205, mpa: 235, kgM3: 7850 },
  acrylic: { name: 'Acrylic', eGpa: 3, mpa: 60, kgM3: 1190 },
  polycarbonate: { name: 'Polycarbonate', eGpa: 2.3, mpa: 60, kgM3: 1200 },
} as const
export type StuffKey = keyof typeof stuffs

/** Thickness of another stuff that bends as little, mm: t·∛(E1/E2). Source: handbook-2 I5. */
export function equallyStiffMm(thickMm: number, from: number, to: number): number {
  needRange('equallyStiffMm', 'thickness in mm', thickMm, 0.05, 1000)
  return thickMm * Math.cbrt(from / to)
}
/** Thickness of another stuff that bears as much, mm: t·√(σ1/σ2). Source: handbook-2 I5. */
export function equallyStrongMm(thickMm: number, from: number, to: number): number {
  needRange('equallyStrongMm', 'thickness in mm', thickMm, 0.05, 1000)
  return thickMm * Math.sqrt(from / to)
}

/** Sag in the middle of a beam on two supports, mm: F·L³/48EI. Force in N, length in mm, E in GPa, I in mm⁴. Source: handbook-2 I6. */
export function sagMm(forceN: number, longMm: number, eGpa: number, inertiaMm4: number): number {
  needRange('sagMm', 'length in mm', longMm, 1, 100_000)
  return (forceN * longMm ** 3) / (48 * eGpa * 1000 * inertiaMm4)
}

/** Second moment of a rectangle, mm⁴: b·h³/12. Example: 40 × 60 → 720 000. */
export const inertiaMm4 = (wideMm: number, highMm: number): number => (wideMm * highMm ** 3) / 12

/** Radius of a curve from its chord c and its height h in the middle: c²/8h + h/2. Source: handbook-2 I5. Example: 1000, 50 → 2525. */
export function radiusMm(chordMm: number, heightMm: number): number {
  needRange('radiusMm', 'height in mm', heightMm, 0.01, 100_000)
  return chordMm ** 2 / (8 * heightMm) + heightMm / 2
}

/** Tightest radius as so many thicknesses; careful starting values. */
export const bendLimits = {
  softwoodDry: { name: 'Softwood, dry', times: 120 },
  hardwoodDry: { name: 'Hardwood, dry', times: 150 },
  steamed: { name: 'Hardwood, steamed', times: 25 },
  veneers: { name: 'Wood veneers, glued in layers', times: 100 },
  plywood: { name: 'Plywood, across its face grain', times: 90 },
  acrylic: { name: 'Acrylic, cold', times: 200 },
  polycarbonate: { name: 'Polycarbonate, cold', times: 150 },
  aluminium: { name: 'Aluminium, marine plate', times: 4 },
  steel: { name: 'Mild steel plate', times: 2 },
} as const
export type BendLimit = keyof typeof bendLimits
