import { expect, it } from 'vitest'
import { supposing } from '../model/applyChange'
import { patchOf } from '../model/removal'
import { job, step } from '../testing/build'
import { weekends } from '../testing/weekends'
import { PlansKept } from './plansKept'

it('what is taken back gets its plan back, whatever the versions; another day or another hour does not', () => {
  const rows = weekends()
  job(rows, 'deck')
  const one = step(rows, 'deck', 'ply', { hoursLikely: 8 })
  const kept = new PlansKept<string>()
  kept.keep(rows, '2027-04-17', 'as it was')
  const longer = supposing(rows, [patchOf('step', one, { hoursLikely: 9 })])
  expect(kept.of(longer, '2027-04-17')).toBeNull()
  kept.keep(longer, '2027-04-17', 'longer')
  const [changed] = longer.step
  const back = supposing(longer, [patchOf('step', changed!, { hoursLikely: 8 })])
  expect(back.step[0]?.version).toBe(3)
  expect(kept.of(back, '2027-04-17')).toBe('as it was')
  expect(kept.of(back, '2027-04-18')).toBeNull()
  // A plan made anew of the same takes the place of the old one.
  kept.keep(back, '2027-04-17', 'made anew')
  expect(kept.of(rows, '2027-04-17')).toBe('made anew')
  expect(kept.of({ ...back, step: [] }, '2027-04-17')).toBeNull()
})
