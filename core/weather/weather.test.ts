/** Weather at the work, by hand: sun and night, covers and heat, hours that forbid, and the plan that keeps to them. */
import { draws } from '../../tests/draws'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { WeatherHour } from '../cure/dewPoint'
import { makePlan } from '../plan/makePlan'
import { Waits } from '../plan/waits'
import { daySheet } from '../today/daySheet'
import { add, emptyRefit, job, person, step } from '../testing/build'
import type { Building } from '../testing/build'
import { zoneClock } from '../time/zone'
import { oddNow, oddRefit } from '../../tests/judge/oddRefit'
import { feltAt } from './felt'
import { against } from './need'
import { siteReader } from './site'
import { sunShare } from './sun'
import { Weather } from './weather'

const clock = zoneClock('UTC')
const day = Date.UTC(2027, 5, 21)
const at = (hour: number) => day + hour * 3_600_000
const fine = (hour: number): WeatherHour => ({ at: at(hour), tempC: 16, dewC: 8, rain: false })

/** One job on the foredeck and one below, each with a step. */
function refit(): Building {
  const rows = emptyRefit()
  add(rows, 'zone', 'deck', { name: 'Foredeck', strake: 'deck', order: 'a' })
  add(rows, 'zone', 'cabin', { name: 'Cabin', strake: 'below', order: 'b' })
  job(rows, 'Deck', { zoneId: 'deck' })
  step(rows, 'Deck', 'paint', { operation: 'paint', hoursLikely: 2, needsDry: true, minTempC: 10 })
  job(rows, 'Cabin', { zoneId: 'cabin' })
  step(rows, 'Cabin', 'varnish', { operation: 'varnish', hoursLikely: 2, needsDry: true })
  return rows
}
const weatherOf = (rows: Building, hours: readonly WeatherHour[]) => {
  rows.forecast = []
  add(rows, 'forecast', 'f', { station: 'S', takenAt: day, hours: [...hours] })
  return new Weather(rows, clock)
}
const stepOf = (rows: Building, id: string) => rows.step.find((one) => one.id === id)!

describe('the sun', () => {
  it('stands at its noon share by sin(height): 21 June at 52° north', () => {
    // Declination 23.45°. Noon height 61.45°, its sine 0.8784; at 18:00 sin 52° sin 23.45° = 0.3136.
    expect(sunShare(at(12), 52, 0)).toBeCloseTo(1, 4)
    expect(sunShare(at(18), 52, 0)).toBeCloseTo(0.3136 / 0.8784, 3)
    expect(sunShare(at(0), 52, 0)).toBeLessThan(0)
    // Fifteen degrees east the sun is an hour earlier.
    expect(sunShare(at(11), 52, 15)).toBeCloseTo(1, 4)
  })
})

describe('an hour at the work', () => {
  const here = { latitudeDeg: 52, longitudeDeg: 0 }
  const siteOf = (colour: 'white' | 'dark' | null, rows = refit()) => {
    rows.zone[0] = { ...rows.zone[0]!, colour }
    return siteReader(rows, clock)(stepOf(rows, 'paint'))
  }
  const noon = { ...fine(12), cloud: 0 }
  it('is lifted by full sun at noon: dark by 20 °C, white by 5, half of it under half a sky', () => {
    expect(feltAt(noon, siteOf('dark'), here).surfaceC).toBeCloseTo(36, 3)
    expect(feltAt(noon, siteOf('white'), here).surfaceC).toBeCloseTo(21, 3)
    expect(feltAt({ ...noon, cloud: 0.5 }, siteOf('dark'), here).surfaceC).toBeCloseTo(26, 3)
    expect(feltAt(noon, siteOf(null), here).surfaceC).toBe(16)
    // A sky that nobody reported lifts nothing.
    expect(feltAt(fine(12), siteOf('dark'), here).surfaceC).toBe(16)
    expect(feltAt(noon, siteOf('dark'), null).surfaceC).toBe(16)
  })
  it('falls 3 °C under the air on a clear night, on deck and not below', () => {
    const night = { ...fine(1), cloud: 0 }
    expect(feltAt(night, siteOf('white'), here).surfaceC).toBe(13)
    const rows = refit()
    const below = siteReader(rows, clock)(stepOf(rows, 'varnish'))
    expect(feltAt(night, below, here).surfaceC).toBe(16)
  })
  it('has neither rain nor sun under a cover, and is warmer by its heat while it stands', () => {
    const rows = refit()
    add(rows, 'cover', 'tent', {
      title: 'Tent',
      kind: 'tent',
      zoneIds: ['deck'],
      upOn: '2027-06-21',
      downOn: '2027-06-22',
      addsC: 4,
    })
    const site = siteOf('dark', rows)
    const wet = { ...noon, rain: true }
    expect(feltAt(wet, site, here)).toMatchObject({ airC: 20, surfaceC: 20, rain: false })
    const later = feltAt({ ...wet, at: at(48) }, site, here)
    expect(later).toMatchObject({ airC: 16, rain: true })
    // Heat alone keeps no rain off.
    rows.cover[0] = { ...rows.cover[0]!, kind: 'heat' }
    expect(feltAt(wet, siteOf(null, rows), here)).toMatchObject({ airC: 20, rain: true })
  })
  it('is a cover until its strike step is done, where that comes before its last day', () => {
    const rows = refit()
    add(rows, 'cover', 'tent', {
      title: 'T',
      zoneIds: ['deck'],
      upOn: '2027-06-20',
      strikeStepId: 'off',
    })
    step(rows, 'Deck', 'off', { state: 'done', doneAt: at(10) })
    const site = siteOf(null, rows)
    expect(feltAt({ ...fine(9), rain: true }, site, here).rain).toBe(false)
    expect(feltAt({ ...fine(10), rain: true }, site, here).rain).toBe(true)
  })
})

