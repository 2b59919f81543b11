import { expect, it } from 'vitest'
import { add, emptyRefit } from '../testing/build'
import { hoursPerWeek } from './hoursPerWeek'

it('hours fall into their weeks from Monday, weeks without any among them, corrected ones once', () => {
  const rows = emptyRefit()
  const entry = (id: string, on: string, hours: number, more: object = {}) =>
    add(rows, 'hoursEntry', id, { personId: 'Ann', on, hours, ...more })
  // 5 and 11 April 2027 are the Monday and the Sunday of one week, the 19th is a Monday.
  entry('a', '2027-04-05', 2)
  entry('b', '2027-04-11', 3)
  entry('wrong', '2027-04-11', 9)
  entry('right', '2027-04-11', 1, { correctsId: 'wrong' })
  entry('way', '2027-04-11', 0.5, { kind: 'travel' })
  entry('c', '2027-04-19', 4)
  expect(hoursPerWeek(rows, '2027-04-21', 8)).toEqual([
    { week: '2027-04-05', workHours: 6, otherHours: 0.5 },
    { week: '2027-04-12', workHours: 0, otherHours: 0 },
    { week: '2027-04-19', workHours: 4, otherHours: 0 },
  ])
  expect(hoursPerWeek(rows, '2027-04-21', 2).map((one) => one.week)).toEqual([
    '2027-04-12',
    '2027-04-19',
  ])
  expect(hoursPerWeek(emptyRefit(), '2027-04-21', 8)).toEqual([])
})
