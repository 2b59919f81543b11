/** Going from line to line of the drawn day with arrows. */

/** A line as it stands on the chart. */
export interface Standing {
  /** Px from the top. */
  readonly top: number
  /** 0: the main strand. */
  readonly column: number
  /** Everybody is at it: it lies on all strands. */
  readonly joint: boolean
}
export type Arrow = 'up' | 'down' | 'left' | 'right'

/**
 * The line that an arrow leads to, by its place in the list; null: there is none that way. Up and down keep to the
 * strand, through what is done together; left and right cross to the line that is nearest in time.
 */
export function alongStrands(lines: readonly Standing[], at: number, arrow: Arrow): number | null {
  const own = lines[at]
  if (!own) return null
  const across = arrow === 'left' ? -1 : arrow === 'right' ? 1 : 0
  const fits = (one: Standing): boolean =>
    across === 0
      ? (arrow === 'down' ? one.top > own.top : one.top < own.top) &&
        (one.joint || own.joint || one.column === own.column)
      : !one.joint && !own.joint && one.column === own.column + across
  let best: number | null = null
  for (const [index, one] of lines.entries()) {
    if (index === at || !fits(one)) continue
    const known = best === null ? null : (lines[best] as Standing)
    const far = (line: Standing) => Math.abs(line.top - own.top)
    if (!known || far(one) < far(known) || (far(one) === far(known) && one.column < known.column))
      best = index
  }
  return best
}
