/** Short ways to write blocks down. */
import type { Section, TableBlock } from './blocks'

type Part = Section['blocks'][number]

export const heading = (level: 1 | 2 | 3 | 4, text: string): Part => ({
  kind: 'heading',
  level,
  text,
})
/** Nothing where nothing is said. */
export const text = (said: string): Part[] =>
  said.trim() === '' ? [] : [{ kind: 'text', text: said }]
/** Nothing where it has no rows. */
export const table = (
  head: readonly string[],
  rows: readonly (readonly string[])[],
): TableBlock[] => (rows.length === 0 ? [] : [{ kind: 'table', head, rows }])
