/** A job on its own page: how it grows, why it stands where it does, whose hours it takes; a layer pinned to a day. */
import { flushPromises } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { usePlannerStore } from '../../app/stores/planner'
import { useTimeStore } from '../../app/stores/time'
import { press, words } from './byName'
import { onPage } from './page'
import { withWorkers } from './workers'

beforeEach(() => {
  Element.prototype.setPointerCapture = () => undefined
})

/** Saturday 17 April 2027. Ida and Tam come at weekends; the deck before the shelf, which nothing waits for. */
async function opened(jobId = 'deck', fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida', order: 'a' })
  person(rows, 'tam', [6, 7], '09:00', '17:00', { name: 'Tam', order: 'b' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { title: 'Deck', gateId: 'sail', purpose: 'float', severity: 3, order: 'a' })
  step(rows, 'deck', 'open', {
    title: 'Open it',
    state: 'done',
    hoursLikely: 2,
    doneAt: Date.UTC(2027, 3, 11, 12),
  })
  step(rows, 'deck', 'lay', {
    title: 'Lay plies',
    hoursLikely: 6,
    crewMin: 2,
    crewMax: 2,
    waitKind: 'calendar',
    waitHours: 120,
  })
  step(rows, 'deck', 'fair', { title: 'Fair it', hoursLikely: 4, wantedPersonId: 'ida' })
  job(rows, 'shelf', { title: 'Shelf', gateId: 'sail', purpose: 'shine', severity: 1, order: 'b' })
  step(rows, 'shelf', 'cut', { title: 'Cut it', hoursLikely: 1 })
  add(rows, 'link', 'l', { fromJobId: 'deck', toJobId: 'shelf' })
  fill(rows)
  withWorkers()
  const page = await onPage('job/[job]', rows, {
    params: { job: jobId },
    begin: () => {
      useTimeStore().now = Date.UTC(2027, 3, 17, 7, 30)
      return usePlannerStore()
    },
  })
  const planner = usePlannerStore()
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  await flushPromises()
  page.server.changes.splice(0)
  return page
}
const layers = () =>
  [...document.querySelectorAll('.layer')].map((one) => one.getAttribute('aria-label'))
const layer = (title: string) =>
  [...document.querySelectorAll<HTMLElement>('.layer')].find((one) =>
    one.getAttribute('aria-label')?.startsWith(title),
  ) as HTMLElement
const point = (kind: string, on: Element, clientX: number, pointerType = 'mouse') =>
  on.dispatchEvent(
    new PointerEvent(kind, { clientX, pointerType, button: 0, pointerId: 1, bubbles: true }),
  )

it('grows layer by layer, with who is at it, what cures and what waits on it', async () => {
  await opened()
  expect(layers()).toEqual([
    expect.stringMatching(/^Open it: done/),
    // Six hours for one are three for two.
    expect.stringMatching(/^Lay plies: to come\. 17 Apr, both, 6 h\. cured 22 Apr/),
    expect.stringMatching(/^Fair it: to come\. 24 Apr, Ida, 4 h/),
  ])
  expect(words()).toMatch(/1 job waits\s*on it:\s*Shelf/)
})

it('says whose hours are left, and how many steps take two at once', async () => {
  await opened()
  expect(words()).toContain('1 step needs two or more at once')
  const hours = [...document.querySelectorAll('section')].find((one) =>
    one.querySelector('h2')?.textContent?.startsWith('Whose hours'),
  )
  // What is done counts for nobody.
  expect(
    [...(hours?.querySelectorAll('li') ?? [])].map((one) =>
      one.textContent?.replace(/\s+/g, ' ').trim(),
    ),
  ).toEqual([expect.stringMatching(/Ida\s*7 h$/), expect.stringMatching(/Tam\s*3 h$/)])
})

it('says its score as a product, and what stands next below', async () => {
  await opened()
  const sum = [...document.querySelectorAll('dl dd')].map((one) => one.textContent?.trim())
  const [purpose, severity, spreading, slack, waiting, score] = sum.map(Number) as number[]
  expect(score).toBe(
    Math.round((purpose ?? 0) * (severity ?? 0) * (spreading ?? 0) * (slack ?? 0) + (waiting ?? 0)),
  )
  expect(words()).toContain('Why it is first')
  expect(words()).toMatch(/1 of 2|first of 2/)
  expect(words()).toMatch(/Next below.*Shelf/)
  document.body.innerHTML = ''
  await opened('shelf', (rows) => {
    rows.job = rows.job.map((one) => (one.id === 'shelf' ? { ...one, pinnedRank: 4 } : one))
  })
  expect(words()).toContain('You pinned it to rank 4.')
})

it('has a layer dragged to another day, said on the way and pinned where it is dropped', async () => {
  const { server } = await opened()
  const fair = layer('Fair it')
  const from = Number.parseFloat(fair.style.left)
  point('pointerdown', fair, from)
  point('pointermove', fair, from + 3)
  point('pointerup', fair, from + 3)
  await flushPromises()
  expect(words()).not.toContain('Pin it')
  point('pointerdown', fair, from)
  point('pointermove', fair, from + 300)
  await vi.waitFor(() => expect(words()).toMatch(/: Sail away \d+ d later/))
  point('pointerup', fair, from + 300)
  await flushPromises()
  expect(words()).toContain('“Fair it” pinned to')
  await press('Leave it')
  expect(server.changes).toEqual([])
  // What is done has its day.
  point('pointerdown', layer('Open it'), 10)
  point('pointermove', layer('Open it'), 300)
  point('pointerup', layer('Open it'), 300)
  await flushPromises()
  expect(words()).not.toContain('pinned to')
})

it('asks for the day by key, or where a finger stays', async () => {
  const { server } = await opened()
  layer('Fair it').dispatchEvent(new KeyboardEvent('keydown', { key: 'p', bubbles: true }))
  await flushPromises()
  expect(words()).toContain('“Fair it” pinned to Sat 24 Apr')
  await vi.waitFor(() => expect(words()).toContain('No step changes its day.'))
  await press('Pin it')
  await vi.waitFor(() =>
    expect(server.rows.step.find((one) => one.id === 'fair')?.pinnedOn).toBe('2027-04-24'),
  )
  point('pointerdown', layer('Lay plies'), 10, 'touch')
  await new Promise((after) => setTimeout(after, 600))
  await flushPromises()
  expect(words()).toContain('“Lay plies” pinned to Sat 17 Apr')
})

it('draws as curing only what comes after the work', async () => {
  await opened('deck', (rows) => {
    const lay = rows.step.find((one) => one.id === 'lay')
    if (lay) Object.assign(lay, { hoursLikely: 24 })
  })
  // Two of them: Saturday 09:00 to Sunday 13:00 is worked on, 28 hours by the calendar; then it cures for 120.
  const cures = layer('Lay plies')?.querySelector<HTMLElement>('.hatch')
  const px = (side: 'left' | 'width') => Number.parseFloat(cures?.style[side] ?? '')
  expect(px('left') / px('width')).toBeCloseTo(28 / 120, 2)
})
