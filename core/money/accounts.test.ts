/** What it has cost and what it will: every sum by hand, and from every side the same. */
import { draws } from '../../tests/draws'
import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { derive } from '../progress/derive'
import { add, emptyRefit, job, step } from '../testing/build'
import { moneyOf } from './accounts'
import { moneyLines, sumOf } from './lines'
import { tradeAccounts } from './tradeAccount'
import { comingOutMinor, dayMinor, daysMinor, usualDayMinor } from './yard'
import type { Tariff } from './yard'
import { yardMeter } from './yardMeter'

const now = Date.UTC(2027, 3, 17, 12)

function refit() {
  const rows = emptyRefit()
  rows.refit = rows.refit.map((one) => ({ ...one, currency: 'EUR', startedOn: '2026-10-01' }))
  add(rows, 'system', 'deck', { name: 'Deck', kind: 'deck', order: 'a' })
  add(rows, 'system', 'rig', { name: 'Rig', kind: 'rig', order: 'b' })
  job(rows, 'core', { systemId: 'deck' })
  step(rows, 'core', 'bed', { hoursLikely: 10 })
  job(rows, 'soft', { systemId: 'deck', parentJobId: 'core' })
  step(rows, 'soft', 'dry', { hoursLikely: 5 })
  job(rows, 'mast', { systemId: 'rig' })
  step(rows, 'mast', 'lift', { hoursLikely: 10 })
  return rows
}
type Rows = ReturnType<typeof refit>
const money = (rows: Rows) => moneyOf(rows, null, derive(rows, null, now))

/** An order of one line for a part, freight and all, that came whole. */
function order(rows: Rows, partId: string, priceMinor: number, more: object = {}) {
  const id = `order ${partId}`
  add(rows, 'purchase', id, { number: id, orderedOn: '2027-01-02', freightMinor: 2000, ...more })
  add(rows, 'purchaseLine', `line ${partId}`, {
    purchaseId: id,
    name: 'Core',
    quantity: 2,
    priceMinor,
    order: 'a',
  })
  add(rows, 'lineWant', `want ${partId}`, { lineId: `line ${partId}`, partId })
  add(rows, 'delivery', `came ${partId}`, {
    lineId: `line ${partId}`,
    cameOn: '2027-01-08',
    quantity: 2,
  })
}

function paid() {
  const rows = refit()
  add(rows, 'budget', 'planned', { account: 'system', systemId: 'deck', minor: 100_000 })
  add(rows, 'part', 'a', {
    name: 'Core',
    jobId: 'core',
    quantity: 2,
    priceMinor: 10_000,
    state: 'arrived',
  })
  order(rows, 'a', 22_000, { paidOn: '2027-01-10' })
  add(rows, 'part', 'b', {
    name: 'Fan',
    jobId: 'soft',
    priceMinor: 5000,
    state: 'fitted',
    orderedOn: '2027-02-01',
  })
  add(rows, 'tradeBooking', 'riggers', {
    stepId: 'lift',
    trade: 'Riggers',
    from: '2027-05-01',
    to: '2027-05-02',
    state: 'booked',
    priceMinor: 40_000,
  })
  add(rows, 'tradeItem', 'more', {
    bookingId: 'riggers',
    what: 'Lowers',
    proposal: 'New',
    proposalMinor: 10_000,
    answer: 'taken',
    answeredOn: '2027-03-01',
    order: 'a',
  })
  add(rows, 'spend', 'deposit', {
    on: '2027-03-02',
    what: 'Deposit',
    kind: 'trade',
    minor: 15_000,
    bookingId: 'riggers',
  })
  add(rows, 'spend', 'drive', { on: '2027-03-03', what: 'Diesel', kind: 'travel', minor: 3000 })
  add(rows, 'spend', 'abroad', {
    on: '2027-03-04',
    what: 'Blocks',
    minor: 10_000,
    currency: 'USD',
    rate: 0.9,
    rateOn: '2027-03-04',
  })
  add(rows, 'spendShare', 'one', { spendId: 'abroad', jobId: 'core', minor: 6000, order: 'a' })
  add(rows, 'spendShare', 'two', { spendId: 'abroad', systemId: 'rig', minor: 4000, order: 'b' })
  return rows
}

