import { existsSync, readdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import { problem } from '#shared/problems'
import { copyFault } from '../db/connect'
import { copiesOf, copyDatabase } from '../db/copyDatabase'
import type { CopyReason } from '../db/copyDatabase'
import { database, folderName, replaceDatabase } from '../db/store'
import { storeTrouble } from '../db/storeTrouble'
import { alone } from './alone'
import { tellAllReload } from './bus'
import { folderIn } from './dataFolder'
import { log } from './log'
import { letAllGo } from './openRefit'
import { Trouble } from './trouble'

/** Copies the database and opens the copy to see that it is whole. Throws when it is not, and takes it away. */
const checkedCopy = (why: CopyReason): Promise<string> =>
  alone(async () => {
    const file = await copyDatabase((await database()).sequelize, why)
    const fault = await copyFault(file)
    if (fault === '') return file
    rmSync(file)
    log.error({ file, fault }, 'a copy was not whole')
    // Of the copy, not of the database: that has another sentence.
    throw new Trouble(503, problem('copyNotWhole', 'It was not whole, and was taken away.'))
  })

/** A copy that was due and could not be taken. */
export interface MissedCopy {
  /** UTC ms. */
  readonly at: number
  readonly message: string
}
let missed: (MissedCopy & { readonly why: CopyReason }) | null = null

/** The copy that was due last, where it could not be taken; null: it was. */
export const missedCopy = (): MissedCopy | null =>
  missed && { at: missed.at, message: missed.message }

/** A copy by itself: one that cannot be taken is said where the copies are listed, and keeps nobody from working. */
async function dueCopy(why: CopyReason): Promise<void> {
  try {
    await checkedCopy(why)
    missed = null
  } catch (error) {
    log.error({ err: error }, 'a copy that was due could not be taken')
    const trouble = error instanceof Trouble ? error : storeTrouble(error, folderName())
    const message = trouble?.problem.message ?? 'Why is said in the log of the server.'
    missed = { why, at: Date.now(), message }
  }
}

/** Copies the database as it is found at a start. */
export const startCopy = (): Promise<void> => dueCopy('start')

/** Copies the database once a day (UTC), and takes what was missed. To be called every hour. */
export async function dailyCopy(): Promise<void> {
  if (missed) await dueCopy(missed.why)
  const today = new Date().toISOString().slice(0, 10)
  if (!copiesOf('daily').some((name) => name.startsWith(today))) await dueCopy('daily')
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
