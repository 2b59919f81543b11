import type { Random } from '../random'

/** A standard normal number, by the Box–Muller transform. */
export const normal = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/** Number ceil(pN) of N values sorted from the least, p over 0 to 1. Throws RangeError for none. Source: handbook 5. */
export function percentile(sorted: readonly number[], p: number): number {
  const value = sorted[Math.max(1, Math.ceil(p * sorted.length)) - 1]
  if (value === undefined) throw new RangeError('percentile: there are no values')
  return value
}
