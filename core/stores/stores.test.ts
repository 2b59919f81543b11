/** Windows, leads, pools, landed cost and the shelf by hand; what holds for any of them by chance. */
import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Row } from '../model/entities'
import { makePlan } from '../plan/makePlan'
import { add, emptyRefit, step } from '../testing/build'
import {
  after,
  clock,
  draft,
  factsOf,
  lineOf,
  newId,
  now,
  refit,
  whole,
} from '../testing/storesRefit'
import type { Rows } from '../testing/storesRefit'
import { dateOf, dayNumber } from '../time/civil'
import { buyBoard } from './board'
import { buyWindow } from './buyWindow'
import { outlays, outlaysBy } from './cash'
import { moneyOf, washerMinor } from './buyMoney'
import { buyHeadline } from './headline'
import { landed } from './landed'
import { chanceLate, leadOf, spareDays } from './lead'
import { arriveItems, dueItems, nextNumber, orderItems } from './ordering'
import { pooled } from './pool'
import { unpricedParts } from './storeFacts'
import { sayAmount, sayRow } from './sayBuy'
import { moveLot, shelfWarnings, takeFromLot } from './shelf'

const day = (date: string) => dayNumber(date)

describe('a window to buy', () => {
  const on = (leadDays: number, neededOn = '2027-06-01', opensOn: string | null = null) =>
    buyWindow({
      today: day('2027-05-01'),
      opensOn: opensOn === null ? null : day(opensOn),
      neededOn: day(neededOn),
      leadDays,
    })

  it('keeps five days, or a fifth of the lead where that is more', () => {
    // 1 June less 10 days less 5; less 40 days less 8.
    expect(dateOf(on(10).closesOn ?? 0)).toBe('2027-05-17')
    expect(dateOf(on(40, '2027-09-01').closesOn ?? 0)).toBe('2027-07-15')
    expect([spareDays(25), spareDays(26)]).toEqual([5, 6])
  })

  it.each([
    // Needed on 1 June, ten days on the way, five to spare: its last day is 17 May.
    ['2027-05-09', 'open'],
    ['2027-05-10', 'closing'],
    ['2027-05-16', 'closing'],
    ['2027-05-17', 'buyToday'],
    ['2027-05-22', 'buyToday'],
    ['2027-05-23', 'late'],
  ] as const)('on %s is %s', (today, state) => {
    const found = buyWindow({
      today: day(today),
      opensOn: null,
      neededOn: day('2027-06-01'),
      leadDays: 10,
    })
    expect(found.state).toBe(state)
    expect(found.lateDays).toBe(state === 'late' ? 1 : 0)
  })

  it('is not open before its size is sure, and may shut before that', () => {
    expect(on(10, '2027-06-01', '2027-05-12').state).toBe('early')
    expect(on(10, '2027-06-01', '2027-05-17').state).toBe('early')
    expect(on(10, '2027-06-01', '2027-05-18').state).toBe('shutsFirst')
    // Sure by today it is open.
    expect(on(10, '2027-06-01', '2027-05-01').state).toBe('open')
    expect(buyWindow({ today: 0, opensOn: Infinity, neededOn: 100, leadDays: 1 }).state).toBe(
      'shutsFirst',
    )
    expect(buyWindow({ today: 0, opensOn: null, neededOn: null, leadDays: 1 }).state).toBe(
      'undated',
    )
  })

  it('never shuts later for a longer lead', () => {
    fc.assert(
      fc.property(fc.nat(400), fc.nat(400), fc.nat(800), (a, b, neededOn) => {
        const of = (leadDays: number) =>
          buyWindow({ today: 0, opensOn: null, neededOn, leadDays }).closesOn ?? 0
        expect(of(Math.max(a, b))).toBeLessThanOrEqual(of(Math.min(a, b)))
      }),
    )
  })
})

