import type { EntityName, Row } from '#core/model/entities'
import { entityWord } from '#core/model/references'

/** Plain edits of one kind of row, for the lists in Settings. */
export function useRows<Name extends EntityName>(entity: Name) {
  const store = useRefitStore()
  const word = entityWord[entity]
  const nameOf = (row: Row<Name>): string => ('name' in row ? String(row.name) : word)
  return {
    edit: (row: Row<Name>, patch: Record<string, unknown>) =>
      store.attempt(`Change ${nameOf(row)}`, [
        { op: 'patch', entity, id: row.id, baseVersion: row.version, patch },
      ]),
    add: async (patch: Record<string, unknown>): Promise<string | null> => {
      const id = newId()
      const done = await store.attempt(`New ${word}`, [{ op: 'create', entity, id, patch }])
      return done ? id : null
    },
    remove: (row: Row<Name>) =>
      store.attempt(`Remove ${nameOf(row)}`, [
        { op: 'delete', entity, id: row.id, baseVersion: row.version },
      ]),
  }
}
