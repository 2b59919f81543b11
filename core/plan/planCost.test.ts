import { describe, expect, it } from 'vitest'
import { comparePlanCost, isWorthChanging } from './planCost'
import type { PlanCost } from './planCost'

const known: PlanCost = [1, 10, 5000, 1000, 900, 80]

describe('a plan people know', () => {
  it.each<[string, PlanCost, boolean]>([
    ['one step more that has a place', [0, 99, 9999, 9999, 999, 99], true],
    ['a step less that has one', [2, 0, 0, 0, 0, 0], false],
    ['a day less late', [1, 9, 9999, 9999, 999, 99], true],
    ['a day later', [1, 11, 0, 0, 0, 0], false],
    ['cheaper ashore', [1, 10, 4999, 9999, 999, 99], true],
    ['dearer ashore', [1, 10, 5001, 0, 0, 0], false],
    ['three hundredths of the weighted finishes', [1, 10, 5000, 970, 999, 99], true],
    ['one hundredth of them', [1, 10, 5000, 990, 0, 0], false],
    ['only an earlier finish and fewer trips', [1, 10, 5000, 1000, 0, 0], false],
    ['nothing', known, false],
  ])('%s', (_, other, isLeft) => {
    expect(isWorthChanging(known, other)).toBe(isLeft)
  })

  it('is weighed by the first figure that differs', () => {
    expect(comparePlanCost(known, [1, 10, 5000, 1000, 901, 0])).toBeLessThan(0)
    expect(comparePlanCost(known, [1, 10, 5000, 1000, 900, 79])).toBeGreaterThan(0)
    expect(comparePlanCost(known, known)).toBe(0)
  })
})
