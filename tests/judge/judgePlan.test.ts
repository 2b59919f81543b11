/** The judge is judged: one good plan, laid by hand, and every kind of fault put into it. */
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../../core/testing/build'
import type { Building } from '../../core/testing/build'
import type { Placement, StoredPlan } from '../../core/model/stored'
import { judgePlan } from './judgePlan'

const at = (day: number, hour: number, month = 3) => Date.UTC(2027, month, day, hour)
const hours = 3_600_000

/**
 * She is ashore from 1 April 2027 and goes in on Wednesday 5 May. Saturdays 17 and 24 April, 1 and 8 May:
 * Ann and Ben 08–16 with half an hour of set-up and of pack-up; Ann alone on Fridays 12–16.
 */
function yardRefit(): Building {
  const rows = emptyRefit()
  add(rows, 'place', 'yard', {
    name: 'Yard',
    kind: 'yard',
    liftWeekdays: [3],
    liftFrom: '09:00',
  })
  add(rows, 'place', 'berth', { name: 'Berth', kind: 'berth' })
  add(rows, 'haulOut', 'spring', {
    name: 'Spring',
    placeId: 'yard',
    liftOutAimed: '2027-04-01',
    liftOutActual: '2027-04-01',
    launchAimed: '2027-05-05',
  })
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'spring' })
  person(rows, 'Ann', [6], '08:00', '16:00', { skills: ['laminating'] })
  add(rows, 'weekSlot', 'Ann-5', { personId: 'Ann', weekday: 5, from: '12:00', to: '16:00' })
  person(rows, 'Ben', [6], '08:00', '16:00')
  job(rows, 'Hull', { gateId: 'launch' })
  step(rows, 'Hull', 'ply', {
    operation: 'laminate',
    skill: 'laminating',
    hoursLikely: 3,
    waitKind: 'calendar',
    waitHours: 24,
    maxWaitHours: 24 * 8,
    hullNeed: 'ashore',
  })
  step(rows, 'Hull', 'fair', { operation: 'fair', hoursLikely: 12, crewMin: 2, crewMax: 2 })
  job(rows, 'Sails')
  step(rows, 'Sails', 'bend on', { hoursLikely: 2, hullNeed: 'afloat' })
  step(rows, 'Sails', 'patch', { hoursLikely: 9, placeNeed: 'boat' })
  job(rows, 'Watch')
  step(rows, 'Watch', 'watch', { hoursLikely: 1, hullNeed: 'slings' })
  return rows
}

const placed = (
  stepId: string,
  personIds: readonly string[],
  segments: Placement['segments'],
  waitHours = 0,
): Placement => ({
  stepId,
  personIds,
  segments,
  readyAt: (segments.at(-1)?.[1] ?? 0) + waitHours * hours,
  binding: { kind: 'now' },
})

const plan: StoredPlan = {
  status: 'feasible',
  now: at(16, 12),
  placements: [
    placed('ply', ['Ann'], [[at(17, 9), at(17, 12)]], 24),
    placed('fair', ['Ann', 'Ben'], [[at(24, 9), at(24, 15)]]),
    placed('watch', ['Ben'], [[at(5, 10, 4), at(5, 11, 4)]]),
    placed('bend on', ['Ann'], [[at(8, 9, 4), at(8, 11, 4)]]),
    placed(
      'patch',
      ['Ann'],
      [
        [at(8, 11, 4), at(8, 15, 4) + hours / 2],
        [at(14, 12, 4) + hours / 2, at(14, 15, 4) + hours / 2],
        [at(15, 8, 4) + hours / 2, at(15, 10, 4)],
      ],
    ),
  ],
  gates: [],
  launches: [{ haulOutId: 'spring', from: at(1, 12), at: at(5, 9, 4) }],
  urgencies: {},
  reasons: [],
  warnings: [],
}

