/** The sequence on its page: boards opened, pinned and dragged; what is out of order mended, left, looked at again. */
import { flushPromises } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { RefitRows } from '#core/model/refit'
import type { Building } from '#core/testing/build'
import { usePlannerStore } from '../../app/stores/planner'
import { press, typeIn, words } from './byName'
import { onPage } from './page'
import { HomeWorker, withWorkers } from './workers'

beforeEach(() => {
  Element.prototype.setPointerCapture = () => undefined
})

/** Saturday 17 April 2027. Ida at weekends: a deck that cures five days between its steps, and a shelf beside it. */
async function opened(fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  add(rows, 'zone', 'fore', { name: 'Foredeck', strake: 'deck', order: 'a' })
  job(rows, 'deck', { title: 'Deck', gateId: 'sail', zoneId: 'fore', purpose: 'float', order: 'a' })
  step(rows, 'deck', 'lay', {
    title: 'Lay plies',
    hoursLikely: 6,
    operation: 'laminate',
    waitKind: 'calendar',
    waitHours: 120,
  })
  step(rows, 'deck', 'fair', { title: 'Fair it', hoursLikely: 4 })
  job(rows, 'shelf', { title: 'Shelf', gateId: 'sail', purpose: 'shine', order: 'b' })
  step(rows, 'shelf', 'cut', { title: 'Cut it', hoursLikely: 1 })
  fill(rows)
  withWorkers()
  const page = await onPage('sequence', rows, { begin: usePlannerStore })
  const planner = usePlannerStore()
  const settled = async () => {
    await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
    await flushPromises()
  }
  await settled()
  page.server.changes.splice(0)
  return { ...page, settled }
}
const board = (name: RegExp) =>
  [...document.querySelectorAll<SVGElement>('.hit')].find((one) =>
    name.test(one.getAttribute('aria-label') ?? ''),
  ) as SVGElement
const point = (kind: string, on: Element, clientX: number, pointerType = 'mouse') =>
  on.dispatchEvent(
    new PointerEvent(kind, { clientX, pointerType, button: 0, pointerId: 1, bubbles: true }),
  )

it('says of a board when it is, whether it holds the gate, and opens to its steps', async () => {
  await opened()
  expect(words()).toMatch(/Sail away/)
  const deck = board(/^Deck/)
  expect(deck.getAttribute('aria-label')).toMatch(/17 Apr to 24 Apr.*, holds the gate$/)
  deck.dispatchEvent(new MouseEvent('click'))
  await flushPromises()
  expect(words()).toContain('Part of what holds Sail away.')
  // After an hour at the shelf; cured five days later.
  expect(words()).toMatch(
    /Lay plies\s*Sat 17 Apr 10:00 to Sat 17 Apr 16:00; Ida, 6 h; ready Thu 22 Apr 16:00/,
  )
  expect(words()).toMatch(/Fair it\s*Sat 24 Apr 09:00 to Sat 24 Apr 13:00; Ida, 4 h/)
  await press('Back to the rope')
  expect(words()).not.toContain('Part of what holds')
})

it('has a board pinned by key, released by key, and dragged to a day', async () => {
  const { server, settled } = await opened()
  const shelf = () => board(/^Shelf/)
  shelf().dispatchEvent(new MouseEvent('click'))
  await flushPromises()
  shelf().dispatchEvent(new KeyboardEvent('keydown', { key: 'p', bubbles: true }))
  await flushPromises()
  expect(words()).toMatch(/“Cut it” pinned to S(at|un) 1[78] Apr/)
  await typeIn('It begins on', '1 May 2027')
  await vi.waitFor(() => expect(words()).toContain('“Cut it” pinned to Sat 1 May'))
  await vi.waitFor(() => expect(words()).toMatch(/7 days later/))
  await press('Pin it')
  const cut = () => server.rows.step.find((one) => one.id === 'cut')
  await vi.waitFor(() => expect(cut()?.pinnedOn).toBe('2027-05-01'))
  await settled()
  expect(shelf().getAttribute('aria-label')).toContain('pinned to Sat 1 May')
  shelf().dispatchEvent(new KeyboardEvent('keydown', { key: 'Delete', bubbles: true }))
  await vi.waitFor(() => expect(cut()?.pinnedOn).toBeNull())
  await settled()
  point('pointerdown', shelf(), 300)
  point('pointermove', shelf(), 700)
  await vi.waitFor(() => expect(words()).toMatch(/: (Sail away \d+ d later|no gate moves)/))
  shelf().dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))
  point('pointerup', shelf(), 700)
  await flushPromises()
  expect(words()).not.toContain('“Cut it” pinned')
  expect(cut()?.pinnedOn).toBeNull()
})

it('goes from board to board by arrows', async () => {
  await opened()
  const focused = () => document.activeElement?.getAttribute('aria-label') ?? ''
  const first = document.querySelector<SVGElement>('.hit[tabindex="0"]') as SVGElement
  first.focus()
  const names = new Set([focused()])
  for (const key of ['ArrowDown', 'ArrowUp', 'ArrowRight', 'ArrowLeft', 'ArrowDown']) {
    document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
    await flushPromises()
    names.add(focused())
  }
  expect([...names].some((one) => one.startsWith('Deck'))).toBe(true)
  expect([...names].some((one) => one.startsWith('Shelf'))).toBe(true)
})

