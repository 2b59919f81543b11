/** Rules of order by what a step says of itself, against what its kind does as a rule. */
import { expect, it } from 'vitest'
import { add, job, step } from '../testing/build'
import { boat, clock, hullJob, may, now, planOf } from '../testing/orderRefit'
import { outOfOrder } from './outOfOrder'

/** Rules that find something in a saloon in which this is done on 9 May, after varnish and after cushions. */
function after(done: object): number[] {
  const rows = boat()
  for (const [id, more] of [
    ['gloss', { operation: 'varnish' }],
    ['aboard', { title: 'Cushions in', operation: 'fit' }],
    ['done', done],
  ] as const) {
    job(rows, id, { zoneId: 'saloon' })
    step(rows, id, id, more)
  }
  const plan = planOf({
    gloss: [may(8), may(8, 10)],
    aboard: [may(8, 10), may(8, 12)],
    done: [may(9), may(9, 12)],
  })
  const found = outOfOrder(rows, plan, clock, now).map((one) => one.rule)
  return found.filter((rule) => rule === 8 || rule === 21)
}

it('dust that a step throws or does not throw by its own say', () => {
  expect(after({ operation: 'fair' }).sort()).toEqual([21, 8])
  expect(after({ operation: 'fair', dusty: false })).toEqual([])
  expect(after({ operation: 'plumb' })).toEqual([])
  expect(after({ operation: 'plumb', dusty: true }).sort()).toEqual([21, 8])
})

it('a step that closes, or does not, over a reading that failed', () => {
  const closedOver = (more: object) => {
    const rows = boat()
    hullJob(rows, 'dry')
    step(rows, 'dry', 'meter', {
      operation: 'test',
      readWhat: 'Moisture',
      readHigh: 15,
      state: 'done',
      doneAt: may(1, 8),
    })
    step(rows, 'dry', 'over', more)
    add(rows, 'reading', 'r1', { stepId: 'meter', at: may(1, 8), value: 22 })
    const plan = planOf({ over: [may(8), may(8, 12)] })
    return outOfOrder(rows, plan, clock, now).some((one) => one.rule === 23)
  }
  expect(closedOver({ operation: 'close' })).toBe(true)
  expect(closedOver({ operation: 'close', closes: false })).toBe(false)
  expect(closedOver({ operation: 'fit' })).toBe(false)
  expect(closedOver({ operation: 'fit', closes: true })).toBe(true)
})
