/** A plan a yard would accept, point by point; dates and hours by hand. */
import { draws } from '../../tests/draws'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { judgePlan } from '../../tests/judge/judgePlan'
import { oddNow, oddRefit } from '../../tests/judge/oddRefit'
import { add, job, person, step } from '../testing/build'
import type { Building } from '../testing/build'
import { ashore, friday, weekends } from '../testing/weekends'
import { acceptedPlan } from '../model/stored'
import type { StoredPlan } from '../model/stored'
import { zoneClock } from '../time/zone'
import { bindingChain } from './chain'
import { dragsOn, gateWaitingFor, sayDrag, slipDays } from './drag'
import { makePlan } from './makePlan'
import { atOnce } from '../inParts'
import { Asking, sayWhatIf } from './whatIf'

const clock = zoneClock('UTC')
const at = (text: string) => Date.parse(`2027-${text}:00Z`)
const planOf = (rows: Building, accepted: StoredPlan | null = null) =>
  makePlan(rows, friday, accepted).plan
const startOf = (plan: StoredPlan, id: string) =>
  plan.placements.find((one) => one.stepId === id)?.segments[0]?.[0]
const dateOf = (plan: StoredPlan, gateId: string) => {
  const gate = plan.gates.find((one) => one.gateId === gateId)
  return gate && clock.dateOf(gate.at)
}

describe('1. a gate whose work has no place', () => {
  it('has no date, pulls nothing forward, and the rest is planned', () => {
    const rows = weekends()
    ashore(rows)
    job(rows, 'Coat', { gateId: 'launch' })
    step(rows, 'Coat', 'antifoul', { operation: 'antifoul', hoursLikely: 40, splittable: false })
    job(rows, 'Sheets')
    step(rows, 'Sheets', 'splice')
    const plan = planOf(rows)
    expect(plan.gates).toEqual([])
    expect(plan.launches[0]?.at).toBeGreaterThanOrEqual(at('06-05T09:00'))
    expect(startOf(plan, 'splice')).toBe(at('04-17T08:00'))
    const said = sayWhatIf(
      atOnce(
        new Asking({ ...rows, step: rows.step.slice(1) }, friday, null).whatIf([
          {
            op: 'create',
            entity: 'step',
            id: 'again',
            patch: {
              jobId: 'Coat',
              title: 'Coat it',
              order: 'z',
              operation: 'antifoul',
              hoursLikely: 40,
            },
          },
        ]),
      ),
      rows.gate,
      clock,
    )
    expect(said).toContain('too long for any day')
    expect(said).toContain('Launch can no longer be dated')
  })
})

describe('2. what if', () => {
  it('says that nothing moves when nothing changes, hours after the plan was laid', () => {
    fc.assert(
      fc.property(fc.nat(100_000), fc.integer({ min: 0, max: 20 }), (seed, hours) => {
        const rows = oddRefit(seed, 8)
        const accepted = makePlan(rows, oddNow).plan
        const later = oddNow + hours * 3_600_000
        const { before, after } = atOnce(new Asking(rows, later, accepted).whatIf([]))
        expect(after).toEqual(before)
      }),
      { numRuns: 15 },
    )
  })
})

