import { readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import type { Sequelize } from 'sequelize'
import { folderIn, madeWhole } from '../services/dataFolder'

/** Why a copy was taken, and how many of its kind are kept. */
const keptOf = {
  daily: 7,
  start: 3,
  'before-migration': 5,
  'before-remove': 5,
  'before-replace': 5,
  'before-putting-back': 5,
} as const
export type CopyReason = keyof typeof keptOf

export const copiesOf = (why: string): string[] =>
  readdirSync(folderIn('copies'))
    .filter((name) => name.endsWith(`-${why}.sqlite`))
    .sort()

/**
 * A whole copy of the database beside it, named for when and why; the oldest of its kind go once it is there. Gives its
 * path. Throws what SQLite says, and leaves nothing of a copy that was broken off: a stump would take the place of a copy.
 */
export async function copyDatabase(sequelize: Sequelize, why: CopyReason): Promise<string> {
  const stamp = new Date().toISOString().replace(/[:.]/g, '-')
  const file = join(folderIn('copies'), `${stamp}-${why}.sqlite`)
  await madeWhole(file, async (beside) => {
    await sequelize.query('VACUUM INTO $beside', { bind: { beside } })
  })
  for (const name of copiesOf(why).slice(0, -keptOf[why])) rmSync(join(folderIn('copies'), name))
  return file
}
