/** A decision on its page: its ways beside each other, taken with a reason, and opened again. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { usePlannerStore } from '../../app/stores/planner'
import { useTimeStore } from '../../app/stores/time'
import { useToastStore } from '../../app/stores/toasts'
import { typeIn, words } from './byName'
import { onPage } from './page'
import { withWorkers } from './workers'

const now = Date.UTC(2027, 3, 17, 7, 30)
const named = (name: string) =>
  [...document.querySelectorAll('button')].findLast(
    (one) =>
      (one.getAttribute('aria-label') ?? one.textContent ?? '').replace(/\s+/g, ' ').trim() ===
      name,
  )
async function pressed(name: string) {
  named(name)?.click()
  await flushPromises()
}

/** Packing costs nothing more; a face seal takes six hours of work and €310. */
async function opened(fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'shaft', { title: 'Shaft', gateId: 'sail' })
  step(rows, 'shaft', 'run', { title: 'Run it', hoursLikely: 2 })
  add(rows, 'decision', 'seal', { jobId: 'shaft', title: 'What keeps the shaft dry?' })
  add(rows, 'option', 'packing', { decisionId: 'seal', title: 'New packing', order: 'a' })
  add(rows, 'option', 'face', {
    decisionId: 'seal',
    title: 'Face seal',
    order: 'b',
    steps: [{ title: 'Fit the seal', operation: 'fit', hours: 6, placeNeed: 'boat' }],
    parts: [{ name: 'Seal', quantity: 1, priceMinor: 31_000 }],
  })
  fill(rows)
  withWorkers()
  const page = await onPage('decide/[decision]', rows, {
    params: { decision: 'seal' },
    begin: () => {
      useTimeStore().now = now
      usePlannerStore()
    },
  })
  const planner = usePlannerStore()
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  await flushPromises()
  const row = () => page.server.rows.decision.find((one) => one.id === 'seal')
  return { ...page, row }
}

it('says of each way what it costs, takes and does', async () => {
  await opened()
  expect(words()).toContain('“Run it” waits for it.')
  expect(words()).toContain('€310')
  expect(words()).toContain('none of its own')
  // Two hours on Saturday; with six more it is still that day.
  await vi.waitFor(() => expect(words()).not.toContain('Planning with it…'), 5000)
  expect(words().match(/No gate moves|later|earlier/g)?.length).toBeGreaterThanOrEqual(2)
})

it('is taken with what comes with it and with why, and opened again', async () => {
  const { server, row } = await opened()
  await pressed('Choose: Face seal')
  expect(words()).toContain('1 step comes into the job, 1 part is wanted.')
  await typeIn('Because', 'Nobody has to crawl to it')
  await vi.waitFor(() => expect(named('Choose it')?.disabled).toBe(false), 5000)
  await pressed('Choose it')
  await vi.waitFor(() => expect(row()?.optionId).toBe('face'))
  expect(row()).toMatchObject({
    decidedOn: '2027-04-17',
    because: 'Nobody has to crawl to it',
  })
  const fit = server.rows.step.find((one) => one.title === 'Fit the seal')
  expect(fit).toMatchObject({ jobId: 'shaft', hoursLikely: 6, state: 'open' })
  expect(server.rows.part.find((one) => one.name === 'Seal')).toMatchObject({
    jobId: 'shaft',
    quantity: 1,
  })
  await flushPromises()
  expect(words()).toContain('Decided: What keeps the shaft dry?')
  expect(words()).toContain('Nobody has to crawl to it')
  await pressed('Open it again')
  await vi.waitFor(() => expect(row()).toMatchObject({ decidedOn: null, optionId: null }))
  // Its step stays in the job.
  expect(server.rows.step.map((one) => one.title)).toContain('Fit the seal')
})

it('with one way has nothing to decide', async () => {
  const { row } = await opened((rows) => (rows.option as { id: string }[]).splice(0, 1))
  expect(words()).toContain('Write down at least two ways it could go')
  await pressed('Choose: Face seal')
  expect(useToastStore().toasts.at(-1)).toMatchObject({ bad: true })
  expect(useToastStore().toasts.at(-1)?.text).toContain('With one option there is nothing')
  expect(row()?.decidedOn).toBeNull()
  await pressed('Another option')
  await vi.waitFor(() => expect(named('Choose: Option 2')).toBeDefined())
})
