/** Cables and fuses by hand. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cableMm2, fuseA } from './cable'

describe('cable and fuse', () => {
  it('by drop', () => {
    // 2 × 6 × 10 × 0.0195 / 0.36 = 6.5 → 10 mm²
    expect(cableMm2(6, 10, 12, 3)).toBe(10)
    // at 10 %: 1.95 → 2.5 mm² carries 17 A; the fuse of 10 A is 15.
    expect(cableMm2(6, 10, 12, 10)).toBe(2.5)
  })
  it('by the fuse where the run is short', () => {
    // 0.5 m at 40 A and 10 %: 0.65 mm² by drop, but the fuse is 50 A: 16 mm² carries 54.
    expect(fuseA(40)).toBe(50)
    expect(cableMm2(0.5, 40, 12, 10)).toBe(16)
  })
  it('is never thinner for more load, and always outlasts its fuse', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 15, noNaN: true }),
        fc.double({ min: 0.5, max: 30, noNaN: true }),
        (run, load) => {
          const one = cableMm2(run, load, 12, 10)
          expect(cableMm2(run, load * 1.2, 12, 10)).toBeGreaterThanOrEqual(one)
          expect((2 * run * load * 0.0195) / one).toBeLessThanOrEqual(1.2 + 1e-9)
        },
      ),
    ))
  it('refuses what nobody sells', () => {
    expect(() => cableMm2(60, 140, 12, 3)).toThrow(/no single cable/)
    expect(() => fuseA(0)).toThrow(RangeError)
  })
})
