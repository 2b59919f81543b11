/** What the drawings of the money rest on, and sharing out: by hand. */
import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { derive } from '../progress/derive'
import { doneTwice } from '../progress/rework'
import { hoursByKind } from '../progress/hoursByKind'
import { add, emptyRefit, job, step } from '../testing/build'
import { zoneClock } from '../time/zone'
import { moneyOf } from './accounts'
import { costScene, inchOf, moneyTicks } from './costScene'
import { inchCosts } from './inchCost'
import { sharesOf } from './splitSpend'
import { tallyOf } from './tally'
import { tradeAccounts } from './tradeAccount'

const now = Date.UTC(2027, 3, 17, 12)
const at = (month: number, day: number) => Date.UTC(2027, month - 1, day, 10)

/** 120 in earned in January, 60 in March, of 480; a plan of 1,000, spends of 300 and 200, the second found. */
function refit() {
  const rows = emptyRefit()
  add(rows, 'season', 'one', { name: 'One', from: '2027-01-01', to: '2027-02-28' })
  add(rows, 'season', 'two', { name: 'Two', from: '2027-03-01', to: '2027-06-30' })
  add(rows, 'system', 'deck', { name: 'Deck', kind: 'deck', order: 'a' })
  add(rows, 'budget', 'b', { account: 'system', systemId: 'deck', minor: 100_000 })
  job(rows, 'core', { systemId: 'deck' })
  job(rows, 'soft', { systemId: 'deck', parentJobId: 'core', title: 'Soft' })
  step(rows, 'core', 'first', {
    operation: 'strip',
    state: 'done',
    doneAt: at(1, 10),
    earnedIn: 120,
    hoursLikely: 4,
  })
  step(rows, 'core', 'second', {
    operation: 'fit',
    state: 'done',
    doneAt: at(3, 10),
    earnedIn: 60,
    hoursLikely: 2,
  })
  step(rows, 'core', 'third', { operation: 'fit', hoursLikely: 10 })
  for (const [id, on, minor, jobId] of [
    ['a', '2027-01-20', 30_000, 'core'],
    ['b', '2027-03-20', 20_000, 'soft'],
  ] as const) {
    add(rows, 'spend', id, { on, what: id, minor })
    add(rows, 'spendShare', id, { spendId: id, jobId, minor, order: 'a' })
  }
  return rows
}
const clock = zoneClock('UTC')
const sceneOf = (rows: ReturnType<typeof refit>) => {
  const derived = derive(rows, null, now)
  const money = moneyOf(rows, null, derived)
  return { money, derived, scene: costScene(money, 480, 180, inchOf(rows, clock, 180), (id) => id) }
}

describe('money under the Tape', () => {
  it('lies at the inch that was earned by its day', () => {
    const inch = inchOf(refit(), clock, 180)
    expect(['2027-01-09', '2027-01-10', '2027-03-09', '2027-03-10', null].map(inch)).toEqual([
      0, 120, 120, 180, 180,
    ])
  })
  it('climbs a stair, and takes the contingency down with what nobody planned', () => {
    const { scene, money } = sceneOf(refit())
    expect(scene.spent).toEqual([
      { inch: 0, minor: 0 },
      { inch: 120, minor: 30_000 },
      { inch: 180, minor: 50_000 },
    ])
    // A fifth of 1,000, less the 200 found.
    expect(scene.reserve).toEqual([
      { inch: 0, minor: 20_000 },
      { inch: 180, minor: 0 },
    ])
    expect(scene.goneAtIn).toBe(180)
    expect(scene.burns).toMatchObject([{ what: 'soft', minor: 20_000, inch: 180 }])
    // 500 + 700 × 1.2, and found work to come: 10 ÷ 46 of 10 hours, at what an hour of it cost: none was planned for it.
    expect(money.likelyMinor).toBe(50_000 + 84_000 + money.foundToComeMinor)
  })
  it('runs out on the way, in proportion', () => {
    const rows = refit()
    rows.refit = rows.refit.map((one) => ({ ...one, contingencyPercent: 40 }))
    const { scene, money } = sceneOf(rows)
    // 200 of 400 left at 180 in; at 480 in it is 1,400 less what is likely.
    const end = 140_000 - money.likelyMinor
    expect(scene.reserveEndMinor).toBe(end)
    if (end < 0) expect(scene.goneAtIn).toBeCloseTo(180 + (300 * 20_000) / (20_000 - end), 6)
    else expect(scene.goneAtIn).toBeNull()
    rows.refit = rows.refit.map((one) => ({ ...one, contingencyPercent: 90 }))
    expect(sceneOf(rows).scene.goneAtIn).toBeNull()
  })
  it('is not gone where none was set aside', () => {
    const rows = refit()
    rows.refit = rows.refit.map((one) => ({ ...one, contingencyPercent: 0 }))
    expect(sceneOf(rows).scene.goneAtIn).toBeNull()
  })
  it('has 3 to 6 round sums up its side', () => {
    expect(moneyTicks(7_371_100, 2)).toEqual([2_000_000, 4_000_000, 6_000_000])
    expect(moneyTicks(100, 2)).toEqual([100])
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 1e10 }), (top) => {
        const ticks = moneyTicks(top, 2)
        expect(ticks.length).toBeGreaterThanOrEqual(2)
        expect(ticks.length).toBeLessThanOrEqual(6)
        expect(ticks.at(-1)).toBeLessThanOrEqual(top)
      }),
    )
  })
  it('costs by the inch: 300 for 120, 200 for 60, the rest for 300; every coin and inch once', () => {
    const rows = refit()
    const { money, derived } = sceneOf(rows)
    const costs = inchCosts(rows, money, derived)
    expect(costs.map((one) => [one.name, one.inches, one.minor])).toEqual([
      ['One', 120, 30_000],
      ['Two', 60, 20_000],
      ['to come', 300, money.likelyMinor - 50_000],
    ])
    expect(costs[0]?.perInchMinor).toBe(250)
  })
})

