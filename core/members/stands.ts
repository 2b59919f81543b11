/** Pads as they are drawn under her: those of both sides at one place are one. */
import type { SupportFigures } from './pressure'

export interface Stand {
  /** 0 the stern to 1 the bow. */
  readonly along: number
  /** Under the keel. */
  readonly isKeel: boolean
  /** Pressures in kPa, starboard before port. */
  readonly pressures: readonly number[]
  readonly marksHer: boolean
}

/** Pads nearer than this share of her length stand side by side. */
const nearest = 0.03
const sideFirst = ['starboard', 'both', 'centre', 'port']

/** From the bow aft. */
export function standsUnder(figures: readonly SupportFigures[]): Stand[] {
  const groups: SupportFigures[][] = []
  const inOrder = [...figures].sort((a, b) => b.support.along - a.support.along)
  for (const one of inOrder) {
    const isKeel = (other: SupportFigures) => other.support.side === 'centre'
    const near = groups.find(
      ([first]) =>
        first !== undefined &&
        isKeel(first) === isKeel(one) &&
        first.support.along - one.support.along < nearest,
    )
    if (near) near.push(one)
    else groups.push([one])
  }
  return groups.map((group) => ({
    along: group.reduce((sum, one) => sum + one.support.along, 0) / group.length,
    isKeel: group[0]?.support.side === 'centre',
    pressures: [...group]
      .sort((a, b) => sideFirst.indexOf(a.support.side) - sideFirst.indexOf(b.support.side))
      .map((one) => one.pressure),
    marksHer: group.some((one) => one.marksHer),
  }))
}
