/** Readiness of small boats, each state by its reason. */
import { describe, expect, it } from 'vitest'
import { outOfOrder } from '../order/outOfOrder'
import { Waits } from '../plan/waits'
import { add, emptyRefit, job, step } from '../testing/build'
import type { Building } from '../testing/build'
import { clock, may, now, planOf } from '../testing/orderRefit'
import { shortDate } from '../time/say'
import { ashoreLeft, doAfloat, putOff } from './ashoreLeft'
import { nextTimeAshore } from './nextTime'
import { readiness } from './readiness'
import { sayReadiness, sayStanding } from './readyWords'

function boat(): Building {
  const rows = emptyRefit()
  Object.assign(rows.refit[0] as object, { litresToSole: 900, pumpLMin: 66 })
  add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard' })
  add(rows, 'haulOut', 'haul', {
    name: 'Spring',
    placeId: 'yard',
    liftOutAimed: '2027-04-01',
    liftOutActual: '2027-04-01',
    launchAimed: '2027-05-20',
  })
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'haul' })
  add(rows, 'zone', 'hull', { name: 'Hull', strake: 'underwater', belowWaterline: true })
  add(rows, 'person', 'ida', { name: 'Ida', order: 'a' })
  add(rows, 'hullOpening', 'valve', {
    title: 'Valve',
    zoneId: 'hull',
    heightM: -0.6,
    boreMm: 38,
    plug: 'tied',
    jobIds: ['work'],
    order: 'a',
  })
  job(rows, 'work', { title: 'Valve renewed', zoneId: 'hull', gateId: 'launch' })
  return rows
}

function read(rows: Building, plan = planOf({})) {
  const haulOut = rows.haulOut[0]
  if (!haulOut) throw new Error('no haul-out')
  const date = (at: number) => shortDate(at, clock, '2027')
  const found = readiness({
    rows,
    plan,
    clock,
    waits: new Waits(rows, clock),
    now,
    haulOut,
    found: outOfOrder(rows, plan, clock, now),
    date,
  })
  const line = (key: string) => {
    const item = [...found.openings, ...found.before].find((one) => one.key === key)
    if (!item) throw new Error(`no line ${key}`)
    return item
  }
  const said = (key: string) => [line(key).evidence, sayStanding(line(key), date)]
  return { found, line, said }
}

const valve = 'opening valve'

