import { needRange } from '../guard'

/** Extra reach of each ply over the one beneath, mm a side: keeps edges from landing on one line. */
const stepMm = 12

/**
 * Widths of tabbing plies, mm, narrowest first: each reaches `firstLegMm` (10–500) on both faces, the
 * next 12 mm further a side, across a fillet of `filletRadiusMm` (0–100; its quarter arc is added).
 * 1–30 plies. Throws RangeError outside. Source: handbook 10 (widths per ply, fillet first).
 * Example: leg 50, fillet 10, 2 plies → 100 + 15.7 = 115.7 and 139.7.
 */
export function tabbingWidthsMm(
  firstLegMm: number,
  filletRadiusMm: number,
  plies: number,
): number[] {
  needRange('tabbingWidthsMm', 'leg in mm', firstLegMm, 10, 500)
  needRange('tabbingWidthsMm', 'fillet radius in mm', filletRadiusMm, 0, 100)
  needRange('tabbingWidthsMm', 'plies', plies, 1, 30)
  const arcMm = (Math.PI / 2) * filletRadiusMm
  return Array.from(
    { length: Math.floor(plies) },
    (_, index) => 2 * (firstLegMm + index * stepMm) + arcMm,
  )
}
