/** Steps pinned to a day, and days on which a yard lifts nothing, by hand. */
import { describe, expect, it } from 'vitest'
import { job, step } from '../testing/build'
import { ashore, friday, weekends } from '../testing/weekends'
import { makePlan } from './makePlan'

const planOf = (rows: ReturnType<typeof weekends>) => makePlan(rows, friday).plan
const dayOf = (rows: ReturnType<typeof weekends>, id: string) => {
  const at = planOf(rows).placements.find((one) => one.stepId === id)?.segments[0]?.[0]
  return at === undefined ? null : new Date(at).toISOString().slice(0, 10)
}

/** Ann at weekends, eight hours a day; four days of work that keeps water out come before all else. */
function refit() {
  const rows = weekends()
  job(rows, 'hull', { purpose: 'float', severity: 4 })
  step(rows, 'hull', 'seal', { hoursLikely: 32 })
  job(rows, 'shelf', { purpose: 'shine', severity: 1 })
  step(rows, 'shelf', 'cut', { hoursLikely: 8, order: 'd' })
  step(rows, 'shelf', 'fit', { hoursLikely: 8, order: 'h' })
  return rows
}
const pinned = (id: string, pinnedOn: string) => {
  const rows = refit()
  rows.step = rows.step.map((one) => (one.id === id ? { ...one, pinnedOn } : one))
  return rows
}

describe('a step pinned to a day', () => {
  it('has its people then before all else, and what it waits for comes before it', () => {
    expect([dayOf(refit(), 'cut'), dayOf(refit(), 'fit')]).toEqual(['2027-05-01', '2027-05-02'])
    const rows = pinned('fit', '2027-04-18')
    expect([dayOf(rows, 'cut'), dayOf(rows, 'fit')]).toEqual(['2027-04-17', '2027-04-18'])
    expect(planOf(rows).warnings).toEqual([])
    // Later than it would come it holds its own day, and the rest goes on.
    expect(dayOf(pinned('cut', '2027-05-08'), 'cut')).toBe('2027-05-08')
    expect(dayOf(pinned('cut', '2027-05-08'), 'seal')).toBe('2027-04-17')
  })

  it('where it stands anyway moves nothing; elsewhere others give way, and stay so', () => {
    const accepted = planOf(refit())
    const days = (of: typeof accepted) =>
      ['seal', 'cut', 'fit'].map((id) =>
        of.placements
          .find((one) => one.stepId === id)
          ?.segments.map(([from]) => new Date(from).toISOString().slice(5, 10)),
      )
    const stood = [['04-17', '04-18', '04-24', '04-25'], ['05-01'], ['05-02']]
    expect(days(accepted)).toEqual(stood)
    // What waits for nothing but its own hands keeps them: the four days of sealing stay where they are.
    expect(days(makePlan(pinned('fit', '2027-05-02'), friday, accepted).plan)).toEqual(stood)
    const moved = makePlan(pinned('fit', '2027-04-25'), friday, accepted).plan
    const gaveWay = [['04-18', '04-24', '05-01', '05-02'], ['04-17'], ['04-25']]
    expect(days(moved)).toEqual(gaveWay)
    expect(days(makePlan(pinned('fit', '2027-04-25'), friday, moved).plan)).toEqual(gaveWay)
  })

  it('on a day on which it cannot begin is said', () => {
    const wednesday = pinned('cut', '2027-04-21')
    expect(dayOf(wednesday, 'cut')).toBe('2027-04-24')
    expect(planOf(wednesday).warnings.map((one) => one.message)).toEqual([
      '“cut” (shelf) is pinned to Wed 21 Apr 2027 and begins on Sat 24 Apr 2027: on the day itself it cannot.',
    ])
    // Begun on its day, it goes on: nothing is wrong with that.
    const begun = pinned('cut', '2027-04-16')
    begun.step = begun.step.map((one) => (one.id === 'cut' ? { ...one, state: 'doing' } : one))
    expect(planOf(begun).warnings).toEqual([])
    // Before what it waits for can be done.
    expect(planOf(pinned('fit', '2027-04-17')).warnings[0]?.message).toMatch(/begins on Sun 18 Apr/)
    // Out of its months it has no place at all.
    const never = pinned('cut', '2027-04-24')
    never.step = never.step.map((one) =>
      one.id === 'cut' ? { ...one, notAfter: '2027-04-20' } : one,
    )
    expect(planOf(never).reasons[0]?.message).toMatch(/^“cut” \(shelf\) finds no room in its time/)
    expect(dayOf(never, 'seal')).toBe('2027-04-17')
  })
})

describe('days on which a yard lifts nothing', () => {
  it.each([
    ['2027-06-01', '2027-06-20', '2027-06-21'],
    ['2027-06-05', '2027-06-05', '2027-06-06'],
    ['2027-05-01', '2027-06-04', '2027-06-05'],
    ['2027-06-04', '2028-06-30', '2028-07-01'],
  ])('from %s to %s: launched on %s', (from, to, launched) => {
    const rows = weekends()
    ashore(rows)
    rows.place = rows.place.map((one) =>
      one.id === 'yard'
        ? { ...one, launchesWithoutYou: true, noLifts: [{ from, to, why: 'Insurer' }] }
        : one,
    )
    job(rows, 'hull', { gateId: 'launch' })
    step(rows, 'hull', 'seal', { hoursLikely: 8, hullNeed: 'ashore' })
    const gate = planOf(rows).gates.find((one) => one.gateId === 'launch')
    expect(new Date(gate?.at ?? 0).toISOString().slice(0, 10)).toBe(launched)
  })
})
