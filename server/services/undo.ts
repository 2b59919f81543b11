import { Op } from 'sequelize'
import type { ChangeItem, Heard } from '#core/model/changes'
import { entities } from '#core/model/entities'
import { entityWord } from '#core/model/references'
import { serverFields } from '#core/model/settle'
import { problem } from '#shared/problems'
import { database } from '../db/connect'
import type { Models } from '../db/models'
import { passDoor } from './changeDoor'
import { linesOf } from './journal'
import type { JournalLine } from './journal'
import { Trouble } from './trouble'

export interface UndoWish {
  readonly changeId: string
  readonly deviceId: string
  readonly personId: string | null
  /** Go on though others touched the same things since. */
  readonly force: boolean
}

/** Takes back a device's last change that is not undone yet, as a change of its own. */
export async function undoLast(refitId: string, wish: UndoWish): Promise<Heard> {
  const { models } = await database()
  const last = await models.change.findOne({
    where: { refitId, deviceId: wish.deviceId, quiet: false, undone: false, undoes: null },
    order: [['seq', 'DESC']],
  })
  if (!last)
    throw new Trouble(404, problem('nothingToUndo', 'There is nothing of yours to undo here.'))
  const seq = last.get('seq') as number
  const label = last.get('label') as string
  const lines = (await linesOf(models, refitId, seq)).reverse()
  const touched = wish.force ? null : await touchedByOthers(models, refitId, seq, lines)
  if (touched)
    throw new Trouble(
      409,
      problem(
        'touchedSince',
        `The ${touched} was changed again after "${label}". Undo it all the same?`,
      ),
    )
  const restores = lines.filter((line) => line.op === 'delete')
  const others = lines.filter((line) => line.op !== 'delete')
  const items = await Promise.all(others.map((line) => inverse(models, refitId, line)))
  return passDoor(
    refitId,
    {
      ...wish,
      label: `Undo: ${label}`,
      quiet: false,
      items: items.filter((item) => item !== null),
    },
    { undoes: seq, restores },
  )
}

async function touchedByOthers(
  models: Models,
  refitId: string,
  seq: number,
  lines: readonly JournalLine[],
): Promise<string | null> {
  for (const line of lines) {
    const later = await models.journal.findAll({
      where: { refitId, entity: line.entity, rowId: line.rowId, seq: { [Op.gt]: seq } },
    })
    const own = new Set(Object.keys(line.after ?? {}))
    const overlaps = later.some(
      (one) =>
        one.get('op') !== 'patch' ||
        line.op !== 'patch' ||
        Object.keys((one.get('after') as object | null) ?? {}).some((field) => own.has(field)),
    )
    if (overlaps) return entityWord[line.entity]
  }
  return null
}

/** The operation that puts a row back. */
async function inverse(
  models: Models,
  refitId: string,
  line: JournalLine,
): Promise<ChangeItem | null> {
  const { entity, rowId: id } = line
  const row = await models.rows[entity].findOne({ where: { refitId, id } })
  const baseVersion = (row?.get('version') as number | undefined) ?? line.version
  if (line.op === 'create') return { op: 'delete', entity, id, baseVersion }
  const settable = Object.keys(entities[entity]).filter(
    (name) => !serverFields[entity]?.includes(name) && !(entity === 'step' && name === 'doneAt'),
  )
  const before = Object.entries(line.before ?? {}).filter(([name]) => settable.includes(name))
  return before.length === 0
    ? null
    : { op: 'patch', entity, id, baseVersion, patch: Object.fromEntries(before) }
}
