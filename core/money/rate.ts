import { digitsOf } from './money'

/** A sum with the currency and rate that were fixed when it was written down. */
export interface Rated {
  /** '': the refit's own. */
  readonly currency: string
  /** What one unit costs in the refit's currency; null: it is the refit's own. */
  readonly rate: number | null
}

/** Minor units of one currency as those of the refit's, `own`: rounded half up to the smallest coin. */
export function inOwn(minor: number, { currency, rate }: Rated, own: string): number {
  if (currency === '' || currency === own) return minor
  const scale = 10 ** (digitsOf(own) - digitsOf(currency))
  return Math.round(minor * (rate ?? 1) * scale)
}
