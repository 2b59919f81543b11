/** Where on the boat a place lies, as a drawing for paper. */
import { mapFrame, pathOf } from '../boatMap/frame'
import { hullLines } from '../boatMap/hull'
import { zoneRegions } from '../boatMap/regions'
import type { RefitRow, Zone } from '../model/entities'

const width = 520

/**
 * Her from the side, or from above where the place is seen from there, with the place in black outline and grey.
 * Null: the place has no position on her.
 */
export function whereDrawing(
  refit: RefitRow,
  zones: readonly Zone[],
  zoneId: string,
): string | null {
  const zone = zones.find((one) => one.id === zoneId)
  const lines = hullLines(refit)
  const shape = zone ? zoneRegions(zones, lines).get(zone) : undefined
  if (!shape) return null
  const frame = mapFrame(lines, width)
  const path = (
    spots: Parameters<typeof pathOf>[2],
    stroke: number,
    fill = 'none',
    closed = true,
  ) =>
    `<path d="${pathOf(frame, shape.view, spots, closed)}" fill="${fill}" stroke="#000000" stroke-width="${stroke}"/>`
  const [top, bottom] =
    shape.view === 'side' ? [0, frame.ground] : [frame.planTop - 4, frame.height]
  const body =
    shape.view === 'side'
      ? [
          path(lines.body, 1.6),
          ...[...lines.keels, ...lines.rudders, ...lines.houses].map((one) => path(one, 1.6)),
          ...lines.masts.map((one) => path(one, 2, 'none', false)),
          path(
            [
              [-0.02, 0],
              [1.02, 0],
            ],
            0.6,
            'none',
            false,
          ),
        ]
      : [
          ...lines.decks.map((one) => path(one, 1.6)),
          ...lines.deckLines.map((one) => path(one, 0.8)),
        ]
  const place = path(shape.corners, 2.6, '#c4c4c4')
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 ${top.toFixed(1)} ${width} ${(bottom - top).toFixed(1)}" width="${width}" height="${(bottom - top).toFixed(1)}">${place}${body.join('')}</svg>`
}
