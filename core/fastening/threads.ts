import { needRange } from '../guard'
import type { UnitSystem } from '../units/length'

/** A bolt's thread with what goes with it; all lengths in mm. */
export interface Thread {
  /** 'M8' or '5/16"'. */
  readonly name: string
  /** Nominal diameter; with it a thread is known everywhere. */
  readonly sizeMm: number
  readonly pitchMm: number
  /** Height of a plain nut. */
  readonly nutMm: number
  /** Thickness of a plain washer. */
  readonly washerMm: number
  /** Hole it passes with ease. */
  readonly clearanceMm: number
  readonly inch: boolean
}

const metric = (
  sizeMm: number,
  pitchMm: number,
  nutMm: number,
  washerMm: number,
  clearanceMm: number,
): Thread => ({
  name: `M${sizeMm}`,
  sizeMm,
  pitchMm,
  nutMm,
  washerMm,
  clearanceMm,
  inch: false,
})
const inch = (
  name: string,
  sizeIn: number,
  perInch: number,
  nutIn: number,
  washerIn: number,
  clearanceIn: number,
): Thread => ({
  name,
  sizeMm: Number((sizeIn * 25.4).toFixed(4)),
  pitchMm: 25.4 / perInch,
  nutMm: nutIn * 25.4,
  washerMm: washerIn * 25.4,
  clearanceMm: clearanceIn * 25.4,
  inch: true,
})

/**
 * Coarse threads with plain hexagon nuts and plain washers. Sources: metric pitch ISO 261, nut ISO 4032,
 * washer ISO 7089, holes ISO 273 medium (handbook-2 I2 for M4–M16); inch pitch ASME B1.1 (UNC), nut ASME B18.2.2, washer ASME B18.22.1
 * (narrow), holes ASME B18.2.8 normal.
 */
export const threads: readonly Thread[] = [
  metric(4, 0.7, 3.2, 0.8, 4.5),
  metric(5, 0.8, 4.7, 1, 5.5),
  metric(6, 1, 5.2, 1.6, 6.6),
  metric(8, 1.25, 6.8, 1.6, 9),
  metric(10, 1.5, 8.4, 2, 11),
  metric(12, 1.75, 10.8, 2.5, 13.5),
  metric(14, 2, 12.8, 2.5, 15.5),
  metric(16, 2, 14.8, 3, 17.5),
  metric(20, 2.5, 18, 3, 22),
  inch('#10', 0.19, 24, 0.125, 0.049, 0.221),
  inch('1/4"', 0.25, 20, 7 / 32, 0.065, 0.281),
  inch('5/16"', 0.3125, 18, 17 / 64, 0.065, 0.344),
  inch('3/8"', 0.375, 16, 21 / 64, 0.065, 0.406),
  inch('7/16"', 0.4375, 14, 3 / 8, 0.065, 0.469),
  inch('1/2"', 0.5, 13, 7 / 16, 0.095, 0.562),
  inch('5/8"', 0.625, 11, 35 / 64, 0.095, 0.688),
  inch('3/4"', 0.75, 10, 41 / 64, 0.134, 0.812),
]

/** The thread of a size; null when it is none that is known here. */
export const threadOf = (sizeMm: number): Thread | null =>
  threads.find((one) => Math.abs(one.sizeMm - sizeMm) < 0.01) ?? null

/** Threads offered under a system of units: inch ones with feet and inches, both with mixed. */
export const threadsFor = (units: UnitSystem): readonly Thread[] =>
  threads.filter((one) => units === 'mixed' || one.inch === (units === 'us'))

/** Thickness of so many plain washers (0–10) for a size of bolt, mm. Throws RangeError for a size not known. */
export function washersMm(sizeMm: number, count: number): number {
  needRange('washersMm', 'washers', count, 0, 10)
  const thread = threadOf(sizeMm)
  if (!thread) throw new RangeError(`washersMm: a bolt of ${sizeMm} mm is not known`)
  return thread.washerMm * count
}

/** Clearance hole for a size of bolt, mm. Throws RangeError for a size not known. */
export function clearanceMm(sizeMm: number): number {
  const thread = threadOf(sizeMm)
  if (!thread) throw new RangeError(`clearanceMm: a bolt of ${sizeMm} mm is not known`)
  return thread.clearanceMm
}
