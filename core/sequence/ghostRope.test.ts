import { expect, it } from 'vitest'
import { zoneClock } from '../time/zone'
import { ghostRope } from './ghostRope'
import type { Ruler } from './ruler'

/** A hundred px a day from 17 April on, for ten days. */
const from = Date.UTC(2027, 3, 17)
const day = 86_400_000
const ruler: Ruler = {
  notches: [
    { at: from, x: 0 },
    { at: from + 10 * day, x: 1000 },
  ],
  ...{ from, to: from + 10 * day, left: 0, right: 1000 },
}
const links = [
  { number: 2, stepId: 'last', x: 600, y: 40 },
  { number: 3, stepId: 'first', x: 100, y: 10 },
  { number: 4, stepId: 'gone', x: 50, y: 10 },
]
const told = (on: string, moved: readonly (readonly [string, number | null])[]) =>
  ghostRope({ ruler, links }, { on, moved: new Map(moved) }, zoneClock('UTC'))

it('leads through the links at their new times, and to the new day', () => {
  const rope = told('2027-04-22', [
    ['last', from + 3 * day],
    ['gone', null],
  ])
  // Ten o’clock on the sixth day: 5 and 10/24 days.
  expect(rope.postX).toBeCloseTo(541.67, 2)
  expect(rope.along).toBe('M100.0 10.0H300.0M300.0 40.0H541.7')
  expect(rope.path).toMatch(/^M100\.0 10\.0L300\.0 10\.0C.* 300\.0 40\.0L541\.7 40\.0$/)
})

it('ends at the last link where the day is outside the picture', () => {
  expect(told('2027-06-01', [['gone', null]])).toMatchObject({
    postX: null,
    along: 'M100.0 10.0H600.0',
  })
})