describe('an opening', () => {
  it('that nobody has touched, tried or signed stops her, and says what it lets in', () => {
    const { said, line } = read(boat())
    expect(said(valve)).toEqual(['no work, no test, no signature', 'stops, no plan'])
    // 0.62 × π/4 × 0.038² × √(2 × 9.81 × 0.6) = 2.41 L/s; a pump of 66 lifts 33: 900 ÷ 111.7 = 8.06.
    expect(line(valve).risk).toBe('145 L a minute, 9 min to the sole')
  })
  it('stops her until its last cure by the plan', () => {
    const rows = boat()
    step(rows, 'work', 'Bed it', { operation: 'bed' })
    step(rows, 'work', 'Work it ten times', { operation: 'test' })
    const plan = planOf({
      'Bed it': [may(8), may(8, 11), may(12)],
      'Work it ten times': [may(12), may(12, 10)],
    })
    expect(read(rows, plan).said(valve)).toEqual([
      'Bed it 8 May, then Work it ten times',
      'stops until 12 May',
    ])
    expect(read(rows, planOf({ 'Bed it': [may(8), may(8, 11)] })).said(valve)).toEqual([
      'Bed it 8 May, Work it ten times has no day',
      'stops, no plan',
    ])
  })
  it('runs while its sealant has not had its time for water', () => {
    const rows = boat()
    add(rows, 'product', 'p', { name: 'Sealant', kind: 'sealant', waterH: 168 })
    step(rows, 'work', 'Bed it', {
      operation: 'bed',
      productId: 'p',
      waitKind: 'moisture',
      waitHours: 24,
      hullNeed: 'ashore',
      state: 'done',
      doneAt: Date.UTC(2027, 3, 28, 9),
    })
    expect(read(rows).said(valve)).toEqual([
      'Bed it 28 Apr, until it takes water',
      'runs until 5 May',
    ])
  })
  it('is proven by a test of this time ashore, asked for a look by an older one, and tried again after later work', () => {
    const rows = boat()
    const done = (id: string, operation: 'fit' | 'test', at: number, more: object = {}) =>
      step(rows, 'work', id, { operation, state: 'done', doneAt: at, ...more })
    done('Lap it', 'fit', Date.UTC(2027, 1, 10))
    done('Work it', 'test', Date.UTC(2027, 1, 11))
    expect(read(rows).said(valve)).toEqual(['Work it 11 Feb', 'look again'])
    done('Hose off', 'fit', Date.UTC(2027, 3, 10))
    expect(read(rows).said(valve)).toEqual([
      'Hose off 10 Apr, tried only before it',
      'done, not tried',
    ])
    done('Work it again', 'test', Date.UTC(2027, 3, 11), { readWhat: 'Turns', readHigh: 10 })
    expect(read(rows).said(valve)).toEqual(['Work it again 11 Apr', 'proven'])
    add(rows, 'reading', 'r', {
      stepId: 'Work it again',
      what: 'Turns',
      value: 14,
      at: Date.UTC(2027, 3, 11),
    })
    expect(read(rows).said(valve)).toEqual([
      'Work it again: read, and outside its limits',
      'stops, no plan',
    ])
  })
  it('is not opened by work that the plan has after this launch', () => {
    const rows = boat()
    Object.assign(rows.job[0] as object, { gateId: null })
    step(rows, 'work', 'Strip it', { operation: 'strip' })
    expect(read(rows, planOf({ 'Strip it': [may(25), may(25, 10)] })).said(valve)).toEqual([
      '“Valve renewed” comes only after this launch',
      'look again',
    ])
    step(rows, 'work', 'Off', { operation: 'strip', state: 'done', doneAt: may(1, 8) })
    expect(read(rows, planOf({ 'Strip it': [may(25), may(25, 10)] })).said(valve)[1]).toBe(
      'stops until 25 May',
    )
  })
})

describe('a signature', () => {
  const sign = (rows: Building, more: object) =>
    add(rows, 'readySign', 's', {
      haulOutId: 'haul',
      item: valve,
      personId: 'ida',
      because: 'looked',
      at: may(1, 8),
      ...more,
    })
  it('proves what has no open work, and not what has', () => {
    const rows = boat()
    sign(rows, {})
    expect(read(rows).said(valve)).toEqual(['Ida, 1 May: looked', 'proven'])
    step(rows, 'work', 'Bed it', { operation: 'bed' })
    expect(read(rows).line(valve)).toMatchObject({ state: 'stops' })
    expect(read(rows).said(valve)[0]).toMatch(/signed Ida, 1 May: looked, and work is open$/)
  })
  it('skips with the cost of being wrong, and counts for its own launch alone', () => {
    const rows = boat()
    sign(rows, { as: 'skipped' })
    expect(read(rows).said(valve)).toEqual([
      'Ida, 1 May: looked; 145 L a minute, 9 min to the sole if wrong',
      'skipped, signed',
    ])
    Object.assign(rows.readySign[0] as object, { haulOutId: 'other' })
    expect(read(rows).line(valve).state).toBe('stops')
  })
  it('for the whole launch is kept beside what stops her', () => {
    const rows = boat()
    sign(rows, { as: 'anyway', item: 'launch' })
    expect(read(rows).found.anyway?.because).toBe('looked')
    expect(sayReadiness(read(rows).found).yes).toBe(false)
  })
})

