import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import type { Change, Heard, RowChange } from '#core/model/changes'
import type { EntityName } from '#core/model/entities'
import type { Models } from '../db/models'
import type { Applied } from './applyItem'
import { plainRow } from './rows'
import type { Plain } from './rows'

export interface JournalLine {
  readonly entity: EntityName
  readonly rowId: string
  readonly op: 'create' | 'patch' | 'delete'
  readonly version: number
  readonly before: Plain | null
  readonly after: Plain | null
}

const pickFields = (row: Plain | null, fields: readonly string[]): Plain | null =>
  row && Object.fromEntries(fields.map((name) => [name, row[name] ?? null]))

/** Writes a change with what each row was before and after. */
export async function writeJournal(
  models: Models,
  refitId: string,
  seq: number,
  change: Change,
  applied: readonly Applied[],
  at: number,
  transaction: Transaction,
  undoes: number | null,
): Promise<void> {
  const { changeId, deviceId, personId, label, quiet } = change
  await models.change.create(
    { refitId, seq, changeId, deviceId, personId, label, quiet, at, undoes, undone: false },
    { transaction },
  )
  await models.journal.bulkCreate(
    applied.map(({ item, before, after, fields }, place) => ({
      refitId,
      seq,
      place,
      entity: item.entity,
      rowId: item.id,
      op: item.op,
      version: (after?.version ?? before?.version ?? 1) as number,
      before: item.op === 'patch' ? pickFields(before, fields) : before,
      after: item.op === 'patch' ? pickFields(after, fields) : after,
    })),
    { transaction },
  )
}

/** Lines of a change in their order. */
export async function linesOf(
  models: Models,
  refitId: string,
  seq: number,
): Promise<JournalLine[]> {
  const found = await models.journal.findAll({ where: { refitId, seq }, order: ['place'] })
  return found.map((line) => line.get({ plain: true }) as unknown as JournalLine)
}

/** Fields of a row that were patched after a version. */
export async function touchedSince(
  models: Models,
  refitId: string,
  entity: EntityName,
  rowId: string,
  version: number,
  transaction?: Transaction,
): Promise<Set<string>> {
  const found = await models.journal.findAll({
    where: { refitId, entity, rowId, version: { [Op.gt]: version } },
    transaction,
  })
  return new Set(found.flatMap((line) => Object.keys((line.get('after') as Plain | null) ?? {})))
}

/** What a change that already went through did, as its rows are now; null when there is none. */
export async function journalled(
  models: Models,
  refitId: string,
  changeId: string,
): Promise<Heard | null> {
  const change = await models.change.findOne({ where: { refitId, changeId } })
  if (!change) return null
  const seq = change.get('seq') as number
  const lines = await linesOf(models, refitId, seq)
  const rows = await Promise.all(
    lines.map(async ({ entity, rowId }): Promise<RowChange> => {
      const row = await models.rows[entity].findOne({
        where: { refitId, id: rowId, deletedAt: null },
      })
      const plain = row && plainRow(entity, row.get({ plain: true }) as Plain)
      return { entity, id: rowId, row: plain }
    }),
  )
  return {
    seq,
    changeId,
    deviceId: change.get('deviceId') as string,
    label: change.get('label') as string,
    rows,
  }
}

/** Rows touched after a change number, as they are now, each once. */
export async function changedRowsSince(
  models: Models,
  refitId: string,
  since: number,
): Promise<RowChange[]> {
  const lists = await Promise.all(
    (Object.keys(models.rows) as EntityName[]).map(async (entity) => {
      const found = await models.rows[entity].findAll({
        where: { refitId, seq: { [Op.gt]: since } },
      })
      return found.map((row): RowChange => {
        const stored = row.get({ plain: true }) as Plain
        const live = stored.deletedAt === null
        return { entity, id: stored.id as string, row: live ? plainRow(entity, stored) : null }
      })
    }),
  )
  return lists.flat()
}
