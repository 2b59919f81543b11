/** The boat's own drawing: side elevation above, deck plan beneath, from her proportions. Units are the drawing's. */
import type { RefitRow, Zone } from '../model/entities'

export interface Point {
  readonly x: number
  readonly y: number
}

/** What the drawing is laid out by; x runs from the stern (0) to the bow (`width`), y downwards. */
export interface BoatOutline {
  readonly width: number
  /** Waterline and sheer of the elevation. */
  readonly water: number
  readonly sheer: number
  readonly draught: number
  /** Ends of the waterline. */
  readonly aft: number
  readonly fore: number
  /** Middle and half breadth of the deck plan. */
  readonly mid: number
  readonly half: number
  readonly masts: 0 | 1 | 2
}

type Sizes = Pick<RefitRow, 'loaM' | 'lwlM' | 'beamM' | 'draughtM' | 'boatType'>

/** Shares of the length overall where a size is not known: those of a cruising boat of moderate form. Assumed. */
const usual = { lwl: 0.84, beam: 0.31, draught: 0.14, freeboard: 0.105 } as const
const margin = 10
const waterAt = 190
const planTop = 300
const mostHalf = 56

/** Lays the drawing out in a width. Sizes in metres. */
export function boatOutline(sizes: Sizes, width: number): BoatOutline {
  const loa = sizes.loaM
  const scale = (width - 2 * margin) / loa
  const lwl = (sizes.lwlM ?? loa * usual.lwl) * scale
  const half = Math.min(mostHalf, ((sizes.beamM ?? loa * usual.beam) * scale) / 2)
  const aft = margin + (width - 2 * margin - lwl) * 0.45
  return {
    width,
    water: waterAt,
    sheer: waterAt - loa * usual.freeboard * scale,
    draught: (sizes.draughtM ?? loa * usual.draught) * scale,
    aft,
    fore: aft + lwl,
    mid: planTop + half + 6,
    half,
    masts: sizes.boatType === 'motor' ? 0 : sizes.boatType === 'ketch' ? 2 : 1,
  }
}

type Placed = Pick<Zone, 'side' | 'strake' | 'belowWaterline' | 'along'>

/** Where a place is drawn, its own room not yet made; `along` says how far forward, 0 the stern to 1 the bow. */
function pointOf(zone: Placed, along: number, boat: BoatOutline): Point {
  const x = margin + along * (boat.width - 2 * margin)
  if (zone.belowWaterline || zone.strake === 'underwater')
    return { x, y: boat.water + boat.draught * (zone.side === 'centre' ? 0.62 : 0.24) }
  if (zone.strake === 'rig') return { x, y: boat.sheer - 96 }
  if (zone.strake === 'below') return { x, y: boat.water - 18 }
  // The whole topsides are seen from the side; a deck from above.
  if (zone.side === 'both') return { x, y: boat.sheer + 12 }
  // The deck narrows towards the bow: marks stay on it.
  const breadth = boat.half * (along < 0.5 ? 0.82 : 0.82 - (along - 0.5) * 1.6)
  const off = zone.side === 'port' ? -breadth : zone.side === 'starboard' ? breadth : 0
  return { x, y: boat.mid + off }
}

/** Marks nearer than this cover each other. */
const room = 24

/**
 * A point for each place: where its side, strake and distance forward put it. Places of unknown distance are
 * spread along their strake in the order given; marks that would cover each other move along it.
 */
export function zonePoints<Z extends Placed>(
  zones: readonly Z[],
  boat: BoatOutline,
): Map<Z, Point> {
  const unknown = zones.filter((zone) => zone.along === null)
  const points = new Map<Z, Point>()
  const taken: Point[] = []
  for (const zone of zones) {
    const along = zone.along ?? (unknown.indexOf(zone) + 1) / (unknown.length + 1)
    const wanted = pointOf(zone, along, boat)
    const point = freeFrom(wanted, taken, boat.width)
    taken.push(point)
    points.set(zone, point)
  }
  return points
}

/** The nearest point on the same level that no other mark covers; the wanted one where there is none. */
function freeFrom(wanted: Point, taken: readonly Point[], width: number): Point {
  const covers = (x: number) =>
    taken.some((one) => Math.abs(one.y - wanted.y) < room && Math.abs(one.x - x) < room)
  for (let off = 0; off < width; off += 2)
    for (const x of [wanted.x - off, wanted.x + off])
      if (x >= margin && x <= width - margin && !covers(x)) return { x, y: wanted.y }
  return wanted
}
