/** Found work three deep, growth by hand, triage, comparison, bags and who can do a job. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bagsToFind, isLocated } from '../bags/bags'
import { canDo } from '../canDo/canDo'
import { supposing } from '../model/applyChange'
import type { Finding } from '../model/entities'
import type { StoredPlan } from '../model/stored'
import { whyAbove } from '../plan/compare'
import { effectSentence, gateEffects } from '../plan/effect'
import { priorityScore } from '../plan/priority'
import type { PriorityBasis } from '../plan/priority'
import { derive } from '../progress/derive'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { addDays } from '../time/civil'
import { zoneClock } from '../time/zone'
import { likelyPurpose, placingChanges, triageQueue, usualHours } from '../triage/triage'
import { growthOf } from './growth'

const now = Date.UTC(2027, 3, 17)
const plan = (starts: Record<string, number>, gates: Record<string, number> = {}): StoredPlan => ({
  status: 'feasible',
  now,
  reasons: [],
  warnings: [],
  launches: [],
  urgencies: {},
  gates: Object.entries(gates).map(([gateId, at]) => ({
    gateId,
    at,
    readyAt: at,
    binding: { kind: 'now' },
  })),
  placements: Object.entries(starts).map(([stepId, at]) => ({
    stepId,
    segments: [[at, at]],
    readyAt: at,
    personIds: [],
    binding: { kind: 'now' },
  })),
})

/** top 10 h done; its child 4 h, grandchild 2 h, great-grandchild 1 h; another planned job of 20 h open. */
function family() {
  const rows = emptyRefit()
  job(rows, 'top')
  step(rows, 'top', 't', { hoursLikely: 10, state: 'done' })
  job(rows, 'child', { parentJobId: 'top' })
  step(rows, 'child', 'c', { hoursLikely: 4 })
  add(rows, 'part', 'p', { name: 'Bearer', jobId: 'child', quantity: 2, priceMinor: 1500 })
  job(rows, 'grand', { parentJobId: 'child' })
  step(rows, 'grand', 'g', { hoursLikely: 2, state: 'done' })
  job(rows, 'great', { parentJobId: 'grand' })
  step(rows, 'great', 'gg', { hoursLikely: 1 })
  step(rows, 'great', 'dropped', { hoursLikely: 50, state: 'dropped' })
  job(rows, 'other')
  step(rows, 'other', 'o', { hoursLikely: 20 })
  person(rows, 'ida', [6], '09:00', '17:00')
  add(rows, 'hoursEntry', 'h', { stepId: 'g', personId: 'ida', on: '2027-04-10', hours: 3 })
  return rows
}

describe('what grew under a job', () => {
  it('adds up hours, logged hours and money, three deep', () => {
    const rows = family()
    const { bred, found, jobs } = derive(rows, null, now)
    expect(bred.get('top')).toEqual({
      jobs: 3,
      hoursPlanned: 7,
      hoursLogged: 3,
      costMinor: 3000,
      depth: 3,
    })
    expect(bred.get('great')?.jobs).toBe(0)
    // 7 of 37 planned hours
    expect(found.hoursPlanned).toBe(7)
    expect(found.share).toBeCloseTo(7 / 37, 9)
    const roots = rows.job.filter((one) => one.parentJobId === null)
    const all = roots.reduce(
      (sum, root) =>
        sum + (bred.get(root.id)?.hoursPlanned ?? 0) + (jobs.get(root.id)?.hoursPlanned ?? 0),
      0,
    )
    expect(all).toBe(37)
  })
  it('grows by what was found on what was finished', () => {
    // (10 + 7) / (40 + 10) = 0.34 of the 20 h still open
    const growth = growthOf(family())
    expect(growth.perHour).toBeCloseTo(0.34, 9)
    expect(growth.expectedHours).toBeCloseTo(6.8, 9)
    // Half of "other" done, 20 of 40 h: (10 + 7) / (40 + 10 + 20) of what is open.
    const half = family()
    step(half, 'other', 'half', { hoursLikely: 20, state: 'done' })
    expect(growthOf(half)).toMatchObject({ finishedHours: 30, openHours: 20 })
    expect(growthOf(half).perHour).toBeCloseTo(17 / 70, 9)
    expect(growthOf(emptyRefit()).perHour).toBeCloseTo(0.25, 9)
  })
})

