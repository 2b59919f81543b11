/** Days before the first one asked for, and after it, that have a dense place; a date of the year 9999 takes no room for those between. */
const headRoom = 400
const dense = 40_000

/**
 * Remembers a value a day, in a dense array from about the first day asked for: day numbers are near
 * 20,000, and a sparse array that far out is many times slower.
 */
export function dayMemo<Value>(valueOf: (day: number) => Value): (day: number) => Value {
  let base: number | null = null
  const values: (Value | undefined)[] = []
  /** Days far off are few. */
  const far = new Map<number, Value>()
  return (day) => {
    base ??= day - headRoom
    const index = day - base
    if (index < 0 || index >= dense) {
      const known = far.get(day)
      if (known !== undefined) return known
      const value = valueOf(day)
      far.set(day, value)
      return value
    }
    const known = values[index]
    if (known !== undefined) return known
    const value = valueOf(day)
    while (values.length < index) values.push(undefined)
    values[index] = value
    return value
  }
}
