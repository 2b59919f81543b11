import { expect, it } from 'vitest'
import { tapeMarks } from './tapeMarks'

it('a tape of 480 in over 1,202 px has a tick an inch or two, and a number every two feet', () => {
  const { x, ticks, numbers } = tapeMarks(0, 480, 1202)
  // 2.5 px an inch.
  expect([x(0), x(240), x(480)]).toEqual([1, 601, 1201])
  // 0.4 in a px: every third.
  expect(ticks.length).toBe(161)
  expect(ticks[4]).toEqual({ x: 31, length: 16 })
  expect(ticks[2]).toEqual({ x: 16, length: 11 })
  expect(ticks[1]?.length).toBe(7)
  // 24 in are 60 px; the last is a third of that from the end.
  expect(numbers).toEqual(Array.from({ length: 19 }, (_, at) => 24 * (at + 1)))
})

it('a stretch of it begins where it is cut, and says fewer numbers where they would touch', () => {
  const { x, ticks, numbers } = tapeMarks(130, 250, 402)
  expect(x(130)).toBe(1)
  // 0.3 in a px: every second, from the first even inch.
  expect(ticks[0]?.x).toBe(1)
  expect(ticks.length).toBe(61)
  // 12 in are 40 px, too close; at 144 a number would stand over the left end no more.
  expect(numbers).toEqual([144, 168, 192, 216, 240])
})
