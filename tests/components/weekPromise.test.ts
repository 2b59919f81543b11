/** A week's promise: picked from what the plan finishes in it, with what keeping it is worth; kept, broken, taken back. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { usePlannerStore } from '../../app/stores/planner'
import { useTimeStore } from '../../app/stores/time'
import { press, words } from './byName'
import { onPage } from './page'
import { withWorkers } from './workers'

/** Saturday 17 April 2027, early; the week is that of Monday the 12th. Ida is there at weekends from nine to five. */
const now = Date.UTC(2027, 3, 17, 7, 30)

async function opened(fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { title: 'Foredeck', gateId: 'sail' })
  step(rows, 'deck', 'sand', { title: 'Sand it', hoursLow: 1, hoursLikely: 1, hoursHigh: 1 })
  // As guessed it just fits the two days; it takes longer in most runs.
  step(rows, 'deck', 'fair', { title: 'Fair it', hoursLow: 14, hoursLikely: 15, hoursHigh: 40 })
  step(rows, 'deck', 'paint', { title: 'Paint it', hoursLikely: 3 })
  fill(rows)
  withWorkers()
  const page = await onPage('week', rows, {
    begin: () => {
      useTimeStore().now = now
      return usePlannerStore()
    },
  })
  const planner = usePlannerStore()
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  await flushPromises()
  return page
}
const promised = (server: { rows: { weekPromise: readonly { stepId: string }[] } }) =>
  server.rows.weekPromise.map((one) => one.stepId)
/** The chances that are said: of all, then line by line. */
const chances = () => [...words().matchAll(/(\d+) in 100/g)].map(([, one]) => Number(one))

it('is picked from what the plan finishes, says what it is worth, and is taken back', async () => {
  const { server } = await opened()
  expect(words()).toContain('Nothing is promised yet.')
  const section = () => words().slice(words().indexOf('What the plan finishes this week'))
  expect(section()).toMatch(/Sand it.*Fair it/)
  // Sixteen hours are both days: the paint is after them.
  expect(section()).not.toContain('Promise Paint it')
  await press('Promise Sand it')
  await vi.waitFor(() => expect(promised(server)).toEqual(['sand']), 20_000)
  await vi.waitFor(() => expect(words()).toMatch(/The promise\s*: \d+ in 100 to keep it/), 20_000)
  const [safe = 0] = chances()
  expect(safe).toBeGreaterThan(90)

  await press('Promise Fair it')
  await vi.waitFor(() => expect(promised(server)).toEqual(['sand', 'fair']), 20_000)
  await vi.waitFor(() => expect(chances()).toHaveLength(3), 20_000)
  const [both = 0, sand = 0, fair = 0] = chances()
  // No better than the worse of the two, and the long one is no safe thing.
  expect(both).toBeLessThanOrEqual(Math.min(sand, fair))
  expect([sand, fair < 60]).toEqual([safe, true])

  await press('Take back Fair it')
  await press('Take back Sand it')
  await vi.waitFor(() => expect(promised(server)).toEqual([]), 20_000)
  await vi.waitFor(() => expect(words()).toContain('Nothing is promised yet.'), 20_000)
  expect(chances()).toEqual([])
})

it('of the weeks that are over counts what was kept, and what was done after its week is not', async () => {
  await opened((rows) => {
    const done = (id: string, day: number) =>
      step(rows, 'deck', id, {
        title: id,
        state: 'done',
        hoursLikely: 1,
        doneAt: Date.UTC(2027, 3, day, 12),
      })
    done('in time', 10)
    done('late', 13)
    for (const stepId of ['in time', 'late', 'paint'])
      add(rows, 'weekPromise', `of ${stepId}`, { week: '2027-04-05', stepId, at: now })
  })
  expect(words()).toContain('Kept so far: 1 of 3 in the weeks that are over.')
  expect(words()).toContain('Nothing is promised yet.')
})
