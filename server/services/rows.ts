import type { Transaction } from 'sequelize'
import { entities, entityNames } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import type { Field, FieldKind, Fields } from '#core/model/field'
import type { RefitRows } from '#core/model/refit'
import type { Models } from '../db/models'

export type Plain = Readonly<Record<string, unknown>>

/** Kinds of fields that a table keeps in another form: how they come back. */
const fromTable: Partial<Readonly<Record<FieldKind, (kept: unknown) => unknown>>> = {
  flag: (kept) => (kept === null ? null : Boolean(kept)),
  choices: (kept) => JSON.parse(String(kept)) as unknown,
  refs: (kept) => JSON.parse(String(kept)) as unknown,
  record: (kept) => JSON.parse(String(kept)) as unknown,
}

const readers = Object.fromEntries(
  entityNames.map((entity) => [
    entity,
    (Object.entries(entities[entity] as Fields) as [string, Field<unknown>][]).map(
      ([name, { kind }]) => [name, fromTable[kind] ?? ((kept: unknown) => kept)] as const,
    ),
  ]),
) as unknown as Readonly<
  Record<EntityName, readonly (readonly [string, (kept: unknown) => unknown])[]>
>

/** A row of a table as core and clients know it: id, version and its fields. */
export function plainRow(entity: EntityName, stored: Plain): Plain {
  const row: Record<string, unknown> = { id: stored.id, version: stored.version }
  for (const [name, reader] of readers[entity]) row[name] = reader(stored[name])
  return row
}

/** All live rows of a refit, by kind. */
export async function readRows(
  models: Models,
  refitId: string,
  transaction?: Transaction,
): Promise<RefitRows> {
  const lists = await Promise.all(
    entityNames.map(async (entity) => {
      // Raw: making a model of each row takes longer than reading it.
      const found = await models.rows[entity].findAll({
        where: { refitId, deletedAt: null },
        order: ['id'],
        transaction,
        raw: true,
      })
      return [entity, found.map((row) => plainRow(entity, row as unknown as Plain))]
    }),
  )
  return Object.fromEntries(lists) as RefitRows
}
