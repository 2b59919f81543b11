/** Rows once more: what hangs on them is copied along, what belongs to the first alone begins again. */
import type { ChangeItem } from './changes'
import type { EntityName } from './entities'
import { fieldsOf, references } from './references'
import type { RefitRows } from './refit'
import { plainRows } from './removal'

type Plain = Readonly<Record<string, unknown>> & { readonly id: string }

/** The values of a copy: as they stand, and initial ones where a field begins again. */
function copiedValues(entity: EntityName, row: Plain): Record<string, unknown> {
  return Object.fromEntries(
    fieldsOf(entity).map(([name, field]) => [name, field.fresh ? field.initial : row[name]]),
  )
}

/**
 * Copies a row and, as their descriptions say, the rows that hang on it; references among them point to
 * the copies. `skip` leaves rows out; `given` are values of the first copy. Creations in an order in
 * which each finds what it points to.
 */
export function copyOf(
  rows: RefitRows,
  entity: EntityName,
  id: string,
  newId: () => string,
  given: Readonly<Record<string, unknown>> = {},
  skip: (entity: EntityName, row: Plain) => boolean = () => false,
): ChangeItem[] {
  const ids = new Map<string, string>()
  const taken: { entity: EntityName; row: Plain }[] = []
  const take = (name: EntityName, one: Plain): void => {
    if (ids.has(one.id) || skip(name, one)) return
    ids.set(one.id, newId())
    taken.push({ entity: name, row: one })
    for (const { from, field } of references.filter((ref) => ref.copied && ref.to === name))
      for (const user of plainRows(rows, from)) if (user[field] === one.id) take(from, user)
  }
  for (const row of plainRows(rows, entity)) if (row.id === id) take(entity, row)
  return taken.map(({ entity: name, row: one }) => {
    const values = copiedValues(name, one)
    for (const { from, field } of references)
      if (from === name && typeof values[field] === 'string')
        values[field] = ids.get(values[field]) ?? values[field]
    return {
      op: 'create',
      entity: name,
      id: ids.get(one.id) as string,
      patch: one.id === id ? { ...values, ...given } : values,
    }
  })
}