describe('3. the chain', () => {
  it('names who blocked, not who was busy last, and measures what each link holds up', () => {
    // Ann alone has 16 h a weekend. Wire (12 h) keeps her until Sunday noon; Sign (1 h) was busy last.
    const rows = weekends()
    person(rows, 'Ben', [7], '12:00', '13:00')
    add(rows, 'gate', 'soon', { name: 'Soon', kind: 'asap' })
    job(rows, 'Wire', { pinnedRank: 1 })
    step(rows, 'Wire', 'wire', { hoursLikely: 12, skill: 'electrics' })
    job(rows, 'Sign', { pinnedRank: 2 })
    step(rows, 'Sign', 'sign', { hoursLikely: 1, wantedPersonId: 'Ben' })
    job(rows, 'Test', { gateId: 'soon' })
    step(rows, 'Test', 'test', { hoursLikely: 2, skill: 'electrics' })
    const plan = planOf(rows)
    const test = plan.placements.find((one) => one.stepId === 'test')
    expect(test?.segments).toEqual([[at('04-18T12:00'), at('04-18T14:00')]])
    expect(test?.binding).toMatchObject({ kind: 'people', stepId: 'wire', personIds: ['Ann'] })
    const chain = bindingChain(plan, rows, 'soon', clock)
    const ids = chain.flatMap((link) => link.stepId ?? [])
    expect(ids).toEqual(['test', 'wire'])
    const [own, wire] = atOnce(dragsOn(rows, plan, 'soon', ids))
    // Without the wire, Test is done on Saturday from 08:00 to 10:00: a day and four hours earlier.
    expect(wire).toEqual({ stepId: 'wire', days: 1, readyHours: 28 })
    expect(sayDrag(wire!)).toBe('Without it 1 day earlier.')
    // Without itself there is nothing to do for the gate: ready now, Friday noon.
    expect(own).toMatchObject({ days: 2, readyHours: 50 })
  })

  it('says of a link that alone holds nothing that it does not', () => {
    expect(sayDrag({ stepId: 'x', days: 0, readyHours: 0 })).toMatch(/no earlier/)
    expect(sayDrag({ stepId: 'x', days: 0, readyHours: 5 })).toBe(
      'Without it ready 5 h earlier, but the date stays.',
    )
  })
})

describe('4. true reasons and slips', () => {
  it('tells a pair that is never there together from a day that is too short', () => {
    const rows = weekends()
    // Eight people in pairs: two mornings, two afternoons, nobody for five hours with anybody.
    for (let pair = 0; pair < 4; pair++)
      for (const one of ['a', 'b'])
        person(
          rows,
          `${one}${pair}`,
          [6],
          `${`${8 + pair * 2}`.padStart(2, '0')}:00`,
          `${10 + pair * 2}:00`,
        )
    job(rows, 'Mast')
    step(rows, 'Mast', 'lift it', { hoursLikely: 10, crewMin: 2, crewMax: 2, splittable: false })
    const [reason] = planOf(rows).reasons
    expect(reason?.kind).toBe('tooLong')
    expect(reason?.message).toContain('takes 5 h in one go, and that is too long for any day')
  })

  it('measures how far a job can slip: by hand three weeks', () => {
    const rows = weekends()
    ashore(rows)
    job(rows, 'Log')
    step(rows, 'Log', 'log', { hoursLikely: 16, hullNeed: 'ashore' })
    const plan = planOf(rows)
    // Done 17 and 18 April. For the lift of Saturday 5 June at 09:00 it may begin on 29 May at the latest:
    // 42 days later. On the 43rd it is Sunday 30 May, and ends on the Saturday of the launch at 16:00.
    expect(gateWaitingFor(rows, plan, 'Log')).toBe('launch')
    expect(atOnce(slipDays(rows, plan, 'launch', 'Log'))).toBe(42)
  })
})

describe('5. one queue', () => {
  it('keeps a near gate behind a launch that is a year away', () => {
    const rows = weekends()
    ashore(rows, { launchAimed: '2028-05-06' })
    add(rows, 'gate', 'survey', { name: 'Survey', kind: 'dated', on: '2027-04-25' })
    job(rows, 'Hull', { gateId: 'launch', purpose: 'float', severity: 4 })
    step(rows, 'Hull', 'hull', { hoursLikely: 300, hullNeed: 'ashore' })
    job(rows, 'Tidy', { gateId: 'survey', purpose: 'shine', severity: 1 })
    step(rows, 'Tidy', 'tidy', { hoursLikely: 20 })
    expect(dateOf(planOf(rows), 'survey')).toBe('2027-04-24')
  })

  it('lets today’s order by hand, a pin and work under way go first, then what matters', () => {
    const rows = weekends()
    for (const id of ['Looks', 'Looks too', 'Leak', 'Begun'])
      job(rows, id, id === 'Leak' ? { purpose: 'float', severity: 4 } : { purpose: 'shine' })
    for (const one of rows.job) step(rows, one.id, one.id.toLowerCase(), { hoursLikely: 16 })
    expect(startOf(planOf(rows), 'leak')).toBe(at('04-17T08:00'))
    rows.step.find((one) => one.id === 'begun')!
    const begun = rows.step.map((one) =>
      one.id === 'begun' ? { ...one, state: 'doing' as const } : one,
    )
    expect(startOf(planOf({ ...rows, step: begun }), 'begun')).toBe(at('04-17T08:00'))
    const pinned = rows.job.map((one) => (one.id === 'Looks' ? { ...one, pinnedRank: 1 } : one))
    expect(startOf(planOf({ ...rows, step: begun, job: pinned }), 'looks')).toBe(at('04-17T08:00'))
  })

  it('does not make what spreads wait for what is due in a year', () => {
    const rows = weekends()
    add(rows, 'gate', 'year', { name: 'Year', kind: 'dated', on: '2028-04-30' })
    job(rows, 'Shine', { gateId: 'year', purpose: 'shine', severity: 1 })
    step(rows, 'Shine', 'shine', { hoursLikely: 100 })
    job(rows, 'Core', { purpose: 'float', severity: 4, spreading: true })
    step(rows, 'Core', 'core', { hoursLikely: 10 })
    expect(startOf(planOf(rows), 'core')).toBe(at('04-17T08:00'))
  })
})

