/** Cures as they let work go on: sealants by their sheet, bare metal, cores that dry by readings. Dates and hours by hand. */
import { describe, expect, it } from 'vitest'
import { judgePlan } from '../../tests/judge/judgePlan'
import { throughCuredH } from '../cure/stages'
import type { Step } from '../model/entities'
import { add, emptyRefit, job, person, step } from '../testing/build'
import type { Building } from '../testing/build'
import { zoneClock } from '../time/zone'
import { bindingChain } from './chain'
import { makePlan } from './makePlan'
import { Waits } from './waits'

/** Saturday 17 April 2027. */
const now = Date.UTC(2027, 3, 17)
const clock = zoneClock('UTC')
const at = (text: string) => Date.parse(`2027-${text}:00Z`)
const hour = 3_600_000

/** Ann comes every day from 8 to 18; nothing to drive, nothing to set up. */
function everyDay(): Building {
  const rows = emptyRefit()
  person(rows, 'Ann', [1, 2, 3, 4, 5, 6, 7], '08:00', '18:00')
  add(rows, 'place', 'berth', { name: 'B', kind: 'berth', setUpMin: 0, packUpMin: 0 })
  add(rows, 'product', 'sealant', {
    name: 'Sealant',
    skinH: 1,
    lightH: 12,
    waterH: 168,
    firstDayMm: 2,
  })
  return rows
}
const bed = { operation: 'bed', waitKind: 'moisture', waitHours: 72, productId: 'sealant' } as const
function planOf(rows: Building) {
  const { plan } = makePlan(rows, now)
  expect(judgePlan(rows, plan)).toEqual([])
  return plan
}
const startOf = (rows: Building, id: string) => {
  const found = planOf(rows).placements.find((one) => one.stepId === id)?.segments[0]?.[0]
  return found === undefined ? undefined : new Date(found).toISOString().slice(5, 16)
}

describe('a sealant', () => {
  it.each([
    // Bedded from 8 to 9 on the 17th.
    ['skin', null, '04-17T10:00'],
    // Twelve hours end in the night.
    ['light', null, '04-18T08:00'],
    // The sheet says nothing of load: three days stand, or 24 · (3/2)² = 54 h from its depth.
    ['load', null, '04-20T09:00'],
    ['load', 3, '04-19T15:00'],
    ['cured', null, '04-20T09:00'],
    // Cured through at 4 mm takes 96 h, longer than the wait says.
    ['cured', 4, '04-21T09:00'],
  ] as const)('lets what wants %s (bed %s mm deep) begin at %s', (once, bedDepthMm, expected) => {
    const rows = everyDay()
    job(rows, 'Rail')
    step(rows, 'Rail', 'bed', { ...bed, bedDepthMm })
    step(rows, 'Rail', 'next', { beginsOnce: once })
    expect(startOf(rows, 'next')).toBe(expected)
  })

  it('lets another job begin as its link says', () => {
    const rows = everyDay()
    for (const id of ['Rail', 'Wires']) job(rows, id)
    step(rows, 'Rail', 'bed', bed)
    step(rows, 'Wires', 'next', { beginsOnce: 'light' })
    add(rows, 'link', 'l', { fromJobId: 'Rail', toJobId: 'Wires', once: 'skin' })
    expect(startOf(rows, 'next')).toBe('04-17T10:00')
  })

  it('keeps her ashore until what lies under water takes water, and says so', () => {
    const rows = everyDay()
    add(rows, 'place', 'yard', { name: 'Y', kind: 'yard', setUpMin: 0, packUpMin: 0 })
    add(rows, 'haulOut', 'out', {
      name: 'Out',
      placeId: 'yard',
      liftOutAimed: '2027-04-10',
      liftOutActual: '2027-04-10',
      launchAimed: '2027-04-18',
      launchWhen: 'asReady',
    })
    add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'out' })
    job(rows, 'Valve', { gateId: 'launch' })
    step(rows, 'Valve', 'bed', { ...bed, hullNeed: 'ashore' })
    const launchOf = () => planOf(rows).launches[0]?.at
    // A week from nine o'clock; the crane lifts at nine.
    expect(launchOf()).toBe(at('04-24T09:00'))
    const plan = planOf(rows)
    const [first] = bindingChain(plan, rows, 'launch', clock)
    expect(first?.why).toContain('takes water from')
    rows.step[0] = { ...(rows.step[0] as Step), hullNeed: 'either' }
    expect(launchOf()).toBe(at('04-20T09:00'))
    // Done on the 10th at noon: the week is over on the 17th at noon.
    rows.step[0] = {
      ...(rows.step[0] as Step),
      hullNeed: 'ashore',
      state: 'done',
      doneAt: at('04-10T12:00'),
    }
    expect(launchOf()).toBe(at('04-18T09:00'))
  })

  it('refuses depths of nothing', () => {
    expect(throughCuredH(3, 2)).toBe(54)
    expect(() => throughCuredH(0, 2)).toThrow(RangeError)
  })
})

