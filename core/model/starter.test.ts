/** A refit of five answers: who is there on the day she goes in. */
import { describe, expect, it } from 'vitest'
import { whoMightCome } from '../launch/whoComes'
import { add, emptyRefit, person } from '../testing/build'
import { supposing } from './applyChange'
import { usualHours } from './extraDay'
import { emptyRows } from './refit'
import { starterChanges } from './starter'
import type { StarterAnswers } from './starter'

const come = { weekdays: [6, 7], from: '07:30', to: '16:00' }
/** 21 May 2027 is a Friday. */
const answers: StarterAnswers = {
  boatName: 'Plover',
  loaM: 12,
  zone: 'UTC',
  currency: 'EUR',
  units: 'metric',
  people: [
    { name: 'Ida', ...come },
    { name: 'Tam', ...come },
  ],
  travelMin: 30,
  liftOutOn: '2027-04-01',
  launchOn: '2027-05-21',
  leadAtLaunch: true,
  alreadyAshore: true,
  today: '2027-04-17',
}
function extraDays(more: Partial<StarterAnswers>): string[] {
  let made = 0
  const items = starterChanges('r', { ...answers, ...more }, () => `n${made++}`)
  const rows = supposing(emptyRows(), items)
  const name = new Map(rows.person.map((one) => [one.id, one.name]))
  return rows.personDay.map(
    (one) => `${name.get(one.personId)} ${one.kind} ${one.on} ${one.from}-${one.to}`,
  )
}

describe('the day she goes in', () => {
  it('is a day of the lead’s where nobody would come, in their usual hours, unless they said no', () => {
    expect(extraDays({})).toEqual(['Ida extraDay 2027-05-21 07:30-16:00'])
    expect(extraDays({ leadAtLaunch: false })).toEqual([])
    expect(extraDays({ launchOn: '2027-05-22' })).toEqual([])
    const [ida, tam] = answers.people as [(typeof answers.people)[0], (typeof answers.people)[0]]
    expect(extraDays({ people: [ida, { ...tam, weekdays: [5] }] })).toEqual([])
  })

  it('asks whoever has not said that they cannot, the lead first, for the hours they mostly come', () => {
    const rows = emptyRefit()
    person(rows, 'tam', [3], '18:00', '20:00', { order: 'a' })
    add(rows, 'weekSlot', 'long', { personId: 'tam', weekday: 6, from: '09:30', to: '15:00' })
    person(rows, 'ida', [], '08:00', '17:00', { role: 'lead', order: 'b' })
    person(rows, 'kit', [6], '08:00', '17:00', { order: 'c' })
    person(rows, 'gone', [6], '08:00', '17:00', { gone: true, order: 'd' })
    person(rows, 'rig', [6], '08:00', '17:00', { role: 'trade', order: 'e' })
    const cannot = { personId: 'kit', kind: 'cannotCome' } as const
    add(rows, 'personDay', 'away', { ...cannot, on: '2027-05-21' })
    // Away for an hour is no refusal.
    add(rows, 'personDay', 'late', { ...cannot, on: '2027-05-22', wholeDay: false })
    const asked = (on: string) => whoMightCome(rows, on).map((one) => one.id)
    expect(asked('2027-05-21')).toEqual(['ida', 'tam'])
    expect(asked('2027-05-22')).toEqual(['ida', 'tam', 'kit'])
    expect(usualHours(rows, 'tam')).toEqual({ from: '09:30', to: '15:00' })
    expect(usualHours(rows, 'ida')).toEqual({ from: '08:30', to: '17:00' })
  })
})
