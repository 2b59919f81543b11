import type { ChangeItem, Heard } from '#core/model/changes'
import { entities } from '#core/model/entities'
import { entityWord, isByServer } from '#core/model/references'
import { problem } from '#shared/problems'
import { database } from '../db/store'
import { alone } from './alone'
import { commit } from './commit'
import { firstAnswer } from './firstAnswer'
import { linesOf } from './journal'
import type { JournalLine } from './journal'
import { presentRefit } from './openRefit'
import type { OpenRefit } from './openRefit'
import type { Plain } from './rows'
import { isStaged, stage } from './stage'
import { Trouble } from './trouble'

export interface UndoWish {
  readonly changeId: string
  readonly deviceId: string
  readonly personId: string | null
  /** Go on though others touched the same things since. */
  readonly force: boolean
}

/**
 * Takes back a device's last change that is not undone yet, as a change of its own. Which one that is, is
 * decided when its turn comes; the same wish sent again answers as the first.
 */
export const undoLast = (refitId: string, wish: UndoWish): Promise<Heard> =>
  alone(async () => {
    const one = await presentRefit(refitId)
    const first = await firstAnswer(one, wish.changeId)
    if (first) return first
    const { seq, label } = await lastOf(refitId, wish.deviceId)
    const { models } = await database()
    const lines = (await linesOf(models, refitId, seq)).reverse()
    if (lines.length === 0)
      throw new Trouble(
        404,
        problem('nothingToUndo', `“${label}” lies further back than the history is kept.`),
      )
    if (lines.some(({ entity, op }) => entity === 'refit' && op === 'create'))
      throw new Trouble(
        404,
        problem(
          'nothingToUndo',
          'That is how this refit began: there is nothing before it. To take the whole refit away, see Settings.',
        ),
      )
    const touched = wish.force ? undefined : lines.find((line) => wasTouched(line, one))
    if (touched)
      throw new Trouble(
        409,
        problem(
          'touchedSince',
          `The ${entityWord[touched.entity]} was changed again after “${label}”. Undo it all the same?`,
        ),
      )
    const restores = lines.filter(({ op }) => op === 'delete')
    const items = lines.flatMap((line) => inverse(line, one))
    const change = { ...wish, label: `Undo: ${label}`, quiet: false, items }
    const outcome = await stage(one, change, { undoes: seq, restores })
    if (isStaged(outcome)) await commit([outcome])
    return outcome.heard
  })

async function lastOf(refitId: string, deviceId: string): Promise<{ seq: number; label: string }> {
  const { models } = await database()
  const last = await models.change.findOne({
    where: { refitId, deviceId, quiet: false, undone: false, undoes: null },
    order: [['seq', 'DESC']],
  })
  if (!last)
    throw new Trouble(404, problem('nothingToUndo', 'There is nothing of yours to undo here.'))
  return { seq: last.get('seq') as number, label: last.get('label') as string }
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

/** True when a row does not stand as this change left it: somebody went on from there. */
function wasTouched({ entity, rowId, op, after }: JournalLine, one: OpenRefit): boolean {
  const row = one.get(entity, rowId)
  if (op === 'delete') return row !== null
  if (!row) return op === 'patch'
  return Object.entries(after ?? {}).some(
    ([name, value]) => name !== 'version' && !isByServer(entity, name) && !same(value, row[name]),
  )
}

/** The operation that puts a row back; none for a row that is gone already or comes back by itself. */
function inverse({ entity, rowId: id, op, before }: JournalLine, one: OpenRefit): ChangeItem[] {
  const row: Plain | null = one.get(entity, id)
  if (op === 'delete' || (op === 'create' && !row)) return []
  const baseVersion = Number(row?.version ?? 1)
  if (op === 'create') return [{ op: 'delete', entity, id, baseVersion }]
  const settable = Object.keys(entities[entity]).filter(
    (name) => !isByServer(entity, name) && !(entity === 'step' && name === 'doneAt'),
  )
  const patch = Object.fromEntries(
    Object.entries(before ?? {}).filter(([name]) => settable.includes(name)),
  )
  return Object.keys(patch).length === 0 ? [] : [{ op: 'patch', entity, id, baseVersion, patch }]
}
