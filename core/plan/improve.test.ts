import { describe, expect, it } from 'vitest'
import { bigRefit } from '../../demo/bigRefit'
import { knownDemo } from '../../demo/known'
import { demoNow } from '../../demo/sableWren'
import { zoneClock } from '../time/zone'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { bindingChain } from './chain'
import { judgePlan } from '../../tests/judge/judgePlan'
import { bestPass, bestPlan, bestPlanInParts } from './improve'
import { firstPass } from './makePlan'
import { comparePlanCost } from './planCost'
import { prepare } from './prepare'

const friday = Date.UTC(2027, 3, 16, 12)
const effort = { seed: 1, iterations: 12, stop: () => false }

describe('an improved plan', () => {
  it('is never worse than the first pass, holds every rule, and is the same for the same seed', () => {
    let better = 0
    for (const seed of [3, 8]) {
      const rows = bigRefit(seed, 60, 4, 2)
      const prepared = prepare(rows, friday)
      const { plan } = bestPlan(rows, friday, effort)
      expect(judgePlan(rows, plan)).toEqual([])
      const best = bestPass(prepared, effort)
      const starts = [...best.pass.placements.values()].map((one) => [one.stepId, one.segments])
      expect(plan.placements.map((one) => [one.stepId, one.segments])).toEqual(starts)
      const difference = comparePlanCost(best.cost, firstPass(prepared, null).cost)
      expect(difference).toBeLessThanOrEqual(0)
      if (difference < 0) better++
      expect(bestPlan(rows, friday, effort).plan).toEqual(plan)
    }
    expect(better).toBeGreaterThan(0)
  })

  it('keeps both gates where both can be kept', () => {
    // Ann, one Saturday of 8 h a week; gates on Sunday 18 and 25 April. Long and Short fill 17 April to
    // the hour, After fills the 24th.
    const rows = emptyRefit()
    person(rows, 'Ann', [6], '08:00', '16:00')
    add(rows, 'gate', 'one', { name: 'One', kind: 'dated', on: '2027-04-18' })
    add(rows, 'gate', 'two', { name: 'Two', kind: 'dated', on: '2027-04-25' })
    job(rows, 'Long', { gateId: 'one' })
    step(rows, 'Long', 'long', { hoursLikely: 6 })
    job(rows, 'Short', { gateId: 'two' })
    step(rows, 'Short', 'short', { hoursLikely: 2 })
    step(rows, 'Short', 'after', { hoursLikely: 8 })
    const { plan } = bestPlan(rows, friday, effort)
    expect(bestPass(prepare(rows, friday), effort).cost.slice(0, 2)).toEqual([0, 0])
    expect(plan.placements.find((one) => one.stepId === 'after')?.segments).toEqual([
      [Date.UTC(2027, 3, 24, 8), Date.UTC(2027, 3, 24, 16)],
    ])
  })

  it('can be left between any two passes, and tells how much is behind, never less than before', () => {
    const parts = bestPlanInParts(knownDemo(), demoNow, effort)
    const told: number[] = []
    for (let part = parts.next(); !part.done; part = parts.next()) told.push(part.value)
    expect(told).toEqual([...told].sort((a, b) => a - b))
    expect([told[0], told.at(-1)]).toEqual([0, 1])
    // A fifth of it is rules, a quarter breeding, generation by generation; each of the twelve orders is a part.
    expect(told.filter((one) => one > 0.2 && one < 0.44).length).toBeGreaterThan(0)
    expect(told.filter((one) => one > 0.44).length).toBeGreaterThanOrEqual(12)
  })

  it('lays peel ply on the demo foredeck over the free weekend, and the plan says so', () => {
    const rows = knownDemo()
    const dublin = zoneClock('Europe/Dublin')
    const { plan } = bestPlan(rows, demoNow, { ...effort, iterations: 24 })
    expect(judgePlan(rows, plan)).toEqual([])
    const plies = plan.placements.find((one) => one.stepId === 'foredeck-13')
    // 2.6 h of laminating for two: a tenth of it is 15.6 minutes, just over the least quarter hour.
    expect(plies?.mends).toMatchObject([{ kind: 'peelPly', toStepId: 'foredeck-14', hours: 0.26 }])
    const [first] = plan.warnings.filter((one) => one.stepIds.includes('foredeck-13'))
    expect(first?.message).toMatch(/“Plies 5 and 6”.*Peel ply is planned on it, 16 min/)
    // The launch is held by what follows from its chain, link by link to something that may begin today.
    const chain = bindingChain(plan, rows, 'launch-two', dublin)
    expect(chain.at(-1)?.why).toMatch(/before Sat 17 Apr/)
  })

  it('costs days late first, by hand', () => {
    const rows = emptyRefit()
    person(rows, 'Ann', [6], '08:00', '16:00')
    add(rows, 'gate', 'one', { name: 'One', kind: 'dated', on: '2027-04-20' })
    job(rows, 'Long', { gateId: 'one' })
    step(rows, 'Long', 'long', { hoursLikely: 12 })
    // 8 h on 17 April, 4 h on the 24th: done on the 24th at noon, four days after the 20th; two person-days.
    // Go, worn: 55 × 0.6 × 8 days from Friday noon to Saturday week's.
    const done = Date.UTC(2027, 3, 24, 12)
    expect(firstPass(prepare(rows, friday), null).cost).toEqual([0, 4, 0, 264, done, 2])
  })
})
