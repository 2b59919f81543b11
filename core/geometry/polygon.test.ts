import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clippedTo, crossesItself, isInside, polygonArea } from './polygon'
import type { Corner } from './polygon'

describe('outlines', () => {
  it('have the area of their shape, whichever way round', () => {
    const roof: Corner[] = [
      [0, 0],
      [4, 0],
      [4, 3],
      [2, 5],
      [0, 3],
    ]
    expect(polygonArea(roof)).toBe(16)
    expect(polygonArea([...roof].reverse())).toBe(16)
    expect(
      polygonArea([
        [0, 0],
        [1, 1],
      ]),
    ).toBe(0)
  })

  it('cut into cells lose nothing: an L of two metres by two without a quarter', () => {
    const ell: Corner[] = [
      [0, 0],
      [2, 0],
      [2, 1],
      [1, 1],
      [1, 2],
      [0, 2],
    ]
    const at = (x: number, y: number) => polygonArea(clippedTo(ell, x, y, x + 0.8, y + 0.8))
    expect(at(0, 0)).toBeCloseTo(0.64)
    // Right of 1 only what is under 1 is left: 0.8 × 0.2 and 0.2 × 0.6.
    expect(at(0.8, 0.8)).toBeCloseTo(0.8 * 0.2 + 0.2 * 0.6)
    expect(at(1.6, 0)).toBeCloseTo(0.4 * 0.8)
    expect(at(1.6, 1.2)).toBe(0)
  })

  it('of any four corners come back whole from their cells', () => {
    const real = fc.double({ min: 0.1, max: 3, noNaN: true })
    fc.assert(
      fc.property(
        real,
        real,
        real,
        real,
        fc.double({ min: 0.15, max: 0.6, noNaN: true }),
        (a, b, c, d, cell) => {
          const kite: Corner[] = [
            [0, 0],
            [a + b, c / 2],
            [b, c + d],
            [-a, d],
          ]
          let sum = 0
          for (let x = -a; x < a + b; x += cell)
            for (let y = 0; y < c + d; y += cell)
              sum += polygonArea(clippedTo(kite, x, y, x + cell, y + cell))
          expect(sum).toBeCloseTo(polygonArea(kite), 6)
        },
      ),
      { numRuns: 40 },
    )
  })

  it('that cross themselves are told from those that do not', () => {
    expect(
      crossesItself([
        [0, 0],
        [2, 2],
        [2, 0],
        [0, 2],
      ]),
    ).toBe(true)
    expect(
      crossesItself([
        [0, 0],
        [2, 0],
        [2, 2],
        [0, 2],
      ]),
    ).toBe(false)
    expect(
      crossesItself([
        [0, 0],
        [2, 0],
        [1, 0.5],
        [2, 2],
        [0, 2],
      ]),
    ).toBe(false)
  })

  it('hold what lies in them, hollow or not', () => {
    const ell: Corner[] = [
      [0, 0],
      [2, 0],
      [2, 1],
      [1, 1],
      [1, 2],
      [0, 2],
    ]
    expect([
      isInside([0.5, 1.5], ell),
      isInside([1.5, 1.5], ell),
      isInside([1.5, 0.5], ell),
    ]).toEqual([true, false, true])
  })
})
