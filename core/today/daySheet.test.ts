/** The day sheet and its weather, worked out by hand from one Saturday. */
import { describe, expect, it } from 'vitest'
import type { WeatherHour } from '../cure/dewPoint'
import { makePlan } from '../plan/makePlan'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { zoneClock } from '../time/zone'
import { daySheet } from './daySheet'
import { asSaid, fitWindows } from './fitWindow'

const clock = zoneClock('UTC')
const friday = Date.UTC(2027, 3, 16, 12)
const saturday = '2027-04-17'
const at = (hours: number) => Date.UTC(2027, 3, 17) + hours * 3_600_000

/** Fit from 10:00 to 16:00: colder before, within 3 °C of dew after. */
const weather: WeatherHour[] = Array.from({ length: 24 }, (_, hour) => ({
  at: at(hour),
  tempC: hour < 10 ? 8 : 14,
  dewC: hour < 16 ? 5 : 12,
  rain: false,
}))

function saturdayRefit() {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  add(rows, 'place', 'yard', {
    name: 'Yard',
    kind: 'yard',
    travelMin: 0,
    setUpMin: 30,
    packUpMin: 30,
  })
  add(rows, 'place', 'berth', {
    name: 'Berth',
    kind: 'berth',
    travelMin: 0,
    setUpMin: 30,
    packUpMin: 30,
  })
  add(rows, 'zone', 'deck', { name: 'Foredeck', order: 'b' })
  add(rows, 'zone', 'cabin', { name: 'Cabin', order: 'c' })
  job(rows, 'Deck', { zoneId: 'deck', purpose: 'float', severity: 4, pinnedRank: 1 })
  step(rows, 'Deck', 'plies', {
    operation: 'laminate',
    hoursLikely: 3,
    minTempC: 10,
    waitKind: 'moisture',
    waitHours: 20,
  })
  step(rows, 'Deck', 'sand it', { operation: 'grind', hoursLikely: 1 })
  job(rows, 'Grind', { zoneId: 'deck' })
  step(rows, 'Grind', 'dusty', { operation: 'grind', hoursLikely: 1, notBefore: '2027-04-24' })
  job(rows, 'Lids', { zoneId: 'cabin' })
  step(rows, 'Lids', 'hinges', { operation: 'fit', hoursLikely: 1, notBefore: '2027-04-24' })
  job(rows, 'Panels', { zoneId: 'cabin' })
  step(rows, 'Panels', 'carry', { operation: 'fit', hoursLikely: 2, crewMin: 2, crewMax: 2 })
  person(rows, 'Ben', [7], '08:00', '16:00')
  add(rows, 'bringLine', 'cloth', {
    stepId: 'plies',
    what: 'Cloth',
    amount: '2 m',
    at: 'shed',
    order: 'b',
  })
  add(rows, 'bringLine', 'resin', {
    stepId: 'plies',
    what: 'Resin',
    amount: '1 kg',
    at: 'boat',
    order: 'c',
  })
  return rows
}
const sheetOf = (rows: ReturnType<typeof saturdayRefit>, hours: readonly WeatherHour[]) =>
  daySheet(
    rows,
    makePlan(rows, friday).plan,
    { on: saturday, placeNeed: 'boat', personIds: ['Ann'], weather: hours },
    clock,
  )

describe('the day sheet', () => {
  it('frames the work with set-up and pack-up, and says what cures overnight', () => {
    const sheet = sheetOf(saturdayRefit(), [])
    expect(sheet.lines.map((line) => [line.kind, line.from, line.to])).toEqual([
      ['setUp', at(8), at(8.5)],
      ['work', at(8.5), at(11.5)],
      ['packUp', at(11.5), at(12)],
    ])
    // 11:30 and 20 h of waiting: 07:30 on Sunday.
    expect(sheet.overnight.map((line) => line.waitUntil)).toEqual([Date.UTC(2027, 3, 18, 7, 30)])
    expect(sheet.lines[1]?.caution).toMatch(/no bare skin/)
  })

  it('takes along the bags and parts the day wants, with where they are', () => {
    const rows = saturdayRefit()
    const bag = (code: string, storedAt: string, state: 'stored' | 'fitted' = 'stored') =>
      add(rows, 'bag', code, {
        code,
        what: 'Frame',
        storedAt,
        state,
        wantedByStepId: 'plies',
        order: code,
      })
    bag('b1', 'Shed, shelf 2')
    bag('b2', '')
    bag('b3', 'Aboard', 'fitted')
    const part = (id: string, state: 'wanted' | 'ordered' | 'fitted') =>
      add(rows, 'part', id, { name: id, quantity: 2.5, unit: 'kg', state, neededByStepId: 'plies' })
    part('Resin', 'wanted')
    part('Mat', 'ordered')
    part('Tape', 'fitted')
    const take = sheetOf(rows, []).take.map((line) => `${line.what} ${line.amount}: ${line.at}`)
    expect(take).toEqual([
      'Bag b1, Frame : Shed, shelf 2',
      'Bag b2, Frame : nobody knows where',
      'Cloth 2 m: in the shed',
      'Resin 2.5 kg: to buy',
      'Mat 2.5 kg: ordered, not here yet',
    ])
  })

  it('says from when it is fit, and by when it must be done', () => {
    const early = sheetOf(saturdayRefit(), weather).lines[1]?.limit
    expect(early).toEqual({ at: at(10), why: 'not before 10:00: under 10 °C', missed: true })
    const warm = weather.map((hour) => ({ ...hour, tempC: 14 }))
    expect(sheetOf(saturdayRefit(), warm).lines[1]?.limit).toEqual({
      at: at(16),
      why: 'done by 16:00: dew',
      missed: false,
    })
    const wet = sheetOf(
      saturdayRefit(),
      weather.map((hour) => ({ ...hour, tempC: 4 })),
    )
    expect(wet.lines[1]?.limit?.why).toMatch(/^not today/)
  })

  it('offers short work for the same people, no dust where something is wet', () => {
    const offered = sheetOf(saturdayRefit(), []).whileItCures.map((one) => one.id)
    expect(offered).toEqual(['hinges'])
  })

  it('lists what is elsewhere, and keeps for more hands what one cannot do', () => {
    const sheet = sheetOf(saturdayRefit(), [])
    expect(sheet.take.map((line) => [line.what, line.amount, line.at])).toEqual([
      ['Cloth', '2 m', 'in the shed'],
    ])
    expect(sheet.forHelpers.map(({ step: one, why }) => [one.id, why])).toEqual([
      ['carry', 'needs 2 at once'],
    ])
  })
})

describe('weather', () => {
  it('is fit in one stretch from ten to four', () => {
    expect(fitWindows(weather, 10, false)).toEqual([[at(10), at(16)]])
  })

  it('is bent to what a person says, the damp with it', () => {
    // 8 and 14 °C become 10 and 20: 14 is bent to 20, and its dew point from 5 to 11.
    const said = asSaid(weather, { lowC: 10, highC: 20, rain: false })
    expect(said[0]).toMatchObject({ tempC: 10, dewC: 7 })
    expect(said[12]).toMatchObject({ tempC: 20, dewC: 11 })
    expect(
      asSaid(weather, { lowC: null, highC: null, rain: true }).every((hour) => hour.rain),
    ).toBe(true)
  })
})
