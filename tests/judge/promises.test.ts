/** What is promised of a change is the plan that comes with it, and that plan keeps the rules. */
import { describe, expect, it } from 'vitest'
import { atOnce } from '../../core/inParts'
import { supposing } from '../../core/model/applyChange'
import type { RefitRows } from '../../core/model/refit'
import { bindingChain } from '../../core/plan/chain'
import { chainLevers } from '../../core/levers/chainLevers'
import { makePlan } from '../../core/plan/makePlan'
import { Asking } from '../../core/plan/whatIf'
import { zoneClock } from '../../core/time/zone'
import { bigRefit } from '../../demo/bigRefit'
import { knownDemo } from '../../demo/known'
import { demoNow } from '../../demo/sableWren'
import { judgePlan } from './judgePlan'

function leversOf(rows: RefitRows, most: number) {
  const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
  const { plan } = makePlan(rows, demoNow)
  const all = plan.gates.flatMap((gate) => {
    const links = bindingChain(plan, rows, gate.gateId, clock)
    const stepIds = links.flatMap((link) => link.stepId ?? [])
    return chainLevers(rows, plan, clock, { gateId: gate.gateId, stepIds })
  })
  const byKey = new Map(all.map((one) => [one.key, one]))
  return { plan, levers: [...byKey.values()].slice(0, most) }
}

describe('a lever does what it promised', () => {
  it.each([
    ['demo', () => knownDemo('demo'), 4, true],
    ['2,000 steps', () => bigRefit(3), 1, false],
  ] as const)('%s', (_, refit, most, isJudged) => {
    const rows = refit()
    const { plan, levers } = leversOf(rows, most)
    expect(levers).toHaveLength(most)
    const asking = new Asking(rows, demoNow, plan)
    for (const [at, lever] of levers.entries()) {
      let ids = 0
      const items = lever.items(() => `new ${ids++}`)
      const promised = atOnce(asking.whatIf(items))
      const happens = atOnce(asking.planWith(items)).plan
      const dates = (gates: typeof happens.gates) => gates.map(({ gateId, at }) => [gateId, at])
      expect(dates(happens.gates), lever.label).toEqual(dates(promised.after.gates))
      expect(happens.reasons, lever.label).toEqual(promised.after.reasons)
      // The judge counts every minute of every wait: some of them are enough, and big plans are judged elsewhere.
      if (isJudged && at % 3 === 0)
        expect(judgePlan(supposing(rows, items), happens), lever.label).toEqual([])
    }
  })
})
