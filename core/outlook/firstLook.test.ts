import { expect, it } from 'vitest'
import type { StarterAnswers } from '../model/starter'
import { firstLook as lookAt } from './firstLook'

/** Saturday 17 April 2027; the launch is aimed at Friday 21 May. */
const answers = (given: Partial<StarterAnswers> = {}, slot = {}): StarterAnswers => ({
  boatName: 'Plover',
  loaM: 12,
  zone: 'Europe/Dublin',
  currency: 'EUR',
  units: 'metric',
  people: [{ name: 'Ida', weekdays: [6, 7], from: '08:30', to: '17:00', ...slot }],
  travelMin: 45,
  liftOutOn: '2027-04-01',
  launchOn: '2027-05-21',
  alreadyAshore: true,
  today: '2027-04-17',
  ...given,
})

/** Before anybody is up on the first of the days. */
const early = (given: StarterAnswers) => lookAt(given, Date.parse(`${given.today}T04:00Z`))

it('five weekends of one person, by hand', () => {
  // 8 h 30, less an hour and a half on the way, an hour to set up and pack up, half an hour at noon: 5 h 30 on ten days.
  expect(early(answers())).toEqual({ days: 10, hours: 55 })
})

it('two people share the days and add their hours', () => {
  const [ida] = answers().people
  const people = [ida!, { ...ida!, name: 'Tam', weekdays: [7] }]
  expect(early(answers({ people }))).toEqual({ days: 10, hours: 55 + 5 * 5.5 })
})

it('counts the day today and not the day of the launch, and nothing where neither is to come', () => {
  // Fridays: 23 and 30 April, 7 and 14 May. A short day has no pause at noon: 4 h less 2 h 30.
  const fridays = { weekdays: [5], from: '13:00', to: '17:00' }
  expect(early(answers({}, fridays))).toEqual({ days: 4, hours: 6 })
  expect(early(answers({ today: '2027-04-16' }, fridays)).days).toBe(5)
  expect(early(answers({ launchOn: '2027-04-17' }))).toEqual({ days: 0, hours: 0 })
})

it('a day that goes on the way is none', () => {
  expect(early(answers({ travelMin: 240 }))).toEqual({ days: 0, hours: 0 })
})

it('does not count what is gone of today', () => {
  // There from 9:45 to 15:45 by the clock of Dublin, an hour on: at two only an hour and three quarters are left.
  expect(lookAt(answers(), Date.UTC(2027, 3, 17, 13))).toEqual({ days: 10, hours: 49.5 + 1.75 })
  expect(lookAt(answers(), Date.UTC(2027, 3, 17, 15))).toEqual({ days: 9, hours: 49.5 })
})
