import { boundsOf, clippedTo, polygonArea } from '../geometry/polygon'
import type { Corner } from '../geometry/polygon'
import type { Panel } from '../model/entities'

export interface GridCell {
  /** '3:0', column and row from the datum. */
  readonly key: string
  readonly column: number
  readonly row: number
  /** Share of the cell that lies on the panel, over 0 to 1. */
  readonly share: number
  /** Middle of the part on the panel's rectangle of cells, metres. */
  readonly centre: Corner
}

export interface PanelGrid {
  readonly columns: number
  readonly rows: number
  readonly cellM: number
  /** Where the first cell begins, metres. */
  readonly from: Corner
  readonly areaM2: number
  /** Cells on the panel, row by row. */
  readonly cells: readonly GridCell[]
}

/** Columns and rows a panel may have: more is a smaller panel's work, or a coarser grid's. */
const mostColumns = 120

/** Shares under which a cell is a sliver that nobody can read. */
const sliver = 0.005

/**
 * The grid over a panel: cells cut by its outline, each counted by the share inside.
 * Precondition: an outline with an area, and at most `mostColumns` cells each way.
 */
export function gridOf({ outline, cellM }: Pick<Panel, 'outline' | 'cellM'>): PanelGrid {
  const { left, right, low, high } = boundsOf(outline)
  const [columns, rows] = [right - left, high - low].map((length) =>
    Math.min(mostColumns, Math.max(1, Math.ceil(length / cellM - 1e-9))),
  ) as [number, number]
  const cells: GridCell[] = []
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const [x, y] = [left + column * cellM, low + row * cellM]
      const share = polygonArea(clippedTo(outline, x, y, x + cellM, y + cellM)) / cellM ** 2
      if (share > sliver)
        cells.push({
          key: `${column}:${row}`,
          column,
          row,
          share: Math.min(1, share),
          centre: [x + cellM / 2, y + cellM / 2],
        })
    }
  return { columns, rows, cellM, from: [left, low], areaM2: polygonArea(outline), cells }
}
