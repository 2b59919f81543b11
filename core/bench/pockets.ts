/** The tool roll: seven pockets by what is in the hand. */
import type { PocketKey, Sum } from './sum'
import { sums } from './sums'

export interface Pocket {
  readonly key: PocketKey
  /** The tools in it. */
  readonly name: string
  /** What they are for. */
  readonly about: string
  readonly sums: readonly Sum[]
}

const named: Readonly<Record<PocketKey, readonly [name: string, about: string]>> = {
  resin: ['Cup and brush', 'resin, coats'],
  holes: ['Drill, spanner', 'holes, bolts'],
  layout: ['Tape, square', 'layout, bends'],
  cutting: ['Shears, saw', 'cutting'],
  electrics: ['Crimper, meter', 'electrics'],
  hull: ['Feeler, line', 'shaft, hull'],
  structure: ['Mallet, spike', 'structure'],
}

/** In the order in which they hang; a sum keeps its place. */
export const pockets: readonly Pocket[] = (
  Object.entries(named) as [PocketKey, readonly [string, string]][]
).map(([key, [name, about]]) => ({
  key,
  name,
  about,
  sums: sums.filter((one) => one.pocket === key),
}))
