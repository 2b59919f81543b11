/** What a trade is asked to look at, on its page: lines, what they propose, what is taken of it, what is on the invoice. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { usePlannerStore } from '../../app/stores/planner'
import { press, typeIn, words } from './byName'
import { onPage } from './page'
import { withWorkers } from './workers'

/** A rigger, booked for Monday 3 and Tuesday 4 May at €500, looks at two things; one of them was found. */
async function opened(fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'rig', { title: 'Rig', gateId: 'sail' })
  step(rows, 'rig', 'look', { title: 'Look it over', operation: 'contract', hoursLikely: 8 })
  add(rows, 'tradeBooking', 'b', {
    stepId: 'look',
    trade: 'Rigger',
    from: '2027-05-03',
    to: '2027-05-04',
    state: 'booked',
    priceMinor: 50_000,
  })
  const line = (id: string, what: string) =>
    add(rows, 'tradeItem', id, { bookingId: 'b', what, order: id })
  line('a', 'Swages')
  line('b', 'Mast foot')
  fill(rows)
  withWorkers()
  const page = await onPage('trade/[booking]', rows, {
    params: { booking: 'b' },
    begin: usePlannerStore,
  })
  const planner = usePlannerStore()
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  await flushPromises()
  const item = (id: string) => page.server.rows.tradeItem.find((one) => one.id === id)
  const booking = () => page.server.rows.tradeBooking[0]
  return { ...page, item, booking }
}
/** They propose something on the first line. */
const proposing = (given: object) => (rows: Building) => {
  const lines = rows.tradeItem as unknown as object[]
  lines[0] = { ...lines[0], proposal: 'New wires', ...given }
}

it('has what is to be looked at line by line, and what was found put on it once', async () => {
  const { server } = await opened((rows) => {
    add(rows, 'finding', 'crack', { title: 'Crack in a tang', jobId: 'rig', foundAt: 1 })
    add(rows, 'finding', 'gone', { title: 'Slack stay', jobId: 'rig', foundAt: 1, state: 'gone' })
  })
  expect(words()).toContain('Look it over')
  expect(words()).toMatch(/Rig, booked for .*3 May.* to .*4 May/)
  expect(words()).toContain('Agreed €500')
  await press('Put what was found there on it')
  await vi.waitFor(() => expect(server.rows.tradeItem).toHaveLength(3))
  await flushPromises()
  expect(words()).not.toContain('Put what was found')
  await typeIn('Something they look at or do', '  Halyard sheaves ')
  await press('Add')
  await vi.waitFor(() => expect(server.rows.tradeItem).toHaveLength(4))
  const inTheirOrder = [...server.rows.tradeItem].sort((a, b) => (a.order < b.order ? -1 : 1))
  expect(inTheirOrder.map((one) => one.what)).toEqual([
    'Swages',
    'Mast foot',
    'Crack in a tang',
    'Halyard sheaves',
  ])
  // Nothing is no line.
  await press('Add')
  expect(server.rows.tradeItem).toHaveLength(4)
})

it('takes what costs only money at once, counts it, and thinks it over again', async () => {
  const { item, booking } = await opened(proposing({ proposalMinor: 12_000 }))
  expect(words()).toContain('They propose: New wires, €120.')
  expect(words()).toContain('not answered')
  await press('Take it: New wires')
  await vi.waitFor(() => expect(item('a')?.answer).toBe('taken'))
  expect(item('a')?.answeredOn).toBe('2027-04-17')
  await flushPromises()
  expect(words()).toContain('Agreed €620, €120 of it taken since')
  expect(booking()?.to).toBe('2027-05-04')
  await press('Swages')
  await press('Think it over again')
  await vi.waitFor(() => expect(item('a')).toMatchObject({ answer: 'open', answeredOn: null }))
  await flushPromises()
  expect(words()).not.toContain('taken since')
})

it('shows what a longer stay does before anything is written, and leaves it', async () => {
  // Half a day more is a day on which they come: Wednesday 5 May.
  const { server, item, booking } = await opened(proposing({ proposalDays: 0.5 }))
  const before = server.changes.length
  await press('Take it: New wires')
  await vi.waitFor(() => expect(words()).toMatch(/Rigger is there until .*5 May.*, not .*4 May/))
  expect(server.changes).toHaveLength(before)
  await press('Leave it')
  expect([item('a')?.answer, booking()?.to]).toEqual(['none', '2027-05-04'])
  await press('Take it: New wires')
  await vi.waitFor(() => expect(words()).toMatch(/there until .*5 May/))
  const write = () =>
    [...document.querySelectorAll('button')].find(
      (one) => one.textContent?.trim() === 'Write it down',
    )
  await vi.waitFor(() => expect(write()?.disabled).toBe(false), 5000)
  await press('Write it down')
  await vi.waitFor(() => expect(item('a')?.answer).toBe('taken'))
  expect(booking()?.to).toBe('2027-05-05')
})

it('is left as it was proposed, and its line is taken off the sheet', async () => {
  const { server, item } = await opened(proposing({ proposalMinor: 12_000, proposalDays: 1 }))
  await press('Leave it: New wires')
  await vi.waitFor(() => expect(item('a')?.answer).toBe('left'))
  await flushPromises()
  expect(words()).toContain('Agreed €500')
  await press('Mast foot')
  await press('Take it off the sheet')
  await vi.waitFor(() => expect(server.rows.tradeItem.map((one) => one.id)).toEqual(['a']))
})

it('asks about an invoice that is over what was agreed', async () => {
  await opened((rows) => {
    const lines = rows.tradeItem as unknown as object[]
    lines[0] = { ...lines[0], invoiceMinor: 40_000, done: true }
    lines[1] = { ...lines[1], invoiceMinor: 30_000 }
  })
  expect(words()).toContain('on the invoice €700')
  expect(words()).toContain('€300 is asked for “Mast foot”, and nobody looked at it.')
})