const with_ = (stepId: string, change: Partial<Placement>): StoredPlan => ({
  ...plan,
  placements: plan.placements.map((one) => (one.stepId === stepId ? { ...one, ...change } : one)),
})
const without = (stepId: string): StoredPlan => ({
  ...plan,
  placements: plan.placements.filter((one) => one.stepId !== stepId),
})
const launchedAt = (when: number): StoredPlan => ({
  ...plan,
  launches: [{ haulOutId: 'spring', from: at(1, 12), at: when }],
})
const ashoreFrom = (from: number): StoredPlan => ({
  ...plan,
  launches: [{ haulOutId: 'spring', from, at: at(5, 9, 4) }],
})
const ply = (from: number, to: number): StoredPlan =>
  with_('ply', { segments: [[from, to]], readyAt: to + 24 * hours })
const minute = 60_000

describe('the judge', () => {
  it('has nothing to say of a plan that holds', () => {
    expect(judgePlan(yardRefit(), plan)).toEqual([])
  })

  it('lets somebody who sleeps aboard begin without unpacking, and only her', () => {
    const rows = yardRefit()
    Object.assign(rows.place[0] as object, { nights: 'aboard' })
    expect(judgePlan(rows, ply(at(17, 8), at(17, 11)))).toEqual([])
    rows.person[0] = { ...rows.person[0]!, staysNights: false }
    expect(judgePlan(rows, ply(at(17, 8), at(17, 11))).join()).toContain('Ann is not there')
  })

  it.each<[string, StoredPlan, ((rows: Building) => void)?]>([
    ['starts before now', ply(at(10, 9), at(10, 12))],
    ['ends before it starts', ply(at(17, 12), at(17, 9))],
    ['five-minute grid', ply(at(17, 9) + minute, at(17, 12) + minute)],
    ['has a crew of 1', with_('fair', { personIds: ['Ben'] })],
    ['names a person twice', with_('fair', { personIds: ['Ben', 'Ben'] })],
    ['who is gone', plan, (rows) => Object.assign(rows.person[0] as object, { gone: true })],
    ['lacks laminating', with_('ply', { personIds: ['Ben'] })],
    ['gets 2 of 3 person-hours', ply(at(17, 9), at(17, 11))],
    ['more time than it takes', ply(at(17, 9), at(17, 12) + 10 * minute)],
    [
      'broken up',
      with_('ply', {
        segments: [
          [at(17, 9), at(17, 10)],
          [at(17, 11), at(17, 13)],
        ],
        readyAt: at(18, 13),
      }),
    ],
    ['wait cut short', with_('ply', { readyAt: at(18, 11) })],
    ['Ann is not there', ply(at(17, 8), at(17, 11))],
    ['Ann is not there', ply(at(20, 9), at(20, 12))],
    [
      'Ann is not there',
      plan,
      (rows) =>
        add(rows, 'personDay', 'x', { personId: 'Ann', on: '2027-04-17', kind: 'cannotCome' }),
    ],
    [
      'when Ben cannot come',
      plan,
      (rows) =>
        add(rows, 'personDay', 'x', { personId: 'Ben', on: '2027-05-05', kind: 'cannotCome' }),
    ],
    ['not ashore', ply(at(8, 9, 4), at(8, 12, 4))],
    [
      'not afloat',
      with_('bend on', { segments: [[at(1, 9, 4), at(1, 11, 4)]], readyAt: at(1, 11, 4) }),
    ],
    [
      'does not hang',
      with_('watch', { segments: [[at(8, 9, 4), at(8, 10, 4)]], readyAt: at(8, 10, 4) }),
    ],
    [
      'aboard while she hangs',
      launchedAt(at(8, 9, 4)),
      (rows) => Object.assign(rows.place[0] as object, { liftWeekdays: [6] }),
    ],
    [
      'before its own date',
      plan,
      (rows) => Object.assign(rows.step[0] as object, { notBefore: '2027-04-18' }),
    ],
    [
      'before Cloth arrives',
      plan,
      (rows) =>
        add(rows, 'part', 'x', {
          name: 'Cloth',
          neededByStepId: 'ply',
          state: 'ordered',
          arrivesOn: '2027-04-17',
        }),
    ],
    [
      'before its trade comes',
      plan,
      (rows) =>
        add(rows, 'tradeBooking', 'x', {
          stepId: 'ply',
          trade: 'Glass',
          from: '2027-04-19',
          to: '2027-04-19',
          state: 'booked',
        }),
    ],
    [
      'at two places on one day',
      plan,
      (rows) => {
        add(rows, 'place', 'shed', { name: 'Shed', kind: 'shed', setUpMin: 0, packUpMin: 0 })
        Object.assign(rows.step.find((one) => one.id === 'patch') as object, { placeNeed: 'shed' })
      },
    ],
    [
      'at two places too soon',
      plan,
      (rows) => {
        Object.assign(rows.refit[0] as object, { twoPlaces: true })
        add(rows, 'place', 'shed', { name: 'Shed', kind: 'shed', setUpMin: 0, packUpMin: 0 })
        Object.assign(rows.step.find((one) => one.id === 'patch') as object, { placeNeed: 'shed' })
      },
    ],
    [
      'Ann is not there',
      plan,
      (rows) => Object.assign(rows.place[0] as object, { shutWeekdays: [6] }),
    ],
    [
      'Ann is not there',
      plan,
      (rows) => Object.assign(rows.place[0] as object, { opensAt: '09:00' }),
    ],
    [
      'Ben pauses',
      plan,
      (rows) => Object.assign(rows.person[1] as object, { breakFrom: '12:00', breakMin: 30 }),
    ],
    [
      'Ann is not there',
      plan,
      (rows) => add(rows, 'wantedDays', 'x', { from: '2027-05-14', to: '2027-05-14' }),
    ],
    [
      'stands open on 2027-04-20',
      plan,
      (rows) => {
        Object.assign(rows.step[0] as object, { operation: 'strip' })
        Object.assign(rows.step[1] as object, { operation: 'close' })
        add(rows, 'wantedDays', 'x', { from: '2027-04-20', to: '2027-04-20' })
      },
    ],
    [
      'at two jobs at once',
      with_('bend on', { segments: [[at(8, 10, 4), at(8, 12, 4)]], readyAt: at(8, 12, 4) }),
    ],
    [
      'after the bond window of ply',
      plan,
      (rows) => Object.assign(rows.step[0] as object, { maxWaitHours: 48 }),
    ],
    [
      'a mend of 1 h where 3 h are due',
      with_('fair', { mends: [{ kind: 'keying', fromStepId: 'ply', toStepId: 'fair', hours: 1 }] }),
    ],
    ['fair is placed, and ply before it is not', without('ply')],
    [
      'ply and its wait are over',
      plan,
      (rows) => Object.assign(rows.step[0] as object, { waitHours: 24 * 7 }),
    ],
    [
      'could go on',
      with_('patch', {
        segments: [
          [at(8, 11, 4), at(8, 15, 4) + hours / 2],
          [at(15, 8, 4) + hours / 2, at(15, 13, 4)],
        ],
        readyAt: at(15, 13, 4),
      }),
    ],
    ['lifted out before she can be', ashoreFrom(at(1, 11))],
    ['lifted out days after she could be', ashoreFrom(at(20, 12))],
    ['does not lift on 2027-05-06', launchedAt(at(6, 9, 4))],
    ['wrong time of day', launchedAt(at(5, 10, 4))],
    ['launched before its date', launchedAt(at(28, 9))],
    [
      'launched before fair is ready',
      with_('fair', { readyAt: at(6, 9, 4) }),
      (rows) => Object.assign(rows.step[1] as object, { waitKind: 'calendar', waitHours: 24 * 11 }),
    ],
    ['watch: is not placed, and no reason given', without('watch')],
    [
      'called impossible, and placed',
      { ...plan, reasons: [{ kind: 'noSkill', message: '', jobIds: ['Hull'], stepIds: ['ply'] }] },
    ],
    [
      'not open is placed: ply',
      plan,
      (rows) => Object.assign(rows.step[0] as object, { state: 'dropped' }),
    ],
  ])('says "%s"', (fault, broken, change) => {
    const rows = yardRefit()
    change?.(rows)
    expect(judgePlan(rows, broken).join('\n')).toContain(fault)
  })
})
