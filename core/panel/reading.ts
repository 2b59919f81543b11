import type { CoreCell, CoreCells, PanelFitting } from '../model/entities/walk'
import type { CoreMap, Panel } from '../model/entities'
import type { GridCell, PanelGrid } from './grid'

/** How a cell counts. 'dull': the tap, or a sample that came away, without the meter saying wet. */
export type CellState = 'wet' | 'damp' | 'dull' | 'dry' | 'unread'
type Thresholds = Pick<Panel, 'wetFrom' | 'dampFrom'>

/**
 * How a cell counts: a sample outranks tap and meter. A wet or powdery sample is wet; a parted one is to be
 * opened; a sound one is dry whatever the meter says.
 */
export function cellState(
  cell: CoreCell | undefined,
  { wetFrom, dampFrom }: Thresholds,
): CellState {
  if (!cell) return 'unread'
  if (cell.sample === 'wet' || cell.sample === 'powder') return 'wet'
  if (cell.sample === 'sound') return 'dry'
  const { meter } = cell
  if (meter !== undefined && meter >= wetFrom) return 'wet'
  if (cell.sample === 'parted' || cell.tap === 'dull')
    return meter !== undefined && meter >= dampFrom ? 'damp' : 'dull'
  if (meter === undefined) return cell.tap === 'sharp' ? 'dry' : 'unread'
  return meter >= dampFrom ? 'damp' : 'dry'
}

/** True for what a repair opens: wet, damp and dull. */
const isOpened = (state: CellState): boolean =>
  state === 'wet' || state === 'damp' || state === 'dull'

export interface MapFigures {
  readonly wetM2: number
  readonly dampM2: number
  /** Area where the tap is dull, whatever else was found. */
  readonly dullM2: number
  /** Wet, damp and dull together: what a repair opens. */
  readonly openM2: number
  /** Wet share of the panel, 0 to 1. */
  readonly wetShare: number
  /** Area of the panel that nobody read. */
  readonly unreadM2: number
  /** Null: no meter reading. */
  readonly highest: number | null
  readonly wetKeys: ReadonlySet<string>
  /** Deepest probe, mm; null: none. */
  readonly deepestMm: number | null
}

/** Areas of a map: each cell counts by its share on the panel. */
export function mapFigures(grid: PanelGrid, cells: CoreCells, thresholds: Thresholds): MapFigures {
  const states = new Map(grid.cells.map((one) => [one.key, cellState(cells[one.key], thresholds)]))
  const cellM2 = grid.cellM ** 2
  const areaOf = (counts: (one: GridCell) => boolean) =>
    grid.cells.reduce((sum, one) => sum + (counts(one) ? one.share * cellM2 : 0), 0)
  const is = (...wanted: CellState[]) =>
    areaOf((one) => wanted.includes(states.get(one.key) as CellState))
  const wetM2 = is('wet')
  const onPanel = grid.cells.map((one) => cells[one.key])
  const meters = onPanel.flatMap((cell) => (cell?.meter === undefined ? [] : [cell.meter]))
  const probes = onPanel.flatMap((cell) => (cell?.probeMm === undefined ? [] : [cell.probeMm]))
  return {
    wetM2,
    dampM2: is('damp'),
    dullM2: areaOf((one) => cells[one.key]?.tap === 'dull'),
    openM2: areaOf((one) => isOpened(states.get(one.key) as CellState)),
    wetShare: grid.areaM2 > 0 ? wetM2 / grid.areaM2 : 0,
    unreadM2: is('unread'),
    highest: meters.length > 0 ? Math.max(...meters) : null,
    wetKeys: new Set(
      grid.cells.filter((one) => states.get(one.key) === 'wet').map((one) => one.key),
    ),
    deepestMm: probes.length > 0 ? Math.max(...probes) : null,
  }
}

export interface LikelySource {
  readonly fitting: PanelFitting
  readonly distanceM: number
  readonly reading: number
}

/** Beyond this a fitting is no longer called the source of what was read, metres. Assumed. */
const reachM = 0.5

/**
 * The fitting nearest the highest reading; of several cells that read the same, the one nearest a fitting.
 * Null: nothing read as damp, no fitting, or none within half a metre.
 */
export function likelySource(
  grid: PanelGrid,
  cells: CoreCells,
  { fittings, dampFrom }: Pick<Panel, 'fittings' | 'dampFrom'>,
): LikelySource | null {
  const read = grid.cells.flatMap((one) => {
    const meter = cells[one.key]?.meter
    return meter === undefined || cells[one.key]?.sample === 'sound' ? [] : [{ ...one, meter }]
  })
  const highest = Math.max(...read.map((one) => one.meter))
  if (!(highest >= dampFrom)) return null
  let best: LikelySource | null = null
  for (const { centre } of read.filter((one) => one.meter === highest))
    for (const fitting of fittings) {
      const distanceM = Math.hypot(centre[0] - fitting.at[0], centre[1] - fitting.at[1])
      if (distanceM <= reachM && distanceM < (best?.distanceM ?? Infinity))
        best = { fitting, distanceM, reading: highest }
    }
  return best
}

/** The highest reading in the cell of a fitting or beside it; null: nobody read there. */
export function readingAt(fitting: PanelFitting, grid: PanelGrid, cells: CoreCells): number | null {
  const near = grid.cells.flatMap((one) => {
    const meter = cells[one.key]?.meter
    const far = Math.hypot(one.centre[0] - fitting.at[0], one.centre[1] - fitting.at[1])
    return meter !== undefined && far <= grid.cellM * 0.75 ? [meter] : []
  })
  return near.length > 0 ? Math.max(...near) : null
}

/** What became of the wet area between two maps of one panel, m². */
export interface Spread {
  readonly since: string
  readonly grewM2: number
  /** Wet now where it was not before. */
  readonly newM2: number
}

/** The map before, by date; null: this is the first. */
export const mapBefore = (map: CoreMap, maps: readonly CoreMap[]): CoreMap | null =>
  maps
    .filter((one) => one.panelId === map.panelId && one.takenOn < map.takenOn)
    .sort((a, b) => (a.takenOn < b.takenOn ? 1 : -1))[0] ?? null

export function spreadSince(
  grid: PanelGrid,
  now: CoreMap,
  before: CoreMap,
  thresholds: Thresholds,
): Spread {
  const [is, was] = [now, before].map((map) => mapFigures(grid, map.cells, thresholds)) as [
    MapFigures,
    MapFigures,
  ]
  const fresh = grid.cells.filter((one) => is.wetKeys.has(one.key) && !was.wetKeys.has(one.key))
  return {
    since: before.takenOn,
    grewM2: is.wetM2 - was.wetM2,
    newM2: fresh.reduce((sum, one) => sum + one.share * grid.cellM ** 2, 0),
  }
}

/** Sides of cells between those of a set and the rest: from, to, in columns and rows. */
export function edgesOf(keys: ReadonlySet<string>): (readonly [number, number, number, number])[] {
  return [...keys].flatMap((key) => {
    const [c, r] = key.split(':').map(Number) as [number, number]
    const sides = [
      [c, r - 1, [c, r, c + 1, r]],
      [c, r + 1, [c, r + 1, c + 1, r + 1]],
      [c - 1, r, [c, r, c, r + 1]],
      [c + 1, r, [c + 1, r, c + 1, r + 1]],
    ] as const
    return sides.filter(([x, y]) => !keys.has(`${x}:${y}`)).map(([, , side]) => side)
  })
}
