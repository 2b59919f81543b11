import { expect, it } from 'vitest'
import { add, emptyRefit } from '../testing/build'
import { zoneClock } from '../time/zone'
import { placeOn } from './placeOn'

it('people go to the yard from lift-out to launch, seen at dawn, and to the berth before and after', () => {
  const rows = emptyRefit()
  add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', liftFrom: '09:00' })
  add(rows, 'place', 'shed', { name: 'Shed', kind: 'shed' })
  add(rows, 'place', 'berth', { name: 'Berth', kind: 'berth' })
  add(rows, 'haulOut', 'spring', {
    name: 'Spring',
    placeId: 'yard',
    liftOutAimed: '2027-04-10',
    launchAimed: '2027-05-01',
  })
  const clock = zoneClock('UTC')
  const launches = [
    { haulOutId: 'spring', from: Date.UTC(2027, 3, 10, 12), at: Date.UTC(2027, 4, 5, 9) },
  ]
  const at = (on: string, need: 'boat' | 'shed' | 'away' = 'boat', plan = { launches }) =>
    placeOn(rows, plan, on, need, clock)?.id ?? null
  // On the day of the lift-out she still lies at the berth as the day begins; on launch day in the yard.
  expect(['2027-04-09', '2027-04-10', '2027-04-11'].map((on) => at(on))).toEqual([
    'berth',
    'berth',
    'yard',
  ])
  expect(['2027-05-05', '2027-05-06'].map((on) => at(on))).toEqual(['yard', 'berth'])
  // Without a planned launch she stays ashore.
  expect(at('2028-01-01', 'boat', { launches: [] })).toBe('yard')
  expect(at('2027-04-11', 'shed')).toBe('shed')
  expect(at('2027-04-11', 'away')).toBeNull()
})
