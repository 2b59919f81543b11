import type { Support } from '../model/entities'

export interface SupportFigures {
  readonly support: Support
  /** kPa. */
  readonly pressure: number
  /** Times the middle of the others; null: there are no others. */
  readonly timesOthers: number | null
  /** Presses far harder than the others and stands off a frame. */
  readonly marksHer: boolean
}

const gravity = 9.81
/** From here on a pad carries far more than the others; and this far off a frame nothing stiff is above it. Assumed. */
const farOver = 1.5
const offFrameMm = 50

const middle = (list: readonly number[]): number => {
  const sorted = [...list].sort((a, b) => a - b)
  const half = Math.floor(sorted.length / 2)
  return sorted.length % 2 === 1
    ? (sorted[half] as number)
    : ((sorted[half - 1] as number) + (sorted[half] as number)) / 2
}

/** Pressure under each pad: share × weight × 9.81 ÷ area. Weight in tonnes, over 0. Keels are left out of the comparison. */
export function supportFigures(supports: readonly Support[], weightT: number): SupportFigures[] {
  const figures = supports.map((support) => ({
    support,
    pressure:
      ((support.sharePct / 100) * weightT * gravity) / (support.padLengthM * support.padWidthM),
  }))
  return figures.map((one): SupportFigures => {
    const others = figures.filter((other) => other !== one && other.support.side !== 'centre')
    const usual = others.length > 0 ? middle(others.map((other) => other.pressure)) : null
    const timesOthers = usual ? one.pressure / usual : null
    return {
      ...one,
      timesOthers,
      marksHer:
        one.support.side !== 'centre' &&
        (timesOthers ?? 0) >= farOver &&
        one.support.offFrameMm > offFrameMm,
    }
  })
}

/** Shares that add up to over the whole weight cannot all be right. */
export const sharesOver = (supports: readonly Support[]): number =>
  Math.max(0, supports.reduce((sum, one) => sum + one.sharePct, 0) - 100)
