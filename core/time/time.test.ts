import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newRow } from '../model/newRow'
import { attendanceOf } from './attendance'
import { addDays, dateOf, dayNumber, mondayOf, weekdayOf } from './civil'
import { zoneClock } from './zone'

describe('civil dates', () => {
  it('knows weekdays and weeks', () => {
    expect(weekdayOf(dayNumber('2027-04-17'))).toBe(6)
    expect(weekdayOf(dayNumber('1969-12-28'))).toBe(7)
    expect(mondayOf('2027-04-18')).toBe('2027-04-12')
    expect(addDays('2028-02-28', 2)).toBe('2028-03-01')
  })
  it('refuses dates that are none', () => {
    for (const bad of ['2027-02-29', '2027-13-01', '27-1-1', ''])
      expect(() => dayNumber(bad)).toThrow(RangeError)
  })
})

describe('the wall clock of a zone', () => {
  const dublin = zoneClock('Europe/Dublin')
  it('keeps summer time: clocks go on at 01:00 UTC on 28 March 2027 and back on 31 October', () => {
    expect(dublin.at(dayNumber('2027-04-17'), 510)).toBe(Date.UTC(2027, 3, 17, 7, 30))
    expect(dublin.at(dayNumber('2027-01-16'), 510)).toBe(Date.UTC(2027, 0, 16, 8, 30))
    expect(dublin.at(dayNumber('2027-03-28'), 30)).toBe(Date.UTC(2027, 2, 28, 0, 30))
    expect(dublin.at(dayNumber('2027-03-28'), 180)).toBe(Date.UTC(2027, 2, 28, 2, 0))
    // 01:30 does not exist that night: the hour on is meant.
    expect(dublin.at(dayNumber('2027-03-28'), 90)).toBe(Date.UTC(2027, 2, 28, 1, 30))
  })
  it('agrees with Intl at any instant', () => {
    const intl = new Intl.DateTimeFormat('en-CA', {
      timeZone: 'Europe/Dublin',
      dateStyle: 'short',
      timeStyle: 'short',
      hourCycle: 'h23',
    })
    fc.assert(
      fc.property(
        fc.integer({ min: Date.UTC(2024, 0, 1), max: Date.UTC(2040, 0, 1) }),
        (instant) => {
          const minutes = dublin.minutesOf(instant)
          const shown = `${dateOf(dublin.dayOf(instant))}, ${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
          expect(intl.format(instant)).toBe(shown)
        },
      ),
    )
  })
  it('refuses a zone that is none', () =>
    expect(() => zoneClock('Moon/Crater')).toThrow(/not a known time zone/))
})

describe('attendance', () => {
  const slot = (given: object) =>
    newRow('weekSlot', 's', { personId: 'p', weekday: 6, from: '08:00', to: '16:00', ...given })
  const day = (on: string, kind: 'cannotCome' | 'extraDay', from = '08:00', to = '16:00') =>
    newRow('personDay', on, { personId: 'p', on, kind, from, to })
  it('comes every other Saturday, counted from a week in which it holds', () => {
    const hours = attendanceOf([slot({ everyWeeks: 2, anchor: '2027-04-24' })], [])
    expect(hours.on(dayNumber('2027-04-24'))).toEqual([[480, 960]])
    expect(hours.on(dayNumber('2027-05-01'))).toEqual([])
    expect(hours.on(dayNumber('2027-04-10'))).toEqual([[480, 960]])
  })
  it('takes exceptions both ways and joins what overlaps', () => {
    const hours = attendanceOf(
      [slot({})],
      [
        day('2027-04-24', 'cannotCome'),
        day('2027-04-17', 'extraDay', '15:00', '18:00'),
        day('2027-04-20', 'extraDay'),
      ],
    )
    expect(hours.on(dayNumber('2027-04-24'))).toEqual([])
    expect(hours.on(dayNumber('2027-04-17'))).toEqual([[480, 1080]])
    expect(hours.on(dayNumber('2027-04-20'))).toEqual([[480, 960]])
  })
})
