import { Transaction } from 'sequelize'
import { entityNames } from '#core/model/entities'
import { copyDatabase } from '../db/copyDatabase'
import type { Models } from '../db/models'
import { database } from '../db/store'
import { alone } from './alone'
import { tellReload } from './bus'
import { letGo, presentRefit } from './openRefit'

/** Takes a refit out with its journal. Pictures and documents stay in their folder. */
export async function wipeRefit(
  models: Models,
  refitId: string,
  transaction: Transaction,
): Promise<void> {
  await models.journal.destroy({ where: { refitId }, transaction })
  await models.change.destroy({ where: { refitId }, transaction })
  await models.life.destroy({ where: { refitId }, transaction })
  for (const entity of [...entityNames].reverse())
    await models.rows[entity].destroy({ where: { refitId }, transaction })
}

/** Removes a refit for good; a copy of the database from before stays in the data folder. Throws Trouble 404. */
export const removeRefit = (refitId: string): Promise<{ removed: string }> =>
  alone(async () => {
    await presentRefit(refitId)
    const { sequelize, models } = await database()
    await copyDatabase(sequelize, 'before-remove')
    await sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, (transaction) =>
      wipeRefit(models, refitId, transaction),
    )
    letGo(refitId)
    tellReload(refitId)
    return { removed: refitId }
  })