describe('a lead', () => {
  const supplier = { leadDays: 6, leadLateDays: null }
  it('is the part’s own, else of its supplier, else assumed', () => {
    expect(leadOf({ leadDays: 21, leadLateDays: 30, recipePart: 'bolt' }, supplier)).toEqual({
      days: 21,
      lateDays: 30,
      from: 'part',
    })
    // Half as long again, where nobody said.
    expect(
      leadOf({ leadDays: null, leadLateDays: null, recipePart: 'bolt' }, supplier),
    ).toMatchObject({
      days: 6,
      lateDays: 9,
      from: 'supplier',
    })
    const unsaid = { leadDays: null, leadLateDays: null }
    expect(leadOf({ ...unsaid, recipePart: '' }, null)).toEqual({
      days: 7,
      lateDays: 14,
      from: 'assumed',
    })
    // What a recipe lists a shop has.
    expect(leadOf({ ...unsaid, recipePart: 'bolt' }, null)).toEqual({
      days: 2,
      lateDays: 7,
      from: 'assumed',
    })
  })

  it('is missed with the odds of a lognormal about it', () => {
    // Tables of the normal: ln(30/21)/0.35 = 1.0191, and 15.41 % lie above; ln(15/21)/0.35 = −0.9613, 83.18 % above.
    expect(chanceLate(21, 21)).toBeCloseTo(0.5, 6)
    expect(chanceLate(21, 30)).toBeCloseTo(0.1541, 3)
    expect(chanceLate(21, 15)).toBeCloseTo(0.8318, 3)
    expect([chanceLate(0, 0), chanceLate(0, -1), chanceLate(5, 0)]).toEqual([0, 1, 1])
  })
})

const part = (given: Partial<Row<'part'>>): Row<'part'> => {
  const rows = emptyRefit()
  return add(rows, 'part', `p${Math.random()}`, { name: 'Butyl tape', unit: 'm', ...given })
}

describe('what many jobs want', () => {
  it('is one line, with its spare and rounded to packs once', () => {
    // 9.6 + 14.4 + 6.2 + 1.2 + 5.8 + 7.7 = 44.9, and a tenth: 49.39, in rolls of ten: five, and 0.61 over.
    const line = pooled(
      [9.6, 14.4, 6.2, 1.2, 5.8, 7.7].map((quantity) =>
        part({ quantity, packSize: 10, sparePercent: 10, priceMinor: 110 }),
      ),
    )
    expect(line).toHaveLength(1)
    expect(line[0]).toMatchObject({ wanted: 44.9, spare: 4.49, packs: 5, toBuy: 50, over: 0.61 })
    // Fifty metres at 1.10.
    expect(line[0]?.priceMinor).toBe(5500)
    expect(line[0] && sayAmount(line[0])).toBe('5 × 10 m')
  })

  it('adds small units to large ones, and counts what is counted whole', () => {
    const [coat] = pooled([
      part({ name: 'Coat', unit: 'mL', quantity: 250, priceMinor: 2 }),
      part({ name: 'coat ', unit: 'L', quantity: 1.5, priceMinor: 1800 }),
    ])
    // 0.25 L for 5.00 and 1.5 L for 27.00: 32.00 together.
    expect(coat).toMatchObject({ unit: 'L', wanted: 1.75, toBuy: 1.75, priceMinor: 3200 })
    const [bolts] = pooled([part({ name: 'Bolt', unit: 'pieces', quantity: 8, sparePercent: 10 })])
    expect(bolts?.toBuy).toBe(9)
  })

  it('fills whole packs to the last piece', () => {
    const packs = (...amounts: number[]) =>
      pooled(amounts.map((quantity) => part({ quantity, packSize: 0.3 })))[0]
    // 0.1 and 0.2 are a little more than 0.3 to a machine, and one pack to anybody else.
    expect(packs(0.1, 0.2)).toMatchObject({ packs: 1, over: 0 })
    expect(packs(0.3, 0.3)).toMatchObject({ packs: 2, toBuy: 0.6, over: 0 })
  })

  it('keeps hands, sizes and metals apart, and joins what is bought as one thing', () => {
    const keys = (list: readonly Row<'part'>[]) => pooled(list).map((one) => one.parts.length)
    expect(keys([part({ hand: 'port' }), part({ hand: 'starboard' })])).toEqual([1, 1])
    expect(keys([part({ size: 'M8' }), part({ size: 'm8 ' })])).toEqual([2])
    expect(keys([part({ metal: 'A2' }), part({ metal: 'A4' })])).toEqual([1, 1])
    expect(
      keys([part({ name: 'Gloves L', boughtAs: 'Gloves' }), part({ name: 'Gloves' })]),
    ).toEqual([2])
  })

  it('buys no less than is wanted, and less than a pack more', () => {
    const amounts = fc.array(
      fc.record({
        quantity: fc.double({ min: 0.001, max: 500, noNaN: true }),
        sparePercent: fc.integer({ min: 0, max: 40 }),
      }),
      { minLength: 1, maxLength: 12 },
    )
    fc.assert(
      fc.property(amounts, fc.double({ min: 0.5, max: 60, noNaN: true }), (list, packSize) => {
        const [line] = pooled(list.map((one) => part({ ...one, packSize })))
        const needs = list.reduce(
          (sum, one) => sum + one.quantity * (1 + one.sparePercent / 100),
          0,
        )
        expect(line?.toBuy).toBeGreaterThanOrEqual(needs - packSize * 1e-5 - 1e-5)
        expect(line?.toBuy).toBeLessThan(needs + packSize + 1e-5)
        expect(line?.parts).toHaveLength(list.length)
      }),
    )
  })
})

