import type { Heard } from '#core/model/changes'
import { isComputed } from '#core/model/references'
import { database } from '../db/store'
import { linesOf } from './journal'
import type { OpenRefit } from './openRefit'

/** What a change that already went through did, with its rows as they are now; null when it did not. */
export async function firstAnswer(one: OpenRefit, changeId: string): Promise<Heard | null> {
  if (!one.changeIds.has(changeId)) return null
  const { models } = await database()
  const { refitId, epoch } = one
  const change = await models.change.findOne({ where: { refitId, changeId } })
  if (!change) return null
  const seq = change.get('seq') as number
  const lines = (await linesOf(models, refitId, seq)).filter(({ entity }) => !isComputed(entity))
  return {
    seq,
    epoch,
    changeId,
    deviceId: change.get('deviceId') as string,
    label: change.get('label') as string,
    rows: lines.map(({ entity, rowId }) => ({
      entity,
      id: rowId,
      row: one.get(entity, rowId),
    })),
    numbers: [],
  }
}
