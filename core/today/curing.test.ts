/** What is wet when, and where she lies, from rows written by hand. */
import { describe, expect, it } from 'vitest'
import type { Placement } from '../model/stored'
import { add, emptyRefit, job, step } from '../testing/build'
import { Waits } from '../plan/waits'
import { dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { curesAt, curingDuring } from './curing'
import { haulOutsAsPlanned } from '../plan/schedule/haulOuts'
import { ashoreAtDawn } from '../plan/schedule/lies'
import { placeOn } from './placeOn'

const clock = zoneClock('UTC')
const at = (text: string) => Date.parse(`2027-${text}:00Z`)
const wet = { waitKind: 'moisture', waitHours: 5 } as const

it('cures from when it was laid until it is through', () => {
  const plies = [{ from: at('04-17T13:00'), until: at('04-18T07:00') }]
  const hours = ['12:59', '13:00', '20:00']
  expect(hours.map((hour) => curesAt(plies, at(`04-17T${hour}`)))).toEqual([false, true, true])
  expect(curesAt(plies, at('04-18T07:00'))).toBe(false)
})

describe('what cures during a stretch', () => {
  const rows = emptyRefit()
  job(rows, 'Deck')
  step(rows, 'Deck', 'laid', { ...wet, state: 'done', doneAt: at('04-17T10:00') })
  step(rows, 'Deck', 'dry', { state: 'done', doneAt: at('04-17T10:00'), waitHours: 5 })
  step(rows, 'Deck', 'to come', { ...wet })
  step(rows, 'Deck', 'some day', { ...wet })
  const of = { stepId: 'laid', startedAt: at('04-17T06:00'), assumedC: 20 }
  add(rows, 'clock', 'pot', { ...of, stepId: null, title: 'Pot', kind: 'pot', closesH: 1 })
  add(rows, 'clock', 'ended', {
    ...of,
    stepId: null,
    title: 'Ended',
    kind: 'cure',
    opensH: 48,
    endedAt: at('04-17T07:00'),
  })
  add(rows, 'clock', 'runs', { ...of, stepId: null, title: 'Runs', kind: 'cure', opensH: 12 })
  const planned: Placement = {
    stepId: 'to come',
    segments: [
      [at('04-17T08:00'), at('04-17T09:00')],
      [at('04-17T11:00'), at('04-17T12:00')],
    ],
    readyAt: at('04-17T17:00'),
    personIds: [],
    binding: { kind: 'now' },
  }
  const wetFrom = (from: string, to: string) =>
    curingDuring(rows, [planned], at(from), at(to), new Waits(rows, clock)).map((one) => [
      one.key,
      new Date(one.from).toISOString().slice(11, 16),
      new Date(one.until).toISOString().slice(11, 16),
    ])

  it('is what was laid, what is planned and what a clock says, the first to be dry first', () => {
    expect(wetFrom('04-17T08:00', '04-17T20:00')).toEqual([
      ['laid', '10:00', '15:00'],
      ['to come', '12:00', '17:00'],
      ['runs', '06:00', '18:00'],
    ])
  })

  it('is only what touches the stretch', () => {
    expect(wetFrom('04-17T15:00', '04-17T17:00').map(([key]) => key)).toEqual(['to come', 'runs'])
    expect(wetFrom('04-17T07:00', '04-17T10:00').map(([key]) => key)).toEqual(['runs'])
    expect(wetFrom('04-17T18:00', '04-17T20:00')).toEqual([])
  })
})

describe('where she lies', () => {
  const rows = emptyRefit()
  const trip = { travelMin: 0, setUpMin: 0, packUpMin: 0 }
  add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', ...trip })
  add(rows, 'place', 'berth', { name: 'Berth', kind: 'berth', ...trip })
  add(rows, 'haulOut', 'past', {
    name: 'Past',
    placeId: 'yard',
    liftOutAimed: '2026-10-01',
    liftOutActual: '2026-10-01',
    launchAimed: '2027-03-01',
    launchActual: '2027-03-05',
  })
  add(rows, 'haulOut', 'now', {
    name: 'Now',
    placeId: 'yard',
    liftOutAimed: '2027-04-10',
    liftOutActual: '2027-04-10',
    launchAimed: '2027-05-20',
  })
  const launches = [
    { haulOutId: 'past', from: at('01-01T00:00'), at: at('06-01T09:00') },
    { haulOutId: 'now', from: at('04-10T12:00'), at: at('05-22T10:00') },
  ]
  const plan = { launches }

  it('is the yard from the lift until the launch as it happened or is planned, else the berth', () => {
    const place = (on: string) => placeOn(rows, plan, on, 'boat', clock)?.id
    expect(
      ['2026-09-30', '2027-02-01', '2027-03-06', '2027-04-09', '2027-04-11'].map(place),
    ).toEqual(['berth', 'yard', 'berth', 'berth', 'yard'])
    // On launch day people go to the yard; the day after she is afloat.
    expect(['2027-05-22', '2027-05-23'].map(place)).toEqual(['yard', 'berth'])
    expect(placeOn(rows, plan, '2027-04-11', 'shed', clock)).toBeNull()
  })

  it('keeps a launch that happened against any plan, and has none that is not planned', () => {
    const [past, now] = haulOutsAsPlanned(rows, plan, clock)
    expect(new Date(past?.launchAt ?? 0).toISOString().slice(0, 10)).toBe('2027-03-05')
    expect(now?.launchAt).toBe(at('05-22T10:00'))
    const unplanned = haulOutsAsPlanned(rows, null, clock)
    expect(unplanned[1]?.launchAt).toBe(Infinity)
    expect(ashoreAtDawn(unplanned, dayNumber('2030-01-01'), clock)?.haulOut.id).toBe('now')
  })
})
