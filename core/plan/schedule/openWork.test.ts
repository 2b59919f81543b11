/** What a forecast rests on: hours, people and dates change without what follows what being worked out anew. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { bigRefit } from '../../../demo/bigRefit'
import type { RefitRows } from '../../model/refit'
import { zoneClock } from '../../time/zone'
import { calendarsOf } from './calendars'
import { openWork } from './openWork'
import { structureOf } from './structure'

const now = Date.UTC(2027, 3, 16, 12)

it('makes of other hours and other dates with the old structure what it makes of them afresh', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1_000 }),
      fc.double({ min: 0.2, max: 5, noNaN: true }),
      (seed, factor) => {
        const rows = bigRefit(seed, 12, 4, 2)
        const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
        const longer: RefitRows = {
          ...rows,
          step: rows.step.map((step) => ({ ...step, hoursLikely: step.hoursLikely * factor })),
        }
        const [structure, calendars] = [structureOf(rows), calendarsOf(rows, clock, now)]
        const again = openWork(longer, clock, now, structure, calendars)
        const fresh = openWork(longer, clock, now)
        expect([...again.activities]).toEqual([...fresh.activities])
        expect(again.doneHolding).toEqual(fresh.doneHolding)
        const plain = openWork(rows, clock, now, structure)
        const sum = (work: typeof plain) =>
          [...work.activities.values()].reduce((all, one) => all + one.workMs, 0)
        // To the second for each step: hours that change do reach the work.
        const steps = plain.activities.size
        expect(Math.abs(sum(again) - factor * sum(plain))).toBeLessThan(
          2000 * steps * factor + 1000,
        )
        const off = { ...rows, weekSlot: [] }
        expect(openWork(off, clock, now, structure).sites.never(0)).toBe(true)
      },
    ),
    { numRuns: 25 },
  )
})
