/** A connection to SQLite of one's own, beside Sequelize's. */
import sqlite3 from 'sqlite3'

/** Opens a file with a kind of connection; makes it where it is missing. Throws what SQLite says. */
export const openOwn = (
  Kind: new (...given: ConstructorParameters<typeof sqlite3.Database>) => sqlite3.Database,
  file: string,
): Promise<sqlite3.Database> =>
  new Promise((done, fail) => {
    const mode = sqlite3.OPEN_READWRITE | sqlite3.OPEN_CREATE
    const opened = new Kind(file, mode, (error) => (error ? fail(error) : done(opened)))
  })

/** Runs statements one after the other, up to the first that fails. */
export const runOn = (connection: sqlite3.Database, text: string): Promise<void> =>
  new Promise((done, fail) => {
    connection.exec(text, (error) => (error ? fail(error) : done()))
  })

export const closeOwn = (connection: sqlite3.Database): Promise<void> =>
  new Promise((done, fail) => {
    connection.close((error) => (error ? fail(error) : done()))
  })
