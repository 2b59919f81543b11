/** A step as it is being done, on its page: counted, read, held, one more round, at its high estimate. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { makePlan } from '#core/plan/makePlan'
import type { Step } from '#core/model/entities'
import { useToastStore } from '../../app/stores/toasts'
import { fieldOf, press, typeIn, words } from './byName'
import { onPage } from './page'

/** Saturday 17 April 2027, 07:30. */
const now = Date.UTC(2027, 3, 17, 7, 30)
const hour = 3_600_000

async function opened(given: Partial<Step>, fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { title: 'Deck', gateId: 'sail' })
  step(rows, 'deck', 'bolts', { title: 'Bolts', hoursLikely: 2, ...given })
  step(rows, 'deck', 'next', { title: 'Next', hoursLikely: 1 })
  fill(rows)
  const { plan: result } = makePlan(rows, now)
  add(rows, 'plan', 'plan', { inputsHash: '', at: now, seed: 1, iterations: 1, result })
  const page = await onPage('step/[step]', rows, {
    params: { step: 'bolts' },
  })
  const own = () => page.server.rows.step.find((one) => one.id === 'bolts') as Step
  return { ...page, own }
}
const counted = { unitName: 'bolts', unitCount: 20, unitsDone: 3 } as const
const torque = { readWhat: 'Torque', readUnit: 'Nm', readLow: 20, readHigh: 25 } as const
const button = (name: string) =>
  [...document.querySelectorAll('button')].find(
    (one) => one.textContent?.replace(/\s+/g, ' ').trim() === name,
  ) as HTMLButtonElement

it('is counted one by one, ten by a long press, and never past its last', async () => {
  const { own } = await opened({
    ...counted,
    state: 'doing',
    startedAt: now - 0.5 * hour,
    byIds: ['ida'],
  })
  // Three in half an hour: ten minutes each, and 17 of them left.
  expect(words()).toContain('3 of 20 bolts')
  expect(words()).toContain('10 min each, as they went')
  expect(words()).toContain('2 h 50 for the 17 that are left.')
  button('+1 bolts').click()
  await vi.waitFor(() => expect(own().unitsDone).toBe(4))
  await flushPromises()
  const plus = button('+1 bolts')
  plus.dispatchEvent(new Event('pointerdown'))
  await new Promise((after) => setTimeout(after, 650))
  plus.dispatchEvent(new Event('pointerup'))
  plus.click()
  await vi.waitFor(() => expect(own().unitsDone).toBe(14))
  await flushPromises()
  await press('−1')
  await vi.waitFor(() => expect(own().unitsDone).toBe(13))
})

it('asks for the reading of a unit before it is counted, and holds the one that fails', async () => {
  const { own, server } = await opened({
    ...counted,
    ...torque,
    state: 'doing',
    startedAt: now - hour,
  })
  expect(words()).toContain('Nothing read yet.')
  button('+1 bolts').click()
  await flushPromises()
  expect(words()).toContain('Torque, bolts 4')
  expect(own().unitsDone).toBe(3)
  await typeIn('Value, Nm', '31')
  expect(words()).toContain('It fails: what follows is held.')
  await typeIn('Value, Nm', '24')
  expect(words()).toContain('It passes.')
  await typeIn('Value, Nm', '31')
  await press('Keep the reading')
  await vi.waitFor(() => expect(server.rows.reading).toHaveLength(1), 5000)
  expect(server.rows.reading[0]).toMatchObject({ stepId: 'bolts', unitNo: 4, value: 31 })
  await flushPromises()
  expect(words()).toContain('Torque, number 4: fails')
  expect(words()).toContain('That one is held, and the step with it; the others go on.')
})

it('of which a reading fails is not finished', async () => {
  const { own } = await opened({ ...torque, state: 'doing', startedAt: now - hour }, (rows) =>
    add(rows, 'reading', 'r', {
      stepId: 'bolts',
      what: 'Torque',
      value: 12,
      at: now - hour,
    } as never),
  )
  expect(words()).toContain('The step is held, and what follows it.')
  const done = document.querySelector<HTMLButtonElement>('button[aria-label="Done: Bolts"]')
  done?.click()
  await flushPromises()
  expect(own().state).toBe('doing')
  expect(useToastStore().toasts.at(-1)).toMatchObject({ bad: true })
  await press('Remove the reading of 12 Nm')
  await vi.waitFor(() => expect(words()).toContain('Nothing read yet.'))
  document.querySelector<HTMLButtonElement>('button[aria-label="Done: Bolts"]')?.click()
  await vi.waitFor(() => expect(own().state).toBe('done'))
})

