import { closeSync, fsyncSync, mkdirSync, openSync, readFileSync } from 'node:fs'
import { open, rename, rm } from 'node:fs/promises'
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
export function syncFolder(folder: string): void {
  const handle = openSync(folder, 'r')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

let parts = 0

/** Writes a file beside its place, makes sure of it, and puts it there: whole or not at all. */
export async function writeWhole(file: string, content: string | Uint8Array): Promise<void> {
  const beside = `${file}.${process.pid}-${++parts}.part`
  try {
    const handle = await open(beside, 'w')
    try {
      await handle.writeFile(content)
      await handle.sync()
    } finally {
      await handle.close()
    }
    await rename(beside, file)
    syncFolder(dirname(file))
  } catch (error) {
    await rm(beside, { force: true })
    throw error
  }
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
