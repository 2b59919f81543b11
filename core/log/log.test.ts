/** The book by hand: how far apart two ways are, what is due when, what is missing, what came again. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { derive } from '../progress/derive'
import { add, emptyRefit, job, step } from '../testing/build'
import type { Building } from '../testing/build'
import { dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { checkDone, checksDue, likelyOn, meterStates, monthsLater } from './checks'
import { cameAgain, historyOf, monthsBetween } from './history'
import { bookRecord } from './systems'
import { shareDifference, trialStates } from './trials'

const clock = zoneClock('UTC')
const afloat = () => true

describe('a trial', () => {
  it('of 21 and 9 squares of 40 is 30 points apart, give or take 13', () => {
    const { difference, halfWidth } = shareDifference(21, 40, 9, 40)
    expect(difference).toBeCloseTo(0.3, 9)
    // 1.2816 × √(0.525 × 0.475 / 40 + 0.225 × 0.775 / 40) = 1.2816 × 0.1029.
    expect(halfWidth).toBeCloseTo(0.1319, 4)
  })
  const read = (
    better: 'fewer' | 'more',
    counts: readonly (readonly ['a' | 'b', string, number])[],
  ) => {
    const rows = emptyRefit()
    add(rows, 'trial', 't', {
      title: 'T',
      wayA: 'Hard',
      wayB: 'Soft',
      outOf: 40,
      better,
      order: 'a',
    })
    counts.forEach(([way, on, count], index) =>
      add(rows, 'trialReading', `r${index}`, { trialId: 't', way, on, count }),
    )
    return trialStates(rows)[0]?.difference ?? null
  }
  it('goes by the last readings, and by what is better', () => {
    const counts = [
      ['a', '2026-07-04', 20],
      ['b', '2026-07-04', 1],
      ['b', '2026-10-03', 21],
      ['a', '2026-10-03', 9],
    ] as const
    expect(read('fewer', counts)).toMatchObject({ better: { name: 'Hard' }, isClear: true })
    expect(read('more', counts)?.better.name).toBe('Soft')
  })
  it('is not clear within its doubt, and says nothing with one way read', () => {
    expect(
      read('fewer', [
        ['a', '2026-07-04', 9],
        ['b', '2026-07-04', 11],
      ])?.isClear,
    ).toBe(false)
    expect(read('fewer', [['a', '2026-07-04', 9]])).toBeNull()
  })
})

describe('checks', () => {
  const boat = () => {
    const rows = emptyRefit()
    add(rows, 'meter', 'engine', { title: 'Engine', unit: 'h', order: 'a' })
    const read = (on: string, value: number) =>
      add(rows, 'meterReading', on, { meterId: 'engine', on, value })
    read('2026-05-01', 100)
    read('2026-07-10', 128)
    return rows
  }
  const check = (rows: Building, id: string, given: object) =>
    add(rows, 'check', id, { title: id, order: id, ...given })
  it('are due by the first of a date, a meter and the next lift-out, late ones first', () => {
    const rows = boat()
    add(rows, 'haulOut', 'h', { name: 'h', liftOutAimed: '2026-10-03', launchAimed: '2027-05-22' })
    check(rows, 'bottles', { dueOn: '2026-07-01' })
    check(rows, 'impeller', { meterId: 'engine', dueAtValue: 150 })
    check(rows, 'bearing', { atHaulOut: true })
    check(rows, 'either', { dueOn: '2027-01-01', atHaulOut: true })
    add(rows, 'asBuiltSheet', 's', {
      title: 'Sheet',
      nextCheckOn: '2026-08-15',
      nextCheckWhat: 'Butyl',
    })
    const due = checksDue(rows, '2026-07-17', afloat)
    // 28 h in 70 days are 0.4 a day: 22 h more take 55 days from 10 July.
    expect(due.map((one) => [one.title, one.on, one.inDays, one.isLikely])).toEqual([
      ['bottles', '2026-07-01', -16, false],
      ['Butyl', '2026-08-15', 29, false],
      ['impeller', '2026-09-03', 48, true],
      ['bearing', '2026-10-03', 78, false],
      ['either', '2026-10-03', 78, false],
    ])
    expect(due[2]?.by).toBe('at 150 h, now 128')
  })
  it('by a meter wait while she is ashore', () => {
    const [state] = meterStates(boat(), afloat)
    if (!state) throw new Error('no meter')
    const ashore = (day: number) => day < dayNumber('2026-07-20') || day >= dayNumber('2026-08-20')
    expect(likelyOn(state, 150, afloat)).toBe('2026-09-03')
    // Thirty-one days ashore come on top.
    expect(likelyOn(state, 150, ashore)).toBe('2026-10-04')
    expect(likelyOn(state, 150, () => false)).toBeNull()
    expect(likelyOn(state, 120, afloat)).toBe('2026-07-10')
  })
  it('once done set their next, by months and by the meter, and go when they come but once', () => {
    const rows = boat()
    const done = { on: '2026-08-31', note: 'fine', personId: null }
    const next = (given: object, meterNow: number | null = null) => {
      const item = checkDone(check(rows, `c${rows.check.length}`, given), done, meterNow)
      return item.op === 'patch' ? item.patch : {}
    }
    expect(next({ dueOn: '2026-08-01', everyMonths: 6 })).toMatchObject({
      dueOn: '2027-02-28',
      doneOn: '2026-08-31',
      doneNote: 'fine',
    })
    expect(next({ dueAtValue: 150, everyValue: 150 }, 156)).toMatchObject({ dueAtValue: 306 })
    expect(next({ dueOn: '2026-08-01' })).toMatchObject({ dueOn: null, atHaulOut: false })
    expect(next({ atHaulOut: true })).toMatchObject({ atHaulOut: true })
    const once = check(rows, 'once', { doneOn: '2026-08-01' })
    expect(checksDue(rows, '2026-08-02', afloat).map((one) => one.key)).not.toContain(once.id)
  })
  it('come so many months later as the months are long', () => {
    expect(monthsLater('2027-01-31', 1)).toBe('2027-02-28')
    expect(monthsLater('2027-11-15', 14)).toBe('2029-01-15')
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 20_000 }),
        fc.integer({ min: 1, max: 60 }),
        (day, months) => {
          const on = new Date(day * 86_400_000).toISOString().slice(0, 10)
          const later = monthsLater(on, months)
          expect(monthsBetween(on, later)).toBeGreaterThanOrEqual(months - 1)
          expect(monthsBetween(on, later)).toBeLessThanOrEqual(months)
          expect(later > on).toBe(true)
        },
      ),
    )
  })
})

describe('the record', () => {
  it('counts what is written, missing and not wanted, and says which form closes most', () => {
    const rows = emptyRefit()
    add(rows, 'system', 'deck', { name: 'Deck', kind: 'deck', order: 'a' })
    add(rows, 'system', 'interior', { name: 'Interior', kind: 'interior', order: 'b' })
    job(rows, 'bases', { systemId: 'deck', purpose: 'float' })
    job(rows, 'trim', { systemId: 'interior', purpose: 'shine' })
    job(rows, 'hatch', { systemId: 'interior', purpose: 'float' })
    step(rows, 'hatch', 'done', { state: 'done', doneAt: 1000 })
    const sheet = (id: string, given: object) =>
      add(rows, 'asBuiltSheet', id, { title: id, ...given })
    sheet('one', { jobId: 'bases', systemId: 'deck', takeApart: 'from below' })
    sheet('two', { jobId: 'trim', systemId: 'interior' })
    add(rows, 'asBuiltLine', 'l', { sheetId: 'one', kind: 'material', what: 'Butyl', order: 'a' })
    add(rows, 'asBuiltTest', 't', {
      sheetId: 'one',
      what: 'Hose',
      measured: 'dry',
      outcome: 'passed',
      order: 'a',
    })
    add(rows, 'check', 'c', { title: 'Nip up', sheetId: 'one', dueOn: '2027-05-02', order: 'a' })
    const record = bookRecord(rows, derive(rows, null, 2000).jobs)
    const [deck, interior] = record.systems
    expect(deck?.sheets[0]?.marks).toEqual({
      materials: 'written',
      sizes: 'missing',
      tests: 'written',
      pictures: 'missing',
      takeApart: 'written',
      nextCheck: 'written',
    })
    expect(deck?.mend).toMatchObject({ kind: 'fill', holes: 2 })
    expect(interior?.sheets[0]?.marks).toMatchObject({ tests: 'notWanted', nextCheck: 'notWanted' })
    expect(interior?.mend).toMatchObject({ kind: 'write', job: { id: 'hatch' } })
    // Six and four lines wanted, four written.
    expect(record).toMatchObject({ sheets: 2, missing: 6, unwritten: 1, share: 0.4 })
    expect(bookRecord(emptyRefit(), new Map()).share).toBeNull()
  })
})

describe('a place', () => {
  const at = (on: string) => Date.parse(`${on}T12:00:00Z`)
  const rows = emptyRefit()
  add(rows, 'zone', 'bow', { name: 'Bow', strake: 'deck' })
  job(rows, 'bedded', { title: 'Drain bedded', zoneId: 'bow' })
  step(rows, 'bedded', 'b', { state: 'done', doneAt: at('2026-01-10') })
  job(rows, 'again', { title: 'Drain again', zoneId: 'bow' })
  step(rows, 'again', 'a')
  add(rows, 'asBuiltSheet', 's', { title: 'Drain', jobId: 'bedded' })
  add(rows, 'asBuiltLine', 'l', {
    sheetId: 's',
    kind: 'material',
    what: 'Polysulphide',
    order: 'a',
  })
  add(rows, 'earlierWork', 'e', {
    zoneId: 'bow',
    what: 'Silicone',
    year: 2011,
    byWhom: 'owner before',
  })
  const found = (id: string, on: string, againAfterJobId: string | null) =>
    add(rows, 'finding', id, { title: id, zoneId: 'bow', foundAt: at(on), againAfterJobId })
  found('weeps', '2027-03-21', 'bedded')
  found('other', '2027-04-01', null)
  found('before it was done', '2025-12-01', 'bedded')
  it('tells how long a repair held, with what', () => {
    expect(cameAgain(rows, clock)).toEqual([
      {
        findingId: 'weeps',
        zoneId: 'bow',
        title: 'weeps',
        repair: 'Drain bedded, with Polysulphide',
        doneOn: '2026-01-10',
        foundOn: '2027-03-21',
        months: 14,
      },
    ])
    expect(monthsBetween('2026-01-10', '2026-02-09')).toBe(0)
    expect(monthsBetween('2026-01-10', '2026-02-10')).toBe(1)
  })
  it('has all that was ever done in time, before us and still to come', () => {
    const told = historyOf(rows, 'bow', clock, (id) => (id === 'again' ? '2027-05-01' : null))
    expect(told.map((one) => [one.on, one.kind, one.what])).toEqual([
      ['2011-07-01', 'before', 'Silicone'],
      ['2025-12-01', 'found', 'before it was done'],
      ['2026-01-10', 'done', 'Drain bedded'],
      ['2027-03-21', 'found', 'weeps'],
      ['2027-04-01', 'found', 'other'],
      ['2027-05-01', 'toCome', 'Drain again'],
    ])
  })
})
