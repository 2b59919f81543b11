import type { EntityName, Row } from '#core/model/entities'
import { entityWord } from '#core/model/references'

/** Plain edits of one kind of row, for the lists in Settings. */
export function useRows<Name extends EntityName>(entity: Name) {
  const store = useRefitStore()
  const word = entityWord[entity]
  const nameOf = (row: Row<Name>): string => ('name' in row ? String(row.name) : word)
  /** The row as it will be when all that this window asked for has gone through: what a next change of a list rests on. */
  const asked = (row: Row<Name>): Row<Name> => store.askedRow(entity, row)
  const edit = (row: Row<Name>, patch: Record<string, unknown>) =>
    store.attempt(`Change ${nameOf(row)}`, [
      { op: 'patch', entity, id: row.id, baseVersion: row.version, patch },
    ])
  return {
    edit,
    asked,
    /** Puts something into a list of a row, or takes it out. Ticked faster than the server answers, each builds on the one before. */
    tick: (row: Row<Name>, field: keyof Row<Name> & string, value: number | string) => {
      const list = asked(row)[field] as readonly (number | string)[]
      const without = list.filter((one) => one !== value)
      return edit(row, {
        [field]: without.length < list.length ? without : [...list, value].sort(),
      })
    },
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
