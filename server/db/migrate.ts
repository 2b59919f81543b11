import { QueryTypes, Transaction } from 'sequelize'
import type { Sequelize } from 'sequelize'
import { log } from '../services/log'
import { copyDatabase } from './copyDatabase'
import { statements as acceptablePlan } from './migrations/acceptablePlan'
import { statements } from './migrations/first'
import { statements as alongTheBoat } from './migrations/alongTheBoat'
import { statements as recipesAndBags } from './migrations/recipesAndBags'
import { statements as solidStore } from './migrations/solidStore'
import { statements as truthfulPlan } from './migrations/truthfulPlan'
import { statements as walkTheBoat } from './migrations/walkTheBoat'
import { statements as sequenceDrawn } from './migrations/sequenceDrawn'
import { statements as chosenAndPinned } from './migrations/chosenAndPinned'
import { statements as benchKept } from './migrations/benchKept'
import { statements as boatsBook } from './migrations/boatsBook'
import { statements as chainsOfStays } from './migrations/chainsOfStays'
import { statements as curesAndReadings } from './migrations/curesAndReadings'
import { statements as daysAsTheyGo } from './migrations/daysAsTheyGo'
import { statements as largePieces } from './migrations/largePieces'
import { statements as launchReady } from './migrations/launchReady'
import { statements as moneySpent } from './migrations/moneySpent'
import { statements as oddsOfRuns } from './migrations/oddsOfRuns'
import { statements as onPaper } from './migrations/onPaper'
import { statements as ownFacts } from './migrations/ownFacts'
import { statements as stores } from './migrations/stores'

const migrations = [
  { name: '0001-first', statements },
  { name: '0002-recipes-and-bags', statements: recipesAndBags },
  { name: '0003-truthful-plan', statements: truthfulPlan },
  { name: '0004-solid-store', statements: solidStore },
  { name: '0005-along-the-boat', statements: alongTheBoat },
  { name: '0006-acceptable-plan', statements: acceptablePlan },
  { name: '0007-walk-the-boat', statements: walkTheBoat },
  { name: '0008-days-as-they-go', statements: daysAsTheyGo },
  { name: '0009-chains-of-stays', statements: chainsOfStays },
  { name: '0010-cures-and-readings', statements: curesAndReadings },
  { name: '0011-sequence-drawn', statements: sequenceDrawn },
  { name: '0012-chosen-and-pinned', statements: chosenAndPinned },
  { name: '0013-stores', statements: stores },
  { name: '0014-on-paper', statements: onPaper },
  { name: '0015-money-spent', statements: moneySpent },
  { name: '0016-odds-of-runs', statements: oddsOfRuns },
  { name: '0017-launch-ready', statements: launchReady },
  { name: '0018-boats-book', statements: boatsBook },
  { name: '0019-bench-kept', statements: benchKept },
  { name: '0020-own-facts', statements: ownFacts },
  { name: '0021-large-pieces', statements: largePieces },
]

/** Names of the migrations a database has had, kept in the same transaction as what they do. */
const storageIn = (sequelize: Sequelize, transaction: Transaction) => ({
  executed: async (): Promise<string[]> => {
    await sequelize.query(
      'CREATE TABLE IF NOT EXISTS "migrations" ("name" VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)',
      { transaction },
    )
    const rows = await sequelize.query<{ name: string }>('SELECT "name" FROM "migrations"', {
      transaction,
      type: QueryTypes.SELECT,
    })
    return rows.map((row) => row.name)
  },
  logMigration: async ({ name }: { name: string }): Promise<void> => {
    await sequelize.query('INSERT INTO "migrations" ("name") VALUES ($name)', {
      bind: { name },
      transaction,
    })
  },
  unlogMigration: (): Promise<void> => Promise.reject(new Error('Migrations only go forward.')),
})

/** Which of them a database has not had. */
async function pendingIn(sequelize: Sequelize, transaction: Transaction): Promise<string[]> {
  const had = new Set(await storageIn(sequelize, transaction).executed())
  return migrations.map(({ name }) => name).filter((name) => !had.has(name))
}

/** Its package brings a command line along: a start that has nothing to do does without it. */
async function umzugIn(sequelize: Sequelize, transaction: Transaction) {
  const { Umzug } = await import('umzug')
  return new Umzug({
    migrations: migrations.map(({ name, statements: list }) => ({
      name,
      up: async () => {
        for (const statement of list) await sequelize.query(statement, { transaction })
      },
    })),
    storage: storageIn(sequelize, transaction),
    logger: undefined,
  })
}

/**
 * Brings the tables up to date, all in one transaction: a start that is cut off leaves what was there
 * before. A database that holds something is copied first when there is anything to do.
 */
export async function migrate(sequelize: Sequelize): Promise<void> {
  const all = { type: Transaction.TYPES.IMMEDIATE }
  const pending = await sequelize.transaction(all, (transaction) =>
    pendingIn(sequelize, transaction),
  )
  if (pending.length === 0) return
  if (pending.length < migrations.length)
    log.info({ file: await copyDatabase(sequelize, 'before-migration') }, 'copied before migrating')
  await sequelize.transaction(all, async (transaction) => {
    const umzug = await umzugIn(sequelize, transaction)
    await umzug.up()
  })
}
