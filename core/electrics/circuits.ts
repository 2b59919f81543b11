/** A circuit list: every run sized, its place on the panel, and what all of them together take. */
import { cableFor } from './cable'
import type { Cable } from './cable'

export interface Circuit {
  readonly name: string
  /** Alike, side by side on the panel, 0–200. */
  readonly many: number
  /** One way, m. */
  readonly runM: number
  readonly loadA: number
  readonly dropPercent: number
  /** Share of the table that it bears where it lies, 0.3–1. */
  readonly derating: number
  /** First way on the panel, from 1; null: the next that is free. */
  readonly way: number | null
  /** Laid already, or by another job: nothing is bought for it. */
  readonly isThere: boolean
}
export type Sized<C extends Circuit> = C &
  Cable & { readonly firstWay: number; readonly lastWay: number }

export interface CircuitList<C extends Circuit> {
  readonly circuits: readonly Sized<C>[]
  /** Ways that are taken. */
  readonly taken: number
  /** Pairs that stand on one way, by place in the list. */
  readonly clashes: readonly (readonly [number, number])[]
}

/**
 * Sizes every circuit and gives those without a place the first ways on the panel that are free, side by side. Throws
 * RangeError where a run has no cable. Source: handbook 13, handbook-2 I9.
 */
export function circuitList<C extends Circuit>(
  circuits: readonly C[],
  volts: number,
): CircuitList<C> {
  const used = new Map<number, number>()
  const clashes: [number, number][] = []
  const first: number[] = []
  const take = (at: number, from: number, many: number): void => {
    first[at] = from
    for (let way = from; way < from + many; way++) {
      const other = used.get(way)
      if (other === undefined) used.set(way, at)
      else if (!clashes.some(([a, b]) => a === other && b === at)) clashes.push([other, at])
    }
  }
  circuits.forEach((one, at) => {
    if (one.way !== null) take(at, one.way, one.many)
  })
  circuits.forEach((one, at) => {
    if (one.way !== null) return
    let from = 1
    for (let way = from; way < from + one.many; way++) if (used.has(way)) from = way + 1
    take(at, from, one.many)
  })
  return {
    circuits: circuits.map((one, at) => ({
      ...one,
      ...cableFor({ ...one, volts }),
      firstWay: first[at] as number,
      lastWay: (first[at] as number) + one.many - 1,
    })),
    taken: used.size,
    clashes,
  }
}

/** What the circuits that are not there yet take, by cable size: metres of core with a tenth over, and crimped ends. */
export function cableTotals(
  circuits: readonly Sized<Circuit>[],
): { readonly mm2: number; readonly coreM: number; readonly ends: number }[] {
  const totals = new Map<number, { coreM: number; ends: number }>()
  for (const one of circuits) {
    if (one.isThere) continue
    const sum = totals.get(one.mm2) ?? { coreM: 0, ends: 0 }
    // Out and back, and an end at both ends of each.
    totals.set(one.mm2, {
      coreM: sum.coreM + 2 * one.runM * one.many * 1.1,
      ends: sum.ends + 4 * one.many,
    })
  }
  return [...totals].sort(([a], [b]) => a - b).map(([mm2, sum]) => ({ mm2, ...sum }))
}