describe('sharing out', () => {
  it.each([
    [[null], [1000]],
    [
      [600, null, null],
      [600, 200, 200],
    ],
    [
      [333, 667],
      [333, 667],
    ],
    [
      [null, null, null],
      [334, 333, 333],
    ],
  ] as const)('1,000 over %o: %o', (drafts, shares) => {
    const worked = sharesOf(
      1000,
      drafts.map((minor) => ({ jobId: 'j', systemId: null, minor })),
      'EUR',
    )
    expect(worked.ok && worked.value.map((one) => one.minor)).toEqual(shares)
  })
  it.each([
    [[600, 300], 'leave €1 over'],
    [[600, 500], 'come to €1 more'],
    [[1000, null], 'nothing is left'],
  ] as const)('refuses %o', (drafts, words) => {
    const worked = sharesOf(
      1000,
      drafts.map((minor) => ({ jobId: 'j', systemId: null, minor })),
      'EUR',
    )
    expect(!worked.ok && worked.message).toContain(words)
  })
})

it('sets the two halves of a tally against each other', () => {
  const rows = refit()
  add(rows, 'tradeBooking', 't', {
    stepId: 'third',
    trade: 'Smith',
    from: '2027-05-01',
    to: '2027-05-02',
    state: 'booked',
    priceMinor: 100_000,
  })
  add(rows, 'tradeItem', 'rail', {
    bookingId: 't',
    what: 'Rail',
    quoteMinor: 80_000,
    invoiceMinor: 85_000,
    order: 'a',
  })
  add(rows, 'tradeItem', 'gate', {
    bookingId: 't',
    what: 'Gate',
    proposal: 'Gate',
    proposalMinor: 9000,
    answer: 'taken',
    answeredOn: '2027-04-01',
    invoiceMinor: 9000,
    order: 'b',
  })
  add(rows, 'tradeItem', 'visit', { bookingId: 't', what: 'Visit', invoiceMinor: 5000, order: 'c' })
  add(rows, 'tradeItem', 'worry', { bookingId: 't', what: 'Worry', order: 'd' })
  add(rows, 'invoice', 'i', { bookingId: 't', on: '2027-04-02', minor: 110_000 })
  const [account] = tradeAccounts(rows)
  if (!account) throw new Error('no account')
  const tally = tallyOf(account)
  expect(tally.lines.map((one) => [one.label, one.kind, one.agreedMinor, one.billedMinor])).toEqual(
    [
      ['Rail', 'quote', 80_000, 85_000],
      ['The rest of the quote', 'rest', 20_000, null],
      ['Gate', 'change', 9000, 9000],
      ['Visit', 'extra', 0, 5000],
    ],
  )
  expect(tally.lines.reduce((sum, one) => sum + one.agreedMinor, 0)).toBe(account.agreedMinor)
  expect(tally.unnamedMinor).toBe(110_000 - 99_000)
})

it('counts hours by kind and what was done twice, corrections once', () => {
  const rows = refit()
  add(rows, 'person', 'ida', { name: 'Ida', order: 'a' })
  const entry = (id: string, hours: number, more: object = {}) =>
    add(rows, 'hoursEntry', id, {
      personId: 'ida',
      on: '2027-01-10',
      hours,
      stepId: 'first',
      ...more,
    })
  entry('a', 4)
  entry('b', 9, { stepId: 'second' })
  entry('b2', 3, { stepId: 'second', correctsId: 'b' })
  entry('c', 2, { reworkCause: 'Too cold' })
  entry('d', 1, { reworkCause: 'too cold ', stepId: 'second' })
  entry('e', 1.5, { kind: 'travel', stepId: null })
  entry('f', 0.5, { stepId: null })
  expect(doneTwice(rows)).toEqual({
    workHours: 10.5,
    againHours: 3,
    causes: [{ cause: 'Too cold', hours: 3 }],
  })
  expect(hoursByKind(rows).map((one) => [one.name, one.hours.get('ida')])).toEqual([
    ['Strip, clean', 6],
    ['Fit, cut, bed', 4],
    ['Other work', 0.5],
    ['On the way, set-up', 1.5],
  ])
})
