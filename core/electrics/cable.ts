import { needRange } from '../guard'

/** Ohm mm² a metre of tinned copper strand, warm. Source: handbook 13. */
const ohmMm2PerM = 0.0195
/** Sizes sold, mm², and what each carries in a warm space, A: a cautious single-core row. Source: handbook 13. */
const sizes: readonly (readonly [mm2: number, amps: number])[] = [
  [0.75, 6],
  [1, 8],
  [1.5, 12],
  [2.5, 17],
  [4, 22],
  [6, 29],
  [10, 40],
  [16, 54],
  [25, 71],
  [35, 87],
  [50, 105],
  [70, 135],
  [95, 165],
  [120, 190],
]
/** Ratings of fuses that are stocked, A. An assumption: the usual blade, strip and stud sizes. */
const fuses = [2, 3, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 80, 100, 125, 150, 200, 250, 300, 400]

/** Smallest stocked fuse of at least 1.25 × the load (0.1–300 A). Throws RangeError outside. Source: handbook 13. */
export function fuseA(loadA: number): number {
  needRange('fuseA', 'load in A', loadA, 0.1, 300)
  return fuses.find((one) => one >= 1.25 * loadA - 1e-9) ?? (fuses.at(-1) as number)
}

export interface CableRun {
  /** One way, 0.1–100 m. */
  readonly runM: number
  /** 0.1–150 A. */
  readonly loadA: number
  /** Nominal, 5–60. */
  readonly volts: number
  /** Drop allowed, 0.5–15 %. */
  readonly dropPercent: number
  /** Share of the table that it bears where it lies, 0.3–1. */
  readonly derating: number
}
export interface Cable {
  readonly mm2: number
  readonly fuseA: number
  /** What the drop alone asks for, and the size sold of it; null: none is thick enough. */
  readonly byDropMm2: number
  readonly byDropSize: number | null
  readonly dropV: number
  readonly allowedV: number
  /** What sets its size. */
  readonly by: 'drop' | 'fuse'
}

/**
 * Cable for a run: 2·L·I·0.0195/ΔV, the next size up that also carries the fuse of the load. Throws RangeError outside,
 * or when no size sold is thick enough. Source: handbook 13.
 * Example: 6 m, 10 A, 12 V, 3 % → 6.5 mm² by drop → 10 mm², which carries 40 A; the fuse is 15 A.
 */
export function cableFor({ runM, loadA, volts, dropPercent, derating }: CableRun): Cable {
  needRange('cableFor', 'run in m', runM, 0.1, 100)
  needRange('cableFor', 'load in A', loadA, 0.1, 150)
  needRange('cableFor', 'volts', volts, 5, 60)
  needRange('cableFor', 'drop in %', dropPercent, 0.5, 15)
  needRange('cableFor', 'derating', derating, 0.3, 1)
  const allowedV = (dropPercent / 100) * volts
  const loss = 2 * runM * loadA * ohmMm2PerM
  const byDropMm2 = loss / allowedV
  const fuse = fuseA(loadA)
  const byDropSize = sizes.find(([mm2]) => mm2 >= byDropMm2 - 1e-9)?.[0] ?? null
  const found = sizes.find(([mm2, amps]) => mm2 >= byDropMm2 - 1e-9 && amps * derating >= fuse)
  if (!found)
    throw new RangeError('cableFor: no single cable that thick is sold; shorten the run or lay two')
  return {
    mm2: found[0],
    fuseA: fuse,
    byDropMm2,
    byDropSize,
    dropV: loss / found[0],
    allowedV,
    by: byDropSize === found[0] ? 'drop' : 'fuse',
  }
}

/** The same in the open, mm², as recipes ask for it. */
export const cableMm2 = (runM: number, loadA: number, volts: number, dropPercent: number): number =>
  cableFor({ runM, loadA, volts, dropPercent, derating: 1 }).mm2
