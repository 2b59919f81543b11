import { readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { copyDatabase } from '../db/migrate'
import { database } from '../db/connect'
import { folderIn } from './dataFolder'

/** Daily copies kept; older ones are taken away. */
const kept = 7
const dailies = (): string[] =>
  readdirSync(folderIn('copies'))
    .filter((name) => name.endsWith('-daily.sqlite'))
    .sort()

/** Copies the database once a day (UTC) and keeps the seven newest of these copies. */
export async function dailyCopy(): Promise<void> {
  const today = new Date().toISOString().slice(0, 10)
  if (dailies().some((name) => name.startsWith(today))) return
  await copyDatabase((await database()).sequelize, 'daily')
  for (const name of dailies().slice(0, -kept)) rmSync(join(folderIn('copies'), name))
}
