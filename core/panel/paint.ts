/** Painting cells: one tool, one stroke, and what becomes of the cell. */
import type { CoreCell, CoreCells } from '../model/entities/walk'

export type PaintTool =
  | { readonly is: 'meter'; readonly value: number }
  | { readonly is: 'tap'; readonly value: 'dull' | 'sharp' }
  | { readonly is: 'probe'; readonly mm: number }
  | { readonly is: 'sample'; readonly value: NonNullable<CoreCell['sample']> }
  | { readonly is: 'off' }

/** A cell with one more reading; undefined: nothing is left in it. */
function painted(cell: CoreCell | undefined, tool: PaintTool): CoreCell | undefined {
  switch (tool.is) {
    case 'meter':
      return { ...cell, meter: tool.value }
    case 'tap':
      return { ...cell, tap: tool.value }
    case 'probe':
      return { ...cell, probeMm: tool.mm }
    case 'sample':
      return { ...cell, sample: tool.value }
    case 'off':
      return undefined
  }
}

export function paintCell(cells: CoreCells, key: string, tool: PaintTool): CoreCells {
  const next = painted(cells[key], tool)
  if (next) return { ...cells, [key]: next }
  const { [key]: _, ...rest } = cells
  return rest
}

/** A cell for those who do not see it. */
export function sayCell(cell: CoreCell | undefined): string {
  if (!cell) return 'not read'
  return [
    cell.meter === undefined ? null : String(cell.meter),
    cell.tap ? `tap ${cell.tap}` : null,
    cell.probeMm === undefined ? null : `probe ${cell.probeMm} mm`,
    cell.sample ? `sample ${cell.sample}` : null,
  ]
    .filter(Boolean)
    .join(', ')
}

/** Outline of a panel measured by its width at equal distances from one end. Metres; two widths and more. */
export function outlineByWidths(
  lengthM: number,
  widthsM: readonly number[],
): (readonly [number, number])[] {
  const last = widthsM.length - 1
  return [
    [0, 0],
    [lengthM, 0],
    ...widthsM
      .map((width, at): readonly [number, number] => [(lengthM * at) / last, width])
      .reverse()
      .filter(([x, y]) => y > 0 || (x > 0 && x < lengthM)),
  ]
}
