/** Hand calculations and properties of areas, bends and coats. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { coatLitres, coatsForFilm, spreadingRateM2PerL } from '../cure/coverage'
import { bendAllowanceMm, bendDeductionMm, flatLengthMm } from './bend'
import { hullFullness, underwaterAreaM2 } from './underwaterArea'

describe('by hand', () => {
  it('coats', () => {
    expect(spreadingRateM2PerL(50, 100)).toBe(5)
    // 24 × 2 / 5 / 0.85
    expect(coatLitres(24, 2, 5)).toBeCloseTo(11.294, 3)
    // 250 / 90 = 2.8
    expect(coatsForFilm(250, 90)).toBe(3)
  })
  it('underwater area', () => {
    // 0.75 × 10 × 5.2
    expect(underwaterAreaM2(hullFullness.moderate, 10, 3.5, 1.7)).toBeCloseTo(39, 9)
  })
  it('bends', () => {
    const bend = { angleDeg: 90, radiusMm: 3, thicknessMm: 3, k: 0.4 }
    // π/2 × 4.2; 12 − 6.597; 100 − 5.403
    expect(bendAllowanceMm(bend)).toBeCloseTo(6.5973, 4)
    expect(bendDeductionMm(bend)).toBeCloseTo(5.4027, 4)
    expect(flatLengthMm([50, 50], [bend])).toBeCloseTo(94.597, 3)
  })
  it('refuses legs that their bends eat up', () => {
    // r + t = 6 mm: a leg of 6 is just the bend, 5.9 is none; between two bends a leg needs both.
    const bend = { angleDeg: 90, radiusMm: 3, thicknessMm: 3, k: 0.4 }
    expect(flatLengthMm([6, 6], [bend])).toBeCloseTo(6.597, 3)
    expect(() => flatLengthMm([5.9, 40], [bend])).toThrow(/shorter than its bend takes, 6 mm/)
    expect(() => flatLengthMm([40, 11, 40], [bend, bend])).toThrow(/12 mm/)
  })
})

describe('always', () => {
  it('a bend of nothing takes nothing; a flat is never longer than its legs', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 120, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (angleDeg, radiusMm) => {
          const bend = { angleDeg, radiusMm, thicknessMm: 4, k: 0.4 }
          expect(bendDeductionMm({ ...bend, angleDeg: 0 })).toBe(0)
          expect(flatLengthMm([200, 200], [bend])).toBeLessThanOrEqual(400 + 1e-9)
          expect(flatLengthMm([200, 200], [bend])).toBeGreaterThan(0)
        },
      ),
    ))
  it('twice the area takes twice the paint', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 500, noNaN: true }),
        fc.integer({ min: 0, max: 8 }),
        (area, coats) => {
          expect(coatLitres(2 * area, coats, 6)).toBeCloseTo(2 * coatLitres(area, coats, 6), 6)
        },
      ),
    ))
  it.each([
    () => coatLitres(24, 2, 0),
    () => coatLitres(24, 2, 5, 1),
    () => spreadingRateM2PerL(0, 100),
    () => underwaterAreaM2(0.75, -10, 3, 1),
    () => bendAllowanceMm({ angleDeg: 180, radiusMm: 3, thicknessMm: 3, k: 0.4 }),
  ])('refuses what cannot be, %#', (absurd) => expect(absurd).toThrow(RangeError))
})
