import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { makePlan } from '../plan/makePlan'
import { derive } from './derive'
import { gateMarkInches, inchesForClosing, inchesOfFoundWork, tapeInches } from './inches'
import { jobStateOf } from './jobState'

describe('inches', () => {
  it('follow the formula', () => {
    // (480 − 120) × 6 / 18 = 120; found work of 6 h among 18: 360 × 6 / 24 = 90.
    expect(inchesForClosing(480, 120, 6, 18)).toBe(120)
    expect(inchesOfFoundWork(480, 120, 6, 18)).toBe(90)
    expect(gateMarkInches(480, 120, 9, 18)).toBe(300)
    expect(inchesForClosing(480, 120, 0, 18)).toBe(0)
    expect(gateMarkInches(480, 480, 0, 0)).toBe(480)
  })

  it('add up to the boat however the work is ordered and whatever is found on the way', () => {
    const event = fc.record({
      hours: fc.integer({ min: 1, max: 40 }),
      found: fc.integer({ min: 0, max: 3 }),
    })
    fc.assert(
      fc.property(fc.array(event, { minLength: 1, maxLength: 30, size: 'max' }), (events) => {
        let earned = 0
        const open = events.map((one) => one.hours)
        for (const { found } of events) {
          // Found work makes what is left denser; it never takes back what is earned.
          for (let i = 0; i < found; i++) open.push(3)
          const hours = open.pop() as number
          const total = open.reduce((sum, one) => sum + one, 0) + hours
          const inches = inchesForClosing(480, earned, hours, total)
          expect(inches).toBeGreaterThan(0)
          earned += inches
          expect(earned).toBeLessThanOrEqual(480 + 1e-9)
        }
        while (open.length > 0) {
          const total = open.reduce((sum, one) => sum + one, 0)
          earned += inchesForClosing(480, earned, open.pop() as number, total)
        }
        expect(earned).toBeCloseTo(480, 6)
      }),
    )
  })
})

describe('derive', () => {
  const now = Date.UTC(2027, 3, 16, 12)
  const rows = emptyRefit()
  person(rows, 'Ann', [6, 7], '08:00', '16:00')
  add(rows, 'haulOut', 'haul', {
    name: 'H',
    liftOutAimed: '2027-04-01',
    liftOutActual: '2027-04-01',
    launchAimed: '2027-05-20',
  })
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'haul' })
  add(rows, 'gate', 'sail', { name: 'Sail', kind: 'dated', on: '2027-07-01' })
  job(rows, 'Hull', { gateId: 'launch' })
  step(rows, 'Hull', 'done', { hoursLikely: 6, state: 'done', doneAt: now - 1000, earnedIn: 120 })
  step(rows, 'Hull', 'open', { hoursLikely: 6 })
  job(rows, 'Rig', { gateId: 'sail' })
  step(rows, 'Rig', 'tune', { hoursLikely: 12 })
  job(rows, 'Teak', { decision: 'later' })
  step(rows, 'Teak', 'scrub', { hoursLikely: 99 })
  add(rows, 'hoursEntry', 'h1', { stepId: 'done', personId: 'Ann', on: '2027-04-16', hours: 8 })
  add(rows, 'hoursEntry', 'h2', {
    stepId: 'done',
    personId: 'Ann',
    on: '2027-04-16',
    hours: 5,
    correctsId: 'h1',
  })
  const derived = derive(rows, makePlan(rows, now).plan, now)

  it('gives the figures that views share', () => {
    expect(derived).toMatchObject({
      earnedIn: 120,
      earnedThisWeekIn: 120,
      hoursOpen: 18,
      hoursDone: 6,
      hoursLogged: 5,
    })
    expect(derived.loaIn).toBeCloseTo(480, 9)
    expect(derived.ashore).toEqual({ day: 15, costPerDayMinor: 0 })
    expect(derived.jobs.get('Hull')).toMatchObject({
      state: 'doing',
      hoursOpen: 6,
      hoursLogged: 5,
      earnedIn: 120,
      stepsDone: 1,
    })
    expect(derived.jobs.get('Teak')).toMatchObject({ state: 'later', openIn: 0 })
  })
  it('sets gates at the inch they need: 120 + 360 × 6/18 = 240, then 120 + 360 × 18/18 = 480', () => {
    expect(
      derived.gates.map((one) => [one.gate.name, Math.round(one.markIn), one.daysLate]),
    ).toEqual([
      // Aimed for Thursday 20 May; Ann is there on Saturday.
      ['Launch', 240, 2],
      // 6 h for the launch on 17 April, then 2 + 8 h that weekend and 2 h on the 24th: 68 days early.
      ['Sail', 480, -68],
    ])
    expect(derived.launch?.plannedOn).toBe('2027-05-22')
  })
  it('reads a job’s state from its steps and a person’s decision', () => {
    const of = (...states: ('open' | 'doing' | 'done' | 'dropped')[]) =>
      jobStateOf(
        { decision: 'plan' },
        states.map((state) => ({ state })),
      )
    expect([of(), of('open'), of('open', 'done'), of('done', 'dropped'), of('dropped')]).toEqual([
      'open',
      'open',
      'doing',
      'done',
      'open',
    ])
    expect(jobStateOf({ decision: 'accepted' }, [{ state: 'open' }])).toBe('accepted')
  })
})

describe('what the Tape shows', () => {
  it.each([
    // [LOA, earned, hours open, shown]
    [480, 240, 5, 240],
    // The last open step was dropped: nothing is left to do, and all of it is earned.
    [480, 240, 0, 480],
    [480, 0, 0, 0],
    // The length was put right to less than is earned.
    [400, 450, 3, 400],
  ])('of %i in with %i earned and %i h open: %i', (loaIn, earnedIn, openHours, shown) =>
    expect(tapeInches(loaIn, earnedIn, openHours)).toBe(shown),
  )
})