describe('landed cost', () => {
  const order = (given: object, prices: readonly (number | null)[]) => {
    const rows = emptyRefit()
    add(rows, 'purchase', 'o', { number: '17', orderedOn: '2027-04-05', ...given })
    prices.forEach((priceMinor, at) =>
      add(rows, 'purchaseLine', `l${at}`, {
        purchaseId: 'o',
        name: `l${at}`,
        priceMinor,
        order: `a${at}`,
      }),
    )
    return landed(rows, rows.purchase[0] as Row<'purchase'>, 'EUR')
  }
  it('shares freight and tax by price to the cent', () => {
    // 309.10 of goods, 18.50 and 75.35: 402.95, worked out apart for the drawing of the view.
    const found = order(
      { freightMinor: 1850, taxMinor: 7535 },
      [11_430, 9640, 4120, 2850, 1980, 890],
    )
    expect(found.lines.map((one) => one.landedMinor)).toEqual([
      14_900, 12_567, 5371, 3716, 2581, 1160,
    ])
    expect(found).toMatchObject({ goodsMinor: 30_910, totalMinor: 40_295, unpriced: 0 })
  })

  it('changes the whole once, and leaves out what has no price', () => {
    // 100.00 and 0.01 pounds at 1.17: 117.01 euros, not 117.00 and 0.01 rounded each by itself.
    const found = order({ currency: 'GBP', rate: 1.17, rateOn: '2027-04-05' }, [10_000, 1, null])
    expect(found.lines.map((one) => one.ownMinor)).toEqual([11_700, 1, null])
    expect(found).toMatchObject({ ownTotalMinor: 11_701, unpriced: 1 })
    // Gifts still have freight: shared evenly. Yen have no smaller coin.
    expect(order({ freightMinor: 5 }, [0, 0]).lines.map((one) => one.landedMinor)).toEqual([3, 2])
    expect(
      order({ currency: 'JPY', rate: 0.006, rateOn: '2027-04-05' }, [1000]).ownTotalMinor,
    ).toBe(600)
  })

  it('adds up from both sides', () => {
    const cents = fc.integer({ min: 0, max: 1e7 })
    const rate = fc.double({ min: 0.01, max: 5, noNaN: true })
    fc.assert(
      fc.property(
        fc.array(cents, { minLength: 1, maxLength: 12 }),
        cents,
        cents,
        rate,
        (prices, freightMinor, taxMinor, of) => {
          const found = order(
            { freightMinor, taxMinor, currency: 'GBP', rate: of, rateOn: '2027-04-05' },
            prices,
          )
          const sum = (key: 'landedMinor' | 'ownMinor') =>
            found.lines.reduce((all, one) => all + (one[key] ?? 0), 0)
          expect(sum('landedMinor')).toBe(found.totalMinor)
          expect(sum('ownMinor')).toBe(found.ownTotalMinor)
        },
      ),
    )
  })
})

