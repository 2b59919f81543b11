/** Writes staged changes, all in one transaction, and tells everybody what became of them. */
import { entities, entityNames } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import { database } from '../db/store'
import { putRows, setFields } from '../db/statements'
import { alone } from './alone'
import { tell } from './bus'
import { journalling, trimming } from './journal'
import { log } from './log'
import type { Staged } from './stage'

/** Every so many changes the journal is trimmed. */
const trimEvery = 100

const columns = Object.fromEntries(
  entityNames.map((entity) => [
    entity,
    ['refitId', 'id', 'version', 'seq', 'deletedAt', ...Object.keys(entities[entity])],
  ]),
) as Readonly<Record<EntityName, string[]>>

/** Statements for rows as the changes leave them, each once, in place of what the tables hold. */
function* writingRows(staged: readonly Staged[]): Generator<string> {
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
  for (const [entity, rows] of last)
    yield* putRows(entity, columns[entity], ['refitId', 'id'], [...rows.values()])
}

function* writing(staged: readonly Staged[], before: readonly string[]): Generator<string> {
  yield* before
  const begun = staged.filter(({ applied }) =>
    applied.some(({ item }) => item.entity === 'refit' && item.op === 'create'),
  )
  const lives = begun.map(({ one }) => ({ refitId: one.refitId, epoch: one.epoch }))
  yield* putRows('life', ['refitId', 'epoch'], ['refitId'], lives)
  yield* writingRows(staged)
  yield* journalling(staged)
  for (const { one, undoes } of staged)
    if (undoes !== null)
      yield setFields('change', { undone: true }, { refitId: one.refitId, seq: undoes })
}

/**
 * Writes what was staged, or none of it and takes all of it back. Precondition: nobody else writes.
 * `before`: more statements for the same transaction, before the changes.
 */
export async function commit(
  staged: readonly Staged[],
  before: readonly string[] = [],
): Promise<void> {
  if (staged.length === 0) return
  try {
    const { write } = await database()
    await write(writing(staged, before))
  } catch (error) {
    for (const each of [...staged].reverse()) each.rollBack()
    throw error
  }
  for (const { one } of staged) one.keep()
  for (const { one, heard } of staged) tell(one.refitId, heard)
  for (const { one, seq } of staged)
    if (seq % trimEvery === 0)
      void alone(() => trim(one.refitId, one.rows.refit[0]?.historyKept ?? Number.MAX_SAFE_INTEGER))
}

/** Housekeeping, in its own turn: nobody waits for it, and the changes stand whether it works or not. */
async function trim(refitId: string, kept: number): Promise<void> {
  try {
    const { write } = await database()
    await write(trimming(refitId, kept))
  } catch (error) {
    log.error({ err: error }, 'the journal could not be trimmed')
  }
}
