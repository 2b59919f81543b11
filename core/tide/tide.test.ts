/** Heights against a second implementation, windows by hand, tides as people type them. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { knownDemo } from '../../demo/known'
import { add, emptyRefit } from '../testing/build'
import { hourMs, minuteMs } from '../time/civil'
import { zoneClock } from '../time/zone'
import { readConstituents, readTurns } from './readTide'
import { liftHours, slipOf } from './slip'
import { offsetTide, pressureLiftM, tideOf, waterOver } from './tide'

const clock = zoneClock('UTC')
const sin = (deg: number) => Math.sin((deg * Math.PI) / 180)
const cos = (deg: number) => Math.cos((deg * Math.PI) / 180)

/**
 * The second implementation: mean longitudes of moon, sun, perigee and node (Meeus), V0 as Schureman lists them, f and
 * u by the usual series in the node's longitude. It shares nothing with the predictor.
 */
function second(meanM: number, list: readonly (readonly [string, number, number])[], at: number) {
  const hours = (at % 86_400_000) / hourMs
  const century = (at / 86_400_000 - 10_957.5) / 36_525
  const T = 15 * hours
  const s = 218.3164477 + 481_267.88123421 * century
  const h = 280.46646 + 36_000.76983 * century
  const p = 83.3532465 + 4069.0137287 * century
  const N = 125.04452 - 1934.136261 * century
  const m2 = [1.0004 - 0.0373 * cos(N) + 0.0002 * cos(2 * N), -2.14 * sin(N)] as const
  const k1 = [
    1.006 + 0.115 * cos(N) - 0.0088 * cos(2 * N) + 0.0006 * cos(3 * N),
    -8.86 * sin(N) + 0.68 * sin(2 * N) - 0.07 * sin(3 * N),
  ] as const
  const o1 = [
    1.0089 + 0.1871 * cos(N) - 0.0147 * cos(2 * N) + 0.0014 * cos(3 * N),
    10.8 * sin(N) - 1.34 * sin(2 * N) + 0.19 * sin(3 * N),
  ] as const
  const k2 = [
    1.0241 + 0.2863 * cos(N) + 0.0083 * cos(2 * N) - 0.0015 * cos(3 * N),
    -17.74 * sin(N) + 0.68 * sin(2 * N) - 0.04 * sin(3 * N),
  ] as const
  const x =
    1 - 0.2505 * cos(2 * p) - 0.1102 * cos(2 * p - N) - 0.0156 * cos(2 * p - 2 * N) - 0.037 * cos(N)
  const y =
    -0.2505 * sin(2 * p) - 0.1102 * sin(2 * p - N) - 0.0156 * sin(2 * p - 2 * N) - 0.037 * sin(N)
  const l2 = [Math.hypot(x, y), (Math.atan2(y, x) * 180) / Math.PI] as const
  const none = [1, 0] as const
  const of: Record<string, readonly [number, readonly [number, number]]> = {
    M2: [2 * T - 2 * s + 2 * h, m2],
    S2: [2 * T, none],
    N2: [2 * T - 3 * s + 2 * h + p, m2],
    K2: [2 * T + 2 * h, k2],
    L2: [2 * T - s + 2 * h - p + 180, l2],
    MU2: [2 * T - 4 * s + 4 * h, m2],
    NU2: [2 * T - 3 * s + 4 * h - p, m2],
    K1: [T + h + 90, k1],
    O1: [T - 2 * s + h - 90, o1],
    P1: [T - h - 90, none],
    M4: [4 * T - 4 * s + 4 * h, [m2[0] ** 2, 2 * m2[1]]],
    MS4: [4 * T - 2 * s + 2 * h, m2],
  }
  return list.reduce((sum, [name, amplitude, phase]) => {
    const [v, [f, u]] = of[name] as (typeof of)[string]
    return sum + amplitude * f * cos(v + u - phase)
  }, meanM)
}

