import { entityNames } from '#core/model/entities'
import { database } from '../db/connect'

/** Takes a refit out with its journal, whole or not at all. Pictures and documents stay in their folder. */
export async function wipeRefit(refitId: string): Promise<void> {
  const { sequelize, models } = await database()
  await sequelize.transaction(async (transaction) => {
    await models.journal.destroy({ where: { refitId }, transaction })
    await models.change.destroy({ where: { refitId }, transaction })
    for (const entity of [...entityNames].reverse())
      await models.rows[entity].destroy({ where: { refitId }, transaction })
  })
}
