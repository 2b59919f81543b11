import type { ChangeItem, RowChange } from './changes'
import { entityNames } from './entities'
import type { EntityName } from './entities'
import { withInitials } from './newRow'
import type { RefitRows } from './refit'

type Loose = { readonly id: string; readonly version: number }

/** Rows with some replaced, added or taken away. The given rows are not touched. */
function replaced(
  rows: RefitRows,
  changes: readonly RowChange[],
  choose: (before: Loose, now: Loose | null) => Loose | null,
): RefitRows {
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
      return choose(row, now)
    })
    const added = [...changed.values()]
    next[entity] = [...kept, ...added].filter((row): row is Loose => row !== null)
  }
  return next as RefitRows
}

/** Rows after changes that were heard. Answers and events cross: an older row never replaces a newer one. */
export const applyRows = (rows: RefitRows, changes: readonly RowChange[]): RefitRows =>
  replaced(rows, changes, (before, now) =>
    now !== null && now.version < before.version ? before : now,
  )

/** Rows after a difference that `rowsBetween` found, whatever the versions say. */
export const applyDifference = (rows: RefitRows, changes: readonly RowChange[]): RefitRows =>
  replaced(rows, changes, (_, now) => now)

const asRecord = (row: Loose): Readonly<Record<string, unknown>> =>
  row as unknown as Readonly<Record<string, unknown>>

/** What makes `after` of `before`: rows are told apart by being another object. Order of rows is no difference. */
export function rowsBetween(before: RefitRows, after: RefitRows): RowChange[] {
  return entityNames.flatMap((entity): RowChange[] => {
    const [was, is] = [before[entity] as readonly Loose[], after[entity] as readonly Loose[]]
    if (was === is) return []
    const old = new Map(was.map((row) => [row.id, row]))
    const changed: RowChange[] = []
    for (const row of is) {
      if (old.get(row.id) !== row) changed.push({ entity, id: row.id, row: asRecord(row) })
      old.delete(row.id)
    }
    return [...changed, ...[...old.keys()].map((id) => ({ entity, id, row: null }))]
  })
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
