/** From nothing, and from every older database, to the tables that the description says. */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { QueryTypes, Sequelize } from 'sequelize'
import sqlite3 from 'sqlite3'
import { afterAll, describe, expect, it } from 'vitest'
import { entities, entityNames } from '#core/model/entities'

const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-migrations-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const { openDatabase } = await import('../../server/db/connect')
const { statements: first } = await import('../../server/db/migrations/first')

interface Column {
  readonly name: string
  readonly type: string
  readonly notnull: number
}

const columnsOf = (sequelize: Sequelize, table: string): Promise<Column[]> =>
  sequelize.query<Column>(`PRAGMA table_info("${table}")`, { type: QueryTypes.SELECT })

/** A database that has had the first migration only, with one refit in it. */
async function oldDatabase(file: string): Promise<void> {
  const old = new Sequelize({
    dialect: 'sqlite',
    dialectModule: sqlite3,
    storage: file,
    logging: false,
  })
  for (const statement of first) await old.query(statement)
  await old.query('CREATE TABLE migrations (name VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)')
  await old.query("INSERT INTO migrations VALUES ('0001-first')")
  const insert = async (table: string, values: Record<string, unknown>) => {
    const columns = (await columnsOf(old, table)).filter(
      (one) => one.notnull || values[one.name] !== undefined,
    )
    await old.query(
      `INSERT INTO "${table}" (${columns.map(({ name }) => `"${name}"`).join()}) VALUES (${columns.map(() => '?').join()})`,
      {
        replacements: columns.map(({ name, type }) => values[name] ?? (type === 'TEXT' ? 'x' : 1)),
      },
    )
  }
  await insert('refit', { monthMeanC: '[]', workableShare: '[]', name: 'Old one' })
  for (const [id, supplier] of [
    ['a', 'By post'],
    ['b', ' by Post '],
    ['c', ''],
    ['d', 'The shop'],
  ])
    await insert('part', { id, supplier, recipeMade: '{}' })
  await old.close()
}

describe('the tables', () => {
  it.each(['new', 'old'])('of a %s database are those of the description', async (age) => {
    const file = join(folder, `${age}.sqlite`)
    if (age === 'old') await oldDatabase(file)
    const { sequelize, models, close } = await openDatabase(file)
    for (const entity of entityNames) {
      const found = new Map((await columnsOf(sequelize, entity)).map((one) => [one.name, one]))
      const wanted = Object.entries(entities[entity])
      for (const [name, field] of wanted)
        expect([entity, name, found.get(name)?.notnull]).toEqual([
          entity,
          name,
          field.nullable ? 0 : 1,
        ])
      const own = ['refitId', 'id', 'version', 'seq', 'deletedAt']
      expect([...found.keys()].sort()).toEqual([...own, ...wanted.map(([name]) => name)].sort())
    }
    if (age === 'old') {
      const refit = await models.rows.refit.findOne()
      expect(refit?.get()).toMatchObject({ name: 'Old one', historyKept: 2000, earnedKeptIn: 0 })
      // Whom a part was bought from is a row of its own since, one for each name.
      const [parts, suppliers] = [
        await models.rows.part.findAll(),
        await models.rows.supplier.findAll(),
      ]
      const names = new Map(suppliers.map((one) => [one.get('id'), one.get('name')]))
      expect(suppliers).toHaveLength(2)
      expect(
        parts
          .map((one) => `${String(one.get('id'))} ${String(names.get(one.get('supplierId')))}`)
          .sort(),
      ).toEqual(['a By post', 'b By post', 'c undefined', 'd The shop'])
      // Each refit that was there has a life of its own from now on.
      expect((await models.life.findOne())?.get('epoch')).toMatch(/^[0-9a-f]{32}$/)
    }
    await close()
  })

  it('are all made or none: a migration that breaks off leaves what was there', async () => {
    const file = join(folder, 'torn.sqlite')
    await oldDatabase(file)
    const old = new Sequelize({
      dialect: 'sqlite',
      dialectModule: sqlite3,
      storage: file,
      logging: false,
    })
    // The last migration meets a table of its own name, after others have already added columns.
    await old.query('CREATE TABLE life (x TEXT)')
    const before = await old.query('SELECT sql FROM sqlite_master ORDER BY name', {
      type: QueryTypes.SELECT,
    })
    await expect(openDatabase(file)).rejects.toThrow(/already exists/)
    expect(
      await old.query('SELECT sql FROM sqlite_master ORDER BY name', { type: QueryTypes.SELECT }),
    ).toEqual(before)
    await old.query('DROP TABLE life')
    await old.close()
    const { models, close } = await openDatabase(file)
    expect(await models.rows.refit.count()).toBe(1)
    await close()
  })
})