describe('triage', () => {
  const finding = (rows: ReturnType<typeof emptyRefit>, id: string, severity: number): Finding =>
    add(rows, 'finding', id, { title: id, severity, foundAt: now, duringJobId: 'top' })
  it('puts the worst finding first, then jobs nobody placed', () => {
    const rows = family()
    finding(rows, 'small', 1)
    finding(rows, 'bad', 4)
    job(rows, 'placed', { placed: true })
    expect(triageQueue(rows, '2026-06-01').map((one) => one.id)).toEqual([
      'bad',
      'small',
      'child',
      'great',
      'other',
    ])
  })
  it('makes a job of a finding, before a gate, with the hours guessed', () => {
    const rows = family()
    add(rows, 'gate', 'launch', { name: 'Launch', kind: 'asap' })
    const one = finding(rows, 'bad', 4)
    const judged = { purpose: 'float' as const, severity: 3, hours: usualHours(rows) }
    // Found jobs come to 4, 2 and 1 h: the middle is 2.
    expect(judged.hours).toBe(2)
    const item = { kind: 'finding' as const, id: one.id, finding: one }
    let next = 0
    const { items } = placingChanges(
      rows,
      item,
      judged,
      { to: 'gate', gateId: 'launch' },
      () => `n${next++}`,
    )
    const after = supposing(rows, items)
    expect(after.job.at(-1)).toMatchObject({
      gateId: 'launch',
      parentJobId: 'top',
      purpose: 'float',
      placed: true,
    })
    expect(after.step.at(-1)?.hoursLikely).toBe(2)
    expect(triageQueue(after, '2026-06-01').map((left) => left.id)).toEqual([
      'child',
      'great',
      'other',
    ])
  })
  it('begins from a purpose that the place suggests', () => {
    const rows = family()
    add(rows, 'zone', 'keel', {
      name: 'Keel',
      belowWaterline: true,
      strake: 'underwater',
      order: 'b',
    })
    add(rows, 'zone', 'mast', { name: 'Mast', strake: 'rig', order: 'c' })
    add(rows, 'zone', 'saloon', { name: 'Saloon', strake: 'below', order: 'd' })
    expect(['keel', 'mast', 'saloon', null].map((id) => likelyPurpose(rows, id))).toEqual([
      'float',
      'safe',
      'live',
      'go',
    ])
  })
  it('accepts and watches with a reason and a date', () => {
    const rows = family()
    const one = finding(rows, 'looks', 1)
    const item = { kind: 'finding' as const, id: one.id, finding: one }
    const judged = { purpose: 'shine' as const, severity: 1, hours: 1 }
    const placing = { to: 'watch' as const, reason: 'Dry', lookAgainOn: '2027-09-01' }
    const after = supposing(rows, placingChanges(rows, item, judged, placing, () => 'n').items)
    expect(after.finding[0]).toMatchObject({ state: 'watch', reason: 'Dry' })
  })
})

describe('why is this above that', () => {
  const basis: PriorityBasis = {
    purpose: 'float',
    severity: 2,
    spreading: false,
    slackDays: 6,
    waitingJobs: 0,
  }
  const ranked = (
    title: string,
    given: Partial<PriorityBasis>,
    pinnedRank: number | null = null,
  ) => {
    const rows = emptyRefit()
    const mine = { ...basis, ...given }
    return { job: job(rows, title, { title, pinnedRank }), basis: mine, score: priorityScore(mine) }
  }
  it('names what weighs most', () => {
    // 100 × 0.6 against 55 × 0.6: purpose 1.8 times; slack 2 − 6/28 = 1.79 against 1: 1.79 times.
    const said = whyAbove(ranked('Deck', {}), ranked('Engine', { purpose: 'go', slackDays: null }))
    expect(said.sentence).toBe(
      '“Deck” stands above “Engine”, 107 against 33, mostly by purpose: Float against Go.',
    )
  })
  it('says when a pin or the hand decides', () => {
    expect(whyAbove(ranked('Deck', {}, 1), ranked('Engine', {})).sentence).toContain(
      'Deck is pinned to rank 1',
    )
    expect(whyAbove(ranked('Deck', {}), ranked('Engine', {})).sentence).toContain('equal')
  })
  it('multiplies and adds up to the score', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('float', 'safe', 'go', 'live', 'shine' as const),
        fc.integer({ min: 1, max: 4 }),
        fc.option(fc.integer({ min: -5, max: 60 })),
        fc.integer({ min: 0, max: 9 }),
        (purpose, severity, slackDays, waitingJobs) => {
          const one = ranked('a', { purpose: purpose as 'go', severity, slackDays, waitingJobs })
          const none = ranked('b', {
            purpose: purpose as 'go',
            severity,
            slackDays,
            waitingJobs: 0,
          })
          expect(one.score - none.score).toBeCloseTo(5 * waitingJobs, 9)
          expect(one.score).toBeGreaterThanOrEqual(4)
        },
      ),
    ))
})