describe('a part in the plan', () => {
  it('has its window from the step that measures to the last trip before the step that needs it', () => {
    const rows = refit()
    const [rubber] = factsOf(rows).parts
    // Measured on Saturday the 1st; needed on Saturday the 22nd, six days by post, five to spare: by the 11th.
    expect(rubber?.window).toMatchObject({ state: 'early', opensOn: day('2027-05-01') })
    expect(dateOf(rubber?.window.neededOn ?? 0)).toBe('2027-05-22')
    expect(dateOf(rubber?.window.closesOn ?? 0)).toBe('2027-05-11')
    const said = buyBoard(factsOf(rows)).rows[0]
    expect(said && sayRow(said, day('2027-04-30'), '2027', 'EUR')).toMatchObject({
      strong: 'opens 1 May, buy by 11 May',
      rest: ', bed 22 May',
    })
  })

  it('opens when its measuring step is ticked, and is nothing of a job that was dropped', () => {
    const rows = refit()
    rows.step = rows.step.map((one) =>
      one.id === 'measure' ? { ...one, state: 'done' as const, doneAt: now - 1 } : one,
    )
    expect(factsOf(rows).parts[0]?.window).toMatchObject({ state: 'open', opensOn: null })
    rows.job = rows.job.map((one) => ({ ...one, decision: 'dropped' as const }))
    expect(factsOf(rows).parts).toEqual([])
  })

  it('is needed on the last trip before a day on which nobody of ours comes', () => {
    const rows = refit()
    // A trade fits it on Wednesday the 26th: it is taken there on Sunday the 23rd.
    rows.step = rows.step.map((one) =>
      one.id === 'bed' ? { ...one, operation: 'contract' as const, notBefore: '2027-05-26' } : one,
    )
    expect(dateOf(factsOf(rows).parts[0]?.window.neededOn ?? 0)).toBe('2027-05-23')
    rows.part = rows.part.map((one) => ({ ...one, state: 'returned' as const }))
    expect(factsOf(rows).parts).toEqual([])
  })

  it('is bought another time when it is wanted more than ninety days later, or does not keep', () => {
    const rows = refit()
    const want = (id: string, notBefore: string, shelfMonths: number | null = null) => {
      step(rows, 'hatch', id, { hoursLikely: 1, notBefore })
      add(rows, 'part', `p ${id}`, { name: 'Glue', neededByStepId: id, shelfMonths })
    }
    const glue = () =>
      buyBoard(factsOf(rows))
        .rows.filter((one) => one.pool.name === 'Glue')
        .map((one) => one.wants.length)
    // Saturdays: 5 June, 4 September is 91 days later, 28 August 84.
    want('june', '2027-06-05')
    want('august', '2027-08-28')
    expect(glue()).toEqual([2])
    want('september', '2027-09-04')
    expect(glue()).toEqual([2, 1])
    rows.part = rows.part.map((one) => (one.id === 'p august' ? { ...one, shelfMonths: 1 } : one))
    expect(glue()).toEqual([1, 2])
  })

  it('is said to be late, and with what odds, only as far as anybody said how long it takes', () => {
    const [row] = buyBoard(factsOf(refit())).rows
    const late = (from: 'supplier' | 'assumed', state: 'late' | 'buyToday') =>
      row &&
      sayRow(
        {
          ...row,
          chance: 0.35,
          window: { ...row.window, state, lateDays: 3, leadDays: 7 },
          wants: row.wants.map((one) => ({ ...one, lead: { ...one.lead, from } })),
        },
        day('2027-05-17'),
        '2027',
        'EUR',
      ).strong
    expect(late('supplier', 'late')).toBe('three days late if ordered today')
    expect(late('assumed', 'late')).toBe('three days late if it takes seven days')
    expect(late('supplier', 'buyToday')).toBe('buy today, 35 % miss it')
    expect(late('assumed', 'buyToday')).toBe('buy today')
  })

  it('may rest on a measuring step that nobody can do', () => {
    const rows = refit()
    rows.step = rows.step.map((one) =>
      one.id === 'measure' ? { ...one, skill: 'rigging' as const } : one,
    )
    rows.link = []
    const board = buyBoard(factsOf(rows))
    const [row] = board.rows
    // Its own step waits for the same: nothing in the plan needs it on a day.
    expect(row?.window.state).toBe('undated')
    expect(row && sayRow(row, day('2027-04-30'), '2027', 'EUR').strong).toBe(
      'no day in the plan needs it',
    )
  })

  it('is told not to be ordered while it rests on a guess', () => {
    const rows = refit()
    rows.job = rows.job.map((one) => ({
      ...one,
      recipeKey: 'sleeve-and-bed',
      recipeInputs: { holes: 4, bolt: 10, core: 12 },
    }))
    add(rows, 'part', 'nuts', {
      name: 'Nut M10',
      unit: 'pieces',
      quantity: 5,
      jobId: 'hatch',
      neededByStepId: 'bed',
      recipePart: 'bed/2',
    })
    const nuts = () => factsOf(rows).parts.find((one) => one.part.id === 'nuts')
    expect(nuts()?.guessed).toContain('Holes')
    // How many nuts there are does not hang on the core, though nobody measured that either.
    expect(nuts()?.guessed).not.toContain('Core')
    const holes = { how: 'measured' as const, value: 4, by: null, on: '2027-04-29' }
    rows.job = rows.job.map((one) => ({ ...one, inputSources: { holes } }))
    expect(nuts()?.guessed).not.toContain('Holes')
  })

  it('comes with its order, and the plan follows the day it is due', () => {
    const rows = refit()
    rows.step = rows.step.map((one) => ({ ...one, notBefore: null }))
    const ordered = after(rows, orderItems(rows, draft, [lineOf(3, ['rubber'])], newId))
    expect(ordered.part[0]).toMatchObject({ state: 'ordered', arrivesOn: '2027-05-06' })
    // It could be bedded on Saturday the 1st; here on the 6th, it is bedded on the 8th.
    const bedOn = (of: Rows) =>
      clock.dateOf(
        makePlan(of, now).plan.placements.find((one) => one.stepId === 'bed')?.segments[0]?.[0] ??
          0,
      )
    expect([bedOn(rows), bedOn(ordered)]).toEqual(['2027-05-01', '2027-05-08'])
    const [line] = ordered.purchaseLine
    const late = after(ordered, dueItems(ordered, line as Row<'purchaseLine'>, '2027-05-12'))
    expect(bedOn(late)).toBe('2027-05-15')
    const [row] = buyBoard(factsOf(late)).rows
    expect(row).toMatchObject({ kind: 'onItsWay', holds: true, slippedDays: 6 })
    expect(row && sayRow(row, day('2027-04-30'), '2027', 'EUR').strong).toBe(
      '6 d later than promised, due 12 May, holds its step',
    )
    expect(nextNumber(late)).toBe('27')
  })

  it('ticks off the step that was to order it, with what is left to wait', () => {
    const rows = refit()
    rows.step = rows.step.filter((one) => one.id !== 'measure')
    rows.part = rows.part.map((one) => ({ ...one, fixedByStepId: null }))
    rows.step = []
    step(rows, 'hatch', 'send', { operation: 'buy', waitKind: 'calendar', waitHours: 21 * 24 })
    step(rows, 'hatch', 'bed', { hoursLikely: 2 })
    const ordered = after(rows, orderItems(rows, draft, [lineOf(3, ['rubber'])], newId))
    expect(ordered.step.find((one) => one.id === 'send')).toMatchObject({
      state: 'done',
      waitHours: 6 * 24,
    })
    // Due on the 20th now, it waits twenty days; come on the 2nd, two.
    const [line] = ordered.purchaseLine as [Row<'purchaseLine'>]
    const waits = (of: Rows) => of.step.find((one) => one.id === 'send')?.waitHours
    expect(waits(after(ordered, dueItems(ordered, line, '2027-05-20')))).toBe(20 * 24)
    const came = { ...whole, cameOn: '2027-05-02' }
    expect(waits(after(ordered, arriveItems(ordered, line, came, [], newId)))).toBe(2 * 24)
  })
})