describe('6. a long step', () => {
  it('gives way to short work for two', () => {
    const rows = weekends()
    person(rows, 'Ben', [6, 7], '08:00', '16:00')
    job(rows, 'Strip', { purpose: 'float', severity: 4 })
    step(rows, 'Strip', 'strip', { hoursLikely: 120, skill: 'electrics' })
    job(rows, 'Board')
    step(rows, 'Board', 'board', { hoursLikely: 1, crewMin: 2, crewMax: 2 })
    const plan = planOf(rows)
    // 120 h keep Ann for seven and a half weekends; the half hour for both of them comes this weekend.
    expect(startOf(plan, 'board')).toBeLessThan(at('04-19T00:00'))
    expect(judgePlan(rows, plan)).toEqual([])
  })

  it('is not begun for an hour before six weeks of something else', () => {
    const rows = weekends()
    const away = { personId: 'Ann', on: '2027-04-17', kind: 'cannotCome', wholeDay: false } as const
    add(rows, 'personDay', 'p', { ...away, from: '09:00', to: '16:00' })
    job(rows, 'Deck', { pinnedRank: 1 })
    step(rows, 'Deck', 'deck', { hoursLikely: 88, notBefore: '2027-04-18' })
    job(rows, 'Teak')
    step(rows, 'Teak', 'teak', { hoursLikely: 20 })
    // Deck fills all from Sunday 18 April to Sunday 23 May; before it there is one hour on Saturday.
    expect(startOf(planOf(rows), 'teak')).toBe(at('05-29T08:00'))
  })
})

describe('7. a launch on a fixed date', () => {
  /** Launch fixed on Sunday 18 April: Ann has nine hours before it. */
  function fixed(): Building {
    const rows = weekends()
    ashore(rows, { launchAimed: '2027-04-18', launchWhen: 'fixed' })
    add(rows, 'haulOut', 'autumn', {
      name: 'Autumn',
      placeId: 'yard',
      liftOutAimed: '2027-10-01',
      launchAimed: '2027-11-06',
    })
    add(rows, 'gate', 'again', { name: 'Again', kind: 'launch', haulOutId: 'autumn' })
    return rows
  }
  const movedIn = (plan: StoredPlan) =>
    plan.warnings.filter((one) => one.kind === 'moved').flatMap((one) => one.jobIds)

  it('moves what only looks before what keeps her afloat, work with the hull either way too', () => {
    const rows = fixed()
    // By points an hour the long Float job would go first: 100 × 0.4 × 1 an hour of 8 is far under 30 of Shine.
    job(rows, 'Core', { gateId: 'launch', purpose: 'float', severity: 1 })
    step(rows, 'Core', 'core', { hoursLikely: 6, hullNeed: 'ashore' })
    job(rows, 'Wax', { gateId: 'launch', purpose: 'shine', severity: 4 })
    step(rows, 'Wax', 'wax', { hoursLikely: 4 })
    const plan = planOf(rows)
    expect(movedIn(plan)).toEqual(['Wax'])
    expect(dateOf(plan, 'launch')).toBe('2027-04-18')
    expect(judgePlan(rows, plan)).toEqual([])
  })

  it('keeps a job that has the hull open, and stops for it where it does not fit', () => {
    const rows = fixed()
    job(rows, 'Valve', { gateId: 'launch', purpose: 'live', severity: 1 })
    step(rows, 'Valve', 'out', {
      operation: 'strip',
      hullNeed: 'ashore',
      state: 'done',
      doneAt: friday - 1,
    })
    step(rows, 'Valve', 'bed', { operation: 'bed', hoursLikely: 5, hullNeed: 'ashore' })
    job(rows, 'Rudder', { gateId: 'launch', purpose: 'go', severity: 3 })
    step(rows, 'Rudder', 'rudder', { hoursLikely: 5, hullNeed: 'ashore' })
    expect(movedIn(planOf(rows))).toEqual(['Rudder'])
    rows.step = rows.step.map((one) =>
      one.id === 'bed' ? { ...one, hoursLikely: 20, splittable: true } : one,
    )
    const stopped = planOf(rows)
    // Nothing that moves keeps the date, so nothing moves.
    expect(movedIn(stopped)).toEqual([])
    expect(stopped.warnings.map((one) => one.message).join()).toContain(
      '“Valve” has the hull open and must be closed before she floats.',
    )
    expect(stopped.launches[0]?.at).toBeGreaterThan(at('04-18T09:00'))
  })
})

