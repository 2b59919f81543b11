import { join } from 'node:path'
import { Sequelize } from 'sequelize'
import sqlite3 from 'sqlite3'
import { dataFolder } from '../services/dataFolder'
import { migrate } from './migrate'
import { defineModels } from './models'
import type { Models } from './models'

export interface Database {
  readonly sequelize: Sequelize
  readonly models: Models
}

/** Opens a database file, brings it up to date, and gives its models. */
export async function openDatabase(file: string): Promise<Database> {
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    dialectModule: sqlite3,
    storage: file,
    logging: false,
  })
  await sequelize.query('PRAGMA journal_mode = WAL')
  await sequelize.query('PRAGMA busy_timeout = 5000')
  await migrate(sequelize, file)
  return { sequelize, models: defineModels(sequelize) }
}

let opened: Promise<Database> | null = null

/** The database of this installation, opened on first use. */
export const database = (): Promise<Database> =>
  (opened ??= openDatabase(join(dataFolder(), 'inch-ahead.sqlite')))
