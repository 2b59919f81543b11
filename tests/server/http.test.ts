/** Bad input over HTTP on the built server: always 4xx in the one shape, never 5xx, and nothing written. */
import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import ExcelJs from 'exceljs'
import { strToU8, unzipSync, zipSync } from 'fflate'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../e2e/server'

const server = new TestServer()
let refitId = ''
beforeAll(async () => {
  await server.start({ INCH_AHEAD_SEED: 'demo' })
  refitId = await server.refitId()
}, 60_000)
afterAll(() => server.end())

const post = async (path: string, body: BodyInit, headers: Record<string, string> = {}) => {
  const answer = await fetch(server.url + path, { method: 'POST', body, headers })
  return { status: answer.status, body: (await answer.json()) as Record<string, unknown> }
}
const change = (items: unknown, more: object = {}) =>
  post(
    `/api/refits/${refitId}/changes`,
    JSON.stringify({ changeId: randomUUID(), deviceId: 'test', items, ...more }),
  )
const get = async (path: string) => {
  const answer = await fetch(server.url + path)
  return { status: answer.status, bytes: new Uint8Array(await answer.arrayBuffer()) }
}
const rows = async () => {
  const { bytes } = await get(`/api/refits/${refitId}`)
  const read = JSON.parse(new TextDecoder().decode(bytes)) as {
    rows: Record<string, { id: string; version: number }[]>
  }
  for (const list of Object.values(read.rows)) list.sort((a, b) => (a.id < b.id ? -1 : 1))
  return read.rows
}
const create = (entity: string, patch: object) => [
  { op: 'create', entity, id: randomUUID(), patch },
]
const refused = {
  code: expect.any(String),
  message: expect.stringMatching(/\w.*\./),
  fields: expect.any(Array),
}