describe('8. launches', () => {
  it('go to a day on which somebody is there, unless the yard launches without you', () => {
    const rows = weekends()
    ashore(rows, { launchAimed: '2027-06-02' })
    job(rows, 'Log', { gateId: 'launch' })
    step(rows, 'Log', 'log', { hoursLikely: 2 })
    step(rows, 'Log', 'look', { hoursLikely: 1, hullNeed: 'afloat' })
    // Wednesday 2 June is aimed at; Ann is there on Saturday, and looks when the slings are off at 12:00.
    expect(dateOf(planOf(rows), 'launch')).toBe('2027-06-05')
    expect(startOf(planOf(rows), 'look')).toBe(at('06-05T12:00'))
    rows.place[0] = { ...rows.place[0]!, launchesWithoutYou: true }
    expect(dateOf(planOf(rows), 'launch')).toBe('2027-06-02')
  })

  it.each([
    ['the last work itself', 1, 0, { kind: 'after', stepId: 'log' }],
    ['its wait', 8, 16, { kind: 'wait', stepId: 'log', until: at('04-18T08:00') }],
  ])('are held by %s', (_, hoursLikely, waitHours, binding) => {
    const rows = weekends()
    ashore(rows, { launchWhen: 'asReady' })
    job(rows, 'Log', { gateId: 'launch' })
    const waitKind = waitHours > 0 ? 'calendar' : 'none'
    step(rows, 'Log', 'log', { hoursLikely, waitKind, waitHours, hullNeed: 'ashore' })
    // Saturday from 08:00, and she is lifted at 09:00 that day or the next.
    expect(planOf(rows).gates[0]?.binding).toEqual(binding)
  })

  it('lift nobody who works aboard, also when work without a place made the launch look later', () => {
    const rows = weekends()
    ashore(rows, { launchWhen: 'asReady' })
    job(rows, 'Hull', { gateId: 'launch' })
    add(rows, 'person', 'Gone', { name: 'Gone', gone: true, order: 'z' })
    step(rows, 'Hull', 'hull', { hoursLikely: 60, hullNeed: 'ashore', wantedPersonId: 'Gone' })
    job(rows, 'Teak', { pinnedRank: 1 })
    step(rows, 'Teak', 'teak', { hoursLikely: 16 })
    const plan = planOf(rows)
    expect(startOf(plan, 'teak')).toBe(at('04-17T08:00'))
    // Saturday's and Sunday's lifts at 09:00 are while Ann works aboard.
    expect(plan.launches[0]?.at).toBeGreaterThanOrEqual(at('04-18T16:00'))
    expect(judgePlan(rows, plan)).toEqual([])
  })

  it('have their afloat steps before what nobody waits for', () => {
    const rows = weekends()
    ashore(rows)
    job(rows, 'Teak', { purpose: 'float', severity: 4 })
    step(rows, 'Teak', 'teak', { hoursLikely: 400 })
    job(rows, 'Valve', { gateId: 'launch', purpose: 'shine', severity: 1 })
    step(rows, 'Valve', 'watch', { hoursLikely: 1, hullNeed: 'afloat' })
    expect(startOf(planOf(rows), 'watch')).toBe(at('06-05T12:00'))
  })
})

