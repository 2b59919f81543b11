import { existsSync } from 'node:fs'
import { join } from 'node:path'
import type { Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import { folderIn } from '../services/dataFolder'
import { log } from '../services/log'
import { statements } from './migrations/first'
import { statements as recipesAndBags } from './migrations/recipesAndBags'
import { statements as truthfulPlan } from './migrations/truthfulPlan'

const migrations = [
  { name: '0001-first', statements },
  { name: '0002-recipes-and-bags', statements: recipesAndBags },
  { name: '0003-truthful-plan', statements: truthfulPlan },
]

/** A whole copy of the database beside it, named for why it was taken. */
export async function copyDatabase(sequelize: Sequelize, why: string): Promise<string> {
  const stamp = new Date().toISOString().replace(/[:.]/g, '-')
  const file = join(folderIn('copies'), `${stamp}-${why}.sqlite`)
  await sequelize.query('VACUUM INTO $file', { bind: { file } })
  return file
}

/** Brings the tables up to date; an existing database is copied first when there is anything to do. */
export async function migrate(sequelize: Sequelize, databaseFile: string): Promise<void> {
  const existed = existsSync(databaseFile)
  const umzug = new Umzug({
    migrations: migrations.map(({ name, statements: list }) => ({
      name,
      up: async () => {
        for (const statement of list) await sequelize.query(statement)
      },
    })),
    storage: new SequelizeStorage({ sequelize, modelName: 'migration' }),
    logger: undefined,
  })
  const pending = await umzug.pending()
  if (pending.length === 0) return
  if (existed && pending.length < migrations.length)
    log.info({ file: await copyDatabase(sequelize, 'before-migration') }, 'copied before migrating')
  await umzug.up()
}
