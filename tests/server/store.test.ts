/** The data folder and what comes into it, on the built server: nothing lost, nothing let out. */
import { createHash } from 'node:crypto'
import {
  existsSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import sharp from 'sharp'
import { strToU8, zipSync } from 'fflate'
import type { Zippable } from 'fflate'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { zipOf } from '../../server/services/zipOut'
import { TestServer } from '../e2e/server'
import { ask, bytesOf, createItem, fileOf, insideOf, sendItems } from './asking'
import type { Loose, RefitText } from './asking'

const server = new TestServer()
let refitId = ''
const exported = async () => insideOf(await bytesOf(server, `/api/refits/${refitId}/export`))
const bring = (inner: RefitText, more: Zippable = {}, query = '') =>
  ask(server, `/api/import${query}`, fileOf(inner, more) as BodyInit)
const folder = (...names: string[]) => join(server.folder, ...names)
const copies = (why = '') => readdirSync(folder('copies')).filter((name) => name.includes(why))
const sentences = (answer: { body: Loose }) => String(answer.body.message)
const row = (inner: RefitText, kind: string, at = 0): Loose => inner.rows[kind]?.[at] as Loose

beforeAll(async () => {
  await server.start({ INCH_AHEAD_SEED: 'demo' })
  refitId = await server.refitId()
}, 60_000)
afterAll(() => server.end())

describe('a refit file', () => {
  it.each(['../../clock.json', '..%2f..%2fclock.json', 'A'.repeat(64), 'clock.json'])(
    'cannot name the file %s as a picture',
    async (hash) => {
      const inner = await exported()
      row(inner, 'picture').hash = hash
      const answer = await bring(inner)
      expect(answer.status).toBe(422)
      expect(sentences(answer)).toMatch(/picture.*not in the form it should be/)
    },
  )

  it('cannot bring in an id that leads elsewhere, nor a name that does in its zip', async () => {
    const inner = await exported()
    row(inner, 'system').id = '../x'
    expect(sentences(await bring(inner))).toMatch(/In the system .*An id may have letters/)
    const evil = { '../../evil.txt': strToU8('x') }
    const file = zipSync({ ...evil, 'refit.json': strToU8(JSON.stringify(await exported())) })
    expect((await ask(server, '/api/import', file as BodyInit)).status).toBe(422)
    expect(existsSync(folder('..', '..', 'evil.txt'))).toBe(false)
  })

  it('comes back with what could stand here, and says what wants mending', async () => {
    const inner = await exported()
    // Moved past a gate that hangs on it, and begun long before: both could be done once, row by row.
    const haul = inner.rows.haulOut?.find((one) => one.id === 'haul-two') as Loose
    const gate = { kind: 'dated', name: 'Survey', haulOutId: haul.id, on: '2001-01-01' }
    inner.rows.gate?.push({ ...gate, id: 'early' })
    row(inner, 'refit').startedOn = '2001-01-01'
    row(inner, 'job').title = 'with\u0000out'
    const { status, body } = await bring(inner)
    expect(status).toBe(200)
    const toMend = body.toMend as string[]
    expect(toMend).toContainEqual(
      expect.stringMatching(/^Gate “Survey”: .*before its haul-out begins/),
    )
    expect(toMend).toContainEqual(expect.stringMatching(/^Haul-out “.*years after the refit began/))
    const back = await ask(server, `/api/refits/${String(body.refitId)}`)
    const jobs = (back.body.rows as Record<string, Loose[]>).job
    expect(jobs?.map((job) => job.title)).toContain('without')
    // What stands wrong does not bar an edit beside it, and cannot be made anew.
    const edit = (patch: object) =>
      sendItems(server, String(body.refitId), [
        { op: 'patch', entity: 'gate', id: 'early', baseVersion: 1, patch },
      ])
    expect((await edit({ on: '2001-01-02' })).status).toBe(422)
    expect((await edit({ name: 'Insurance survey' })).status).toBe(200)
  })

  it('goes out without a file that is gone, names it, and comes back naming it too', async () => {
    const inner = await exported()
    const { hash, caption } = row(inner, 'picture')
    const bytes = readFileSync(folder('pictures', String(hash)))
    rmSync(folder('pictures', String(hash)))
    const missing = await ask(server, `/api/refits/${refitId}/missing`)
    expect(missing.body).toEqual([{ hash, name: caption }])
    const out = await exported()
    expect(out.missing).toEqual([{ hash, name: caption }])
    const { body } = await bring(out)
    expect(body.toMend).toContainEqual(expect.stringContaining(`“${String(caption)}” has no file`))
    // An edit that names a file which is not here is refused.
    const [named] = [createItem('picture', { ...row(inner, 'picture'), id: undefined })]
    const { id: _, ...patch } = row(inner, 'picture')
    const answer = await sendItems(server, refitId, [{ ...named, patch }])
    expect(sentences(answer)).toMatch(/has no file here/)
    writeFileSync(folder('pictures', String(hash)), bytes)
  })

  it('in place of another goes on with its numbers in another life, and tells every window', async () => {
    const second = String((await bring(await exported())).body.refitId)
    const before = (await ask(server, `/api/refits/${second}`)).body
    const stream = await fetch(`${server.url}/api/refits/${second}/events`)
    const heard: string[] = []
    const reading = (async () => {
      for await (const chunk of Readable.fromWeb(stream.body as never))
        if (heard.push(String(chunk)) && heard.join('').includes('event: change')) return
    })()
    const inner = await exported()
    row(inner, 'refit').name = 'Another one'
    expect((await bring(inner, {}, `?replace=${second}`)).status).toBe(200)
    await reading
    const after = (await ask(server, `/api/refits/${second}`)).body
    expect(after.seq).toBe(Number(before.seq) + 1)
    expect(after.epoch).not.toBe(before.epoch)
    expect(heard.join('')).toContain(String(after.epoch))
    // A window of the old life can neither catch up nor write.
    const since = `/api/refits/${second}/changes?since=${String(before.seq)}&epoch=${String(before.epoch)}`
    expect((await ask(server, since)).body).toMatchObject({ rows: null, epoch: after.epoch })
    const late = [createItem('system', { name: 'Late', kind: 'finish', order: 'zz' })]
    const { status, body } = await sendItems(server, second, late, { epoch: before.epoch })
    expect([status, body.code]).toEqual([409, 'otherLife'])
    // Each time a copy of what stood there is kept, however little comes in its place.
    const kinds = Object.entries(inner.rows)
    const rows = Object.fromEntries(
      kinds.map(([kind, list]) => [kind, kind === 'refit' ? list : []]),
    )
    for (let at = 0; at < 5; at++)
      expect((await bring({ ...inner, rows }, {}, `?replace=${second}`)).status).toBe(200)
    expect(copies('before-replace')).toHaveLength(5)
  }, 120_000)

  it('that chokes is refused: blanks, bombs, too many entries, too many jobs', async () => {
    const pieces: Uint8Array[] = []
    const text = ' '.repeat(85e6)
    for await (const piece of zipOf([{ name: 'refit.json', text }])) pieces.push(piece)
    const blanks = Buffer.concat(pieces)
    expect(blanks.length).toBeLessThan(1e6)
    expect(sentences(await ask(server, '/api/import', blanks as BodyInit))).toMatch(
      /unpacks to more than is taken: up to 80 MB/,
    )
    const many: Zippable = {}
    for (let at = 0; at <= 20_000; at++) many[`x${at}`] = [new Uint8Array(), { level: 0 }]
    const inner = await exported()
    expect(sentences(await bring(inner, many))).toMatch(/20,\d{3} files; up to 20,000/)
    for (let at = 0; at < 20_000; at++)
      inner.rows.job?.push({
        ...row(inner, 'job'),
        id: `many-${at}`,
        parentJobId: at < 19_999 ? `many-${at + 1}` : null,
      })
    expect(sentences(await bring(inner))).toMatch(/up to 10,000 jobs; this would make 20,\d{3}/)
  }, 60_000)

  it('of many large pictures comes in unlooked at, and each is shown when it is asked for', async () => {
    const inner = await exported()
    const files: Record<string, Uint8Array> = {}
    for (let at = 0; at < 2; at++) {
      const size = { width: 7000, height: 7000 + at, channels: 3, background: 'white' } as const
      const png = await sharp({ create: size, limitInputPixels: false })
        .png({ compressionLevel: 1 })
        .toBuffer()
      const hash = createHash('sha256').update(png).digest('hex')
      files[`pictures/${hash}`] = png
      inner.rows.picture?.push({ ...row(inner, 'picture'), id: `large-${at}`, hash })
    }
    const { status, body } = await bring(inner, files)
    expect([status, body.toMend]).toEqual([200, []])
    const [name = ''] = Object.keys(files)
    const hash = name.split('/')[1] ?? ''
    expect(existsSync(folder('pictures', `${hash}.small`))).toBe(false)
    const small = await fetch(`${server.url}/api/pictures/${hash}?small`)
    expect(small.headers.get('content-type')).toBe('image/webp')
    expect(existsSync(folder('pictures', `${hash}.small`))).toBe(true)
  }, 60_000)
})

it('replaces a torn upload by its next one, and makes small pictures again', async () => {
  const png = await sharp({ create: { width: 900, height: 10, channels: 3, background: 'red' } })
    .png()
    .toBuffer()
  const send = () => ask(server, `/api/refits/${refitId}/pictures`, png as BodyInit)
  const { hash } = (await send()).body
  const file = folder('pictures', String(hash))
  const whole = readFileSync(file)
  truncateSync(file, 20)
  rmSync(`${file}.small`)
  expect((await send()).status).toBe(200)
  expect(readFileSync(file)).toEqual(whole)
  rmSync(`${file}.small`)
  expect((await fetch(`${server.url}/api/pictures/${String(hash)}?small`)).status).toBe(200)
  expect(readdirSync(folder('pictures')).filter((name) => name.endsWith('.part'))).toEqual([])
})

it('shuts its files to others and its pages to other makers', async () => {
  for (const name of ['inch-ahead.sqlite', 'inch-ahead.sqlite-wal', 'folder.json'])
    expect(statSync(folder(name)).mode & 0o077).toBe(0)
  for (const path of ['/', `/r/${refitId}/today`]) {
    const answer = await fetch(server.url + path)
    const page = await answer.text()
    expect(answer.headers.get('x-frame-options')).toBe('DENY')
    expect(answer.headers.get('content-security-policy')).toContain("frame-ancestors 'none'")
    expect(answer.headers.get('x-powered-by')).toBeNull()
    // Every script in the page is named by its hash; nothing else may run.
    const policy = /http-equiv="Content-Security-Policy" content="([^"]*)"/.exec(page)?.[1] ?? ''
    expect(policy).not.toMatch(/script-src[^;]*unsafe/)
    for (const [, text = ''] of page.matchAll(/<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g))
      expect(policy).toContain(createHash('sha256').update(text).digest('base64'))
  }
})

