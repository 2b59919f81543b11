/** Steps as they really go: counts and pace, readings and what they hold, rounds, doing again, good enough for now. */
import { describe, expect, it } from 'vitest'
import type { Step } from '../model/entities'
import { makePlan } from '../plan/makePlan'
import { add, emptyRefit, job, person, step } from '../testing/build'
import type { Building } from '../testing/build'
import { supposing } from '../model/applyChange'
import { countOf, nextUnit, unitOrder, unitsDoneOf } from './counted'
import { backTo, didNotWork } from './didNotWork'
import { makeProvisional, provisionals } from './provisional'
import { failedReadings, limitsOf, sayLimits, verdictOf } from './readings'
import { afterRound, isOverMost, roundsLeft } from './rounds'
import { acceptShort, isAtStop, restLater, sayShort } from './stopShort'

const saturday = Date.UTC(2027, 3, 17)

function holes(given: object = {}): { rows: Building; hole: Step } {
  const rows = emptyRefit()
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'dated', on: '2027-06-01' })
  person(rows, 'Ann', [6], '08:00', '18:00')
  add(rows, 'place', 'berth', { name: 'B', kind: 'berth', setUpMin: 0, packUpMin: 0 })
  job(rows, 'Bitt', { gateId: 'launch' })
  const hole = step(rows, 'Bitt', 'holes', {
    operation: 'drill',
    hoursLikely: 4,
    unitName: 'holes',
    unitCount: 20,
    readWhat: 'Moisture',
    readUnit: '%',
    readHigh: 12,
    readFailAt: 15,
    ...given,
  })
  return { rows, hole }
}
let read = 0
const reading = (rows: Building, value: number, unitNo: number | null, at = read++) =>
  add(rows, 'reading', `r${read++}`, { stepId: 'holes', what: 'Moisture', value, unitNo, at })

describe('a counted step', () => {
  it('goes by the plan for the first units, and by what they took from the third on', () => {
    const { hole } = holes()
    // 4 h for 20: twelve minutes each.
    expect(countOf({ ...hole, unitsDone: 2 }, 2)).toMatchObject({
      left: 18,
      hoursEach: 0.2,
      measured: false,
    })
    // Five in two hours: 24 min each, fifteen left ask for six hours.
    expect(countOf({ ...hole, unitsDone: 5 }, 2)).toMatchObject({
      left: 15,
      hoursEach: 0.4,
      hoursLeft: 6,
    })
    expect(countOf({ ...hole, unitCount: null }, 2)).toBeNull()
  })
  it('is planned for what is left at its pace', () => {
    const { rows } = holes({ state: 'doing', unitsDone: 15 })
    add(rows, 'hoursEntry', 'h', { stepId: 'holes', personId: 'Ann', on: '2027-04-10', hours: 6 })
    const [placed] = makePlan(rows, saturday).plan.placements
    // 24 min each and five left: two hours.
    expect(placed?.segments).toEqual([[saturday + 8 * 3_600_000, saturday + 10 * 3_600_000]])
  })
  it('keeps the others back until the first has passed, and passes over those a reading holds', () => {
    const { rows, hole } = holes({ proveOnOne: true, unitsDone: 1 })
    expect(nextUnit(hole, rows.reading)).toMatchObject({ no: null })
    reading(rows, 19, 1)
    expect(nextUnit(hole, rows.reading).no).toBeNull()
    reading(rows, 11, 1)
    expect(nextUnit(hole, rows.reading)).toEqual({ no: 2, heldBecause: '' })
    reading(rows, 30, 2)
    // The second is held, so that the next is the third.
    expect(nextUnit(hole, rows.reading).no).toBe(3)
    // Nothing to read: made is proved.
    expect(nextUnit({ ...hole, readWhat: '' }, []).no).toBe(2)
    expect(nextUnit({ ...hole, unitsDone: 0 }, []).no).toBe(1)
    // Read and failed before it is counted: nothing goes on.
    const first = holes({ proveOnOne: true })
    reading(first.rows, 19, 1)
    expect(nextUnit(first.hole, first.rows.reading).no).toBeNull()
    expect(nextUnit({ ...first.hole, proveOnOne: false }, first.rows.reading).no).toBe(2)
  })
})

describe('a reading', () => {
  const { hole } = holes()
  const limits = limitsOf(hole)!
  it('passes up to the limit, is watched up to where it fails, and fails beyond', () => {
    expect([12, 12.1, 15, 15.1].map((value) => verdictOf(value, limits))).toEqual([
      'pass',
      'watch',
      'watch',
      'fail',
    ])
    const low = { ...limits, low: 12.4, high: null, failAt: 12 }
    expect([12.4, 12.3, 12, 11.9].map((value) => verdictOf(value, low))).toEqual([
      'pass',
      'watch',
      'watch',
      'fail',
    ])
    // With no such limit there is nothing to watch.
    expect(verdictOf(12.1, { ...limits, failAt: null })).toBe('fail')
  })
  it('counts by the last one of each unit', () => {
    const { rows, hole: own } = holes()
    reading(rows, 30, 9, 100)
    reading(rows, 10, 9, 90)
    reading(rows, 10, 4, 100)
    expect(failedReadings(own, rows.reading).map((one) => [one.unitNo, one.reading.value])).toEqual(
      [[9, 30]],
    )
    reading(rows, 11, 9, 110)
    expect(failedReadings(own, rows.reading)).toEqual([])
  })
  it('says its limits', () => {
    expect(sayLimits(limits, 'metric')).toBe('up to 12 %, fails over 15 %')
    expect(sayLimits({ ...limits, low: 9, high: null, failAt: 5 }, 'metric')).toBe(
      'from 9 %, fails under 5 %',
    )
  })
})

