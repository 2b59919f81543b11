/** What a window left unsent: taken over whole by the next one, whenever that is ended. */
import { afterEach, expect, it, vi } from 'vitest'
import type { Change } from '#core/model/changes'

const change = (changeId: string) => ({ changeId, label: changeId, items: [] }) as unknown as Change
const left = (window: string, ...ids: string[]) =>
  localStorage.setItem(`inch-ahead.waiting.r.${window}`, JSON.stringify(ids.map(change)))
/** Ids of all that is kept for the refit, wherever it stands. */
const kept = () =>
  Object.keys(localStorage)
    .filter((key) => key.startsWith('inch-ahead.waiting.r.'))
    .flatMap((key) => {
      const text = localStorage.getItem(key) ?? ''
      return text.endsWith(']') ? (JSON.parse(text) as Change[]).map((one) => one.changeId) : []
    })
/** A window of its own: its module is loaded anew. */
async function window() {
  vi.resetModules()
  const { browserPorts } = await import('../../app/sync/browserPorts')
  return {
    adopt: async () => (await browserPorts.adopt('r')).map((one) => one.changeId),
    keep: (...ids: string[]) => browserPorts.keep('r', ids.map(change)),
  }
}
/** The browser's storage; `before` is told what is about to be done to it. */
function storage(before: (what: 'put' | 'take') => void = () => undefined): void {
  const kept: Record<string, string> = {}
  const methods = {
    getItem: (key: string) => kept[key] ?? null,
    setItem: (key: string, text: string) => {
      before('put')
      kept[key] = text
    },
    removeItem: (key: string) => {
      before('take')
      Reflect.deleteProperty(kept, key)
    },
  }
  for (const [name, value] of Object.entries(methods)) Object.defineProperty(kept, name, { value })
  vi.stubGlobal('localStorage', kept)
}
afterEach(() => vi.unstubAllGlobals())

it('is at no moment kept nowhere, and is found by the next window where this one is ended at once', async () => {
  const seen: string[][] = []
  let isWatched = false
  storage(() => isWatched && seen.push([...new Set(kept())].sort()))
  left('gone', 'a', 'b')
  left('before', 'c')
  isWatched = true
  const first = await window()
  expect((await first.adopt()).sort()).toEqual(['a', 'b', 'c'])
  isWatched = false
  // Two are put where this window keeps its own, and taken from where they were.
  expect(seen).toEqual(Array.from({ length: 4 }, () => ['a', 'b', 'c']))
  // It is ended before it could keep anything itself.
  const next = await window()
  expect((await next.adopt()).sort()).toEqual(['a', 'b', 'c'])
  expect(kept().sort()).toEqual(['a', 'b', 'c'])
  next.keep()
  expect(kept()).toEqual([])
})

it('is taken over beside what is torn, and where the storage has no room for both', async () => {
  let isFull = false
  storage((what) => {
    if (isFull && what === 'put') throw new Error('QuotaExceededError')
    isFull = isFull && what !== 'take'
  })
  left('gone', 'a')
  localStorage.setItem('inch-ahead.waiting.r.torn', '[{"changeId":"x"')
  left('other', 'b')
  isFull = true
  const first = await window()
  expect((await first.adopt()).sort()).toEqual(['a', 'b'])
  expect(localStorage.getItem('inch-ahead.waiting.r.torn')).not.toBeNull()
})
