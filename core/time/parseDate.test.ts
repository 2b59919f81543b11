import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays } from './civil'
import { datesFromTo } from './span'
import { parseDate } from './parseDate'
import { sayFullDate } from './say'

const today = '2026-11-26'
const value = (text: string) => {
  const found = parseDate(text, today)
  return found.ok ? found.value : found.message
}

describe('a date as people write it', () => {
  it.each([
    ['Sat 2 May 2026', '2026-05-02'],
    ['saturday, 2nd May 2026', '2026-05-02'],
    ['2026-05-02', '2026-05-02'],
    ['2.5.2026', '2026-05-02'],
    ['2. 5. 26', '2026-05-02'],
    ['May 2, 2026', '2026-05-02'],
    ['25/12/2026', '2026-12-25'],
    ['12/25/2026', '2026-12-25'],
    ['5/5/2027', '2027-05-05'],
    ['today', '2026-11-26'],
    ['Tomorrow', '2026-11-27'],
    // No year: the coming one; a few weeks back is meant as past.
    ['2 May', '2027-05-02'],
    ['1 nov', '2026-11-01'],
    ['3 January', '2027-01-03'],
  ])('%s is %s', (text, date) => expect(value(text)).toBe(date))

  it.each([
    [
      '05/02/2026',
      /Is it Thu 5 Feb 2026 or Sat 2 May 2026\?|Is it Sat 2 May 2026 or Thu 5 Feb 2026\?/,
    ],
    ['Mon 2 May 2026', /Sat 2 May 2026 is no mon/],
    ['31 June 2026', /no such day/],
    ['29 Feb 2027', /no such day/],
    ['2 May 1066', /1970 to 2200/],
    ['soon', /not a date/],
    ['13.13.2026', /no such day/],
    ['', /not a date/],
  ])('%s is asked about', (text, said) => expect(value(text)).toMatch(said))

  it('reads back every date as it is shown', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 80_000 }), (days) => {
        const date = addDays('1970-01-01', days)
        expect(value(sayFullDate(date))).toBe(date)
      }),
    ))
})

describe('a stretch of days', () => {
  it('has both its ends, and only the weekdays asked for', () => {
    expect(datesFromTo('2027-04-30', '2027-05-02')).toEqual([
      '2027-04-30',
      '2027-05-01',
      '2027-05-02',
    ])
    // Saturday 1 and Sunday 2 May 2027.
    expect(datesFromTo('2027-04-26', '2027-05-02', [6, 7])).toEqual(['2027-05-01', '2027-05-02'])
    expect(datesFromTo('2027-05-02', '2027-05-02')).toEqual(['2027-05-02'])
  })

  it('is empty when it runs backwards or over a year', () => {
    expect(datesFromTo('2027-05-02', '2027-05-01')).toEqual([])
    expect(datesFromTo('2027-01-01', '2028-01-01')).toHaveLength(366)
    expect(datesFromTo('2027-01-01', '2028-01-02')).toEqual([])
  })
})
