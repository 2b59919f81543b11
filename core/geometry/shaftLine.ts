/** A shaft's line, and an engine brought to it. */
import { needRange } from '../guard'

const degrees = 180 / Math.PI

/** Angle of a line against level, degrees: atan(drop ÷ run). Source: handbook 14. Example: 120 in 1000 → 6.84°. */
export function lineAngleDeg(drop: number, run: number): number {
  needRange('lineAngleDeg', 'run', run, 1e-6, 1e9)
  return Math.atan(drop / run) * degrees
}

/** Long way of the oval where a round bar goes through a skin at an angle to it: D ÷ sin. Source: handbook-2 I7. */
export function exitOvalMm(diameterMm: number, angleDeg: number): number {
  needRange('exitOvalMm', 'angle in degrees', angleDeg, 0.5, 90)
  return diameterMm / Math.sin(angleDeg / degrees)
}

/**
 * High way of the hole in an upright frame, or in a ring that holds a tube on its line, where the bar goes through it down by an
 * angle (0 to 60°): D ÷ cos. Source: handbook-2 I7. Example: 45 at 7.6° → 45.4.
 */
export function crossOvalMm(diameterMm: number, angleDeg: number): number {
  needRange('crossOvalMm', 'angle in degrees', angleDeg, 0, 60)
  return diameterMm / Math.cos(angleDeg / degrees)
}

/** A face read at four places, mm of gap between the two flanges. */
export interface FaceGaps {
  readonly top: number
  readonly bottom: number
  readonly port: number
  readonly starboard: number
}
export interface Alignment {
  /** Gap at the top over that at the bottom, per mm of flange. */
  readonly tilt: number
  readonly swing: number
  /** Over the tolerance in any direction. */
  readonly isOut: boolean
  /** Lift of each mount, mm; negative: lower. */
  readonly frontLiftMm: number
  readonly backLiftMm: number
  /** To starboard, mm. */
  readonly frontStarboardMm: number
  readonly backStarboardMm: number
}

/** A tenth of a millimetre to 100 mm of flange. Source: the trade's thousandth to the inch. */
const within = 0.001

/**
 * Shims for an engine by the gaps of its coupling: first turn, and a second with the shaft turned half round, of which the mean
 * takes the flange's own fault out. Offsets are how far the engine's flange stands high, and to starboard. Distances of the
 * mounts from the flange, forwards. A gap wider on top means that the engine hangs down in front: lift at d = tilt·d − offset.
 * Source: handbook-2 I7; two flanges as planes.
 */
export function alignment(
  turns: readonly FaceGaps[],
  flangeMm: number,
  highMm: number,
  starboardMm: number,
  frontMm: number,
  backMm: number,
): Alignment {
  needRange('alignment', 'turns', turns.length, 1, 8)
  needRange('alignment', 'flange in mm', flangeMm, 20, 1000)
  const mean = (of: (one: FaceGaps) => number): number =>
    turns.reduce((sum, one) => sum + of(one), 0) / turns.length
  const tilt = mean((one) => one.top - one.bottom) / flangeMm
  const swing = mean((one) => one.starboard - one.port) / flangeMm
  return {
    tilt,
    swing,
    isOut:
      Math.abs(tilt) > within ||
      Math.abs(swing) > within ||
      Math.abs(highMm) > within * flangeMm ||
      Math.abs(starboardMm) > within * flangeMm,
    frontLiftMm: tilt * frontMm - highMm,
    backLiftMm: tilt * backMm - highMm,
    frontStarboardMm: swing * frontMm - starboardMm,
    backStarboardMm: swing * backMm - starboardMm,
  }
}
