import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '../testing/build'
import { keepPlan } from '../testing/keptPlan'
import { dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { lastDayTo, sequenceFacts } from './facts'
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

describe('the way to a gate', () => {
  const clock = zoneClock('UTC')
  const today = dayNumber('2027-05-01')
  /** Two steps for a gate, planned for 20 May and 3 August; one for another, for 9 September. */
  function drawn(gates: readonly { gateId: string; at: number }[]) {
    const rows = emptyRefit('UTC')
    add(rows, 'gate', 'sail', { name: 'Sail', kind: 'asap' })
    add(rows, 'gate', 'other', { name: 'Other', kind: 'asap' })
    job(rows, 'deck', { gateId: 'sail' })
    job(rows, 'mast', { gateId: 'other' })
    const at = (on: string) => ({
      segments: [[Date.parse(`${on}T09:00Z`), Date.parse(`${on}T11:00Z`)] as const],
    })
    step(rows, 'deck', 'lay')
    step(rows, 'deck', 'coat')
    step(rows, 'mast', 'rig')
    const readyAt = noon
    keepPlan(
      rows,
      noon,
      { lay: at('2027-05-20'), coat: at('2027-08-03'), rig: at('2027-09-09') },
      { gates: gates.map((one) => ({ ...one, readyAt, slackMs: 0 })) as never },
    )
    const plan = (rows.plan[0] as never as { result: never }).result
    return sequenceFacts(rows, plan, clock, waits, noon)
  }
  const last = (facts: ReturnType<typeof drawn>, gateId: string | null, aimedOn: string | null) =>
    lastDayTo(facts, gateId, aimedOn, today)

  it('ends at its day; without one at its aim, or with what is planned for it where that is later', () => {
    const dated = drawn([{ gateId: 'sail', at: Date.parse('2027-08-07T10:00Z') }])
    expect(last(dated, 'sail', '2027-07-09')).toBe(dayNumber('2027-08-07'))
    const undated = drawn([])
    expect(last(undated, 'sail', '2027-07-09')).toBe(dayNumber('2027-08-03'))
    expect(last(undated, 'sail', '2027-08-20')).toBe(dayNumber('2027-08-20'))
    expect(last(undated, 'sail', null)).toBe(dayNumber('2027-08-03'))
    expect(last(undated, null, null)).toBe(dayNumber('2027-09-09'))
    expect(last({ ...undated, pieces: [] }, 'sail', null)).toBe(today + 60)
  })
})
