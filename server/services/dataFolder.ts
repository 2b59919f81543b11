import { randomUUID } from 'node:crypto'
import {
  closeSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  rmSync,
} from 'node:fs'
import { open, rename, rm, writeFile } from 'node:fs/promises'
import { dirname, join, resolve } from 'node:path'

// What is kept here is its owner's alone: every file made by this process is closed to others.
process.umask(0o077)

/** Where everything of this installation lives: the database, pictures, copies, the demo clock. */
export const dataFolder = (): string => {
  const folder = resolve(process.env.INCH_AHEAD_DATA ?? '.data')
  mkdirSync(folder, { recursive: true })
  return folder
}

/** A folder inside the data folder, made if missing. */
export const folderIn = (name: string): string => {
  const folder = join(dataFolder(), name)
  mkdirSync(folder, { recursive: true })
  return folder
}

/** The name of a file in a folder really stands on the disk only when the folder was written too. */
function syncFolder(folder: string): void {
  const handle = openSync(folder, 'r')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

/** Waits until a file's content is on the disk. */
async function syncFile(file: string): Promise<void> {
  const handle = await open(file, 'r+')
  try {
    await handle.sync()
  } finally {
    await handle.close()
  }
}

let parts = 0
const partName = '.part'
/** Tells what this process is making from what another left behind. */
const own = randomUUID()

/** Has a file made beside its place, makes sure of it, and puts it there: whole or not at all. */
export async function madeWhole(
  file: string,
  make: (beside: string) => Promise<void>,
): Promise<void> {
  const beside = `${file}.${own}-${++parts}${partName}`
  try {
    await make(beside)
    await syncFile(beside)
    await rename(beside, file)
    syncFolder(dirname(file))
  } catch (error) {
    await rm(beside, { force: true })
    throw error
  }
}

/** Writes a file, whole or not at all. */
export const writeWhole = (file: string, content: string | Uint8Array): Promise<void> =>
  madeWhole(file, (beside) => writeFile(beside, content))

/** Takes away what a program that was cut off left half made. Only for the one that holds the folder. */
export function clearParts(): void {
  for (const name of readdirSync(dataFolder(), { recursive: true, encoding: 'utf8' }))
    if (name.endsWith(partName) && !name.includes(own))
      rmSync(join(dataFolder(), name), { force: true })
}

/** A small settings file of the data folder, or null when there is none. */
export function readSetting(name: string): unknown {
  try {
    return JSON.parse(readFileSync(join(dataFolder(), name), 'utf8'))
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null
    throw new Error(`${name} in the data folder cannot be read: ${String(error)}`, { cause: error })
  }
}
