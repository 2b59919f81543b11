import type { Change } from '#core/model/changes'
import { entityNames } from '#core/model/entities'
import { database } from '../db/connect'
import { copyDatabase } from '../db/migrate'
import { passDoor } from './changeDoor'
import { wholeRefit } from './refits'

/**
 * Puts a brought-in refit in place of another: the database is copied first, the new rows are tried
 * under a passing id, and only then is the old refit taken out.
 */
export async function replaceRefit(refitId: string, change: Change): Promise<void> {
  const { sequelize, models } = await database()
  await wholeRefit(refitId)
  await copyDatabase(sequelize, 'before-replace')
  const trial = `trial-${change.changeId}`.slice(0, 64)
  const items = change.items.map((item) =>
    item.entity === 'refit' ? { ...item, id: trial } : item,
  )
  await passDoor(trial, { ...change, items })
  await wipe(trial)
  await wipe(refitId)
  await passDoor(refitId, change)

  async function wipe(id: string): Promise<void> {
    await sequelize.transaction(async (transaction) => {
      await models.journal.destroy({ where: { refitId: id }, transaction })
      await models.change.destroy({ where: { refitId: id }, transaction })
      for (const entity of [...entityNames].reverse())
        await models.rows[entity].destroy({ where: { refitId: id }, transaction })
    })
  }
}
