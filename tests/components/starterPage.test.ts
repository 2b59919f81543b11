/** Usual jobs on their page: ticked, placed, and made in one change. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { problem } from '#shared/problems'
import { tick, typeIn, words } from './byName'
import { onPage } from './page'
import { sentTo } from './setup'

const survey = 'Walk the boat, write down what is found'

async function opened(fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  add(rows, 'system', 'hull', { name: 'Structure', kind: 'structure', order: 'a' })
  add(rows, 'zone', 'all', { name: 'Whole boat', strake: 'deck', order: 'a' })
  fill(rows)
  const { server } = await onPage('starter', rows)
  const made = async () => {
    document.querySelector('form')?.dispatchEvent(new Event('submit'))
    await flushPromises()
  }
  const found = (title: string) => server.rows.job.find((one) => one.title === title)
  return { server, made, found }
}
const add1 = () =>
  [...document.querySelectorAll('button')].find((one) => one.type === 'submit') as HTMLButtonElement

it('are counted with their steps as they are ticked, and nothing is made of none', async () => {
  await opened()
  expect(add1().disabled).toBe(true)
  await tick(survey)
  // Above deck, below, and the hull ashore.
  expect(add1().textContent?.trim()).toBe('Add 1 job, 3 steps')
  await tick('Keel bolts looked at')
  expect(add1().textContent).toMatch(/Add 2 jobs, \d+ steps/)
  await tick(survey)
  await tick('Keel bolts looked at')
  expect(add1().disabled).toBe(true)
})

it('are made in one change with their hours, cautions, system and place, for when there is time', async () => {
  const { server, made, found } = await opened()
  await tick(survey)
  await made()
  await vi.waitFor(() => expect(server.rows.job).toHaveLength(1))
  expect(server.changes).toHaveLength(1)
  expect(server.changes[0]?.label).toBe('1 usual job')
  expect(found(survey)).toMatchObject({
    systemId: 'hull',
    zoneId: 'all',
    purpose: 'safe',
    gateId: null,
    placed: true,
  })
  const steps = [...server.rows.step].sort((a, b) => (a.order < b.order ? -1 : 1))
  expect(steps.map((one) => [one.title, one.hoursLikely])).toEqual([
    ['Bow to stern above deck', 3],
    ['Bow to stern below', 4],
    ['The hull ashore', 2],
  ])
  expect(steps[2]).toMatchObject({ hullNeed: 'ashore' })
  expect(steps[2]?.caution).toContain('Never under her unless she is chocked')
  expect(sentTo.at(-1)).toBe('/r/r/jobs')
})

it('go before the gate that is chosen, or wait to be placed one by one', async () => {
  const { server, made, found } = await opened()
  await tick(survey)
  await typeIn('What need not be done before launch goes', 'sail')
  await made()
  await vi.waitFor(() => expect(found(survey)).toMatchObject({ gateId: 'sail', placed: true }))
  document.body.innerHTML = ''
  const other = await opened()
  await tick(survey)
  await typeIn('What need not be done before launch goes', 'oneByOne')
  await other.made()
  await vi.waitFor(() => expect(other.found(survey)).toMatchObject({ gateId: null, placed: false }))
  expect(server.rows.job).toHaveLength(1)
})

it('say what is there already, and stay ticked where they are refused', async () => {
  const { server, made } = await opened((rows) => {
    job(rows, 'old', { title: survey })
  })
  expect(words()).toMatch(/Walk the boat, write down what is found\s*3 steps · there already/)
  await tick('Keel bolts looked at')
  server.refusal = { status: 422, problem: problem('refused', 'There are too many jobs.') }
  await made()
  await vi.waitFor(() => expect(words()).toContain('There are too many jobs.'))
  expect(add1().disabled).toBe(false)
  expect(server.rows.job).toHaveLength(1)
  expect(sentTo).toEqual([])
})
