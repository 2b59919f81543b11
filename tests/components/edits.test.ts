/** Edits of jobs, steps and findings: what goes to the server, under which words. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { useBulk } from '../../app/composables/useBulk'
import { useMe } from '../../app/composables/useMe'
import { useFindingEdits } from '../../app/composables/useFindingEdits'
import { useJobEdits } from '../../app/composables/useJobEdits'
import { useStepEdits } from '../../app/composables/useStepEdits'
import { useUndo } from '../../app/composables/useUndo'
import { useTimeStore } from '../../app/stores/time'
import { useToastStore } from '../../app/stores/toasts'
import { openOn } from './fakeServer'

async function opened(fill: (rows: Building) => void) {
  const rows = emptyRefit()
  fill(rows)
  const { server, store } = await openOn(rows)
  const row = <Name extends 'step' | 'job' | 'finding'>(entity: Name, id: string) => {
    const found = store.rows[entity].find((one) => one.id === id)
    if (!found) throw new Error(`no ${entity} ${id}`)
    return found as (typeof store.rows)[Name][number]
  }
  const toast = () => useToastStore().toasts.at(-1)
  const last = () => server.changes.at(-1)
  return { server, store, row, toast, last }
}
const threeSteps = (rows: Building) => {
  job(rows, 'deck', { title: 'Deck' })
  for (const id of ['one', 'two', 'three']) step(rows, 'deck', id, { title: id })
}

it('moves a step to a place among the others of its job', async () => {
  const { row } = await opened((rows) => {
    threeSteps(rows)
    job(rows, 'mast')
    step(rows, 'mast', 'other')
  })
  const edits = useJobEdits()
  const order = () => edits.stepsOf('deck').map((one) => one.id)
  await edits.moveStep(row('step', 'three'), 0)
  expect(order()).toEqual(['three', 'one', 'two'])
  await edits.moveStep(row('step', 'three'), 1)
  expect(order()).toEqual(['one', 'three', 'two'])
  await edits.moveStep(row('step', 'one'), 2)
  expect(order()).toEqual(['three', 'two', 'one'])
})

it('removes a step written by hand, and drops one of a recipe so that it does not come back', async () => {
  const { row, last } = await opened((rows) => {
    threeSteps(rows)
    step(rows, 'deck', 'made', { title: 'made', recipeStep: 'wet-out' })
  })
  const edits = useJobEdits()
  await edits.removeStep(row('step', 'one'))
  expect(last()?.label).toBe('Remove one')
  expect(last()?.items).toMatchObject([{ op: 'delete', entity: 'step', id: 'one' }])
  await edits.removeStep(row('step', 'made'))
  expect(last()?.label).toBe('Drop made')
  expect(row('step', 'made').state).toBe('dropped')
  await edits.setState(row('step', 'made'), 'open')
  expect(last()?.label).toBe('Reopen made')
})

it('says which jobs were kept for their record, and that the others can be taken back', async () => {
  const { row, store, toast, last } = await opened((rows) => {
    threeSteps(rows)
    job(rows, 'mast', { title: 'Mast' })
    step(rows, 'mast', 'unstep')
    const done = { personId: 'ann', on: '2027-04-16', hours: 2 }
    add(rows, 'hoursEntry', 'hours', { stepId: 'unstep', jobId: 'mast', ...done })
  })
  const edits = useJobEdits()
  expect(await edits.removeJobs([row('job', 'deck'), row('job', 'mast')])).toBe(true)
  expect(last()?.label).toBe('Remove 2 jobs')
  expect(toast()?.text).toBe('“Mast” has hours or an as-built sheet: dropped, and the record kept.')
  expect(store.rows.job.map((one) => [one.id, one.decision])).toEqual([['mast', 'dropped']])
  expect(store.rows.step.map((one) => one.jobId)).toEqual(['mast'])
})

it('changes several jobs and their open steps as one, and says what it changed', async () => {
  const { server, store, toast, last } = await opened((rows) => {
    threeSteps(rows)
    rows.step.splice(0, 1, { ...rows.step[0]!, state: 'done' })
    job(rows, 'mast')
  })
  const bulk = useBulk(() => store.rows.job)
  await bulk.change({ severity: 4 }, {})
  expect(server.changes).toEqual([])
  bulk.all()
  bulk.toggle('mast')
  expect(bulk.jobs.value.map((one) => one.id)).toEqual(['deck'])
  await bulk.change({ severity: 4 }, { needsDry: true })
  expect(last()?.label).toBe('Change 1 job')
  expect(toast()?.text).toBe('1 job changed, 2 open steps of theirs. z takes it back.')
  expect(last()?.items.map((one) => one.id)).toEqual(['deck', 'two', 'three'])
  bulk.toggle('mast')
  bulk.toggle('deck')
  await bulk.change({}, { needsDry: true })
  expect(toast()).toMatchObject({
    bad: true,
    text: 'None of these jobs has an open step: nothing was changed.',
  })
  await bulk.change({ severity: 1 }, {})
  expect(toast()?.text).toBe('1 job changed. z takes it back.')
})

it('merges the chosen jobs into the first, and says why it cannot', async () => {
  const { store, toast } = await opened((rows) => {
    threeSteps(rows)
    job(rows, 'mast', { title: 'Mast' })
    step(rows, 'mast', 'unstep')
  })
  const bulk = useBulk(() => store.rows.job)
  await bulk.merge()
  expect(toast()).toBeUndefined()
  bulk.toggle('deck')
  await bulk.merge()
  expect([toast()?.bad, bulk.chosen.value.size, store.rows.job.length]).toEqual([true, 1, 2])
  bulk.toggle('mast')
  await bulk.merge()
  expect(store.rows.job.map((one) => one.id)).toEqual(['deck'])
  expect(store.rows.step.every((one) => one.jobId === 'deck')).toBe(true)
  expect([toast()?.bad, bulk.chosen.value.size]).toEqual([false, 0])
})

it('begins a step by the first thing done on it, by whoever is at the device', async () => {
  const { row, last } = await opened((rows) => {
    job(rows, 'deck')
    add(rows, 'person', 'ann', { name: 'Ann', order: 'a' })
    step(rows, 'deck', 'bolts', { title: 'Bolts', unitCount: 4, unitName: 'bolts' })
    step(rows, 'deck', 'theirs', { unitCount: 4, byIds: ['bob'] })
  })
  useTimeStore().now = 1000.4
  useMe().value = 'ann'
  await flushPromises()
  const edits = useStepEdits()
  await edits.count(row('step', 'bolts'), 1)
  expect(last()?.label).toBe('1 more of bolts: Bolts')
  expect(row('step', 'bolts')).toMatchObject({
    unitsDone: 1,
    state: 'doing',
    startedAt: 1000,
    byIds: ['ann'],
  })
  useTimeStore().now = 9000
  await edits.count(row('step', 'bolts'), 9)
  expect(row('step', 'bolts')).toMatchObject({ unitsDone: 4, startedAt: 1000 })
  await edits.count(row('step', 'bolts'), -9)
  expect(last()?.label).toBe('9 less of bolts: Bolts')
  expect(row('step', 'bolts').unitsDone).toBe(0)
  await edits.start(row('step', 'theirs'))
  expect(last()?.label).toBe('Begin theirs')
  expect(row('step', 'theirs')).toMatchObject({ state: 'doing', byIds: ['bob'] })
})

it('goes on with a count that stopped short, and does a round once more from nothing', async () => {
  const { row } = await opened((rows) => {
    job(rows, 'deck')
    const short = { unitCount: 4, unitsDone: 2, shortBecause: 'Enough', shortById: 'ann' }
    step(rows, 'deck', 'bolts', { state: 'doing', ...short } as never)
    const rounds = { state: 'doing', unitCount: 3, unitsDone: 3, rounds: 1, roundsMost: 3 }
    step(rows, 'deck', 'fair', rounds as never)
  })
  const edits = useStepEdits()
  await edits.count(row('step', 'bolts'), 1)
  expect(row('step', 'bolts')).toMatchObject({ unitsDone: 3, shortBecause: '', shortById: null })
  expect(edits.me()).toBeNull()
  await edits.anotherRound(row('step', 'fair'))
  expect(row('step', 'fair').unitsDone).toBe(0)
  const items = edits.readingItems(row('step', 'fair'), { value: 3 })
  expect(items).toMatchObject([
    { op: 'create', entity: 'reading', patch: { value: 3, stepId: 'fair' } },
  ])
  expect(items).toHaveLength(1)
})

it('makes a job of a finding where its finder wanted it, after what was just chosen', async () => {
  const { store, row } = await opened((rows) => {
    add(rows, 'zone', 'bow', { name: 'Bow', order: 'a' })
    add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch' })
    const found = { zoneId: 'bow', severity: 3, foundAt: 0 } as const
    for (const [id, when] of [
      ['now', 'now'],
      ['gate', 'gate'],
      ['later', 'later'],
      ['time', 'whenTime'],
    ])
      add(rows, 'finding', id!, { title: id!, when: when as never, hoursGuess: 7, ...found })
  })
  const edits = useFindingEdits()
  const made = async (id: string) => {
    const jobId = await edits.makeJob(id)
    return store.rows.job.find((one) => one.id === jobId)
  }
  expect(await made('now')).toMatchObject({ title: 'now', gateId: 'launch', severity: 3 })
  expect((await made('later'))?.decision).toBe('later')
  expect((await made('time'))?.gateId).toBeNull()
  expect(await edits.makeJob('nothing')).toBeNull()
  // The hours it was guessed at are those of its steps.
  const [of] = store.rows.job
  const hours = store.rows.step.filter((one) => one.jobId === of?.id).map((one) => one.hoursLikely)
  expect(hours.reduce((sum, one) => sum + one, 0)).toBe(7)
  void edits.edit(row('finding', 'gate'), { when: 'later' })
  expect((await made('gate'))?.decision).toBe('later')
  await edits.mended(row('finding', 'gate'))
  expect(row('finding', 'gate').state).toBe('gone')
  await edits.again(row('finding', 'gate'))
  expect(row('finding', 'gate').state).toBe('jobMade')
})

it('asks once more before it takes back what somebody else touched since', async () => {
  const { store } = await opened(threeSteps)
  const undone = vi.fn((force?: boolean) =>
    Promise.resolve(force ? { done: 'Undone: Deck' } : { asks: 'Ann changed it since.' }),
  )
  store.undo = undone as never
  const { asks, answer, undo } = useUndo()
  undo()
  await flushPromises()
  expect(asks.value).toBe('Ann changed it since.')
  answer(false)
  await flushPromises()
  expect([asks.value, undone.mock.calls.length]).toEqual([null, 1])
  undo()
  await flushPromises()
  answer(true)
  await flushPromises()
  expect([asks.value, undone.mock.calls.at(-1)]).toEqual([null, [true]])
  expect(useToastStore().toasts.at(-1)?.text).toBe('Undone: Deck')
  store.undo = (() => Promise.reject(new Error('There is nothing to take back.'))) as never
  undo()
  await flushPromises()
  expect(useToastStore().toasts.at(-1)).toMatchObject({
    bad: true,
    text: 'There is nothing to take back.',
  })
})
