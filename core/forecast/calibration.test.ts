/** Guess against truth by hand, and the switch that acts wherever hours are planned. */
import { describe, expect, it } from 'vitest'
import { supposing } from '../model/applyChange'
import { settleStep } from '../model/settle'
import { makePlan } from '../plan/makePlan'
import { plannedHours } from '../plan/planned'
import { derive } from '../progress/derive'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { calibrated, calibrationOf, calibrations, factors } from './calibration'

const now = Date.UTC(2027, 3, 17, 8)

/** Two steps of fitting that took 2 × and 4 × their guess; a painting that says nothing. */
function refit() {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '08:00', '18:00')
  person(rows, 'ola', [6, 7], '08:00', '18:00')
  job(rows, 'j')
  const done = (id: string, operation: 'fit' | 'paint', more: object = {}) =>
    step(rows, 'j', id, { operation, hoursLikely: 2, state: 'done', doneAt: now - 1e9, ...more })
  const took = (id: string, stepId: string, hours: number, more: object = {}) =>
    add(rows, 'hoursEntry', id, { stepId, personId: 'ida', on: '2027-04-03', hours, ...more })
  done('plain', 'fit')
  took('a', 'plain', 3)
  took('b', 'plain', 7)
  took('b2', 'plain', 1, { correctsId: 'b', personId: 'ola' })
  took('drive', 'plain', 2, { kind: 'travel' })
  took('again', 'plain', 5, { reworkCause: 'did not fit' })
  done('awkward', 'fit', { access: 'awkward' })
  took('c', 'awkward', 10.4)
  done('short', 'paint', { shortBecause: 'rain' })
  took('d', 'short', 1)
  step(rows, 'j', 'going', { operation: 'paint', hoursLikely: 2, state: 'doing' })
  took('e', 'going', 9)
  return rows
}

describe('guess against truth', () => {
  it('leans to 1.6 where steps are few', () => {
    // (4 ln 1.6 + ln 2 + ln 4) ÷ 6 = 0.65991; half a band 1.28 × 0.6 ÷ √6 = 0.31354.
    expect(calibrationOf([2, 4])).toEqual({
      steps: 2,
      mean: expect.closeTo(2.8284, 4),
      factor: expect.closeTo(1.9346, 4),
      low: expect.closeTo(1.414, 3),
      high: expect.closeTo(2.647, 3),
    })
    expect(calibrationOf([])).toMatchObject({ mean: null, factor: expect.closeTo(1.6, 9) })
  })
  it('takes finished steps alone, corrections once, and no travel or work done again', () => {
    const all = calibrations(refit())
    expect(all.map((one) => one.operation)).toEqual(['fit'])
    expect(all[0]?.guessed).toEqual([
      { stepId: 'plain', operation: 'fit', ratio: 2, personId: null },
      { stepId: 'awkward', operation: 'fit', ratio: expect.closeTo(4, 9), personId: 'ida' },
    ])
    expect(all[0]?.people).toEqual([])
  })
  it('knows a person after three steps of their own', () => {
    const rows = refit()
    for (const id of ['x', 'y', 'z']) {
      step(rows, 'j', id, { operation: 'fit', hoursLikely: 1, state: 'done' })
      add(rows, 'hoursEntry', id, { stepId: id, personId: 'ola', on: '2027-04-03', hours: 1 })
    }
    // (4 ln 1.6) ÷ 7 = 0.26857.
    expect(calibrations(rows)[0]?.people).toEqual([
      expect.objectContaining({ personId: 'ola', steps: 3, factor: expect.closeTo(1.3081, 4) }),
    ])
  })
})

describe('the switch', () => {
  function open() {
    const rows = refit()
    rows.step = rows.step.filter((one) => one.id !== 'going')
    step(rows, 'j', 'fitting', { operation: 'fit', hoursLikely: 10 })
    step(rows, 'j', 'painting', { operation: 'paint', hoursLikely: 10 })
    step(rows, 'j', 'crane', { operation: 'lift', hoursLikely: 3 })
    step(rows, 'j', 'theirs', { operation: 'wire', hoursLikely: 4 })
    add(rows, 'tradeBooking', 't', {
      stepId: 'theirs',
      trade: 'T',
      from: '2027-05-01',
      to: '2027-05-01',
      state: 'booked',
    })
    return rows
  }
  const on = (rows: ReturnType<typeof open>) =>
    supposing(rows, [
      { op: 'patch', entity: 'refit', id: 'r', baseVersion: 1, patch: { calibrate: true } },
    ])

  it('takes 10 h of fitting at 19.3, of painting nobody did at 16, and leaves what is not ours', () => {
    const rows = calibrated(on(open()))
    const hours = (id: string) =>
      plannedHours(rows.step.find((one) => one.id === id) ?? rows.step[0]!)
    expect(hours('fitting')).toBeCloseTo(19.346, 3)
    expect(hours('painting')).toBeCloseTo(16, 9)
    expect([hours('crane'), hours('theirs'), hours('plain')]).toEqual([3, 4, 2])
    expect(factors(open())('lift')).toBe(1)
  })
  it('moves the figures and the plan by what it adds, and back', () => {
    const plain = open()
    const added = 9.346 + 6
    expect(derive(on(plain), null, now).hoursOpen - derive(plain, null, now).hoursOpen).toBeCloseTo(
      added,
      3,
    )
    const worked = (rows: typeof plain) =>
      makePlan(rows, now)
        .plan.placements.filter((one) => one.stepId !== 'theirs')
        .reduce(
          (sum, one) =>
            sum +
            one.segments.reduce((all, [from, to]) => all + to - from, 0) * one.personIds.length,
          0,
        ) / 3_600_000
    // Up to full five minutes a step.
    expect(worked(on(plain) as typeof plain) - worked(plain)).toBeCloseTo(added, 0)
    const marked = calibrated(on(plain))
    const off = supposing(marked, [
      { op: 'patch', entity: 'refit', id: 'r', baseVersion: 2, patch: { calibrate: false } },
    ])
    expect(derive(off, null, now).hoursOpen).toBe(derive(plain, null, now).hoursOpen)
    expect(calibrated(plain)).toBe(plain)
    expect(calibrated(marked)).toBe(marked)
    // Marked anew, a step whose factor stands is the row it was: nobody is told of it again.
    const again = calibrated(on(plain))
    expect(again.step.map((one, at) => one === marked.step[at])).toEqual(
      marked.step.map(() => true),
    )
  })
  it('lets work in one go that fits a day as guessed go on another day, and none that never did', () => {
    const rows = open()
    step(rows, 'j', 'long', { operation: 'paint', hoursLikely: 12 })
    const placed = (some: typeof rows) =>
      makePlan(some, now).plan.placements.map((one) => one.stepId)
    expect(placed(rows)).not.toContain('long')
    const ids = placed(on(rows) as typeof rows)
    expect(ids).toContain('painting')
    expect(ids).not.toContain('long')
  })
  it('shares the inches out by the hours it plans', () => {
    const rows = on(open())
    const before = rows.step.find((one) => one.id === 'fitting')!
    const after = { ...before, state: 'done' as const }
    const settled = settleStep(before, after, rows, now)
    // 480 inches, 19.346 of 19.346 + 16 + 3 + 4 hours.
    expect(settled?.earnedIn).toBeCloseTo((480 * 19.346) / 42.346, 1)
  })
})
