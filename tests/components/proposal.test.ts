/** A change looked at beside the plan that stands, while something else is changed. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import type { ChangeItem } from '#core/model/changes'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import { useProposal } from '../../app/composables/useProposal'
import { usePlannerStore } from '../../app/stores/planner'
import { openOn } from './fakeServer'
import { inSetup } from './inSetup'
import { withWorkers } from './workers'

/** Ida on Saturdays from nine to five; eleven hours before the gate, of which a trade could do eight, or Bob come too. */
async function opened() {
  const rows = emptyRefit()
  person(rows, 'ida', [6], '09:00', '17:00')
  person(rows, 'bob', [], '09:00', '17:00')
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { title: 'Deck', gateId: 'sail' })
  step(rows, 'deck', 'sand', { title: 'Sand it', hoursLikely: 8, crewMax: 1 })
  step(rows, 'deck', 'paint', { title: 'Paint it', hoursLikely: 3 })
  withWorkers()
  const page = await openOn(rows, usePlannerStore)
  const planner = usePlannerStore()
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  const { made } = inSetup(() => useProposal())
  return { ...page, planner, made }
}
const onSanding = (patch: object): ChangeItem[] => [
  { op: 'patch', entity: 'step', id: 'sand', baseVersion: 1, patch } as ChangeItem,
]

it('is worked out anew when something else is changed, and says so', async () => {
  const { store, planner, made } = await opened()
  const shorter = onSanding({ hoursLikely: 4 })
  await made.propose({ label: 'Half of it', does: '', items: shorter })
  const sail = () => made.consequence.value?.effects.find((one) => one.gate.id === 'sail')?.days
  // Today instead of in a week: 4 and 3 hours fit one Saturday.
  expect(sail()).toBe(-7)
  expect(made.isAnew.value).toBe(false)
  expect(await store.attempt('Nobody sands', onSanding({ state: 'dropped' }))).toBe(true)
  await flushPromises()
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  await vi.waitFor(() => expect(made.consequence.value).not.toBeNull(), 5000)
  expect(made.isAnew.value).toBe(true)
  // What it would have won is won already.
  expect(sail() ?? 0).toBe(0)
  await made.propose({ label: 'Again', does: '', items: shorter })
  expect(made.isAnew.value).toBe(false)
})
