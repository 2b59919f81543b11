/** Levers on a chain by hand: what is offered, and that the plan laid with it is what it says. */
import { describe, expect, it } from 'vitest'
import { supposing } from '../model/applyChange'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { zoneClock } from '../time/zone'
import { bindingChain } from './chain'
import { chainLevers } from './chainLevers'
import { makePlan } from './makePlan'

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
const chainOf = (rows: ReturnType<typeof refit>) => {
  const plan = makePlan(rows, now).plan
  const ids = bindingChain(plan, rows, 'aboard', clock).flatMap((link) => link.stepId ?? [])
  return { plan, levers: chainLevers(rows, plan, clock, ids) }
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
      return chainLevers(rows, plan, clock, ['plane']).some((one) => one.key === 'next sole')
    }
    expect(offered()).toBe(true)
    rows.job = rows.job.map((one) => ({ ...one, purpose: 'float' as const }))
    expect(offered()).toBe(false)
    rows.job = rows.job.map((one) => ({ ...one, purpose: 'live' as const }))
    step(rows, 'sole', 'sand', { state: 'done', doneAt: now - 1000 })
    expect(offered()).toBe(false)
  })
})
