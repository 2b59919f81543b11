import { expect, it } from 'vitest'
import { atOnce } from '../inParts'
import { job, step, add } from '../testing/build'
import { friday, weekends } from '../testing/weekends'
import { likelyDates } from './likelyDates'
import { makePlan } from './makePlan'

/** Ann on Saturdays and Sundays, eight hours; one step of so many hours before a gate as soon as it can be. */
function likely(given: Parameters<typeof step>[3], chain = ['fair']) {
  const rows = weekends()
  rows.weekSlot = rows.weekSlot.filter((one) => one.weekday === 6)
  add(rows, 'gate', 'aboard', { name: 'Aboard', kind: 'asap' })
  job(rows, 'hull', { gateId: 'aboard' })
  step(rows, 'hull', 'fair', given)
  const found = atOnce(likelyDates(rows, makePlan(rows, friday).plan, 'aboard', chain))
  const date = (at: number) => new Date(at).toISOString().slice(0, 10)
  return found && [date(found.evenAt), date(found.fourInFiveAt)]
}

it('takes what is written as low and high for 10 and 90 %', () => {
  // ln(2.5 ÷ 0.8) ÷ 2.563 = 0.445: 6.5 h are done within one Saturday in 68 runs of 100, within two in 98.
  expect(likely({ hoursLikely: 6.5 })).toEqual(['2027-04-17', '2027-04-24'])
  // 6.5 h between 6 and 7 h: σ 0.06, never more than a day.
  expect(likely({ hoursLikely: 6.5, hoursLow: 6, hoursHigh: 7 })).toEqual([
    '2027-04-17',
    '2027-04-17',
  ])
  // 6 to 24 h about 11: σ 0.54; 8 h are 28 %, 16 h 76 %.
  expect(likely({ hoursLikely: 11, hoursLow: 6, hoursHigh: 24 })?.[0]).toBe('2027-04-24')
})

it('what is not on the chain stays as planned', () => {
  expect(likely({ hoursLikely: 6.5 }, [])).toEqual(['2027-04-17', '2027-04-17'])
})
