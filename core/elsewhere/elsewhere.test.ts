/** Somebody who works on two boats: told by the name, planned and counted day by day where each boat lies. */
import { expect, it } from 'vitest'
import type { StoredPlan } from '../model/stored'
import { add, emptyRefit, person } from '../testing/build'
import type { Building } from '../testing/build'
import { zoneClock } from '../time/zone'
import { keptFree, peopleElsewhere, sharedPeople } from './elsewhere'

const today = '2027-04-17'
const clock = zoneClock('UTC')
/** A plan that has a person at work over some stretches. */
const planOf = (personId: string, ...segments: (readonly [number, number])[]) =>
  ({ placements: [{ stepId: 's', personIds: [personId], segments }] }) as unknown as StoredPlan
const at = (day: number, hour: number) => Date.UTC(2027, 3, day, hour)
const hours = (rows: Building, id: string, personId: string, on: string, given: object = {}) =>
  add(rows, 'hoursEntry', id, { personId, on, hours: 3, ...given })

/** The other boat, lying twelve hours east: what begins on the 24th at 20:00 UTC is done there on the 25th. */
function thistle(): Building {
  const rows = emptyRefit('Pacific/Auckland')
  rows.refit = rows.refit.map((one) => ({ ...one, id: 'other', boatName: 'Thistle' }))
  person(rows, 'p1', [6], '08:00', '16:00', { name: ' ann  BELL' })
  person(rows, 'p2', [6], '08:00', '16:00', { name: 'Bob', gone: true })
  person(rows, 'p3', [6], '08:00', '16:00', { name: 'Cy' })
  const result = planOf(
    'p1',
    [at(10, 2), at(10, 5)],
    [at(24, 20), at(24, 23)],
    [at(25, 1), at(25, 2)],
  )
  add(rows, 'plan', 'plan', { inputsHash: 'x', seed: 1, iterations: 1, at: 1, result })
  hours(rows, 'h1', 'p1', '2027-04-03')
  hours(rows, 'h2', 'p1', '2027-04-03', { kind: 'travel', hours: 1 })
  hours(rows, 'h3', 'p3', '2027-04-04')
  return rows
}

it('has their days by the plan there, from today on, and the hours written down', () => {
  expect(peopleElsewhere(thistle(), ['Ann Bell', 'Bob'], today)).toEqual([
    {
      name: 'Ann Bell',
      refitId: 'other',
      boatName: 'Thistle',
      // 20:00 to 23:00 and 01:00 to 02:00 UTC are one day there.
      planned: [{ on: '2027-04-25', hours: 4 }],
      logged: [{ on: '2027-04-03', hours: 4 }],
    },
  ])
})

it('says on which days both have them, and keeps the other boat’s free', () => {
  const rows = emptyRefit()
  person(rows, 'ann', [6, 7], '08:00', '16:00', { name: 'Ann Bell' })
  person(rows, 'left', [6], '08:00', '16:00', { name: 'Cy', gone: true })
  hours(rows, 'h', 'ann', '2027-04-03', { hours: 5 })
  hours(rows, 'h5', 'ann', '2027-04-04')
  const day = (on: string, some: number) => ({ on, hours: some })
  const there = {
    name: 'Ann Bell',
    refitId: 'other',
    boatName: 'Thistle',
    planned: [day('2027-04-24', 3), day('2027-04-25', 4), day('2027-05-01', 2)],
    logged: [day('2027-04-03', 4)],
  }
  const cy = { ...there, name: 'Cy' }
  add(rows, 'personDay', 'whole', { personId: 'ann', on: '2027-05-01', kind: 'cannotCome' })
  const part = { kind: 'cannotCome', wholeDay: false, from: '13:00', to: '16:00' } as const
  add(rows, 'personDay', 'part', { personId: 'ann', on: '2027-04-24', ...part })
  const plan = planOf('ann', [at(25, 8), at(25, 14)], [at(30, 8), at(30, 9)])
  const shared = sharedPeople(rows, plan, [there, cy], clock, today)
  expect(shared).toMatchObject([
    {
      person: { id: 'ann' },
      openDays: [{ on: '2027-04-24' }, { on: '2027-04-25' }],
      plannedTwice: [{ on: '2027-04-25', hereHours: 6, thereHours: 4 }],
      loggedTwice: [{ on: '2027-04-03', hereHours: 5, thereHours: 4 }],
    },
  ])
  const [ann] = shared
  if (!ann) throw new Error('nobody is shared')
  // One absence a day: that of the afternoon becomes one of the day.
  expect(keptFree(ann, rows.personDay, () => 'new')).toEqual([
    {
      op: 'patch',
      entity: 'personDay',
      id: 'part',
      baseVersion: 1,
      patch: { wholeDay: true, reason: 'At Thistle' },
    },
    {
      op: 'create',
      entity: 'personDay',
      id: 'new',
      patch: {
        personId: 'ann',
        on: '2027-04-25',
        kind: 'cannotCome',
        wholeDay: true,
        reason: 'At Thistle',
      },
    },
  ])
})
