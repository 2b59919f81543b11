import type { ChangeItem, RowChange } from './changes'
import type { EntityName } from './entities'
import { withInitials } from './newRow'
import type { RefitRows } from './refit'

type Loose = { readonly id: string; readonly version: number }

/** Rows with some replaced, added or taken away. The given rows are not touched. */
export function applyRows(rows: RefitRows, changes: readonly RowChange[]): RefitRows {
  const touched = new Map<EntityName, Map<string, Loose | null>>()
  for (const { entity, id, row } of changes) {
    const ofKind = touched.get(entity) ?? new Map<string, Loose | null>()
    touched.set(entity, ofKind)
    ofKind.set(id, row as Loose | null)
  }
  const next: Record<string, readonly Loose[]> = { ...rows }
  for (const [entity, changed] of touched) {
    const kept = (rows[entity] as readonly Loose[]).map((row) => {
      const now = changed.get(row.id)
      if (now === undefined) return row
      changed.delete(row.id)
      // Answers and events cross: an older row never replaces a newer one.
      return now !== null && now.version < row.version ? row : now
    })
    const added = [...changed.values()]
    next[entity] = [...kept, ...added].filter((row): row is Loose => row !== null)
  }
  return next as RefitRows
}

/** Rows as they would be after a list of operations, for "what if". Nothing is checked. */
export function supposing(rows: RefitRows, items: readonly ChangeItem[]): RefitRows {
  let supposed = rows
  for (const item of items) {
    const current = (supposed[item.entity] as readonly Loose[]).find((row) => row.id === item.id)
    const row =
      item.op === 'create'
        ? { id: item.id, version: 1, ...withInitials(item.entity, item.patch as never) }
        : item.op === 'patch' && current
          ? { ...current, ...item.patch, version: current.version + 1 }
          : null
    supposed = applyRows(supposed, [{ entity: item.entity, id: item.id, row }])
  }
  return supposed
}
