import { database } from '../db/connect'
import { copyDatabase } from '../db/migrate'
import { inTurn } from './inTurn'
import { wholeRefit } from './refits'
import { wipeRefit } from './wipeRefit'

/** Removes a refit for good; a copy of the database from before stays in the data folder. Throws Trouble 404. */
export const removeRefit = (refitId: string): Promise<{ removed: string }> =>
  inTurn(refitId, async () => {
    const { sequelize } = await database()
    await wholeRefit(refitId)
    await copyDatabase(sequelize, 'before-remove')
    await wipeRefit(refitId)
    return { removed: refitId }
  })
