import { needRange } from '../guard'

/** What a cartridge holds, mL, and what stays in it and its nozzle. Source: handbook 11. */
const cartridgeMl = 290
const waste = 0.15

/**
 * Sealant in a round bead, mL: π/4·d²·L. Bead 0–50 mm, length 0–1000 m. Throws RangeError outside.
 * Source: handbook 11. Example: 6 mm over 10 m → 282.7 mL.
 */
export function beadMl(diameterMm: number, lengthM: number): number {
  needRange('beadMl', 'bead in mm', diameterMm, 0, 50)
  needRange('beadMl', 'length in m', lengthM, 0, 1000)
  return (Math.PI / 4) * diameterMm ** 2 * lengthM
}

/** Cartridges of 290 mL for a volume of 0–1 000 000 mL, 15 % waste added, rounded up. Throws RangeError outside. */
export function cartridges(volumeMl: number): number {
  needRange('cartridges', 'volume in mL', volumeMl, 0, 1e6)
  return Math.max(0, Math.ceil((volumeMl * (1 + waste)) / cartridgeMl - 1e-9))
}
