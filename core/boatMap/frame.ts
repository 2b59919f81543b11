/** From shares of the length to points of the drawing: bow to the left, elevation above, deck plan beneath. */
import type { ZoneShape } from '../model/entities/boat'
import { aloft } from './hull'
import type { HullLines, Spot } from './hull'

export interface MapFrame {
  readonly width: number
  readonly height: number
  /** Points for the whole length. */
  readonly length: number
  readonly margin: number
  readonly water: number
  readonly ground: number
  readonly planTop: number
  readonly mid: number
  readonly at: (view: ZoneShape['view'], spot: Spot) => Spot
  /** Back from a point of the drawing to shares; the view is that in whose half it lies. */
  readonly back: (x: number, y: number) => { readonly view: ZoneShape['view']; readonly spot: Spot }
}

const [topRoom, underRoom, planRoom] = [4, 22, 6]

/** A drawing of a width, in points. Its height follows from her proportions. */
export function mapFrame(lines: HullLines, width: number): MapFrame {
  const margin = Math.min(24, width * 0.04)
  const length = width - 2 * margin
  const water = topRoom + aloft * length
  const ground = water + lines.draught * length + underRoom
  const planTop = ground + planRoom
  const mid = planTop + lines.half * length + planRoom
  const x = (share: number) => margin + (1 - share) * length
  return {
    width,
    height: mid + lines.half * length + planRoom,
    length,
    margin,
    water,
    ground,
    planTop,
    mid,
    at: (view, [along, other]) => [
      x(along),
      view === 'side' ? water - other * length : mid - other * length,
    ],
    back: (px, py) => {
      const along = 1 - (px - margin) / length
      return py < planTop
        ? { view: 'side', spot: [along, (water - py) / length] }
        : { view: 'plan', spot: [along, (mid - py) / length] }
    },
  }
}

/** An outline as the d of a path, straight from corner to corner. */
export const pathOf = (
  frame: Pick<MapFrame, 'at'>,
  view: ZoneShape['view'],
  spots: readonly Spot[],
  closed = true,
): string =>
  spots
    .map((spot, at) => {
      const [x, y] = frame.at(view, spot)
      return `${at === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`
    })
    .join('') + (closed ? 'Z' : '')