it('has rounds until it is good enough, and says when that was the most reckoned with', async () => {
  const { own } = await opened({
    roundsLikely: 2,
    roundsMost: 3,
    round: 2,
    untilGood: 'no light under the straightedge',
    state: 'doing',
    startedAt: now - hour,
  })
  expect(words()).toContain('Round 2 of 2 likely, 3 at most, until no light under the straightedge')
  expect(words()).not.toContain('That was the most')
  await press('Not good enough: one more round')
  await vi.waitFor(() => expect(own().round).toBe(3))
  await flushPromises()
  await press('Not good enough: one more round')
  await vi.waitFor(() => expect(own().round).toBe(4))
  await flushPromises()
  expect(words()).toContain('That was the most that was reckoned with')
})

it('at its high estimate asks whether it is accepted or looked into', async () => {
  const { own } = await opened({
    hoursHigh: 3,
    state: 'doing',
    startedAt: now - 3.5 * hour,
    byIds: ['ida'],
  })
  expect(words()).toContain('3 h 30 on it: that was the most reckoned with, 3 h.')
  await press('Accept it')
  await vi.waitFor(() => expect(own().state).toBe('done'))
})

it('counts the hours that are booked, before the time since it was begun', async () => {
  await opened({ hoursHigh: 9, state: 'doing', startedAt: now - 3.5 * hour, byIds: ['ida', 'tam'] })
  // Two of them.
  expect(words()).toContain('2 h planned, 7 h since it was begun.')
  document.body.innerHTML = ''
  await opened({ state: 'doing', startedAt: now - 3.5 * hour, byIds: ['ida'] }, (rows) =>
    add(rows, 'hoursEntry', 'h', {
      stepId: 'bolts',
      jobId: 'deck',
      personId: 'ida',
      on: '2027-04-10',
      hours: 1,
      kind: 'work',
    }),
  )
  expect(words()).toContain('2 h planned, 1 h on it.')
})

it('stops short with enough under a name, or with the rest as a step of its own', async () => {
  const { own } = await opened({ ...counted, state: 'doing', startedAt: now - hour })
  await press('Stop here')
  expect(words()).toContain('3 of 20 bolts are done, 17 are left')
  await press('Enough as it is')
  expect(words()).toContain('Why is that enough?')
  expect(own().state).toBe('doing')
  await typeIn('Why that is enough', 'The rest are under the tank')
  await typeIn('Who says so', 'ida')
  await press('Enough as it is')
  await vi.waitFor(() => expect(own().state).toBe('done'))
  await flushPromises()
  expect(words()).toContain('3 of 20 bolts, 17 left out: The rest are under the tank. Ida says so.')
  document.body.innerHTML = ''
  const later = await opened({ ...counted, state: 'doing', startedAt: now - hour })
  await press('Stop here')
  await press('The rest later')
  await vi.waitFor(() => expect(later.own().state).toBe('done'))
  const rest = later.server.rows.step.find((one) => one.title === 'The rest: Bolts')
  expect([later.own().unitCount, rest?.unitCount, rest?.state]).toEqual([3, 17, 'open'])
})

it('done, says until when it waits, and is opened again', async () => {
  const { own } = await opened({
    state: 'done',
    doneAt: now - 2 * hour,
    waitKind: 'calendar',
    waitHours: 24,
  })
  expect(words()).toContain('done Sat 17 Apr 05:30')
  expect(words()).toContain('Then it waits until Sun 18 Apr 05:30.')
  await press('Reopen it')
  await vi.waitFor(() => expect(own().state).toBe('open'))
})

it('that is not there says so', async () => {
  await onPage('step/[step]', emptyRefit(), { params: { step: 'nothing' } })
  expect(words()).toContain('There is no such step')
  expect(() => fieldOf('Value')).toThrow()
})