it('leaves what is out of order with a reason, and looks at it again', async () => {
  // A tang is welded in the saloon, where the fuel pipe runs, and nobody looks for gas before.
  const { server, settled } = await opened((rows) => {
    add(rows, 'zone', 'saloon', { name: 'Saloon', strake: 'below', order: 'b' })
    job(rows, 'tang', { title: 'Tang', gateId: 'sail', zoneId: 'saloon', order: 'c' })
    step(rows, 'tang', 'weld', { title: 'Weld it', operation: 'weld', hoursLikely: 1 })
    job(rows, 'tank', { title: 'Tank', gateId: 'sail', zoneId: 'saloon', order: 'd' })
    step(rows, 'tank', 'pipe', {
      title: 'Fuel pipe',
      operation: 'fit',
      licensedKind: 'fuel',
      state: 'done',
      doneAt: Date.UTC(2027, 3, 10),
    })
  })
  const flags = () => /(\d+) out of order/.exec(words())?.[1] ?? '0'
  const before = Number(flags())
  expect(before).toBeGreaterThan(0)
  await press(`${before} out of order`)
  expect(words()).toMatch(/“Weld it” \(Tang\)/)
  // What stops stands first.
  const panel = document.querySelector('section[aria-label="Out of order"]')
  const [leave] = [...(panel?.querySelectorAll('button') ?? [])].filter(
    (one) => one.textContent?.trim() === 'Leave it',
  )
  leave?.click()
  await flushPromises()
  await typeIn('Why it may stay', 'The tank is empty and full of water')
  await press('Leave it')
  await vi.waitFor(() => expect(server.rows.orderKept).toHaveLength(1))
  await settled()
  await vi.waitFor(() => expect(Number(flags())).toBe(before - 1), 3000)
  expect(words()).toContain('Left as it is: 1')
  expect(words()).toContain('The tank is empty and full of water')
  await press('Look at it again')
  await vi.waitFor(() => expect(server.rows.orderKept).toHaveLength(0))
  await vi.waitFor(() => expect(Number(flags())).toBe(before), 3000)
})

it('reads out what stands on the time line', async () => {
  await opened((rows) => {
    add(rows, 'wantedDays', 'trip', { from: '2027-04-22', to: '2027-04-23', why: 'sails' })
  })
  const list = [...document.querySelectorAll('[aria-label="Days on the time line"] li')]
  const said = list.map((one) => one.textContent?.trim() ?? '')
  expect(said.some((one) => /, 22 Apr to 23 Apr$/.test(one))).toBe(true)
  expect(said).toContain('Today')
})

/** The day of a gate in the plan that stands. */
const dayOf = ({ plan: [stands] }: RefitRows) =>
  new Date(stands?.result.gates[0]?.at ?? 0).toISOString().slice(0, 10)

it('has a lever that does what it promised; taken back, the very plan stands that stood before', async () => {
  // Cured on Thursday 22 April, two days before she comes: on the Friday it could be faired.
  const { server, store, settled } = await opened((rows) => {
    rows.gate = rows.gate.map((one) => ({ ...one, kind: 'dated' as const, on: '2027-04-23' }))
  })
  expect(dayOf(server.rows)).toBe('2027-04-24')
  const stood = server.rows.plan[0]?.result
  const lever = 'Ida comes on Fri 23 Apr−1 d'
  await vi.waitFor(() => expect(words()).toContain(lever), 5000)
  await press(lever)
  await vi.waitFor(() => expect(words()).toMatch(/Sail away\s*Sat 24 Apr\s*Fri 23 Apr/), 5000)
  expect(words()).toContain('1 day earlier')
  expect(server.changes).toEqual([])
  await press('What are the chances then?')
  // Nobody comes between the cure and the Saturday: without the lever no run can keep the 23rd.
  const chances = /Sail away0 in 100 by 23 Apr, likely \d+ \w+(\d+) in 100 by 23 Apr/
  await vi.waitFor(() => expect(words()).toMatch(chances), 5000)
  expect(Number(chances.exec(words())?.[1])).toBeGreaterThan(0)
  await press('Do it')
  await vi.waitFor(() => expect(server.rows.personDay).toHaveLength(1), 5000)
  expect(server.rows.personDay[0]).toMatchObject({ on: '2027-04-23', kind: 'extraDay' })
  await settled()
  expect(dayOf(server.rows)).toBe('2027-04-23')
  HomeWorker.asked = []
  const [came] = server.rows.personDay
  await store.attempt('Ida does not come', [
    { op: 'delete', entity: 'personDay', id: came?.id ?? '', baseVersion: came?.version ?? 0 },
  ])
  await settled()
  expect(server.rows.plan[0]?.result).toEqual(stood)
  // It is known still: nothing was laid for it.
  expect(HomeWorker.asked).not.toContain('plan')
})

it('is planned afresh beside the plan people know, and left', async () => {
  const { server } = await opened()
  await press('Plan it afresh')
  await vi.waitFor(
    () => expect(words()).toContain('It comes out the same: keeping it costs nothing.'),
    5000,
  )
  expect(words()).toMatch(/Sail away\s*Sat 24 Apr\s*Sat 24 Apr\s*stays/)
  await press('Leave it')
  expect(server.changes).toEqual([])
})
