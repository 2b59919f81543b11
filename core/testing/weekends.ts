import { add, emptyRefit, person } from './build'
import type { Building } from './build'

/** Friday 16 April 2027, 12:00 UTC. */
export const friday = Date.UTC(2027, 3, 16, 12)

/** Ann, Saturdays and Sundays 08:00–16:00; a yard that lifts on any day, no travel. */
export function weekends(): Building {
  const rows = emptyRefit()
  person(rows, 'Ann', [6, 7], '08:00', '16:00', { skills: ['electrics'] })
  const place = { travelMin: 0, setUpMin: 0, packUpMin: 0 }
  add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', liftFrom: '09:00', ...place })
  add(rows, 'place', 'berth', { name: 'Berth', kind: 'berth', ...place })
  return rows
}
/** Ashore since 1 April, to be launched on Saturday 5 June. */
export function ashore(rows: Building, given: Partial<Building['haulOut'][number]> = {}) {
  add(rows, 'haulOut', 'spring', {
    name: 'Spring',
    placeId: 'yard',
    liftOutAimed: '2027-04-01',
    liftOutActual: '2027-04-01',
    launchAimed: '2027-06-05',
    ...given,
  })
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'spring' })
}
