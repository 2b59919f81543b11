import { needRange } from '../guard'

/** A bend in sheet or flat bar. */
export interface Bend {
  /** Angle turned, degrees, 0–170. */
  readonly angleDeg: number
  /** Inside radius, mm, 0–500. */
  readonly radiusMm: number
  /** Sheet, mm, over 0 to 30. */
  readonly thicknessMm: number
  /** Where the neutral line lies: 0.33 tight to 0.5 large radius. */
  readonly k: number
}

function check(caller: string, bend: Bend): void {
  needRange(caller, 'angle in degrees', bend.angleDeg, 0, 170)
  needRange(caller, 'radius in mm', bend.radiusMm, 0, 500)
  needRange(caller, 'thickness in mm', bend.thicknessMm, 1e-3, 30)
  needRange(caller, 'K', bend.k, 0.33, 0.5)
}

/** How far a bend reaches into each outside leg, mm: (r + t)·tan(angle/2), which at 90° is r + t. */
function setbackMm(bend: Bend): number {
  check('setbackMm', bend)
  return (bend.radiusMm + bend.thicknessMm) * Math.tan((Math.PI / 360) * bend.angleDeg)
}

/** Length of the neutral line in the bend, mm: (π/180)·angle·(r + K·t). Throws RangeError outside. Source: handbook 14. */
export function bendAllowanceMm(bend: Bend): number {
  check('bendAllowanceMm', bend)
  return (Math.PI / 180) * bend.angleDeg * (bend.radiusMm + bend.k * bend.thicknessMm)
}

/** What a bend takes off the outside legs, mm: 2(r + t)·tan(angle/2) − allowance. Throws RangeError outside. */
export function bendDeductionMm(bend: Bend): number {
  check('bendDeductionMm', bend)
  return 2 * setbackMm(bend) - bendAllowanceMm(bend)
}

/**
 * Flat length before bending, mm: outside legs (each 0–20 000 mm) less the deduction of every bend; bend i
 * lies between leg i and the next. A leg shorter than the setback (r + t)·tan(angle/2) of its bends cannot
 * be bent. Throws RangeError outside. Source: handbook 14.
 * Example: legs 50 + 50, 90°, r 3, t 3, K 0.4 → 100 − (12 − 6.597) = 94.6.
 */
export function flatLengthMm(legsMm: readonly number[], bends: readonly Bend[]): number {
  legsMm.forEach((leg, index) => {
    needRange('flatLengthMm', 'leg in mm', leg, 0, 20_000)
    const least = [bends[index - 1], bends[index]].reduce(
      (sum, bend) => sum + (bend ? setbackMm(bend) : 0),
      0,
    )
    if (leg < least - 1e-9)
      throw new RangeError(
        `flatLengthMm: a leg of ${leg} mm is shorter than its bend takes, ${Number(least.toFixed(1))} mm; make the leg longer or the radius smaller`,
      )
  })
  return (
    legsMm.reduce((sum, leg) => sum + leg, 0) -
    bends.reduce((sum, bend) => sum + bendDeductionMm(bend), 0)
  )
}
