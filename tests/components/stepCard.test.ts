/** A step on its card in the list of jobs: what is known of it, cut in two, joined with the next, ticked. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { makePlan } from '#core/plan/makePlan'
import type { Step } from '#core/model/entities'
import { useTimeStore } from '../../app/stores/time'
import { useToastStore } from '../../app/stores/toasts'
import { press, typeIn, words } from './byName'
import { components } from './components'
import { openOn } from './fakeServer'

const now = Date.UTC(2027, 3, 17, 7, 30)

async function card(id: string, fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { title: 'Deck', gateId: 'sail' })
  step(rows, 'deck', 'lay', {
    title: 'Lay plies',
    hoursLikely: 4,
    waitKind: 'calendar',
    waitHours: 48,
    maxWaitHours: 96,
  })
  step(rows, 'deck', 'fair', { title: 'Fair it', hoursLikely: 2 })
  fill(rows)
  const { plan: result } = makePlan(rows, now)
  add(rows, 'plan', 'plan', { inputsHash: '', at: now, seed: 1, iterations: 1, result })
  const { server, store } = await openOn(rows, () => (useTimeStore().now = now))
  const at = rows.step.findIndex((one) => one.id === id)
  const page = mount(components.StepCard, {
    props: { step: rows.step[at] as Step, index: at, last: rows.step.length - 1 },
    attachTo: document.body,
  })
  await flushPromises()
  return { server, store, page }
}

it('says its hours, its wait, its window, when and with whom', async () => {
  await card('lay')
  expect(words()).toContain('planned 4 h')
  expect(words()).toMatch(/then waits .*48 h/)
  expect(words()).toContain('next within 4 d')
  expect(words()).toContain('Sat 17 Apr 09:00, Ida')
  expect(words()).not.toContain('logged')
})

it('counts hours that were put right once', async () => {
  await card('fair', (rows) => {
    const entry = { stepId: 'fair', jobId: 'deck', personId: 'ida', on: '2027-04-10', kind: 'work' }
    add(rows, 'hoursEntry', 'a', { ...entry, hours: 2 } as never)
    add(rows, 'hoursEntry', 'b', { ...entry, hours: 1.5, correctsId: 'a' } as never)
  })
  expect(words()).toContain('1 h 30 logged')
})

it('of a job that is put off earns nothing', async () => {
  await card('fair')
  expect(words()).toContain('earns')
  document.body.innerHTML = ''
  await card('fair', (rows) => {
    rows.job = rows.job.map((one) => ({ ...one, decision: 'later' as const }))
  })
  expect(words()).not.toContain('earns')
})

it('is ticked, and its crew grows with the least of it', async () => {
  const { server } = await card('fair')
  const done = document.querySelector<HTMLInputElement>('input[aria-label="Done: Fair it"]')
  done?.click()
  const fair = () => server.rows.step.find((one) => one.id === 'fair')
  await vi.waitFor(() => expect(fair()?.state).toBe('done'))
  await press('More of Fair it')
  await typeIn('At least people', '3')
  await vi.waitFor(() => expect(fair()).toMatchObject({ crewMin: 3, crewMax: 3 }))
})

it('is cut in two halves', async () => {
  const { server } = await card('lay')
  await press('More of Lay plies')
  await press('Split in two')
  await vi.waitFor(() => expect(server.rows.step).toHaveLength(3))
  const halves = server.rows.step.filter((one) => one.title.startsWith('Lay plies'))
  expect(halves.map((one) => one.hoursLikely)).toEqual([2, 2])
  expect(useToastStore().toasts.at(-1)?.text).toMatch(/two/)
})

it('is joined with what comes after it, once', async () => {
  const { server } = await card('lay', (rows) => {
    rows.step = rows.step.map((one) => ({ ...one, waitKind: 'none' as const, maxWaitHours: null }))
  })
  await press('More of Lay plies')
  await press('Merge with the next')
  await vi.waitFor(() => expect(server.rows.step).toHaveLength(1))
  expect(server.rows.step[0]?.hoursLikely).toBe(6)
})