describe('heights', () => {
  it('agree within a centimetre with a second implementation over a whole turn of the node', () => {
    const station = knownDemo().tideStation[0]
    if (!station) throw new Error('the demo has a station')
    const tide = tideOf(station)
    const list = station.constituents.map(
      (one) => [one.name, one.amplitudeM, one.phaseDeg] as const,
    )
    let most = 0
    // Every 11 days and 5 hours for 18.6 years: each time of tide and month comes up.
    for (let at = Date.UTC(2026, 0, 1); at < Date.UTC(2044, 7, 1); at += 269 * hourMs)
      most = Math.max(most, Math.abs((tide.heightAt(at) ?? 0) - second(station.meanM, list, at)))
    expect(most).toBeLessThan(0.01)
    expect(most).toBeGreaterThan(0)
  })
  it('of a table follow half a cosine, and are not known outside it or across a missing water', () => {
    const at = Date.UTC(2027, 5, 5)
    const tide = tideOf({
      basis: 'table',
      meanM: 0,
      constituents: [],
      turns: [
        { at, heightM: 4.7 },
        { at: at + 6 * hourMs, heightM: 0.7 },
        { at: at + 30 * hourMs, heightM: 4.5 },
      ],
    })
    expect(tide.heightAt(at)).toBe(4.7)
    // Two thirds of the way down in time is three quarters of the way down in height.
    expect(tide.heightAt(at + 4 * hourMs)).toBeCloseTo(1.7, 9)
    expect(tide.heightAt(at + 3 * hourMs)).toBeCloseTo(2.7, 9)
    expect(tide.heightAt(at - 1)).toBeNull()
    expect(tide.heightAt(at + 12 * hourMs)).toBeNull()
    const later = offsetTide(tide, 20, -0.2)
    expect(later.heightAt(at + 20 * minuteMs)).toBeCloseTo(4.5, 9)
    expect(later.turns(at, at + hourMs)).toEqual([{ at: at + 20 * minuteMs, heightM: 4.5 }])
  })
  it('lose 17 cm at 1030 hPa', () => {
    expect(pressureLiftM(1030)).toBeCloseTo(-0.17, 9)
  })
})

/** A tide by the sun alone: high at 10:00 and 22:00 UTC, 3 ± 2 m. Over 4 m it stands for four hours about each. */
const bySun = {
  basis: 'constituents' as const,
  meanM: 3,
  turns: [],
  constituents: [{ name: 'S2', amplitudeM: 2, phaseDeg: 300 }],
}

function yardWithTide(yard: object = {}, refit: object = {}) {
  const rows = emptyRefit()
  Object.assign(rows.refit[0] as object, { draughtM: 3, ...refit })
  add(rows, 'tideStation', 's', { name: 'Sun', ...bySun })
  const place = add(rows, 'place', 'yard', {
    name: 'Yard',
    kind: 'yard',
    tideStationId: 's',
    underKeelM: 0.3,
    slipDepthM: -0.7,
    liftUntil: '16:00',
    ...yard,
  })
  return { rows, place }
}