describe('rounds', () => {
  it('are planned as many as are likely, with a wait each', () => {
    const rows = emptyRefit()
    person(rows, 'Ann', [6], '08:00', '18:00')
    add(rows, 'place', 'berth', { name: 'B', kind: 'berth', setUpMin: 0, packUpMin: 0 })
    job(rows, 'Fair')
    const fair = step(rows, 'Fair', 'fair', {
      operation: 'fair',
      hoursLikely: 2,
      roundsLikely: 2,
      roundsMost: 3,
      waitKind: 'chem',
      waitHours: 10,
    })
    const [placed] = makePlan(rows, saturday).plan.placements
    // Two rounds of two hours at 20 °C, ten hours of cure after each: done at 12:00, ready twenty hours later.
    expect(placed?.segments).toEqual([[saturday + 8 * 3_600_000, saturday + 12 * 3_600_000]])
    expect(placed?.readyAt).toBe(saturday + 32 * 3_600_000)
    rows.step[0] = { ...fair, state: 'doing', round: 2 }
    const [again] = makePlan(rows, saturday).plan.placements
    expect([again?.segments[0]?.[1], again?.readyAt]).toEqual([
      saturday + 10 * 3_600_000,
      saturday + 20 * 3_600_000,
    ])
  })
  it('grow by one when the last likely one was not good enough, and end at the most', () => {
    expect(afterRound({ round: 1, roundsLikely: 3 })).toEqual({ round: 2, roundsLikely: 3 })
    expect(afterRound({ round: 2, roundsLikely: 2 })).toEqual({ round: 3, roundsLikely: 3 })
    expect([1, 2, 3].map((round) => roundsLeft({ roundsLikely: 2, round }))).toEqual([2, 1, 1])
    expect([2, 3, 4].map((round) => isOverMost({ round, roundsMost: 3 }))).toEqual([
      false,
      true,
      true,
    ])
  })
})

describe('what did not work', () => {
  function deck() {
    const rows = emptyRefit()
    job(rows, 'Deck')
    step(rows, 'Deck', 'prime', {
      operation: 'prime',
      hoursLikely: 1,
      state: 'done',
      doneAt: 1,
      order: 'b',
    })
    step(rows, 'Deck', 'lay', {
      operation: 'laminate',
      hoursLikely: 3,
      crewMin: 2,
      crewMax: 2,
      minTempC: 12,
      caution: 'Own',
      licensedKind: 'gas',
      order: 'c',
    })
    step(rows, 'Deck', 'fair', { operation: 'fair', hoursLikely: 2, order: 'd' })
    return rows
  }
  const made = { cause: 'Too cold', undoHours: 1, makeGoodHours: 0.5, makeGoodCureHours: 12 }
  let id = 0
  const newId = () => `n${id++}`
  it('is undone, made good and done again before what follows, with its need of crew, warmth and licence', () => {
    const rows = deck()
    const lay = rows.step[1]!
    expect(backTo(rows, lay).map((one) => one.id)).toEqual(['lay', 'prime'])
    const redo = didNotWork(rows, lay, { ...made, backToId: 'prime' }, newId)
    if (!redo.ok) throw new Error(redo.message)
    // 1 to undo, half an hour to make good, 1 of primer and 3 of plies.
    expect(redo.value.hours).toBe(5.5)
    const after = supposing(rows, redo.value.items)
    const titles = [...after.step]
      .sort((a, b) => (a.order < b.order ? -1 : 1))
      .map((one) => one.title)
    expect(titles).toEqual([
      'prime',
      'lay',
      'Undo: lay',
      'Make good before: lay',
      'Again: prime',
      'Again: lay',
      'fair',
    ])
    expect(after.step.find((one) => one.title === 'Again: lay')).toMatchObject({
      crewMin: 2,
      minTempC: 12,
      caution: 'Own',
      licensedKind: 'gas',
      state: 'open',
      redoesStepId: 'lay',
    })
    expect(after.step.find((one) => one.id === 'lay')?.state).toBe('done')
    expect(after.step.find((one) => one.title.startsWith('Make good'))).toMatchObject({
      waitKind: 'chem',
      waitHours: 12,
    })
  })
  it('wants a cause, and goes no further back than what is done', () => {
    const rows = deck()
    const lay = rows.step[1]!
    expect(didNotWork(rows, lay, { ...made, cause: ' ', backToId: 'lay' }, newId)).toMatchObject({
      ok: false,
    })
    expect(didNotWork(rows, lay, { ...made, backToId: 'fair' }, newId)).toMatchObject({ ok: false })
  })
})

