/** Writes to the database, on a connection of its own. */
import type { Database as Connection } from 'sqlite3'
import type { Sequelize } from 'sequelize'
import { log } from '../services/log'

/**
 * Statements in one transaction: all of them or none. They are asked for as they are needed, so that a whole refit is
 * not written out at once. Precondition: the one before has ended. Throws what SQLite says.
 */
export type Write = (statements: Iterable<string>) => Promise<void>

/** Letters handed over in one call: each call is a turn through a thread, in which others wait. */
const mostLetters = 250_000

/** Opens the connection that all changes are written on. */
export async function openWriter(sequelize: Sequelize): Promise<Write> {
  const options = { uuid: 'writer' } as unknown as Parameters<
    typeof sequelize.connectionManager.getConnection
  >[0]
  const connection = (await sequelize.connectionManager.getConnection(options)) as Connection
  const run = (text: string): Promise<void> =>
    new Promise((done, fail) => {
      connection.exec(text, (error) => (error ? fail(error) : done()))
    })
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
