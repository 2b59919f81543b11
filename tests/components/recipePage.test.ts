/** A recipe at work on its page: a job is made of its dimensions, and made again of others without losing what was done. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, person } from '#core/testing/build'
import type { Job, Step } from '#core/model/entities'
import type { RefitRows } from '#core/model/refit'
import { usePlannerStore } from '../../app/stores/planner'
import { press, typeIn, words } from './byName'
import { onPage } from './page'
import { sentTo } from './setup'
import { withWorkers } from './workers'

function ashore(): RefitRows {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  add(rows, 'zone', 'roof', { name: 'Coachroof', strake: 'deck', order: 'a' })
  return rows
}
/** The page of a recipe, for a new job or for one that is worked again. */
async function opened(key: string, rows: RefitRows, job = '') {
  withWorkers()
  const page = await onPage('recipes/[key]', rows, {
    params: { key },
    query: job === '' ? {} : { job },
    begin: usePlannerStore,
  })
  const jobs = () => page.server.rows.job
  const stepsOf = (id: string) => page.server.rows.step.filter((one) => one.jobId === id)
  return { ...page, jobs, stepsOf }
}
const button = (name: string) =>
  [...document.querySelectorAll('button')].findLast((one) => one.textContent?.trim() === name)
const only = <T>(list: readonly T[]): T => {
  if (list.length !== 1) throw new Error(`There are ${list.length}.`)
  return list[0] as T
}
const byRecipe = (steps: readonly Step[], key: string) => {
  const found = steps.find((one) => one.recipeStep === key)
  if (!found) throw new Error(`There is no step ${key}.`)
  return found
}

/** Two square metres of a roof, cut round five metres, four plies in one session. */
async function roof() {
  const page = await opened('recore-above', ashore())
  await typeIn('Panel, m²', '2')
  await typeIn('Plies in one session', '4')
  await typeIn('Name of the job', 'Re-core the coachroof')
  await typeIn('Where', 'roof')
  await typeIn('Finished before', 'sail')
  await press('Make the job')
  await vi.waitFor(() => expect(page.jobs()).toHaveLength(1))
  return { ...page, job: only<Job>(page.jobs()) }
}

it('says at its place what cannot be, and makes nothing of it', async () => {
  const { jobs } = await opened('recore-above', ashore())
  await typeIn('Panel, m²', '-2')
  expect(words()).toContain('Panel must be 0.1 m² to 30 m²; -2 m² is not.')
  expect(words()).toContain('These dimensions make no job')
  expect(button('Make the job')?.disabled).toBe(true)
  await typeIn('Panel, m²', '2')
  expect(words()).not.toContain('must be 0.1')
  // 1.5 h a square metre; 4 plies × (2 + 5 × 0.0136) × 1.1.
  expect(words()).toMatch(/Cut and lift[^.]*?3 h/)
  expect(words()).toMatch(/9\.1 m²/)
  expect(jobs()).toEqual([])
})

it('makes a job with its steps and materials, at its place and before its gate', async () => {
  const { server, job, stepsOf } = await roof()
  expect(job).toMatchObject({
    title: 'Re-core the coachroof',
    zoneId: 'roof',
    gateId: 'sail',
    recipeKey: 'recore-above',
    purpose: 'float',
    recipeInputs: { areaM2: 2, perSession: 4 },
  })
  const steps = stepsOf(job.id)
  expect(byRecipe(steps, 'cut').hoursLikely).toBe(3)
  // All four plies in one session: 0.7 h a square metre and ply.
  expect(byRecipe(steps, 'plies.1').hoursLikely).toBeCloseTo(4 * 2 * 0.7, 9)
  expect(steps.map((one) => one.state)).not.toContain('done')
  const cloth = server.rows.part.find((one) => one.name.startsWith('Biaxial 450'))
  expect(cloth?.quantity).toBeCloseTo(9.1, 1)
  expect(cloth?.jobId).toBe(job.id)
  expect(sentTo.at(-1)).toEqual({ path: '/r/r/jobs', query: { job: job.id } })
  // The week's figures may have been kept since.
  expect(server.changes.map((one) => one.label)).toContain('Job by recipe: Re-core the coachroof')
})

it('is worked again with other dimensions: what was done and set by hand stays', async () => {
  const made = await roof()
  const change = (key: string, more: Partial<Step>) => (one: Step) =>
    one.jobId === made.job.id && one.recipeStep === key ? { ...one, ...more } : one
  const rows: RefitRows = {
    ...made.server.rows,
    step: made.server.rows.step
      .map(change('plies.1', { state: 'done', doneAt: Date.UTC(2027, 3, 10) }))
      .map(change('tent', { hoursLikely: 3.5 })),
  }
  document.body.innerHTML = ''
  const { stepsOf } = await opened('recore-above', rows, made.job.id)
  expect(words()).toContain('Work again: Re-core the coachroof')
  expect(words()).not.toContain('Name of the job')
  await typeIn('Panel, m²', '4')
  expect(words()).toContain('Tent over the panel: hours as you set it.')
  expect(words()).toMatch(/Lay plies, session 1 of 1: done, left as it was/)
  await press('Work it again')
  await vi.waitFor(() => expect(byRecipe(stepsOf(made.job.id), 'cut').hoursLikely).toBe(6))
  const steps = stepsOf(made.job.id)
  expect(byRecipe(steps, 'tent').hoursLikely).toBe(3.5)
  expect(byRecipe(steps, 'plies.1')).toMatchObject({ state: 'done' })
  expect(byRecipe(steps, 'plies.1').hoursLikely).toBeCloseTo(4 * 2 * 0.7, 9)
})

it.each([
  ['Keep it', 'done'],
  // What it earned stays on the Tape.
  ['Drop it', 'dropped'],
])('asks about a finished step that would go: %s', async (answer, becomes) => {
  const made = await opened('posts-and-rail', ashore())
  await press('Make the job')
  await vi.waitFor(() => expect(made.jobs()).toHaveLength(1))
  const { id } = only(made.jobs())
  const nuts = 'Take up the nuts after a day'
  const rows: RefitRows = {
    ...made.server.rows,
    step: made.server.rows.step.map((one) =>
      one.title === nuts ? { ...one, state: 'done', doneAt: Date.UTC(2027, 3, 10) } : one,
    ),
  }
  expect(rows.step.filter((one) => one.state === 'done')).toHaveLength(1)
  document.body.innerHTML = ''
  const { server, stepsOf } = await opened('posts-and-rail', rows, id)
  const again = () => server.changes.filter((one) => one.label.startsWith('Work again'))
  // A curing sealant is seated once, and nobody takes up its nuts after a day.
  const labels = [...document.querySelectorAll('label')]
  labels.find((one) => one.textContent?.trim().startsWith('Curing sealant'))?.click()
  await flushPromises()
  await press('Work it again')
  expect(words()).toContain('A finished step would go')
  expect(again()).toEqual([])
  await press(answer)
  await vi.waitFor(() => expect(again()).toHaveLength(1))
  await flushPromises()
  const titles = stepsOf(id).map((one) => one.title)
  expect(titles).toContain('Bed it, seat it, tool the edge')
  expect(stepsOf(id).find((one) => one.title === nuts)?.state).toBe(becomes)
})
