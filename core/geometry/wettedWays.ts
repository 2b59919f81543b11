import { needRange } from '../guard'

/**
 * Area under girths measured along a waterline: [metres along, metres of girth], two and more, in any order. Trapezoid
 * rule. Throws RangeError for fewer. Example: 0, 4, 0 m of girth at 0, 5, 10 m → 20 m².
 */
export function girthAreaM2(
  girths: readonly (readonly [alongM: number, girthM: number])[],
): number {
  needRange('girthAreaM2', 'girths', girths.length, 2, 1000)
  const sorted = [...girths].sort((a, b) => a[0] - b[0])
  return sorted.slice(1).reduce((sum, [x, girth], index) => {
    const [before, girthBefore] = sorted[index] as readonly [number, number]
    return sum + ((girth + girthBefore) / 2) * (x - before)
  }, 0)
}

/** Paint that stays in tray and roller. Source: handbook 9. */
const loss = 0.15

/** The area that so many litres covered in so many coats at a rate in m²/L, brushed and rolled. All over 0. */
export function areaOfLitresM2(litres: number, coats: number, rateM2PerL: number): number {
  needRange('areaOfLitresM2', 'litres', litres, 1e-3, 10_000)
  needRange('areaOfLitresM2', 'coats', coats, 1, 100)
  needRange('areaOfLitresM2', 'rate', rateM2PerL, 0.01, 1000)
  return (litres * rateM2PerL * (1 - loss)) / coats
}
