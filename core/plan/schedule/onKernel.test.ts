import { expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../../testing/build'
import { latestStartFirst, layPass, prepare } from '../prepare'
import { onKernel } from './onKernel'

it('has a dated gate be late once, by the last of its steps, what comes after it left out', () => {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00')
  add(rows, 'gate', 'show', { name: 'Show', kind: 'dated', on: '2027-04-24' })
  add(rows, 'gate', 'some day', { name: 'Some day', kind: 'asap' })
  job(rows, 'deck', { gateId: 'show' })
  step(rows, 'deck', 'sand', { hoursLikely: 2 })
  step(rows, 'deck', 'paint', { hoursLikely: 2, waitKind: 'calendar', waitHours: 24 })
  step(rows, 'deck', 'look again', { hoursLikely: 1, afterGate: true })
  job(rows, 'shelf', { gateId: 'some day' })
  step(rows, 'shelf', 'cut', { hoursLikely: 1 })
  const prepared = prepare(rows, Date.UTC(2027, 3, 16, 12))
  const { problem, stepIds } = onKernel(
    prepared.compiled,
    prepared.phases,
    layPass(prepared, latestStartFirst),
  )
  expect(problem.deadlines.map(({ activity, weight }) => [activity, weight])).toEqual([
    ['gate show', 1],
  ])
  const before = problem.arcs.filter((one) => one.to === 'gate show')
  expect(before.map((one) => one.from).sort()).toEqual(['paint', 'sand'])
  // The paint is dry a day after its last minute; sanded is sanded.
  const lagOf = (id: string) => before.find((one) => one.from === id)?.minLag ?? 0
  expect(lagOf('paint') - lagOf('sand')).toBe((24 * 60) / 5)
  expect(stepIds).not.toContain('gate show')
})

it('lets a step begin only once what was done before it has cured', () => {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00')
  add(rows, 'gate', 'some day', { name: 'Some day', kind: 'asap' })
  job(rows, 'deck', { gateId: 'some day' })
  const [doneAt, waitHours] = [Date.UTC(2027, 3, 16, 6), 48]
  step(rows, 'deck', 'lay', { state: 'done', doneAt, waitKind: 'calendar', waitHours })
  step(rows, 'deck', 'fair', { hoursLikely: 2 })
  job(rows, 'shelf', { gateId: 'some day' })
  step(rows, 'shelf', 'cut', { hoursLikely: 1 })
  const prepared = prepare(rows, Date.UTC(2027, 3, 16, 12))
  const pass = layPass(prepared, latestStartFirst)
  const { problem } = onKernel(prepared.compiled, prepared.phases, pass)
  const opens = (id: string) =>
    problem.activities.find((one) => one.id === id)?.windows?.[0]?.[0] ?? Number.NaN
  // Laid six hours before noon of Friday: 42 of its 48 hours are to come.
  expect(opens('fair') - opens('cut')).toBe((42 * 60) / 5)
})
