/** Triage by itself: one thing at a time by its keys, what each place would do, and what is asked before it is let go. */
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { add, emptyRefit, job, step } from '#core/testing/build'
import { usePlannerStore } from '../../app/stores/planner'
import Triage from '../../app/pages/r/[refit]/triage.vue'
import { useKeys } from '../../app/composables/useKeys'
import { openOn } from './fakeServer'

/** A planner that never comes to an end. */
class Silent {
  addEventListener = () => undefined
  removeEventListener = () => undefined
  postMessage = () => undefined
  terminate = () => undefined
}
/** The page in the frame that hears its keys. */
const framed = defineComponent({
  setup() {
    useKeys(() => undefined)
    return () => h(Triage)
  },
})
const unmounts: (() => void)[] = []
beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  vi.stubGlobal('Worker', Silent)
})
afterEach(() => {
  unmounts.splice(0).forEach((unmount) => unmount())
  vi.useRealTimers()
})

/** Two findings and a job that nobody has placed, a launch, and a plan to weigh them by. */
function boat() {
  const rows = emptyRefit()
  add(rows, 'zone', 'bilge', { name: 'Bilge', order: 'a', belowWaterline: true })
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch' })
  job(rows, 'done', { gateId: 'launch', purpose: 'go' })
  step(rows, 'done', 'done-1', { hoursLikely: 3 })
  const found = { zoneId: 'bilge', foundAt: Date.UTC(2027, 3, 16, 9) }
  add(rows, 'finding', 'weep', { title: 'A weeping bolt', severity: 2, ...found })
  add(rows, 'finding', 'crack', { title: 'A cracked frame', severity: 3, ...found })
  add(rows, 'plan', 'plan', { inputsHash: 'x', at: 0, seed: 1, iterations: 1 } as never)
  return rows
}

async function opened(
  whatIf: () => Promise<string | null> = () => Promise.resolve('No gate moves.'),
) {
  const { server, store } = await openOn(boat())
  usePlannerStore().whatIf = vi.fn(whatIf) as never
  const page = mount(framed, { attachTo: document.body })
  unmounts.push(() => page.unmount())
  await flushPromises()
  const press = async (key: string, target: EventTarget = document.body) => {
    target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
    await flushPromises()
  }
  const settled = async () => {
    await vi.advanceTimersByTimeAsync(300)
    await flushPromises()
  }
  return { server, store, page, press, settled, title: () => page.find('h2').text() }
}
const patches = (server: { changes: readonly { items: readonly unknown[] }[] }) =>
  server.changes.flatMap((one) => one.items as { entity: string; op: string; patch: object }[])

it('places a finding by one key: a job of its severity before that gate, and the next one comes', async () => {
  const { server, page, press, title } = await opened()
  expect(page.find('h1').text()).toBe('2 to place')
  const first = title()
  await press('ArrowUp')
  await press('a')
  expect(page.find('h1').text()).toBe('1 to place')
  expect(title()).not.toBe(first)
  const made = patches(server).find((one) => one.entity === 'job' && one.op === 'create')?.patch
  expect(made).toMatchObject({ title: first, gateId: 'launch', zoneId: 'bilge' })
  // One worse than it was found.
  expect(made).toMatchObject({ severity: first === 'A cracked frame' ? 4 : 3 })
})

it('goes along the purposes and the severities by arrows, to the end of them, and makes one step of it', async () => {
  const { server, page, press, title } = await opened()
  const ticked = () =>
    page.findAll('[role=radio][aria-checked=true]').map((one) => one.text().trim())
  for (let times = 0; times < 5; times++) await press('ArrowLeft')
  for (let times = 0; times < 5; times++) await press('ArrowUp')
  expect(ticked()).toEqual(['Float', 'Danger'])
  await press('ArrowRight')
  await press('ArrowDown')
  expect(ticked()).toEqual(['Safe', 'Fails'])
  const first = title()
  await press('a')
  const made = patches(server).filter((one) => one.op === 'create')
  expect(made.find((one) => one.entity === 'job')?.patch).toMatchObject({
    title: first,
    purpose: 'safe',
    severity: 3,
  })
  expect(made.filter((one) => one.entity === 'step').map((one) => one.patch)).toMatchObject([
    { title: 'Put it right' },
  ])
})

it('is accepted with a reason, for which it asks where it is typed', async () => {
  const { server, page, press } = await opened()
  await press('x')
  expect(document.activeElement).toBe(page.find('#triage-reason input').element)
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(page.find('[role=alert]').text()).toContain('Say why')
  await page.find('#triage-reason input').setValue('Looks only')
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(patches(server).find((one) => one.entity === 'finding')?.patch).toMatchObject({
    reason: 'Looks only',
  })
  expect(page.find('h1').text()).toBe('1 to place')
})

it('says what each place would do, and where that could not be worked out says why', async () => {
  const { page, settled } = await opened()
  expect(page.text()).toContain('working it out…')
  await settled()
  expect(page.text()).not.toContain('working it out…')
  expect(page.findAll('li').every((one) => one.text().includes('No gate moves.'))).toBe(true)
  page.unmount()
  const broken = await opened(() => Promise.reject(new Error('The planner was ended.')))
  await broken.settled()
  expect(broken.page.text()).not.toContain('working it out…')
  expect(broken.page.text()).toContain('It could not be worked out: The planner was ended.')
})

it('lets nothing be watched without a reason and a day, and keeps both when it does', async () => {
  const { server, page, press, title } = await opened()
  const first = title()
  await press('w')
  const form = page.find('form')
  await form.trigger('submit')
  await flushPromises()
  expect(page.find('[role=alert]').text()).toBe('Say why, and when to look again.')
  expect(server.changes).toEqual([])
  await page.find('#triage-reason input').setValue('Dry since May')
  await form.trigger('submit')
  await flushPromises()
  const [kept] = patches(server).filter((one) => one.entity === 'finding')
  // 180 days after 17 April.
  expect(kept?.patch).toMatchObject({ reason: 'Dry since May', lookAgainOn: '2027-10-14' })
  expect(title()).not.toBe(first)
})

it('stays where it is when its place is refused, and says the server’s words', async () => {
  const { server, page, press, title } = await opened()
  const first = title()
  server.refusal = {
    status: 422,
    problem: { code: 'rule', message: 'The launch is past.' } as never,
  }
  await press('a')
  expect(title()).toBe(first)
  expect(page.find('[role=alert]').text()).toBe('The launch is past.')
  expect(page.find('h1').text()).toBe('2 to place')
})

it('goes through what was put by again, and says that it was put by', async () => {
  const { page, press } = await opened()
  await press('s')
  await press('s')
  expect(page.text()).toContain('You went through them all')
  expect(page.text()).toContain('2 put by for another time.')
  await page.find('button').trigger('click')
  expect(page.find('section h2').text()).toMatch(/^A /)
})
