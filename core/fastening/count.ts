import { needRange } from '../guard'

/** Fastenings that drop overboard, gall or turn out wrong. Source: handbook 8. */
const spareShare = 0.1

/**
 * Fastenings to buy: each fitting's × fittings + 10 % spare, rounded up. 0–1000 each; throws RangeError
 * outside. Source: handbook 8. Example: 4 × 6 → 26.4 → 27.
 */
export function fasteningsWithSpares(perFitting: number, fittings: number): number {
  needRange('fasteningsWithSpares', 'fastenings a fitting', perFitting, 0, 1000)
  needRange('fasteningsWithSpares', 'fittings', fittings, 0, 1000)
  return Math.max(0, Math.ceil(perFitting * fittings * (1 + spareShare) - 1e-9))
}

/**
 * Whole packs of `packSize` (over 0) that hold `quantity` (0 or more), and what is over.
 * A millionth of a pack short is no pack more. Throws RangeError outside.
 */
export function packsFor(quantity: number, packSize: number): { packs: number; over: number } {
  needRange('packsFor', 'quantity', quantity, 0, 1e9)
  needRange('packsFor', 'pack', packSize, 1e-6, 1e9)
  const packs = Math.max(0, Math.ceil(quantity / packSize - 1e-6))
  return { packs, over: Math.max(0, packs * packSize - quantity) }
}
