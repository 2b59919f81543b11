import { expect, it } from 'vitest'
import { draftHours } from './draftHours'

it('counts each round that is likely, and the reach where a step has one', () => {
  const step = (fields: object) => ({
    key: 'k',
    fields: { title: 'Sand', hoursLikely: 2, ...fields },
    materials: [],
    tools: [],
  })
  // 2 × 3 + 2 × 1.7 + 2.
  expect(
    draftHours({ steps: [step({ roundsLikely: 3 }), step({ access: 'cramped' }), step({})] }),
  ).toBeCloseTo(11.4)
})
