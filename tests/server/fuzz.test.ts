/** Whatever is sent to whatever route, the answer is in order, and what is kept stays whole. */
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { TestServer } from '../e2e/server'
import { ask } from './asking'
import { requestMaker } from './fuzz'
import type { Known } from './fuzz'
import { routes } from './routes'

/** In the bench: FUZZ=12000. */
const many = Number(process.env.FUZZ ?? 2000)
const seed = Number(process.env.FUZZ_SEED ?? 1)

const server = new TestServer()
let refitId = ''
beforeAll(async () => {
  await server.start({ INCH_AHEAD_SEED: 'demo' })
  refitId = await server.refitId()
}, 60_000)
afterAll(() => server.end())

const filesIn = (folder: string, under = ''): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((one) =>
    one.isDirectory()
      ? filesIn(join(folder, one.name), `${under}${one.name}/`)
      : [`${under}${one.name}`],
  )

describe('the routes', () => {
  it('all have their row in the table of routes', () => {
    expect(filesIn('server/api').sort()).toEqual(routes.map((one) => one.file).sort())
  })

  it('answer in the one shape where there is none, whatever the method', async () => {
    for (const [method, path] of [
      ['GET', '/api/no/such'],
      ['POST', '/api/clock'],
      ['PUT', '/api/refits'],
      ['PATCH', `/api/refits/${refitId}`],
      ['GET', `/api/refits/${refitId}/undo`],
      ['GET', '/api/refits/none/events'],
    ] as const) {
      const answer = await ask(server, path, null, { method })
      expect([method, path, answer.status]).toEqual([method, path, 404])
      expect(answer.body).toMatchObject({ code: 'notFound', message: expect.any(String) })
    }
    for (const query of ['', '?since=x', '?since=-1', '?since=1.5'])
      expect((await ask(server, `/api/refits/${refitId}/changes${query}`)).status).toBe(422)
    expect((await ask(server, '/api/import?replace=../x', 'x')).status).toBe(422)
  })

  it(`answer ${many} requests at random without breaking, and say in sentences what is wrong`, async () => {
    const { body } = await ask(server, `/api/refits/${refitId}`)
    const make = requestMaker(seed, [refitId], body.rows as Known)
    let refused = 0
    const wrong: string[] = []
    const words = new Set<string>()
    for (let at = 0; at < many; at++) {
      const { method, path, body: text } = make()
      const answer = await ask(server, path, text, { method, keepalive: true })
      const what = `${at}: ${method} ${path.slice(0, 200)} ${(text ?? '').slice(0, 300)}`
      if (answer.status >= 500) wrong.push(`${what} → ${answer.status}`)
      if (answer.status < 400) continue
      refused++
      const { message } = answer.body as { message?: unknown }
      words.add(String(message).slice(0, 160))
      if (typeof message !== 'string' || !/^[A-Z0-9“"].*[.?!]$/s.test(message))
        wrong.push(`${what} → ${String(message)}`)
    }
    if (process.env.FUZZ_WORDS) console.log([...words].sort().join('\n'))
    expect(wrong).toEqual([])
    expect(refused).toBeGreaterThan(many / 4)
    // The refit can still be read, and comes back from its own file.
    await server.stop()
    await server.start()
    const file = await fetch(`${server.url}/api/refits/${refitId}/export`)
    const back = await ask(server, '/api/import', await file.arrayBuffer())
    expect(back.status).toBe(200)
  }, 300_000)
})