describe('accounts', () => {
  it('add up by hand', () => {
    const all = money(paid())
    const of = (key: string) => all.accounts.find((one) => one.key === key)
    // 220 + 20 of freight; a fan; 54 of 90. Of the plan: 200 + 54, the rest at 1.2 as one line closed.
    expect(of('system deck')).toMatchObject({
      plannedMinor: 100_000,
      isTyped: true,
      spentMinor: 24_000 + 5000 + 5400,
      owedMinor: 0,
      planLeftMinor: 74_600,
      likelyMinor: 34_400 + 89_520,
      doneShare: 0,
    })
    // Guessed at its price of 400. Of 500 agreed 150 is paid, 120 of that was planned; 350 owed beats 244 × 1.2.
    expect(of('system rig')).toMatchObject({
      plannedMinor: 40_000,
      isTyped: false,
      spentMinor: 15_000 + 3600,
      owedMinor: 35_000,
      planLeftMinor: 24_400,
      likelyMinor: 18_600 + 35_000,
    })
    expect(of('travel')).toMatchObject({ plannedMinor: 0, spentMinor: 3000, likelyMinor: 3000 })
    // One line strays from no other: √(4 × 0.3² ÷ 5).
    expect(all.overrun).toEqual({
      ratio: 1.2,
      lines: 1,
      guessedMinor: 20_000,
      actualMinor: 24_000,
      spread: Math.sqrt(0.072),
      // Until three have closed, as if four had.
      ratioSpread: Math.sqrt(0.072) / 2,
    })
    // 40 dearer, 50 found, 30 of a change, 30 nobody planned, of a fifth of 1,400.
    expect(all.contingency).toMatchObject({
      totalMinor: 28_000,
      burntMinor: 15_000,
      leftMinor: 13_000,
    })
    expect(all.contingency.burns.map((one) => one.minor)).toEqual([4000, 5000, 3000, 3000])
    // (10 + 5) ÷ 40 of 20 open hours are 7.5; an hour of found work cost 50 ÷ 5.
    expect(all.foundToComeMinor).toBe(7500)
    expect(all.likelyMinor).toBe(123_920 + 53_600 + 3000 + 7500)
  })

  it('keep found work that nobody ordered beside the plan, which knows nothing of it', () => {
    const rows = refit()
    add(rows, 'budget', 'planned', { account: 'system', systemId: 'deck', minor: 100_000 })
    const found = { name: 'Core', jobId: 'soft', quantity: 2, priceMinor: 15_000 } as const
    add(rows, 'part', 'core', { ...found, state: 'wanted' })
    add(rows, 'part', 'glue', { ...found, priceMinor: 4000, state: 'quoted' })
    // Ordered, it is owed; planned work has its place in the plan.
    add(rows, 'part', 'cloth', { ...found, state: 'ordered' })
    add(rows, 'part', 'planned', { ...found, jobId: 'core', state: 'wanted' })
    add(rows, 'tradeBooking', 'laminator', {
      stepId: 'dry',
      trade: 'Laminator',
      from: '2027-05-01',
      to: '2027-05-02',
      state: 'asked',
      priceMinor: 25_000,
    })
    const of = (key: string) => money(rows).accounts.find((one) => one.key === key)
    // Twice 150, twice 40, and 250 that the trade asks.
    expect(of('system deck')?.foundOpenMinor).toBe(30_000 + 8000 + 25_000)
    rows.job = rows.job.map((one) =>
      one.id === 'soft' ? { ...one, decision: 'later' as const } : one,
    )
    expect(of('system deck')?.foundOpenMinor).toBe(0)
    rows.job = rows.job.map((one) =>
      one.id === 'soft' ? { ...one, decision: 'plan' as const, systemId: null } : one,
    )
    expect(of('other')?.foundOpenMinor).toBe(63_000)
    expect(of('system deck')?.foundOpenMinor).toBe(0)
  })

  it('take a paid order as spent, one that is not as owed, and one that was never sent as nothing', () => {
    const state = (more: object) => {
      const rows = refit()
      add(rows, 'part', 'a', {
        name: 'Core',
        jobId: 'core',
        quantity: 2,
        priceMinor: 10_000,
        state: 'ordered',
      })
      order(rows, 'a', 22_000, more)
      const { spentMinor, owedMinor } = money(rows)
      return [spentMinor, owedMinor]
    }
    expect(state({ paidOn: '2027-01-10' })).toEqual([24_000, 0])
    expect(state({})).toEqual([0, 24_000])
    expect(state({ orderedOn: null })).toEqual([0, 0])
  })

  it('give the plan back what money came back', () => {
    const rows = refit()
    add(rows, 'budget', 'planned', { account: 'system', systemId: 'rig', minor: 10_000 })
    for (const [id, minor, isBack] of [
      ['a', 8000, false],
      ['b', 3000, true],
    ] as const) {
      add(rows, 'spend', id, { on: '2027-03-02', what: id, minor, isBack })
      add(rows, 'spendShare', `of ${id}`, { spendId: id, systemId: 'rig', minor, order: 'a' })
    }
    const rig = money(rows).accounts.find((one) => one.systemId === 'rig')
    expect(rig).toMatchObject({ spentMinor: 5000, planLeftMinor: 5000 })
    expect(money(rows).contingency.burntMinor).toBe(0)
  })

  it('take three closed lines for the ratio', () => {
    const rows = refit()
    // Guessed at 200, 200, 200; paid 240, 240, 310 with freight: 790 ÷ 600.
    for (const [id, price] of [
      ['a', 22_000],
      ['b', 22_000],
      ['c', 29_000],
    ] as const) {
      add(rows, 'part', id, {
        name: id,
        jobId: 'core',
        quantity: 2,
        priceMinor: 10_000,
        state: 'arrived',
      })
      order(rows, id, price, { paidOn: '2027-01-10' })
    }
    expect(money(rows).overrun.ratio).toBeCloseTo(79 / 60, 9)
    // A line on which something was never guessed at says nothing.
    add(rows, 'part', 'd', { name: 'd', jobId: 'core', state: 'arrived' })
    add(rows, 'lineWant', 'wants d', { lineId: 'line a', partId: 'd' })
    expect(money(rows).overrun).toMatchObject({ lines: 2, ratio: 1.2 })
    rows.lineWant = rows.lineWant.slice(0, -1)
    rows.delivery = rows.delivery.slice(1)
    expect(money(rows).overrun.ratio).toBe(1.2)
  })

  it('have every coin once, whatever is split over whatever at any rate', () => {
    const sum = fc.integer({ min: 1, max: 1e7 })
    const spend = fc.record({
      shares: fc.array(
        fc.record({ minor: sum, job: fc.constantFrom('core', 'soft', 'mast', null) }),
        { maxLength: 5 },
      ),
      minor: sum,
      rate: fc.double({ min: 0.01, max: 200, noNaN: true }),
      isBack: fc.boolean(),
    })
    const orders = fc.record({
      prices: fc.array(fc.option(sum, { nil: null }), { minLength: 1, maxLength: 4 }),
      freight: fc.nat(9999),
      rate: fc.double({ min: 0.01, max: 200, noNaN: true }),
      isPaid: fc.boolean(),
    })
    fc.assert(
      fc.property(
        fc.array(spend, { maxLength: 6 }),
        fc.array(orders, { maxLength: 4 }),
        (some, bought) => {
          const rows = refit()
          let want = 0
          some.forEach(({ shares, minor, rate, isBack }, at) => {
            const whole =
              shares.length > 0 ? shares.reduce((all, one) => all + one.minor, 0) : minor
            want += Math.round(whole * rate) * (isBack ? -1 : 1)
            add(rows, 'spend', `s${at}`, {
              on: '2027-03-02',
              what: 'x',
              minor: whole,
              currency: 'GBP',
              rate,
              rateOn: '2027-03-02',
              isBack,
            })
            shares.forEach((one, index) =>
              add(rows, 'spendShare', `s${at} ${index}`, {
                spendId: `s${at}`,
                minor: one.minor,
                jobId: one.job,
                systemId: one.job === null ? 'rig' : null,
                order: `a${index}`,
              }),
            )
          })
          bought.forEach(({ prices, freight, rate, isPaid }, at) => {
            const goods = prices.reduce<number>((all, one) => all + (one ?? 0), 0)
            want += Math.round((goods + freight) * rate)
            add(rows, 'purchase', `p${at}`, {
              number: `${at}`,
              orderedOn: '2027-01-02',
              paidOn: isPaid ? '2027-01-03' : null,
              currency: 'GBP',
              rate,
              rateOn: '2027-01-02',
              freightMinor: freight,
            })
            prices.forEach((priceMinor, index) => {
              const line = `p${at} ${index}`
              add(rows, 'purchaseLine', line, {
                purchaseId: `p${at}`,
                name: 'x',
                priceMinor,
                order: `a${index}`,
              })
              for (const [jobId, guess] of [
                ['core', 700],
                ['mast', index === 0 ? null : 300],
              ] as const) {
                add(rows, 'part', `${line} ${jobId}`, {
                  name: 'x',
                  jobId,
                  priceMinor: guess,
                  state: 'ordered',
                })
                add(rows, 'lineWant', `${line} ${jobId}`, {
                  lineId: line,
                  partId: `${line} ${jobId}`,
                })
              }
            })
          })
          const all = money(rows)
          expect(sumOf(all.lines)).toBe(want)
          expect(all.spentMinor + all.owedMinor).toBe(want)
          const by = (of: (one: (typeof all.lines)[number]) => string) =>
            [...new Set(all.lines.map(of))].reduce(
              (total, key) => total + sumOf(all.lines.filter((one) => of(one) === key)),
              0,
            )
          expect([
            by((one) => one.jobId ?? ''),
            by((one) => one.on ?? ''),
            by((one) => one.kind),
          ]).toEqual([want, want, want])
          // What burnt and what was used of the plans is what was spent.
          const usedMinor = all.accounts.reduce(
            (total, one) => total + one.plannedMinor - one.planLeftMinor,
            0,
          )
          expect(usedMinor + all.contingency.burntMinor).toBe(all.spentMinor)
        },
      ),
      { numRuns: draws(140) },
    )
  })
})

