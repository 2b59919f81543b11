import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newRow } from '../model/newRow'
import { emptyRefit, job, step } from '../testing/build'
import { priorityScore, prioritySentence, rankJobs } from './priority'
import type { PriorityBasis } from './priority'
import { rankedJobs } from './ranking'

const basis: PriorityBasis = {
  purpose: 'float',
  severity: 4,
  spreading: true,
  slackDays: 6,
  waitingJobs: 3,
}

describe('priority', () => {
  it('is worked out as by hand', () => {
    // 100 × 1.0 × 1.5 × (2 − 6/28) + 5 × 3 = 150 × 1.785714… + 15 = 282.857…
    expect(priorityScore(basis)).toBeCloseTo(282.857, 3)
    // 10 × 0.4 × 1 × (2 − 28/28) = 4, the least there is.
    expect(
      priorityScore({
        purpose: 'shine',
        severity: 1,
        spreading: false,
        slackDays: null,
        waitingJobs: 0,
      }),
    ).toBeCloseTo(4, 12)
    // 55 × 0.8 × (2 − 0) = 88; slack below zero counts as none.
    expect(
      priorityScore({
        purpose: 'go',
        severity: 3,
        spreading: false,
        slackDays: -9,
        waitingJobs: 0,
      }),
    ).toBeCloseTo(88, 12)
  })
  it('says the sentence behind the number', () => {
    expect(prioritySentence(basis)).toBe(
      'Float, danger, spreading, 6 days’ slack, 3 jobs wait on it.',
    )
    expect(prioritySentence({ ...basis, spreading: false, slackDays: 1, waitingJobs: 1 })).toBe(
      'Float, danger, 1 day’s slack, 1 job waits on it.',
    )
    expect(
      prioritySentence({
        ...basis,
        purpose: 'live',
        severity: 1,
        spreading: false,
        slackDays: null,
        waitingJobs: 0,
      }),
    ).toBe('Live, looks, no gate waits for it.')
  })
  it('never falls when slack shrinks or more waits on it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.nat(20), (slackDays, waitingJobs) => {
        const score = (given: object) =>
          priorityScore({ ...basis, slackDays, waitingJobs, ...given })
        expect(score({ slackDays: slackDays + 1 })).toBeLessThanOrEqual(score({}))
        expect(score({ waitingJobs: waitingJobs + 1 })).toBeGreaterThan(score({}))
      }),
    )
  })
  it('puts pinned jobs where they are pinned', () => {
    const ranked = (id: string, score: number, pinnedRank: number | null) => ({
      job: newRow('job', id, { title: id, order: id, pinnedRank }),
      score,
      basis,
    })
    const order = rankJobs([
      ranked('a', 10, null),
      ranked('b', 30, null),
      ranked('c', 1, 1),
      ranked('d', 20, null),
      ranked('e', 2, 3),
    ])
    expect(order.map((one) => one.job.id)).toEqual(['c', 'b', 'e', 'd', 'a'])
  })
  it('takes the slack of the last step its gate waits for, not of what comes afloat after', () => {
    const rows = emptyRefit()
    job(rows, 'valve')
    for (const id of ['bore', 'bed', 'watch']) step(rows, 'valve', id)
    const day = 86_400_000
    const bound = (finish: number, latest: number) => ({
      earliestStart: 0,
      earliestFinish: finish,
      latestStart: 0,
      latestFinish: latest,
      dueStart: 0,
    })
    const bounds = new Map([
      ['bore', bound(day, 3 * day)],
      ['bed', bound(2 * day, 9 * day)],
      ['watch', bound(40 * day, Infinity)],
    ])
    expect(rankedJobs(rows, bounds)[0]?.basis.slackDays).toBe(7)
    bounds.set('bed', bound(2 * day, Infinity))
    expect(rankedJobs(rows, bounds)[0]?.basis.slackDays).toBe(2)
  })
})
