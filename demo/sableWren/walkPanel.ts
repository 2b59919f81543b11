import type { CoreCell, CoreCells, PanelPoint } from '#core/model/entities/walk'
import { keysAfter } from '#core/model/order'
import { createRandom } from '#core/random'
import type { Writer } from '../write'

/** Stem to the left, centreline along the top; metres. */
const foredeck: readonly PanelPoint[] = [
  [0, 0],
  [2.04, 0],
  [2.04, 1.3],
  [1.68, 1.14],
  [1.2, 0.88],
  [0.72, 0.6],
  [0.3, 0.38],
  [0, 0.22],
]
const cleat: PanelPoint = [0.96, 0.6]
const cellM = 0.12

/** A map as somebody taps and reads it: dry all over but for a round wet place at the cleat. */
function mapCells(seed: number, peak: number, reach: number, dull: number): CoreCells {
  const random = createRandom(seed)
  const cells: Record<string, CoreCell> = {}
  for (let row = 0; row < 11; row++)
    for (let column = 0; column < 17; column++) {
      const [x, y] = [(column + 0.5) * cellM, (row + 0.5) * cellM]
      const far = Math.hypot(x - cleat[0], y - cleat[1])
      const dry = 8 + Math.round(random() * 3)
      cells[`${column}:${row}`] = {
        meter: Math.round(dry + peak * Math.exp(-((far / reach) ** 2))),
        tap: far < dull ? 'dull' : 'sharp',
      }
    }
  return cells
}

/** Three maps of the port foredeck: as lifted out, after the winter, and drying. */
export function writePanel(write: Writer): void {
  write.add('panel', 'panel-port', {
    title: 'Foredeck, port',
    zoneId: 'zone-foredeck-port',
    outline: foredeck,
    datum: 'Centreline, stem to the left',
    cellM,
    fittings: [
      { title: 'Bow roller', at: [0.26, 0.14] },
      { title: 'Cleat', at: cleat },
      { title: 'Stanchion 1', at: [1.7, 1.06] },
    ],
    dryReading: 9.2,
    dryReadingAt: 'Side deck, port, re-cored in season one',
    coreMm: 16,
    order: keysAfter(null, 1)[0] as string,
  })
  const more = (cells: CoreCells, extra: CoreCells): CoreCells => {
    const all: Record<string, CoreCell> = { ...cells }
    for (const [key, cell] of Object.entries(extra)) all[key] = { ...all[key], ...cell }
    return all
  }
  const probes = {
    '7:5': { probeMm: 16 },
    '8:5': { probeMm: 14 },
    '6:5': { probeMm: 12 },
    '9:4': { probeMm: 9 },
    '7:6': { probeMm: 8 },
    '3:1': { probeMm: 0 },
  }
  const maps: readonly (readonly [string, string, CoreCells, string])[] = [
    ['map-autumn', '2026-10-04', mapCells(11, 12, 0.19, 0.14), 'As lifted out'],
    [
      'map-spring',
      '2027-03-06',
      more(mapCells(12, 23, 0.29, 0.31), { '7:4': { sample: 'wet' } }),
      'After a winter under a bad cover',
    ],
    [
      'map-now',
      '2027-04-17',
      more(mapCells(13, 15, 0.29, 0.31), {
        ...probes,
        '7:4': { sample: 'wet' },
        '10:5': { sample: 'parted' },
        '13:5': { sample: 'sound' },
      }),
      'Cleat off and covered since 6 March',
    ],
  ]
  for (const [id, on, cells, note] of maps)
    write.add('coreMap', id, {
      panelId: 'panel-port',
      takenOn: write.date(on),
      by: 'oona',
      cells,
      note,
    })
  const dried: readonly (readonly [string, number])[] = [
    ['2027-03-06', 33],
    ['2027-03-13', 31.2],
    ['2027-03-20', 30.1],
    ['2027-03-27', 28],
    ['2027-04-03', 27.4],
    ['2027-04-10', 26],
    ['2027-04-17', 24.8],
  ]
  dried.forEach(([on, value], at) =>
    write.add('dryingReading', `dry-${at + 1}`, {
      panelId: 'panel-port',
      on: write.date(on),
      value,
      note: 'Three wettest holes',
    }),
  )
}
