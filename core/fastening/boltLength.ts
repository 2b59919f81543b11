import { needRange } from '../guard'
import { threadOf, threads } from './threads'
import type { Thread } from './threads'

/** Lengths a chandler stocks, mm (ISO 888). */
const stockedMm = [
  10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100, 110, 120, 130, 140, 150, 160,
  180, 200, 220, 240, 260, 280, 300,
]
/** The same in inches: by quarters to three, by halves to six, then whole ones to ten (ASME B18.2.1 practice). */
const stockedIn = [
  ...Array.from({ length: 11 }, (_, at) => 0.5 + at * 0.25),
  ...Array.from({ length: 6 }, (_, at) => 3.5 + at * 0.5),
  ...Array.from({ length: 4 }, (_, at) => 7 + at),
]

/** Metric sizes of bolt that are known here, mm. */
export const boltSizesMm = threads.filter((one) => !one.inch).map((one) => one.sizeMm)

/** Lengths that are stocked for a thread, mm, the shortest first. Sources: ISO 888; inch ones ASME B18.2.1 practice. */
export const stockedLengthsMm = (thread: Pick<Thread, 'inch'>): readonly number[] =>
  thread.inch ? stockedIn.map((one) => one * 25.4) : stockedMm

export interface Stack {
  /** Everything the bolt passes, backing plate and bedding in it, mm, 0–260. */
  readonly stackMm: number
  /** Washers together, mm, 0–20. */
  readonly washersMm: number
  /** Height of another nut than the plain one of the thread, mm. */
  readonly nutMm?: number
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
 * Length of a bolt, M4–M20 or #10–3/4": stack + washers + nut + 2 pitches, rounded up to a stocked size.
 * Throws RangeError for a size not known or a stack outside. Source: handbook 11; threads.ts; ISO 888.
 * Example: M8, stack 45, washers 3.2 → 45 + 3.2 + 6.8 + 2.5 = 57.5 → 60.
 */
export function boltLength(sizeMm: number, stack: Stack): BoltLength {
  const thread = threadOf(sizeMm)
  if (!thread)
    throw new RangeError(`boltLength: M${sizeMm} is not known; use M${boltSizesMm.join(', M')}`)
  const stocked = stockedLengthsMm(thread)
  needRange('boltLength', 'stack in mm', stack.stackMm, 0, 260)
  needRange('boltLength', 'washers in mm', stack.washersMm, 0, 20)
  const toNut = stack.stackMm + stack.washersMm + (stack.nutMm ?? thread.nutMm)
  const needMm = toNut + 2 * thread.pitchMm
  const buyMm = stocked.find((one) => one >= needMm - 1e-9) ?? null
  const stickOutMm = (buyMm ?? needMm) - toNut
  return {
    needMm,
    buyMm,
    stickOutMm,
    tooLongForSocket: stack.socketDepthMm !== undefined && stickOutMm > stack.socketDepthMm,
  }
}
