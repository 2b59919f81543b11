/** The code of other views is fetched ahead in the quiet, one by one, and never under somebody's hands. */
import { afterEach, expect, it, vi } from 'vitest'
import { emptyRefit, job, person, step } from '#core/testing/build'
import { usePlannerStore } from '../../app/stores/planner'
import { useViewsAhead } from '../../app/composables/useViewsAhead'
import { openOn } from './fakeServer'
import { inSetup } from './inSetup'
import { withWorkers } from './workers'

afterEach(() => void vi.useRealTimers())

async function planned() {
  const rows = emptyRefit()
  person(rows, 'ann', [6, 7], '09:00', '17:00')
  job(rows, 'deck')
  step(rows, 'deck', 'lay')
  withWorkers()
  const { store } = await openOn(rows, () => usePlannerStore())
  await vi.waitFor(() => expect(store.accepted).not.toBeNull(), 5000)
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'performance'] })
  const fetched: string[] = []
  vi.stubGlobal('requestIdleCallback', (then: () => void) => setTimeout(then, 200))
  vi.stubGlobal('cancelIdleCallback', clearTimeout)
  vi.stubGlobal('preloadRouteComponents', (path: string) => {
    fetched.push(path)
    return Promise.resolve()
  })
  const { leave } = inSetup(useViewsAhead)
  return { fetched, leave }
}
const later = (ms: number) => vi.advanceTimersByTimeAsync(ms)

it('eight seconds after the first plan, and no more once the page is left', async () => {
  const { fetched, leave } = await planned()
  await later(7900)
  expect(fetched).toEqual([])
  await later(350)
  expect(fetched.length).toBeGreaterThan(0)
  expect(new Set(fetched).size).toBe(fetched.length)
  const then = fetched.length
  leave()
  await later(5000)
  expect(fetched).toHaveLength(then)
})

it('not within a second of a key or a pull; a pointer that only passes over is no hand', async () => {
  const { fetched } = await planned()
  await later(8000)
  const move = (buttons: number) =>
    window.dispatchEvent(new PointerEvent('pointermove', { buttons }))
  move(1)
  await later(500)
  window.dispatchEvent(new KeyboardEvent('keydown', { key: 'a' }))
  const then = fetched.length
  await later(900)
  expect(fetched).toHaveLength(then)
  await later(1000)
  expect(fetched.length).toBeGreaterThan(then)
  const between = fetched.length
  move(0)
  await later(250)
  expect(fetched.length).toBeGreaterThan(between)
})
