import { Sequelize } from 'sequelize'
import { migrate } from './migrate'
import { defineModels } from './models'
import type { Models } from './models'
import { patientSqlite } from './patientSqlite'
import { openWriter } from './writer'
import type { Write } from './writer'

export interface Database {
  readonly sequelize: Sequelize
  readonly models: Models
  readonly write: Write
  /** Closes all of it, so that the file is whole by itself. */
  readonly close: () => Promise<void>
}

const connectionTo = (file: string): Sequelize =>
  new Sequelize({
    dialect: 'sqlite',
    dialectModule: patientSqlite,
    storage: file,
    logging: false,
  })

/** What SQLite finds wrong with a file; '' when it is whole. */
async function faultOf(sequelize: Sequelize): Promise<string> {
  const [found] = await sequelize.query('PRAGMA quick_check(1)')
  const word = String(
    (found[0] as { quick_check?: string } | undefined)?.quick_check ?? 'no answer',
  )
  return word === 'ok' ? '' : word
}

/** Opens a database file, checks that it is whole, brings it up to date, and gives its models. */
export async function openDatabase(file: string): Promise<Database> {
  const sequelize = connectionTo(file)
  try {
    const fault = await faultOf(sequelize)
    if (fault !== '') throw new Error(`SQLITE_CORRUPT: ${fault}`)
    await sequelize.query('PRAGMA journal_mode = WAL')
    await migrate(sequelize)
    const { write, close } = await openWriter(file)
    return {
      sequelize,
      models: defineModels(sequelize),
      write,
      // One after the other: of two that close at the same time neither is the last, who takes the log of pages in.
      close: async () => {
        await close()
        await sequelize.close()
      },
    }
  } catch (error) {
    await sequelize.close()
    throw error
  }
}

/** What is wrong with a copy of a database, as SQLite says it; '' when it opens, is whole and holds our tables. */
export async function copyFault(file: string): Promise<string> {
  const sequelize = connectionTo(file)
  try {
    const fault = await faultOf(sequelize)
    if (fault === '') await sequelize.query('SELECT count(*) FROM refit')
    return fault
  } catch (error) {
    return String(error)
  } finally {
    await sequelize.close()
  }
}
