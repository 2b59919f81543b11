/** Asking a server of the tests, and reading what it says. */
import { randomUUID } from 'node:crypto'
import { strToU8, unzipSync, zipSync } from 'fflate'
import type { Zippable } from 'fflate'
import type { TestServer } from '../e2e/server'

export type Loose = Record<string, unknown>
export interface RefitText {
  refitId: string
  missing?: { name: string }[]
  rows: Record<string, Loose[]>
}
export interface Answer {
  readonly status: number
  readonly body: Loose
  readonly headers: Headers
}

/**
 * One request on a connection of its own, or (`keepalive`) on one that is kept: a third of the time where many follow
 * at once. A kept one is shut by the server after five idle seconds, and a test that zips 20,000 files hears of that
 * only after it has asked again on it.
 */
const reach = (server: TestServer, path: string, init: RequestInit = {}): Promise<Response> => {
  const headers = new Headers(init.headers)
  if (!init.keepalive) headers.set('connection', 'close')
  const once = () => fetch(server.url + path, { ...init, headers })
  // What is refused before all of it was read may be shut before the answer is: then it is asked once more. A server
  // that fell over does not answer the second time either.
  return once().catch((error: unknown) => {
    if (isReset(error)) return once()
    throw error
  })
}
const isReset = (error: unknown): boolean =>
  error instanceof Error && (error.cause as { code?: unknown } | undefined)?.code === 'ECONNRESET'

export async function ask(
  server: TestServer,
  path: string,
  body?: BodyInit | null,
  init: RequestInit = {},
): Promise<Answer> {
  const method = body === undefined || body === null ? 'GET' : 'POST'
  const answer = await reach(server, path, { method, body, ...init })
  const text = await answer.text()
  let read: unknown = null
  try {
    read = JSON.parse(text)
  } catch {
    // Pages and files are no JSON; whoever asked for one reads it otherwise.
    read = null
  }
  return { status: answer.status, body: (read ?? {}) as Loose, headers: answer.headers }
}

export const bytesOf = async (server: TestServer, path: string): Promise<Uint8Array> =>
  new Uint8Array(await (await reach(server, path)).arrayBuffer())

export const sendItems = (
  server: TestServer,
  refitId: string,
  items: unknown,
  more: object = {},
): Promise<Answer> =>
  ask(
    server,
    `/api/refits/${refitId}/changes`,
    JSON.stringify({ changeId: randomUUID(), deviceId: 'test', items, ...more }),
  )

export const createItem = (entity: string, patch: object, id: string = randomUUID()) => ({
  op: 'create',
  entity,
  id,
  patch,
})

/** The refit.json of an exported file. */
export const insideOf = (file: Uint8Array): RefitText =>
  JSON.parse(new TextDecoder().decode(unzipSync(file)['refit.json'])) as RefitText

/** A refit file made anew of its inner document, with the given entries beside it. */
export const fileOf = (inner: object, more: Zippable = {}): Uint8Array =>
  zipSync({ ...more, 'refit.json': strToU8(JSON.stringify(inner)) }, { level: 1 })