describe('9. haul-outs', () => {
  it('never overlap: the second lift-out waits for the first launch', () => {
    const rows = weekends()
    ashore(rows)
    job(rows, 'Hull', { gateId: 'launch' })
    step(rows, 'Hull', 'hull', { hoursLikely: 16 * 9, hullNeed: 'ashore' })
    add(rows, 'haulOut', 'summer', {
      name: 'Summer',
      placeId: 'yard',
      liftOutAimed: '2027-06-07',
      launchAimed: '2027-07-03',
    })
    add(rows, 'gate', 'again', { name: 'Again', kind: 'launch', haulOutId: 'summer' })
    job(rows, 'Rudder', { gateId: 'again', haulOutId: 'summer' })
    step(rows, 'Rudder', 'rudder', { hullNeed: 'ashore' })
    const plan = planOf(rows)
    // Nine weekends end on Sunday 13 June at 16:00; she goes in on Saturday 19 June, and out again on Sunday.
    expect(plan.launches).toMatchObject([
      { haulOutId: 'spring', at: at('06-19T09:00') },
      { haulOutId: 'summer', from: at('06-20T12:00') },
    ])
    expect(judgePlan(rows, plan)).toEqual([])
  })

  it('whose lift-out is past and unconfirmed are asked about, and planned from the next lift', () => {
    const rows = weekends()
    ashore(rows, { liftOutActual: null })
    job(rows, 'Hull', { gateId: 'launch' })
    step(rows, 'Hull', 'hull', { hullNeed: 'ashore' })
    const plan = planOf(rows)
    const [asked] = plan.warnings.filter((one) => one.kind === 'liftOut')
    expect(asked?.message).toContain('Was she lifted out for Spring on Thu 1 Apr 2027?')
    expect(startOf(plan, 'hull')).toBe(at('04-17T12:00'))
  })
})

describe('10. seasons', () => {
  const uk = [4, 4, 6, 8, 11, 14, 16, 16, 13, 10, 7, 5]
  it('keep a step in its months and before its last day', () => {
    const rows = weekends()
    job(rows, 'Lay up')
    step(rows, 'Lay up', 'drain', { months: ['oct', 'nov'] })
    step(rows, 'Lay up', 'cover', { notAfter: '2027-10-01' })
    const plan = planOf(rows)
    expect(startOf(plan, 'drain')).toBe(at('10-02T08:00'))
    expect(plan.placements.find((one) => one.stepId === 'drain')?.binding.kind).toBe('season')
    expect(plan.reasons[0]?.message).toContain('“cover” (Lay up) finds no room in its time')
  })

  it('let paint wait for warm months where its gate allows, else say heat and cover', () => {
    const rows = weekends()
    rows.refit[0] = { ...rows.refit[0]!, monthMeanC: uk }
    add(rows, 'gate', 'sail', { name: 'Sail', kind: 'dated', on: '2027-07-31' })
    job(rows, 'Paint', { gateId: 'sail' })
    step(rows, 'Paint', 'paint', { operation: 'paint', hoursLikely: 2, minTempC: 13 })
    const plan = planOf(rows)
    // June is the first month of 13 °C.
    expect(startOf(plan, 'paint')).toBeGreaterThanOrEqual(at('06-01T00:00'))
    expect(plan.warnings.filter((one) => one.kind === 'cold')).toEqual([])
    rows.gate[0] = { ...rows.gate[0]!, on: '2027-05-10' }
    const soon = planOf(rows)
    expect(startOf(soon, 'paint')).toBeLessThan(at('05-10T00:00'))
    expect(soon.warnings.find((one) => one.kind === 'cold')?.message).toContain('Heat and cover it')
  })
})

