/** The same thing wanted by many jobs, bought as one line. */
import type { Row } from '../model/entities'
import { groupBy } from '../model/refit'
import { partCostMinor } from '../money/jobCost'

type Part = Row<'part'>

/** Words that mean the same thing to whoever sells it. */
export const plainName = (text: string): string => text.trim().toLowerCase().replace(/\s+/g, ' ')

/** Small units as shares of the ones things are bought in. */
const smaller: Readonly<Record<string, readonly [string, number]>> = {
  ml: ['L', 0.001],
  g: ['kg', 0.001],
  mm: ['m', 0.001],
}
/** The unit in which a line of a part adds up, and how much of it one of the part's own units is. */
export const lineUnit = (unit: string): readonly [string, number] =>
  smaller[plainName(unit)] ?? [unit, 1]

/** Parts with the same key are one line. Hand, size, metal, unit and specification keep things apart. */
export const poolKey = (
  part: Pick<Part, 'name' | 'boughtAs' | 'unit' | 'hand' | 'size' | 'metal' | 'specification'>,
): string =>
  [
    plainName(part.boughtAs) || plainName(part.name),
    plainName(lineUnit(part.unit)[0]),
    part.hand,
    plainName(part.size),
    plainName(part.metal),
    plainName(part.specification),
  ].join('|')

export interface Pooled {
  readonly key: string
  readonly name: string
  readonly unit: string
  /** In the order they came in. */
  readonly parts: readonly Part[]
  /** What the jobs want together, and the spare on top. */
  readonly wanted: number
  readonly spare: number
  /** What to buy: wanted and spare, up to whole packs. */
  readonly toBuy: number
  /** Null: cut to measure. */
  readonly packSize: number | null
  readonly packs: number | null
  /** Bought and not wanted. */
  readonly over: number
  /** What all that is bought is likely to cost, at the mean price of those that have one, minor units; null: none has. */
  readonly priceMinor: number | null
  /** False: some parts have no price, and are taken to cost what the others do. */
  readonly isPriced: boolean
}

/** Hundred-thousandths are the rounding of sums, no thing to be bought. */
const tiny = 1e-6
/** Up to the next pack; sums that only rounding made larger count as whole. */
const upTo = (amount: number, size: number): number => Math.ceil(amount / size - tiny)
const tidy = (amount: number): number => Math.round(amount * 1e6) / 1e6
/** What is counted is bought whole. */
const isCounted = (unit: string): boolean =>
  ['', 'pieces', 'piece', 'set', 'tins', 'boxes', 'rolls', 'cartridges', 'sheets', 'tube'].includes(
    plainName(unit),
  )

/** One line: amounts add up, spare by each part's own share, packs once for all of them. */
function pooledOf(key: string, parts: readonly Part[]): Pooled {
  const amounts = parts.map((part) => part.quantity * lineUnit(part.unit)[1])
  const wanted = tidy(amounts.reduce((sum, one) => sum + one, 0))
  const spare = tidy(
    amounts.reduce((sum, one, at) => sum + (one * (parts[at]?.sparePercent ?? 0)) / 100, 0),
  )
  const sizes = parts.flatMap((part) =>
    part.packSize === null ? [] : part.packSize * lineUnit(part.unit)[1],
  )
  const packSize = sizes.length === 0 ? null : Math.min(...sizes)
  const [first] = parts as readonly [Part]
  const needs = wanted + spare
  const packs = packSize === null ? null : upTo(needs, packSize)
  const toBuy = tidy(
    packs !== null && packSize !== null
      ? packs * packSize
      : isCounted(first.unit)
        ? upTo(needs, 1)
        : needs,
  )
  const priced = parts.filter((part) => part.priceMinor !== null)
  const pricedAmount = priced.reduce((sum, part) => sum + part.quantity * lineUnit(part.unit)[1], 0)
  const pricedMinor = priced.reduce(
    (sum, part) => sum + partCostMinor({ ...part, state: 'wanted' }),
    0,
  )
  return {
    key,
    name: first.boughtAs.trim() || first.name,
    unit: lineUnit(first.unit)[0],
    parts,
    wanted,
    spare,
    toBuy,
    packSize,
    packs,
    over: tidy(toBuy - needs),
    priceMinor: pricedAmount > 0 ? Math.round((pricedMinor / pricedAmount) * toBuy) : null,
    isPriced: priced.length === parts.length,
  }
}

/** Parts gathered into lines, in the order of their first part. `keyOf`: which belong together. */
export function pooled(parts: readonly Part[], keyOf: (part: Part) => string = poolKey): Pooled[] {
  return [...groupBy(parts, keyOf)].map(([key, group]) => pooledOf(key, group))
}
