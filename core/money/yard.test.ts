/** What is known of a yard's prices before anybody wrote one down, and when some are. */
import { expect, it } from 'vitest'
import type { HaulOut } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { wayMoney } from '../launchWays/cost'
import { firstPass, makePlan } from '../plan/makePlan'
import { prepare } from '../plan/prepare'
import { begunRefit } from '../testing/firstAnswers'
import { dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { noticeDaysOf, tariffOf } from './yard'
import type { Tariff } from './yard'
import { laterLaunchMinor } from './yardAhead'
import { yardAccounts, yardMeter } from './yardMeter'

const clock = zoneClock('UTC')
const now = Date.UTC(2027, 3, 17, 8)

/** A refit as the first five answers make it, ashore since 1 April, its yard asking `prices`. */
function begun(prices: Partial<Tariff>): RefitRows {
  const rows = begunRefit()
  return { ...rows, yardTariff: rows.yardTariff.map((one) => ({ ...one, ...prices })) }
}
const haulOutOf = (rows: RefitRows) => rows.haulOut[0] as HaulOut
const meterOf = (rows: RefitRows) => yardMeter(rows, null, clock, '2027-04-17')
const moneyOf = (rows: RefitRows) =>
  wayMoney(rows, makePlan(rows, now).plan, now, now + 50 * 86_400_000, clock)

it('a new refit knows no price of a yard, and says nothing costs nothing', () => {
  const rows = begun({})
  expect(tariffOf(rows, haulOutOf(rows))).toBeNull()
  expect(meterOf(rows)).toBeNull()
  expect(yardAccounts(rows, 'EUR', '2027-04-17')).toEqual([])
  expect(moneyOf(rows)).toBeNull()
})

it('one price is enough to reckon with, and a day without one is not taken for free', () => {
  const lift = begun({ liftMinor: 30_000 })
  // Out and in again.
  expect(meterOf(lift)).toMatchObject({ hasDayPrice: false, totalMinor: 60_000 })
  expect(moneyOf(lift)?.liftsMinor).toBe(30_000)
  const day = begun({ perDayMinor: 1000, freeDays: 30 })
  // Sixteen days so far, all of them free: there is a price all the same.
  expect(meterOf(day)).toMatchObject({ hasDayPrice: true, dayMinor: 0, daysSoFarMinor: 0 })
  // What a berth costs says nothing of the yard.
  expect(meterOf(begun({ berthPerDayMinor: 500 }))).toBeNull()
  expect(meterOf(begun({ powerPerDayMinor: 500 }))?.hasDayPrice).toBe(true)
})

it('the notice of a yard counts whether or not it has prices', () => {
  const rows = begun({ noticeDays: 14 })
  expect(noticeDaysOf(rows, haulOutOf(rows))).toBe(14)
  expect(noticeDaysOf({ ...rows, yardTariff: [] }, haulOutOf(rows))).toBe(7)
  // A berth has its price in a row of the same kind, and lifts nobody: another yard's notice is nearer.
  const berthId = rows.place.find((one) => one.kind === 'berth')?.id ?? ''
  const [own] = rows.yardTariff
  const others = [
    { ...own!, id: 'berth', placeId: berthId, noticeDays: 3 },
    { ...own!, id: 'other', placeId: 'elsewhere', noticeDays: 21 },
  ]
  expect(noticeDaysOf({ ...rows, yardTariff: others }, haulOutOf(rows))).toBe(21)
})

it.each<[string, Partial<Tariff>, number]>([
  // From 17 April to the launch on 21 May.
  ['no price is known', {}, 34],
  ['only the lift has one', { liftMinor: 30_000 }, 34],
  ['a day costs ten', { perDayMinor: 1000 }, 34_042],
])('a day ashore counts in a plan where %s', (_, prices, ashoreMinor) => {
  expect(firstPass(prepare(begun(prices), now), null).cost[2]).toBe(ashoreMinor)
})

it('days before and after the planned launch cost what the yard asks for just those, less the berth', () => {
  const rows = begun({
    perDayMinor: 1000,
    freeDays: 3,
    laterFromDay: 20,
    laterPerDayMinor: 1400,
    berthPerDayMinor: 400,
  })
  const haulOutId = rows.haulOut[0]?.id ?? ''
  // Out on 1 April, in on 22 April: 21 days ashore.
  const launch = { haulOutId, at: clock.at(dayNumber('2027-04-22'), 720), from: now }
  const plan = { launches: [launch], gates: [] }
  const later = (days: number, of = rows, id: string | null = haulOutId) =>
    laterLaunchMinor(of, plan, id, days, { clock, today: '2027-04-17' })
  // Days 17 to 19 at 10, 20 and 21 at 14: 58, and five nights at the berth.
  expect(later(-5)).toBe(-(3 * 1000 + 2 * 1400 - 5 * 400))
  expect(later(3)).toBe(3 * 1400 - 3 * 400)
  // No earlier than the day she comes out: of 21 days three are free.
  expect(later(-40)).toBe(-(16 * 1000 + 2 * 1400 - 21 * 400))
  expect(later(0)).toBe(0)
  expect(later(3, begun({ liftMinor: 9000 }))).toBeNull()
  expect(later(3, rows, null)).toBeNull()
  const launched = rows.haulOut.map((one) => ({ ...one, launchActual: '2027-04-16' }))
  expect(later(3, { ...rows, haulOut: launched })).toBeNull()
})