describe('lines before the lift', () => {
  it('name the plugs that are missing, and the day’s own', () => {
    const rows = boat()
    expect(read(rows).said('plugs')[1]).toBe('to be looked at')
    add(rows, 'hullOpening', 'log', { title: 'Log', boreMm: 51, order: 'b' })
    expect(read(rows).said('plugs')).toEqual(['1 of 2 without a plug: 51 mm', 'stops, no plan'])
    expect(read(rows).said('day')[1]).toBe('on the day')
  })
  it('want the patches coated after she was moved, by the one order rule', () => {
    const rows = boat()
    job(rows, 'yard', { title: 'Bottom', zoneId: 'hull', gateId: 'launch' })
    step(rows, 'yard', 'Antifoul', { operation: 'antifoul' })
    step(rows, 'yard', 'Move her', { operation: 'move' })
    const plan = planOf({ Antifoul: [may(5), may(5, 12)], 'Move her': [may(6), may(6, 10)] })
    expect(read(rows, plan).line('patches').state).toBe('stops')
    step(rows, 'yard', 'Under the stands', { operation: 'antifoul' })
    const coated = planOf({
      Antifoul: [may(5), may(5, 12)],
      'Move her': [may(6), may(6, 10)],
      'Under the stands': [may(7), may(7, 10), may(8)],
    })
    expect(read(rows, coated).said('patches')).toEqual([
      'Move her 6 May, then Under the stands',
      'stops until 8 May',
    ])
    expect(read(rows, coated).said('antifoul')).toEqual(['Antifoul 5 May', 'stops until 5 May'])
    // A job that no gate waits for and the plan has no day for is not denied.
    const lone = boat()
    job(lone, 'coat', { title: 'Antifoul her', gateId: null })
    step(lone, 'coat', 'roll', { operation: 'antifoul' })
    expect(read(lone).said('antifoul')).toEqual(['“Antifoul her” stands open', 'stops, no plan'])
  })
  it('ask the crane firm, again when work changes what she weighs', () => {
    const rows = boat()
    expect(read(rows).line('slings').state).toBe('look')
    add(rows, 'liftSheet', 'l', { haulOutId: 'haul', askedOn: '2027-04-20', askedT: 11 })
    expect(read(rows).said('slings')[0]).toBe('asked 20 Apr, told 11 t; their lift plan decides')
    job(rows, 'engine', { title: 'Engine out', gateId: 'launch', addsKg: -300 })
    step(rows, 'engine', 'Engine lifted out')
    expect(
      read(rows, planOf({ 'Engine lifted out': [may(4), may(4, 12)] })).line('slings').state,
    ).toBe('stops')
  })
  it('take a job that drills her under water for a line though no opening names it', () => {
    const rows = boat()
    job(rows, 'log', { title: 'Log through the hull', zoneId: 'hull', gateId: 'launch' })
    step(rows, 'log', 'Drill', { operation: 'drill' })
    step(rows, 'log', 'Bed', { operation: 'bed' })
    const { line } = read(
      rows,
      planOf({ Drill: [may(5), may(5, 10)], Bed: [may(5, 10), may(5, 11)] }),
    )
    expect(line('job log')).toMatchObject({ title: 'Log through the hull', state: 'stops' })
  })
  it('go by what a step says of itself: a pilot hole opens nothing, an insert that is drawn does', () => {
    const isLine = (more: object) => {
      const rows = boat()
      job(rows, 'log', { title: 'Log', zoneId: 'hull', gateId: 'launch' })
      step(rows, 'log', 'Work', more)
      const { found } = read(rows, planOf({ Work: [may(5), may(5, 10)] }))
      return [...found.openings, ...found.before].some((one) => one.key === 'job log')
    }
    expect(isLine({ operation: 'drill' })).toBe(true)
    expect(isLine({ operation: 'drill', opens: false })).toBe(false)
    expect(isLine({ operation: 'fit' })).toBe(false)
    expect(isLine({ operation: 'fit', opens: true })).toBe(true)
  })
})

