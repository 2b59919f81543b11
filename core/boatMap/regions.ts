/** Where each place of the boat lies on the drawing. */
import type { Zone } from '../model/entities'
import type { ZoneShape } from '../model/entities/boat'
import { aloft } from './hull'
import type { HullLines, Spot } from './hull'

type Placed = Pick<Zone, 'id' | 'side' | 'strake' | 'belowWaterline' | 'along' | 'shape'>

/** Rows of the drawing in which places lie beside each other. */
type Lane = 'rig' | 'topsides' | 'below' | 'water' | 'port' | 'middle' | 'starboard'

/** A place reaches so far each way at most, and at least; shares of the length. On deck they meet. */
const [most, mostOnDeck, least] = [0.105, 0.2, 0.03]

function laneOf(zone: Placed): Lane | null {
  if (zone.along === null || zone.strake === 'shed' || zone.strake === 'away') return null
  if (zone.belowWaterline || zone.strake === 'underwater') return 'water'
  if (zone.strake === 'rig') return 'rig'
  if (zone.strake === 'below') return 'below'
  if (zone.side === 'both') return 'topsides'
  return zone.side === 'centre' ? 'middle' : zone.side
}

/** Outlines of places: their own where one was drawn, else by side, strake and how far forward. Places without a position have none. */
export function zoneRegions<Z extends Placed>(
  zones: readonly Z[],
  lines: HullLines,
): ReadonlyMap<Z, ZoneShape> {
  const regions = new Map<Z, ZoneShape>()
  const lanes = new Map<Lane, Z[]>()
  for (const zone of zones) {
    const lane = laneOf(zone)
    if (zone.shape) regions.set(zone, zone.shape)
    else if (lane) lanes.set(lane, [...(lanes.get(lane) ?? []), zone])
  }
  for (const [lane, own] of lanes) {
    const rows = lane === 'below' || lane === 'water' ? twoRows(own) : [own]
    rows.forEach((row, at) => {
      const reach = lane === 'port' || lane === 'starboard' || lane === 'middle' ? mostOnDeck : most
      for (const [zone, from, to] of stretches(row, reach))
        regions.set(zone, shapeIn(lane, from, to, rows.length > 1 ? at : null, lines))
    })
  }
  return regions
}

const along = (zone: Placed): number => zone.along ?? 0.5

/** Places that would lie on each other go into a second row. */
function twoRows<Z extends Placed>(zones: readonly Z[]): Z[][] {
  const sorted = [...zones].sort((a, b) => along(b) - along(a))
  const [upper, lower]: [Z[], Z[]] = [[], []]
  for (const zone of sorted) {
    const last = upper.at(-1)
    const low = lower.at(-1)
    const room = (one: Z | undefined) => (one ? along(one) - along(zone) : Infinity)
    if (room(last) >= 0.115 || room(last) >= room(low)) upper.push(zone)
    else lower.push(zone)
  }
  return lower.length > 0 ? [upper, lower] : [upper]
}

/** Each place from half way to its neighbour on one side to half way on the other. */
function stretches<Z extends Placed>(
  row: readonly Z[],
  farthest: number,
): (readonly [Z, number, number])[] {
  const sorted = [...row].sort((a, b) => along(a) - along(b))
  return sorted.map((zone, at) => {
    const [here, before, after] = [along(zone), sorted[at - 1], sorted[at + 1]]
    const back = before ? (here - along(before)) / 2 : farthest
    const ahead = after ? (along(after) - here) / 2 : farthest
    const reach = (gap: number) => Math.min(farthest, Math.max(least / 2, gap))
    return [zone, Math.max(0, here - reach(back)), Math.min(1, here + reach(ahead))] as const
  })
}

const frame = (from: number, to: number, low: number, high: number): Spot[] => [
  [from, low],
  [to, low],
  [to, high],
  [from, high],
]

function shapeIn(
  lane: Lane,
  from: number,
  to: number,
  row: number | null,
  lines: HullLines,
): ZoneShape {
  const middle = (from + to) / 2
  const side = (corners: Spot[]): ZoneShape => ({ view: 'side', corners })
  const plan = (corners: Spot[]): ZoneShape => ({ view: 'plan', corners })
  const deep = lines.bottom(middle)
  const deck = lines.sheer(middle)
  if (lane === 'rig') return side(frame(from, to, deck + 0.06, aloft))
  if (lane === 'topsides') return side(frame(from, to, 0.005, deck - 0.008))
  if (lane === 'below') {
    const floor = deep * 0.72
    const split = floor + (deck - floor) * 0.44
    return side(
      frame(
        from,
        to,
        row === 1 ? floor : row === 0 ? split : floor,
        row === 1 ? split : deck - 0.004,
      ),
    )
  }
  if (lane === 'water') return side(frame(from, to, -lines.draught, Math.min(-0.004, deep * 0.5)))
  const outer = (x: number) => lines.breadth(x)
  const inner = (x: number) => lines.breadth(x) * (x > 0.7 ? 0.03 : 0.62)
  if (lane === 'middle')
    return plan([
      [from, inner(from) || 0.01],
      [to, inner(to) || 0.01],
      [to, -(inner(to) || 0.01)],
      [from, -(inner(from) || 0.01)],
    ])
  const sign = lane === 'starboard' ? 1 : -1
  return plan([
    [from, sign * inner(from)],
    [to, sign * inner(to)],
    [to, sign * outer(to)],
    [from, sign * outer(from)],
  ])
}

/** Middle of an outline: the mean of its corners. */
export const middleOf = ({ corners }: ZoneShape): Spot => {
  const sum = corners.reduce<[number, number]>(([x, y], [cx, cy]) => [x + cx, y + cy], [0, 0])
  return [sum[0] / corners.length, sum[1] / corners.length]
}
