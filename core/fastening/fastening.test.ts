/** Hand calculations and properties of beads, bolts, counts, plates and spans. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { equalSpans } from '../layout/spans'
import { backingPlateMm } from './backingPlate'
import { beadMl, cartridges } from './bead'
import { boltLength, boltSizesMm } from './boltLength'
import { fasteningsWithSpares, packsFor } from './count'
import { threadOf, threads, threadsFor, washersMm } from './threads'

describe('by hand', () => {
  it('beads', () => {
    // π/4 × 36 × 10; × 1.15 / 290 = 1.12
    expect(beadMl(6, 10)).toBeCloseTo(282.74, 2)
    expect(cartridges(282.74)).toBe(2)
    // 290 / 1.15 fills one to the last drop
    expect(cartridges(290 / 1.15)).toBe(1)
    expect(cartridges(0)).toBe(0)
  })
  it('bolts', () => {
    // 45 + 3.2 + 6.8 + 2 × 1.25 = 57.5
    const m8 = boltLength(8, { stackMm: 45, washersMm: 3.2, socketDepthMm: 4 })
    expect(m8.needMm).toBeCloseTo(57.5, 9)
    // 60 − 55 = 5 mm, deeper than the 4 mm socket
    expect(m8).toMatchObject({
      buyMm: 60,
      stickOutMm: expect.closeTo(5, 9),
      tooLongForSocket: true,
    })
    expect(boltLength(20, { stackMm: 260, washersMm: 20 }).buyMm).toBeNull()
    expect(() => boltLength(7, { stackMm: 20, washersMm: 2 })).toThrow('M7 is not known')
  })
  it('bolts in inches, by their own pitch, nut and lengths', () => {
    // 5/16-18: 25.4 + 3.302 + 17/64 in = 6.747 + 2 × 1.411 = 38.271 mm → 1 3/4 in.
    const bolt = boltLength(7.9375, { stackMm: 25.4, washersMm: washersMm(7.9375, 2) })
    expect(bolt.needMm).toBeCloseTo(38.271, 2)
    expect(bolt.buyMm).toBeCloseTo(44.45, 9)
    expect(threadOf(7.9375)?.name).toBe('5/16"')
  })
  it('washers by the size of their bolt', () => {
    // ISO 7089: M6 1.6, M10 2.0, M12 2.5, M20 3.0.
    expect([6, 10, 12, 20].map((size) => washersMm(size, 2))).toEqual([3.2, 4, 5, 6])
    expect(() => washersMm(7, 2)).toThrow(RangeError)
  })
  it('counts', () => {
    expect(fasteningsWithSpares(4, 6)).toBe(27)
    expect(fasteningsWithSpares(10, 1)).toBe(11)
    expect(packsFor(27, 10)).toEqual({ packs: 3, over: 3 })
    expect(packsFor(0.3, 0.1).packs).toBe(3)
  })
  it('plates', () => {
    // 120 × 80 is 9600; 12 000 wanted; both sides × √1.25
    const [length, width] = backingPlateMm([100, 60], [70, 30])
    expect([length, width]).toEqual([expect.closeTo(134.16, 2), expect.closeTo(89.44, 2)])
    // 25 mm past the bolts is plate enough
    expect(backingPlateMm([40, 20], [100, 50])).toEqual([150, 100])
  })
  it('spans', () => {
    expect(equalSpans(7.2, 1.6)).toEqual({ spans: 5, posts: 6, spanM: expect.closeTo(1.44, 9) })
    expect(equalSpans(4.8, 1.6).spans).toBe(3)
  })
})

describe('always', () => {
  it('a bolt reaches two threads past its nut, and a longer stack never takes a shorter one', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...boltSizesMm),
        fc.double({ min: 0, max: 250, noNaN: true }),
        fc.double({ min: 0, max: 9, noNaN: true }),
        (size, stackMm, more) => {
          const bolt = boltLength(size, { stackMm, washersMm: 2 })
          const longer = boltLength(size, { stackMm: stackMm + more, washersMm: 2 })
          if (bolt.buyMm !== null) expect(bolt.buyMm).toBeGreaterThanOrEqual(bolt.needMm - 1e-6)
          expect(longer.buyMm ?? Infinity).toBeGreaterThanOrEqual(bolt.buyMm ?? Infinity)
        },
      ),
    ))
  it('packs hold what is needed, and one fewer would not', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 1e4, noNaN: true }),
        fc.double({ min: 0.05, max: 100, noNaN: true }),
        (quantity, pack) => {
          const { packs, over } = packsFor(quantity, pack)
          expect(packs * pack).toBeGreaterThanOrEqual(quantity - pack * 1e-5)
          expect((packs - 1) * pack).toBeLessThan(quantity)
          expect(over).toBeLessThan(pack * (1 + 1e-6))
        },
      ),
    ))
  it('spans are equal, fill the line and keep under the longest', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        (length, longest) => {
          const { spans, spanM } = equalSpans(length, longest)
          expect(spans * spanM).toBeCloseTo(length, 9)
          expect(spanM).toBeLessThanOrEqual(longest * (1 + 1e-6))
        },
      ),
    ))
  it.each([
    () => beadMl(-1, 2),
    () => beadMl(6, 1000.5),
    () => beadMl(50.5, 1),
    () => packsFor(3, 0),
    () => fasteningsWithSpares(4, -1),
    () => backingPlateMm([100, 60], [Number.NaN, 30]),
    () => equalSpans(0, 1),
  ])('refuses what cannot be, %#', (absurd) => expect(absurd).toThrow(RangeError))
})

describe('threads', () => {
  it('are metric under metric, inch under feet and inches, both under mixed', () => {
    expect(threadsFor('metric').some((one) => one.inch)).toBe(false)
    expect(threadsFor('us').every((one) => one.inch)).toBe(true)
    expect(new Set(threadsFor('mixed').map((one) => one.inch))).toEqual(new Set([true, false]))
  })

  it('have holes a little over the bolt, whatever they are measured in', () => {
    for (const { name, sizeMm, clearanceMm: hole } of threads)
      expect([name, hole > sizeMm && hole < sizeMm * 1.17]).toEqual([name, true])
    // A 1/4" bolt, normal fit: 0.281 in.
    expect(threadOf(6.35)?.clearanceMm).toBeCloseTo(7.137, 3)
  })
})
