import { existsSync, readdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import { problem } from '#shared/problems'
import { copyFault } from '../db/connect'
import { copiesOf, copyDatabase } from '../db/copyDatabase'
import type { CopyReason } from '../db/copyDatabase'
import { database, replaceDatabase } from '../db/store'
import { alone } from './alone'
import { tellAllReload } from './bus'
import { folderIn } from './dataFolder'
import { letAllGo } from './openRefit'
import { Trouble } from './trouble'

/** Copies the database and opens the copy to see that it is whole. Throws when it is not, and takes it away. */
export const checkedCopy = (why: CopyReason): Promise<string> =>
  alone(async () => {
    const file = await copyDatabase((await database()).sequelize, why)
    const fault = await copyFault(file)
    if (fault === '') return file
    rmSync(file)
    throw new Error(`The copy ${file} was not whole and was taken away: ${fault}`)
  })

/** Copies the database once a day (UTC). */
export async function dailyCopy(): Promise<void> {
  const today = new Date().toISOString().slice(0, 10)
  if (copiesOf('daily').some((name) => name.startsWith(today))) return
  await checkedCopy('daily')
}

export interface Copy {
  readonly name: string
  /** When it was taken, UTC ms. */
  readonly at: number
  readonly why: string
  readonly bytes: number
}

const named = /^(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z-([\w-]+)\.sqlite$/

/** Copies of the database in the data folder, newest first. */
export const listCopies = (): Copy[] =>
  readdirSync(folderIn('copies'))
    .flatMap((name): Copy[] => {
      const [, on, hours, minutes, seconds, ms, why] = named.exec(name) ?? []
      if (on === undefined || why === undefined) return []
      const at = Date.parse(`${on}T${hours}:${minutes}:${seconds}.${ms}Z`)
      return [{ name, at, why, bytes: statSync(join(folderIn('copies'), name)).size }]
    })
    .sort((a, b) => b.at - a.at)

/**
 * Puts a copy in the place of the database; what was there is copied first, or set aside when it is damaged. Every
 * refit begins another life, so that every window reads it anew. Throws Trouble 404 and 422.
 */
export const putBack = (name: string): Promise<{ putBack: string }> =>
  alone(async () => {
    const file = join(folderIn('copies'), name)
    if (!named.test(name) || !existsSync(file))
      throw new Trouble(404, problem('notFound', 'That copy is not here.'))
    if ((await copyFault(file)) !== '')
      throw new Trouble(
        422,
        problem(
          'copyDamaged',
          'That copy is damaged itself. Nothing was changed; take another one.',
        ),
      )
    await replaceDatabase(name)
    letAllGo()
    const { models } = await database()
    for (const life of await models.life.findAll()) await life.update({ epoch: randomUUID() })
    tellAllReload()
    return { putBack: name }
  })
