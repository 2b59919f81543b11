/** Levers on a chain by hand: what is offered, and that the plan laid with it is what it says. */
import { describe, expect, it } from 'vitest'
import { supposing } from '../model/applyChange'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { zoneClock } from '../time/zone'
import { bindingChain } from '../plan/chain'
import { chainLevers, workLevers } from './chainLevers'
import { makePlan } from '../plan/makePlan'

const clock = zoneClock('UTC')
/** Friday 30 April 2027; the 1st of May is a Saturday. */
const now = Date.UTC(2027, 3, 30, 12)

function refit() {
  const rows = emptyRefit()
  add(rows, 'place', 'berth', {
    name: 'Berth',
    kind: 'berth',
    travelMin: 0,
    setUpMin: 0,
    packUpMin: 0,
  })
  add(rows, 'gate', 'aboard', { name: 'Move aboard', kind: 'asap' })
  person(rows, 'ida', [6], '08:00', '18:00')
  job(rows, 'sole', { gateId: 'aboard', purpose: 'live' })
  return rows
}
const chainOf = (rows: ReturnType<typeof refit>, gateId = 'aboard') => {
  const plan = makePlan(rows, now).plan
  const ids = bindingChain(plan, rows, gateId, clock).flatMap((link) => link.stepId ?? [])
  return { plan, levers: chainLevers(rows, plan, clock, { gateId, stepIds: ids }) }
}
let ids = 0
const newId = () => `id${ids++}`
const gateDay = (rows: ReturnType<typeof refit>) =>
  clock.dateOf(makePlan(rows, now).plan.gates[0]?.at ?? 0)

