/** Pieces on a roll: nothing overlaps or sticks out, and the length is near the shortest there is. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createRandom } from '../random'
import { perfectCut } from '../testing/perfectCut'
import type { Piece } from './skyline'
import { leastLength, packStrip } from './strip'
import type { Strip } from './strip'

/** So many questions, then it is over: the same on every machine. */
const search = (asks: number, seed = 1) => {
  let left = asks
  return { random: createRandom(seed), isOver: () => left-- <= 0 }
}

/** What is wrong with a plan, looked at piece by piece and pair by pair. */
function faults(width: number, pieces: readonly Piece[], { at, length }: Strip): string[] {
  const found: string[] = []
  pieces.forEach((one, index) => {
    const [x, y] = at[index] as readonly [number, number]
    if (!(x >= -1e-9 && x + one.w <= width + 1e-9 && y >= -1e-9 && y + one.h <= length + 1e-9))
      found.push(`${index} sticks out`)
    for (let other = 0; other < index; other++) {
      const [a, b] = at[other] as readonly [number, number]
      const { w, h } = pieces[other] as Piece
      const isApart =
        x >= a + w - 1e-9 || a >= x + one.w - 1e-9 || y >= b + h - 1e-9 || b >= y + one.h - 1e-9
      if (!isApart) found.push(`${index} lies on ${other}`)
    }
  })
  return found
}

describe('pieces on a roll', () => {
  it('come out at the shortest by hand', () => {
    // 6 × 4 and 4 × 4 side by side, 10 × 1 across: 5. Nothing is shorter: 50 of area on 10.
    const pieces = [
      { w: 6, h: 4 },
      { w: 4, h: 4 },
      { w: 10, h: 1 },
    ]
    expect(packStrip(10, pieces, search(100))).toMatchObject({ length: 5, atLeast: 5 })
    // Three that cannot lie side by side: 3 + 3 + 3, whatever their area.
    const wide = Array.from({ length: 3 }, () => ({ w: 6, h: 3 }))
    expect(leastLength(10, wide)).toBe(9)
    expect(packStrip(10, wide, search(100)).length).toBe(9)
    expect(packStrip(10, [], search(1)).length).toBe(0)
    expect(() => packStrip(10, [{ w: 10.1, h: 1 }], search(1))).toThrow('wider than the strip')
    expect(() => packStrip(10, [{ w: 1, h: 0 }], search(1))).toThrow(RangeError)
  })

  it('never lie over one another or the edge, and are never shorter than can be', () => {
    const side = fc.oneof(
      fc.integer({ min: 1, max: 12 }),
      fc.double({ min: 0.1, max: 12, noNaN: true }),
    )
    fc.assert(
      fc.property(
        fc.array(fc.record({ w: side, h: side }), { minLength: 1, maxLength: 25 }),
        fc.integer({ min: 0, max: 30 }),
        (pieces, more) => {
          const width = Math.max(...pieces.map((one) => one.w)) + more
          const strip = packStrip(width, pieces, search(15))
          expect(faults(width, pieces, strip)).toEqual([])
          expect(strip.length).toBeGreaterThanOrEqual(leastLength(width, pieces) - 1e-6)
        },
      ),
      { numRuns: 200 },
    )
  })

  it('of a sheet cut up without waste come within 3 % of it', () => {
    for (const [many, width, length] of [
      [25, 40, 60],
      [73, 60, 90],
      [150, 160, 240],
    ] as const) {
      const pieces = perfectCut(createRandom(many), many, width, length)
      const strip = packStrip(width, pieces, search(900))
      expect(faults(width, pieces, strip)).toEqual([])
      expect(strip.length / length).toBeLessThan(1.03)
    }
  })
})
