/** Which day suits, by hand: two days with people, one of them with a shower in the middle. */
import { describe, expect, it } from 'vitest'
import { Waits } from '../plan/waits'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { zoneClock } from '../time/zone'
import { whichDay } from './whichDay'

const clock = zoneClock('UTC')
const friday = Date.UTC(2027, 3, 16, 12)
const at = (hour: number) => Date.UTC(2027, 3, 17) + hour * 3_600_000

function deck(rainAt: readonly number[], until = 7 * 24) {
  const rows = emptyRefit()
  person(rows, 'Ann', [6, 7], '08:00', '18:00')
  person(rows, 'Ben', [7, 1], '08:00', '18:00')
  add(rows, 'place', 'berth', { name: 'B', kind: 'berth', setUpMin: 0, packUpMin: 0 })
  job(rows, 'Deck')
  const paint = step(rows, 'Deck', 'paint', { operation: 'paint', hoursLikely: 3, needsDry: true })
  const hours = Array.from({ length: until }, (_, hour) => ({
    at: at(hour - 12),
    tempC: 16,
    dewC: 5,
    rain: rainAt.includes(hour - 12),
  }))
  add(rows, 'forecast', 'f', { station: 'S', takenAt: friday, hours })
  return { rows, paint }
}
const ask = ({ rows, paint }: ReturnType<typeof deck>, given: object = {}) =>
  whichDay(rows, null, { ...paint, ...given }, friday, new Waits(rows, clock), clock)

describe('which day suits', () => {
  it('puts the day with most time first, and says why not the others', () => {
    // Saturday rain at two: painting ends by eleven to be touch-dry, and from three there are three hours again.
    const days = ask(deck([14]))
    expect(days.slice(0, 3).map((one) => [one.on, one.stretch, one.latestStart])).toEqual([
      ['2027-04-18', [at(32), at(42)], at(39)],
      ['2027-04-19', [at(56), at(66)], at(63)],
      ['2027-04-17', [at(8), at(11)], at(8)],
    ])
    expect(days.slice(3).map((one) => one.why)).toEqual(['nobody', 'nobody', 'nobody', 'nobody'])
  })
  it('is none where two are wanted and never come together, where it rains all day, or is too short', () => {
    const two = ask(deck([]), { crewMin: 2 })
    expect(two.map((one) => [one.on, one.why])[0]).toEqual(['2027-04-18', ''])
    expect(two.filter((one) => one.why === 'nobody')).toHaveLength(6)
    const wet = ask(deck(Array.from({ length: 24 }, (_, hour) => hour)))
    expect(wet.find((one) => one.on === '2027-04-17')?.why).toBe('weather')
    const long = ask(deck([]), { hoursLikely: 11 })
    expect(long.find((one) => one.on === '2027-04-17')).toMatchObject({
      why: 'short',
      stretch: [at(8), at(18)],
    })
  })
  it('says nothing where no forecast comes', () => {
    const { rows, paint } = deck([])
    rows.forecast = []
    expect(whichDay(rows, null, paint, friday, new Waits(rows, clock), clock)).toEqual([])
  })
})
