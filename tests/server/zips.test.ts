/** Zips on their way out and in: made piece by piece, read from the disk, and nothing left behind. */
import { mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { readFile, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { withIncoming } from '../../server/services/incoming'
import { openZip } from '../../server/services/unzip'
import { zipOf } from '../../server/services/zipOut'
import type { ZipEntry } from '../../server/services/zipOut'

const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-zips-'))
const before = process.env.INCH_AHEAD_DATA
beforeAll(() => {
  process.env.INCH_AHEAD_DATA = folder
})
afterAll(() => {
  if (before === undefined) delete process.env.INCH_AHEAD_DATA
  else process.env.INCH_AHEAD_DATA = before
  rmSync(folder, { recursive: true })
})

const picture = (seed: number, length = 300_000): Uint8Array =>
  Uint8Array.from({ length }, (_, at) => (at * 31 + seed * 7) % 251)
const limits = { entries: 100, bytes: 1e8 }

/** All of a stream, and the most that came in one go. */
async function gathered(entries: readonly ZipEntry[]) {
  const pieces: Uint8Array[] = []
  for await (const piece of zipOf(entries)) pieces.push(piece)
  return Buffer.concat(pieces)
}

it('gives back what went in, packed text last', async () => {
  const text = 'The same line, many times.\n'.repeat(5000)
  const bytes = await gathered([
    { name: 'pictures/one', read: () => Promise.resolve(picture(1)) },
    { name: 'pictures/two', read: () => Promise.resolve(picture(2)) },
    { name: 'refit.json', text },
  ])
  // The text packs to next to nothing, the pictures stand as they are.
  expect(bytes.length).toBeGreaterThan(600_000)
  expect(bytes.length).toBeLessThan(610_000)
  const file = join(folder, 'out.zip')
  await writeFile(file, bytes)
  const zip = await openZip(file, limits)
  expect(zip.names).toEqual(['pictures/one', 'pictures/two', 'refit.json'])
  expect(Buffer.compare(await zip.read('pictures/two', 1e6), picture(2))).toBe(0)
  expect((await zip.read('refit.json', 1e6)).toString()).toBe(text)
  zip.close()
})

it('reads a file only when its turn has come, and says when one is gone', async () => {
  const read: string[] = []
  const entry = (name: string, fails = false) => ({
    name,
    read: () => {
      read.push(name)
      return fails ? Promise.reject(new Error(`${name} is gone`)) : Promise.resolve(picture(3))
    },
  })
  const stream = zipOf([entry('one'), entry('two'), entry('three', true)])
  await stream.next()
  expect(read).toEqual(['one'])
  const rest = async () => {
    for await (const piece of stream) expect(piece.length).toBeGreaterThan(0)
  }
  await expect(rest()).rejects.toThrow('three is gone')
})

it('keeps a file on its way in only while it is looked at', async () => {
  const incoming = () => readdirSync(join(folder, 'incoming'))
  async function* chunks() {
    yield Buffer.from('half ')
    yield await Promise.resolve(Buffer.from('and half'))
  }
  const seen = await withIncoming(chunks(), async (file) => {
    expect(incoming()).toHaveLength(1)
    return readFile(file, 'utf8')
  })
  expect(seen).toBe('half and half')
  expect(incoming()).toEqual([])
  await expect(
    withIncoming(chunks(), () => Promise.reject(new Error('no refit file'))),
  ).rejects.toThrow('no refit file')
  async function* cut() {
    yield await Promise.resolve(Buffer.from('half'))
    throw new Error('the line was cut')
  }
  await expect(withIncoming(cut(), () => Promise.resolve('taken'))).rejects.toThrow('cut')
  expect(incoming()).toEqual([])
})