describe('a trade', () => {
  function smith(more: object = {}, done: 'open' | 'right' = 'open') {
    const rows = refit()
    add(rows, 'tradeBooking', 't', {
      stepId: 'lift',
      trade: 'Smith',
      from: '2027-05-01',
      to: '2027-05-02',
      state: 'booked',
      priceMinor: 282_400,
      retainPercent: 10,
      ...more,
    })
    for (const [id, minor] of [
      ['gate', 18_000],
      ['braces', 9600],
    ] as const)
      add(rows, 'tradeItem', id, {
        bookingId: 't',
        what: id,
        proposal: id,
        proposalMinor: minor,
        answer: 'taken',
        answeredOn: '2027-03-02',
        done,
        order: id,
      })
    add(rows, 'invoice', 'i', { bookingId: 't', on: '2027-04-12', minor: 331_200 })
    add(rows, 'spend', 'first', {
      on: '2027-02-01',
      what: 'Deposit',
      kind: 'trade',
      minor: 124_000,
      bookingId: 't',
    })
    return tradeAccounts(rows)[0]
  }
  it('is paid what was agreed, less what is held and what was paid, and asked about the rest', () => {
    expect(smith()).toMatchObject({
      agreedMinor: 310_000,
      billedMinor: 331_200,
      beyondMinor: 21_200,
      paidMinor: 124_000,
      heldMinor: 31_000,
      payableMinor: 155_000,
      owedMinor: 186_000,
    })
  })
  it('uses up what was planned for it, no more and no less, whatever it comes to', () => {
    /** A hundred for the smith and five hundred for parts nobody bought; what was paid to the smith at his bill. */
    const left = (
      billedMinor: number,
      paid: readonly number[],
      state: 'booked' | 'came' = 'came',
    ) => {
      const rows = refit()
      add(rows, 'part', 'ply', { name: 'Ply', jobId: 'core', quantity: 1, priceMinor: 50_000 })
      const days = { from: '2027-03-01', to: '2027-03-02' }
      const smith = { stepId: 'bed', trade: 'Smith', state, priceMinor: 10_000, ...days }
      add(rows, 'tradeBooking', 't', smith)
      add(rows, 'invoice', 'i', { bookingId: 't', on: '2027-03-05', minor: billedMinor })
      paid.forEach((minor, at) =>
        add(rows, 'spend', `${at}`, {
          on: '2027-03-06',
          what: 'x',
          kind: 'trade',
          minor,
          bookingId: 't',
        }),
      )
      const all = money(rows)
      const of = all.accounts.find((one) => one.key === 'system deck')
      return [of?.planLeftMinor, all.contingency.burntMinor]
    }
    expect(left(10_000, [10_000])).toEqual([50_000, 0])
    // 120 over two payments: twenty are nobody's plan, and the ply is still to be bought.
    expect(left(12_000, [10_000, 2000])).toEqual([50_000, 2000])
    expect(left(8000, [8000])).toEqual([50_000, -2000])
    // Half of what was agreed is half of the plan.
    expect(left(10_000, [5000], 'booked')).toEqual([55_000, 0])
  })
  it('says of the ratio of all lines as much as their sizes allow', () => {
    const rows = refit()
    for (const [id, minor] of [
      ['a', 10_000],
      ['b', 10_000],
      ['c', 20_000],
    ] as const) {
      const days = { from: '2027-03-01', to: '2027-03-02' }
      const came = { stepId: 'bed', trade: id, state: 'came', priceMinor: minor, ...days } as const
      add(rows, 'tradeBooking', id, came)
      add(rows, 'invoice', id, { bookingId: id, on: '2027-03-05', minor })
    }
    // None strays: √(4 × 0.3² ÷ 7). One is as large as both others: 4² ÷ (1 + 1 + 4) lines, not three.
    const { overrun } = money(rows)
    expect(overrun.ratioSpread).toBeCloseTo(Math.sqrt(0.36 / 7) / Math.sqrt(16 / 6), 6)
  })
  it('is paid the rest once all is right', () => {
    expect(smith({}, 'right')).toMatchObject({ heldMinor: 0, payableMinor: 186_000 })
    expect(smith({ state: 'came' }, 'right')?.owedMinor).toBe(186_000)
    expect(smith({ state: 'asked' })?.owedMinor).toBe(0)
    expect(smith({ state: 'cancelled' })?.paidMinor).toBe(124_000)
  })
})

