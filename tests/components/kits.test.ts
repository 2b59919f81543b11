/** Kits of the next days and where things are: the road to where she lies, what goes along it, and back. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { makePlan } from '#core/plan/makePlan'
import { words } from './byName'
import { onPage } from './page'

const now = Date.UTC(2027, 3, 17, 7, 30)

/** She lies at a berth a quarter of an hour off; the yard is farther. Ida glues in the shed and fits aboard today. */
async function kits(fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida' })
  const place = (id: string, kind: 'yard' | 'berth' | 'shed', travelMin: number) =>
    add(rows, 'place', id, { name: id, kind, travelMin, setUpMin: 0, packUpMin: 0, order: id })
  place('yard', 'yard', 40)
  place('berth', 'berth', 15)
  place('shed', 'shed', 10)
  job(rows, 'lid', { title: 'Lid' })
  step(rows, 'lid', 'fit', { title: 'Fit it', hoursLikely: 1 })
  step(rows, 'lid', 'look', { title: 'Look at it', hoursLikely: 1 })
  const part = { neededByStepId: 'fit', state: 'arrived', quantity: 1 } as const
  add(rows, 'part', 'hinge', { ...part, name: 'Hinge', at: 'shed' })
  add(rows, 'part', 'seal', { ...part, name: 'Seal', at: 'boat' })
  add(rows, 'bringLine', 'glue', { stepId: 'fit', what: 'Glue', at: 'home', order: 'a' })
  fill(rows)
  const { plan: result } = makePlan(rows, now)
  add(rows, 'plan', 'plan', { inputsHash: '', at: now, seed: 1, iterations: 1, result })
  return onPage('stores', rows, { query: { show: 'kits' } })
}
const cell = (name: string) =>
  document.querySelector<HTMLButtonElement>(`[data-cell][aria-label^="${name}:"]`)

it('say what is taken along, from where to where, and how far that is', async () => {
  await kits()
  expect(words()).toContain('15 min from home')
  expect(words()).not.toContain('40 min from home')
  expect(words()).toContain('10 min from home')
  const roads = [...document.querySelectorAll('li')]
    .map((one) => one.textContent?.replace(/\s+/g, ' ').trim())
    .filter((one) => one?.startsWith('take for Sat 17 Apr'))
  expect(roads).toHaveLength(2)
  expect(roads.join()).toMatch(/Hinge.*Glue|Glue.*Hinge/)
  expect(words()).toContain('Fit it')
  expect(words()).toContain('Nothing is listed for Look at it.')
})

it('have a thing put where the work is by a press, and back by another', async () => {
  const { server } = await kits()
  const hinge = () => server.rows.part.find((one) => one.id === 'hinge')?.at
  cell('Hinge')?.click()
  await vi.waitFor(() => expect(hinge()).toBe('boat'))
  await flushPromises()
  cell('Hinge')?.click()
  await vi.waitFor(() => expect(hinge()).toBe('shed'))
  cell('Glue')?.click()
  await vi.waitFor(() => expect(server.rows.bringLine[0]?.at).toBe('boat'))
})

it('of work in the shed send a thing home, and open what is not here', async () => {
  const { server } = await kits((rows) => {
    rows.step = rows.step.map((one) => ({ ...one, placeNeed: 'shed' as const }))
    rows.part = rows.part.map((one) =>
      one.id === 'seal' ? { ...one, state: 'ordered' as const, at: null } : one,
    )
  })
  cell('Hinge')?.click()
  await vi.waitFor(() =>
    expect(server.rows.part.find((one) => one.id === 'hinge')?.at).toBe('home'),
  )
  cell('Seal')?.click()
  await flushPromises()
  expect(document.querySelector('[role=dialog]')?.textContent).toContain('Seal')
})

it('name three of what goes off or is low, and say how many more', async () => {
  await kits((rows) =>
    ['Epoxy', 'Filler', 'Paint', 'Primer', 'Tape'].forEach((name, at) =>
      add(rows, 'stock', name, {
        name,
        quantity: 0.1 + 0.2,
        unit: at === 4 ? '' : 'L',
        at: 'shed',
        expiresOn: at < 4 ? '2027-04-01' : null,
        lowAt: at === 4 ? 1 : null,
        order: name,
      }),
    ),
  )
  expect(words()).toMatch(
    /Off or going off:\s*Epoxy, 1 Apr; Filler, 1 Apr; Paint, 1 Apr and 1 more\./,
  )
  expect(words()).toMatch(/Low:\s*Tape, 0\.3, low under 1\./)
})
