import { expect, it } from 'vitest'
import { add, emptyRefit, person } from '../testing/build'
import { zoneClock } from '../time/zone'
import { longestDayHours } from './longestDay'

const clock = zoneClock('UTC')

it('is the longest stretch anybody has on her, less the way, and what is packed out and in', () => {
  const rows = emptyRefit()
  expect(longestDayHours(rows, '2027-04-17', clock)).toBe(0)
  // An hour each way and half an hour to set up and to pack up: of ten hours seven are left.
  const berth = {
    name: 'Berth',
    kind: 'berth',
    travelMin: 60,
    setUpMin: 30,
    packUpMin: 30,
  } as const
  add(rows, 'place', 'berth', berth)
  person(rows, 'ann', [6], '08:00', '18:00')
  person(rows, 'bob', [7], '10:00', '15:00')
  expect(longestDayHours(rows, '2027-04-17', clock)).toBe(7)
  // A day that comes but once counts when it is in the fortnight.
  add(rows, 'personDay', 'long', {
    personId: 'bob',
    on: '2027-04-28',
    kind: 'extraDay',
    from: '08:00',
    to: '20:00',
  } as never)
  expect(longestDayHours(rows, '2027-04-17', clock)).toBe(9)
  expect(longestDayHours(rows, '2027-04-29', clock)).toBe(7)
})
