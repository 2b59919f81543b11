import { QueryTypes } from 'sequelize'
import { entities, entityNames } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import type { Field, FieldKind, Fields } from '#core/model/field'
import { emptyRows } from '#core/model/refit'
import type { RefitRows } from '#core/model/refit'
import type { Database } from '../db/connect'

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

/** One question to every table of rows, answered in one go. */
const toAllTables = (question: (entity: EntityName) => string): string =>
  entityNames.map(question).join(' UNION ALL ')
const whichHaveRows = toAllTables(
  (entity) => `SELECT '${entity}' AS entity
    WHERE EXISTS (SELECT 1 FROM "${entity}" WHERE refitId = :refitId AND deletedAt IS NULL)`,
)
const whatIsGone = toAllTables(
  (entity) => `SELECT '${entity}' AS entity, id, version
    FROM "${entity}" WHERE refitId = :refitId AND deletedAt IS NOT NULL`,
)

/** All live rows of a refit, by kind. */
export async function readRows(
  { sequelize, models }: Database,
  refitId: string,
): Promise<RefitRows> {
  const kinds = await sequelize.query<{ entity: EntityName }>(whichHaveRows, {
    type: QueryTypes.SELECT,
    replacements: { refitId },
  })
  const lists = await Promise.all(
    kinds.map(async ({ entity }) => {
      // Raw: making a model of each row takes longer than reading it.
      const found = await models.rows[entity].findAll({
        where: { refitId, deletedAt: null },
        order: ['id'],
        raw: true,
      })
      return [entity, found.map((row) => plainRow(entity, row as unknown as Plain))]
    }),
  )
  return { ...emptyRows(), ...(Object.fromEntries(lists) as Partial<RefitRows>) }
}

/** Removed rows of a refit, with the version at which they went. */
export const readGone = (
  { sequelize }: Database,
  refitId: string,
): Promise<readonly { entity: EntityName; id: string; version: number }[]> =>
  sequelize.query(whatIsGone, { type: QueryTypes.SELECT, replacements: { refitId } })
