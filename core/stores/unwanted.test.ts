/** What is bought for work that will not be done. */
import { expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '../testing/build'
import type { Building } from '../testing/build'
import { unwantedParts } from './unwanted'

function refit(): Building {
  const rows = emptyRefit()
  job(rows, 'hatch', { title: 'Hatch' })
  step(rows, 'hatch', 'bed', { title: 'Bed it' })
  for (const state of ['wanted', 'ordered', 'arrived', 'fitted', 'returned'] as const)
    add(rows, 'part', state, { name: state, state, neededByStepId: 'bed' })
  add(rows, 'part', 'loose', { name: 'loose', state: 'ordered' })
  add(rows, 'part', 'whole', { name: 'whole', state: 'ordered', jobId: 'hatch' })
  return rows
}
const said = (rows: Building) => unwantedParts(rows).map(({ part, why }) => `${part.id}: ${why}`)
const steps = (rows: Building, given: object) => {
  rows.step = rows.step.map((one) => ({ ...one, ...given }))
  return rows
}

it('is what is ordered or here of a dropped step, and nothing of one to come', () => {
  expect(said(refit())).toEqual([])
  expect(said(steps(refit(), { state: 'dropped' }))).toEqual([
    'ordered: “Bed it” was dropped',
    'arrived: “Bed it” was dropped',
  ])
})

it('is what is on its way for a step that is done', () => {
  expect(said(steps(refit(), { state: 'done' }))).toEqual(['ordered: “Bed it” is done without it'])
})

it.each([
  ['dropped', 'was dropped'],
  ['accepted', 'is left as it is'],
  ['later', 'is put off'],
] as const)('is that of a job which is %s, by its own word', (decision, words) => {
  const rows = refit()
  rows.job = rows.job.map((one) => ({ ...one, decision }))
  expect(said(rows)).toEqual([
    `ordered: “Hatch” ${words}`,
    `arrived: “Hatch” ${words}`,
    `whole: “Hatch” ${words}`,
  ])
})
