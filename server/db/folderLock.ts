import sqlite3 from 'sqlite3'
import { closeOwn, openOwn, runOn } from './ownConnection'

/** A hold on a data folder; the system lets go of it when the process ends, however it ends. */
export interface FolderLock {
  readonly release: () => Promise<void>
}

/**
 * Takes the folder for this process by an exclusive lock on a small database in it, which no other
 * process can take at the same time. Null: another has it. Throws when the file cannot be written.
 */
export async function lockFolder(file: string): Promise<FolderLock | null> {
  const database = await openOwn(sqlite3.Database, file)
  const release = (): Promise<void> => closeOwn(database)
  try {
    await runOn(database, 'PRAGMA journal_mode = MEMORY; BEGIN EXCLUSIVE')
    return { release }
  } catch (error) {
    await release()
    if ((error as { code?: string }).code === 'SQLITE_BUSY') return null
    throw error
  }
}
