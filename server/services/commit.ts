/** Writes staged changes, all in one transaction, and tells everybody what became of them. */
import { Transaction } from 'sequelize'
import { entities, entityNames } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import { database } from '../db/store'
import type { Models } from '../db/models'
import { tell } from './bus'
import { trimJournal, writeJournal } from './journal'
import { log } from './log'
import type { Staged } from './stage'

/** Rows written in one statement: a statement has a most of a million letters. */
const mostRows = 200
/** Every so many changes the journal is trimmed. */
const trimEvery = 100

const columns = Object.fromEntries(
  entityNames.map((entity) => [
    entity,
    [...Object.keys(entities[entity]), 'version', 'seq', 'deletedAt'],
  ]),
) as Readonly<Record<EntityName, string[]>>

/** Rows as the changes leave them, each once, put in place of what the tables hold. */
async function writeRows(
  models: Models,
  staged: readonly Staged[],
  transaction: Transaction,
): Promise<void> {
  const last = new Map<EntityName, Map<string, Record<string, unknown>>>()
  for (const { one, seq, at, applied } of staged)
    for (const { item, before, after } of applied) {
      const rows = last.get(item.entity) ?? new Map<string, Record<string, unknown>>()
      last.set(item.entity, rows)
      rows.set(`${one.refitId} ${item.id}`, {
        ...(after ?? before),
        id: item.id,
        refitId: one.refitId,
        seq,
        deletedAt: after ? null : at,
      })
    }
  for (const [entity, rows] of last) {
    const list = [...rows.values()]
    for (let at = 0; at < list.length; at += mostRows)
      await models.rows[entity].bulkCreate(list.slice(at, at + mostRows), {
        transaction,
        updateOnDuplicate: columns[entity],
      })
  }
}

/** More to be done in the same transaction, before the changes. */
export type Before = (models: Models, transaction: Transaction) => Promise<void>

/**
 * Writes what was staged, or none of it and takes all of it back. Precondition: nobody else writes.
 */
export async function commit(staged: readonly Staged[], before?: Before): Promise<void> {
  if (staged.length === 0) return
  try {
    const { sequelize, models } = await database()
    await sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, async (transaction) => {
      await before?.(models, transaction)
      for (const { one, applied } of staged)
        if (applied.some(({ item }) => item.entity === 'refit' && item.op === 'create'))
          await models.life.upsert({ refitId: one.refitId, epoch: one.epoch }, { transaction })
      await writeRows(models, staged, transaction)
      await writeJournal(models, staged, transaction)
      for (const { one, undoes } of staged)
        if (undoes !== null)
          await models.change.update(
            { undone: true },
            { where: { refitId: one.refitId, seq: undoes }, transaction },
          )
    })
  } catch (error) {
    for (const each of [...staged].reverse()) each.rollBack()
    throw error
  }
  for (const { one } of staged) one.keep()
  for (const { one, heard } of staged) tell(one.refitId, heard)
  for (const { one, seq } of staged)
    if (seq % trimEvery === 0)
      await trim(one.refitId, one.rows.refit[0]?.historyKept ?? Number.MAX_SAFE_INTEGER)
}

/** Trimming is housekeeping: the changes stand whether it works or not. */
async function trim(refitId: string, kept: number): Promise<void> {
  try {
    await trimJournal((await database()).models, refitId, kept)
  } catch (error) {
    log.error({ err: error }, 'the journal could not be trimmed')
  }
}
