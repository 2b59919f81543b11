/** Four ways to launch one small refit, laid and costed by hand: the sums stand in docs/launch-ways.md. */
import { describe, expect, it } from 'vitest'
import { atOnce } from '../inParts'
import { supposing } from '../model/applyChange'
import type { RefitRows } from '../model/refit'
import { makePlan } from '../plan/makePlan'
import { Asking } from '../plan/whatIf'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { waysRefit, waysRefitNow as now } from '../testing/waysRefit'
import { zoneClock } from '../time/zone'
import { compareWays } from './compare'
import { accessHours } from './cost'
import { launchWays, scopeOf } from './ways'

const clock = zoneClock('UTC')
const asked = {
  haulOutId: 'spring',
  needed: null,
  againOn: '2027-06-02',
  againId: 'again',
  againGateId: 'again launch',
} as const

function compared(rows: RefitRows, needed: ReadonlySet<string> | null = null) {
  const { plan } = makePlan(rows, now)
  const scope = scopeOf(rows, plan, 'spring', clock)!
  const ways = launchWays(rows, scope, { ...asked, needed })
  const figures = atOnce(compareWays(rows, new Asking(rows, now, plan), ways, 'launch', now, clock))
  const date = (at: number | null) => (at === null ? null : clock.dateOf(at))
  return {
    ways,
    until: date(figures.until),
    said: figures.ways.map((one) => ({
      way: one.key,
      launch: date(one.launchAt),
      finish: date(one.finishAt),
      money: one.money && [one.money.yardMinor, one.money.berthMinor, one.money.liftsMinor],
      access: one.accessHours,
    })),
  }
}

describe('ways to launch', () => {
  it('are laid and costed over the same 41 days', () => {
    const { ways, said, until } = compared(waysRefit())
    expect(until).toBe('2027-06-09')
    expect(said).toEqual([
      {
        way: 'now',
        launch: '2027-05-12',
        finish: '2027-05-29',
        money: [13_000, 11_200, 20_000],
        access: 6,
      },
      {
        way: 'ashore',
        launch: '2027-05-26',
        finish: '2027-05-22',
        money: [27_000, 5_600, 20_000],
        access: 0,
      },
      {
        way: 'early',
        launch: '2027-05-05',
        finish: '2027-05-22',
        money: [6_000, 14_000, 20_000],
        access: 6,
      },
      {
        way: 'again',
        launch: '2027-05-05',
        finish: '2027-06-05',
        money: [13_000, 11_200, 60_000],
        access: 6,
      },
    ])
    expect(ways.map(({ before, afloat, carried }) => [before, afloat, carried])).toEqual([
      [['valve', 'prop'], ['galley'], []],
      [['valve', 'prop', 'galley'], [], []],
      [['valve'], ['galley'], ['prop']],
      [['valve'], ['galley'], ['prop']],
    ])
  })

  it('without a haul-out to come leave nothing that needs her ashore, and lifting again still can', () => {
    const { ways, said } = compared(waysRefit(false))
    expect(said[2]).toMatchObject({ way: 'early', launch: '2027-05-12' })
    expect(ways[2]?.before).toEqual(['valve', 'prop'])
    expect(said[3]).toMatchObject({ way: 'again', launch: '2027-05-05' })
  })

  it('keep before the launch what was begun on her bottom, what somebody wants so, and what these wait for', () => {
    const begun = waysRefit()
    step(begun, 'prop', 'draw it', { state: 'done', hullNeed: 'ashore', doneAt: now - 1 })
    expect(compared(begun).said.map((one) => one.way)).toEqual(['now', 'ashore', 'early'])
    const wanted = waysRefit()
    add(wanted, 'link', 'l', { fromJobId: 'prop', toJobId: 'valve' })
    expect(compared(wanted).ways[2]?.before).toEqual(['valve', 'prop'])
    expect(compared(waysRefit(), new Set(['prop'])).ways[2]).toMatchObject({
      before: ['prop'],
      carried: ['valve'],
    })
  })

  it('when chosen leave rows in which the same way is what is planned', () => {
    const rows = waysRefit()
    const { ways } = compared(rows)
    const after = compared(supposing(rows, ways[1]?.items ?? []))
    expect(after.said[0]).toMatchObject({ way: 'now', launch: '2027-05-26' })
  })

  it('have no price without a yard price, and none for a haul-out that is launched', () => {
    const rows = waysRefit()
    rows.yardTariff = []
    expect(compared(rows).said.map((one) => one.money)).toEqual([null, null, null, null])
    rows.haulOut = rows.haulOut.map((one) =>
      one.id === 'spring' ? { ...one, launchActual: '2027-04-20' } : one,
    )
    expect(scopeOf(rows, makePlan(rows, now).plan, 'spring', clock)).toBeNull()
  })
})

describe('hours on the way to her', () => {
  /** Two days of eight hours on board; the berth is an hour away, ten minutes to unpack, five to pack up. */
  function weekend(nights: 'none' | 'aboard') {
    const rows = emptyRefit()
    add(rows, 'place', 'berth', {
      name: 'Berth',
      kind: 'berth',
      travelMin: 60,
      setUpMin: 10,
      packUpMin: 5,
      nights,
    })
    add(rows, 'gate', 'sail', { name: 'Sail', kind: 'dated', on: '2027-06-01' })
    person(rows, 'ida', [6, 7], '06:00', '20:00')
    job(rows, 'galley', { gateId: 'sail' })
    step(rows, 'galley', 'lockers', { hoursLikely: 16 })
    step(rows, 'galley', 'lids', { hoursLikely: 2, placeNeed: 'away' })
    const { plan } = makePlan(rows, now)
    return (ids: readonly string[]) => accessHours(rows, plan, new Set(ids), clock)
  }
  it('count each day at the boat once, both ways, with what is unpacked and packed up', () => {
    // Two days of 2 × 60 + 10 + 5 minutes.
    expect(weekend('none')(['lockers'])).toBe(4.5)
    expect(weekend('none')(['lids'])).toBe(0)
    expect(weekend('none')(['lockers', 'lids'])).toBe(4.5)
  })
  it('are spared where she is slept on', () => {
    expect(weekend('aboard')(['lockers'])).toBe(2.25)
  })
})
