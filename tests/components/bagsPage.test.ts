/** Bags on their page: which are to be found soon, which are found by a word, and the next code. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { keepPlan } from '#core/testing/keptPlan'
import { useTimeStore } from '../../app/stores/time'
import { press, typeIn, words } from './byName'
import { onPage } from './page'
import { route } from './setup'

/** Saturday 17 April 2027. */
const now = Date.UTC(2027, 3, 17, 7, 30)
const hour = 3_600_000
const day = 24 * hour

/** A hose is wanted in fourteen days to the hour, lamps an hour later; where they are nobody knows. */
async function opened(fill: (rows: Building) => void = () => undefined, query = {}) {
  const rows = emptyRefit()
  job(rows, 'head', { title: 'Head' })
  for (const id of ['hoses on', 'lamps up']) step(rows, 'head', id, { title: id })
  const soon = now + 14 * day
  keepPlan(rows, now, {
    'hoses on': { segments: [[soon, soon + hour]] },
    'lamps up': { segments: [[soon + hour, soon + 2 * hour]] },
  })
  const bag = (id: string, code: string, what: string, given: object) =>
    add(rows, 'bag', id, { code, what, order: id, ...given } as never)
  bag('a', 'B02', 'Heads hose', { wantedByStepId: 'hoses on' })
  bag('b', 'B05', 'Saloon lamps', { wantedByStepId: 'lamps up', contents: 'Two brass ones' })
  bag('c', 'B09', 'Lining battens', { storedAt: 'Home shed, wall' })
  fill(rows)
  const page = await onPage('bags', rows, {
    query,
    begin: () => (useTimeStore().now = now),
  })
  const soonest = () => document.querySelector('[aria-label="Bags to find"]')?.textContent ?? ''
  const listed = () =>
    [...document.querySelectorAll('[aria-label="Bags"] li')].map((one) =>
      (one.textContent ?? '').replace(/\s+/g, ' ').trim(),
    )
  return { ...page, soonest, listed }
}

it('warns of what a step wants within fourteen days and nobody can find', async () => {
  const { soonest, listed } = await opened()
  expect(words()).toContain('3 bags, 1 with a place')
  expect(soonest()).toMatch(/B02 Heads hose.*wanted by hoses on/s)
  expect(soonest()).not.toContain('Saloon lamps')
  expect(listed()).toEqual([
    'B02Heads hose back for hoses on, Sat 1 Maynobody knows where',
    'B05Saloon lamps back for lamps up, Sat 1 Maynobody knows where',
    'B09Lining battens Home shed, wall',
  ])
})

it('warns of nothing that is fitted, found, or wanted by what is done', async () => {
  const change = (rows: Building, given: object) => {
    const bags = rows.bag as unknown as object[]
    bags[0] = { ...bags[0], ...given }
  }
  for (const given of [{ state: 'fitted' }, { storedAt: 'Behind the door' }]) {
    const { soonest } = await opened((rows) => change(rows, given))
    expect(soonest()).toBe('')
    document.body.innerHTML = ''
  }
  const done = await opened((rows) => {
    const steps = rows.step as unknown as object[]
    steps[0] = { ...steps[0], state: 'done', doneAt: now - hour }
  })
  expect(done.soonest()).toBe('')
  // Lost is not found, wherever it was.
  document.body.innerHTML = ''
  const lost = await opened((rows) => change(rows, { state: 'lost', storedAt: 'Shed' }))
  expect(lost.soonest()).toContain('B02')
})

it('finds a bag by words of its code, its name, its contents and its place', async () => {
  const { listed } = await opened()
  const found = async (asked: string) => {
    await typeIn('Find a bag', asked)
    return listed().map((one) => one.slice(0, 3))
  }
  expect(await found('BRASS lamps')).toEqual(['B05'])
  expect(await found('shed')).toEqual(['B09'])
  expect(await found('b0 hose')).toEqual(['B02'])
  expect(await found('brass hose')).toEqual([])
  expect(await found('')).toEqual(['B02', 'B05', 'B09'])
})

it('begins a bag with the next code, and opens it', async () => {
  const { server } = await opened()
  await press('New bag')
  await vi.waitFor(() => expect(server.rows.bag).toHaveLength(4))
  const made = server.rows.bag.find((one) => one.code === 'B10')
  expect(made).toMatchObject({ what: 'Something taken out', state: 'stored' })
  await flushPromises()
  expect(route.query).toEqual({ bag: made?.id })
  expect(words()).toContain('4 bags')
})

it('is told where it is, and is warned of no more', async () => {
  const { server, soonest } = await opened(undefined, { bag: 'a' })
  expect(soonest()).toContain('B02')
  await typeIn('Where it is', 'Home shed, behind the door')
  await vi.waitFor(() =>
    expect(server.rows.bag.find((one) => one.id === 'a')?.storedAt).toBe(
      'Home shed, behind the door',
    ),
  )
  await flushPromises()
  expect(soonest()).toBe('')
})
