import { entityNames } from '#core/model/entities'
import { copyDatabase } from '../db/copyDatabase'
import { takeRows } from '../db/statements'
import { database } from '../db/store'
import { alone } from './alone'
import { tellReload } from './bus'
import { letGo, presentRefit } from './openRefit'

/** Statements that take a refit out with its journal. Pictures and documents stay in their folder. */
export const wipingRefit = (refitId: string): string[] =>
  ['journal', 'change', 'life', ...[...entityNames].reverse()].map((table) =>
    takeRows(table, { refitId }),
  )

/** Removes a refit for good; a copy of the database from before stays in the data folder. Throws Trouble 404. */
export const removeRefit = (refitId: string): Promise<{ removed: string }> =>
  alone(async () => {
    await presentRefit(refitId)
    const { sequelize, write } = await database()
    await copyDatabase(sequelize, 'before-remove')
    await write(wipingRefit(refitId))
    letGo(refitId)
    tellReload(refitId)
    return { removed: refitId }
  })
