/** Days before the first one asked for that still have a dense place. */
const headRoom = 400

/**
 * Remembers a value a day, in a dense array from about the first day asked for: day numbers are near
 * 20,000, and a sparse array that far out is many times slower.
 */
export function dayMemo<Value>(valueOf: (day: number) => Value): (day: number) => Value {
  let base: number | null = null
  const values: (Value | undefined)[] = []
  /** Days long before the first one asked for are few. */
  const early = new Map<number, Value>()
  return (day) => {
    base ??= day - headRoom
    const index = day - base
    if (index < 0) {
      const known = early.get(day)
      if (known !== undefined) return known
      const value = valueOf(day)
      early.set(day, value)
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
