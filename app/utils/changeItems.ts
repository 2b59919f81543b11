import type { ChangeItem } from '#core/model/changes'
import type { EntityName } from '#core/model/entities'

/** A new row, with an id of its own. */
export const creation = (
  entity: EntityName,
  patch: Readonly<Record<string, unknown>>,
  id: string = newId(),
): ChangeItem => ({ op: 'create', entity, id, patch })
