/** Whether a pause is worth the way to the shed; by hand. */
import { describe, expect, it } from 'vitest'
import type { Building } from '../testing/build'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { makePlan } from '../plan/makePlan'
import { Waits } from '../plan/waits'
import { zoneClock } from '../time/zone'
import { daySheet } from './daySheet'
import { sayOtherPlace } from './otherPlace'

const clock = zoneClock('UTC')
const friday = Date.UTC(2027, 3, 16, 12)
const on = '2027-04-17'
const at = (time: string) => Date.parse(`${on}T${time}:00Z`)

/** Ann lays plies on Saturday from eight to ten, and they cure; short work waits in the shed, twelve minutes off. */
function refit(): Building {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  const site = { travelMin: 0, setUpMin: 0, packUpMin: 0 }
  add(rows, 'place', 'berth', { ...site, name: 'Berth', kind: 'berth' })
  add(rows, 'place', 'shed', {
    name: 'The shed',
    kind: 'shed',
    travelMin: 0,
    setUpMin: 10,
    packUpMin: 5,
    opensAt: '08:00',
    shutsAt: '14:00',
  })
  add(rows, 'drive', 'way', { fromPlaceId: 'berth', toPlaceId: 'shed', minutes: 12 })
  job(rows, 'Deck', { purpose: 'float', severity: 4 })
  step(rows, 'Deck', 'plies', { hoursLikely: 2, waitKind: 'moisture', waitHours: 20 })
  job(rows, 'Lids')
  step(rows, 'Lids', 'varnish', { hoursLikely: 1, placeNeed: 'shed', notBefore: null })
  return rows
}
function found(rows: Building, placeNeed: 'boat' | 'shed' | 'away' = 'boat') {
  const { plan } = makePlan(rows, friday)
  const frame = { on, placeNeed, personIds: ['Ann'] }
  return daySheet(rows, plan, frame, new Waits(rows, clock), clock).otherPlace
}

describe('the other place of a day', () => {
  it('is where short work waits, with the way and what setting up takes', () => {
    expect(found(refit())).toMatchObject({
      place: { id: 'shed' },
      wayMin: 12,
      setUpMin: 15,
      open: [at('08:00'), at('14:00')],
      work: { step: { id: 'varnish' } },
    })
  })
  it('is none without such work, on a day on which it is shut, away, or where nothing cures', () => {
    const changed = (change: (rows: Building) => void) => {
      const rows = refit()
      change(rows)
      return found(rows)
    }
    const steps = (id: string, given: object) => (rows: Building) => {
      rows.step = rows.step.map((one) => (one.id === id ? { ...one, ...given } : one))
    }
    expect(changed(steps('varnish', { hoursLikely: 3 }))).toBeNull()
    expect(changed(steps('varnish', { placeNeed: 'boat' }))).toBeNull()
    expect(changed(steps('plies', { waitKind: 'none' }))).toBeNull()
    expect(
      changed((rows) => {
        rows.place = rows.place.map((one) => ({ ...one, shutWeekdays: [6] }))
      }),
    ).toBeNull()
    expect(found(refit(), 'away')).toBeNull()
  })
})

describe('a pause', () => {
  const said = (from: string, to: string, given: object = {}) => {
    const other = found(refit())
    return other ? sayOtherPlace({ ...other, ...given }, at(from), at(to)) : ''
  }
  it('is gone for where half an hour is left after the ways and setting up', () => {
    // 120 less 24 less 15 minutes.
    expect(said('10:00', '12:00')).toBe(
      'The shed for it? 12 min each way, 15 to set up and pack up, 1 h 21 left for “varnish”',
    )
    // 69 less 39: just so.
    expect(said('10:00', '11:09')).toContain('30 min left for')
    expect(said('10:00', '11:08')).toBe(
      'The shed is not worth it: 12 min each way, 15 to set up and pack up, 29 min left',
    )
    expect(said('10:00', '10:39')).toContain('nothing left')
    expect(said('10:00', '10:30', { setUpMin: 0 })).toBe(
      'The shed is not worth it: 12 min each way, 6 min left',
    )
  })
  it('has the shed while that is open', () => {
    // Shut at two, as if nobody had to drive back before: 13:12 to 14:00 less 15.
    expect(said('13:00', '15:00')).toContain('33 min left for')
    expect(said('13:30', '16:00')).toContain('3 min left')
  })
})