describe('when money leaves', () => {
  it('is on the last day to buy, or when it comes, and adds up over any stretches', () => {
    const rows = refit()
    const facts = factsOf(rows)
    const open = outlays(buyBoard(facts), facts)
    // Three metres at 20.00, by 11 May.
    expect(open).toEqual([{ day: day('2027-05-11'), minor: 6000, isSure: false, what: 'Rubber' }])
    const ordered = after(
      rows,
      orderItems(rows, { ...draft, freightMinor: 900 }, [lineOf(3, ['rubber'])], newId),
    )
    const own = factsOf(ordered)
    const sure = outlays(buyBoard(own), own)
    // 60.00 and 9.00 of freight, on the 6th.
    expect(sure).toMatchObject([{ day: day('2027-05-06'), minor: 6900, isSure: true }])
    const edges = [day('2027-05-01'), day('2027-05-06'), day('2027-05-13')]
    expect(outlaysBy([...open, ...sure], edges)).toMatchObject([
      { openMinor: 0, sureMinor: 0 },
      { openMinor: 6000, sureMinor: 6900 },
    ])
    const frame = {
      first: day('2027-05-03'),
      last: day('2027-05-31'),
      xOfDay: (one: number) => (one - day('2027-05-03')) * 10,
      currency: 'EUR',
      right: 300,
    }
    // 69.00 in the first week are seven washers of 10.00, all brass; 60.00 in the next are six white ones.
    expect(moneyOf([...sure, ...open], frame)).toMatchObject({
      washer: '€10',
      piles: [
        { sure: 7, open: 0, text: '€69' },
        { sure: 0, open: 6, text: '€60' },
      ],
      months: [{ text: 'May to the 30. €129' }],
    })
    // A washer is the smallest round sum with which no pile is higher than seven.
    expect([washerMinor(7000, 'EUR'), washerMinor(7001, 'EUR'), washerMinor(0, 'EUR')]).toEqual([
      1000, 2000, 1000,
    ])
  })
})

