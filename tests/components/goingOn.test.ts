/** From day to day, and on from what was made: pages go where they say. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { emptyRefit, job, person, step } from '#core/testing/build'
import { sentTo } from './setup'
import { press, words } from './byName'
import { onPage } from './page'
import { usePlannerStore } from '../../app/stores/planner'
import { withWorkers } from './workers'

it('shows the day before and the day after, and today under its own name', async () => {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida' })
  job(rows, 'lid')
  step(rows, 'lid', 'cut', { title: 'Cut it', hoursLikely: 2 })
  await onPage('today', rows)
  await press('The day after, Sun 18 Apr')
  expect(words()).toContain('Sun 18 Apr')
  await press('The day before, Sat 17 Apr')
  expect(sentTo).toEqual([{ query: { on: '2027-04-18' } }, { query: {} }])
})

it('makes the usual jobs that are ticked, and goes on to them', async () => {
  const rows = emptyRefit()
  withWorkers()
  const { server, wrapper } = await onPage('starter', rows, { begin: usePlannerStore })
  const boxes = wrapper.findAll('input[type=checkbox]')
  await boxes[0]?.setValue(true)
  const add = wrapper.findAll('button').find((one) => one.text().startsWith('Add 1 job, '))
  expect(add?.text()).toMatch(/^Add 1 job, \d+ steps?$/)
  await wrapper.find('form').trigger('submit')
  await vi.waitFor(() => expect(sentTo).toEqual(['/r/r/jobs']))
  await flushPromises()
  expect(server.rows.job).toHaveLength(1)
  expect(`Add 1 job, ${server.rows.step.length} step`).toBe(add?.text().replace(/s$/, ''))
})
