/** When what comes before a step is done: against the hours of its draws, added up by themselves. */
import { expect, it } from 'vitest'
import { atOnce } from '../inParts'
import { makePlan } from '../plan/makePlan'
import { prepare } from '../plan/prepare'
import { add, emptyRefit, job, person, step } from '../testing/build'
import type { Building } from '../testing/build'
import { drawsOf } from './draws'
import { readyChance } from './readyChance'
import { randomOf } from './runs'

/** Saturday 17 April 2027, 00:00; Ann is there at all hours of all days, so that work takes as long as it takes. */
const now = Date.UTC(2027, 3, 17)
const hour = 3_600_000

function refit(change: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  person(rows, 'ann', [1, 2, 3, 4, 5, 6, 7], '00:00', '24:00')
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'rig', { gateId: 'sail' })
  step(rows, 'rig', 'cut', { hoursLikely: 20, hoursLow: 10, hoursHigh: 60 })
  step(rows, 'rig', 'weld', { operation: 'contract', hoursLikely: 2 })
  change(rows)
  return rows
}
function found(rows: Building, stepId = 'weld', runs = 200) {
  const { plan } = makePlan(rows, now)
  return atOnce(readyChance(rows, plan, stepId, runs))
}

it('is the middle and the eighth of ten of what its draws add up to', () => {
  const rows = refit()
  const { draw } = drawsOf(prepare(rows, now))
  /** Worked off round the clock, but on days on which she does not come. */
  const endOf = (run: number): number => {
    const { sample } = draw(randomOf(1, run))
    let left = sample.workHours?.get('cut') ?? 20
    let at = now
    for (let day = now / (24 * hour); left > 0; day++, at = day * 24 * hour) {
      if (sample.isAway?.('ann', day)) continue
      if (left <= 24) return at + left * hour
      left -= 24
    }
    return at
  }
  const ends = Array.from({ length: 200 }, (_, run) => endOf(run)).sort((a, b) => a - b)
  const ready = found(rows)
  const minutes = (at: number | undefined) => Math.abs((ready?.p50 ?? 0) - (at ?? 0)) / 60_000
  expect(minutes(ends[99])).toBeLessThan(6)
  expect(Math.abs((ready?.p80 ?? 0) - (ends[159] ?? 0)) / 60_000).toBeLessThan(6)
  expect(ready?.p80).toBeGreaterThan(ready?.p50 ?? Infinity)
})

it('is now where nothing comes before it, or all of that is done', () => {
  const done = refit((rows) => {
    rows.step = rows.step.map((one) =>
      one.id === 'cut' ? { ...one, state: 'done', doneAt: now - hour } : one,
    )
  })
  expect(found(done)).toEqual({ p50: now, p80: now })
  expect(found(refit(), 'cut')).toEqual({ p50: now, p80: now })
})

it('waits for a cure, and never ends where something before it has no place', () => {
  const cures = refit((rows) => {
    rows.step = rows.step.map((one) =>
      one.id === 'cut'
        ? { ...one, hoursLow: null, hoursHigh: null, waitKind: 'calendar', waitHours: 240 }
        : one,
    )
  })
  const without = found(refit())
  expect((found(cures)?.p50 ?? 0) - now).toBeGreaterThan(240 * hour)
  expect((without?.p80 ?? 0) - now).toBeLessThan(240 * hour)
  const never = refit((rows) => {
    rows.step = rows.step.map((one) => (one.id === 'cut' ? { ...one, skill: 'rigging' } : one))
    rows.person = []
  })
  expect(found(never)?.p50 ?? Infinity).toBe(Infinity)
  expect(found(refit(), 'nothing')).toBeNull()
})
