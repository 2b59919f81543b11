import { describe, expect, it } from 'vitest'
import { wrongMoves } from '../model/moves'
import { add, emptyRefit, job, step } from '../testing/build'
import { likelyPurpose, placingChanges, triageQueue, usualHours } from './triage'

const today = '2027-04-17'
const ids = () => {
  let n = 0
  return () => `new${n++}`
}
const judged = { purpose: 'float', severity: 4, hours: 2.5 } as const

describe('what waits to be placed', () => {
  it('is what nobody decided on, and what wants another look by today: worst first', () => {
    const rows = emptyRefit()
    const found = (id: string, given: object) =>
      add(rows, 'finding', id, { title: id, foundAt: 5, ...given })
    found('mild', { severity: 1 })
    found('late', { severity: 3, foundAt: 9 })
    found('early', { severity: 3, foundAt: 2 })
    found('looked at today', { severity: 4, state: 'watch', lookAgainOn: today })
    found('tomorrow', { severity: 4, state: 'accepted', lookAgainOn: '2027-04-18' })
    found('for good', { severity: 4, state: 'accepted', lookAgainOn: null })
    found('done with', { severity: 4, state: 'gone', lookAgainOn: today })
    add(rows, 'gate', 'launch', { name: 'Launch', kind: 'asap' })
    job(rows, 'open')
    job(rows, 'placed', { placed: true })
    job(rows, 'gated', { gateId: 'launch' })
    job(rows, 'later', { decision: 'later' })
    job(rows, 'accepted until today', { decision: 'accepted', lookAgainOn: today })
    job(rows, 'accepted until tomorrow', { decision: 'accepted', lookAgainOn: '2027-04-18' })
    job(rows, 'finished')
    step(rows, 'finished', 'all of it', { state: 'done', doneAt: 1 })
    expect(triageQueue(rows, today).map((one) => one.id)).toEqual([
      'looked at today',
      'early',
      'late',
      'mild',
      'open',
      'accepted until today',
    ])
  })

  it('is guessed by where it was seen, and by what found work came to', () => {
    const rows = emptyRefit()
    for (const [id, strake, belowWaterline] of [
      ['keel', 'underwater', true],
      ['mast', 'rig', false],
      ['saloon', 'below', false],
      ['deck', 'deck', false],
    ] as const)
      add(rows, 'zone', id, { name: id, strake, belowWaterline, order: 'b' })
    const guesses = ['keel', 'mast', 'saloon', 'deck', null].map((id) => likelyPurpose(rows, id))
    expect(guesses).toEqual(['float', 'safe', 'live', 'go', 'go'])
    expect(usualHours(rows)).toBe(3)
    job(rows, 'planned')
    step(rows, 'planned', 'no matter', { hoursLikely: 90 })
    // Found work of 1, 4.3 and 20 hours: the middle one, to the half hour; a dropped step does not count.
    for (const [id, hoursLikely] of [
      ['a', 1],
      ['b', 4.3],
      ['c', 20],
    ] as const) {
      job(rows, id, { parentJobId: 'planned' })
      step(rows, id, `${id}1`, { hoursLikely })
      step(rows, id, `${id}2`, { hoursLikely: 50, state: 'dropped' })
    }
    expect(usualHours(rows)).toBe(4.5)
  })
})

describe('placing', () => {
  const withFinding = (given: object = {}) => {
    const rows = emptyRefit()
    add(rows, 'zone', 'keel', { name: 'Keel', belowWaterline: true, order: 'b' })
    job(rows, 'during', { order: 'm' })
    const finding = add(rows, 'finding', 'f', {
      title: 'Soft spot',
      foundAt: 1,
      zoneId: 'keel',
      duringJobId: 'during',
      ...given,
    })
    return { rows, finding, item: { kind: 'finding', id: 'f', finding } as const }
  }

  it('makes a job of a finding, before its gate, under the job that found it, with one guessed step', () => {
    const { rows, item, finding } = withFinding()
    const placing = { to: 'gate', gateId: 'launch' } as const
    const { items, jobId } = placingChanges(rows, item, judged, placing, ids())
    expect(jobId).toBe('new0')
    expect(items).toMatchObject([
      {
        op: 'create',
        entity: 'job',
        patch: {
          title: 'Soft spot',
          gateId: 'launch',
          placed: true,
          decision: 'plan',
          parentJobId: 'during',
          zoneId: 'keel',
          purpose: 'float',
          severity: 4,
        },
      },
      { entity: 'step', patch: { jobId: 'new0', hoursLikely: 2.5, hullNeed: 'ashore' } },
      { entity: 'finding', baseVersion: 1, patch: { state: 'jobMade', severity: 4 } },
    ])
    const [made] = items
    expect(made?.op === 'create' && String(made.patch.order) > 'm').toBe(true)
    expect(wrongMoves('finding', { ...finding }, { ...finding, state: 'jobMade' })).toEqual([])
    const later = placingChanges(rows, item, judged, { to: 'later' }, ids())
    expect(later.items[0]).toMatchObject({ patch: { decision: 'later', gateId: null } })
    const whenTime = placingChanges(rows, item, judged, { to: 'whenTime' }, ids())
    expect(whenTime.items[0]).toMatchObject({ patch: { decision: 'plan', gateId: null } })
  })

  it('accepts or watches with a reason and a day; a job is never watched into a finding', () => {
    const { rows, item } = withFinding()
    const why = { reason: 'Dry for years', lookAgainOn: '2028-04-01' }
    for (const [to, state] of [
      ['accept', 'accepted'],
      ['watch', 'watch'],
    ] as const)
      expect(placingChanges(rows, item, judged, { to, ...why }, ids())).toEqual({
        jobId: null,
        items: [
          expect.objectContaining({ entity: 'finding', patch: { state, severity: 4, ...why } }),
        ],
      })
    const own = rows.job[0]
    if (!own) throw new Error('no job')
    const placed = placingChanges(
      rows,
      { kind: 'job', id: own.id, job: own },
      judged,
      { to: 'accept', ...why },
      ids(),
    )
    expect(placed.items).toMatchObject([
      { entity: 'job', id: 'during', patch: { decision: 'accepted', placed: true, ...why } },
    ])
    const open = placingChanges(
      rows,
      { kind: 'job', id: own.id, job: own },
      judged,
      { to: 'whenTime' },
      ids(),
    )
    expect(open.items).toMatchObject([{ patch: { decision: 'plan', lookAgainOn: null } }])
  })
})