describe('bad input', () => {
  it.each<[string, unknown, object?]>([
    ['no list', undefined],
    ['an empty list', []],
    ['an unknown kind', create('spaceship', {})],
    ['an unknown operation', [{ op: 'explode', entity: 'job', id: 'x' }]],
    [
      'a patch without its version',
      [{ op: 'patch', entity: 'job', id: 'lids', patch: { title: 'x' } }],
    ],
    [
      'a patch of nothing',
      [{ op: 'patch', entity: 'job', id: 'nothing', baseVersion: 1, patch: { title: 'x' } }],
    ],
    ['an id with a path in it', create('job', {}).map((one) => ({ ...one, id: '../../etc' }))],
    ['a change id that is an object', create('job', { title: 'x', order: 'b' }), { changeId: {} }],
    ['negative hours', create('hoursEntry', { personId: 'oona', on: '2027-04-17', hours: -3 })],
    ['hours over a day', create('hoursEntry', { personId: 'oona', on: '2027-04-17', hours: 30 })],
    [
      'hours of a person that is not there',
      create('hoursEntry', { personId: 'nobody', on: '2027-04-17', hours: 3 }),
    ],
    [
      'a person removed who is on hours',
      [{ op: 'delete', entity: 'person', id: 'oona', baseVersion: 1 }],
    ],
    ['a title of 1,000 letters', create('job', { title: 'x'.repeat(1000), order: 'b' })],
    ['a number that is text', create('job', { title: 'x', order: 'b', severity: 'very' })],
    [
      'a watched finding without a reason',
      create('finding', { title: 'x', foundAt: 1, state: 'watch' }),
    ],
    [
      'a gate before its haul-out',
      create('gate', { name: 'Early', kind: 'dated', on: '2026-01-01', haulOutId: 'haul-two' }),
    ],
    [
      'a second launch gate',
      create('gate', { name: 'Again', kind: 'launch', haulOutId: 'haul-two' }),
    ],
    [
      'a day that ends before it begins',
      create('weekSlot', { personId: 'oona', weekday: 2, from: '17:00', to: '08:00' }),
    ],
    [
      'a clock that closes before it opens',
      create('clock', { title: 'x', kind: 'overcoat', startedAt: 1, opensH: 20, closesH: 10 }),
    ],
    [
      'a circle of three',
      [
        {
          op: 'create',
          entity: 'link',
          id: 'c1',
          patch: { fromJobId: 'bitt', toJobId: 'foredeck' },
        },
      ],
    ],
  ])('%s', async (_, items, more) => {
    const before = await rows()
    const { status, body } = await change(items, more)
    expect(status).toBeGreaterThanOrEqual(400)
    expect(status).toBeLessThan(500)
    expect(body).toMatchObject(refused)
    expect(JSON.stringify(body)).not.toMatch(/at .*\.m?js|node_modules/)
    expect(await rows()).toEqual(before)
  })

  it.each([
    ['half a JSON', `/changes`, '{"changeId": "x"'],
    ['a list where an object is due', `/changes`, '[]'],
    ['an undo without a device', `/undo`, '{}'],
    ['a picture that is not one', `/pictures`, 'MZ this is a program'],
    ['a cut-off picture', `/pictures`, Buffer.from('89504e470d0a1a0a0000000d494844520000', 'hex')],
    ['a program renamed as a document', `/documents`, 'MZ\u0090\u0000\u0003 program'],
    ['a script as a document', `/documents`, '#!/bin/sh\nrm -rf /'],
    ['an empty document', `/documents`, ''],
    [
      'a drawing that may hold a script',
      `/pictures`,
      '<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>',
    ],
  ])('%s', async (_, path, body) => {
    const answer = await post(`/api/refits/${refitId}${path}`, body)
    expect([400, 404, 413, 422]).toContain(answer.status)
    expect(answer.body).toMatchObject(refused)
  })

  it('is refused over the limits: 60 million points, 10,000 steps', async () => {
    const huge = { width: 9000, height: 7000, channels: 3, background: 'white' } as const
    const picture = await sharp({ create: huge, limitInputPixels: false }).png().toBuffer()
    const answer = await post(`/api/refits/${refitId}/pictures`, picture as BodyInit)
    expect(answer).toMatchObject({ status: 413, body: refused })
    const steps = Array.from({ length: 10_001 }, (_, at) => ({
      op: 'create',
      entity: 'step',
      id: `many-${at}`,
      patch: { jobId: 'lids', title: 'x', hoursLikely: 1, order: `x${at}` },
    }))
    const { status, body } = await change(steps)
    expect(status).toBe(422)
    expect(body.message).toMatch(/up to 10,000 steps; this would make 10,\d{3}/)
  })

  it('answers what is not there with 404, other hosts and foreign pages with 403', async () => {
    for (const path of [
      '/api/refits/none',
      '/api/pictures/none',
      `/api/pictures/${'0'.repeat(64)}`,
      '/api/refits/none/export',
      '/api/refits/..%2f..%2fetc',
    ])
      expect([404]).toContain((await get(path)).status)
    const foreign = await post(`/api/refits/${refitId}/undo`, '{}', {
      Origin: 'http://elsewhere.example',
    })
    expect(foreign.status).toBe(403)
  })

  it('keeps text with marks in it as text', async () => {
    const title = '<script>alert(1)</script> & "quotes"'
    const [item] = create('job', { title, order: 'zzz' })
    expect((await change([item])).status).toBe(200)
    expect((await rows()).job?.find((one) => one.id === item?.id)).toMatchObject({ title })
  })
})

describe('words for undo', () => {
  it('may carry a whole title, and no more than that', async () => {
    const item = create('system', { name: 'Long', kind: 'finish', order: 'zz' })
    expect((await change(item, { label: `Change ${'x'.repeat(500)}` })).status).toBe(200)
    const { status, body } = await change(item, { label: 'x'.repeat(701) })
    expect(status).toBe(422)
    expect(body.message).toMatch(/too long/)
  })
})

