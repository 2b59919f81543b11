/** Pictures: kept in the browser before they are sent, sent when the program answers, never twice. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { emptyRefit, job } from '#core/testing/build'
import { problem } from '#shared/problems'
import { usePictureStore } from '../../app/stores/pictures'
import { useTimeStore } from '../../app/stores/time'
import { useToastStore } from '../../app/stores/toasts'
import { openOn } from './fakeServer'

/** The browser's store of answers; shut: it keeps nothing. */
function cupboard(isShut = false) {
  const kept = new Map<string, Response>()
  const address = (path: string) => `https://boat.local${path}`
  const store = {
    put: async (path: string, one: Response) => void kept.set(address(path), one),
    delete: async (path: string) => kept.delete(address(path)),
    keys: async () => [...kept.keys()].map((url) => ({ url })),
    match: async ({ url }: { url: string }) => kept.get(url)?.clone(),
  }
  vi.stubGlobal('caches', {
    open: () => (isShut ? Promise.reject(new Error('shut')) : Promise.resolve(store)),
  })
  return kept
}
/** What becomes of files at the server. */
function taking(answer: () => Promise<Response>) {
  const fetched = globalThis.fetch
  const sent = vi.fn(answer)
  vi.stubGlobal('fetch', (path: string, ...rest: [never]) =>
    path.endsWith('/pictures') ? sent() : fetched(path, ...rest),
  )
  return sent
}
const stored = { hash: 'a'.repeat(64), mime: 'image/jpeg', widthPx: 40, heightPx: 30 }
const answers = (takenLocal: string | null) => () =>
  Promise.resolve(new Response(JSON.stringify({ ...stored, takenLocal })))
const silence = () => Promise.reject(new Error('no line'))
const file = new Blob(['picture'])

async function opened(isShut = false) {
  const kept = cupboard(isShut)
  const rows = emptyRefit()
  job(rows, 'deck')
  const { server, store } = await openOn(rows)
  useTimeStore().now = Date.UTC(2027, 3, 17, 7, 30)
  return { server, store, kept, pictures: usePictureStore() }
}

it('is sent, and has the time that its camera says unless that is still to come', async () => {
  const { store, kept, pictures } = await opened()
  const sent = taking(answers('2027-04-16T18:05:00'))
  expect(await pictures.add(file, { jobId: 'deck', moment: 'before' })).toBe('sent')
  taking(answers('2031-01-01T00:00:00'))
  await pictures.add(file, { jobId: 'deck' })
  taking(answers(null))
  await pictures.add(file, { jobId: 'deck' })
  expect(store.rows.picture.map((one) => new Date(one.takenAt).toISOString().slice(0, 16))).toEqual(
    ['2027-04-16T18:05', '2027-04-17T07:30', '2027-04-17T07:30'],
  )
  expect(store.rows.picture[0]).toMatchObject({ jobId: 'deck', moment: 'before', widthPx: 40 })
  expect([kept.size, sent.mock.calls.length]).toEqual([0, 1])
})

it('waits while nobody answers, and is sent once, with its fields, when somebody does', async () => {
  const { store, kept, pictures } = await opened()
  taking(silence)
  expect(await pictures.add(file, { jobId: 'deck', moment: 'open' })).toBe('waits')
  expect([kept.size, pictures.waiting, store.rows.picture]).toEqual([1, 1, []])
  const sent = taking(answers(null))
  // The line comes back, as the next opening finds it.
  await store.open('r')
  await vi.waitFor(() => expect(store.rows.picture).toHaveLength(1))
  await flushPromises()
  expect(store.rows.picture[0]).toMatchObject({ jobId: 'deck', moment: 'open' })
  expect([kept.size, pictures.waiting, sent.mock.calls.length]).toEqual([0, 0, 1])
})

