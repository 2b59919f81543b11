/** Planned otherwise: a way to launch, a lever for a lift, nights aboard; each does what was promised. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import type { RefitRows } from '#core/model/refit'
import { awayWeekend, awayWeekendNow } from '#core/testing/awayWeekend'
import { waysRefit, waysRefitNow } from '#core/testing/waysRefit'
import { usePlannerStore } from '../../app/stores/planner'
import { press, typeIn, words } from './byName'
import { onPage } from './page'
import type { PageAsk } from './page'
import { withWorkers } from './workers'

/** A page with the plan of its day; no other page stands beside it. */
async function opened(path: string, rows: RefitRows, ask: PageAsk) {
  withWorkers()
  const page = await onPage(path, rows, { ...ask, begin: usePlannerStore })
  const planner = usePlannerStore()
  const settled = async () => {
    await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 20_000)
    await flushPromises()
  }
  await settled()
  return { ...page, settled }
}
const until = (said: () => void) => vi.waitFor(said, 20_000)
const textOf = (one: Element | null | undefined) =>
  (one?.textContent ?? '').replace(/\s+/g, ' ').trim()
/** All that one thing of a list says. */
const itemOf = (about: string) =>
  [...document.querySelectorAll('li')].map(textOf).find((one) => one.startsWith(about)) ?? ''
const launchDay = (rows: RefitRows) =>
  new Date(rows.plan[0]?.result.launches[0]?.at ?? 0).toISOString().slice(0, 10)
const proposal = () => textOf([...document.querySelectorAll('[role=dialog]')].at(-1))

// Launch dates and sums of every way are worked out in docs/launch-ways.md.
it('has ways to launch beside each other, and goes the one that is chosen', async () => {
  const { server } = await opened('sequence', waysRefit(), { now: waysRefitNow })
  expect(launchDay(server.rows)).toBe('2027-05-12')
  await press('Ways to launch')
  await until(() => expect(itemOf('As it is planned')).toContain('LaunchWed 12 May'))
  await typeIn('If she is lifted again, out on', '2 June 2027')
  // Yard, berth and lifts: 130 + 112 + 200, 270 + 56 + 200, 60 + 140 + 200, 130 + 112 + 600.
  await until(() => expect(itemOf('Float, and lift again')).toContain('Costs€842'))
  expect(itemOf('As it is planned')).toContain('Costs€442')
  expect(itemOf('Finish ashore')).toMatch(/LaunchWed 26 May.*Costs€526/)
  expect(itemOf('Float early')).toMatch(/LaunchWed 5 May.*Costs€400 the least/)
  // A day on which she cannot be lifted again is said, and nothing is planned with it.
  await typeIn('If she is lifted again, out on', '1 May 2027')
  expect(words()).toContain('She is launched on Wed 12 May, as planned now: it has to be after')
  expect(itemOf('Float, and lift again')).toBe('')
  await typeIn('If she is lifted again, out on', '2 June 2027')
  expect(words()).not.toContain('She is launched on')
  const plate = () =>
    document.querySelector<HTMLButtonElement>('[aria-label="Plan so: Finish ashore"]')
  await until(() => expect(plate()?.disabled).toBe(false))
  await press('Plan so: Finish ashore')
  await until(() => expect(proposal()).toMatch(/Launch\s*Wed 12 May\s*Wed 26 May\s*14 days later/))
  expect(launchDay(server.rows)).toBe('2027-05-12')
  await press('Do it')
  await until(() => expect(launchDay(server.rows)).toBe('2027-05-26'))
})

it('finds the lever that makes what is late ready for a lift, and says what it does', async () => {
  const ask = { now: waysRefitNow, query: { day: '2027-05-05' } }
  const rows = waysRefit()
  rows.haulOut = rows.haulOut.map((one) =>
    one.id === 'spring' ? { ...one, launchAimed: '2027-05-05' } : one,
  )
  const { server } = await opened('launch', rows, ask)
  expect(words()).toContain('Still to do ashore, against Wed 5 May')
  // The valve on Saturday the 1st, the propeller a week later.
  expect(itemOf('prop')).toContain('10 h, ready 8 May')
  const before = server.changes.length
  await press('What would make them ready?')
  await until(() => expect(words()).toContain('Each of them is ready by then with one lever'))
  await press('A trade does “prop”: prop is ready')
  await until(() => expect(proposal()).toMatch(/Launch\s*Wed 12 May\s*Wed 5 May\s*7 days earlier/))
  await press('Leave it')
  expect(server.changes).toHaveLength(before)
})

// The weekend of docs/hand-plan.md, with the night and without.
it('asks for nights aboard, plans with them, and shows the day so', async () => {
  const rows = awayWeekend()
  rows.place = rows.place.map((one) => ({ ...one, nights: 'none' }))
  const ask = { now: awayWeekendNow }
  const { server, settled, wrapper } = await opened('settings', rows, ask)
  const nights = () => itemOf('Nights away: Berth')
  expect(nights()).toContain('Not planned now')
  await press('With it? Nights away: Berth')
  await until(() => expect(nights()).toMatch(/With it: .* h.* a week more at the boat/))
  await press('Plan with it: Nights away: Berth')
  await until(() => expect(nights()).toContain('As planned now'))
  await settled()
  expect(new Date(server.rows.plan[0]?.result.gates[0]?.at ?? 0).toISOString()).toMatch(
    /^2027-04-18T08:30/,
  )
  wrapper.unmount()
  const day = { ...ask, query: { on: '2027-04-17' } }
  const aboard = await opened('today', server.rows, day)
  expect(words()).toContain('The night aboard.')
  aboard.wrapper.unmount()
  await opened('today', rows, day)
  expect(words()).not.toContain('The night aboard.')
})
