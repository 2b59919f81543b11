/** Sums of money as they are laid open: whoever adds them up by hand comes to the same coin. */
import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { AccountFigures, Money } from '../money/accounts'
import type { YardMeter } from '../money/yardMeter'
import { add, emptyRefit } from '../testing/build'
import { howAccount, howLikely, howYard } from './money'

const coin = fc.integer({ min: 0, max: 9_000_000 })
const contingency = { percent: 0, totalMinor: 0, burntMinor: 0, leftMinor: 0, burns: [] }

/** Three closed lines: guessed at 600, they cost 790. */
const overrun = {
  ratio: 79 / 60,
  lines: 3,
  guessedMinor: 60_000,
  actualMinor: 79_000,
  spread: 0.1,
  ratioSpread: 0.1,
}

function account(given: Partial<AccountFigures>): AccountFigures {
  const sums = { spentMinor: 0, owedMinor: 0, planLeftMinor: 0, foundOpenMinor: 0, ...given }
  const rest = Math.round(sums.planLeftMinor * overrun.ratio)
  return {
    key: 'system deck',
    account: 'system',
    systemId: 'deck',
    name: 'Deck',
    plannedMinor: 100_000,
    isTyped: true,
    ratio: overrun.ratio,
    likelyMinor: sums.spentMinor + Math.max(sums.owedMinor, rest) + sums.foundOpenMinor,
    doneShare: null,
    lines: [],
    ...sums,
    ...given,
  }
}
const money = (accounts: readonly AccountFigures[], more: Partial<Money> = {}): Money => ({
  currency: 'EUR',
  lines: [],
  accounts,
  plannedMinor: 0,
  spentMinor: 0,
  owedMinor: 0,
  foundToComeMinor: 0,
  likelyMinor: accounts.reduce((sum, one) => sum + one.likelyMinor, 0),
  overrun,
  contingency,
  ...more,
})

/** Whole cents of every sum in a text, in order. */
const cents = (text: string): number[] =>
  [...text.matchAll(/€([\d,]+\.\d\d)/g)].map(([, sum]) => Number((sum ?? '').replace(/[,.]/g, '')))
/** True where what stands before the last sum adds up to it. */
const addsUp = (text: string): boolean => {
  const sums = cents(text)
  return sums.slice(0, -1).reduce((sum, one) => sum + one, 0) === sums.at(-1)
}

describe('an account', () => {
  it('says spent, the larger of owed and the rest of the plan, and found work', () => {
    // 300.40 spent; 600.00 of the plan left, × 79 ÷ 60 = 790.00, more than 200.30 owed; 50.15 found.
    const one = account({
      spentMinor: 30_040,
      owedMinor: 20_030,
      planLeftMinor: 60_000,
      foundOpenMinor: 5015,
    })
    const how = howAccount(one, money([one]))
    expect(how.result).toBe('€1,140.55')
    expect(how.working).toEqual([
      'The larger of what is owed, €200.30, and the rest of the plan × 1.316667, €790.00',
      '€300.40 + €790.00 + €50.15 = €1,140.55',
      '1.316667: three closed lines guessed at €600.00 cost €790.00, freight and tax with them',
    ])
    expect(how.inputs.map((line) => line.value)).toEqual([
      '€1,000.00',
      '€300.40',
      '€200.30',
      '€600.00',
      '€50.15',
    ])
  })

  it('comes out to the coin, whatever it holds', () => {
    fc.assert(
      fc.property(
        coin,
        coin,
        coin,
        coin,
        (spentMinor, owedMinor, planLeftMinor, foundOpenMinor) => {
          const one = account({ spentMinor, owedMinor, planLeftMinor, foundOpenMinor })
          const { working, inputs } = howAccount(one, money([one]))
          const [larger, sum] = working
          expect(addsUp(sum ?? '')).toBe(true)
          // The ratio as it is written, times the plan as it is written, is the rest as it is written: within a coin.
          const [, rest] = cents(larger ?? '')
          const ratio = Number(/× ([\d.]+)/.exec(larger ?? '')?.[1])
          expect(Math.abs((rest ?? NaN) - planLeftMinor * ratio)).toBeLessThanOrEqual(5)
          expect(inputs.some((line) => line.name.startsWith('For found work'))).toBe(
            foundOpenMinor > 0,
          )
        },
      ),
    )
  })

  it('of the yard follows its days and lifts, not the ratio of the parts', () => {
    const yard = account({
      key: 'yard',
      account: 'yard',
      systemId: null,
      spentMinor: 10_000,
      likelyMinor: 35_050,
    })
    const { working, distrust } = howAccount(yard, money([yard]))
    expect(working).toEqual([
      'What is owed, and the days ashore, lifts and days at a berth to come, each at its price: €250.50',
      '€100.00 + €250.50 = €350.50',
    ])
    expect(distrust).toContain('planned launches')
  })

  it('says that the ratio is taken on trust until three lines have closed', () => {
    const one = account({ planLeftMinor: 100 })
    const early = { ...overrun, lines: 2, ratio: 1.2 }
    expect(howAccount(one, money([one], { overrun: early })).working.at(-1)).toBe(
      '1.2 is taken until three lines have closed; so far two lines',
    )
    expect(howAccount(one, money([one])).working.at(-1)).toMatch(/^1\.316667: three closed lines/)
  })
})

