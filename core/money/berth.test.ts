/** Days afloat, each at the price of the berth she lies at: sums by hand and day by day. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { add, emptyRefit } from '../testing/build'
import type { Building } from '../testing/build'
import { dateOf, dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { berthsOf } from './berth'
import { berthsAhead, laterLaunchMinor, yardAhead } from './yardAhead'

const [clock, today] = [zoneClock('UTC'), '2027-04-20']

/** Her own mooring first, a harbour by the metre of her ten, a quay without a price of its own; she is at the harbour in May. */
function refit(): Building {
  const rows = emptyRefit()
  rows.refit = rows.refit.map((one) => ({ ...one, loaM: 10, startedOn: '2027-04-01' }))
  add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', order: '0' })
  add(rows, 'place', 'mooring', { name: 'Mooring', kind: 'berth', order: '1' })
  add(rows, 'place', 'harbour', { name: 'Harbour', kind: 'berth', order: '2' })
  add(rows, 'place', 'quay', { name: 'Quay', kind: 'berth', order: '3' })
  // The price of a berth comes first in the list: no yard asks it.
  add(rows, 'yardTariff', 'a', { placeId: 'harbour', berthPerDayMinor: 150, byMetre: true })
  add(rows, 'yardTariff', 'b', { placeId: 'yard', perDayMinor: 1000, berthPerDayMinor: 700 })
  add(rows, 'yardTariff', 'c', { placeId: 'mooring', berthPerDayMinor: 0 })
  add(rows, 'lying', 'may', { placeId: 'harbour', from: '2027-05-01', to: '2027-05-31' })
  add(rows, 'lying', 'june', { placeId: 'quay', from: '2027-06-01', to: '2027-06-04' })
  return rows
}
const timesOf = (rows: Building, from: string, to: string) =>
  berthsOf(rows)
    .times(dayNumber(from), dayNumber(to))
    .map((one) => [one.place?.id, dateOf(one.from), one.days, one.dayMinor, one.minor])

describe('days at berths', () => {
  it('go from berth to berth, each at its own price, else at what the yard wrote down', () => {
    expect(timesOf(refit(), '2027-04-28', '2027-06-10')).toEqual([
      ['mooring', '2027-04-28', 3, 0, 0],
      ['harbour', '2027-05-01', 31, 1500, 46_500],
      ['quay', '2027-06-01', 4, 700, 2800],
      ['mooring', '2027-06-05', 6, 0, 0],
    ])
    expect(timesOf(refit(), '2027-05-31', '2027-05-31')).toEqual([
      ['harbour', '2027-05-31', 1, 1500, 1500],
    ])
    expect(timesOf(refit(), '2027-05-31', '2027-05-30')).toEqual([])
  })

  it('have no price where nobody wrote one down, and are one time where nothing changes', () => {
    const rows = refit()
    rows.yardTariff = rows.yardTariff.filter((one) => one.id === 'a')
    rows.lying = rows.lying.map((one) => ({ ...one, placeId: 'mooring' }))
    expect(timesOf(rows, '2027-04-28', '2027-06-10')).toEqual([
      ['mooring', '2027-04-28', 44, null, 0],
    ])
  })

  it('come to the same day by day, wherever she lies', () => {
    const begin = dayNumber('2027-04-01')
    const time = fc.record({ gap: fc.nat(9), days: fc.integer({ min: 1, max: 20 }), at: fc.nat(2) })
    fc.assert(
      fc.property(fc.array(time, { maxLength: 6 }), fc.nat(120), fc.nat(60), (all, from, days) => {
        const rows = refit()
        const names = ['mooring', 'harbour', 'quay'] as const
        const dayMinor = { mooring: 0, harbour: 1500, quay: 700 }
        /** By day: without an entry she is at her mooring. */
        const where = new Map<number, (typeof names)[number]>()
        let day = begin
        rows.lying = []
        for (const { gap, days: long, at } of all) {
          day += gap
          const placeId = names[at] ?? 'quay'
          add(rows, 'lying', `${day}`, { placeId, from: dateOf(day), to: dateOf(day + long - 1) })
          for (let each = 0; each < long; each++) where.set(day + each, placeId)
          day += long
        }
        rows.lying = [...rows.lying].reverse()
        let sum = 0
        for (let each = 0; each < days; each++)
          sum += dayMinor[where.get(begin + from + each) ?? 'mooring']
        expect(berthsOf(rows).minor(begin + from, begin + from + days - 1)).toBe(sum)
      }),
    )
  })
})

describe('a haul-out between berths', () => {
  const rows = refit()
  add(rows, 'haulOut', 'spring', {
    name: 'Spring',
    placeId: 'yard',
    liftOutAimed: '2027-04-25',
    launchAimed: '2027-05-11',
  })
  const plan = {
    launches: [
      { haulOutId: 'spring', from: Date.UTC(2027, 3, 25, 12), at: Date.UTC(2027, 4, 11, 9) },
    ],
    gates: [{ at: Date.UTC(2027, 5, 2, 12) }],
  }
  const time = { clock, today }

  it('takes its days off the berth she would have lain at', () => {
    // At the mooring from the 21st to the 25th; in the yard to 11 May; then twenty days at the harbour and two at the quay.
    expect(
      berthsAhead(rows, plan, time).map((one) => [one.place?.id, one.days, one.minor]),
    ).toEqual([
      ['mooring', 5, 0],
      ['harbour', 20, 30_000],
      ['quay', 2, 1400],
    ])
    // Sixteen days ashore with them; what is gone by was at her own mooring.
    expect(yardAhead(rows, plan, time)).toEqual({
      wholeMinor: 16_000 + 31_400,
      toComeMinor: 16_000 + 31_400,
    })
  })

  it('put off costs its days less the berth of just those', () => {
    // Into June: 20 days at the harbour, then the quay.
    expect(laterLaunchMinor(rows, plan, 'spring', 22, time)).toBe(22_000 - 20 * 1500 - 2 * 700)
    // Back into April: eleven days of May at the harbour, three at the mooring.
    expect(laterLaunchMinor(rows, plan, 'spring', -14, time)).toBe(-(14_000 - 11 * 1500))
  })
})
