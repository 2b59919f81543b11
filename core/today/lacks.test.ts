import { expect, it } from 'vitest'
import { job, step } from '../testing/build'
import { ashore, friday, weekends } from '../testing/weekends'
import { atOnce } from '../inParts'
import { Asking } from '../plan/whatIf'
import { zoneClock } from '../time/zone'
import { sayLack, withoutToday } from './lacks'

it('what a lack does to a gate is what a plan without it today gives', () => {
  // Ann is there on Saturdays and Sundays, 8 h each. The coat waits for the ply and a night; the yard lifts any day.
  const rows = weekends()
  ashore(rows, { launchAimed: '2027-04-18', launchWhen: 'asReady' })
  job(rows, 'Deck', { gateId: 'launch' })
  const ply = step(rows, 'Deck', 'ply', { hoursLikely: 8 })
  step(rows, 'Deck', 'coat', { hoursLikely: 8 })
  job(rows, 'Shelf')
  const shelf = step(rows, 'Shelf', 'shelf', { notBefore: '2027-05-01' })
  const clock = zoneClock('UTC')
  const asking = new Asking(rows, friday, null)
  const lackOf = (items: Parameters<typeof asking.whatIf>[0]) =>
    sayLack(atOnce(asking.whatIf(items)), rows.gate, clock)
  // Ready on Sunday the 18th at four, launched when Ann is there again, on the 24th; without the ply on Saturday the coat
  // is on the 24th, and she goes in on the 25th.
  expect(lackOf([withoutToday(ply, '2027-04-17')])).toBe('Launch 1 day later')
  expect(lackOf([withoutToday(shelf, '2027-04-17')])).toBe('')
  expect(withoutToday(shelf, '2027-04-17')).toMatchObject({ patch: { notBefore: '2027-05-01' } })
})

it('a gate that comes out earlier by the search is no harm of a lack', () => {
  const rows = weekends()
  ashore(rows)
  const at = (on: string) => ({
    gates: [
      { gateId: 'launch', at: Date.parse(on), readyAt: 0, binding: { kind: 'now' } as const },
    ],
    reasons: [],
  })
  const lack = (before: string, after: string) =>
    sayLack({ before: at(before), after: at(after) }, rows.gate, zoneClock('UTC'))
  expect(lack('2027-06-12', '2027-06-05')).toBe('')
  expect(lack('2027-06-05', '2027-06-12')).toBe('Launch 7 days later')
})