describe('windows', () => {
  const day = 20_000
  const hoursOf = (spans: readonly (readonly [number, number])[]) =>
    spans.map(([a, b]) => [(a - day * 24 * hourMs) / hourMs, (b - day * 24 * hourMs) / hourMs])
  it('are where the water stands high enough: four hours about each high water', () => {
    const found = hoursOf(waterOver(tideOf(bySun), 4, day * 24 * hourMs, (day + 1) * 24 * hourMs))
    expect(found).toHaveLength(2)
    for (const [index, edge] of [8, 12, 20, 24].entries())
      expect(found.flat()[index]).toBeCloseTo(edge, 1)
  })
  it('lie in lift hours and are long enough: draught 3 + 0.3 + 0.7 dry = 4 m, from nine to noon', () => {
    const { rows, place } = yardWithTide()
    const slip = slipOf(rows, place, clock)
    expect(slip?.needM).toBeCloseTo(4, 9)
    expect(hoursOf(slip?.windows(day) ?? [])[0]?.[0]).toBe(9)
    expect(hoursOf(slip?.windows(day) ?? [])[0]?.[1]).toBeCloseTo(12, 1)
    // On the hook at nine, over the water at 9:35: 145 minutes are left.
    const liftOf = (more: object) => {
      const { rows, place } = yardWithTide(more)
      const lift = slipOf(rows, place, clock)?.lift(day)
      return lift && hoursOf([[lift.liftAt, lift.inAt]])[0]
    }
    expect(liftOf({ launchMin: 140 })).toEqual([9, 9 + 35 / 60])
    expect(liftOf({ launchMin: 150 })).toBeNull()
    // Where the yard is open before the water, the slings go on 35 minutes ahead of it.
    expect(liftOf({ liftFrom: '06:00' })).toEqual([7 + 25 / 60, 8])
  })
  it('lie in daylight where it is known where she lies: in December the yard opens in the dark', () => {
    const { place } = yardWithTide({ liftFrom: '06:00' })
    const december = Math.floor(Date.UTC(2027, 11, 21) / 86_400_000)
    const [rise, set] = liftHours(
      place,
      december,
      { latitudeDeg: 52.1, longitudeDeg: -7.4 },
      clock,
    ) ?? [0, 0]
    // Almanac for 52.1 N, 7.4 W on 21 December: up 8:39, down 16:19 UTC.
    expect(Math.abs(rise - Date.UTC(2027, 11, 21, 8, 39)) / minuteMs).toBeLessThan(6)
    expect(set).toBe(Date.UTC(2027, 11, 21, 16))
    expect(liftHours(place, december, { latitudeDeg: 80, longitudeDeg: 0 }, clock)).toBeNull()
  })
  it('are none without a draught, and without anything known of the station', () => {
    const { rows, place } = yardWithTide({}, { draughtM: null })
    expect(slipOf(rows, place, clock)).toBeNull()
    const empty = {
      ...rows,
      tideStation: rows.tideStation.map((one) => ({ ...one, constituents: [] })),
    }
    Object.assign(rows.refit[0] as object, { draughtM: 3 })
    expect(slipOf(empty, place, clock)).toBeNull()
  })
  it('stand over what is asked everywhere inside and nowhere outside', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 5.5, noNaN: true }),
        fc.integer({ min: 19_000, max: 24_000 }),
        (need, on) => {
          const tide = tideOf({
            ...bySun,
            constituents: [...bySun.constituents, { name: 'M2', amplitudeM: 0.7, phaseDeg: 40 }],
          })
          const [from, to] = [on * 24 * hourMs, (on + 1) * 24 * hourMs]
          const spans = waterOver(tide, need, from, to)
          for (let at = from + 60_000; at < to; at += 7 * minuteMs) {
            const inside = spans.some(([a, b]) => a <= at && at <= b)
            const height = tide.heightAt(at) ?? 0
            if (Math.abs(height - need) > 0.01) expect(inside).toBe(height > need)
          }
        },
      ),
      { numRuns: 30 },
    )
  })
})

describe('what people type', () => {
  const rows = (text: string) => text.split('\n').map((line) => line.split(' '))
  it('gives constituents, with the mean level and headings on the way', () => {
    expect(
      readConstituents(rows('name amplitude phase\nZ0 2.65\nm2 1,66 -150 28.9841\nS2 0.56 206')),
    ).toEqual({
      ok: true,
      value: {
        meanM: 2.65,
        constituents: [
          { name: 'M2', amplitudeM: 1.66, phaseDeg: 210 },
          { name: 'S2', amplitudeM: 0.56, phaseDeg: 206 },
        ],
      },
    })
  })
  it.each([
    ['M2 x 20', /“x” is no amplitude/],
    ['M2 1.2 north', /“north” is no phase/],
    ['QQ9 1.2 20 28.5', /speed is not known/],
    ['M2 1.2 20 30', /speed is 28\.9841° an hour, and the line says 30/],
    ['M2 1.2 20\nM2 1 2', /twice/],
    ['', /No line has a name/],
  ])('%j is refused with a sentence', (text, said) => {
    const read = readConstituents(rows(text))
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.message).toMatch(said)
  })
  it('gives a table, a date standing for the lines after it', () => {
    expect(
      readTurns('2027-06-05 08:20 4.7\n14:51 0,5m\n2027-06-06 09:02 4.8', clock, '2027-01-01'),
    ).toEqual({
      ok: true,
      value: [
        { at: Date.UTC(2027, 5, 5, 8, 20), heightM: 4.7 },
        { at: Date.UTC(2027, 5, 5, 14, 51), heightM: 0.5 },
        { at: Date.UTC(2027, 5, 6, 9, 2), heightM: 4.8 },
      ],
    })
    const wrong = [
      ['08:20 4.7', /at least two/],
      ['14:51 0.5\n08:20 4.7', /Line 2.*not later/],
      ['08:20 high\n14:51 0.5', /Line 1 cannot be read/],
    ] as const
    for (const [text, said] of wrong) {
      const read = readTurns(text, clock, '2027-06-05')
      expect(read.ok ? '' : read.message).toMatch(said)
    }
  })
})
