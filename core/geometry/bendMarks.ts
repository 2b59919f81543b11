/** Where one bar is bent into a closed frame. */
import { needRange } from '../guard'

export interface ClosedFrame {
  /** Outside, mm: each at least twice the outside radius of a corner. */
  readonly longMm: number
  readonly wideMm: number
  /** Bar in the plane of the frame, 0.1–200 mm. */
  readonly thickMm: number
  /** Inside radius of the corners, 0–2000 mm. */
  readonly radiusMm: number
  /** From the middle of a long side to the joint, mm. */
  readonly startMm: number
  /** Lap at the joint; a gap is negative. */
  readonly lapMm: number
}
export interface BendMarks {
  readonly cutMm: number
  /** What one corner takes of the bar. */
  readonly arcMm: number
  readonly straightLongMm: number
  readonly straightWideMm: number
  /** From the cut end: where each of the four corners begins and ends. */
  readonly corners: readonly { readonly fromMm: number; readonly toMm: number }[]
}

/**
 * Marks on a bar bent round a rectangle: a corner takes a quarter circle along the middle of the bar. Throws RangeError
 * where the corners are larger than the frame, or the joint would lie in one. Source: handbook-2 I5.
 * Example: 604 × 404 outside, 2 thick, radius 3: corner 6.28, cut 2001.1, the first corner from 297.
 */
export function bendMarks(frame: ClosedFrame): BendMarks {
  const { longMm, wideMm, thickMm, radiusMm, startMm, lapMm } = frame
  needRange('bendMarks', 'bar in mm', thickMm, 0.1, 200)
  needRange('bendMarks', 'radius in mm', radiusMm, 0, 2000)
  const outer = radiusMm + thickMm
  needRange('bendMarks', 'shorter side in mm', Math.min(longMm, wideMm), 2 * outer, 100_000)
  const straightLongMm = longMm - 2 * outer
  const straightWideMm = wideMm - 2 * outer
  needRange('bendMarks', 'joint from the middle in mm', startMm, 0, straightLongMm / 2)
  const arcMm = (Math.PI / 2) * (radiusMm + thickMm / 2)
  let at = straightLongMm / 2 - startMm
  const corners = [straightWideMm, straightLongMm, straightWideMm, 0].map((next) => {
    const corner = { fromMm: at, toMm: at + arcMm }
    at = corner.toMm + next
    return corner
  })
  return {
    cutMm: 2 * (straightLongMm + straightWideMm) + 4 * arcMm + lapMm,
    arcMm,
    straightLongMm,
    straightWideMm,
    corners,
  }
}
