import type { Change } from '#core/model/changes'
import { database } from '../db/connect'
import { copyDatabase } from '../db/migrate'
import { passDoor } from './changeDoor'
import { wholeRefit } from './refits'
import { wipeRefit } from './wipeRefit'

/**
 * Puts a brought-in refit in place of another: the database is copied first, the new rows are tried
 * under a passing id, and only then is the old refit taken out.
 */
export async function replaceRefit(refitId: string, change: Change): Promise<void> {
  const { sequelize } = await database()
  await wholeRefit(refitId)
  await copyDatabase(sequelize, 'before-replace')
  const trial = `trial-${change.changeId}`.slice(0, 64)
  const items = change.items.map((item) =>
    item.entity === 'refit' ? { ...item, id: trial } : item,
  )
  await passDoor(trial, { ...change, items })
  await wipeRefit(trial)
  await wipeRefit(refitId)
  await passDoor(refitId, change)
}
