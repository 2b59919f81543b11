/** A step pinned by drag or date: what it would do, taken, left and released. */
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import { dayNumber } from '#core/time/civil'
import { usePin } from '../../app/composables/usePin'
import { usePlannerStore } from '../../app/stores/planner'
import { useToastStore } from '../../app/stores/toasts'
import { openOn } from './fakeServer'
import { inSetup } from './inSetup'
import { HomeWorker, withWorkers } from './workers'

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }))
afterEach(() => void vi.useRealTimers())

/** A gate with a day, so that later is late; today is 17 April 2027. */
async function opened(over: Parameters<typeof withWorkers>[0] = {}) {
  const rows = emptyRefit()
  person(rows, 'ann', [1, 2, 3, 4, 5, 6, 7], '09:00', '17:00')
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { gateId: 'sail', purpose: 'go' })
  step(rows, 'deck', 'plies', { title: 'Plies', hoursLikely: 4 })
  withWorkers(over)
  const { server, store } = await openOn(rows, usePlannerStore)
  const planner = usePlannerStore()
  const settled = async () => {
    await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
    await flushPromises()
  }
  await settled()
  server.changes.splice(0)
  const { made: pin } = inSetup(usePin)
  const after = async (ms: number) => {
    await vi.advanceTimersByTimeAsync(ms)
    await flushPromises()
  }
  return { server, store, pin, settled, after }
}

it('opens on the day it is planned for, and taken stands there with its gate', async () => {
  const { server, store, pin, settled, after } = await opened()
  pin.open('plies')
  expect(pin.on.value).toBe('2027-04-17')
  await vi.waitFor(() => expect(pin.consequence.value).not.toBeNull())
  expect(pin.consequence.value?.effects.map((one) => one.days)).toEqual([0])
  pin.on.value = '2027-04-27'
  await after(300)
  await vi.waitFor(() => expect(pin.consequence.value?.effects[0]?.days).toBe(10))
  expect(pin.proposal.value?.label).toBe('“Plies” pinned to Tue 27 Apr')
  expect(server.changes).toEqual([])
  await pin.accept()
  await settled()
  expect(server.changes[0]?.items).toMatchObject([
    { id: 'plies', patch: { pinnedOn: '2027-04-27' } },
  ])
  expect([pin.step.value, pin.proposal.value]).toEqual([null, null])
  expect(store.derived.gates[0]?.plannedOn).toBe('2027-04-27')
  expect(useToastStore().toasts.at(-1)?.text).toBe('Done: “Plies” pinned to Tue 27 Apr.')
  // Opened again it has the day it is pinned to, unless another is meant.
  pin.open('plies')
  expect(pin.on.value).toBe('2027-04-27')
  pin.open('plies', '2027-05-01')
  expect(pin.on.value).toBe('2027-05-01')
  pin.close()
  await pin.release('plies')
  await settled()
  expect(store.rows.step[0]?.pinnedOn).toBeNull()
  expect(store.derived.gates[0]?.plannedOn).toBe('2027-04-17')
  expect(useToastStore().toasts.at(-1)).toMatchObject({
    text: 'Released: Plies.',
    action: { label: 'Undo' },
  })
  const count = server.changes.length
  await pin.release('plies')
  await pin.release('nothing')
  expect(server.changes.length).toBe(count)
})

it('says under a drag what its day does, the last day alone, and opens where it is dropped', async () => {
  const { server, pin, after } = await opened()
  const [near, far] = [dayNumber('2027-04-19'), dayNumber('2027-04-27')]
  pin.drag('plies', near)
  expect(pin.said.value).toBe('…')
  await after(60)
  pin.drag('plies', far)
  await after(130)
  await vi.waitFor(() => expect(pin.said.value).toBe('Sail away 10 d later'))
  expect(HomeWorker.asked.filter((one) => one === 'whatIf')).toHaveLength(1)
  // The same day again asks nothing.
  pin.drag('plies', far)
  expect(pin.said.value).toBe('Sail away 10 d later')
  pin.drag('plies', dayNumber('2027-04-17'))
  await after(130)
  await vi.waitFor(() => expect(pin.said.value).toBe('no gate moves'))
  pin.cancelDrag()
  expect([pin.dragged.value, pin.step.value, server.changes]).toEqual([null, null, []])
  pin.drop()
  expect(pin.step.value).toBeNull()
  pin.drag('plies', far)
  pin.drop()
  expect([pin.dragged.value, pin.step.value?.id, pin.on.value]).toEqual([
    null,
    'plies',
    '2027-04-27',
  ])
})

it('says why nothing could be said', async () => {
  const broken = await opened({ whatIf: () => Promise.reject(new Error('No memory is left.')) })
  broken.pin.drag('plies', dayNumber('2027-04-27'))
  await broken.after(130)
  await vi.waitFor(() => expect(broken.pin.said.value).toBe('No memory is left.'))
  broken.pin.drop()
  await vi.waitFor(() => expect(broken.pin.failed.value).toBe('No memory is left.'))
  expect(broken.pin.consequence.value).toBeNull()
})

it('says that something else was asked meanwhile, and nothing of a question that was left', async () => {
  const { pin } = await opened()
  pin.open('plies', '2027-04-27')
  const asked = usePlannerStore().whatIf([])
  await vi.waitFor(() =>
    expect(pin.failed.value).toBe('Something else was asked meanwhile. Ask again.'),
  )
  await asked
  pin.open('plies', '2027-04-27')
  pin.close()
  await flushPromises()
  await usePlannerStore().whatIf([])
  expect([pin.failed.value, pin.consequence.value, pin.step.value]).toEqual(['', null, null])
})