describe('the yard', () => {
  const rows = refit()
  add(rows, 'yardTariff', 'prices', {
    placeId: 'yard',
    perDayMinor: 1140,
    freeDays: 14,
    liftMinor: 30_000,
    blockMinor: 6000,
    washMinor: 4500,
    berthPerDayMinor: 620,
  })
  const tariff = rows.yardTariff[0] as Tariff
  it('asks nothing for free days: 182 of 196 at 11.40', () => {
    expect(daysMinor(tariff, 1, 196, 12)).toBe(207_480)
    expect([dayMinor(tariff, 14, 12), dayMinor(tariff, 15, 12)]).toEqual([0, 1140])
    expect(comingOutMinor(tariff)).toBe(40_500)
    // By the metre of a boat of 12.192 m, with power: 13,898.88 and 150.
    expect(usualDayMinor({ ...tariff, byMetre: true, powerPerDayMinor: 150 }, 12.192)).toBe(
      13_899 + 150,
    )
  })
  it('adds up day by day, whatever its prices and steps', () => {
    fc.assert(
      fc.property(
        fc.record({
          freeDays: fc.nat(20),
          laterFromDay: fc.option(fc.integer({ min: 1, max: 40 }), { nil: null }),
          laterPerDayMinor: fc.nat(3000),
          powerPerDayMinor: fc.nat(300),
          byMetre: fc.boolean(),
        }),
        fc.integer({ min: -3, max: 40 }),
        fc.nat(60),
        (more, from, days) => {
          const some = { ...tariff, ...more }
          let sum = 0
          for (let day = Math.max(1, from); day < from + days; day++) sum += dayMinor(some, day, 10)
          expect(daysMinor(some, from, from + days - 1, 10)).toBe(sum)
        },
      ),
    )
  })
  it('runs up until it asks, and is settled by a bill once she is afloat', () => {
    const ashore = (more: object, bills: readonly number[] = []) => {
      const some = { ...rows, haulOut: [] as Rows['haulOut'], spend: [] as Rows['spend'] }
      add(some, 'haulOut', 'h', {
        name: 'Winter',
        placeId: 'yard',
        liftOutAimed: '2026-10-03',
        liftOutActual: '2026-10-03',
        launchAimed: '2027-05-22',
        ...more,
      })
      bills.forEach((minor, at) =>
        add(some, 'spend', `b${at}`, {
          on: '2027-01-01',
          what: 'Yard',
          kind: 'yard',
          minor,
          haulOutId: 'h',
        }),
      )
      return some
    }
    const owed = (some: Rows) => sumOf(moneyLines(some, '2027-04-17').filter((one) => !one.isSpent))
    expect(owed(ashore({}))).toBe(40_500 + 207_480)
    expect(owed(ashore({}, [200_000]))).toBe(47_980)
    expect(owed(ashore({ launchActual: '2027-04-10' }))).toBe(40_500 + 175 * 1140 + 30_000)
    expect(owed(ashore({ launchActual: '2027-04-10' }, [200_000]))).toBe(0)
    const some = ashore({})
    const { clock } = derive(some, null, now)
    const launches = [
      { haulOutId: 'h', from: Date.UTC(2026, 9, 3, 12), at: Date.UTC(2027, 5, 5, 9) },
    ]
    const plan = { launches } as unknown as Parameters<typeof yardMeter>[1]
    // 49 days to 5 June.
    expect(yardMeter(some, plan, clock, '2027-04-17')).toMatchObject({
      daysSoFar: 196,
      daysSoFarMinor: 207_480,
      daysToCome: 49,
      daysToComeMinor: 55_860,
      totalMinor: 40_500 + 207_480 + 55_860 + 30_000,
      weekLater: { yardMinor: 7980, berthMinor: 4340 },
      dayMinor: 1140,
    })
  })
})

