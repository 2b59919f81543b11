/** Hand calculations (worked in the comments) and properties of the laminate formulas. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cupPlan } from './cupPlan'
import { filletMlPerM } from './fillet'
import { foamLiquidL } from './foam'
import { mixByWeight } from './mix'
import { mixGrams, mixWeightG } from './mixFor'
import { patchStack, taperWidthMm } from './patchStack'
import { pliesToLevel, plyThicknessMm, resinKgPerM2, resinKgM3 } from './ply'
import { sleeveMl } from './sleeve'
import { tabbingWidthsMm } from './tabbing'

describe('by hand', () => {
  it('plies', () => {
    // 0.45 × 0.5/0.5; 0.45 × 0.68/0.32
    expect(resinKgPerM2(450, 0.5)).toBeCloseTo(0.45, 9)
    expect(resinKgPerM2(450, 0.32)).toBeCloseTo(0.95625, 9)
    // 0.45/2560 + 0.45/1150 m; 0.3/2560 + 0.6375/1200 m
    expect(plyThicknessMm(450, 0.5, resinKgM3.epoxy)).toBeCloseTo(0.56709, 4)
    expect(plyThicknessMm(300, 0.32, resinKgM3.polyester)).toBeCloseTo(0.64844, 4)
    // 4/0.567 = 7.05
    expect(pliesToLevel(4, 0.567)).toEqual({ plies: 8, overMm: expect.closeTo(0.536, 3) })
    expect(pliesToLevel(1.2, 0.4).plies).toBe(3)
  })
  it('patches and tabs', () => {
    expect(taperWidthMm(4, 12)).toBe(48)
    const small = patchStack(100, 60, 48, 2, 'smallestFirst')
    expect(small.map((ply) => [ply.lengthMm, ply.widthMm])).toEqual([
      [148, 108],
      [196, 156],
    ])
    // 196 × 156 mm
    expect(small[1]?.areaM2).toBeCloseTo(0.030576, 9)
    expect(patchStack(100, 60, 48, 2, 'largestFirst')).toEqual([...small].reverse())
    // 2 × 50 + π/2 × 10, then 12 mm a side more
    expect(tabbingWidthsMm(50, 10, 2).map((one) => Number(one.toFixed(1)))).toEqual([115.7, 139.7])
  })
  it('volumes', () => {
    // 20² × 0.2146
    expect(filletMlPerM(20)).toBeCloseTo(85.84, 2)
    // π·8²·20 = 4021.2, π(13² − 8²)·12 = 3958.4; sum × 1.25
    expect(sleeveMl({ diameterMm: 16, depthMm: 20, undercutMm: 5, coreMm: 12 })).toBeCloseTo(
      9.9746,
      3,
    )
    expect(foamLiquidL(30, 15)).toBeCloseTo(2.3, 9)
  })
  it('mix and cups', () => {
    const { resinG, hardenerG } = mixByWeight(600, 100, 33)
    expect([resinG, hardenerG]).toEqual([expect.closeTo(451.13, 2), expect.closeTo(148.87, 2)])
    // 630 g to bed in: 30 g of powder in 600 g; 1 L of it: 1050 g over 1000/1.15 + 50/2.2 mL = 892.29 mL
    expect(mixGrams(630, 'bed')).toEqual({
      resinG: expect.closeTo(451.13, 2),
      hardenerG: expect.closeTo(148.87, 2),
      powderG: expect.closeTo(30, 9),
    })
    expect(mixWeightG(1000, 'bed')).toBeCloseTo(1176.7, 1)
    expect(mixGrams(600, 'wetOut').powderG).toBe(0)
    // m^1.35 = 0.7 × 1200 × 0.5 × 100^0.35 = 2105 → m = 289.5 g; 1000/289.5 = 3.45 → 4 cups of 250 g;
    // 0.5 × 0.4^0.35 = 0.3628 h
    const plan = cupPlan(1000, 1200, 400, { lifeH: 0.5, refMassG: 100 })
    expect(plan).toEqual({
      cups: 4,
      cupG: 250,
      lifeH: expect.closeTo(0.3628, 4),
      layingH: expect.closeTo(0.8333, 4),
      boundBy: 'potLife',
    })
    expect(cupPlan(1000, 1200, 200, { lifeH: 0.5, refMassG: 100 })).toMatchObject({
      cups: 5,
      boundBy: 'cup',
    })
    expect(cupPlan(150, 1200, 400, { lifeH: 0.5, refMassG: 100 }).boundBy).toBe('job')
  })
})

describe('always', () => {
  const size = fc.double({ min: 0, max: 200, noNaN: true })
  it('nothing of nothing', () => {
    expect(resinKgPerM2(0, 0.5)).toBe(0)
    expect(filletMlPerM(0)).toBe(0)
    expect(foamLiquidL(0, 15)).toBe(0)
    expect(pliesToLevel(0, 0.5)).toEqual({ plies: 0, overMm: 0 })
    expect(sleeveMl({ diameterMm: 0, depthMm: 20, undercutMm: 0, coreMm: 12 })).toBe(0)
  })
  it('more of more', () =>
    fc.assert(
      fc.property(size, size, size, (a, b, other) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)]
        const hole = (diameterMm: number) =>
          sleeveMl({ diameterMm, depthMm: other, undercutMm: 5, coreMm: other / 2 })
        expect(hole(more)).toBeGreaterThanOrEqual(hole(less))
        expect(filletMlPerM(more)).toBeGreaterThanOrEqual(filletMlPerM(less))
        expect(resinKgPerM2(more, 0.4)).toBeGreaterThanOrEqual(resinKgPerM2(less, 0.4))
        expect(pliesToLevel(more, 0.5).plies).toBeGreaterThanOrEqual(pliesToLevel(less, 0.5).plies)
      }),
    ))
  it('plies reach the level and none is idle', () =>
    fc.assert(
      fc.property(size, fc.double({ min: 0.1, max: 5, noNaN: true }), (level, ply) => {
        const { plies, overMm } = pliesToLevel(level, ply)
        expect(overMm).toBeGreaterThan(-1e-4)
        expect((plies - 1) * ply).toBeLessThan(level + 1e-4)
      }),
    ))
  it('a cup is laid inside seven tenths of its pot life, and the cups hold the whole mix', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 20_000 }),
        fc.integer({ min: 100, max: 5000 }),
        fc.integer({ min: 50, max: 1000 }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (total, rate, limit, lifeH) => {
          const plan = cupPlan(total, rate, limit, { lifeH, refMassG: 100 })
          expect(plan.cupG).toBeLessThanOrEqual(limit * (1 + 1e-6))
          expect(plan.cupG / rate).toBeLessThanOrEqual(0.7 * plan.lifeH * (1 + 1e-6))
          expect(plan.cupG * plan.cups).toBeCloseTo(total, 4)
        },
      ),
    ))
  it('the two schools of a stack use the same cloth', () =>
    fc.assert(
      fc.property(size, size, size, fc.integer({ min: 1, max: 12 }), (l, w, taper, plies) => {
        const area = (school: 'largestFirst' | 'smallestFirst') =>
          patchStack(l, w, taper, plies, school).reduce((sum, one) => sum + one.areaM2, 0)
        expect(area('largestFirst')).toBeCloseTo(area('smallestFirst'), 9)
      }),
    ))
  it.each([
    () => resinKgPerM2(-1, 0.5),
    () => plyThicknessMm(450, 1, 1150),
    () => sleeveMl({ diameterMm: 16, depthMm: 10, undercutMm: 5, coreMm: 12 }),
    () => filletMlPerM(Number.NaN),
    () => foamLiquidL(10, 0),
    () => cupPlan(100, 0, 400, { lifeH: 0.5, refMassG: 100 }),
    () => patchStack(100, 60, 48, 0, 'largestFirst'),
    () => tabbingWidthsMm(50, 10, 100),
  ])('refuses what cannot be, %#', (absurd) => expect(absurd).toThrow(RangeError))
})
