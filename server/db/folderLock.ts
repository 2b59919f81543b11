import sqlite3 from 'sqlite3'

/** A hold on a data folder; the system lets go of it when the process ends, however it ends. */
export interface FolderLock {
  readonly release: () => Promise<void>
}

const run = (database: sqlite3.Database, statement: string): Promise<void> =>
  new Promise((resolve, reject) => {
    database.exec(statement, (error) => (error ? reject(error) : resolve()))
  })

/**
 * Takes the folder for this process by an exclusive lock on a small database in it, which no other
 * process can take at the same time. Null: another has it. Throws when the file cannot be written.
 */
export async function lockFolder(file: string): Promise<FolderLock | null> {
  const database = await new Promise<sqlite3.Database>((resolve, reject) => {
    const opened = new sqlite3.Database(file, (error) => (error ? reject(error) : resolve(opened)))
  })
  const release = (): Promise<void> => new Promise((resolve) => database.close(() => resolve()))
  try {
    await run(database, 'PRAGMA journal_mode = MEMORY; BEGIN EXCLUSIVE')
    return { release }
  } catch (error) {
    await release()
    if ((error as { code?: string }).code === 'SQLITE_BUSY') return null
    throw error
  }
}
