import { describe, expect, it } from 'vitest'
import type { GateGap } from '../plan/gateGaps'
import { add, emptyRefit, job, step } from '../testing/build'
import type { Derived, GateFigures } from './derive'
import { sayGate } from './gateWords'

const rows = emptyRefit()
add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch' })
add(rows, 'gate', 'survey', { name: 'Survey', kind: 'dated', on: '2027-06-10' })
const titles = ['Rudder', 'Stove', 'Keel bolts', 'Wiring']
for (const title of titles) {
  job(rows, title)
  step(rows, title, `step of ${title}`)
}
const jobs = (...named: readonly string[]) => rows.job.filter((one) => named.includes(one.title))
const [launch, survey] = rows.gate
if (!launch || !survey) throw new Error('the gates are missing')

const whole: GateGap = {
  gateId: 'launch',
  missing: [],
  reasons: [],
  behindGateId: null,
  withoutSteps: [],
  comesAfter: [],
}
const because = (...messages: readonly string[]): GateGap['reasons'] =>
  messages.map((message) => ({ kind: 'noSkill', message, stepIds: [], jobIds: [] }))

/** A launch planned for 22 May 2027 with nothing against it, and what a case makes of it. */
const figures = (own: Partial<GateFigures>): GateFigures => ({
  gate: launch,
  aimedOn: null,
  plannedOn: '2027-05-22',
  gap: whole,
  daysLate: null,
  markIn: 300,
  hoursNeeded: 40,
  hasWork: true,
  provisional: [],
  ...own,
})
const said = (own: Partial<GateFigures>, derived: Partial<Derived> = {}) =>
  sayGate(figures(own), {
    today: '2027-04-17',
    gates: [],
    jobsToPlace: 0,
    ...derived,
  } as unknown as Derived)

describe('what is said of a gate', () => {
  it.each<readonly [string, Partial<GateFigures>, string, string, string]>([
    [
      'no plan',
      { gap: null, plannedOn: null },
      'unplanned',
      'launch not planned yet',
      'Launch is not planned yet',
    ],
    [
      'no day in the plan',
      { plannedOn: null },
      'unplanned',
      'launch not planned yet',
      'Launch is not planned yet',
    ],
    [
      'nothing against it, no aim',
      {},
      'dated',
      'launch planned 22 May',
      'Launch is planned for 22 May',
    ],
    [
      'its aim to the day',
      { aimedOn: '2027-05-22', daysLate: 0 },
      'dated',
      'launch planned 22 May',
      'Launch keeps 22 May',
    ],
    [
      'a day before its aim',
      { aimedOn: '2027-05-23', daysLate: -1 },
      'dated',
      'launch planned 22 May',
      'Launch keeps 23 May',
    ],
    [
      'a day late',
      { aimedOn: '2027-05-21', daysLate: 1 },
      'dated',
      'launch planned 22 May',
      'Launch is planned for 22 May, not 21 May',
    ],
    [
      'no work',
      { hasWork: false },
      'dated',
      'launch planned 22 May, with no work before it',
      'Launch, 22 May: no work stands before it',
    ],
    [
      'another year',
      { plannedOn: '2028-05-22' },
      'dated',
      'launch planned 22 May 2028',
      'Launch is planned for 22 May 2028',
    ],
    [
      'one job without steps',
      { gap: { ...whole, withoutSteps: jobs('Stove') } },
      'notBefore',
      'launch not before 22 May: 1 job has no steps',
      'Launch: not before 22 May',
    ],
    [
      'two without, one that comes after',
      { gap: { ...whole, withoutSteps: jobs('Stove', 'Wiring'), comesAfter: jobs('Rudder') } },
      'notBefore',
      'launch not before 22 May: 2 jobs have no steps',
      'Launch: not before 22 May',
    ],
    [
      'one that comes after',
      { gap: { ...whole, comesAfter: jobs('Rudder') } },
      'notBefore',
      'launch not before 22 May: 1 job does not fit',
      'Launch: not before 22 May',
    ],
    [
      'a step without a place',
      { gap: { ...whole, missing: ['x'] } },
      'undated',
      'cannot be launched as it stands: 1 thing stands in the way',
      'She cannot be launched as it stands',
    ],
    [
      'two reasons at a survey',
      { gate: survey, gap: { ...whole, reasons: because('a', 'b') } },
      'undated',
      'survey cannot be dated as it stands: 2 things stand in the way',
      'Survey cannot be dated as it stands',
    ],
    [
      'an undated gate with jobs without steps',
      { gap: { ...whole, missing: ['x'], withoutSteps: jobs('Stove') } },
      'undated',
      'cannot be launched as it stands: 1 thing stands in the way',
      'She cannot be launched as it stands',
    ],
  ])('with %s', (_, own, standing, short, title) => {
    expect(said(own)).toMatchObject({ standing, short, title })
  })

  it('names what is only for now, in the line and in what its date leaves out', () => {
    const [one, two] = rows.step
    if (!one || !two) throw new Error('the steps are missing')
    expect(said({ provisional: [one] })).toMatchObject({
      short: 'launch planned 22 May, 1 thing only for now',
      leavesOut: [
        `1 thing is only for the time being and to be made right before it: “${one.title}”.`,
      ],
    })
    expect(said({ provisional: [one, two] }).leavesOut).toEqual([
      `2 things are only for the time being and to be made right before it: “${one.title}” and “${two.title}”.`,
    ])
  })

  it('names two of many and counts the others', () => {
    const { leavesOut } = said({ gap: { ...whole, withoutSteps: jobs(...titles) } })
    expect(leavesOut).toEqual(['4 jobs before it have no steps: “Rudder”, “Stove” and 2 more.'])
    expect(said({ gap: { ...whole, withoutSteps: jobs('Stove') } }).leavesOut).toEqual([
      '1 job before it has no steps: “Stove”.',
    ])
    expect(said({ gap: { ...whole, comesAfter: jobs('Rudder', 'Stove') } }).leavesOut).toEqual([
      '2 jobs that belong before it do not fit and come after it: “Rudder” and “Stove”.',
    ])
    expect(said({ gap: { ...whole, comesAfter: jobs('Rudder') } }).leavesOut).toEqual([
      '1 job that belongs before it does not fit and comes after it: “Rudder”.',
    ])
  })

  it('says which work counts before no gate', () => {
    expect(said({}, { jobsToPlace: 1 }).leavesOut).toEqual([
      '1 job is not placed yet and counts before no gate.',
    ])
    expect(said({}, { jobsToPlace: 3 }).leavesOut).toEqual([
      '3 jobs are not placed yet and count before no gate.',
    ])
  })

  it('gives each reason once, and the gate it waits for', () => {
    const behind = { gate: launch } as GateFigures
    const gap = {
      ...whole,
      gateId: 'survey',
      missing: ['x', 'y'],
      reasons: because('Nobody can rig.', 'Nobody can rig.'),
      behindGateId: 'launch',
    }
    expect(said({ gate: survey, gap }, { gates: [behind] })).toMatchObject({
      because: ['Nobody can rig.', 'Some of its work comes after Launch, which has no date.'],
      short: 'survey cannot be dated as it stands: 2 things stand in the way',
    })
  })

  it('counts steps without a place only where nothing else is known', () => {
    expect(said({ gap: { ...whole, missing: ['x', 'y'] } }).because).toEqual([
      '2 steps are not in the plan yet.',
    ])
    expect(
      said({ gap: { ...whole, missing: ['x'], reasons: because('It is shut.') } }).because,
    ).toEqual(['It is shut.'])
  })
})