describe('what is left ashore', () => {
  const rows = boat()
  step(rows, 'work', 'Bed it', { operation: 'bed', hullNeed: 'ashore' })
  job(rows, 'rail', { title: 'Rail', gateId: 'launch' })
  step(rows, 'rail', 'Fit it', { access: 'cramped', hoursLikely: 3 })
  add(rows, 'haulOut', 'later', {
    name: 'Autumn',
    placeId: 'yard',
    liftOutAimed: '2027-10-01',
    launchAimed: '2028-05-01',
  })
  add(rows, 'gate', 'next', { name: 'Launch two', kind: 'launch', haulOutId: 'later' })
  const plan = planOf({ 'Bed it': [may(8), may(8, 11), may(12)], 'Fit it': [may(15), may(15, 12)] })
  const left = ashoreLeft(rows, plan, 'haul', clock, new Waits(rows, clock))
  it('stands with when each is ready, the last first, and what could float', () => {
    expect(left?.jobs.map((one) => [one.job.id, one.readyAt, one.mayFloat])).toEqual([
      ['rail', may(15, 12), true],
      ['work', may(12), false],
    ])
    expect(left?.nextGate?.id).toBe('next')
  })
  it('is put off, or done afloat at the price of worse access', () => {
    const [rail] = left?.jobs ?? []
    if (!rail || !left?.nextGate) throw new Error('nothing left')
    expect(putOff(rail, left.nextGate)).toMatchObject([{ id: 'rail', patch: { gateId: 'next' } }])
    expect(doAfloat(rail)).toMatchObject([
      { id: 'rail', patch: { gateId: null } },
      { id: 'Fit it', patch: { hullNeed: 'afloat', access: 'blind' } },
    ])
  })
  it('goes on the list for the next time with what is watched and skipped', () => {
    job(rows, 'keel', { title: 'Keel bolts', gateId: 'next', zoneId: 'hull' })
    step(rows, 'keel', 'Draw one')
    add(rows, 'finding', 'f', {
      title: 'Blister',
      zoneId: 'hull',
      state: 'watch',
      reason: 'small',
      lookAgainOn: '2027-10-01',
      foundAt: 0,
    })
    add(rows, 'readySign', 's', {
      haulOutId: 'haul',
      item: valve,
      as: 'skipped',
      because: 'tight',
      personId: 'ida',
      at: now,
    })
    // What waits for a lift-out, half gone by then, and read with her out; and what is none of that.
    add(rows, 'check', 'skeg', { title: 'Skeg hairline', atHaulOut: true, order: 'b' })
    add(rows, 'check', 'raft', { title: 'Raft', dueOn: '2027-08-01', order: 'c' })
    for (const [id, weightG] of [
      ['Shaft', 500],
      ['Rudder', 999],
    ] as const) {
      add(rows, 'anode', id, { title: id, newG: 1000, fittedOn: '2027-01-01', order: id })
      add(rows, 'anodeWeighing', id, { anodeId: id, on: '2027-03-01', weightG })
    }
    const trial = { wayA: 'Hard', wayB: 'Soft', outOf: 40 }
    add(rows, 'trial', 'paint', { ...trial, title: 'Paint', jobId: 'keel', order: 'b' })
    add(rows, 'trial', 'told', { ...trial, title: 'Told', jobId: 'keel', verdict: 'a', order: 'c' })
    add(rows, 'trial', 'dry', { ...trial, title: 'On deck', order: 'd' })
    expect(
      nextTimeAshore(rows, 'haul', {
        plan,
        date: (on) => on,
        today: '2027-04-17',
        isAfloat: () => true,
      }).map((one) => [one.what, one.why]),
    ).toEqual([
      ['Keel bolts', 'of that launch'],
      ['Valve', 'skipped at this launch: tight'],
      ['Blister', 'watched, look again 2027-10-01'],
      ['Skeg hairline', 'check at the next haul-out'],
      ['Shaft', 'half gone 2027-03-01 at its pace'],
      ['Paint', 'trial not settled: read it with her out'],
    ])
  })
})
