import { entities } from './entities'
import type { Entities, EntityName, Row } from './entities'
import type { Field, PatchOf } from './field'

/** The values of a new row: what is given, the initial value for the rest. */
export function withInitials<Name extends EntityName>(
  entity: Name,
  given: PatchOf<Entities[Name]>,
): Record<string, unknown> {
  const values: Record<string, unknown> = {}
  for (const [name, field] of Object.entries(entities[entity]) as [string, Field<unknown>][]) {
    const value = (given as Record<string, unknown>)[name]
    if (value !== undefined) values[name] = value
    else if (field.initial !== undefined) values[name] = structuredClone(field.initial)
  }
  return values
}

/** A row at version 1 made of what is given and the initial values. Precondition: the needed fields are given. */
export const newRow = <Name extends EntityName>(
  entity: Name,
  id: string,
  given: PatchOf<Entities[Name]>,
): Row<Name> => ({ id, version: 1, ...withInitials(entity, given) }) as unknown as Row<Name>
