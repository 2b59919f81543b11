/** Changes judged by chance: with the same luck, so that what a change does not touch stays as it was. */
import { expect, it } from 'vitest'
import { atOnce } from '../inParts'
import type { ChangeItem } from '../model/changes'
import { Asking } from '../plan/whatIf'
import { add, job, person, step } from '../testing/build'
import { friday, weekends } from '../testing/weekends'
import { chancesBought, chancesWithEach } from './chances'

/** Twenty hours of Ann's guesses before Sunday 2 May: three weekends, for what may well take four. */
function refit() {
  const rows = weekends()
  person(rows, 'Bob', [6, 7], '08:00', '16:00', { skills: ['rigging'] })
  add(rows, 'gate', 'survey', { name: 'Survey', kind: 'dated', on: '2027-05-02' })
  add(rows, 'gate', 'sail', { name: 'Sail', kind: 'dated', on: '2027-05-30' })
  job(rows, 'wires', { gateId: 'survey' })
  for (const id of ['k', 'm', 'p', 's'])
    step(rows, 'wires', id, { hoursLikely: 5, skill: 'electrics', operation: 'fit' })
  job(rows, 'mast', { gateId: 'sail' })
  step(rows, 'mast', 'shrouds', { hoursLikely: 6, skill: 'rigging', operation: 'fit' })
  return rows
}
const rows = refit()
const asking = () => new Asking(rows, friday, null)
const bought = (items: readonly ChangeItem[]) => atOnce(chancesBought(rows, asking(), items, 150))
const oneMore = (id: string, jobId: string, skill: string, operation: string): ChangeItem => ({
  op: 'create',
  entity: 'step',
  id,
  // Before all others by its place in the job and by its name.
  patch: { jobId, title: id, order: 'a', hoursLikely: 5, skill, operation, placeNeed: 'boat' },
})
const shorter: ChangeItem = {
  op: 'patch',
  entity: 'step',
  id: 's',
  baseVersion: 1,
  patch: { hoursLikely: 1 },
}
const survey = (items: readonly ChangeItem[]) => {
  const found = bought(items).find((one) => one.gateId === 'survey')
  if (!found) throw new Error('the survey has no odds')
  return found
}

it('somebody else’s step more leaves the luck of all others as it was', () => {
  const { before, after } = survey([oneMore('a', 'mast', 'rigging', 'cut')])
  expect(before.chance).toBeGreaterThan(10)
  expect(before.chance).toBeLessThan(90)
  expect(before.aimedOn).toBe('2027-05-02')
  expect(after).toEqual(before)
})

it('less to do buys a better chance, more to do a worse one', () => {
  const better = survey([shorter])
  expect(better.after.chance).toBeGreaterThan((better.before.chance ?? 100) + 10)
  const worse = survey([oneMore('a', 'wires', 'electrics', 'cut')])
  expect(worse.after.chance).toBeLessThan((worse.before.chance ?? 0) - 10)
  expect((worse.after.likelyOn ?? '') > (worse.before.likelyOn ?? '')).toBe(true)
})

it('several ways to go stand beside each other as each would alone', () => {
  const ways = [[], [shorter], [oneMore('a', 'wires', 'electrics', 'cut')]]
  const each = atOnce(chancesWithEach(rows, asking(), ways, 150))
  expect(each.map((one) => one.map(({ gateId }) => gateId))).toEqual(
    ways.map(() => ['survey', 'sail']),
  )
  const alone = ways.map((items) => survey(items).after)
  expect(each.map(([first]) => first)).toEqual(alone.map((one) => ({ gateId: 'survey', ...one })))
})