describe('what is good enough for now', () => {
  it('makes the job that puts it right, and stays named until that is done', () => {
    const { rows, hole } = holes()
    const given = { missing: 'A fuse', notTrustedWith: 'the night', gateId: 'launch', hours: 2 }
    let id = 0
    const made = makeProvisional(rows, hole, given, () => `p${id++}`)
    if (!made.ok) throw new Error(made.message)
    const after = supposing(rows, made.value)
    expect(
      provisionals(after).map((one) => [one.step.id, one.gate?.id, one.rightBy?.title]),
    ).toEqual([['holes', 'launch', 'Make right: holes']])
    const right = after.job.find((one) => one.title === 'Make right: holes')
    expect(right).toMatchObject({ gateId: 'launch', parentJobId: 'Bitt' })
    const done = {
      ...after,
      step: after.step.map((one) =>
        one.jobId === right?.id ? { ...one, state: 'done' as const } : one,
      ),
    }
    expect(provisionals(done)).toEqual([])
    expect(makeProvisional(rows, hole, { ...given, missing: '' }, () => 'x')).toMatchObject({
      ok: false,
    })
    expect(makeProvisional(rows, hole, { ...given, gateId: null }, () => 'x')).toMatchObject({
      ok: false,
    })
  })
})

describe('no two neighbours', () => {
  it('takes every other one first, and leaves out what a reading holds', () => {
    const rows = emptyRefit()
    job(rows, 'J')
    const bolts = step(rows, 'J', 's', {
      unitCount: 7,
      unitsDone: 3,
      noNeighbours: true,
      readWhat: 'Moisture',
      readHigh: 12,
      readFailAt: 15,
    })
    expect(unitOrder(bolts)).toEqual([1, 3, 5, 7, 2, 4, 6])
    expect([...unitsDoneOf(bolts, [])]).toEqual([1, 3, 5])
    expect(nextUnit(bolts, []).no).toBe(7)
    const fails = add(rows, 'reading', 'r', {
      stepId: 's',
      what: 'Moisture',
      value: 20,
      unitNo: 3,
      at: 1,
    })
    expect([...unitsDoneOf(bolts, [fails])]).toEqual([1, 5, 7])
    expect(nextUnit(bolts, [fails]).no).toBe(2)
    expect(unitOrder({ unitCount: 3, noNeighbours: false })).toEqual([1, 2, 3])
  })
})

describe('a step that stops short', () => {
  const stopped = () => holes({ state: 'doing', unitsDone: 15, waitKind: 'chem', waitHours: 16 })
  it('is finished as far as it is, and the rest follows it with its cure', () => {
    const { rows, hole } = stopped()
    step(rows, 'Bitt', 'bed')
    const made = restLater(rows, hole, 6, () => 'rest')
    expect(made.ok).toBe(true)
    const after = made.ok ? supposing(rows, made.value) : rows
    const [first, rest, bed] = [...after.step].sort((a, b) => (a.order < b.order ? -1 : 1))
    // 4 h for 20: three hours for the fifteen, one for the five.
    expect(first).toMatchObject({ id: 'holes', state: 'done', unitCount: 15, hoursLikely: 3 })
    expect(rest).toMatchObject({
      id: 'rest',
      title: 'The rest: holes',
      state: 'open',
      unitCount: 5,
      unitsDone: 0,
      hoursLikely: 1,
      waitHours: 16,
      readHigh: 12,
    })
    expect(bed?.id).toBe('bed')
    expect(restLater(rows, { ...hole, unitsDone: 0 }, 0, () => 'x').ok).toBe(false)
    expect(restLater(rows, { ...hole, unitsDone: 20 }, 0, () => 'x').ok).toBe(false)
  })
  it('is accepted under a name, with a reason', () => {
    const { hole } = stopped()
    expect(acceptShort(hole, { because: ' ', byId: 'Ann' }).ok).toBe(false)
    expect(acceptShort(hole, { because: 'Under the tank', byId: null }).ok).toBe(false)
    const made = acceptShort(hole, { because: 'Under the tank.', byId: 'Ann' })
    expect(made.ok && made.value).toMatchObject([
      { patch: { state: 'done', shortBecause: 'Under the tank.', shortById: 'Ann' } },
    ])
    const short = { ...hole, shortBecause: 'Under the tank.', shortById: 'Ann' }
    expect(sayShort(short, (id) => id)).toBe(
      '15 of 20 holes, 5 left out: Under the tank. Ann says so.',
    )
    expect(sayShort(hole, (id) => id)).toBe('')
  })
  it('asks at its high estimate, and never where there is none', () => {
    expect([isAtStop(3, 2.9), isAtStop(3, 3), isAtStop(null, 99)]).toEqual([false, true, false])
  })
})