describe('an hour against the work', () => {
  const need = { minTempC: 10, maxTempC: 25, dry: true, dewMargin: true }
  const felt = { at: 0, airC: 12, surfaceC: 12, dewC: 9, rain: false }
  it('is cold by the colder, hot by the surface, wet, or within 3 °C of dew', () => {
    expect(against(felt, need)).toBeNull()
    expect(against({ ...felt, airC: 9.9, surfaceC: 20 }, need)).toBe('cold')
    expect(against({ ...felt, airC: 12, surfaceC: 9.9 }, need)).toBe('cold')
    expect(against({ ...felt, surfaceC: 25.1 }, need)).toBe('hot')
    expect(against({ ...felt, rain: true }, need)).toBe('rain')
    expect(against({ ...felt, rain: true }, { ...need, dry: false })).toBeNull()
    expect(against({ ...felt, dewC: 9.1 }, need)).toBe('dew')
    expect(against({ ...felt, dewC: 9.1 }, { ...need, dewMargin: false })).toBeNull()
  })
})

describe('what the forecast forbids', () => {
  const showers = Array.from({ length: 24 }, (_, hour) => ({
    ...fine(hour),
    rain: hour === 12 || hour === 13,
  }))
  it('is the shower, and the hours before it in which paint would not get touch-dry', () => {
    const rows = refit()
    const weather = weatherOf(rows, showers)
    // Paint without a cure named takes three hours to touch-dry.
    expect(weather.forbidden(stepOf(rows, 'paint'))).toMatchObject([
      { from: at(12), to: at(14), why: 'rain', doneBy: at(9) },
    ])
    expect(weather.forbidden(stepOf(rows, 'varnish'))).toEqual([])
  })
  it('is believed for seven days from when it was asked', () => {
    const long = Array.from({ length: 9 * 24 }, (_, hour) => fine(hour))
    const weather = weatherOf(refit(), long)
    expect([weather.hours.length, weather.until]).toEqual([7 * 24, at(7 * 24)])
  })
  it('is dated for a cure: 6 h at 20 °C, at 16 °C 7.9, a third of it 2 h 38', () => {
    const rows = refit()
    Object.assign(rows.step[0] as object, { waitKind: 'chem', waitHours: 6 })
    const [shower] = weatherOf(rows, showers).forbidden(stepOf(rows, 'paint'))
    expect(((shower?.from ?? 0) - (shower?.doneBy ?? 0)) / 3_600_000).toBeCloseTo(
      (6 * 2 ** 0.4) / 3,
      6,
    )
  })
})

describe('the plan in the weather', () => {
  it('puts paint before the shower or after it, indoor work into it, and heat makes a cold day fit', () => {
    const rows = refit()
    person(rows, 'Ann', [1], '08:00', '18:00')
    add(rows, 'place', 'berth', { name: 'B', kind: 'berth', setUpMin: 0, packUpMin: 0 })
    const hours = Array.from({ length: 9 * 24 }, (_, hour) => ({
      ...fine(hour),
      rain: hour === 10,
    }))
    add(rows, 'forecast', 'f', { station: 'S', takenAt: day, hours })
    const startOf = (id: string) =>
      makePlan(rows, day).plan.placements.find((one) => one.stepId === id)
    // Rain at ten: paint of 2 h and 3 h of drying does not fit from eight, so from eleven; the cabin comes first.
    expect(startOf('paint')?.segments).toEqual([[at(11), at(13)]])
    expect(startOf('varnish')?.segments[0]?.[0]).toBe(at(8))
    expect(startOf('paint')?.binding).toMatchObject({
      kind: 'forecast',
      from: at(8),
      until: at(11),
    })
    rows.forecast[0] = {
      ...rows.forecast[0]!,
      hours: hours.map((hour) => ({ ...hour, tempC: 8, dewC: 0 })),
    }
    // Too cold the whole week; nine of ten June days suit, so it waits for the Monday after it.
    expect(startOf('paint')?.segments[0]?.[0]).toBe(at(7 * 24 + 8))
    add(rows, 'cover', 'c', {
      title: 'Heat',
      kind: 'heat',
      zoneIds: ['deck'],
      upOn: '2027-06-21',
      addsC: 3,
    })
    expect(startOf('paint')?.segments[0]?.[0]).toBe(at(11))
  })

  it('is the day sheet: no step stands before an hour that forbids it, on any day of any refit', () => {
    fc.assert(
      fc.property(fc.nat(1_000_000), (seed) => {
        const rows = oddRefit(seed, 12)
        const zone = zoneClock(rows.refit[0]!.zone)
        const { plan } = makePlan(rows, oddNow)
        const waits = new Waits(rows, zone)
        for (let ahead = 0; ahead < 7; ahead++) {
          const on = zone.dateOf(oddNow + ahead * 86_400_000)
          const personIds = rows.person.map((one) => one.id)
          const sheet = daySheet(rows, plan, { on, placeNeed: 'boat', personIds }, waits, zone)
          for (const line of sheet.lines) {
            const ours = line.personIds.length > 0 && line.step?.hullNeed !== 'slings'
            if (ours) expect([line.step?.id, line.against]).toEqual([line.step?.id, ''])
            if (line.limit && ours) expect(line.to).toBeLessThanOrEqual(line.limit.at)
          }
        }
      }),
      { numRuns: draws(25) },
    )
  })
})
