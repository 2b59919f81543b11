import { entities, entityNames, kinds } from './entities'
import type { EntityName } from './entities'
import type { Field, Fields, OnDelete } from './field'

/** A field of one kind of row that points to another. */
export interface Reference {
  readonly from: EntityName
  readonly field: string
  readonly to: EntityName
  readonly many: boolean
  /** What becomes of the row when that to which it points is taken away. */
  readonly onDelete: OnDelete | 'letsGo'
  /** A copy of that to which it points takes a copy of the row along. */
  readonly copied: boolean
}

/** The fields of a kind of row with their names. */
export const fieldsOf = (entity: EntityName): [string, Field<unknown>][] =>
  Object.entries(entities[entity] as Fields)

/** The description of a field. Throws RangeError when there is none of that name. */
export function fieldOf(entity: EntityName, field: string): Field<unknown> {
  const found = (entities[entity] as Fields)[field]
  if (!found) throw new RangeError(`fieldOf: there is no ${entity}.${field}`)
  return found
}

/** Every reference between kinds of rows. */
export const references: readonly Reference[] = entityNames.flatMap((from) =>
  fieldsOf(from).flatMap(([field, spec]): Reference[] =>
    spec.to === undefined
      ? []
      : [
          {
            from,
            field,
            to: spec.to as EntityName,
            many: spec.kind === 'refs',
            onDelete: spec.onDelete ?? 'letsGo',
            copied: spec.copied === true,
          },
        ],
  ),
)

/** Fields that name a kept file, with its folder. */
export const fileFields = entityNames.flatMap((entity) =>
  fieldsOf(entity).flatMap(([field, { folder }]) => (folder ? [{ entity, field, folder }] : [])),
)

/** What a row with a file is called: its title, or what is written under it. */
export const fileTitle = (row: Readonly<Record<string, unknown>>): string =>
  String(row.title ?? row.caption ?? '')

/** Names of kinds of rows for sentences. */
export const entityWord = Object.fromEntries(
  entityNames.map((name) => [name, kinds[name].word]),
) as Readonly<Record<EntityName, string>>

/** Kinds of rows that the program works out by itself: kept, but neither journalled nor sent to everybody. */
export const isComputed = (entity: EntityName): boolean => kinds[entity].computed === true

/** Fields that the server alone changes; a row brought in whole may have them. */
export const isByServer = (entity: EntityName, field: string): boolean =>
  (entities[entity] as Fields)[field]?.byServer === true
