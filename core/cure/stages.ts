import type { CureStage } from '../model/words'
import { needRange } from '../guard'

/** Times of a sealant's or a glue's data sheet, hours; null: the sheet gives none. */
export interface StageTimes {
  readonly skinH: number | null
  readonly lightH: number | null
  readonly loadH: number | null
  readonly waterH: number | null
  /** How deep moisture cures it in its first day, mm. */
  readonly firstDayMm: number | null
}

/**
 * Hours until moisture from the air has cured a bed through: the depth grows with the root of the days.
 * Depth and depth of the first day over 0 to 200 mm. Throws RangeError outside. Source: handbook-2 D8.
 * Example: 3 mm where a day does 2 mm → 54 h.
 */
export function throughCuredH(depthMm: number, firstDayMm: number): number {
  needRange('throughCuredH', 'depth in mm', depthMm, 0.01, 200)
  needRange('throughCuredH', 'first day in mm', firstDayMm, 0.01, 200)
  return 24 * (depthMm / firstDayMm) ** 2
}

/**
 * Hours until a bed is as far as what comes next asks: by the sheet; load, where the sheet is silent, once it is cured
 * through. Null: nothing is known, and its whole wait holds.
 */
export function stageHours(
  stage: CureStage,
  times: StageTimes | null,
  depthMm: number | null,
): number | null {
  if (!times) return null
  const through =
    depthMm === null || times.firstDayMm === null ? null : throughCuredH(depthMm, times.firstDayMm)
  switch (stage) {
    case 'cured':
      return through
    case 'skin':
      return times.skinH
    case 'light':
      return times.lightH
    case 'load':
      return times.loadH ?? through
    case 'water':
      return times.waterH
  }
}