describe('all of it', () => {
  const accounts = [account({ spentMinor: 30_040 }), account({ key: 'b', name: 'Rig' })]
  it('is its accounts and the found work to come', () => {
    const how = howLikely(money(accounts, { foundToComeMinor: 1005, likelyMinor: 31_045 }))
    // An account of nothing is not listed.
    expect(how.inputs).toEqual([
      { name: 'Deck', value: '€300.40' },
      { name: 'Found work still to come', value: '€10.05' },
    ])
    expect(how.result).toBe('€310.45')
    expect(how.distrust).toContain('without a band')
  })
  it('is where half of the runs end, once they ran: what they add stands beside the accounts', () => {
    const how = howLikely(money(accounts, { foundToComeMinor: 1005, likelyMinor: 31_045 }), {
      p10: 29_000,
      p25: 35_000,
      p50: 40_000,
      p75: 48_000,
      p80: 50_000,
      p90: 61_000,
    })
    expect(how.result).toBe('€400.00')
    expect(addsUp([...how.inputs.map((one) => one.value), how.result].join(' '))).toBe(true)
    expect(how.working[0]).toBe(
      'Half of the runs end at €400 or less, 8 in 10 at €500 or less; 1 in 10 at less than €290, 1 in 10 at more than €610.',
    )
  })
})

describe('the yard', () => {
  const rows = emptyRefit()
  const haulOut = add(rows, 'haulOut', 'spring', { name: 'Spring', liftOutAimed: '2027-03-01' })
  const meter = (given: Partial<YardMeter>): YardMeter => ({
    haulOut,
    isAshore: true,
    daysSoFar: 48,
    freeDays: 14,
    // 34 days at 11.40.
    daysSoFarMinor: 38_760,
    outMinor: 41_050,
    launchOn: '2027-06-01',
    daysToCome: 45,
    daysToComeMinor: 51_300,
    inMinor: 36_000,
    totalMinor: 167_110,
    hasDayPrice: true,
    dayMinor: 1140,
    weekLater: { yardMinor: 7980, berthMinor: 0 },
    ...given,
  })
  it('adds its lifts and its days, and says which of them cost nothing', () => {
    const how = howYard(meter({}), 'EUR')
    expect(how.working).toEqual(['€410.50 + €387.60 + €513.00 + €360.00 = €1,671.10'])
    expect(how.inputs[1]?.name).toBe('Days so far, 48, 14 of them free')
    // Before the free days are over, no more of them are said than have gone by.
    expect(howYard(meter({ daysSoFar: 9 }), 'EUR').inputs[1]?.name).toBe(
      'Days so far, 9, 9 of them free',
    )
    expect(howYard(meter({ freeDays: 0 }), 'EUR').inputs[1]?.name).toBe('Days so far, 48')
  })
})
