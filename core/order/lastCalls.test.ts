import { describe, expect, it } from 'vitest'
import { add, job, step } from '../testing/build'
import { boat, clock, hullJob, may, now, planOf } from '../testing/orderRefit'
import { lastCallsOf } from './lastCalls'

describe('last calls of a day', () => {
  /** Antifoul and a sole that is shut, with a find and an open choice; a wire that shuts nothing. */
  function shutting() {
    const rows = boat()
    hullJob(rows, 'coats')
    step(rows, 'coats', 'coat', { operation: 'antifoul' })
    job(rows, 'floor', { zoneId: 'saloon' })
    step(rows, 'floor', 'sole down', { operation: 'close' })
    step(rows, 'floor', 'wire', { operation: 'wire' })
    add(rows, 'finding', 'soft', { title: 'Soft spot at the skeg', zoneId: 'hull', severity: 3 })
    add(rows, 'decision', 'pump', { title: 'Which pump', jobId: 'floor' })
    const plan = planOf({
      coat: [may(8), may(8, 12)],
      'sole down': [may(9), may(9, 12)],
      wire: [may(8), may(8, 10)],
    })
    const of = (...ids: string[]) =>
      lastCallsOf(
        rows.step.filter((one) => ids.includes(one.id)),
        rows,
        plan,
        clock,
        now,
      )
    return { rows, of }
  }
  it('are those of its own steps, and none of what shuts nothing', () => {
    const { of } = shutting()
    expect(of('wire')).toEqual([])
    expect(of('coat', 'wire').map((one) => one.sentence)).toEqual([
      expect.stringMatching(
        /^Last call before “coat” \(coats\) on .*: found: Soft spot at the skeg\./,
      ),
    ])
    expect(of('coat', 'sole down').map((one) => one.stepIds[0])).toEqual(['coat', 'sole down'])
  })
  it('come before foam and what says that it shuts, not before foam that comes off', () => {
    const { rows, of } = shutting()
    const shuts = (more: object) => {
      rows.step = rows.step.map((one) => (one.id === 'coat' ? { ...one, ...more } : one))
      return of('coat').length === 1
    }
    expect(shuts({ operation: 'fill', title: 'Foam the voids' })).toBe(true)
    expect(shuts({ operation: 'strip', title: 'Foam off' })).toBe(false)
    expect(shuts({ operation: 'strip', title: 'Foam off', opens: false })).toBe(false)
    expect(shuts({ operation: 'fit', title: 'Lining up', opens: null })).toBe(false)
    expect(shuts({ closes: true })).toBe(true)
    expect(shuts({ operation: 'close', closes: false })).toBe(false)
  })
  it('are gone once somebody let them be, and back with whatever is new', () => {
    const { rows, of } = shutting()
    const [own] = of('coat')
    add(rows, 'orderKept', 'k', {
      rule: 41,
      evidence: own?.evidence,
      because: 'Next year',
      at: now,
    })
    expect(of('coat')).toEqual([])
    add(rows, 'finding', 'more', { title: 'Blister', zoneId: 'hull', severity: 2 })
    expect(of('coat')).toHaveLength(1)
  })
})
