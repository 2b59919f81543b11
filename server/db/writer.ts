/** Writes to the database, on a connection of its own. */
import { log } from '../services/log'
import { closeOwn, openOwn, runOn } from './ownConnection'
import { patientSqlite } from './patientSqlite'

/**
 * Statements in one transaction: all of them or none. They are asked for as they are needed, so that a whole refit is
 * not written out at once. Precondition: the one before has ended. Throws what SQLite says.
 */
export type Write = (statements: Iterable<string>) => Promise<void>

/** The connection that all changes are written on. */
export interface Writer {
  readonly write: Write
  readonly close: () => Promise<void>
}

/** Letters handed over in one call: each call is a turn through a thread, in which others wait. */
const mostLetters = 250_000

/** Opens the connection that all changes are written on. */
export async function openWriter(file: string): Promise<Writer> {
  const connection = await openOwn(patientSqlite.Database, file)
  const run = (text: string): Promise<void> => runOn(connection, text)
  await run('PRAGMA foreign_keys = ON')
  return { write: writing(run), close: () => closeOwn(connection) }
}

function writing(run: (text: string) => Promise<void>): Write {
  return async (statements) => {
    let text = 'BEGIN IMMEDIATE;'
    try {
      for (const statement of statements) {
        text += `${statement};`
        if (text.length < mostLetters) continue
        await run(text)
        text = ''
      }
      await run(`${text}COMMIT;`)
    } catch (error) {
      await takeBack(run)
      throw error
    }
  }
}

/** SQLite took it back by itself where a statement could not begin or the disk failed. */
const nothingOpen = /no transaction is active/

/** Should it fail, the next change finds the transaction open, fails, and takes it back. */
async function takeBack(run: (text: string) => Promise<void>): Promise<void> {
  try {
    await run('ROLLBACK')
  } catch (error) {
    if (!nothingOpen.test(String(error)))
      log.error({ err: error }, 'a broken change could not be taken back yet')
  }
}
