/** Runs of the plan: made by themselves after a quiet, closer when asked, and only kept for the plan they were made of. */
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import { useOddsStore } from '../../app/stores/odds'
import { usePlannerStore } from '../../app/stores/planner'
import { useDevice } from '../../app/composables/useDevice'
import { useOdds } from '../../app/composables/useOdds'
import { openOn } from './fakeServer'
import { HomeWorker, withWorkers } from './workers'

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }))
afterEach(() => void vi.useRealTimers())

function boat(steps = 2) {
  const rows = emptyRefit()
  person(rows, 'ann', [1, 2, 3, 4, 5, 6, 7], '09:00', '17:00')
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { gateId: 'sail', purpose: 'go' })
  for (let at = 0; at < steps; at++)
    step(rows, 'deck', `s${at}`, { hoursLow: 3, hoursLikely: 4, hoursHigh: 9 })
  return rows
}
async function opened(rows = boat(), over: Parameters<typeof withWorkers>[0] = {}) {
  withWorkers(over)
  const { server, store } = await openOn(rows, () => [usePlannerStore(), useOddsStore()])
  const [planner, odds] = [usePlannerStore(), useOddsStore()]
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  await flushPromises()
  const kept = () => server.changes.filter((one) => one.label === 'Forecast').length
  const done = () => vi.waitFor(() => expect(odds.progress).toBeNull(), 20_000)
  return { server, store, odds, kept, done }
}

it('are made once the plan has stood for six seconds, said, and not made again', async () => {
  const { odds, kept, done } = await opened()
  await vi.advanceTimersByTimeAsync(5000)
  expect([odds.progress, kept()]).toEqual([null, 0])
  expect(useOdds().saidOf('sail')).toBe('')
  await vi.advanceTimersByTimeAsync(1100)
  expect(odds.progress).not.toBeNull()
  await done()
  expect([kept(), odds.isFresh, odds.stored?.runs]).toEqual([1, true, 200])
  expect(useOdds().saidOf('sail')).toMatch(/^likely /)
  expect(useOdds().chanceBy('sail', '2027-12-31')).toBe(100)
  expect(useOdds().chanceBy('sail', '2027-04-16')).toBe(0)
  await vi.advanceTimersByTimeAsync(30_000)
  expect([odds.progress, kept()]).toEqual([null, 1])
  // By the planner that answers questions: what was compiled for it is used again after the next change.
  expect(HomeWorker.made.map((one) => one.isEnded)).toEqual([false, false])
})

it('of a plan that has changed meanwhile are not kept, and those before are said to be of before', async () => {
  const { store, odds, kept, done } = await opened()
  void odds.runWhole()
  await done()
  expect([kept(), odds.stored?.runs]).toEqual([1, 1000])
  void odds.runWhole()
  await vi.waitFor(() => expect(odds.progress).not.toBeNull())
  const patch = { hoursLikely: 8 }
  await store.submit('Longer', [{ op: 'patch', entity: 'step', id: 's0', baseVersion: 1, patch }])
  await vi.waitFor(() => expect(odds.progress).toBeNull())
  expect([kept(), odds.isFresh]).toEqual([1, false])
  expect(useOdds().saidOf('sail')).toMatch(/^was likely /)
  // And are made anew for the new one.
  await vi.waitFor(() => expect(usePlannerStore().stale).toBe(false))
  await vi.advanceTimersByTimeAsync(6100)
  await vi.waitFor(() => expect(odds.isFresh).toBe(true))
  expect([kept(), odds.stored?.runs]).toEqual([2, 200])
})

it('are only made when asked for where they are many, and never where nothing is open', async () => {
  const large = await opened(boat(701))
  expect(large.odds.isLarge).toBe(true)
  await vi.advanceTimersByTimeAsync(30_000)
  expect([large.odds.progress, large.kept()]).toEqual([null, 0])
  const none = await opened(boat(0))
  expect(none.odds.isLarge).toBe(false)
  await vi.advanceTimersByTimeAsync(30_000)
  expect(none.kept()).toBe(0)
})

it('are not made by themselves on a device that saves its battery, and are once it does not', async () => {
  const { runsByItself } = useDevice()
  runsByItself.value = false
  await flushPromises()
  const { odds, kept, done } = await opened()
  await vi.advanceTimersByTimeAsync(30_000)
  expect([odds.progress, kept()]).toEqual([null, 0])
  // Asked for they are.
  void odds.runWhole()
  await vi.waitFor(() => expect(odds.progress).not.toBeNull())
  odds.cancel()
  odds.runsByItself = true
  await flushPromises()
  await vi.advanceTimersByTimeAsync(6100)
  await done()
  expect([kept(), odds.stored?.runs]).toEqual([1, 200])
})

it('that are called off are not kept, and what goes wrong is said', async () => {
  const { odds, kept } = await opened()
  void odds.runWhole()
  await vi.waitFor(() => expect(odds.progress).not.toBeNull())
  odds.cancel()
  expect(odds.progress).toBeNull()
  await flushPromises()
  await vi.advanceTimersByTimeAsync(3000)
  expect([kept(), odds.failed]).toEqual([0, ''])
  const broken = await opened(boat(), {
    runs: () => Promise.reject(new Error('No memory is left.')),
  })
  await broken.odds.runWhole()
  expect([broken.odds.failed, broken.odds.progress, broken.kept()]).toEqual([
    'No memory is left.',
    null,
    0,
  ])
})

it('are begun ahead while somebody looks, whose workers go when nobody does', async () => {
  const { odds, kept } = await opened()
  await vi.advanceTimersByTimeAsync(6100)
  await vi.waitFor(() => expect(odds.isFresh).toBe(true))
  const before = HomeWorker.asked.filter((one) => one === 'runs').length
  const leave = odds.lookCloser()
  await flushPromises()
  await vi.advanceTimersByTimeAsync(2000)
  await vi.waitFor(() =>
    expect(HomeWorker.asked.filter((one) => one === 'runs').length).toBeGreaterThan(before),
  )
  expect([odds.progress, kept()]).toEqual([null, 1])
  const open = () => HomeWorker.made.filter((one) => !one.isEnded).length
  const looking = open()
  leave()
  expect(open()).toBeLessThan(looking)
})