describe('the refit file', () => {
  const asRows = (bytes: Uint8Array) =>
    JSON.parse(new TextDecoder().decode(unzipSync(bytes)['refit.json'])) as {
      refitId: string
      rows: Record<string, unknown>
    }

  it('loses nothing on the way out and in, as new and in place of another', async () => {
    const png = Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64',
    )
    const kept = await post(`/api/refits/${refitId}/pictures`, png)
    expect(kept.body).toMatchObject({ mime: 'image/png', widthPx: 1, heightPx: 1 })
    const { takenLocal, ...picture } = kept.body
    expect(takenLocal).toBeNull()
    await change(
      create('picture', { ...picture, jobId: 'lids', takenAt: 1, caption: 'one <b>point</b>' }),
    )
    const manual = await post(`/api/refits/${refitId}/documents`, '%PDF-1.4 <script>1</script>')
    expect(manual.body).toMatchObject({ mime: 'application/pdf' })
    const names = { title: 'Manual', fileName: 'manual.pdf' }
    await change(create('document', { ...manual.body, ...names, jobId: 'lids' }))
    const given = await fetch(
      `${server.url}/api/documents/${manual.body.hash as string}?name=a%0d"b.pdf`,
    )
    expect(given.headers.get('content-type')).toBe('application/octet-stream')
    expect(given.headers.get('content-disposition')).toBe(
      "attachment; filename*=UTF-8''a%0D%22b.pdf",
    )
    const out = (await get(`/api/refits/${refitId}/export`)).bytes
    expect(Object.keys(unzipSync(out))).toContain(`pictures/${kept.body.hash as string}`)
    expect(Object.keys(unzipSync(out))).toContain(`documents/${manual.body.hash as string}`)

    const asNew = await post('/api/import', out)
    expect(asNew.status).toBe(200)
    const second = asNew.body.refitId as string
    expect(second).not.toBe(refitId)
    const again = (await get(`/api/refits/${second}/export`)).bytes
    const same = (file: Uint8Array) => JSON.stringify({ ...asRows(file).rows, refit: null })
    expect(same(again)).toBe(same(out))

    await post(
      `/api/refits/${second}/undo`,
      JSON.stringify({ changeId: randomUUID(), deviceId: 'none' }),
    )
    const replaced = await post(`/api/import?replace=${second}`, out)
    expect(replaced.body).toEqual({ refitId: second, toMend: [] })
    expect(same((await get(`/api/refits/${second}/export`)).bytes)).toBe(same(out))
  }, 60_000)

  it('shares its people, by their names, with other refits of the folder', async () => {
    interface Shared {
      readonly name: string
      readonly refitId: string
      readonly logged: readonly { readonly on: string; readonly hours: number }[]
    }
    const out = (await get(`/api/refits/${refitId}/export`)).bytes
    const { refitId: second } = (await post('/api/import', out)).body as { refitId: string }
    const answer = await fetch(`${server.url}/api/refits/${refitId}/elsewhere`)
    const found = ((await answer.json()) as Shared[]).filter((one) => one.refitId === second)
    expect(found.map((one) => one.name).sort()).toEqual(['Marisol', 'Oona', 'Piet'])
    expect(found.find((one) => one.name === 'Oona')?.logged.length).toBeGreaterThan(10)
    await fetch(`${server.url}/api/refits/${second}`, { method: 'DELETE' })
    const after = await fetch(`${server.url}/api/refits/${refitId}/elsewhere`)
    expect(((await after.json()) as Shared[]).some((one) => one.refitId === second)).toBe(false)
  }, 60_000)

  it.each([
    ['not ours', () => strToU8('{"format":"something"}'), /not a refit file of Inch Ahead/],
    ['cut off', (out: Uint8Array) => out.subarray(0, out.length / 2), /cut off|broken/],
    ['a zip without a refit', () => zipSync({ 'a.txt': strToU8('hello') }), /no refit\.json/],
    [
      'newer than this program',
      () => strToU8('{"format":"inch-ahead-refit","version":99}'),
      /newer Inch Ahead/,
    ],
    [
      'one with a circle of links',
      (out: Uint8Array) => {
        const file = asRows(out)
        const links = file.rows.link as { id: string; fromJobId: string; toJobId: string }[]
        const [link] = links
        links.push({
          ...(link as object),
          id: 'back',
          fromJobId: link?.toJobId ?? '',
          toJobId: link?.fromJobId ?? '',
        } as never)
        return strToU8(JSON.stringify(file))
      },
      /in a circle/,
    ],
  ])('is refused when it is %s', async (_, make, sentence) => {
    const out = (await get(`/api/refits/${refitId}/export`)).bytes
    const before = await (await fetch(`${server.url}/api/refits`)).json()
    const { status, body } = await post('/api/import', make(out) as BodyInit)
    expect(status).toBe(422)
    expect(body.message).toMatch(sentence)
    expect(await (await fetch(`${server.url}/api/refits`)).json()).toEqual(before)
  })

  it('comes with its parts as a workbook that opens, cells that look like formulas as text', async () => {
    const name = '=1+1'
    await post(
      `/api/refits/${refitId}/changes`,
      JSON.stringify({
        changeId: 'part-as-formula',
        deviceId: 'd',
        personId: null,
        label: 'New part',
        quiet: false,
        items: [{ op: 'create', entity: 'part', id: 'formula', patch: { name } }],
      }),
    )
    const book = new ExcelJs.Workbook()
    const { bytes } = await get(`/api/refits/${refitId}/parts.xlsx`)
    await book.xlsx.load(bytes as never)
    const sheet = book.getWorksheet('Parts')
    expect(sheet?.getRow(1).getCell(13).value).toBe('Price of one, EUR')
    const names = Array.from(
      { length: sheet?.rowCount ?? 0 },
      (_, at) => sheet?.getRow(at + 1).getCell(1).value,
    )
    expect(names.length).toBeGreaterThan(150)
    expect(names).toContain(name)
  })

  it('comes with a list of work that reads back, and a calendar', async () => {
    const csv = new TextDecoder().decode((await get(`/api/refits/${refitId}/jobs.csv`)).bytes)
    expect(csv.split('\r\n')[0]).toBe(
      'Job,Hours,Place,System,Purpose,How bad,Gate,After,Notes,State',
    )
    expect(csv).toContain('"Re-core the foredeck, starboard"')
    const ics = new TextDecoder().decode((await get(`/api/refits/${refitId}/calendar.ics`)).bytes)
    expect(ics).toMatch(/^BEGIN:VCALENDAR[\s\S]*END:VCALENDAR\s*$/)
    // What is to be looked at again is a whole day in it.
    expect(ics).toMatch(/DTSTART;VALUE=DATE:\d{8}[\s\S]*SUMMARY:Fire bottles weighed/)
  })

  it('comes as a book of text with its pictures; a system or copy that is none is refused', async () => {
    const { bytes } = await get(`/api/refits/${refitId}/book.zip?copy=others`)
    const files = unzipSync(bytes)
    const said = new TextDecoder().decode(files['book.md'])
    expect(said).toMatch(/^# Sable Wren, the boat’s book/)
    expect(said).not.toMatch(/\b(Oona|Piet|Marisol)\b/)
    const named = [...said.matchAll(/\]\((pictures\/[^)]+)\)/g)].map((one) => one[1] ?? '')
    expect(named.length).toBeGreaterThan(0)
    for (const name of named) expect(Object.keys(files)).toContain(name)
    // The same in blocks, for paper: every drawing has its file in the zip, no picture is missing.
    const read = async (copy: string) =>
      JSON.parse(
        new TextDecoder().decode((await get(`/api/refits/${refitId}/book?copy=${copy}`)).bytes),
      ) as { isForOthers: boolean; missing: string[]; blocks: { kind: string }[] }
    const [own, others] = [await read('own'), await read('others')]
    expect([own.isForOthers, others.isForOthers, others.missing]).toEqual([false, true, []])
    expect(JSON.stringify(own)).toContain('Oona')
    expect(JSON.stringify(others)).not.toMatch(/\b(Oona|Piet|Marisol)\b/)
    const drawn = JSON.stringify(others).match(/"kind":"drawing"/g)?.length ?? 0
    expect(Object.keys(files).filter((name) => name.startsWith('drawings/'))).toHaveLength(drawn)
    expect(drawn).toBeGreaterThan(0)
    expect((await get(`/api/refits/${refitId}/book.zip?system=none`)).status).toBe(404)
    expect((await get(`/api/refits/${refitId}/book.zip?copy=all`)).status).toBe(422)
  })
})
