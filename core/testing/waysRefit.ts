/** The refit of docs/launch-ways.md: two jobs before the launch, one that may follow it, a yard that lifts once a week. */
import { add, emptyRefit, job, person, step } from './build'
import type { Building } from './build'
import { ashore } from './weekends'

/** Friday 30 April 2027, noon; the 1st of May is a Saturday. */
export const waysRefitNow = Date.UTC(2027, 3, 30, 12)

/** Ida on Saturdays, ten hours; the yard next door lifts on Wednesdays, the berth is an hour away. */
export function waysRefit(next = true): Building {
  const rows = emptyRefit()
  const near = { setUpMin: 0, packUpMin: 0 } as const
  add(rows, 'place', 'yard', {
    name: 'Yard',
    kind: 'yard',
    travelMin: 0,
    liftWeekdays: [3],
    launchesWithoutYou: true,
    ...near,
  })
  add(rows, 'place', 'berth', { name: 'Berth', kind: 'berth', travelMin: 60, ...near })
  add(rows, 'yardTariff', 'prices', {
    placeId: 'yard',
    perDayMinor: 1000,
    liftMinor: 20_000,
    berthPerDayMinor: 400,
  })
  ashore(rows, { launchAimed: '2027-05-08' })
  if (next) {
    add(rows, 'haulOut', 'autumn', {
      name: 'Autumn',
      placeId: 'yard',
      liftOutAimed: '2027-10-06',
      launchAimed: '2027-10-20',
    })
    add(rows, 'gate', 'autumn launch', { name: 'Out', kind: 'launch', haulOutId: 'autumn' })
  }
  person(rows, 'ida', [6], '08:00', '18:00')
  const onHull = { hullNeed: 'ashore', hoursLikely: 10 } as const
  job(rows, 'valve', { gateId: 'launch', purpose: 'float' })
  step(rows, 'valve', 'seat', onHull)
  job(rows, 'prop', { gateId: 'launch', purpose: 'go' })
  step(rows, 'prop', 'balance', onHull)
  job(rows, 'galley', { purpose: 'live' })
  step(rows, 'galley', 'lockers', { hullNeed: 'either', hoursLikely: 20 })
  return rows
}