describe('levers on a chain', () => {
  it('have somebody come on the first day on which a cured step could go on', () => {
    const rows = refit()
    // Glued on Saturday the 1st for two hours, cured a day later: on Sunday. Ida is back on the 8th.
    step(rows, 'sole', 'glue', { hoursLikely: 2, waitKind: 'calendar', waitHours: 24 })
    step(rows, 'sole', 'screw', { hoursLikely: 2 })
    expect(gateDay(rows)).toBe('2027-05-08')
    const { levers } = chainOf(rows)
    const [day] = levers.filter((one) => one.key.startsWith('day screw'))
    expect(day?.label).toBe('ida comes on Sun 2 May')
    const after = supposing(rows, day?.items(newId) ?? []) as ReturnType<typeof refit>
    expect(gateDay(after)).toBe('2027-05-02')
    // For the work of the step alone; a day on or after the date asked about helps nothing by it.
    const { plan } = chainOf(rows)
    const by = (date: string) =>
      workLevers(rows, plan, clock, ['screw', 'screw'], date).map((one) => one.label)
    expect(by('2027-05-03')).toEqual(['ida comes on Sun 2 May', 'Nights away: Berth'])
    expect(by('2027-05-02')).toEqual(['Nights away: Berth'])
    // Cured only on Sunday afternoon, nothing is begun that day.
    rows.step = rows.step.map((one) => (one.id === 'glue' ? { ...one, waitHours: 30 } : one))
    expect(chainOf(rows).levers.map((one) => one.label)).toContain('ida comes on Mon 3 May')
  })

  it('warm what cures, hurry what is sent for, and put off what only finishes', () => {
    const rows = refit()
    add(rows, 'zone', 'saloon', { name: 'Saloon', strake: 'below' })
    rows.job = rows.job.map((one) => ({ ...one, zoneId: 'saloon' }))
    step(rows, 'sole', 'sent', {
      operation: 'buy',
      placeNeed: 'away',
      hoursLikely: 0,
      waitKind: 'calendar',
      waitHours: 20 * 24,
    })
    step(rows, 'sole', 'glue', {
      hoursLikely: 2,
      operation: 'laminate',
      waitKind: 'chem',
      waitHours: 200,
      waitRefC: 20,
    })
    step(rows, 'sole', 'gloss', { hoursLikely: 2, operation: 'varnish' })
    const { levers } = chainOf(rows)
    const labels = levers.map((one) => one.label)
    expect(labels).toContain('Express: “sent” in half the time')
    expect(labels).toContain('Cover and warm it by 8 °C')
    expect(labels).toContain('“gloss” after the gate')
    // Ten days for the parts instead of twenty: glued on Saturday the 15th, not the 22nd.
    const express = levers.find((one) => one.key === 'express sent')
    const before = gateDay(rows)
    const after = gateDay(supposing(rows, express?.items(newId) ?? []) as ReturnType<typeof refit>)
    expect([before, after]).toEqual(['2027-06-05', '2027-05-29'])
  })

  it('never put off what keeps her afloat, nor what has begun, to the next haul-out', () => {
    const rows = refit()
    for (const [id, year] of [
      ['one', 2027],
      ['two', 2028],
    ] as const) {
      add(rows, 'haulOut', id, {
        name: `Haul-out ${id}`,
        liftOutAimed: `${year}-04-01`,
        liftOutActual: year === 2027 ? '2027-04-01' : null,
        launchAimed: `${year}-06-01`,
      })
      add(rows, 'gate', `launch ${id}`, { name: `Launch ${id}`, kind: 'launch', haulOutId: id })
    }
    rows.job = rows.job.map((one) => ({ ...one, gateId: 'launch one', haulOutId: 'one' }))
    step(rows, 'sole', 'plane', { hoursLikely: 2 })
    const offered = () => {
      const plan = makePlan(rows, now).plan
      return chainLevers(rows, plan, clock, { gateId: 'launch one', stepIds: ['plane'] }).some(
        (one) => one.key === 'next sole',
      )
    }
    expect(offered()).toBe(true)
    rows.job = rows.job.map((one) => ({ ...one, purpose: 'float' as const }))
    expect(offered()).toBe(false)
    rows.job = rows.job.map((one) => ({ ...one, purpose: 'live' as const }))
    step(rows, 'sole', 'sand', { state: 'done', doneAt: now - 1000 })
    expect(offered()).toBe(false)
  })

  it('ask for a part and a trade in half the time', () => {
    const rows = refit()
    step(rows, 'sole', 'screw', { hoursLikely: 2 })
    add(rows, 'part', 'planks', {
      name: 'Planks',
      jobId: 'sole',
      neededByStepId: 'screw',
      state: 'ordered',
      arrivesOn: '2027-05-21',
    })
    // They come on Friday the 21st: on Saturday the 22nd. From 30 April it is 21 days; half, rounded up, is 11 May.
    expect(gateDay(rows)).toBe('2027-05-22')
    const [part] = chainOf(rows).levers.filter((one) => one.key === 'part planks')
    expect(part?.label).toBe('Planks by Tue 11 May')
    const sooner = supposing(rows, part?.items(newId) ?? []) as ReturnType<typeof refit>
    expect(gateDay(sooner)).toBe('2027-05-15')
    rows.part = []
    add(rows, 'tradeBooking', 'joiner', {
      stepId: 'screw',
      trade: 'Joiner',
      from: '2027-05-12',
      to: '2027-05-13',
      state: 'booked',
    })
    const [trade] = chainOf(rows).levers.filter((one) => one.key === 'booking joiner')
    const asked = supposing(rows, trade?.items(newId) ?? []) as ReturnType<typeof refit>
    expect(asked.tradeBooking[0]).toMatchObject({ from: '2027-05-06', to: '2027-05-07' })
  })

  it('bring another pair of hands, who can do it and is not there anyway', () => {
    const rows = refit()
    person(rows, 'jo', [7], '08:00', '18:00')
    step(rows, 'sole', 'plane', { hoursLikely: 16, crewMax: 2 })
    // Ida alone: eight hours and a bit on two Saturdays. With Jo on Saturday it is done in one.
    const more = () => chainOf(rows).levers.find((one) => one.key.startsWith('more plane'))
    expect(gateDay(rows)).toBe('2027-05-08')
    expect(more()?.label).toBe('jo comes too on Sat 1 May')
    expect(gateDay(supposing(rows, more()?.items(newId) ?? []) as typeof rows)).toBe('2027-05-01')
    rows.step = rows.step.map((one) => ({ ...one, skill: 'mechanics' as const }))
    rows.person = rows.person.map((one) =>
      one.id === 'ida' ? { ...one, skills: ['mechanics' as const] } : one,
    )
    expect(more()).toBeUndefined()
  })

  it('give a job to a trade before it is begun, and coats to the shed', () => {
    const rows = refit()
    add(rows, 'place', 'barn', { name: 'Barn', kind: 'shed', travelMin: 0 })
    step(rows, 'sole', 'coat', {
      operation: 'varnish',
      hoursLikely: 9,
      waitKind: 'dry',
      waitHours: 20,
    })
    step(rows, 'sole', 'again', { operation: 'varnish', hoursLikely: 2, needsDry: true })
    const { levers } = chainOf(rows)
    const of = (key: string) => levers.find((one) => one.key === key)
    expect(of('trade sole')?.items(newId)).toMatchObject([
      { entity: 'job', id: 'sole', patch: { doBy: 'trade' } },
    ])
    expect(of('shed sole')?.items(newId)).toMatchObject([
      { id: 'coat', patch: { placeNeed: 'shed' } },
      { id: 'again', patch: { placeNeed: 'shed' } },
    ])
    rows.step = rows.step.map((one) =>
      one.id === 'coat' ? { ...one, state: 'done' as const } : one,
    )
    expect(chainOf(rows).levers.some((one) => one.key === 'trade sole')).toBe(false)
  })

  it('launch as soon as all is ready, on a day the yard does not lift, the stands moved earlier', () => {
    const rows = refit()
    add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', liftWeekdays: [5], travelMin: 0 })
    add(rows, 'haulOut', 'one', {
      name: 'One',
      placeId: 'yard',
      liftOutAimed: '2027-04-01',
      liftOutActual: '2027-04-01',
      launchAimed: '2027-06-04',
      launchWhen: 'notBeforeAim',
    })
    add(rows, 'gate', 'in', { name: 'Launch', kind: 'launch', haulOutId: 'one' })
    rows.job = rows.job.map((one) => ({ ...one, gateId: 'in', haulOutId: 'one' }))
    person(rows, 'jo', [5, 7], '08:00', '18:00')
    step(rows, 'sole', 'prime', { operation: 'bed', hoursLikely: 2 })
    step(rows, 'sole', 'stands', { operation: 'move', waitKind: 'calendar', waitHours: 24 })
    const inOn = (of: typeof rows) =>
      clock.dateOf(makePlan(of, now).plan.gates.find((one) => one.gateId === 'in')?.at ?? 0)
    const lever = (start: string) =>
      chainOf(rows, 'in').levers.find((one) => one.key.startsWith(start))
    expect(inOn(rows)).toBe('2027-06-04')
    const ready = lever('asReady one')
    expect(ready?.stepId).toBeNull()
    Object.assign(rows, supposing(rows, ready?.items(newId) ?? []))
    // Bedded on Friday the 30th, the stands a day later, and the yard lifts on Fridays: the 7th.
    expect(inOn(rows)).toBe('2027-05-07')
    expect(lever('lift yard')?.label).toBe('A lift on a Thursday')
    expect(lever('stands stands')?.items(newId)).toMatchObject([
      { id: 'stands', patch: { parallel: true } },
    ])
  })
})
