/** A choice by hand: what choosing writes down, and by when it has to be taken. */
import { describe, expect, it } from 'vitest'
import { atOnce } from '../inParts'
import { supposing } from '../model/applyChange'
import { checkRow, ruleContext } from '../model/rules'
import { makePlan } from '../plan/makePlan'
import { arcsOf } from '../plan/network'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { chosen, optionCost, optionsOf, waitingStep } from './choose'
import { decideByDates } from './decideBy'

/** Friday 16 April 2027. */
const now = Date.UTC(2027, 3, 16, 12)

/** Ann is there at weekends, eight hours a day. The deck is wanted by Saturday 12 June. */
function refit() {
  const rows = emptyRefit()
  add(rows, 'place', 'berth', {
    name: 'Berth',
    kind: 'berth',
    travelMin: 0,
    setUpMin: 0,
    packUpMin: 0,
  })
  person(rows, 'ann', [6, 7], '08:00', '16:00')
  add(rows, 'gate', 'aboard', { name: 'Aboard', kind: 'dated', on: '2027-06-12' })
  job(rows, 'deck', { gateId: 'aboard' })
  step(rows, 'deck', 'strip', { hoursLikely: 8, order: 'd' })
  step(rows, 'deck', 'lay', { hoursLikely: 8, order: 'h' })
  const decision = add(rows, 'decision', 'cover', {
    title: 'What covers the deck?',
    jobId: 'deck',
    beforeStepId: 'lay',
    order: 'n',
  })
  const sent = add(rows, 'option', 'sent', {
    decisionId: 'cover',
    title: 'Cork by post',
    leadDays: 21,
    costMinor: 5_000,
    parts: [{ name: 'Cork', quantity: 3, priceMinor: 12_000 }],
    order: 'd',
  })
  const paint = add(rows, 'option', 'paint', {
    decisionId: 'cover',
    title: 'Paint',
    steps: [{ title: 'Sand it', operation: 'grind', hours: 8, placeNeed: 'boat' }],
    parts: [{ name: 'Deck paint', quantity: 1, priceMinor: null }],
    order: 'h',
  })
  return { rows, decision, sent, paint }
}
const newIds = () => {
  let ids = 0
  return () => `new ${ids++}`
}

describe('a decision', () => {
  it('is taken before the lead or the work of each option, with a week to spare', () => {
    // Laying takes Saturday 12 June; what comes by post for it is ordered on 22 May: decided by the 15th.
    // Sanding before it takes Sunday 6 June: decided by 30 May.
    expect(atOnce(decideByDates(refit().rows, now))).toEqual([
      {
        decisionId: 'cover',
        by: '2027-05-15',
        options: [
          { optionId: 'sent', by: '2027-05-15' },
          { optionId: 'paint', by: '2027-05-30' },
        ],
      },
    ])
    const { rows } = refit()
    rows.decision = rows.decision.map((one) => ({ ...one, safetyDays: 10 }))
    expect(atOnce(decideByDates(rows, now))[0]?.by).toBe('2027-05-12')
    rows.gate = []
    rows.job = rows.job.map((one) => ({ ...one, gateId: null }))
    expect(atOnce(decideByDates(rows, now))[0]?.by).toBeNull()
  })

  it('once taken holds the step that waited, and nothing else; a taken one asks for nothing', () => {
    const { rows, decision, sent } = refit()
    const { items, firstStepId } = chosen(
      rows,
      decision,
      sent,
      '2027-04-16',
      'It is quiet',
      newIds(),
    )
    const after = supposing(rows, items)
    const begins = (id: string) =>
      makePlan(after, now).plan.placements.find((one) => one.stepId === id)?.segments[0]?.[0]
    expect(begins('strip')).toBe(Date.UTC(2027, 3, 17, 8))
    // Ordered on Friday noon: here on Friday 7 May.
    expect(begins(firstStepId ?? '')).toBe(now)
    expect(begins('lay')).toBe(Date.UTC(2027, 4, 8, 8))
    expect(after.part).toMatchObject([{ name: 'Cork', quantity: 3, neededByStepId: 'lay' }])
    expect(after.decision).toMatchObject([{ optionId: 'sent', because: 'It is quiet' }])
    expect(atOnce(decideByDates(after, now))).toEqual([])
    for (const row of after.decision)
      expect(checkRow('decision', row, ruleContext(after))).toEqual([])
  })

  it('puts steps between those that stand there, its parts to the first of them', () => {
    const { rows, decision, paint } = refit()
    const after = supposing(rows, chosen(rows, decision, paint, '2027-04-16', '', newIds()).items)
    const titles = [...after.step]
      .sort((a, b) => (a.order < b.order ? -1 : 1))
      .map((one) => one.title)
    expect(titles).toEqual(['strip', 'Sand it', 'lay'])
    const sand = after.step.find((one) => one.title === 'Sand it')
    expect(after.part[0]?.neededByStepId).toBe(sand?.id)
    // Beside the step before it, the one that waited would not wait for what comes in between.
    const beside = refit()
    beside.rows.step = beside.rows.step.map((one) =>
      one.id === 'lay' ? { ...one, parallel: true } : one,
    )
    const drafted = chosen(beside.rows, beside.decision, beside.paint, '2027-04-16', '', newIds())
    const laid = supposing(beside.rows, drafted.items)
    expect(arcsOf(laid).map(({ from, to }) => [from, to])).toContainEqual([
      drafted.firstStepId,
      'lay',
    ])
    // The step it named is done: the next open one waits.
    const done = rows.step.map((one) =>
      one.id === 'lay' ? { ...one, state: 'done' as const } : one,
    )
    expect(waitingStep({ step: done }, decision)?.id).toBe('strip')
  })

  it('costs its parts and what comes besides, and says nothing where a price is missing', () => {
    const { sent, paint } = refit()
    expect(optionCost(sent)).toBe(41_000)
    expect(optionCost(paint)).toBeNull()
    expect(optionCost({ costMinor: null, parts: [] })).toBeNull()
  })

  it('of one option, of an option that is another’s, or half written down is refused', () => {
    const problems = (change: object, drop: readonly string[] = []) => {
      const { rows } = refit()
      add(rows, 'decision', 'other', { title: 'Other', jobId: 'deck', order: 'p' })
      add(rows, 'option', 'foreign', { decisionId: 'other', title: 'Foreign', order: 'd' })
      rows.option = rows.option.filter((one) => !drop.includes(one.id))
      const row = { ...rows.decision[0]!, ...change }
      return checkRow('decision', row, ruleContext(rows)).map((one) => one.message)
    }
    const decidedOn = '2027-04-16'
    expect(problems({ decidedOn, optionId: 'sent' })).toEqual([])
    expect(problems({ decidedOn, optionId: 'sent' }, ['paint'])[0]).toMatch(/^With one option/)
    expect(problems({ decidedOn, optionId: 'foreign' })).toEqual([
      'That is not one of its options.',
    ])
    expect(problems({ decidedOn })).toEqual(['Say what was chosen, and on which day.'])
    expect(optionsOf(refit().rows, 'cover').map((one) => one.id)).toEqual(['sent', 'paint'])
  })
})
