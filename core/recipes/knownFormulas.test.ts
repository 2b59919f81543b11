/** What a recipe may call, each by a sum done by hand or with a pocket calculator. */
import { describe, expect, it } from 'vitest'
import { knownFormulas } from './knownFormulas'

const call = (name: string, ...args: number[]) => knownFormulas[name]?.work(...args)

/** Post runs: length, longest span, gate at, gate, keep-out from–to twice. */
const run = (length: number, longest: number, ...rest: number[]) =>
  [length, longest, ...rest, 0, 0, 0, 0, 0, 0].slice(0, 8)

describe('formulas of recipes', () => {
  it.each<[string, number[], number]>([
    ['ceil', [2.01], 3],
    ['ceil', [3.0000000001], 3],
    ['floor', [2.99], 2],
    ['floor', [2.9999999999], 3],
    ['min', [2, 3], 2],
    ['max', [2, 3], 3],
    ['circleM', [1000], 3.14159],
    ['circleM2', [2000], 3.14159],
    ['boltToBuy', [8, 45, 3.2], 60],
    ['withSpares', [4, 5], 22],
    ['cartridges', [290], 2],
    ['spans', [6, 1.9], 4],
    ['cableMm2', [6, 10, 12, 3], 10],
    ['fuseA', [10], 15],
    ['spreadingRate', [50, 100], 5],
    ['coatLitres', [17, 2, 8], 5],
    ['coatsForFilm', [250, 60], 5],
    ['underwaterM2', [0.75, 10, 3, 2], 37.5],
    // 10 + 10 less the bend's allowance; a right angle, inside radius 2, sheet 1, k 0.4:
    // allowance π/2 × 2.4 = 3.7699, setback 2 × 3 = 6: 20 − 6 + 3.7699.
    ['flatMm', [10, 10, 90, 2, 1], 17.7699],
    // Six metres by spans of at most two: four posts, spans of two.
    ['posts', run(6, 2), 4],
    ['largestSpanM', run(6, 2), 2],
    ['smallestSpanM', run(6, 2), 2],
    // A gate of 0.6 at 3: posts at both sides of it, spans of 3 and 2.4; the opening is none.
    ['posts', run(6, 3, 3, 0.6), 4],
    ['largestSpanM', run(6, 3, 3, 0.6), 3],
    ['smallestSpanM', run(6, 3, 3, 0.6), 2.4],
    // Two pieces of 1 × 0.5 m side by side on a roll of 1 m, and two more of 0.5 × 0.5 in half a metre.
    ['rollM', [2, 1, 0.5, 0, 0, 0, 1, 0], 1],
    ['rollM', [2, 1, 0.5, 2, 0.5, 0.5, 1, 0], 1.5],
    // 1.2 m across does not go on a roll of 1 m unless it may be turned.
    ['rollM', [1, 0.5, 1.2, 0, 0, 0, 1, 1], 1.2],
    ['clearanceMm', [8], 9],
  ])('%s(%j) = %d', (name, args, value) => {
    expect(Number(call(name, ...args))).toBeCloseTo(value, 3)
  })

  it('marks posts from the datum, and keeps them out of what they must keep out of', () => {
    expect(call('postMarks', ...run(6, 2))).toBe('0 · 2 · 4 · 6')
    const kept = String(call('postMarks', ...run(6, 2.6, 0, 0, 1.9, 2.1)))
      .split(' · ')
      .map(Number)
    expect(kept.every((mark) => mark <= 1.9 || mark >= 2.1)).toBe(true)
  })

  it('says of each what goes in and what comes out', () => {
    for (const [name, one] of Object.entries(knownFormulas)) {
      expect(one.takes.length, name).toBeGreaterThan(0)
      expect(one.gives, name).not.toBe('')
    }
  })
})
