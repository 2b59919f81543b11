/** Lift days by hand: weekdays, closed dates, the water at the slip, a booked hour. */
import { describe, expect, it } from 'vitest'
import { makePlan } from '../makePlan'
import { add, emptyRefit, job, person, step } from '../../testing/build'
import { ashore, weekends } from '../../testing/weekends'
import { dayNumber } from '../../time/civil'
import { zoneClock } from '../../time/zone'
import { Lifts } from './lifts'

const clock = zoneClock('UTC')
/** June 2027; the 1st is a Tuesday. */
const june = (day: number, hour = 0, minute = 0) => Date.UTC(2027, 5, day, hour, minute)
const dayOf = (day: number) => dayNumber('2027-06-01') + day - 1

/** A tide by moon alone: its turns come 50 minutes later each day. She needs 3.5 m of 3 ± 2. */
function boat(yard: object = {}, haul: object = {}) {
  const rows = emptyRefit()
  Object.assign(rows.refit[0] as object, { draughtM: 2.5 })
  add(rows, 'tideStation', 's', {
    name: 'Moon',
    meanM: 3,
    constituents: [{ name: 'M2', amplitudeM: 2, phaseDeg: 0 }],
  })
  const place = add(rows, 'place', 'yard', {
    name: 'Yard',
    kind: 'yard',
    liftWeekdays: [2, 3, 4, 5, 6],
    liftUntil: '16:00',
    underKeelM: 0.3,
    slipDepthM: -0.7,
    tideStationId: 's',
    ...yard,
  })
  const haulOut = add(rows, 'haulOut', 'haul', {
    name: 'Haul',
    placeId: 'yard',
    liftOutAimed: '2027-05-01',
    liftOutActual: '2027-05-01',
    launchAimed: '2027-06-01',
    ...haul,
  })
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'haul' })
  return { rows, lifts: new Lifts(rows, place, haulOut, clock) }
}

describe('lifts', () => {
  it('begin with the yard’s first hour where no water is asked for, on its weekdays, past closed dates', () => {
    const { lifts } = boat({
      tideStationId: null,
      noLifts: [{ from: '2027-06-08', to: '2027-06-09', why: 'ice' }],
    })
    expect(lifts.next(june(1, 9))).toBe(june(1, 9))
    expect(lifts.next(june(1, 9, 1))).toBe(june(2, 9))
    // Sunday and Monday are none of its days, Tuesday and Wednesday are closed.
    expect(lifts.next(june(6))).toBe(june(10, 9))
    expect([6, 7, 8, 10].map((day) => lifts.isOn(dayOf(day)))).toEqual([false, false, false, true])
  })
  it('come with the water: on every lift it is deep from 35 minutes after the slings go on, for 40 minutes', () => {
    const { lifts } = boat()
    const { slip } = lifts
    if (!slip) throw new Error('no slip')
    let seen = 0
    for (let day = dayOf(1); day < dayOf(60); day++) {
      if (!lifts.isOn(day)) continue
      seen++
      const at = lifts.at(day)
      expect(at % (5 * 60_000)).toBe(0)
      expect(clock.minutesOf(at)).toBeGreaterThanOrEqual(9 * 60)
      for (const minutes of [35, 55, 74])
        expect(slip.tide.heightAt(at + minutes * 60_000)).toBeGreaterThanOrEqual(slip.needM - 0.01)
      expect(clock.minutesOf(at + 75 * 60_000)).toBeLessThanOrEqual(16 * 60)
    }
    // Deep for about five hours twice a day: most days have a lift, and some have none.
    expect(seen).toBeGreaterThan(25)
    expect(seen).toBeLessThan(43)
  })
  it('are taken without the tide where the slip never has the water', () => {
    const { lifts } = boat({ slipDepthM: -5 })
    expect(lifts.isOn(dayOf(1))).toBe(false)
    expect(lifts.next(june(1, 9))).toBe(june(1, 9))
  })
  it('keep to the hour that is booked, on its day alone', () => {
    const { lifts } = boat({}, { launchBooked: '2027-06-04', launchTime: '13:25' })
    expect(lifts.at(dayOf(4))).toBe(june(4, 13, 25))
    expect(lifts.at(dayOf(5))).not.toBe(june(5, 13, 25))
  })
})

it('binds the launch of the plan: booked for an hour it keeps to it, as ready it takes the next water', () => {
  const planned = (haul: object) => {
    const { rows, lifts } = boat({ launchesWithoutYou: true }, haul)
    person(rows, 'ida', [1, 2, 3, 4, 5, 6, 7], '08:00', '18:00')
    job(rows, 'work', { gateId: 'launch' })
    step(rows, 'work', 'one', { hoursLikely: 4, hullNeed: 'ashore' })
    const { plan } = makePlan(rows, june(1, 6))
    return { at: plan.launches[0]?.at, lifts }
  }
  expect(planned({ launchBooked: '2027-06-11', launchTime: '10:20' }).at).toBe(june(11, 10, 20))
  const soon = planned({ launchWhen: 'asReady' })
  expect(soon.at).toBe(soon.lifts.next(june(1, 12)))
})

it('brings people to the booked day alone: missed, the launch waits for a lift on which they are there', () => {
  const planned = (launchBooked: string, hoursLikely: number, isWatched = true) => {
    const rows = weekends()
    ashore(rows, { launchBooked })
    job(rows, 'work', { gateId: 'launch' })
    step(rows, 'work', 'one', { hoursLikely, hullNeed: 'ashore' })
    // Somebody looks while she hangs.
    if (isWatched) step(rows, 'work', 'look', { hoursLikely: 0.5, hullNeed: 'slings' })
    const { plan } = makePlan(rows, Date.UTC(2027, 5, 4, 12))
    const gate = plan.gates.find((one) => one.gateId === 'launch')
    return [new Date(gate?.at ?? 0).toISOString().slice(0, 10), gate?.binding]
  }
  // 12 h are done on Sunday the 6th. Ann comes on Wednesday for the day that is booked.
  expect(planned('2027-06-09', 12)).toEqual(['2027-06-09', { kind: 'aim', haulOutId: 'spring' }])
  // Booked for Saturday and missed: the yard lifts on Monday, and Ann is there on the 12th.
  expect(planned('2027-06-05', 12)).toEqual([
    '2027-06-12',
    { kind: 'liftDay', haulOutId: 'spring', people: true },
  ])
  expect(planned('2027-06-05', 12, false)[0]).toBe('2027-06-12')
})
