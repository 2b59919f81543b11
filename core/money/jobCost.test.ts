/** One sum for what a job costs, whoever asks. */
import { describe, expect, it } from 'vitest'
import { draftSheet } from '../asbuilt/draft'
import { canDo } from '../canDo/canDo'
import { derive } from '../progress/derive'
import { add, draftFacts, emptyRefit, job, step } from '../testing/build'
import { jobCosts, partCostMinor } from './jobCost'

/** Parts 2 × 135.00 and, by its step alone, 250.00; one of 99.00 went back; a trade booked at 450.00. */
function priced() {
  const rows = emptyRefit()
  job(rows, 'parent')
  const own = job(rows, 'deck', { parentJobId: 'parent' })
  step(rows, 'deck', 'bed')
  add(rows, 'part', 'a', { name: 'Core', jobId: 'deck', quantity: 2, priceMinor: 13_500 })
  add(rows, 'part', 'b', { name: 'Resin', neededByStepId: 'bed', priceMinor: 25_000 })
  add(rows, 'part', 'c', { name: 'Wrong', jobId: 'deck', priceMinor: 9_900, state: 'returned' })
  add(rows, 'tradeBooking', 't', {
    stepId: 'bed',
    trade: 'Rigger',
    from: '2027-05-01',
    to: '2027-05-02',
    state: 'booked',
    priceMinor: 45_000,
  })
  add(rows, 'tradeBooking', 'off', {
    stepId: 'bed',
    trade: 'Other',
    from: '2027-05-01',
    to: '2027-05-02',
    state: 'cancelled',
    priceMinor: 77_000,
  })
  return { rows, own }
}

describe('what a part costs', () => {
  it.each([
    ['wanted', 1_050, 3, 3_150],
    ['returned', 1_050, 3, 0],
    ['fitted', null, 3, 0],
  ] as const)('%s, %s × %i: %i', (state, priceMinor, quantity, cost) =>
    expect(partCostMinor({ state, priceMinor, quantity })).toBe(cost),
  )
})

describe('what a job costs', () => {
  it('is parts that stayed and trades that come, the same in every view: 520 + 450 = 970', () => {
    const { rows, own } = priced()
    const cost = jobCosts(rows)('deck')
    expect(cost).toEqual({
      partsMinor: 52_000,
      tradesMinor: 45_000,
      totalMinor: 97_000,
      known: true,
    })
    expect(derive(rows, null, 0).bred.get('parent')?.costMinor).toBe(97_000)
    const sheet = draftSheet(
      own,
      rows,
      draftFacts(() => 'x'),
    ).items[0]
    expect(sheet && 'patch' in sheet && sheet.patch.costMinor).toBe(97_000)
    expect(canDo(rows, own).partsMinor).toBe(52_000)
  })
  it('takes the price of the whole job where a trade does it and none is booked with a price', () => {
    const { rows, own } = priced()
    rows.job = rows.job.map((one) =>
      one.id === own.id ? { ...one, doBy: 'trade', tradePriceMinor: 60_000 } : one,
    )
    expect(jobCosts(rows)('deck').tradesMinor).toBe(45_000)
    rows.tradeBooking = []
    expect(jobCosts(rows)('deck').tradesMinor).toBe(60_000)
    rows.job = rows.job.map((one) => ({ ...one, doBy: 'own' as const }))
    expect(jobCosts(rows)('deck').tradesMinor).toBe(0)
  })
  it('is not free when nothing has a price', () => {
    const rows = emptyRefit()
    job(rows, 'deck')
    add(rows, 'part', 'a', { name: 'Core', jobId: 'deck' })
    expect(jobCosts(rows)('deck')).toMatchObject({ totalMinor: 0, known: false })
  })
})
