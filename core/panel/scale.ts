/**
 * What is wrong with a reading on a meter’s scale: one sentence, or none. Null: there is no reading, or that
 * end of the scale is not known.
 */
export function readingTrouble(
  value: number | null,
  low: number | null,
  high: number | null,
): string[] {
  if (value === null) return []
  const scale = low !== null && high !== null ? `, ${low} to ${high}` : ''
  if (high !== null && value > high)
    return [`A reading of ${value} is over this meter’s scale${scale}.`]
  if (low !== null && value < low)
    return [`A reading of ${value} is under this meter’s scale${scale}.`]
  return []
}
