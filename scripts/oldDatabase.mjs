/** A database as the first make left it, with one refit in it. */
import { promisify } from 'node:util'

/** `statements`: the first migration. Precondition: packages are installed. */
export async function makeOldDatabase(file, statements) {
  const { default: sqlite3 } = await import('sqlite3')
  const database = new sqlite3.Database(file)
  const run = promisify(database.run.bind(database))
  const all = promisify(database.all.bind(database))
  for (const statement of statements) await run(statement)
  await run('CREATE TABLE migrations (name VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)')
  await run("INSERT INTO migrations VALUES ('0001-first')")
  const columns = (await all('PRAGMA table_info(refit)')).filter((one) => one.notnull)
  const values = { monthMeanC: '[]', workableShare: '[]', name: 'Old one', zone: 'UTC' }
  await run(
    `INSERT INTO refit (${columns.map(({ name }) => `"${name}"`).join()}) VALUES (${columns.map(() => '?').join()})`,
    columns.map(({ name, type }) => values[name] ?? (type === 'TEXT' ? 'x' : 1)),
  )
  await promisify(database.close.bind(database))()
}
