/** Sums of hours by hand, as a table, and values as history says them. */
import { describe, expect, it } from 'vitest'
import { hoursTable } from '../exchange/hoursTable'
import { sayValue } from '../model/sayValue'
import { add, emptyRefit, job, step } from '../testing/build'
import { hoursTotals } from './hoursTotals'

function worked() {
  const rows = emptyRefit('Europe/Dublin')
  add(rows, 'person', 'ida', { name: 'Ida', order: 'b' })
  add(rows, 'person', 'tam', { name: 'Tam', order: 'c' })
  add(rows, 'person', 'abe', { name: 'Abe', order: 'd' })
  job(rows, 'deck', { title: 'Deck' })
  step(rows, 'deck', 'cut', { title: 'Cut' })
  const hours = (id: string, personId: string, on: string, much: number, more: object = {}) =>
    add(rows, 'hoursEntry', id, { personId, on, hours: much, ...more })
  hours('a', 'ida', '2027-04-10', 3, { stepId: 'cut', jobId: 'deck' })
  hours('b', 'tam', '2027-04-10', 2.5, { stepId: 'cut', jobId: 'deck' })
  hours('c', 'ida', '2027-04-11', 1, { kind: 'travel' })
  hours('e', 'abe', '2027-04-12', 1, { stepId: 'cut', jobId: 'deck' })
  hours('f', 'abe', '2027-04-12', 1.5, { kind: 'setUp' })
  // It was not three hours but four, and on the day before.
  hours('d', 'ida', '2027-04-09', 4, { stepId: 'cut', jobId: 'deck', correctsId: 'a' })
  return rows
}

describe('hours written down', () => {
  it('add up by person and by job, corrected ones once', () => {
    const { byPerson, byJob } = hoursTotals(worked())
    expect(byPerson).toEqual([
      { id: 'ida', name: 'Ida', workHours: 4, otherHours: 1 },
      { id: 'abe', name: 'Abe', workHours: 1, otherHours: 1.5 },
      { id: 'tam', name: 'Tam', workHours: 2.5, otherHours: 0 },
    ])
    expect(byJob).toEqual([
      { id: 'deck', name: 'Deck', workHours: 7.5, otherHours: 0 },
      { id: '', name: 'On no job', workHours: 0, otherHours: 2.5 },
    ])
  })

  it('go out with their dates, oldest first, without what was put right', () => {
    expect(hoursTable(worked()).slice(1)).toEqual([
      ['2027-04-09', 'Ida', 4, 'work', 'Deck', 'Cut', ''],
      ['2027-04-10', 'Tam', 2.5, 'work', 'Deck', 'Cut', ''],
      ['2027-04-11', 'Ida', 1, 'travel', '', '', ''],
      ['2027-04-12', 'Abe', 1, 'work', 'Deck', 'Cut', ''],
      ['2027-04-12', 'Abe', 1.5, 'setUp', '', '', ''],
    ])
  })
})

describe('a value in words', () => {
  const rows = worked()
  it.each([
    ['step', 'jobId', 'deck', 'Deck'],
    ['step', 'jobId', 'gone', 'one that was removed'],
    ['step', 'notBefore', '2027-05-01', 'Sat 1 May 2027'],
    ['step', 'hoursLikely', 1.5, '1 h 30'],
    ['step', 'parallel', true, 'yes'],
    ['step', 'parallel', false, 'no'],
    ['step', 'notBefore', null, 'nothing'],
    ['personDay', 'kind', 'cannotCome', 'cannot come'],
    ['person', 'skills', ['aloft', 'electrics'], 'aloft, electrics'],
    // 08:30 in Dublin in summer is 07:30 UTC.
    ['clock', 'startedAt', Date.UTC(2027, 3, 17, 7, 30), 'Sat 17 Apr 2027 08:30'],
    ['job', 'title', 'x'.repeat(200), `${'x'.repeat(79)}…`],
  ] as const)('%s.%s %s', (entity, field, value, said) =>
    expect(sayValue(entity, field, value, rows)).toBe(said),
  )
})