it('is not sent by what sends those that wait, while it is on its way', async () => {
  const { store, kept, pictures } = await opened()
  let answer = () => {}
  const held = new Promise<void>((go) => (answer = go))
  const sent = taking(() => held.then(answers(null)))
  const added = pictures.add(file, { jobId: 'deck' })
  await vi.waitFor(() => expect(sent).toHaveBeenCalledOnce())
  await store.open('r')
  await flushPromises()
  expect([kept.size, sent.mock.calls.length]).toEqual([1, 1])
  answer()
  expect(await added).toBe('sent')
  await flushPromises()
  expect([kept.size, sent.mock.calls.length, store.rows.picture.length]).toEqual([0, 1, 1])
  expect(pictures.waiting).toBe(0)
})

it('goes along with the next that is sent', async () => {
  const { store, kept, pictures } = await opened()
  taking(silence)
  await pictures.add(file, { jobId: 'deck', moment: 'before' })
  taking(answers(null))
  expect(await pictures.add(file, { jobId: 'deck', moment: 'after' })).toBe('sent')
  await vi.waitFor(() => expect(kept.size).toBe(0))
  await flushPromises()
  expect(store.rows.picture.map((one) => one.moment)).toEqual(['after', 'before'])
  expect(pictures.waiting).toBe(0)
})

it('whose row stands already is not sent again, and one that is refused when its turn comes is said', async () => {
  const { store, kept, pictures } = await opened()
  taking(silence)
  await pictures.add(file, { jobId: 'deck' })
  await pictures.add(file, { jobId: 'deck' })
  const [first] = [...kept.keys()].map((url) => url.split('/').at(-1) as string)
  // Its answer was lost: the row is there.
  const patch = { ...stored, takenAt: 0, jobId: 'deck' }
  await store.submit('A picture', [{ op: 'create', entity: 'picture', id: first!, patch }])
  const refusal = problem('notPicture', 'This is not a picture.')
  const sent = taking(() => Promise.resolve(new Response(JSON.stringify(refusal), { status: 422 })))
  await store.open('r')
  await vi.waitFor(() => expect(kept.size).toBe(0))
  await flushPromises()
  expect([sent.mock.calls.length, pictures.waiting, store.rows.picture.length]).toEqual([1, 0, 1])
  expect(useToastStore().toasts.at(-1)).toMatchObject({ bad: true, text: 'This is not a picture.' })
})

it('waits for a server that cannot take it, which says why, and is tried again by itself', async () => {
  const { store, kept, pictures } = await opened()
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  const full = problem('diskFull', 'The disk is full.')
  const refusing = () => Promise.resolve(new Response(JSON.stringify(full), { status: 503 }))
  taking(refusing)
  expect(await pictures.add(file, { jobId: 'deck', moment: 'open' })).toBe('waits')
  expect(useToastStore().toasts.at(-1)).toMatchObject({ bad: true, text: 'The disk is full.' })
  expect([kept.size, pictures.waiting]).toEqual([1, 1])
  // Still full half a minute later: nothing is lost by trying.
  const again = taking(refusing)
  await vi.advanceTimersByTimeAsync(31_000)
  expect([again.mock.calls.length, kept.size, pictures.waiting]).toEqual([1, 1, 1])
  taking(answers(null))
  await vi.advanceTimersByTimeAsync(31_000)
  vi.useRealTimers()
  await vi.waitFor(() => expect(store.rows.picture).toHaveLength(1))
  expect(store.rows.picture[0]).toMatchObject({ jobId: 'deck', moment: 'open' })
  await vi.waitFor(() => expect([kept.size, pictures.waiting]).toEqual([0, 0]))
})

it('that is refused at once, or that nobody can keep, is said to whoever gave it', async () => {
  const { kept, pictures } = await opened()
  const refusal = problem('notPicture', 'This is not a picture.')
  taking(() => Promise.resolve(new Response(JSON.stringify(refusal), { status: 422 })))
  await expect(pictures.add(file, {})).rejects.toThrow('This is not a picture.')
  expect([kept.size, pictures.waiting]).toEqual([0, 0])
  const shut = await opened(true)
  taking(silence)
  await expect(shut.pictures.add(file, {})).rejects.toThrow('does not answer')
  expect(shut.pictures.waiting).toBe(0)
})
