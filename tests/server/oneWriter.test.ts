/** Transactions follow each other on one connection; a second one at the same time has its own, and nothing stays open. */
import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Sequelize } from 'sequelize'
import { afterAll, expect, it } from 'vitest'
import { keepWriter } from '../../server/db/oneWriter'

const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-writer-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

it('keeps the connection of one transaction for the next, also after one that was taken back', async () => {
  const storage = join(folder, 'one.sqlite')
  const sequelize = new Sequelize({ dialect: 'sqlite', storage, logging: false })
  keepWriter(sequelize)
  await sequelize.query('PRAGMA journal_mode = WAL')
  await sequelize.query('CREATE TABLE said (word TEXT)')
  const used: unknown[] = []
  const say = (word: string, breaks = false) =>
    sequelize.transaction(async (transaction) => {
      used.push((transaction as unknown as { connection: unknown }).connection)
      await sequelize.query(`INSERT INTO said VALUES ('${word}')`, { transaction })
      if (breaks) throw new Error('broken off')
    })
  await say('one')
  await expect(say('lost', true)).rejects.toThrow('broken off')
  await say('two')
  expect(new Set(used).size).toBe(1)

  // Two at once: the inner one has not seen what the outer one has not written yet.
  let seen: unknown
  await sequelize.transaction(async (transaction) => {
    const outer = (transaction as unknown as { connection: unknown }).connection
    await sequelize.query("INSERT INTO said VALUES ('three')", { transaction })
    await sequelize.transaction(async (second) => {
      expect((second as unknown as { connection: unknown }).connection).not.toBe(outer)
      const asked = await sequelize.query('SELECT word FROM said', { transaction: second })
      seen = asked[0]
    })
  })
  expect(seen).toEqual([{ word: 'one' }, { word: 'two' }])
  const [words] = await sequelize.query('SELECT word FROM said')
  expect(words).toEqual([{ word: 'one' }, { word: 'two' }, { word: 'three' }])

  // The last connection that is closed puts the log of the database into it.
  await sequelize.close()
  expect(existsSync(`${storage}-wal`)).toBe(false)
})
