import type { EntityName } from '#core/model/entities'
import { fieldOf } from '#core/model/references'
import { inOrder } from '#core/model/refit'
import type { RefitRows } from '#core/model/refit'
import { sayChoice } from '#core/model/sayValue'

interface Option {
  readonly value: string
  readonly label: string
}

/** The choices of a field with their words. */
export const optionsOf = (entity: EntityName, field: string): Option[] =>
  (fieldOf(entity, field).options ?? []).map((value) => ({
    value,
    label: sayChoice(fieldOf(entity, field), value),
  }))

/** Rows of a kind to choose from, by name; in their order where they have one. */
export function rowOptions(rows: RefitRows, entity: EntityName): Option[] {
  type Named = { id: string; order?: string; name?: string; title?: string; gone?: boolean }
  const list = (rows[entity] as unknown as readonly Named[]).filter((one) => !one.gone)
  const ordered = list.every((one) => typeof one.order === 'string')
    ? inOrder(list as readonly (Named & { order: string })[])
    : list
  return ordered.map((one) => ({ value: one.id, label: one.name ?? one.title ?? one.id }))
}

/** What stands in a field that was emptied: nothing, or an empty text where it cannot be nothing. */
export const emptyOf = (entity: EntityName | undefined, field: string): null | '' =>
  entity && !fieldOf(entity, field).nullable && fieldOf(entity, field).kind === 'text' ? '' : null
