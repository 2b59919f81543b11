/** Painting faster than the server answers: no cell is lost, of one's own or of somebody else's. */
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { computed, effectScope } from 'vue'
import { add, emptyRefit } from '#core/testing/build'
import type { CoreCells } from '#core/model/entities/walk'
import { usePainting } from '../../app/composables/usePainting'
import { openOn } from './fakeServer'

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }))
afterEach(() => void vi.useRealTimers())

async function atTheMap(cells: CoreCells = {}) {
  const rows = emptyRefit()
  const panel = { title: 'Deck', outline: [], cellM: 0.1, order: 'a' } as const
  add(rows, 'panel', 'p', { ...panel, outline: [[0, 0]] })
  for (const id of ['map', 'next'])
    add(rows, 'coreMap', id, { panelId: 'p', takenOn: '2027-04-17', cells })
  const { server, store } = await openOn(rows)
  const scope = effectScope()
  const painting = scope.run(() =>
    usePainting(
      computed(() => store.rows.coreMap[0] ?? null),
      () => 'Map',
    ),
  )!
  const kept = (at = 0) => server.rows.coreMap[at]?.cells
  /** As the drawing does: all cells as they shall be. */
  const tap = (key: string) => {
    painting.paint({ ...painting.cells.value, [key]: { meter: 24 } })
    painting.done()
  }
  return { server, store, painting, scope, kept, tap }
}
/** Answers come only when they are let. */
function heldBack() {
  const answered = globalThis.fetch
  const waiting: (() => void)[] = []
  vi.stubGlobal('fetch', async (...asked: Parameters<typeof fetch>) => {
    const answer = await answered(...asked)
    if (String(asked[0]).endsWith('/changes')) await new Promise<void>((go) => waiting.push(go))
    return answer
  })
  return async () => {
    waiting.shift()?.()
    await flushPromises()
  }
}
const rest = () => vi.advanceTimersByTimeAsync(500)

it('keeps what is painted while the stroke before is on its way', async () => {
  const { painting, kept, tap } = await atTheMap()
  const answer = heldBack()
  tap('1:1')
  await rest()
  tap('2:1')
  // The answer to the first comes before the second is sent, and a third is painted upon both.
  await answer()
  expect(Object.keys(painting.cells.value)).toEqual(['1:1', '2:1'])
  tap('3:1')
  await rest()
  await answer()
  expect(Object.keys(kept() ?? {})).toEqual(['1:1', '2:1', '3:1'])
  expect(Object.keys(painting.cells.value)).toEqual(['1:1', '2:1', '3:1'])
})

it('takes off what is taken off, and leaves what somebody else painted meanwhile', async () => {
  const { server, store, painting, kept, tap } = await atTheMap({ '9:9': { tap: 'dull' } })
  tap('1:1')
  painting.paint(
    Object.fromEntries(Object.entries(painting.cells.value).filter(([key]) => key !== '9:9')),
  )
  // Another window: their cell comes in with the rows.
  const map = store.rows.coreMap[0]!
  const cells = { ...map.cells, '5:5': { meter: 12 } }
  await store.submit('Theirs', [
    { op: 'patch', entity: 'coreMap', id: 'map', baseVersion: map.version, patch: { cells } },
  ])
  await rest()
  await flushPromises()
  expect(kept()).toEqual({ '1:1': { meter: 24 }, '5:5': { meter: 12 } })
  expect(server.changes).toHaveLength(2)
})

it('sends at once when the page is left, and says what was refused without dropping it', async () => {
  const { server, painting, scope, kept, tap } = await atTheMap()
  server.refusal = { status: 422, problem: { code: 'rule', message: 'Too wet.' } as never }
  tap('1:1')
  await rest()
  await flushPromises()
  expect(painting.wrong.value).toBe('Too wet.')
  expect(painting.cells.value).toEqual({ '1:1': { meter: 24 } })
  server.refusal = null
  tap('2:1')
  scope.stop()
  await flushPromises()
  expect(Object.keys(kept() ?? {})).toEqual(['1:1', '2:1'])
})