describe('the effect on gates', () => {
  it('is said in days, and silence is said too', () => {
    const rows = emptyRefit()
    const gate = add(rows, 'gate', 'launch', { name: 'Launch', kind: 'asap' })
    const day = 86_400_000
    const clock = zoneClock('UTC')
    const [was, is] = [plan({}, { launch: now }), plan({}, { launch: now + 4 * day })]
    expect(effectSentence(gateEffects([gate], was, is, clock))).toBe('Launch 4 days later.')
    expect(effectSentence(gateEffects([gate], is, was, clock))).toBe('Launch 4 days earlier.')
    expect(effectSentence(gateEffects([gate], was, was, clock))).toBe('No gate moves.')
    // A dated gate that is in time both ways is not said to move; one that comes to be late is.
    const dated = (on: string) => ({ ...gate, kind: 'dated' as const, on })
    const last = clock.dateOf(Math.max(was.gates[0]!.at, is.gates[0]!.at))
    const said = (on: string) => effectSentence(gateEffects([dated(on)], was, is, clock))
    expect(said(last)).toBe('No gate moves but those that stay in time.')
    expect(said(addDays(last, -1))).toBe('Launch 4 days later.')
    expect(effectSentence(gateEffects([gate], was, plan({}), clock))).toBe(
      'Launch can no longer be dated.',
    )
    // A first date is good news, not the loss of one: 17 April 2027.
    expect(effectSentence(gateEffects([gate], plan({}), was, clock))).toBe(
      'Launch gets its first date, Sat 17 Apr 2027.',
    )
  })
})

describe('strip-out bags', () => {
  it('warns when the step nears and nobody knows where it is', () => {
    const rows = family()
    const bag = (id: string, more: object) =>
      add(rows, 'bag', id, { code: id, what: id, order: id, wantedByStepId: 'c', ...more })
    expect(isLocated(bag('kept', { storedAt: 'Shed, shelf 2' }))).toBe(true)
    bag('gone', {})
    bag('lost', { storedAt: 'Shed', state: 'lost' })
    bag('fitted', { state: 'fitted' })
    const in10 = plan({ c: now + 10 * 86_400_000 })
    const in20 = plan({ c: now + 20 * 86_400_000 })
    expect(bagsToFind(rows, in10, now).map((one) => one.bag.code)).toEqual(['gone', 'lost'])
    expect(bagsToFind(rows, in20, now)).toEqual([])
  })
})

describe('can we do this', () => {
  it('weighs skills, hands, licences and our hours against the price', () => {
    const rows = emptyRefit()
    rows.refit[0] = { ...(rows.refit[0] as (typeof rows.refit)[0]), ownHourMinor: 2000 }
    person(rows, 'ida', [6], '09:00', '17:00', { skills: ['woodwork'] })
    const shore = job(rows, 'shore', { tradePriceMinor: 50_000 })
    step(rows, 'shore', 'run', {
      operation: 'wire',
      hoursLikely: 4,
      skill: 'electrics',
      licensedKind: 'mains',
    })
    step(rows, 'shore', 'box', {
      operation: 'fit',
      hoursLikely: 2,
      access: 'awkward',
      crewMin: 2,
      crewMax: 2,
      licensedKind: 'welding',
    })
    add(rows, 'part', 'p', { name: 'Lead', jobId: 'shore', quantity: 1, priceMinor: 10_000 })
    const said = canDo(rows, shore)
    // 4 + 2 × 1.3 = 6.6 h; × 20.00 + 100.00 = 232.00; (500 − 100)/6.6 = 60.61 an hour saved
    expect(said.ownHours).toBeCloseTo(6.6, 9)
    expect([said.ownCostMinor, said.savedPerHourMinor]).toEqual([23_200, 6061])
    expect(said.against).toEqual([
      'Mains electricity: takes a licensed person where she lies.',
      'Nobody here has the skill: electrics.',
      'It takes 2 at once; there are 1.',
    ])
    expect(said.licences.map((one) => [one.kind, one.here])).toEqual([
      ['mains', true],
      ['welding', false],
    ])
    expect(said.dangers[0]?.caution).toContain('prove dead')
  })
})
