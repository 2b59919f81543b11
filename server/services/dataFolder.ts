import { mkdirSync, readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'

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

/** A small settings file of the data folder, or null when there is none. */
export function readSetting(name: string): unknown {
  try {
    return JSON.parse(readFileSync(join(dataFolder(), name), 'utf8'))
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null
    throw new Error(`${name} in the data folder cannot be read: ${String(error)}`, { cause: error })
  }
}
