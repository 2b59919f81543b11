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

/** Letters that are counted as one number at the open ends: 17,576 rows fit in a block before keys grow by one. */
const blockLength = 3
const blockEnd = digits.length ** blockLength
const numberOf = (block: string): number =>
  [...block].reduce((sum, letter) => sum * digits.length + digits.indexOf(letter), 0)
function lettersOf(number: number): string {
  let [left, block] = [number, '']
  for (let at = 0; at < blockLength; at++) {
    block = digits.charAt(left % digits.length) + block
    left = Math.floor(left / digits.length)
  }
  return block
}
/**
 * The next key beyond an end, one up or one down in the first block that has room. Half of what is left, as between
 * two keys, makes a key longer with every fourth row: a list of some hundred that grows at its end would be full.
 */
function beyond(key: string, by: 1 | -1): string {
  for (let head = '', rest = key; ;) {
    const block = rest.slice(0, blockLength).padEnd(blockLength, 'a')
    const number = numberOf(block) + by
    if (number > 0 && number < blockEnd) return trimmed(head + lettersOf(number))
    // No room in it: a block further, which follows on from what stands there, or down from its highest.
    const isStepDown = number === 0
    head += isStepDown ? 'a'.repeat(blockLength) : block
    rest = isStepDown ? lettersOf(blockEnd - 1) : rest.slice(blockLength)
  }
}
const isOurs = (key: string): boolean => /^[a-z]+$/.test(key)

/**
 * A key strictly between `before` and `after`; null stands for the open end. Keys stay short where rows are added at
 * either end. Throws when before ≥ after.
 */
export function keyBetween(before: string | null, after: string | null): string {
  if (before !== null && after === null)
    // What a file made by hand brought in other letters is followed by itself and one more.
    return isOurs(before) ? beyond(before, 1) : `${before}n`
  if (before === null && after !== null && isOurs(after) && trimmed(after) !== '')
    return beyond(after, -1)
  return generateKeyBetween(low(before), high(after), digits).slice(unit.length)
}

/** `count` keys in rising order after `before`, and before `after` where one is given, for a list made in one go. */
export const keysAfter = (
  before: string | null,
  count: number,
  after: string | null = null,
): string[] =>
  generateNKeysBetween(low(before), high(after), count, digits).map((key) => key.slice(unit.length))
