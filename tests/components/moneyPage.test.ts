/** Money on its page: bills beside what was agreed, sums planned, a berth's price, work done twice, and true hours. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { knownDemo } from '../../demo/known'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { RefitRows } from '#core/model/refit'
import { usePlannerStore } from '../../app/stores/planner'
import { useTimeStore } from '../../app/stores/time'
import { fieldOf, press, typeIn, words } from './byName'
import { onPage } from './page'
import { withWorkers } from './workers'

/** Saturday 17 April 2027. */
const begin = () => (useTimeStore().now = Date.UTC(2027, 3, 17, 7, 30))
const opened = (show: string, rows: RefitRows = knownDemo()) =>
  onPage('money', rows, { query: { show }, begin })
const heading = () => document.querySelector('h1')?.textContent?.replace(/\s+/g, ' ') ?? ''
const of = (label: RegExp) =>
  [...document.querySelectorAll('article, section, tr')]
    .filter((one) => label.test((one.textContent ?? '').replace(/\s+/g, ' ').trim()))
    .at(-1)
    ?.textContent?.replace(/\s+/g, ' ') ?? ''
/** The sums of a system's row: spent, owed, likely, plan. */
const sumsOf = (name: string) =>
  [...document.querySelectorAll('tr')]
    .filter((one) => one.querySelector('th')?.textContent?.trim().startsWith(name))
    .flatMap((one) => [...one.querySelectorAll('td')])
    .map((one) => Number((one.textContent ?? '').replace(/, .*$/, '').replace(/[^\d]/g, '')))
    .slice(-4)

it('asks about a bill over what was agreed, and pays the agreed part only', async () => {
  const { server } = await opened('hours')
  expect(heading()).toContain('Brannock Stainless bills €212 more than was agreed')
  expect(of(/^Brannock Stainless/)).toContain('nobody agreed to it')
  await press('Paid as agreed: €714')
  expect(fieldOf('Sum').value).toBe('714.00')
  const before = server.rows.spend.length
  await press('Write it down')
  await vi.waitFor(() => expect(server.rows.spend).toHaveLength(before + 1), 20_000)
  await flushPromises()
  // 600 before, and 714.
  expect(of(/^Brannock Stainless/)).toContain('paid so far €1,314; held until checked, 10 %: €146')
  expect(words()).not.toContain('Paid as agreed')

  await press('A bill came from Hartsel Rigging')
  await typeIn('Sum of the bill', '2000')
  expect(words()).toContain('That is €840 more than was agreed')
  await press('Write it down')
  await vi.waitFor(() => expect(heading()).toContain('Hartsel Rigging bills €840 more'), 20_000)
})

it('has a sum planned for a system in what is likely', async () => {
  await opened('cost')
  const [, , before = 0] = sumsOf('Rig')
  await press('Rig')
  await typeIn('Planned for it', '9000')
  await vi.waitFor(() => expect(sumsOf('Rig')[3]).toBe(9000), 20_000)
  expect(words()).toContain('Together €405.00')
  expect(sumsOf('Rig')[2]).toBeGreaterThan(before + 1000)
})

it('reckons the days afloat to come by what the berth asks for', async () => {
  await opened('cost')
  const days = Number(/(\d+) days at €9\.20/.exec(words())?.[1])
  const [, , before = 0] = sumsOf('Yard, lift, berth')
  const rows = knownDemo()
  const dearer = { ...rows, yardTariff: rows.yardTariff.map((one) => ({ ...one })) }
  for (const one of dearer.yardTariff) if (one.berthPerDayMinor === 920) one.berthPerDayMinor = 1200
  await opened('cost', dearer)
  expect(words()).toContain(`${days} days at €12`)
  // 2.80 more a day; sums of the row are whole.
  expect(Math.abs((sumsOf('Yard, lift, berth')[2] ?? 0) - before - days * 2.8)).toBeLessThan(1)
})

it('counts what was done again, with why', async () => {
  const { store } = await opened('hours')
  expect(words()).toContain('Done twice: 15 h 30 of')
  const done = store.rows.step.find((one) => one.state === 'done')
  await store.attempt('Hours', [
    {
      op: 'create',
      entity: 'hoursEntry',
      id: 'again',
      patch: {
        personId: 'oona',
        stepId: done?.id,
        jobId: done?.jobId,
        on: '2027-04-17',
        hours: 23,
        kind: 'work',
        reworkCause: 'Cured too cold',
      },
    } as never,
  ])
  await flushPromises()
  expect(words()).toContain('Done twice: 38 h 30 of')
  expect(words()).toMatch(/Cured too cold\s*(23|30 h 30)/)
})

it('plans with hours as they really go, as was said before, and back', async () => {
  const rows = emptyRefit()
  // Ida on Saturdays from nine to five: eight hours are one of them, at 1.6 they are two.
  person(rows, 'ida', [6], '09:00', '17:00', { name: 'Ida' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { title: 'Deck', gateId: 'sail' })
  step(rows, 'deck', 'sand', { title: 'Sand it', hoursLikely: 8, hoursLow: 8, hoursHigh: 8 })
  withWorkers()
  const { store, server } = await onPage('money', rows, {
    query: { show: 'hours' },
    begin: () => [begin(), usePlannerStore()],
  })
  const planner = usePlannerStore()
  const planned = async () => {
    await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
    const at = store.accepted?.gates.find((one) => one.gateId === 'sail')?.at ?? 0
    return new Date(at).toISOString().slice(0, 10)
  }
  expect(await planned()).toBe('2027-04-17')
  expect(words()).toContain('What most people find adds 4 h 48 to the 8 h left')
  const take = async (button: string, said: RegExp) => {
    await press(button)
    await vi.waitFor(() => expect(of(/^Sail away.*(later|earlier)/)).toMatch(said), 5000)
    const plans = server.changes.length
    await press('Do it')
    await vi.waitFor(() => expect(server.changes.length).toBeGreaterThan(plans), 5000)
    await flushPromises()
  }
  await take('Use that', /7 days later/)
  expect(await planned()).toBe('2027-04-24')
  expect(words()).toContain('What such work really takes is in the plan: 4 h 48')
  await take('As guessed', /7 days earlier/)
  expect(await planned()).toBe('2027-04-17')
})
