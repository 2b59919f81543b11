/**
 * Fractional keys: strings of digits a–z that sort by plain comparison, so that a row can be put
 * between two others without touching them. A key never ends in 'a' (the lowest digit), so there is
 * always room before it.
 */
const digits = 'abcdefghijklmnopqrstuvwxyz'
const lowest = digits[0] as string

/**
 * A key strictly between `before` and `after`; null stands for the open end.
 * Throws RangeError when before ≥ after.
 */
export function keyBetween(before: string | null, after: string | null): string {
  if (before !== null && after !== null && before >= after)
    throw new RangeError(`keyBetween: ${before} does not sort before ${after}`)
  let prefix = ''
  let low = before ?? ''
  let high: string | null = after
  for (let i = 0; ; i++) {
    const lowDigit = i < low.length ? digits.indexOf(low[i] as string) : 0
    const highDigit: number =
      high !== null && i < high.length ? digits.indexOf(high[i] as string) : 26
    if (lowDigit === highDigit) {
      prefix += digits[lowDigit]
      continue
    }
    const middle = Math.floor((lowDigit + highDigit) / 2)
    if (middle > lowDigit) return prefix + digits[middle]
    prefix += digits[lowDigit]
    high = null
    low = low.padEnd(i + 1, lowest)
  }
}

/** `count` keys in rising order after `before`, for a list made in one go. Keys grow slowly in length. */
export function keysAfter(before: string | null, count: number): string[] {
  const width = Math.max(1, Math.ceil(Math.log(count + 2) / Math.log(25)))
  const stem = before === null ? '' : keyBetween(before, null)
  return Array.from({ length: count }, (_, index) => {
    let value = index
    let tail = ''
    for (let place = 0; place < width; place++) {
      tail = digits[(value % 25) + 1] + tail
      value = Math.floor(value / 25)
    }
    return stem + tail
  })
}
