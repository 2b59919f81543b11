import type { Transaction } from 'sequelize'
import { entities, entityNames } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import type { RefitRows } from '#core/model/refit'
import type { Models } from '../db/models'

export type Plain = Readonly<Record<string, unknown>>

/** Rows of a refit by kind and id while a change is applied to them. */
export type Working = { -readonly [Name in EntityName]: Map<string, Plain> }

/** A stored row as core and clients know it: id, version and its fields. */
export function plainRow(entity: EntityName, stored: Plain): Plain {
  const row: Record<string, unknown> = { id: stored.id, version: stored.version }
  for (const name of Object.keys(entities[entity])) row[name] = stored[name]
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
      const found = await models.rows[entity].findAll({
        where: { refitId, deletedAt: null },
        order: ['id'],
        transaction,
        raw: false,
      })
      return [entity, found.map((row) => plainRow(entity, row.get({ plain: true }) as Plain))]
    }),
  )
  return Object.fromEntries(lists) as RefitRows
}

/** The number of the last change; 0 when there was none. */
export async function lastSeq(
  models: Models,
  refitId: string,
  transaction?: Transaction,
): Promise<number> {
  const last = await models.change.findOne({
    where: { refitId },
    attributes: ['seq'],
    order: [['seq', 'DESC']],
    transaction,
  })
  return (last?.get('seq') as number | undefined) ?? 0
}
