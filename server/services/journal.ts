import { Op } from 'sequelize'
import type { RowChange } from '#core/model/changes'
import { isComputed } from '#core/model/references'
import type { EntityName } from '#core/model/entities'
import type { Models } from '../db/models'
import { addRows, literal } from '../db/statements'
import { plainRow } from './rows'
import type { Plain } from './rows'
import type { Staged } from './stage'

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

const linesOfStaged = ({ one, seq, applied }: Staged) =>
  applied
    .filter(({ item }) => !isComputed(item.entity))
    .map(({ item, before, after, fields }, place) => ({
      refitId: one.refitId,
      seq,
      place,
      entity: item.entity,
      rowId: item.id,
      op: item.op,
      version: (after?.version ?? before?.version ?? 1) as number,
      before: item.op === 'patch' ? pickFields(before, fields) : before,
      after: item.op === 'patch' ? pickFields(after, fields) : after,
    }))

const columnsOfChange = [
  ...['refitId', 'seq', 'changeId', 'deviceId', 'personId'],
  ...['label', 'quiet', 'at', 'undoes', 'undone'],
]
const columnsOfLine = [
  ...['refitId', 'seq', 'place', 'entity', 'rowId'],
  ...['op', 'version', 'before', 'after'],
]

/** Statements for changes with what each row was before and after; computed rows and whole refits leave no lines. */
export function* journalling(staged: readonly Staged[]): Generator<string> {
  const changes = staged.map(({ one, change, seq, at, undoes }) => {
    const { changeId, deviceId, personId, label, quiet } = change
    return {
      refitId: one.refitId,
      ...{ seq, changeId, deviceId, personId, label, quiet, at, undoes },
      undone: false,
    }
  })
  yield* addRows('change', columnsOfChange, changes)
  const lines = staged.flatMap((each) => (each.whole ? [] : linesOfStaged(each)))
  yield* addRows('journal', columnsOfLine, lines)
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

/** What changed in a row after a version, by version: fields and the change that set them. */
export async function touchesInJournal(
  models: Models,
  refitId: string,
  entity: EntityName,
  rowId: string,
  version: number,
): Promise<{ version: number; fields: string[]; changeId: string }[]> {
  const found = await models.journal.findAll({
    where: { refitId, entity, rowId, version: { [Op.gt]: version } },
  })
  if (found.length === 0) return []
  const changes = await models.change.findAll({
    where: { refitId, seq: found.map((line) => line.get('seq') as number) },
    attributes: ['seq', 'changeId'],
  })
  const ids = new Map(changes.map((one) => [one.get('seq'), one.get('changeId') as string]))
  return found.map((line) => ({
    version: line.get('version') as number,
    fields: Object.keys((line.get('after') as Plain | null) ?? {}),
    changeId: ids.get(line.get('seq')) ?? '',
  }))
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
        raw: true,
      })
      return found.map((row): RowChange => {
        const stored = row as unknown as Plain
        const live = stored.deletedAt === null
        return { entity, id: stored.id as string, row: live ? plainRow(entity, stored) : null }
      })
    }),
  )
  return lists.flat()
}

/** Changes kept by their ids and words alone, so that one sent again long after is still known. */
const mostNamed = 20_000

/** Asks for the newest change that the last `kept` leave out; there is none where there are no more than these. */
const newestBeyond = (refitId: string, kept: number, which: string): string =>
  `SELECT seq FROM "change" WHERE refitId = ${literal(refitId)}${which}
    ORDER BY seq DESC LIMIT 1 OFFSET ${kept}`

/**
 * Statements that let go of what lies further back than the history is kept: lines before the `kept`th last change made
 * by people, and the names of changes before the `named`th last.
 */
export function* trimming(
  refitId: string,
  kept: number,
  named: number = mostNamed,
): Generator<string> {
  const upTo = (table: string, edge: string): string =>
    `DELETE FROM "${table}" WHERE refitId = ${literal(refitId)} AND seq <= (${edge})`
  const oldest = newestBeyond(refitId, named, '')
  yield upTo('journal', newestBeyond(refitId, kept, ' AND quiet = 0'))
  yield upTo('journal', oldest)
  yield upTo('change', oldest)
}