it('reckons the yard and the berth from one haul-out to the next, and from tomorrow on', () => {
  const rows = refit()
  add(rows, 'yardTariff', 'prices', {
    placeId: 'yard',
    perDayMinor: 1000,
    liftMinor: 30_000,
    washMinor: 5000,
    berthPerDayMinor: 400,
  })
  const ashore = { placeId: 'yard', name: 'x' }
  add(rows, 'haulOut', 'one', {
    ...ashore,
    liftOutAimed: '2027-04-07',
    liftOutActual: '2027-04-07',
    launchAimed: '2027-04-27',
  })
  add(rows, 'haulOut', 'two', { ...ashore, liftOutAimed: '2027-05-07', launchAimed: '2027-05-12' })
  // 1 October to 7 April afloat, 189 days; then 20 days, 10 afloat, 5: 25 days ashore, two lifts out and two in; 10 of the first 20 are gone.
  const yard = money(rows).accounts.find((one) => one.account === 'yard')
  expect(yard).toMatchObject({
    plannedMinor: 25 * 1000 + 2 * 35_000 + 2 * 30_000 + (189 + 10) * 400,
    owedMinor: 35_000 + 10 * 1000,
    likelyMinor: 35_000 + 10 * 1000 + 10 * 1000 + 30_000 + 10 * 400 + 35_000 + 5 * 1000 + 30_000,
  })
  // Launched on its day and billed: of the first nothing is to come but the berth.
  rows.haulOut = rows.haulOut.map((one) =>
    one.id === 'one' ? { ...one, launchActual: '2027-04-16' } : one,
  )
  add(rows, 'spend', 'bill', {
    on: '2027-04-16',
    what: 'Yard',
    kind: 'yard',
    minor: 70_000,
    haulOutId: 'one',
  })
  expect(money(rows).accounts.find((one) => one.account === 'yard')).toMatchObject({
    owedMinor: 0,
    likelyMinor: 70_000 + 20 * 400 + 35_000 + 5 * 1000 + 30_000,
  })
})
