/** What is read from runs, by hand: shares, dates, piles, lifts, cost. */
import { describe, expect, it } from 'vitest'
import type { GateOdds } from '../model/odds'
import { dayOfShare, shareBy } from '../model/odds'
import type { StoredPlan } from '../model/stored'
import { moneyOf } from '../money/accounts'
import { derive } from '../progress/derive'
import { add, job, person, step } from '../testing/build'
import type { Building } from '../testing/build'
import { ashore, friday, weekends } from '../testing/weekends'
import { dateOf, dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { costDraws } from './costDraws'
import { liftsAhead } from './lifts'
import { shareOf } from './odds'
import { chanceOn, likelyDates, sayLikely } from './oddsWords'
import { pilesOf } from './piles'

const odds = (days: readonly [string, number][], never = 0): GateOdds => ({
  gateId: 'g',
  days: days.map(([on, runs]) => [dayNumber(on), runs]),
  never,
  ghostIn: null,
})

describe('dates of runs', () => {
  const ten = odds(
    [
      ['2027-06-05', 4],
      ['2027-06-12', 3],
      ['2027-06-19', 1],
    ],
    2,
  )
  it('are the day of number ceil(pN), those without a day the last', () => {
    expect(likelyDates(ten)).toEqual({ likelyOn: '2027-06-12', safeOn: '2027-06-19' })
    expect([0.4, 0.41, 0.7, 0.81].map((share) => dayOfShare(ten, share))).toEqual([
      dayNumber('2027-06-05'),
      dayNumber('2027-06-12'),
      dayNumber('2027-06-12'),
      null,
    ])
  })
  it('have chances that count every run, and are never said to be better than they are', () => {
    expect(shareBy(ten, dayNumber('2027-06-18'))).toBeCloseTo(0.7, 9)
    expect(chanceOn(odds([['2027-06-05', 2]], 1), '2027-06-05')).toBe(66)
  })
  it('are said with what they lack', () => {
    const say = (likelyOn: string | null, safeOn: string | null) =>
      sayLikely({ likelyOn, safeOn }, '2027')
    expect(say('2027-06-05', '2028-06-12')).toBe('likely 5 Jun, safe 12 Jun 2028')
    expect(say('2027-06-05', '2027-06-05')).toBe('likely and safe 5 Jun')
    expect(say('2027-06-05', null)).toBe('likely 5 Jun, safe on no day')
    expect(say(null, null)).toBe('likely on no day')
  })
  it('lie on piles by the week where their days are many, the tail counted beside them', () => {
    const days = Array.from({ length: 20 }, (_, at): [string, number] => [
      dateOf(dayNumber('2027-06-01') + at),
      5,
    ])
    const { by, piles, later } = pilesOf(odds([...days, ['2027-12-01', 1]], 1))
    expect(by).toBe('week')
    // Tuesday 1 to Sunday 6 June are six days; 80 % of 102 runs is the 17th day, Thursday 17 June.
    expect(piles).toEqual([
      { on: '2027-05-31', runs: 30, isBeyond: false },
      { on: '2027-06-07', runs: 35, isBeyond: false },
      { on: '2027-06-14', runs: 35, isBeyond: true },
    ])
    expect(later).toBe(2)
  })
})

it('the share of a spread is the square of the rank correlation, and 0 where chance makes as much', () => {
  const many = Array.from({ length: 40 }, (_, at) => at)
  const swapped = many.map((at) => (at % 2 === 0 ? at + 1 : at - 1))
  // 1 − 6 × 40 ÷ (40 × 1599).
  expect(shareOf(many, swapped)).toBeCloseTo((1 - 240 / 63_960) ** 2, 9)
  expect(
    shareOf(
      many,
      many.map((at) => -Math.exp(at)),
    ),
  ).toBeCloseTo(1, 9)
  expect(shareOf([1, 2, 3, 4, 5], [2, 1, 4, 3, 5])).toBe(0)
  expect(
    shareOf(
      many,
      many.map(() => 7),
    ),
  ).toBe(0)
})

describe('which lift to book', () => {
  const at = (text: string) => Date.parse(`2027-06-${text}:00Z`)
  /** Six runs ready by the 5th, three by the 12th, one on the 15th; she was lifted on 1 April. */
  const readyAt = [
    ...Array<number>(6).fill(at('01T12:00')),
    ...Array<number>(3).fill(at('09T12:00')),
    at('15T12:00'),
  ]
  const launched = readyAt.map(
    (ready) => [at('05T09:00'), at('12T09:00'), at('19T09:00')].find((lift) => lift >= ready) ?? 0,
  )
  function lifts(
    tariff: { changeMinor: number; berthPerDayMinor?: number },
    shut: object[] = [],
    more: (rows: Building) => void = () => undefined,
  ) {
    const rows = weekends()
    ashore(rows)
    more(rows)
    rows.place = rows.place.map((one) =>
      one.id === 'yard' ? { ...one, liftWeekdays: [6], noLifts: shut as typeof one.noLifts } : one,
    )
    add(rows, 'yardTariff', 't', { placeId: 'yard', perDayMinor: 1000, noticeDays: 7, ...tariff })
    const plan = { now: friday, launches: [] } as unknown as StoredPlan
    return liftsAhead(rows, plan, () => ({ at: launched, readyAt }), zoneClock('UTC'))[0]
  }
  const read = (found: ReturnType<typeof lifts>) =>
    found?.dates.map((one) => [dateOf(one.day).slice(8), one.ready, one.extraMinor])

  it('weighs days in the yard against the fee and the wait of a day that is missed', () => {
    // 5th: (6 × 65 + 3 × 81.5 + 88.5) ÷ 10 = 72.3; 12th: (9 × 72 + 88.5) ÷ 10 = 73.65; 19th: 79 thousand.
    expect(read(lifts({ changeMinor: 9500 }))).toEqual([
      ['05', 60, 0],
      ['12', 90, 1350],
      ['19', 100, 6700],
    ])
    // Of the 5th's: (6 × 65 + 3 × 72 + 79) ÷ 10 days at 10.00, and 4 × 95.00 ÷ 10; she goes in 3.5 days later.
    const fifth = lifts({ changeMinor: 9500 })?.all?.find((one) => one[1] === 60)
    expect(fifth?.[3]).toEqual([68_500, 0, 3800, dayNumber('2027-06-09')])
    // 5th: 88.5; 12th: 77.7; 19th: 79.
    const dear = lifts({ changeMinor: 50_000 })
    expect(read(dear)).toEqual([
      ['05', 60, 10_800],
      ['12', 90, 0],
      ['19', 100, 1300],
    ])
    expect(dear?.bestDay).toBe(dayNumber('2027-06-12'))
    expect(dear?.dates.map((one) => dateOf(one.freeUntil).slice(5))).toEqual([
      '05-29',
      '06-05',
      '06-12',
    ])
  })
  it('says the chance of lifts that come too soon, and weighs none of them', () => {
    const rows = weekends()
    ashore(rows)
    rows.place = rows.place.map((one) => (one.id === 'yard' ? { ...one, liftWeekdays: [6] } : one))
    add(rows, 'yardTariff', 't', { placeId: 'yard', perDayMinor: 1000, changeMinor: 9500 })
    const plan = { now: friday, launches: [] } as unknown as StoredPlan
    // One of 200 is ready for the 5th, 39 for the 12th, the others for the 19th.
    const runs = ['05', ...Array<string>(39).fill('12'), ...Array<string>(160).fill('19')]
    const ready = runs.map((on) => at(`${on}T08:00`))
    const launches = runs.map((on) => at(`${on}T09:00`))
    const found = liftsAhead(rows, plan, () => ({ at: launches, readyAt: ready }), zoneClock('UTC'))
    const all = found[0]?.all ?? []
    expect(all.slice(-4).map(([day, share]) => [dateOf(day).slice(5), share])).toEqual([
      ['05-29', 0],
      ['06-05', 0],
      ['06-12', 20],
      ['06-19', 100],
    ])
    expect(all.at(-3)?.[2]).toBeNull()
    expect(all.at(-2)?.[2]).not.toBeNull()
    expect(found[0]?.dates.map((one) => dateOf(one.day).slice(8))).not.toContain('05')
  })
  it('takes the berth she does not need off the days in the yard', () => {
    // A day costs nothing more or less: only the fees are left, 4 × 9.5, 1 × 9.5 and none, ÷ 10.
    expect(
      read(lifts({ changeMinor: 9500, berthPerDayMinor: 1000 }))?.map((one) => one[2]),
    ).toEqual([3800, 950, 0])
    // From the 17th of April: fifty nights to the 5th, and 3.5 more on average.
    const fifth = lifts({ changeMinor: 9500, berthPerDayMinor: 1000 })?.all
    expect(fifth?.find((one) => one[1] === 60)?.[3]?.[1]).toBe(53_500)
  })
  it('leaves out days on which fewer come than the work in the slings wants', () => {
    const days = (crewMin: number) =>
      read(
        lifts({ changeMinor: 9500 }, [], (rows) => {
          person(rows, 'Bo', [6], '08:00', '16:00')
          add(rows, 'personDay', 'off', { personId: 'Bo', on: '2027-06-05', kind: 'cannotCome' })
          job(rows, 'watch', { gateId: 'launch' })
          step(rows, 'watch', 'look', { hullNeed: 'slings', crewMin })
          // Two for work before the lift are no hands in the slings.
          step(rows, 'watch', 'carry', { crewMin: 2 })
        }),
      )?.map(([on]) => on)
    expect(days(1)).toEqual(['05', '12', '19'])
    expect(days(2)).toEqual(['12', '19'])
  })
  it('says which lift is the last before nothing is lifted', () => {
    const shut = [{ from: '2027-06-13', to: '2027-07-20', why: 'Storms' }]
    expect(lifts({ changeMinor: 9500 }, shut)?.dates.map((one) => one.lastBefore)).toEqual([
      '',
      'Storms',
      '',
    ])
  })
})

describe('what a run costs', () => {
  /** 1,000 planned for the rig, 400 ordered; 500 guessed for a part of the deck; nothing for others. */
  function rows() {
    const all = weekends()
    add(all, 'system', 'rig', { name: 'Rig', kind: 'rig', order: 'a' })
    add(all, 'system', 'deck', { name: 'Deck', kind: 'deck', order: 'b' })
    job(all, 'mast', { systemId: 'rig' })
    step(all, 'mast', 'lift', { hoursLikely: 10 })
    job(all, 'core', { systemId: 'deck' })
    step(all, 'core', 'bed', { hoursLikely: 10 })
    add(all, 'budget', 'b', { account: 'system', systemId: 'rig', minor: 100_000 })
    add(all, 'part', 'wire', {
      name: 'Wire',
      jobId: 'mast',
      quantity: 1,
      priceMinor: 40_000,
      state: 'ordered',
    })
    add(all, 'part', 'ply', { name: 'Ply', jobId: 'core', quantity: 1, priceMinor: 50_000 })
    return all
  }
  const all = rows()
  const money = moneyOf(all, null, derive(all, null, friday))
  const { draw } = costDraws(all, money)
  /** Numbers from which every normal one comes out as z. */
  const each = (z: number) => {
    let turn = 0
    return () => (turn++ % 2 === 0 ? 1 - Math.exp((-z * z) / 2) : z < 0 ? 0.5 : 0)
  }
  it('is what the accounts call likely where everything comes out in the middle', () => {
    expect(draw(each(0), 1, 0).minor).toBe(money.likelyMinor)
    expect(draw(each(0), 2, 700).minor - money.likelyMinor).toBe(money.foundToComeMinor + 700)
  })
  it('strays less where several parts of one account are still open, more where found work has prices of its own', () => {
    const two = rows()
    two.part = two.part.map((one) => (one.id === 'ply' ? { ...one, priceMinor: 30_000 } : one))
    add(two, 'part', 'oak', { name: 'Oak', jobId: 'core', quantity: 1, priceMinor: 40_000 })
    const of = costDraws(two, moneyOf(two, null, derive(two, null, friday)))
    // The rig is one sum, typed; of the deck's two lines √(3² + 4²) ÷ 7 is left.
    const deck = 84_000 * Math.exp((0.3 * 5) / 7 + 0.15)
    expect(of.draw(each(1), 0, 0).minor).toBe(Math.round(120_000 * Math.exp(0.45) + deck))
    // Four found jobs before any was, and of 5 h of 10 two to come: 0.3 × √(1 ÷ 4 + 1 ÷ 2).
    const found = draw(each(1), 1, 0).minor - draw(each(1), 0, 0).minor
    const share = found / (money.foundToComeMinor * Math.exp(0.15))
    expect(share).toBeCloseTo(Math.exp(0.3 * Math.sqrt(0.75)), 3)
  })
  it('is never less than what is owed, and strays as far as lines do that nobody has closed', () => {
    expect(draw(each(-30), 0, 0).minor).toBe(40_000)
    // No line closed: 1.2 × (1,000 + 500) × e^(0.3 + 0.3 ÷ √4).
    expect(draw(each(1), 0, 0).minor).toBe(Math.round(180_000 * Math.exp(0.45)))
  })
})
