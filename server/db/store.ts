/** The data folder of this installation: locked for this process, its database open; or the reason why not. */
import { chmodSync, copyFileSync, existsSync, readdirSync, rmSync, statSync } from 'node:fs'
import { copyFile } from 'node:fs/promises'
import { join, resolve } from 'node:path'
import { dataFolder, folderIn, madeWhole, writeWhole } from '../services/dataFolder'
import { log } from '../services/log'
import { Trouble } from '../services/trouble'
import { openDatabase } from './connect'
import type { Database } from './connect'
import { copyDatabase } from './copyDatabase'
import { lockFolder } from './folderLock'
import type { FolderLock } from './folderLock'
import { folderTaken, storeGone, storeTrouble } from './storeTrouble'

const databaseName = 'inch-ahead.sqlite'
/** Stands in a folder whose database was whole once: what is missing then is no new installation. */
const markName = 'folder.json'

/** For sentences: the folder is named even when it cannot be made. */
export const folderName = (): string => resolve(process.env.INCH_AHEAD_DATA ?? '.data')

let lock: FolderLock | null = null
let opened: Promise<Database> | null = null

const holds = (name: string): boolean => {
  const folder = join(dataFolder(), name)
  return existsSync(folder) && readdirSync(folder).length > 0
}
const inUseBefore = (): boolean =>
  existsSync(join(dataFolder(), markName)) || holds('copies') || holds('pictures')

async function open(): Promise<Database> {
  try {
    const folder = dataFolder()
    lock ??= await lockFolder(join(folder, 'in-use.lock'))
    if (!lock) throw folderTaken(folder)
    const file = join(folder, databaseName)
    const size = existsSync(file) ? statSync(file).size : null
    if (!size && inUseBefore()) throw storeGone(folder, size === 0)
    const database = await openDatabase(file)
    chmodSync(file, 0o600)
    if (!existsSync(join(folder, markName)))
      await writeWhole(join(folder, markName), JSON.stringify({ program: 'inch-ahead', format: 1 }))
    return database
  } catch (error) {
    throw error instanceof Trouble ? error : (storeTrouble(error, folderName()) ?? error)
  }
}

/**
 * The database of this installation, opened on first use. Throws Trouble 503 with what to do; the next
 * call tries again, so that a folder made writable needs no restart.
 */
export function database(): Promise<Database> {
  opened ??= open().catch((error: unknown) => {
    opened = null
    throw error
  })
  return opened
}

/** Closes the database, so that its file is whole by itself, and lets the folder go. */
export async function closeStore(): Promise<void> {
  const closing = opened
  opened = null
  await closing?.then(
    ({ close }) => close(),
    () => undefined,
  )
  await lock?.release()
  lock = null
}

/** What was there is copied while it can be, and set aside as it is when it cannot. */
async function keepWhatIsThere(file: string): Promise<void> {
  const there = await database().catch(() => null)
  opened = null
  if (there) {
    await copyDatabase(there.sequelize, 'before-putting-back')
    await there.close()
  } else if (existsSync(file) && statSync(file).size > 0) {
    const aside = join(dataFolder(), `damaged-${Date.now()}.sqlite`)
    copyFileSync(file, aside)
    if (existsSync(`${file}-wal`)) copyFileSync(`${file}-wal`, `${aside}-wal`)
    log.warn({ aside }, 'the damaged database was set aside')
  }
}

/**
 * Puts a copy in the place of the database: what was there is copied or set aside first. The old log of
 * pages goes before the new file comes, or it would be played back into it. Precondition: the copy is whole
 * and nobody else writes.
 */
export async function replaceDatabase(copyName: string): Promise<void> {
  lock ??= await lockFolder(join(dataFolder(), 'in-use.lock'))
  if (!lock) throw folderTaken(folderName())
  const file = join(dataFolder(), databaseName)
  await madeWhole(file, async (beside) => {
    // First of all: taking another copy may let the oldest go, and that may be this one.
    await copyFile(join(folderIn('copies'), copyName), beside)
    await keepWhatIsThere(file)
    for (const more of ['-wal', '-shm']) rmSync(file + more, { force: true })
  })
}
