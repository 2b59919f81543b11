/** Which day to ask a trade for, and what days gained are worth; by the calendar of spring 2027. */
import { describe, expect, it } from 'vitest'
import { dateOf, dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { dayToAskFor, nextDay, sayComesOn, sayGain } from './tradeDay'

const clock = zoneClock('UTC')
const day = dayNumber
const [monday, thursday] = [1, 4]

describe('the day to ask for', () => {
  const asked = (ready: string, comesOn: readonly number[], notice: number) =>
    dateOf(dayToAskFor(Date.parse(ready), comesOn, notice, day('2027-04-17'), clock))
  it('is that on which it is ready by eight, else the one after', () => {
    expect(asked('2027-05-05T08:00Z', [], 0)).toBe('2027-05-05')
    expect(asked('2027-05-05T08:05Z', [], 0)).toBe('2027-05-06')
  })
  it('is not before their notice is over, and one on which they come', () => {
    // Fourteen days from Saturday 17 April: Saturday 1 May, and the Monday after.
    expect(asked('2027-04-20T07:00Z', [], 14)).toBe('2027-05-01')
    expect(asked('2027-04-20T07:00Z', [monday], 14)).toBe('2027-05-03')
    expect(asked('2027-05-03T07:00Z', [monday, thursday], 14)).toBe('2027-05-03')
    expect(asked('2027-05-03T09:00Z', [monday, thursday], 14)).toBe('2027-05-06')
  })
})

describe('a day before it', () => {
  it('is worth nothing unless it reaches a day on which they come', () => {
    // Thursday 22 April waits four days for Monday the 26th; three days sooner is Monday the 19th.
    expect(sayGain(day('2027-04-22'), [monday])).toBe(
      'It waits four days for that. One day gained before it gains nothing; three days bring them a time sooner.',
    )
    expect(sayGain(day('2027-04-26'), [monday])).toBe(
      'One day gained before it gains nothing; seven days bring them a time sooner.',
    )
    expect(sayGain(day('2027-04-20'), [monday, thursday])).toBe(
      'It waits two days for that. One day gained before it brings them a time sooner.',
    )
    expect(sayGain(day('2027-04-20'), [])).toBe('')
    expect(sayGain(day('2027-04-20'), [1, 2, 3, 4, 5, 6, 7])).toBe('')
  })
  it('lost is one until they come again', () => {
    expect(dateOf(nextDay(day('2027-04-26'), [monday]))).toBe('2027-05-03')
    expect(dateOf(nextDay(day('2027-04-26'), []))).toBe('2027-04-27')
  })
})

it('says on which days they come', () => {
  expect(sayComesOn([4, 1])).toBe('Mondays and Thursdays')
  expect(sayComesOn([5, 1, 3])).toBe('Mondays, Wednesdays and Fridays')
  expect([sayComesOn([]), sayComesOn([2])]).toEqual(['', 'Tuesdays'])
})
