import { expect, it } from 'vitest'
import { zoneClock } from '../../time/zone'
import { add, emptyRefit } from '../../testing/build'
import { yardTime } from './yardTime'

const clock = zoneClock('Europe/Dublin')
const yard = (liftWeekdays: number[]) =>
  add(emptyRefit(), 'place', 'yard', {
    name: 'Yard',
    kind: 'yard',
    travelMin: 0,
    setUpMin: 0,
    packUpMin: 0,
    liftWeekdays,
  })

// 16 April 2027 is a Friday; Dublin is an hour ahead of UTC.
it.each([
  ['in its hours: at once', Date.UTC(2027, 3, 16, 9), [], Date.UTC(2027, 3, 16, 9)],
  ['too early: when it opens', Date.UTC(2027, 3, 16, 4), [], Date.UTC(2027, 3, 16, 7)],
  ['on Friday evening: on Monday', Date.UTC(2027, 3, 16, 16), [], Date.UTC(2027, 3, 19, 7)],
  ['by its own days: on Tuesday', Date.UTC(2027, 3, 16, 9), [2, 4], Date.UTC(2027, 3, 20, 7)],
])('a yard asked %s', (_, at, days, expected) => {
  expect(yardTime(at, yard(days), clock)).toBe(expected)
})