describe('the folder', () => {
  it('is refused to a second process, with a sentence', async () => {
    const other = new TestServer()
    await other.start({ INCH_AHEAD_DATA: server.folder }, true).catch(() => undefined)
    expect(await other.exited()).toBe(1)
    expect(other.said).toContain('Another Inch Ahead has')
    await other.end()
    expect((await ask(server, '/api/refits')).status).toBe(200)
  }, 60_000)

  it('is closed whole, and copied and checked at the next start', async () => {
    expect(await server.stop()).toBe(0)
    expect(existsSync(folder('inch-ahead.sqlite-wal'))).toBe(false)
    await server.start()
    await expect.poll(() => copies('start').length, { timeout: 10_000 }).toBeGreaterThan(0)
  }, 60_000)

  it.each<[string, (file: string) => void, RegExp]>([
    [
      'damaged',
      (file) => writeFileSync(file, 'x'.repeat(9000)),
      /is damaged and was left as it is/,
    ],
    [
      'damaged in the middle',
      (file) => {
        const bytes = readFileSync(file)
        bytes.fill(0x5a, 4096, 60_000)
        writeFileSync(file, bytes)
      },
      /is damaged and was left as it is/,
    ],
    ['empty', (file) => truncateSync(file, 0), /its database is empty/],
    ['gone', (file) => rmSync(file), /its database is not there any more/],
  ])(
    'whose database is %s says so, and takes a copy back',
    async (_, spoil, sentence) => {
      const [job] = (
        (await ask(server, `/api/refits/${refitId}`)).body.rows as Record<string, Loose[]>
      ).job as Loose[]
      await server.stop()
      spoil(folder('inch-ahead.sqlite'))
      await server.start({}, true)
      const answer = await ask(server, '/api/refits')
      expect(answer.status).toBe(503)
      expect(sentences(answer)).toMatch(sentence)
      const listed = (await ask(server, '/api/copies')).body.copies as { name: string }[]
      const path = '/api/copies/put-back'
      const wrong = await ask(server, path, JSON.stringify({ name: '../clock.json' }))
      expect(wrong.status).toBe(404)
      const put = await ask(server, path, JSON.stringify({ name: listed[0]?.name }))
      expect(put.status).toBe(200)
      const back = (await ask(server, `/api/refits/${refitId}`)).body.rows as Record<
        string,
        Loose[]
      >
      expect(back.job).toContainEqual(job)
    },
    60_000,
  )

  it('puts a copy back under open windows: they read it anew, in another life', async () => {
    const before = (await ask(server, `/api/refits/${refitId}`)).body
    const made = await sendItems(server, refitId, [
      createItem('system', { name: 'Since the copy', kind: 'finish', order: 'zz' }),
    ])
    expect(made.status).toBe(200)
    const [newest] = (await ask(server, '/api/copies')).body.copies as { name: string }[]
    await ask(server, '/api/copies/put-back', JSON.stringify({ name: newest?.name }))
    const after = (await ask(server, `/api/refits/${refitId}`)).body
    expect(after.epoch).not.toBe(before.epoch)
    expect(JSON.stringify(after.rows)).not.toContain('Since the copy')
    // And what was there before it was put back is a copy too.
    expect(copies('before-putting-back').length).toBeGreaterThan(0)
  }, 60_000)
})