describe('11. trades', () => {
  it('take none of our people, and their time on weekdays', () => {
    const rows = weekends()
    job(rows, 'Gas', { doBy: 'trade' })
    step(rows, 'Gas', 'pipe', { hoursLikely: 12 })
    job(rows, 'Mains')
    step(rows, 'Mains', 'board', { licensedKind: 'mains', hoursLikely: 2 })
    rows.refit[0] = { ...rows.refit[0]!, licensedHere: ['mains'] }
    const plan = planOf(rows)
    const pipe = plan.placements.find((one) => one.stepId === 'pipe')
    // Friday 12:00 to 17:00, then Monday from 08:00: 5 h and 7 h.
    expect(pipe?.segments).toEqual([
      [at('04-16T12:00'), at('04-16T17:00')],
      [at('04-19T08:00'), at('04-19T15:00')],
    ])
    expect(pipe?.personIds).toEqual([])
    expect(plan.placements.find((one) => one.stepId === 'board')?.personIds).toEqual([])
    expect(plan.warnings.map((one) => one.message).join()).toContain(
      'is for a trade, and none is booked',
    )
  })

  it('come when she is as they need her, and are asked about when they left work over', () => {
    const rows = weekends()
    ashore(rows, { liftOutActual: null, liftOutAimed: '2027-05-03' })
    job(rows, 'Weld')
    step(rows, 'Weld', 'weld', { hullNeed: 'ashore' })
    step(rows, 'Weld', 'grind', { hullNeed: 'either' })
    const booked = { trade: 'The welder', from: '2027-04-20', to: '2027-04-21' }
    add(rows, 'tradeBooking', 'b', { stepId: 'weld', state: 'booked', ...booked })
    const plan = planOf(rows)
    expect(startOf(plan, 'weld')).toBe(at('05-03T12:00'))
    expect(plan.warnings.map((one) => one.message).join()).toContain(
      'The earliest safe date is Mon 3 May 2027; it and all that follows it',
    )
    rows.tradeBooking[0] = { ...rows.tradeBooking[0]!, state: 'came' }
    expect(
      planOf(rows)
        .warnings.map((one) => one.message)
        .join(),
    ).toContain('The welder came for “weld” (Weld), which is not done.')
  })
})

describe('12. cures', () => {
  it('read every month they cross, and the readings of a running clock', () => {
    const rows = weekends()
    rows.refit[0] = {
      ...rows.refit[0]!,
      monthMeanC: [10, 10, 10, 10, 20, 20, 20, 20, 10, 10, 10, 10],
    }
    job(rows, 'Deck')
    const cure = { waitKind: 'chem', waitHours: 100, waitRefC: 20 } as const
    step(rows, 'Deck', 'ply', {
      operation: 'laminate',
      hoursLikely: 8,
      notBefore: '2027-04-25',
      ...cure,
    })
    // Done Sunday 25 April 16:00. Until 1 May 00:00 128 h at 10 °C earn 64 h; 36 more at 20 °C: Sunday 2 May 12:00.
    expect(planOf(rows).placements[0]?.readyAt).toBe(at('05-02T12:00'))

    rows.step[0] = { ...rows.step[0]!, state: 'done', doneAt: at('04-16T10:00') }
    step(rows, 'Deck', 'sand', {})
    add(rows, 'clock', 'c', {
      title: 'Ply',
      kind: 'cure',
      stepId: 'ply',
      startedAt: at('04-16T10:00'),
      opensH: 40,
    })
    // 40 h at 20 °C are 80 h at 10 °C: until Monday 19 April 18:00, so the next Saturday.
    expect(startOf(planOf(rows), 'sand')).toBe(at('04-24T08:00'))
    // Heated to 30 °C, as read: 20 h, until Saturday 06:00.
    for (const [id, on] of [
      ['r', '04-16T10:00'],
      ['s', '04-18T10:00'],
    ] as const)
      add(rows, 'clockReading', id, { clockId: 'c', at: at(on), tempC: 30 })
    expect(startOf(planOf(rows), 'sand')).toBe(at('04-17T08:00'))
  })

  it('count no corrected hours and no travel as work done', () => {
    const rows = weekends()
    job(rows, 'Deck')
    step(rows, 'Deck', 'sand', { hoursLikely: 10, state: 'doing' })
    const entry = { stepId: 'sand', personId: 'Ann', on: '2027-04-10' }
    add(rows, 'hoursEntry', 'a', { ...entry, hours: 6 })
    add(rows, 'hoursEntry', 'b', { ...entry, hours: 2, correctsId: 'a' })
    add(rows, 'hoursEntry', 'c', { ...entry, hours: 1, kind: 'travel' })
    // 2 h of 10 are done: 8 are left, all of Saturday.
    expect(planOf(rows).placements[0]?.segments).toEqual([[at('04-17T08:00'), at('04-17T16:00')]])
  })
})

