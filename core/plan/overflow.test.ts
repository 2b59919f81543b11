/** A launch on a fixed date, worked out by hand. */
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { judgePlan } from '../../tests/judge/judgePlan'
import { makePlan } from './makePlan'

const friday = Date.UTC(2027, 3, 16, 12)

/** Ann on Saturdays, 08:00 to 16:00; lifts at 09:00; the launch fixed on Saturday 24 April. */
function fixedRefit(later: boolean) {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  add(rows, 'place', 'yard', {
    name: 'Yard',
    kind: 'yard',
    travelMin: 0,
    setUpMin: 0,
    packUpMin: 0,
  })
  add(rows, 'place', 'berth', {
    name: 'Berth',
    kind: 'berth',
    travelMin: 0,
    setUpMin: 0,
    packUpMin: 0,
  })
  add(rows, 'haulOut', 'one', {
    name: 'Spring',
    liftOutAimed: '2027-04-01',
    liftOutActual: '2027-04-01',
    launchAimed: '2027-04-24',
    launchWhen: 'fixed',
  })
  add(rows, 'gate', 'launch-one', { name: 'Launch', kind: 'launch', haulOutId: 'one' })
  if (later) {
    add(rows, 'haulOut', 'two', {
      name: 'Autumn',
      liftOutAimed: '2027-10-01',
      launchAimed: '2027-11-06',
    })
    add(rows, 'gate', 'launch-two', { name: 'Launch again', kind: 'launch', haulOutId: 'two' })
  }
  const ashore = { hullNeed: 'ashore' as const, hoursLikely: 5 }
  job(rows, 'Polish', { purpose: 'shine', severity: 1, gateId: 'launch-one' })
  step(rows, 'Polish', 'polish', ashore)
  job(rows, 'Wax', { purpose: 'shine', severity: 1, gateId: 'launch-one' })
  step(rows, 'Wax', 'wax', { hoursLikely: 1 })
  add(rows, 'link', 'l', { fromJobId: 'Polish', toJobId: 'Wax' })
  job(rows, 'Valve', { purpose: 'float', severity: 4, gateId: 'launch-one' })
  step(rows, 'Valve', 'valve', ashore)
  job(rows, 'Anode', { purpose: 'float', severity: 2, gateId: 'launch-one' })
  step(rows, 'Anode', 'anode', { hullNeed: 'ashore', hoursLikely: 2 })
  return rows
}

describe('a launch on a fixed date', () => {
  it('keeps what scores most per ashore hour and moves the rest to the next haul-out, named', () => {
    // There are 8 h on 17 April and 1 h on the 24th: valve and anode take 7, polish and wax 6 more.
    const rows = fixedRefit(true)
    const { plan } = makePlan(rows, friday)
    const startOf = (id: string) =>
      plan.placements.find((one) => one.stepId === id)?.segments[0]?.[0]
    expect(plan.status).toBe('feasible')
    expect(plan.gates.find((one) => one.gateId === 'launch-one')?.at).toBe(Date.UTC(2027, 3, 24, 9))
    expect(startOf('valve')).toBeLessThan(Date.UTC(2027, 3, 18))
    expect(startOf('anode')).toBeLessThan(Date.UTC(2027, 3, 18))
    // Saturday 2 October is the first after the lift-out of the 1st.
    expect(startOf('polish')).toBe(Date.UTC(2027, 9, 2, 8))
    const moved = plan.warnings.filter((one) => one.kind === 'moved')
    expect(moved.flatMap((one) => one.jobIds)).toEqual(['Polish', 'Wax'])
    expect(moved[0]?.message).toMatch(/“Polish” does not fit .*24 Apr.* Autumn: .* points an hour/)
    expect(judgePlan(rows, plan)).toEqual([])
  })

  it('says so when there is no later haul-out, and launches when all is ready', () => {
    const { plan } = makePlan(fixedRefit(false), friday)
    expect(plan.warnings.find((one) => one.message.includes('is fixed'))?.message).toMatch(
      /what must be done before it does not fit/,
    )
    // 13 h: 8 on 17 April, 5 on the 24th until 13:00; the next Saturday, when Ann is there, is 1 May.
    expect(plan.gates[0]?.at).toBe(Date.UTC(2027, 4, 1, 9))
  })
})
