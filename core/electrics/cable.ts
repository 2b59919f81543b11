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

/**
 * Cable to buy, mm²: 2·L·I·0.0195/ΔV for a run of `runM` one way (0.1–100 m), load (0.1–150 A), nominal volts
 * (5–60) and drop allowed in % (0.5–15), the next size up that also carries the fuse of the load. Throws
 * RangeError outside, or when no size sold is thick enough. Source: handbook 13.
 * Example: 6 m, 10 A, 12 V, 3 % → 6.5 mm² by drop → 10 mm², which carries 40 A; the fuse is 15 A.
 */
export function cableMm2(runM: number, loadA: number, volts: number, dropPercent: number): number {
  needRange('cableMm2', 'run in m', runM, 0.1, 100)
  needRange('cableMm2', 'load in A', loadA, 0.1, 150)
  needRange('cableMm2', 'volts', volts, 5, 60)
  needRange('cableMm2', 'drop in %', dropPercent, 0.5, 15)
  const byDrop = (2 * runM * loadA * ohmMm2PerM) / ((dropPercent / 100) * volts)
  const fuse = fuseA(loadA)
  const found = sizes.find(([mm2, amps]) => mm2 >= byDrop - 1e-9 && amps >= fuse)
  if (!found)
    throw new RangeError('cableMm2: no single cable that thick is sold; shorten the run or lay two')
  return found[0]
}
