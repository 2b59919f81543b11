import {
  closeSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  writeSync,
} from 'node:fs'
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

/** Writes a file beside its place, makes sure of it, and puts it there: whole or not at all. */
export function writeWhole(file: string, content: string | Uint8Array): void {
  const beside = `${file}.${process.pid}.part`
  const handle = openSync(beside, 'w')
  try {
    const bytes = typeof content === 'string' ? Buffer.from(content) : content
    for (let at = 0; at < bytes.length;) at += writeSync(handle, bytes, at)
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
  renameSync(beside, file)
  syncFolder(dirname(file))
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
