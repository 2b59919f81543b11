/** Questions to the planner from a view: what comes of them, what becomes of them when something changes meanwhile. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { computed, ref } from 'vue'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import { useAfresh } from '../../app/composables/useAfresh'
import { useAskedRuns } from '../../app/composables/useAskedRuns'
import { useLevers } from '../../app/composables/useLevers'
import { usePlannerStore } from '../../app/stores/planner'
import { useTimeStore } from '../../app/stores/time'
import { useToastStore } from '../../app/stores/toasts'
import { openOn } from './fakeServer'
import { inSetup } from './inSetup'
import { withWorkers } from './workers'

/** Ann has four hours on Saturdays; twelve hours of work before a gate. */
async function planned(over: Parameters<typeof withWorkers>[0] = {}) {
  const rows = emptyRefit()
  person(rows, 'ann', [6], '09:00', '13:00')
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { gateId: 'sail', purpose: 'go' })
  step(rows, 'deck', 'plies', { hoursLikely: 12, splittable: true } as never)
  withWorkers(over)
  const { server, store } = await openOn(rows, usePlannerStore)
  const planner = usePlannerStore()
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  server.changes.splice(0)
  return { server, store, planner }
}
/** An answer that comes when it is let. */
function awaited<Answer>() {
  let give: (answer: Answer) => void = () => undefined
  let refuse: (error: Error) => void = () => undefined
  const answer = new Promise<Answer>((resolve, reject) => {
    give = resolve
    refuse = reject
  })
  return { answer, give, refuse }
}

it('levers on a chain are each planned with, and only what brings the gate forward is kept', async () => {
  const { store, planner } = await planned()
  const ready = ref(false)
  const chain = ref<readonly string[]>(['plies'])
  const { made, leave } = inSetup(() => useLevers(ref<string | null>('sail'), chain, ready))
  await flushPromises()
  expect([made.tried.value, made.left.value]).toEqual([[], 0])
  ready.value = true
  await flushPromises()
  expect(made.left.value).toBeGreaterThan(0)
  await vi.waitFor(() => expect(made.left.value).toBe(0), 10_000)
  expect(made.tried.value.length).toBeGreaterThan(0)
  for (const one of made.tried.value) {
    expect(one.days).toBeGreaterThan(0)
    expect(one.consequence.effects.find((each) => each.gate.id === 'sail')?.days).toBe(-one.days)
  }
  // Each does what it promised.
  const [best] = made.tried.value.toSorted((a, b) => b.days - a.days)
  const before = store.derived.gates[0]?.plannedOn ?? ''
  await planner.take('Pull it', best?.items ?? [])
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  const after = store.derived.gates[0]?.plannedOn ?? ''
  expect((Date.parse(before) - Date.parse(after)) / 86_400_000).toBe(best?.days)
  chain.value = []
  await flushPromises()
  expect([made.tried.value, made.left.value]).toEqual([[], 0])
  leave()
})

it('levers that were tried are there when the view is opened again, as long as nothing changed and it is not long ago', async () => {
  const { store, planner } = await planned()
  const asked = vi.spyOn(planner, 'quietConsequence')
  const time = useTimeStore()
  const tried = async () => {
    asked.mockClear()
    const { made, leave } = inSetup(() =>
      useLevers(ref<string | null>('sail'), ref(['plies']), ref(true)),
    )
    await vi.waitFor(() => expect(made.left.value).toBe(0), 10_000)
    leave()
    return { found: made.tried.value, times: asked.mock.calls.length }
  }
  const first = await tried()
  expect([first.times > 0, first.found.length > 0]).toEqual([true, true])
  expect(await tried()).toEqual({ found: first.found, times: 0 })
  time.now += 11 * 60_000
  expect((await tried()).times).toBe(first.times)
  // Shorter work: another plan, and other days.
  await store.submit('Shorter', [
    { op: 'patch', entity: 'step', id: 'plies', baseVersion: 1, patch: { hoursLikely: 8 } },
  ])
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  expect((await tried()).times).toBeGreaterThan(0)
})

it('a plan afresh is taken, or not where something changed since', async () => {
  const { server, store, planner } = await planned()
  const afresh = useAfresh()
  await afresh.ask()
  expect(afresh.open.value).toBe(true)
  expect(afresh.found.value?.consequence.effects.map((one) => one.days)).toEqual([0])
  await afresh.accept()
  expect([afresh.open.value, server.changes.map((one) => one.label)]).toEqual([
    false,
    ['Plan', 'Week'],
  ])
  expect(useToastStore().toasts.at(-1)?.text).toBe('The new plan is the plan now.')
  await afresh.ask()
  const longer = { hoursLikely: 16 }
  await store.submit('Longer', [
    { op: 'patch', entity: 'step', id: 'plies', baseVersion: 1, patch: longer },
  ])
  await afresh.accept()
  expect([afresh.open.value, afresh.failed.value]).toEqual([
    true,
    'Something changed since it was planned. Plan it afresh again.',
  ])
  // One that was left says nothing any more.
  const late = awaited<null>()
  planner.afresh = (() => late.answer) as never
  void afresh.ask()
  afresh.leave()
  late.give(null)
  await flushPromises()
  expect([afresh.open.value, afresh.failed.value]).toEqual([false, ''])
  await afresh.ask()
  expect(afresh.failed.value).toBe('Something else was asked meanwhile. Ask again.')
  planner.afresh = (() => Promise.reject(new Error('No memory is left.'))) as never
  await afresh.ask()
  expect(afresh.failed.value).toBe('No memory is left.')
})

it('runs that are asked for say how far they are, what they found, and that they are of before', async () => {
  let asked = awaited<string | null>()
  let tell: (share: number) => void = () => undefined
  const { made, leave } = inSetup(() =>
    useAskedRuns((onProgress) => {
      tell = onProgress
      return asked.answer
    }),
  )
  made.outdate()
  expect(made.failed.value).toBe('')
  void made.start()
  expect(made.progress.value).toBe(0)
  tell(0.4)
  expect(made.progress.value).toBe(0.4)
  asked.give('54 in 100')
  await flushPromises()
  expect([made.found.value, made.progress.value, made.failed.value]).toEqual([
    '54 in 100',
    null,
    '',
  ])
  made.outdate()
  expect([made.found.value, made.failed.value]).toEqual([
    null,
    'Something changed since it was asked. Ask again.',
  ])
  // What changed while they were made ends them, and their answer comes too late.
  asked = awaited()
  void made.start()
  const old = tell
  made.outdate()
  old(0.9)
  asked.give('of before')
  await flushPromises()
  expect([made.found.value, made.progress.value]).toEqual([null, null])
  asked = awaited()
  void made.start()
  asked.give(null)
  await flushPromises()
  expect(made.failed.value).toBe('Something else was asked meanwhile. Ask again.')
  asked = awaited()
  void made.start()
  asked.refuse(new Error('No memory is left.'))
  await flushPromises()
  expect([made.failed.value, made.progress.value]).toEqual(['No memory is left.', null])
  leave()
  expect(computed(() => made.failed.value).value).toBe('')
})
