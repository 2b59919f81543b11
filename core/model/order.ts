import { generateKeyBetween, generateNKeysBetween } from 'fractional-indexing'

/**
 * Fractional keys: letters a–z that sort by plain comparison, so that a row can be put between two others
 * without touching them. A key never ends in 'a', the lowest digit, so there is always room before it.
 */
const digits = 'abcdefghijklmnopqrstuvwxyz'

/**
 * The package writes a whole number before the fraction. Ours are fractions of the first unit, from 'na' to
 * 'nb', and kept without it: so are those of every refit file there is.
 */
const unit = 'na'
const next = 'nb'
/** Keys of files made by hand may end in the lowest digit, which puts nothing after what stands before it. */
const trimmed = (key: string): string => key.replace(/a+$/, '')
const low = (before: string | null): string => unit + trimmed(before ?? '')
const high = (after: string | null): string => (after === null ? next : unit + trimmed(after))

/**
 * A key strictly between `before` and `after`; null stands for the open end.
 * Throws when before ≥ after.
 */
export const keyBetween = (before: string | null, after: string | null): string =>
  generateKeyBetween(low(before), high(after), digits).slice(unit.length)

/** `count` keys in rising order after `before`, and before `after` where one is given, for a list made in one go. */
export const keysAfter = (
  before: string | null,
  count: number,
  after: string | null = null,
): string[] =>
  generateNKeysBetween(low(before), high(after), count, digits).map((key) => key.slice(unit.length))
