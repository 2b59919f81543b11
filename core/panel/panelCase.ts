import type { CoreMap, Panel, Zone } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { daysBetween } from '../time/civil'
import { backAndForth } from '../walk/waysIn'
import { dryingOf } from './drying'
import type { Drying } from './drying'
import { gridOf } from './grid'
import type { PanelGrid } from './grid'
import { cellState, edgesOf, likelySource, mapBefore, mapFigures, spreadSince } from './reading'
import type { LikelySource, MapFigures, Spread } from './reading'
import type { PanelCase } from './ways'

/** Everything that one map of a panel says, with what came before it. */
export interface PanelFigures {
  readonly grid: PanelGrid
  readonly figures: MapFigures
  readonly source: LikelySource | null
  readonly before: CoreMap | null
  readonly spread: Spread | null
  readonly drying: Drying
  readonly about: PanelCase
}

/** Growth under this is the meter, not the water, m². Assumed: a third of a hand. */
const noise = 0.005

/** Works a map out. `today` is a civil date of the refit's zone; `maps` may be those of other panels too. */
export function panelFigures(
  rows: Pick<RefitRows, 'coreMap' | 'dryingReading' | 'zone' | 'wayIn'>,
  panel: Panel,
  map: CoreMap,
  today: string,
): PanelFigures {
  const grid = gridOf(panel)
  const figures = mapFigures(grid, map.cells, panel)
  const before = mapBefore(map, rows.coreMap)
  const spread = before && spreadSince(grid, map, before, panel)
  const readings = rows.dryingReading.filter((one) => one.panelId === panel.id)
  const drying: Drying =
    panel.dryReading === null
      ? { is: 'tooFew', more: Math.max(1, 3 - readings.length) }
      : dryingOf(readings, panel.dryReading, panel.dampFrom)
  const zone = rows.zone.find((one) => one.id === panel.zoneId)
  return {
    grid,
    figures,
    source: likelySource(grid, map.cells, panel),
    before,
    spread,
    drying,
    about: {
      panel,
      figures,
      spreading: everSpread(grid, panel, map, rows.coreMap),
      ...samplesOf(map),
      drying,
      daysToDry: drying.is === 'falling' ? Math.max(0, daysBetween(today, drying.on)) : null,
      liningHours: liningHours(rows, zone),
      ...opened(grid, panel, map),
      outerMm: zone?.outerMm ?? null,
    },
  }
}

/** True when the wet area grew between any two maps up to this one: what spread once spreads until it is opened. */
function everSpread(
  grid: PanelGrid,
  panel: Panel,
  map: CoreMap,
  maps: readonly CoreMap[],
): boolean {
  for (let now: CoreMap = map; ;) {
    const before = mapBefore(now, maps)
    if (!before) return false
    if (spreadSince(grid, now, before, panel).grewM2 > noise) return true
    now = before
  }
}

function samplesOf(map: CoreMap) {
  const samples = new Set(Object.values(map.cells).map((cell) => cell.sample))
  return {
    parted: samples.has('parted'),
    powder: samples.has('powder'),
    wetSample: samples.has('wet'),
  }
}

function liningHours(rows: Pick<RefitRows, 'wayIn'>, zone: Zone | undefined): number | null {
  const way = rows.wayIn.find((one) => one.id === zone?.wayInId)
  return way ? backAndForth(way, rows.wayIn) : null
}

/** The edge of what a repair opens, and how many fittings sit in it. */
function opened(grid: PanelGrid, panel: Panel, map: CoreMap) {
  const keys = new Set(
    grid.cells
      .filter((one) => ['wet', 'damp', 'dull'].includes(cellState(map.cells[one.key], panel)))
      .map((one) => one.key),
  )
  const cellOf = ([x, y]: readonly [number, number]): string =>
    `${Math.floor((x - grid.from[0]) / grid.cellM)}:${Math.floor((y - grid.from[1]) / grid.cellM)}`
  return {
    edgeM: edgesOf(keys).length * grid.cellM,
    fittingsInIt: panel.fittings.filter((one) => keys.has(cellOf(one.at))).length,
  }
}
