/** Anodes: how much of them a boat wants, and how fast they go. Source: handbook-2 H5. */
import type { Row } from '../model/entities'
import { needRange } from '../guard'
import { dayAfloat, daysAfloat } from '../log/daysAfloat'
import type { IsAfloat } from '../log/daysAfloat'
import { groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'

export type AnodeMetal = Row<'anode'>['metal']

/**
 * Ampere hours that a kilogram gives in sea water, and the share of it that is used before it hangs too loosely to trust.
 * Source: published figures for the design of cathodic protection in sea water; makers give their own.
 */
const ampHoursPerKg: Readonly<Record<AnodeMetal, number>> = {
  zinc: 780,
  aluminium: 2000,
  magnesium: 1100,
}
const usedShare = 0.8
const hoursPerMonth = 730.5

export interface AnodeWant {
  /** Wetted metal to be protected, m². */
  readonly areaM2: number
  /** Share of it that its paint leaves bare, 0 to 1. */
  readonly bareShare: number
  /** Current that bare metal takes, mA/m²: more in moving and in warm water. */
  readonly currentMaM2: number
  /** Months between lifts. */
  readonly months: number
  readonly metal: AnodeMetal
  /** What one piece weighs, kg. */
  readonly pieceKg: number
}

/** Kilograms and pieces for the time between lifts; pieces are even, so that both sides have the same. Throws RangeError. */
export function anodesWanted(want: AnodeWant): {
  readonly ampere: number
  readonly kg: number
  readonly pieces: number
} {
  needRange('anodesWanted', 'areaM2', want.areaM2, 0, 1000)
  needRange('anodesWanted', 'bareShare', want.bareShare, 0, 1)
  needRange('anodesWanted', 'currentMaM2', want.currentMaM2, 0, 1000)
  needRange('anodesWanted', 'months', want.months, 0, 240)
  needRange('anodesWanted', 'pieceKg', want.pieceKg, 0.01, 500)
  const ampere = (want.areaM2 * want.bareShare * want.currentMaM2) / 1000
  const kg = (ampere * want.months * hoursPerMonth) / (ampHoursPerKg[want.metal] * usedShare)
  return { ampere, kg, pieces: 2 * Math.max(0, Math.ceil(kg / want.pieceKg / 2 - 1e-9)) }
}

/** How far an anode is, from its weighings. */
export interface AnodeWear {
  readonly anode: Row<'anode'>
  /** Every weighing since it was fitted, the first the weight when new. Civil date and grams. */
  readonly weighed: readonly {
    readonly on: string
    readonly g: number
    readonly id: string | null
  }[]
  /** Share of its metal that is left, 0 to 1; null: it was not weighed since. */
  readonly left: number | null
  /** Share of the new weight that goes in a month afloat; null: not weighed since a day afloat, or heavier than new. */
  readonly perMonth: number | null
  /** Civil date on which half is gone at that pace, days ashore left out; null: not known. */
  readonly halfOn: string | null
  /** It goes much faster or slower than its fellows of the same metal: look for a bond that is none, or a stray current. */
  readonly odd: 'fast' | 'slow' | null
}

const daysPerMonth = hoursPerMonth / 24
/** Faster or slower than its fellows by this much is no chance any more. Assumed. */
const oddFactor = 1.6

/** All anodes in their order, each with what its weighings say. Ashore nothing goes. */
export function anodeWear(
  rows: Pick<RefitRows, 'anode' | 'anodeWeighing'>,
  isAfloat: IsAfloat,
): AnodeWear[] {
  const weighings = groupBy(rows.anodeWeighing, (one) => one.anodeId)
  const list = inOrder(rows.anode).map((anode) =>
    wearOf(anode, weighings.get(anode.id) ?? [], isAfloat),
  )
  return list.map((one) => ({ ...one, odd: oddOne(one, list) }))
}

function wearOf(
  anode: Row<'anode'>,
  weighings: readonly Row<'anodeWeighing'>[],
  isAfloat: IsAfloat,
): AnodeWear {
  const since = weighings
    .filter((one) => one.on >= anode.fittedOn)
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : b.weightG - a.weightG))
  const weighed = [
    { on: anode.fittedOn, g: anode.newG, id: null },
    ...since.map((one) => ({ on: one.on, g: one.weightG, id: one.id })),
  ]
  const last = since.at(-1)
  const days = last ? daysAfloat(anode.fittedOn, last.on, isAfloat) : 0
  const left = last ? last.weightG / anode.newG : null
  const perDay = left === null || left > 1 || days === 0 ? null : (1 - left) / days
  return {
    anode,
    weighed,
    left,
    perMonth: perDay === null ? null : perDay * daysPerMonth,
    halfOn:
      perDay === null || perDay === 0 ? null : dayAfloat(anode.fittedOn, 0.5 / perDay, isAfloat),
    odd: null,
  }
}

function oddOne(one: AnodeWear, list: readonly AnodeWear[]): AnodeWear['odd'] {
  const others = list
    .filter((each) => each !== one && each.anode.metal === one.anode.metal)
    .flatMap((each) => each.perMonth ?? [])
    .sort((a, b) => a - b)
  const middle = others[Math.floor((others.length - 1) / 2)]
  if (one.perMonth === null || middle === undefined) return null
  if (one.perMonth > middle * oddFactor) return 'fast'
  return one.perMonth * oddFactor < middle ? 'slow' : null
}