it('counts as without a price what planned work still wants bought, and nothing else', () => {
  const rows = refit()
  const part = (id: string, more: object) => add(rows, 'part', id, { name: id, ...more })
  const [priced] = rows.part
  rows.part = [{ ...priced!, priceMinor: 100 }]
  part('wanted', { neededByStepId: 'bed' })
  part('ordered', { neededByStepId: 'bed', state: 'ordered' })
  part('left', { jobId: 'gone' })
  add(rows, 'job', 'gone', { title: 'Gone', decision: 'dropped', order: 'z' })
  expect(unpricedParts(rows).map((one) => one.id)).toEqual(['wanted'])
})

describe('what presses', () => {
  it('is said first, and nothing else is called pressing', () => {
    const rows = refit()
    const headline = (on: string) => {
      const at = Date.parse(`${on}T12:00:00Z`)
      const facts = factsOf(rows, at)
      return buyHeadline(buyBoard(facts), facts.today, '2027')
    }
    expect(headline('2027-04-30')).toEqual({
      lead: 'Nothing presses; Rubber is next, by 11 May',
      worst: '',
    })
    rows.part = rows.part.map((one) => ({ ...one, fixedByStepId: null }))
    // Ordered on the 14th it is here on the 20th as a rule, two days before: ln(8/6)/0.35 leaves 20.6 % too late.
    expect(headline('2027-05-14')).toEqual({ lead: 'One thing to see to: ', worst: 'buy Rubber' })
    expect(headline('2027-05-17').worst).toBe('Rubber comes late whatever you do')
    const [kept] = rows.part
    rows.part[0] = { ...kept!, supplierId: null }
    // Nobody said any more how long it takes: a week is taken.
    expect(headline('2027-05-17').worst).toBe('Rubber comes late if it takes seven days')
    rows.part[0] = kept!
    rows.part = rows.part.map((one) => ({
      ...one,
      state: 'ordered' as const,
      orderedOn: '2027-04-30',
      arrivesOn: '2027-05-06',
    }))
    expect(headline('2027-05-06').lead).toBe('Nothing presses')
    expect(headline('2027-05-07').worst).toBe('Rubber was due on 6 May')
    // Its window shuts in a year: nobody has to see to that today.
    rows.part = rows.part.map((one) => ({
      ...one,
      state: 'wanted' as const,
      fixedByStepId: 'measure',
    }))
    rows.step = rows.step.map((one) =>
      one.id === 'measure'
        ? { ...one, notBefore: '2028-05-27' }
        : { ...one, notBefore: '2028-05-28' },
    )
    expect(headline('2027-04-30').worst).toBe('')
    expect(headline('2028-05-12').worst).toBe('Rubber shuts before it opens')
  })
})

