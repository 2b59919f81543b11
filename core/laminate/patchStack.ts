import { needRange } from '../guard'

/** Width of the ground taper, mm, for a skin of 0–100 mm at a ratio of 1–50. Throws RangeError outside. */
export function taperWidthMm(thicknessMm: number, ratio: number): number {
  needRange('taperWidthMm', 'thickness in mm', thicknessMm, 0, 100)
  needRange('taperWidthMm', 'ratio', ratio, 1, 50)
  return thicknessMm * ratio
}

export type StackSchool = 'largestFirst' | 'smallestFirst'
export interface PatchPly {
  readonly lengthMm: number
  readonly widthMm: number
  readonly areaM2: number
}

/**
 * Plies of a patch over a hole, in the order they are laid: each stands one equal share of the taper
 * further out than the next smaller, the largest reaching the taper's edge. Hole sides 0–20 000 mm, taper
 * 0–2000 mm, 1–60 plies; throws RangeError outside. Source: handbook 10, both schools.
 * Example: hole 100 × 60, taper 48, 2 plies → 148 × 108 and 196 × 156.
 */
export function patchStack(
  holeLengthMm: number,
  holeWidthMm: number,
  taperMm: number,
  plies: number,
  school: StackSchool,
): PatchPly[] {
  needRange('patchStack', 'hole length in mm', holeLengthMm, 0, 20_000)
  needRange('patchStack', 'hole width in mm', holeWidthMm, 0, 20_000)
  needRange('patchStack', 'taper in mm', taperMm, 0, 2000)
  needRange('patchStack', 'plies', plies, 1, 60)
  const stack = Array.from({ length: Math.floor(plies) }, (_, index): PatchPly => {
    const beyondMm = (taperMm * (index + 1)) / Math.floor(plies)
    const lengthMm = holeLengthMm + 2 * beyondMm
    const widthMm = holeWidthMm + 2 * beyondMm
    return { lengthMm, widthMm, areaM2: (lengthMm * widthMm) / 1e6 }
  })
  return school === 'smallestFirst' ? stack : stack.reverse()
}