describe('bare metal', () => {
  /** Hours of 17 April from 8 on: damp where there is a d, rain where there is an r. */
  const withAir = (damp: string) => {
    const rows = everyDay()
    job(rows, 'Rudder')
    step(rows, 'Rudder', 'grind', {
      operation: 'grind',
      windowKind: 'bareMetal',
      maxWaitHours: 4,
      hoursLikely: 2,
    })
    step(rows, 'Rudder', 'prime', { operation: 'fit' })
    add(rows, 'forecast', 'f', {
      takenAt: now,
      hours: [...damp].map((one, index) => ({
        at: at('04-17T08:00') + index * hour,
        tempC: 12,
        dewC: one === 'd' ? 10 : 5,
        rain: one === 'r',
      })),
    })
    return rows
  }
  it.each([
    ['dry air', '........', '04-17T14:00'],
    // Two damp hours use up four.
    ['damp air', '..dd....', '04-17T12:00'],
    // One uses up two: two are left from eleven on.
    ['an hour of damp', '..d.....', '04-17T13:00'],
    ['an hour of rain', '..r.....', '04-17T13:00'],
    ['the end of the forecast', '..d', '04-17T13:00'],
  ])('goes off in %s', (_, damp, expected) => {
    const rows = withAir(damp)
    const waits = new Waits(rows, clock)
    const shuts = waits.shuts(rows.step[0] as Step, at('04-17T10:00'), 4)
    expect(new Date(shuts).toISOString().slice(5, 16)).toBe(expected)
  })

  it('is etched again where nobody came in time, and bonds are keyed', () => {
    const rows = withAir('')
    Object.assign(rows.step[0] as object, { state: 'done', doneAt: at('04-16T16:00') })
    expect(planOf(rows).placements.at(-1)?.mends).toMatchObject([{ kind: 'etching', hours: 0.5 }])
    Object.assign(rows.step[0] as object, { windowKind: 'bond' })
    expect(planOf(rows).placements.at(-1)?.mends).toMatchObject([{ kind: 'keying', hours: 0.5 }])
  })
})

describe('a core that dries', () => {
  const drying = (...read: readonly (readonly [string, number])[]) => {
    const rows = everyDay()
    job(rows, 'Deck')
    step(rows, 'Deck', 'open', {
      state: 'done',
      doneAt: at('04-01T12:00'),
      waitKind: 'dry',
      waitHours: 480,
      readWhat: 'Moisture',
      readUnit: '%',
      readHigh: 14,
      readDry: 10,
    })
    step(rows, 'Deck', 'close')
    for (const [on, value] of read)
      add(rows, 'reading', on, { stepId: 'open', what: 'Moisture', value, at: at(`${on}T12:00`) })
    return rows
  }
  it('waits as guessed until it is read', () => {
    // Twenty days from the 1st at noon.
    expect(startOf(drying(), 'close')).toBe('04-21T12:00')
  })
  it('waits for the day that the readings give', () => {
    // Over the reference 20, 10, 5: it halves in five days, and is at 4 after 5 · log₂ 5 = 11.6 days.
    const rows = drying(['04-06', 30], ['04-11', 20], ['04-16', 15])
    expect(startOf(rows, 'close')).toBe('04-18T08:00')
  })
  it('goes on at once when it passes', () => {
    expect(startOf(drying(['04-06', 30], ['04-16', 14]), 'close')).toBe('04-17T08:00')
  })
  it('waits half as long again where readings give no day', () => {
    // 240 h from the 16th at noon.
    expect(startOf(drying(['04-11', 30], ['04-16', 29]), 'close')).toBe('04-26T12:00')
    expect(startOf(drying(['04-06', 20], ['04-11', 20], ['04-16', 21]), 'close')).toBe(
      '04-26T12:00',
    )
    // Nor without a dry reference: 14 on the 16th would let it go on, 15 does not.
    const wet = drying(['04-06', 30], ['04-11', 20], ['04-16', 15])
    Object.assign(wet.step[0] as object, { readDry: null })
    expect(startOf(wet, 'close')).toBe('04-26T12:00')
  })
})

describe('odd wishes', () => {
  it('are had in the slings on a Saturday, though a yard works from Monday to Friday', () => {
    const rows = everyDay()
    const here = { setUpMin: 0, packUpMin: 0 }
    add(rows, 'place', 'yard', { name: 'Y', kind: 'yard', ...here })
    add(rows, 'haulOut', 'out', {
      name: 'Out',
      placeId: 'yard',
      liftOutAimed: '2027-04-03',
      liftOutActual: '2027-04-03',
      launchAimed: '2027-04-24',
    })
    add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'out' })
    job(rows, 'Look', { gateId: 'launch' })
    step(rows, 'Look', 'diver', { operation: 'contract', hoursLikely: 0, hullNeed: 'slings' })
    expect(startOf(rows, 'diver')).toBe('04-24T09:00')
  })

  it('are not a night aboard that wins nothing: the day before is free for the shed', () => {
    const rows = everyDay()
    rows.place[0] = { ...rows.place[0]!, nights: 'aboard' }
    add(rows, 'place', 'shed', { name: 'S', kind: 'shed', setUpMin: 0, packUpMin: 0 })
    job(rows, 'Deck', { pinnedRank: 1 })
    step(rows, 'Deck', 'sand', { hoursLikely: 8, notBefore: '2027-04-18' })
    job(rows, 'Shelf', { pinnedRank: 2 })
    step(rows, 'Shelf', 'saw', { hoursLikely: 8, placeNeed: 'shed' })
    expect(startOf(rows, 'sand')).toBe('04-18T08:00')
    expect(startOf(rows, 'saw')).toBe('04-17T08:00')
    // With an hour of setting up to be saved the night is worth it, and keeps the day for the boat.
    rows.place[0] = { ...rows.place[0]!, setUpMin: 60 }
    expect(startOf(rows, 'saw')).not.toBe('04-17T08:00')
  })
  it('are said where a coat is kept for one who cannot do it', () => {
    const rows = everyDay()
    job(rows, 'Deck')
    step(rows, 'Deck', 'ply', { operation: 'laminate', maxWaitHours: 48 })
    step(rows, 'Deck', 'coat', { skill: 'electrics', wantedPersonId: 'Ann' })
    const plan = planOf(rows)
    expect(plan.placements.map((one) => one.stepId)).toEqual(['ply'])
    expect(plan.reasons.flatMap((one) => one.stepIds)).toEqual(['coat'])
  })
})
