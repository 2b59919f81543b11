/** What is written comes back as it was, all of it or nothing. */
import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { QueryTypes, Sequelize } from 'sequelize'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { openDatabase } from '../../server/db/connect'
import { patientSqlite } from '../../server/db/patientSqlite'
import { addRows, literal, putRows, setFields, takeRows } from '../../server/db/statements'
import { openWriter } from '../../server/db/writer'
import type { Write, Writer } from '../../server/db/writer'
import { draws } from '../draws'

const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-writer-'))
const storage = join(folder, 'one.sqlite')
const sequelize = new Sequelize({
  dialect: 'sqlite',
  dialectModule: patientSqlite,
  storage,
  logging: false,
})
let writer: Writer
const write: Write = (statements) => writer.write(statements)
beforeAll(async () => {
  await sequelize.query('PRAGMA journal_mode = WAL')
  await sequelize.query('CREATE TABLE kept (id INTEGER PRIMARY KEY, word TEXT, real REAL)')
  writer = await openWriter(storage)
})
afterAll(async () => {
  await writer.close()
  await sequelize.close()
  rmSync(folder, { recursive: true, force: true })
})

interface Kept {
  readonly id: number
  readonly word: string | null
  readonly real: number | null
}
const columns = ['id', 'word', 'real']
const kept = (): Promise<Kept[]> =>
  sequelize.query<Kept>('SELECT * FROM kept ORDER BY id', { type: QueryTypes.SELECT })
const add = (rows: readonly Partial<Kept>[]) => addRows('kept', columns, rows)
const empty = () => write(['DELETE FROM kept'])

const real = fc.oneof(
  fc.double({ noNaN: true, noDefaultInfinity: true }),
  fc.double({ noNaN: true, min: -2000, max: 2000 }),
  fc.integer(),
)
// Halves of signs outside the plane are no text that anything stores.
const word = fc.string({ unit: 'binary' }).filter((text) => !text.includes('\0'))

it('brings back each number to its last digit, and each text', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.record({ word: fc.option(word), real: fc.option(real) }), { maxLength: 300 }),
      async (drawn) => {
        await empty()
        // Read from its shortest form by SQLite, this one comes back one digit off.
        const rows = [{ word: "it's; -- \n“so”", real: 441.4603274069826 }, ...drawn].map(
          (row, id) => ({ ...row, id }),
        )
        await write(add(rows))
        // No table tells a minus zero from zero.
        expect(await kept()).toEqual(rows.map((row) => ({ ...row, real: row.real && row.real })))
      },
    ),
    { numRuns: draws(20) },
  )
})

it('writes lists and records as JSON, yes and no as numbers; no number that is none, no text cut off by a NUL', () => {
  expect(literal({ note: "it's", list: [0.1] })).toBe(`'{"note":"it''s","list":[0.1]}'`)
  expect([literal(true), literal(false), literal(undefined)]).toEqual(['1', '0', 'NULL'])
  expect(() => literal(Number.NaN)).toThrow('No table holds the number NaN')
  expect(() => literal('a\0b')).toThrow('NUL')
})

it('puts rows in place of those with the same key, sets and takes those it is told; an added row must be new', async () => {
  await empty()
  await write(add([1, 2, 3].map((id) => ({ id, word: `old ${id}`, real: id }))))
  await write([
    ...putRows(
      'kept',
      columns,
      ['id'],
      [
        { id: 2, word: 'new', real: null },
        { id: 4, word: 'four', real: 4 },
      ],
    ),
    setFields('kept', { word: 'set', real: 9 }, { id: 3, word: 'old 3' }),
    setFields('kept', { word: 'never' }, { id: 1, word: 'another' }),
    takeRows('kept', { id: 1, word: 'another' }),
    takeRows('kept', { id: 4 }),
  ])
  const stands = [
    { id: 1, word: 'old 1', real: 1 },
    { id: 2, word: 'new', real: null },
    { id: 3, word: 'set', real: 9 },
  ]
  expect(await kept()).toEqual(stands)
  await expect(write(add([{ id: 5 }, { id: 2, word: 'over', real: 0 }]))).rejects.toThrow('UNIQUE')
  expect(await kept()).toEqual(stands)
})

it('leaves nothing of a transaction that breaks after much of it was handed over, and writes the next', async () => {
  await empty()
  const long = 'x'.repeat(60_000)
  let seen = -1
  function* breaking(): Generator<string> {
    for (let id = 0; id < 10; id++) yield* add([{ id, word: long }])
    void kept().then((rows) => (seen = rows.length))
    yield* add([{ id: 10, word: long }])
    throw new Error('broken off')
  }
  await expect(write(breaking())).rejects.toThrow('broken off')
  await expect(write(['INSERT INTO kept (id) VALUES (1)', 'no statement'])).rejects.toThrow(
    'syntax error',
  )
  expect(await kept()).toEqual([])
  await expect.poll(() => seen).toBe(0)
  await write(add([{ id: 7, word: 'next' }]))
  expect(await kept()).toEqual([{ id: 7, word: 'next', real: null }])
})

it('is closed whole, every time: what is copied then is in one file', async () => {
  const file = join(folder, 'whole.sqlite')
  for (let at = 0; at < 15; at++) {
    const database = await openDatabase(file)
    await Promise.all([
      database.models.life.findAll(),
      database.write(
        putRows('life', ['refitId', 'epoch'], ['refitId'], [{ refitId: 'r', epoch: String(at) }]),
      ),
    ])
    await database.close()
    expect(existsSync(`${file}-wal`)).toBe(false)
  }
})
