import { needRange } from '../guard'

/** Foam lost in the cup and at the vents. Source: handbook 10. */
const lossFactor = 1.15

/**
 * Liquid to pour, litres, for a void of 0–2000 L and a foam that grows 1–60 times: void ÷ expansion × 1.15.
 * Throws RangeError outside. Source: handbook 10. Example: 30 L at 15 times → 2.3 L.
 */
export function foamLiquidL(voidL: number, expansion: number): number {
  needRange('foamLiquidL', 'void in L', voidL, 0, 2000)
  needRange('foamLiquidL', 'expansion', expansion, 1, 60)
  return (voidL / expansion) * lossFactor
}
