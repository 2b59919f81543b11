import { describe, expect, it } from 'vitest'
import { inflowLMin, minutesToSole } from './inflow'
import { sayWater, waterFigures } from './waterIn'

describe('a hole under water', () => {
  it('of 25 mm at half a metre lets 57 litres a minute in', () => {
    // 0.62 × 4.909e-4 m² × √(2 × 9.81 × 0.5) m/s = 9.53e-4 m³/s.
    expect(inflowLMin(25, 0.5)).toBeCloseTo(57.2, 1)
    expect(inflowLMin(50, 0.5) / inflowLMin(25, 0.5)).toBeCloseTo(4)
    expect(inflowLMin(25, 2) / inflowLMin(25, 0.5)).toBeCloseTo(2)
  })
  it('reaches the sole after what the pumps do not lift: 900 ÷ (78 − 33)', () => {
    expect(minutesToSole(78, 33, 900)).toBe(20)
    expect(minutesToSole(33, 33, 900)).toBeNull()
  })
})

describe('water that was pumped', () => {
  const of = (more: Partial<Parameters<typeof waterFigures>[0]>, sole: number | null = 900) =>
    waterFigures({ litres: 44, days: 14, taste: 'notTried', afterRain: true, ...more }, sole)
  it('comes in by the day and reaches the sole', () => {
    expect(of({}).perDayL).toBeCloseTo(3.143, 3)
    expect(of({}).daysToSole).toBeCloseTo(286.4, 1)
    expect([of({}, null).daysToSole, of({ litres: 0 }).daysToSole]).toEqual([null, null])
  })
  it.each([
    [{ taste: 'salt' }, ['Stern gear, sea valves, the hull']],
    [{ taste: 'fresh', afterRain: false }, ['A tank or a fresh-water pipe']],
    [{ taste: 'fresh' }, ['Rain through deck and fittings', 'A tank or a fresh-water pipe']],
    [
      { litres: 5, taste: 'fresh', afterRain: false },
      ['A tank or a fresh-water pipe', 'Condensation'],
    ],
  ] as const)('%o leaves %j', (more, left) => {
    expect(of(more).left).toEqual(left)
  })
  it('is said', () => {
    expect(sayWater(of({ taste: 'salt' }))).toMatch(
      /^286 days to the sole with nobody there. Ruled out: rain .*Left: stern gear/,
    )
    expect(sayWater({ ...of({}), left: [], daysToSole: 1.5 })).toMatch(
      /^1 day to .*Nothing is left/,
    )
  })
})
