/** Which pictures show one spot, and which two are laid beside each other. */
import { expect, it } from 'vitest'
import { beforeAndAfter, besideOf, spotsOf } from './spots'
import type { Picture } from './spots'

let day = 0
const taken = (
  id: string,
  moment: Picture['moment'],
  spot: string,
  jobId: string | null = null,
) => ({
  id,
  moment,
  spot,
  jobId,
  takenAt: ++day,
})
const before = taken('before', 'found', 'Base 3')
const loose = taken('loose', 'open', '')
const open = taken('open', 'open', ' base 3')
const after = taken('after', 'after', 'Base 3')
const drawing = taken('drawing', 'drawing', 'Base 3')

it('one name however it is written, by the first picture, in time', () => {
  const [spot, ...rest] = spotsOf([after, loose, open, before])
  expect(rest).toEqual([])
  expect(spot?.name).toBe('Base 3')
  expect(spot?.pictures.map((one) => one.id)).toEqual(['before', 'open', 'after'])
})
it('next comes what is opened, then what is done', () => {
  const next = (...of: Picture[]) => spotsOf(of)[0]?.next
  expect([next(before), next(before, open), next(before, open, after)]).toEqual([
    'open',
    'after',
    'after',
  ])
})
it('a picture is laid beside the one in which the work stands farthest from it', () => {
  const all = [drawing, open, after, before, loose]
  expect(besideOf(after, all)?.id).toBe('before')
  expect(besideOf(before, all)?.id).toBe('after')
  expect(besideOf(before, [before, open])?.id).toBe('open')
  expect(besideOf(before, [before, taken('again', 'before', 'Base 3')])).toBeNull()
  expect(besideOf(loose, all)).toBeNull()
  expect(besideOf(drawing, all)).toBeNull()
})
it('a week shows one spot rather than one job, and the newest of it', () => {
  const first = taken('first', 'before', '', 'j')
  const other = taken('other', 'before', '', 'k')
  const done = taken('done', 'after', '', 'j')
  const pair = (...of: Picture[]) => beforeAndAfter(of)?.map((one) => one.id)
  expect(pair(other, first, done)).toEqual(['first', 'done'])
  expect(pair(first, done, before, after)).toEqual(['before', 'after'])
  expect(pair(other, done)).toBeUndefined()
  expect(pair(first, open)).toBeUndefined()
})
