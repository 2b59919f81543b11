import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '../testing/build'
import { piecesOf } from './pieces'

const hour = 3_600_000
const noon = Date.UTC(2027, 4, 1, 12)
/** A wait is over ten hours after its step. */
const waits = { over: (_step: unknown, at: number) => at + 10 * hour } as never

describe('pieces', () => {
  it('lie at the level of their place, and where nobody has said it where such work is done', () => {
    const rows = emptyRefit()
    add(rows, 'zone', 'mast', { name: 'Mast', order: 'a', strake: 'rig' })
    add(rows, 'zone', 'keel', { name: 'Keel', order: 'b', strake: 'underwater' })
    job(rows, 'rig', { zoneId: 'mast' })
    job(rows, 'keel', { zoneId: 'keel' })
    job(rows, 'lost')
    const done = { state: 'done', doneAt: noon } as const
    step(rows, 'rig', 'aloft', done)
    step(rows, 'keel', 'fair', done)
    step(rows, 'lost', 'paint', done)
    step(rows, 'lost', 'coat', { ...done, operation: 'antifoul' })
    step(rows, 'lost', 'shore', { ...done, hullNeed: 'ashore' })
    step(rows, 'lost', 'bench', { ...done, placeNeed: 'shed' })
    step(rows, 'mast', 'gone', done)
    expect(piecesOf(rows, null, waits).map((one) => [one.step.id, one.level])).toEqual([
      ['aloft', 'rig'],
      ['fair', 'underwater'],
      ['paint', 'deck'],
      ['coat', 'underwater'],
      ['shore', 'underwater'],
      ['bench', 'shed'],
    ])
  })

  it('that are done end when they were, as long as they took, with their wait; what nobody dated is not drawn', () => {
    const rows = emptyRefit()
    job(rows, 'deck')
    const done = { state: 'done', hoursLikely: 3 } as const
    step(rows, 'deck', 'lay', { ...done, doneAt: noon, waitKind: 'chem', waitHours: 10 })
    step(rows, 'deck', 'tick', { ...done, doneAt: noon, hoursLikely: 0 })
    step(rows, 'deck', 'undated', done)
    step(rows, 'deck', 'open', { hoursLikely: 3 })
    const [lay, tick, ...others] = piecesOf(rows, null, waits)
    expect([lay?.from, lay?.to]).toEqual([noon - 3 * hour, noon + 10 * hour])
    expect(lay?.seam[0]).toEqual({ from: noon - 3 * hour, to: noon, kind: 'earned' })
    // A quarter of an hour at the least, so that it is seen.
    expect([tick?.from, tick?.to]).toEqual([noon - hour / 4, noon])
    expect(others).toEqual([])
  })
})
