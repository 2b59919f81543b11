/** The lift, the ledger and the day by hand. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { LiftSheet, Person } from '../model/entities'
import { add, emptyRefit, job, step } from '../testing/build'
import { hourMs, minuteMs } from '../time/civil'
import { zoneClock } from '../time/zone'
import { launchDaySheet, liftSpan } from './launchDay'
import type { LaunchDayFacts } from './launchDay'
import { ledgerOf } from './ledger'
import { craneUse, slingSplit } from './lift'
import { stillWet, watchOf } from './watch'

const clock = zoneClock('UTC')
const value = <Value>(
  result: { ok: true; value: Value } | { ok: false; message: string },
): Value => {
  if (!result.ok) throw new Error(result.message)
  return result.value
}

describe('slings', () => {
  it('share 11.2 t at 3.90 and 8.90 m with the centre at 6.35: 5.71 and 5.49 t, legs 3.10 and 2.98', () => {
    const split = value(slingSplit(11.2, 3.9, 8.9, 6.35, 22.8))
    expect(split.foreT).toBeCloseTo(5.712, 3)
    expect(split.aftT).toBeCloseTo(5.488, 3)
    expect(split.foreLegT).toBeCloseTo(3.098, 3)
    expect(split.aftLegT).toBeCloseTo(2.977, 3)
  })
  it.each([
    [3.9, 8.9, 3.5, /3\.50 m from the stem, is not between the slings at 3\.90 and 8\.90/],
    [3.9, 8.9, 8.9, /not between/],
    [8.9, 3.9, 6, /swap them/],
  ])('at %d and %d with the centre at %d are refused', (x1, x2, xg, said) => {
    const split = slingSplit(10, x1, x2, xg, 20)
    expect(split.ok ? '' : split.message).toMatch(said)
  })
  it('carry all of her between them, each more the nearer the centre lies', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        (weight, share) => {
          const at = (where: number) => value(slingSplit(weight, 2, 8, 2 + 6 * where, 0))
          expect(at(share).foreT + at(share).aftT).toBeCloseTo(weight, 9)
          expect(at(share).foreT).toBeGreaterThan(at(share + 0.05).foreT)
        },
      ),
    )
  })
})

const sheet: Pick<LiftSheet, 'chart' | 'cranes' | 'setBackM' | 'fenderM' | 'gearT'> = {
  chart: [
    [4, 15],
    [5, 12.4],
    [6, 10.57],
  ],
  cranes: 1,
  setBackM: 2.6,
  fenderM: 0.3,
  gearT: 0.45,
}

describe('a crane', () => {
  it('is read at the next row out: 11.65 of 12.40 t at 4.75 m is 94 %; it may go back to 3.26 m', () => {
    const use = value(craneUse(sheet, 11.2, 3.7, null))
    expect(use).toMatchObject({ rowM: 5, rowT: 12.4 })
    expect(use.hookT).toBeCloseTo(11.65, 9)
    expect(use.radiusM).toBeCloseTo(4.75, 9)
    expect(use.share).toBeCloseTo(0.9395, 4)
    // 5 m + (12.40 − 11.65)/(12.40 − 10.57) = 5.410 m, less fender and half beam.
    expect(use.mostSetBackM).toBeCloseTo(3.26, 2)
  })
  it('shared by two takes its heavier end at three quarters of the chart', () => {
    const split = value(slingSplit(11.2, 3.9, 8.9, 6.35, 22.8))
    const use = value(craneUse({ ...sheet, cranes: 2 }, 11.2, 3.7, split))
    expect(use.hookT).toBeCloseTo(5.712 + 0.45, 3)
    expect(use.share).toBeCloseTo(6.162 / (0.75 * 12.4), 4)
  })
  it.each([
    [{ chart: [] }, /Type the rows/],
    [{ setBackM: null }, /how far the crane stands back/],
    [{ setBackM: 5 }, /ends at 6 m.*does not reach/],
  ])('with %j is refused with what is missing', (more, said) => {
    const use = craneUse({ ...sheet, ...more }, 11.2, 3.7, null)
    expect(use.ok ? '' : use.message).toMatch(said)
  })
  it('that cannot hold her at its nearest row has no set-back left', () => {
    expect(value(craneUse(sheet, 16, 3.7, null)).mostSetBackM).toBeNull()
  })
})

describe('the ledger', () => {
  const boat = () => {
    const rows = emptyRefit()
    Object.assign(rows.refit[0] as object, { lwlM: 10, beamM: 4, keel: 'fin', weightT: 9 })
    add(rows, 'haulOut', 'h', { name: 'h', liftOutAimed: '2027-04-01', launchAimed: '2027-06-01' })
    const lift = add(rows, 'liftSheet', 'l', {
      haulOutId: 'h',
      weightT: 10,
      weighedOn: '2027-04-01',
      centreM: 6,
      askedT: 10,
    })
    return { rows, lift }
  }
  it('adds up what moved since she was weighed, and where', () => {
    const { rows, lift } = boat()
    const kg = (id: string, more: object) =>
      add(rows, 'weightLine', id, { what: id, kg: 0, on: '2027-05-01', ...more })
    kg('before', { kg: 500, alongM: 1, on: '2027-03-01' })
    kg('anchor', { kg: 100, alongM: 1, acrossM: 0.5 })
    kg('unknown', { kg: -40 })
    add(rows, 'zone', 'mid', { name: 'Mid', along: 0.5 })
    job(rows, 'tank', { addsKg: 60, zoneId: 'mid' })
    step(rows, 'tank', 'in', { state: 'done', doneAt: Date.UTC(2027, 4, 2) })
    job(rows, 'not yet', { addsKg: 300 })
    step(rows, 'not yet', 'open')
    const found = ledgerOf(rows, lift, clock)
    expect(found.moves.map((one) => one.key)).toEqual(['anchor', 'unknown', 'job tank'])
    expect(found.movedKg).toBe(120)
    expect(found.weightT).toBeCloseTo(10.12, 9)
    // (10,000 × 6 + 100 × 1 + 60 × 6.096) ÷ 10,160; the one without a place is left out.
    expect(found.centreM).toBeCloseTo((60_000 + 100 + 60 * 6.096) / 10_160, 6)
    expect(found.withoutPlace).toBe(1)
    expect(found.heelKgM).toBe(50)
    // Waterline 10 × 4 × 0.67 m² = 26.8 m²: 0.2747 t to the centimetre.
    expect(found.sinkCm).toBeCloseTo(0.12 / 0.2747, 3)
    expect(found.sinceAskedT).toBeCloseTo(0.12, 9)
  })
  it('begins with her sizes where nobody weighed her', () => {
    const { rows } = boat()
    const found = ledgerOf(rows, null, clock)
    expect([found.startT, found.centreM, found.sinceAskedT]).toEqual([9, null, null])
  })
})

describe('the day', () => {
  const at = (hour: number, minute = 0) => Date.UTC(2027, 5, 5, hour, minute)
  const people = ['Ida', 'Per', 'Liv'].map((name) => ({ id: name, name }) as Person)
  const facts: LaunchDayFacts = {
    water: [at(10), at(11, 44)],
    waterHigh: [at(10), at(11, 34)],
    liftsFrom: at(10),
    bookedAt: null,
    openings: 9,
    travelMin: 60,
    people,
    hasEngine: true,
  }
  it('is counted from the water: slings on at 10, in at 10:35, away 11:15, 29 minutes in hand', () => {
    const sheet = value(launchDaySheet(facts))
    expect(sheet.inAt).toBe(at(10, 35))
    expect(sheet.awayAt).toBe(at(11, 15))
    expect(sheet.leaveAt).toBe(at(7))
    expect([sheet.spareMin, sheet.spareHighMin]).toEqual([29, 19])
    const looks = sheet.parts.filter((one) => one.looks)
    expect(looks.map((one) => [one.from, one.to])).toEqual(
      looks.map(() => [at(10, 40), at(10, 55)]),
    )
    expect(looks.flatMap((one) => one.lanes)).toEqual(['lead', 'second', 'quay', 'driver'])
  })
  it('swings her out before the water is there, and lowers her into it', () => {
    const sheet = value(launchDaySheet({ ...facts, water: [at(14, 23), at(16)], waterHigh: null }))
    expect(sheet.inAt).toBe(at(14, 23))
    expect(sheet.parts.find((one) => one.what === 'Slings on')?.from).toBe(at(13, 48))
    expect(sheet.spareHighMin).toBeNull()
  })
  it('takes longer to look where there is more to look at, and fewer lanes where fewer come', () => {
    const sheet = value(launchDaySheet({ ...facts, openings: 15, people: people.slice(0, 1) }))
    // 15 × 1.6 = 24, to the next five minutes.
    expect(sheet.awayAt).toBe(at(11, 25))
    expect(sheet.people.second).toBeNull()
    expect(new Set(sheet.parts.flatMap((one) => one.lanes))).toEqual(new Set(['lead', 'driver']))
  })
  it('can be moved from the first lift to the last from which she gets away', () => {
    // 15 + 20 + 5 + 15 + 5 + 15 minutes from the slings to away.
    expect(liftSpan(facts)).toEqual([at(10), at(10, 29)])
    expect(liftSpan({ ...facts, water: [at(14, 23), at(16)] })).toEqual([at(13, 48), at(14, 45)])
    expect(liftSpan({ ...facts, water: [at(10), at(11, 14)] })).toBeNull()
    const last = value(launchDaySheet({ ...facts, bookedAt: at(10, 29) }))
    expect([last.inAt, last.awayAt, last.spareMin]).toEqual([at(11, 4), at(11, 44), 0])
    expect(launchDaySheet({ ...facts, bookedAt: at(10, 30) }).ok).toBe(false)
  })
  it('is refused with nobody there, and with too little water', () => {
    const none = launchDaySheet({ ...facts, people: [] })
    expect(none.ok ? '' : none.message).toMatch(/^Nobody of the boat is there/)
    const short = launchDaySheet({ ...facts, water: [at(10), at(11, 10)] })
    expect(short.ok ? '' : short.message).toMatch(/takes 40 minutes, and the water is there for 35/)
  })
  it('never has two things for one person at once, and nobody is aboard while she hangs', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 0, max: 600 }),
        (openings, many, late) => {
          const water = [at(6) + late * minuteMs, at(23)] as const
          const sheet = launchDaySheet({ ...facts, openings, people: people.slice(0, many), water })
          if (!sheet.ok) return
          for (const lane of ['lead', 'second', 'quay', 'driver'] as const) {
            const own = sheet.value.parts
              .filter((one) => one.lanes.includes(lane))
              .sort((a, b) => a.from - b.from)
            own
              .slice(1)
              .forEach((one, index) => expect(one.from).toBeGreaterThanOrEqual(own[index]?.to ?? 0))
          }
          expect(sheet.value.inAt).toBeGreaterThanOrEqual(water[0])
          expect(sheet.value.awayAt).toBeLessThanOrEqual(water[1])
        },
      ),
    )
  })
})

describe('the watch', () => {
  const boat = () => {
    const rows = emptyRefit()
    add(rows, 'haulOut', 'h', { name: 'h', liftOutAimed: '2027-04-01', launchAimed: '2027-06-01' })
    add(rows, 'hullOpening', 'aft', { title: 'Aft', along: 0.1, order: 'a' })
    add(rows, 'hullOpening', 'fore', { title: 'Fore', along: 0.9, order: 'b' })
    return rows
  }
  const look = (
    rows: ReturnType<typeof boat>,
    id: string,
    what: string,
    at: number,
    more: object = {},
  ) => add(rows, 'watchLook', id, { haulOutId: 'h', what, at, ...more })
  it('goes bow to stern, and counts on from the first look with the slings slack', () => {
    const rows = boat()
    expect(watchOf(rows, 'h', null).map((one) => one.dueAt)).toEqual([null, null, null, null, null])
    look(rows, 'one', 'opening fore', 1000 * hourMs)
    look(rows, 'two', 'opening aft', 1001 * hourMs)
    const knots = watchOf(rows, 'h', 5)
    expect(knots[0]?.things.map((one) => one.title)).toEqual(['Fore', 'Aft'])
    expect(knots.map((one) => one.dueAt && one.dueAt / hourMs - 1000)).toEqual([0, 0, 1, 24, 168])
    expect(knots.map((one) => one.done)).toEqual([2, 0, 0, 0, 0])
  })
  it('asks after gland and gaps only where there is a shaft', () => {
    const rows = boat()
    const asked = () => watchOf(rows, 'h', 0).flatMap((one) => one.things.map((each) => each.what))
    expect(asked()).not.toContain('gland')
    add(rows, 'hullOpening', 'shaft', { title: 'Shaft', kind: 'shaft', order: 'c' })
    expect(asked()).toEqual(expect.arrayContaining(['gland', 'vent', 'gaps']))
  })
  it('is wet until a later look at the same opening was dry', () => {
    const rows = boat()
    look(rows, 'one', 'opening fore', 10, { outcome: 'weeps' })
    look(rows, 'two', 'opening aft', 11, { outcome: 'runs' })
    look(rows, 'three', 'opening fore', 12, { moment: 'hour' })
    expect(stillWet(rows, 'h').map((one) => one.id)).toEqual(['two'])
  })
})
