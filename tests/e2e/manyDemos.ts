/** The demo as many refits of one folder: files whose server is not killed share it, each on a refit of its own. */
import { cpSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import sqlite3 from 'sqlite3'
import { newId } from '../../app/utils/newId'
import type { RefitRows } from '../../core/model/refit'
import { inputsHash } from '../../core/plan/inputsHash'

type Run = (statement: string, values?: readonly unknown[]) => Promise<unknown>
type Read = (statement: string) => Promise<readonly Readonly<Record<string, string>>[]>

/** Makes `folder` of that of the demo, with as many refits more; gives the ids of all that are alike. */
export async function manyDemos(demo: string, folder: string, more: number): Promise<string[]> {
  cpSync(demo, folder, {
    recursive: true,
    filter: (source) => !/rows\.json$|in-use\.lock$/.test(source),
  })
  const database = new sqlite3.Database(join(folder, 'inch-ahead.sqlite'))
  const run = promisify(database.run.bind(database)) as Run
  const read = promisify(database.all.bind(database)) as Read
  const tables = await read(
    `SELECT t.name AS name, group_concat('"' || c.name || '"') AS columns
      FROM sqlite_master t, pragma_table_info(t.name) c
      WHERE t.type = 'table' AND t.name <> 'migrations' GROUP BY t.name`,
  )
  const [first] = await read('SELECT id FROM refit')
  const own = first?.id ?? ''
  const ids = Array.from({ length: more }, () => newId())
  const rows = JSON.parse(readFileSync(join(demo, 'rows.json'), 'utf8')) as RefitRows
  /** Its plan and its odds are of these rows, that of the refit among them. */
  const hashOf = (id: string) =>
    inputsHash({ ...rows, refit: rows.refit.map((one) => ({ ...one, id })) })
  await run('PRAGMA synchronous = OFF')
  await run('BEGIN')
  for (const id of ids)
    for (const { name = '', columns = '' } of tables) {
      // A refit is a row of its own refit.
      const values = columns
        .split(',')
        .map((one) => (one === '"refitId"' || (name === 'refit' && one === '"id"') ? '?' : one))
      const asked = values.filter((one) => one === '?').map(() => id)
      await run(
        `INSERT INTO "${name}" (${columns}) SELECT ${values.join()} FROM "${name}" WHERE refitId = ?`,
        [...asked, own],
      )
    }
  for (const id of ids)
    for (const name of ['plan', 'odds'])
      await run(`UPDATE "${name}" SET inputsHash = replace(inputsHash, ?, ?) WHERE refitId = ?`, [
        hashOf(own),
        hashOf(id),
        id,
      ])
  await run('COMMIT')
  await promisify(database.close.bind(database))()
  return [own, ...ids]
}
