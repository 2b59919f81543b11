import { needRange } from '../guard'

/** Metric coarse pitch and plain nut height by size, mm (ISO 261, ISO 4032). */
const metric: Readonly<Record<number, { readonly pitchMm: number; readonly nutMm: number }>> = {
  4: { pitchMm: 0.7, nutMm: 3.2 },
  5: { pitchMm: 0.8, nutMm: 4.7 },
  6: { pitchMm: 1, nutMm: 5.2 },
  8: { pitchMm: 1.25, nutMm: 6.8 },
  10: { pitchMm: 1.5, nutMm: 8.4 },
  12: { pitchMm: 1.75, nutMm: 10.8 },
  14: { pitchMm: 2, nutMm: 12.8 },
  16: { pitchMm: 2, nutMm: 14.8 },
  20: { pitchMm: 2.5, nutMm: 18 },
}
/** Lengths a chandler stocks, mm (ISO 888). */
const stockedMm = [
  10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100, 110, 120, 130, 140, 150, 160,
  180, 200, 220, 240, 260, 280, 300,
]

/** Sizes of bolt that are known here, mm. */
export const boltSizesMm = Object.keys(metric).map(Number)

export interface Stack {
  /** Everything the bolt passes, backing plate and bedding in it, mm, 0–260. */
  readonly stackMm: number
  /** Washers together, mm, 0–20. */
  readonly washersMm: number
  /** Countersunk heads lie inside the stack and count in the bolt's length, as the trade measures them. */
  readonly socketDepthMm?: number
}
export interface BoltLength {
  readonly needMm: number
  /** The next stocked size; null: longer than any. */
  readonly buyMm: number | null
  /** Thread beyond the nut with the bolt that is bought, mm. */
  readonly stickOutMm: number
  /** The stick-out bottoms in the socket used to turn the nut. */
  readonly tooLongForSocket: boolean
}

/**
 * Length of an M4–M20 bolt: stack + washers + nut + 2 pitches, rounded up to a stocked size.
 * Throws RangeError for a size not known or a stack outside. Source: handbook 11; ISO 261, 888, 4032.
 * Example: M8, stack 45, washers 3.2 → 45 + 3.2 + 6.8 + 2.5 = 57.5 → 60.
 */
export function boltLength(sizeMm: number, stack: Stack): BoltLength {
  const thread = metric[sizeMm]
  if (!thread)
    throw new RangeError(`boltLength: M${sizeMm} is not known; use M${boltSizesMm.join(', M')}`)
  needRange('boltLength', 'stack in mm', stack.stackMm, 0, 260)
  needRange('boltLength', 'washers in mm', stack.washersMm, 0, 20)
  const toNut = stack.stackMm + stack.washersMm + thread.nutMm
  const needMm = toNut + 2 * thread.pitchMm
  const buyMm = stockedMm.find((one) => one >= needMm - 1e-9) ?? null
  const stickOutMm = (buyMm ?? needMm) - toNut
  return {
    needMm,
    buyMm,
    stickOutMm,
    tooLongForSocket: stack.socketDepthMm !== undefined && stickOutMm > stack.socketDepthMm,
  }
}
