/** The days on which she could be lifted in, as they are drawn. */
import { describe, expect, it } from 'vitest'
import type { LiftOdds } from '../model/odds'
import { haulOutsInTime } from '../plan/schedule/haulOuts'
import { makeSites } from '../plan/schedule/sites'
import { add, emptyRefit, person } from '../testing/build'
import type { Building } from '../testing/build'
import { dateOf, dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { isWorthShowing, liftDaysOf, liftDaysShown } from './liftDays'

const clock = zoneClock('UTC')
const day = dayNumber
/** Monday to the Sunday after. */
const [monday, sunday] = [day('2027-05-17'), day('2027-05-23')]

/** A crane without a tide, Mondays to Thursdays, 08:00 to 16:00; Ann comes every day, Bob on Mondays and Wednesdays. */
function boat(fill: (rows: Building) => void = () => {}) {
  const rows = emptyRefit()
  person(rows, 'ann', [1, 2, 3, 4, 5, 6, 7], '08:00', '17:00')
  person(rows, 'bob', [1, 3], '13:00', '17:00')
  add(rows, 'place', 'yard', {
    name: 'Yard',
    kind: 'yard',
    order: 'a',
    liftWeekdays: [1, 2, 3, 4],
    liftFrom: '08:00',
    liftUntil: '16:00',
    setUpMin: 0,
    packUpMin: 0,
  })
  add(rows, 'haulOut', 'out', {
    name: 'Out',
    placeId: 'yard',
    liftOutAimed: '2027-04-01',
    liftOutActual: '2027-04-01',
    launchAimed: '2027-05-19',
  })
  fill(rows)
  return rows
}
function daysOf(rows: Building, odds: LiftOdds | null = null) {
  const ashore = haulOutsInTime(rows, clock)
  const [one] = ashore
  if (!one) throw new Error('no haul-out')
  const sites = makeSites(rows, clock, ashore)
  return { one, days: liftDaysOf(rows, one, sites, odds, clock, monday, sunday) }
}
const weighed = (...all: NonNullable<LiftOdds['all']>): LiftOdds => ({
  haulOutId: 'out',
  dates: [],
  bestDay: day('2027-05-20'),
  all,
})

describe('lift days', () => {
  it('have the yard’s hours on its weekdays, and none on a day that is closed, with why', () => {
    const { days } = daysOf(
      boat((rows) =>
        Object.assign(rows.place[0] ?? {}, {
          noLifts: [{ from: '2027-05-19', to: '2027-05-20', why: 'ice' }],
        }),
      ),
    )
    expect(days.map((one) => [one.on.slice(8), one.isLiftDay, one.closedFor])).toEqual([
      ['17', true, ''],
      ['18', true, ''],
      ['19', false, 'ice'],
      ['20', false, 'ice'],
      ['21', false, ''],
      ['22', false, ''],
      ['23', false, ''],
    ])
    expect(days[0]?.window).toEqual([clock.at(monday, 480), clock.at(monday, 960)])
    expect(days[2]?.window).toBeNull()
    expect(days[0]?.water).toBeNull()
  })

  it('have who is there for the lift and not who comes after it', () => {
    // The slings go on at 08:00, and for three hours she is not left: Bob comes at 13:00.
    const { days } = daysOf(boat())
    expect(days[0]?.personIds).toEqual(['ann'])
    const later = daysOf(
      boat((rows) =>
        Object.assign(rows.haulOut[0] ?? {}, {
          launchBooked: '2027-05-17',
          launchTime: '12:00',
        }),
      ),
    )
    expect(later.days[0]?.personIds).toEqual(['ann', 'bob'])
    expect(later.days.map((one) => one.isBooked).indexOf(true)).toBe(0)
  })

  it('that were left out between those weighed are said to have too few hands, and no others', () => {
    const odds = weighed([day('2027-05-17'), 12, 900], [day('2027-05-20'), 64, 0])
    const { days } = daysOf(boat(), odds)
    expect(days.map((one) => [one.ready, one.isTooFew, one.isBest])).toEqual([
      [12, false, false],
      [null, true, false],
      [null, true, false],
      [64, false, true],
      // The yard does not lift.
      [null, false, false],
      [null, false, false],
      [null, false, false],
    ])
    expect(days[0]?.extraMinor).toBe(900)
    // Before and after them nothing is known of why.
    const two = weighed([day('2027-05-18'), 12, null], [day('2027-05-19'), 64, null])
    expect(daysOf(boat(), two).days.every((one) => !one.isTooFew)).toBe(true)
    expect(daysOf(boat()).days.every((one) => !one.isTooFew)).toBe(true)
  })

  it('are drawn later on where she could be lifted with somebody there, or where they are marked', () => {
    const { days } = daysOf(boat(), weighed([day('2027-05-20'), 64, 0]))
    expect(days.map(isWorthShowing)).toEqual([true, true, true, true, false, false, false])
    const [first] = days
    if (!first) throw new Error('no day')
    const nobody = { ...first, personIds: [] }
    expect(isWorthShowing(nobody)).toBe(false)
    expect(isWorthShowing({ ...nobody, isPlanned: true })).toBe(true)
    expect(isWorthShowing({ ...nobody, isBooked: true })).toBe(true)
  })
})

describe('the stretch drawn', () => {
  it('begins on the Saturday before the aim or the plan, not before today, and ends past the cheapest lift', () => {
    const { one } = daysOf(boat())
    const shown = (best: number | null, today: string) => {
      const { from, wholeTo, to } = liftDaysShown(one, best, day(today), clock)
      return [from, wholeTo, to].map((each) => dateOf(each))
    }
    one.launchAt = Infinity
    // Four weeks from Saturday the 15th.
    expect(shown(null, '2027-04-17')).toEqual(['2027-05-15', '2027-06-11', '2027-06-11'])
    expect(shown(null, '2027-05-18')).toEqual(['2027-05-18', '2027-06-14', '2027-06-14'])
    expect(shown(day('2027-06-30'), '2027-04-17')[2]).toBe('2027-07-14')
    // Planned before its aim, it begins with the plan; planned long after, it goes on to two weeks past it.
    one.launchAt = clock.at(day('2027-05-05'), 480)
    expect(shown(null, '2027-04-17')[0]).toBe('2027-05-01')
    one.launchAt = clock.at(day('2027-07-01'), 480)
    expect(shown(null, '2027-04-17')).toEqual(['2027-05-15', '2027-06-11', '2027-07-15'])
  })
})