describe('the shelf', () => {
  const lot = (rows: Rows, given: object) =>
    add(rows, 'stock', newId(), { name: 'Gloves', unit: 'pairs', order: 'a', ...given })

  it('moves no more than there is, and nothing gets lost', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.array(
          fc.tuple(
            fc.nat(3),
            fc.double({ min: -5, max: 60, noNaN: true }),
            fc.constantFrom('boat', 'shed', 'home'),
          ),
          { maxLength: 12 },
        ),
        (have, moves) => {
          let rows = refit()
          lot(rows, { quantity: have, at: 'shed' })
          for (const [at, amount, to] of moves) {
            const from = rows.stock[at % rows.stock.length] as Row<'stock'>
            const result = moveLot(rows, from, amount, to as 'boat', newId)
            if (result.ok) rows = after(rows, result.value)
            expect(result.ok).toBe(amount > 0 && amount <= from.quantity && to !== from.at)
          }
          const sum = rows.stock.reduce((all, one) => all + one.quantity, 0)
          expect(Math.min(...rows.stock.map((one) => one.quantity))).toBeGreaterThanOrEqual(0)
          expect(sum).toBeCloseTo(have, 4)
        },
      ),
    )
  })

  it('says what is low over all places, what goes off, and lets nobody take more than there is', () => {
    const rows = refit()
    const first = lot(rows, { quantity: 12, at: 'boat', lowAt: 20 })
    lot(rows, { quantity: 9, at: 'shed' })
    expect(shelfWarnings(rows, '2027-04-30').low).toEqual([])
    // Off, they do not count.
    lot(rows, { quantity: 40, at: 'home', expiresOn: '2027-04-29' })
    rows.stock = rows.stock.map((one) => (one.at === 'shed' ? { ...one, quantity: 7 } : one))
    const found = shelfWarnings(rows, '2027-04-30')
    expect(found.low).toMatchObject([{ have: 19 }])
    expect(found.goingOff.map((one) => one.quantity)).toEqual([40])
    lot(rows, { quantity: 30, at: 'boat', isOffcut: true })
    expect(shelfWarnings(rows, '2027-04-30').low).toHaveLength(1)
    expect(takeFromLot(first, 12).ok).toBe(true)
    expect(takeFromLot(first, 12.5).ok).toBe(false)
    expect(takeFromLot(first, 0).ok).toBe(false)
  })
})
