import { expect, it } from 'vitest'
import { add, job, step } from '../testing/build'
import { ashore, friday, weekends } from '../testing/weekends'
import { makePlan } from '../plan/makePlan'
import { zoneClock } from '../time/zone'
import { seasonsMissed } from './seasonMissed'

/** Ashore from 1 April, aimed at Saturday 5 June; so many hours of Ann's weekends of sixteen hours before the launch. */
function missed(hours: number, next = '2027-10-01') {
  const rows = weekends()
  add(rows, 'season', 'one', { name: 'First', from: '2026-10-01', to: '2027-06-10' })
  add(rows, 'season', 'two', { name: 'Second', from: next, to: '2028-05-01' })
  add(rows, 'yardTariff', 'prices', { placeId: 'yard', perDayMinor: 1500 })
  ashore(rows, { seasonId: 'one' })
  rows.place = rows.place.map((one) =>
    one.id === 'yard' ? { ...one, launchesWithoutYou: true } : one,
  )
  job(rows, 'hull', { gateId: 'launch' })
  step(rows, 'hull', 'fair', { hoursLikely: hours, hullNeed: 'ashore' })
  return seasonsMissed(rows, makePlan(rows, friday).plan, zoneClock('UTC'))
}

it('a launch within its season misses nothing', () => {
  expect(missed(16)).toEqual([])
})

it('a launch after it costs the yard for the days over; one in the next season has lost the summer', () => {
  // Weekends from 17 April: ten of them are 160 h, the last Sunday 20 June at four; the yard lifts on Monday the 21st.
  expect(missed(160)).toEqual([
    {
      gateId: 'launch',
      season: 'First',
      fallsInto: null,
      daysOver: 11,
      costMinor: 16_500,
      losesTheSummer: false,
    },
  ])
  expect(missed(160, '2027-06-15')[0]).toMatchObject({ fallsInto: 'Second', losesTheSummer: true })
})