describe('13. an accepted sequence', () => {
  it('is laid again to the minute, and rows in any order give the same plan', () => {
    fc.assert(
      fc.property(fc.nat(100_000), (seed) => {
        const rows = oddRefit(seed, 12)
        const first = makePlan(rows, oddNow).plan
        expect(makePlan(rows, oddNow, first).plan).toEqual(first)
        const back = structuredClone(rows)
        for (const list of Object.values(back)) list.reverse()
        expect(makePlan(back, oddNow).plan).toEqual(first)
      }),
      { numRuns: 25 },
    )
  })

  it('is not taken from a plan of an older make, which is laid anew', () => {
    const rows = weekends()
    ashore(rows)
    job(rows, 'Log', { gateId: 'launch' })
    step(rows, 'Log', 'log')
    const plan = planOf(rows)
    const kept = (result: unknown) =>
      acceptedPlan({ plan: [{ id: 'plan', version: 1, result }] as never })
    expect(kept(plan)).toEqual(plan)
    const { urgencies: _, ...older } = plan
    const [launch] = plan.launches
    const [gate] = plan.gates
    for (const result of [
      older,
      { ...plan, launches: [{ ...launch, from: undefined }] },
      { ...plan, gates: [{ ...gate, readyAt: undefined }] },
    ])
      expect(kept(result)).toBeNull()
  })

  it('moves nothing when a step is done as planned', () => {
    const rows = weekends()
    for (const id of ['a', 'b', 'c', 'd']) {
      job(rows, id)
      step(rows, id, `${id}1`, { hoursLikely: 8 })
    }
    const first = planOf(rows)
    const [one] = first.placements
    const end = one?.segments.at(-1)?.[1] ?? 0
    const next = {
      ...rows,
      step: rows.step.map((row) =>
        row.id === one?.stepId ? { ...row, state: 'done' as const, doneAt: end } : row,
      ),
    }
    const second = makePlan(next, end, first).plan
    expect(second.placements.map((row) => [row.stepId, row.segments])).toEqual(
      first.placements.slice(1).map((row) => [row.stepId, row.segments]),
    )
  })
})

describe('16. an afternoon away', () => {
  it('leaves the morning', () => {
    const rows = weekends()
    const away = { personId: 'Ann', on: '2027-04-17', kind: 'cannotCome', wholeDay: false } as const
    add(rows, 'personDay', 'p', { ...away, from: '12:00', to: '18:00' })
    job(rows, 'Deck')
    step(rows, 'Deck', 'sand', { hoursLikely: 6 })
    expect(planOf(rows).placements[0]?.segments).toEqual([
      [at('04-17T08:00'), at('04-17T12:00')],
      [at('04-18T08:00'), at('04-18T10:00')],
    ])
  })
})

describe('17. a link', () => {
  it('into a job that has begun binds its first open step; one that names steps binds those', () => {
    const rows = weekends()
    job(rows, 'Cable')
    step(rows, 'Cable', 'bed it', { hoursLikely: 8 })
    step(rows, 'Cable', 'pull it', { hoursLikely: 8 })
    job(rows, 'Paint', { pinnedRank: 1 })
    step(rows, 'Paint', 'mask', { state: 'done', doneAt: friday - 1 })
    step(rows, 'Paint', 'coat', { hoursLikely: 1 })
    add(rows, 'link', 'l', { fromJobId: 'Cable', toJobId: 'Paint' })
    expect(startOf(planOf(rows), 'coat')).toBe(at('04-24T08:00'))
    rows.link[0] = { ...rows.link[0]!, fromStepId: 'bed it', toStepId: 'coat' }
    expect(startOf(planOf(rows), 'coat')).toBe(at('04-18T08:00'))
  })
})

describe('the judge', () => {
  it('finds no fault in plans of odd refits', () => {
    fc.assert(
      fc.property(fc.nat(1_000_000), fc.integer({ min: 1, max: 20 }), (seed, size) => {
        const rows = oddRefit(seed, size)
        expect(judgePlan(rows, makePlan(rows, oddNow).plan)).toEqual([])
      }),
      { numRuns: draws(17) },
    )
  })
})
