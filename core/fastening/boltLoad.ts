import { needRange } from '../guard'
import type { Thread } from './threads'

/** Yield stress by grade, MPa. Sources: ISO 3506-1 (A2 and A4, 70), ISO 898-1 (8.8); silicon bronze half-hard, a careful value. */
export const boltGrades = { stainless70: 450, steel88: 640, bronze: 200 } as const
export type BoltGrade = keyof typeof boltGrades

/** Area that a thread carries by, mm²: π/4 (d − 0.9382 p)². Source: ISO 898-1. Example: M12 × 1.75 → 84.3. */
export const stressAreaMm2 = ({ sizeMm, pitchMm }: Pick<Thread, 'sizeMm' | 'pitchMm'>): number =>
  (Math.PI / 4) * (sizeMm - 0.9382 * pitchMm) ** 2

export interface FasteningLoad {
  /** Of the heaviest bolt. */
  readonly pullKn: number
  readonly shearKn: number
  /** Both together, as pull: √(T² + 3 V²). */
  readonly togetherKn: number
}

/**
 * What a line does to a fitting: it pulls with `loadKn` (0–500) along the deck at `leverMm` (0–3000) over it; the far row of
 * `rowBolts` (1–20) of `bolts` (1–60) holds it down at `spreadMm` (10–3000) from the edge it tips over. Throws RangeError
 * outside. Source: handbook-2 I3; statics; von Mises. Example: 18 kN at 110 mm, rows of three 120 mm apart → 5.5 kN.
 */
export function fasteningLoad(
  loadKn: number,
  leverMm: number,
  spreadMm: number,
  rowBolts: number,
  bolts: number,
): FasteningLoad {
  needRange('fasteningLoad', 'load in kN', loadKn, 0, 500)
  needRange('fasteningLoad', 'lever in mm', leverMm, 0, 3000)
  needRange('fasteningLoad', 'spread in mm', spreadMm, 10, 3000)
  needRange('fasteningLoad', 'bolts in a row', rowBolts, 1, 20)
  needRange('fasteningLoad', 'bolts', bolts, rowBolts, 60)
  const pullKn = (loadKn * leverMm) / spreadMm / rowBolts
  const shearKn = loadKn / bolts
  return { pullKn, shearKn, togetherKn: Math.hypot(pullKn, Math.sqrt(3) * shearKn) }
}
