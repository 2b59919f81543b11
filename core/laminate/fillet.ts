import { needRange } from '../guard'

/**
 * Filler in a right-angled inside corner, mL per metre: r²(1 − π/4) mm² is the same number of mL/m.
 * Radius 0–200 mm; throws RangeError outside. Source: handbook 10. Example: 20 mm → 85.8 mL/m.
 */
export function filletMlPerM(radiusMm: number): number {
  needRange('filletMlPerM', 'radius in mm', radiusMm, 0, 200)
  return radiusMm ** 2 * (1 - Math.PI / 4)
}
