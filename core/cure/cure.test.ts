import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newRow } from '../model/newRow'
import { byUrgency, clockState, temperatureFrom } from './clockState'
import { aboveDew, dewPointC } from './dewPoint'
import { cureRate, doseHours, doseReachedAt, potLifeForMass } from './dose'

const hour = 3_600_000
const sheet = { refC: 20, minC: 8, maxC: 30 }

describe('cure by the ten-degree rule', () => {
  it('doubles every 10 °C, earns nothing under the minimum and is capped at the maximum', () => {
    expect(cureRate(20, sheet)).toBe(1)
    expect(cureRate(30, sheet)).toBe(2)
    expect(cureRate(10, sheet)).toBe(0.5)
    expect(cureRate(7.9, sheet)).toBe(0)
    expect(cureRate(45, sheet)).toBe(2)
  })
  it('adds up a changing temperature: 4 h at 30 °C and 8 h at 10 °C are 12 h at 20 °C', () => {
    const temperature = (at: number) => (at < 4 * hour ? 30 : 10)
    const rate = (tempC: number) => cureRate(tempC, sheet)
    expect(doseHours(0, 12 * hour, temperature, rate)).toBeCloseTo(12, 9)
    expect(doseReachedAt(0, 12, temperature, rate)).toBeCloseTo(12 * hour, 3)
    expect(doseReachedAt(0, 1, () => 5, rate)).toBeNull()
  })
  it('is reached later when it is colder', () => {
    const at = (tempC: number) =>
      doseReachedAt(
        0,
        16,
        () => tempC,
        (now) => cureRate(now, sheet),
      ) ?? Infinity
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 29 }), (tempC) => {
        expect(at(tempC)).toBeGreaterThan(at(tempC + 1))
      }),
    )
  })
  it('shortens a pot with its mass: four times the mass is 4^-0.35 = 0.6156 of the life, a thimble at most twice', () => {
    expect(potLifeForMass(0.5, 100, 400)).toBeCloseTo(0.5 * 0.6156, 4)
    expect(potLifeForMass(0.5, 100, 100)).toBe(0.5)
    expect(potLifeForMass(0.5, 100, 1)).toBe(1)
  })
})

describe('a running clock', () => {
  const start = Date.UTC(2027, 3, 16, 18)
  const clock = (given: object) =>
    newRow('clock', 'c', {
      title: 'Plies',
      kind: 'overcoat',
      startedAt: start,
      opensH: 16,
      closesH: 72,
      ...sheet,
      ...given,
    })
  const reading = (hours: number, tempC: number) =>
    newRow('clockReading', `r${hours}`, { clockId: 'c', at: start + hours * hour, tempC })

  it('opens and closes by the sheet at the reference temperature', () => {
    const state = clockState(clock({}), [], () => 20, start + hour)
    expect(state.opensAt).toBeCloseTo(start + 16 * hour, 0)
    expect(state.closesAt).toBeCloseTo(start + 72 * hour, 0)
    expect(state).toMatchObject({ phase: 'waiting', coldHours: 0 })
    expect(clockState(clock({}), [], () => 20, start + 17 * hour).phase).toBe('open')
    expect(clockState(clock({}), [], () => 20, start + 73 * hour).phase).toBe('closed')
  })
  it('earns nothing under the minimum while the bond window goes on closing', () => {
    // 10 h at 0 °C, then 20 °C: opens 10 + 16 h; closing had 10 × 2^-2 = 2.5 h of its 72 used: 10 + 69.5 h.
    const air = (at: number) => (at < start + 10 * hour ? 0 : 20)
    const state = clockState(clock({}), [], air, start + 12 * hour)
    expect(state.opensAt).toBeCloseTo(start + 26 * hour, 0)
    expect(state.closesAt).toBeCloseTo(start + 79.5 * hour, 0)
    expect(state.coldHours).toBeCloseTo(10, 6)
  })
  it('draws straight lines between readings and goes by the forecast outside them', () => {
    const at = temperatureFrom([reading(0, 10), reading(10, 20)], () => 5)
    expect(at(start + 5 * hour)).toBe(15)
    expect(at(start + 11 * hour)).toBe(5)
    expect(at(start - hour)).toBe(5)
  })
  it('counts an immersion window in plain hours and a pot by its mass', () => {
    const water = clockState(
      clock({ kind: 'immersion', opensH: 24, closesH: 240 }),
      [],
      () => 5,
      start,
    )
    expect(water.opensAt).toBe(start + 24 * hour)
    expect(water.closesAt).toBe(start + 240 * hour)
    const pot = clockState(
      clock({ kind: 'pot', opensH: null, closesH: 0.5, massG: 400, refMassG: 100 }),
      [],
      () => 20,
      start,
    )
    expect(pot.closesAt).toBeCloseTo(start + 0.5 * 0.61557 * hour, -3)
    expect(pot.phase).toBe('open')
  })
})

describe('dew point', () => {
  // Values of the Magnus formula as published in psychrometric tables: 20 °C, 50 % → 9.3 °C; 25 °C, 60 % → 16.7 °C.
  it.each([
    [20, 50, 9.3],
    [25, 60, 16.7],
    [10, 100, 10],
    [5, 80, 1.8],
  ])('%i °C at %i %%', (tempC, rh, dewC) => expect(dewPointC(tempC, rh)).toBeCloseTo(dewC, 1))
  it('rises with humidity and never passes the air', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -20, max: 50 }),
        fc.integer({ min: 2, max: 100 }),
        (tempC, rh) => {
          expect(dewPointC(tempC, rh)).toBeLessThanOrEqual(tempC + 1e-9)
          expect(dewPointC(tempC, rh)).toBeGreaterThan(dewPointC(tempC, rh - 1))
        },
      ),
    )
    expect(() => dewPointC(20, 0)).toThrow(RangeError)
  })
  it('lets 3.0 pass as a meter reads it, whatever floats make of it, and 2.9 not', () => {
    // 8.2 − 5.2 is 2.9999999999999996 in binary.
    expect(aboveDew(8.2, 5.2)).toBe(true)
    expect(aboveDew(4.4, 1.4)).toBe(true)
    expect(aboveDew(8.1, 5.2)).toBe(false)
  })
})

describe('the order of clocks', () => {
  it('has those run out first, whatever was started when, then the next to change', () => {
    const clocks = [
      { id: 'in an hour', nextAt: 11 },
      { id: 'never', nextAt: null },
      { id: 'soon', nextAt: 10.5 },
      { id: 'just gone', nextAt: 10 },
      { id: 'tomorrow', nextAt: 34 },
    ]
    expect([...clocks].sort(byUrgency(10)).map((one) => one.id)).toEqual([
      'never',
      'just gone',
      'soon',
      'in an hour',
      'tomorrow',
    ])
  })
})
