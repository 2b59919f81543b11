/** The two commands that lay out pieces and posts, as a stranger calls them. */
import { expect, it } from 'vitest'
import { callerOf } from './callCommand'

const cut = callerOf('cut')
const spans = callerOf('spans')

it('lays pieces on a roll, and refuses what is none in one line', () => {
  const rectangles = [
    { id: 'a', w: 6, h: 4 },
    { id: 'b', w: 4, h: 4 },
    { id: 'c', w: 10, h: 1 },
  ]
  const laid = cut({ width: 10, rectangles }, '--seconds', '0.5')
  expect(laid).toMatchObject({ status: 0, said: [], answer: { length: 5 } })
  expect(Object.keys((laid.answer as { placements: object }).placements)).toEqual(['a', 'b', 'c'])
  expect(cut({ width: 9, rectangles })).toEqual({
    status: 2,
    said: [expect.stringContaining('wider than the strip')],
    answer: null,
  })
  const bad = [
    '{"width": 1',
    { width: 10, rectangles: [{ id: 'a', w: 0, h: 1 }] },
    { width: 10, rectangles: [rectangles[0], rectangles[0]] },
    { rectangles },
  ]
  for (const one of bad)
    expect(cut(one)).toMatchObject({ status: 2, said: [expect.any(String)], answer: null })
})

it('sets posts along a run, and says when none can stand', () => {
  const run10 = { length: 100, maxSpan: 40, keepOuts: [[33, 34]], grid: 1 }
  // Three spans of 33⅓: 32 or 35 are the nearest. 32, 34, 34 beats 35, 32, 33 by one.
  expect(spans(run10).answer).toEqual({ positions: [0, 32, 66, 100] })
  expect(spans({ ...run10, keepOuts: [[1, 99]] })).toMatchObject({
    status: 2,
    said: [expect.stringContaining('no post can stand there')],
  })
  expect(spans({ ...run10, maxSpan: -1 })).toMatchObject({ status: 2, answer: null })
})
