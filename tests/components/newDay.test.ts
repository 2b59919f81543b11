/** What is on its way comes on another day: dragged, by key, or because somebody was asked to hurry. */
import { flushPromises } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { orderItems } from '#core/stores/ordering'
import { after, draft, lineOf, newId, refit } from '#core/testing/storesRefit'
import { usePlannerStore } from '../../app/stores/planner'
import { press, typeIn, words } from './byName'
import { onPage } from './page'
import { withWorkers } from './workers'

beforeEach(() => {
  // There is no pointer here that could be held.
  Element.prototype.setPointerCapture = () => undefined
})

/** Today is Saturday 17 April. Rubber is ordered and due on 6 May; it is bedded on Saturday 22 May, and then all is done. */
async function onItsWay(dueOn = '2027-05-06') {
  const rows = refit()
  const all = after(rows, orderItems(rows, { ...draft, dueOn }, [lineOf(3, ['rubber'])], newId))
  withWorkers()
  const { server, store } = await onPage('stores', all, { begin: usePlannerStore })
  const planner = usePlannerStore()
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  await flushPromises()
  server.changes.splice(0)
  const written = () => ({
    line: server.rows.purchaseLine[0]?.dueOn,
    part: server.rows.part.find((one) => one.id === 'rubber')?.arrivesOn,
  })
  return { server, store, written, gate: () => store.derived.gates[0]?.plannedOn }
}
const crate = () => document.querySelector<SVGElement>('.crate') as SVGElement
const point = (kind: string, clientX: number, pointerType = 'mouse') =>
  crate().dispatchEvent(
    new PointerEvent(kind, { clientX, pointerType, button: 0, pointerId: 1, bubbles: true }),
  )

it('is dragged along time, and written down once it is taken', async () => {
  const { server, written, gate } = await onItsWay()
  expect(gate()).toBe('2027-05-22')
  point('pointerdown', 300)
  // A hand that trembles moves nothing.
  point('pointermove', 304)
  point('pointerup', 304)
  await flushPromises()
  expect(words()).not.toContain('It comes that day')
  point('pointerdown', 300)
  point('pointermove', 5000)
  await flushPromises()
  expect(words()).toMatch(/: …/)
  await vi.waitFor(() => expect(words()).toMatch(/: Move aboard \d+ d later/))
  point('pointerup', 5000)
  await flushPromises()
  await typeIn('It comes on', '2 Jun 2027')
  await vi.waitFor(() => expect(words()).toContain('“Rubber” is due on Wed 2 Jun'))
  expect(words()).toContain('coming on Wed 2 Jun instead of Thu 6 May')
  expect(server.changes).toEqual([])
  await vi.waitFor(() => expect(words()).toContain('Sat 5 Jun'))
  await press('It comes that day')
  await vi.waitFor(() => expect(written()).toEqual({ line: '2027-06-02', part: '2027-06-02' }))
  // There on Wednesday; the next day with hands is Saturday the 5th.
  await vi.waitFor(() => expect(gate()).toBe('2027-06-05'))
})

it('is let go of by Escape', async () => {
  const { written } = await onItsWay()
  point('pointerdown', 300)
  point('pointermove', 700)
  document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))
  await flushPromises()
  point('pointerup', 700)
  await flushPromises()
  expect(words()).not.toContain('It comes that day')
  expect(written().line).not.toBe('2027-06-02')
})

it('is asked to hurry where it holds its step, with what that would bring', async () => {
  // Due on Saturday 26 June, ten weeks off, it is bedded on the Sunday; half of them is Saturday 22 May.
  const { written, gate } = await onItsWay('2027-06-26')
  expect(gate()).toBe('2027-06-27')
  document.querySelector<SVGElement>('.hit')?.dispatchEvent(new MouseEvent('click'))
  await flushPromises()
  expect(words()).toContain('Express, here Sat 22 May')
  await vi.waitFor(() => expect(words()).toContain('Move aboard 35 d earlier'))
  await press('They can: due Sat 22 May')
  await vi.waitFor(() => expect(words()).toMatch(/“Rubber” is due on Sat 22 May.*35 days earlier/))
  await press('It comes that day')
  await vi.waitFor(() => expect(written().part).toBe('2027-05-22'))
  await vi.waitFor(() => expect(gate()).toBe('2027-05-23'))
})

it('is asked for by key for the row in focus', async () => {
  const { written } = await onItsWay()
  const row = document.querySelector<SVGElement>('.hit')
  row?.dispatchEvent(new FocusEvent('focus'))
  await flushPromises()
  document.dispatchEvent(new KeyboardEvent('keydown', { key: 'd', bubbles: true }))
  await flushPromises()
  expect(words()).toContain('“Rubber” is due on Thu 6 May')
  await press('Leave it')
  expect(written().part).toBe('2027-05-06')
})
