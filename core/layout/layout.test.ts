/** Posts along a run and pieces off a roll, by hand and by properties. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { postsOnRun } from './postsOnRun'
import { rollLengthM } from './rollLength'

describe('posts on a run', () => {
  const marks = (...args: Parameters<typeof postsOnRun>) =>
    postsOnRun(...args).marksM.map((mark) => Number(mark.toFixed(3)))
  it('are equal without a gate or keep-outs', () => {
    expect(marks(7.2, 1.6, null, [])).toEqual([0, 1.44, 2.88, 4.32, 5.76, 7.2])
  })
  it('stand at both sides of a gate', () => {
    // 3 m in two, 3.5 m in three.
    expect(marks(7.2, 1.6, [3, 3.7], [])).toEqual([0, 1.5, 3, 3.7, 4.867, 6.033, 7.2])
    expect(marks(2, 2, [0, 0.7], [])).toEqual([0, 0.7, 2])
    const { largestM, smallestM } = postsOnRun(7.2, 1.6, [3, 3.7], [])
    expect(largestM).toBeCloseTo(1.5, 9)
    expect(smallestM).toBeCloseTo(3.5 / 3, 9)
  })
  it('are pushed to the edge of a keep-out that leaves the spans evenest', () => {
    // Left edge 1.2 leaves 6.0 in four of 1.5; right edge 1.6 leaves 5.6 in four of 1.4: 0.3 and 0.2 apart.
    expect(marks(7.2, 1.6, null, [[1.2, 1.6]])).toEqual([0, 1.6, 3, 4.4, 5.8, 7.2])
    // A keep-out that no post meets moves nothing.
    expect(marks(7.2, 1.6, null, [[1.5, 2.8]])).toEqual([0, 1.44, 2.88, 4.32, 5.76, 7.2])
  })
  it('says when no post can stand there', () => {
    expect(() => postsOnRun(4, 1, null, [[0.5, 2.5]])).toThrow(/no post can stand/)
    expect(() => postsOnRun(4, 1, [3.5, 4.5], [])).toThrow(/gate must lie inside/)
    expect(() => postsOnRun(0, 1, null, [])).toThrow(RangeError)
    expect(() => postsOnRun(2, 1, [0, 2], [])).toThrow(/takes the whole run/)
    // The posts of a gate and of the ends stay where they are.
    expect(() => postsOnRun(7.2, 1.6, [3, 3.7], [[2.9, 3.1]])).toThrow(/no post can stand/)
    expect(() => postsOnRun(7.2, 1.6, null, [[7, 7.3]])).toThrow(/no post can stand/)
    expect(() => postsOnRun(7.2, 1.6, null, [[2, 1]])).toThrow(/ends before it begins/)
  })
  it('always begin and end the run, keep clear and keep short', () => {
    const run = fc.record({
      length: fc.integer({ min: 10, max: 200 }),
      longest: fc.integer({ min: 8, max: 25 }),
      from: fc.integer({ min: 1, max: 180 }),
      wide: fc.integer({ min: 1, max: 6 }),
    })
    fc.assert(
      fc.property(run, ({ length, longest, from, wide }) => {
        fc.pre(from + wide < length)
        const keepOut = [from / 10, (from + wide) / 10] as const
        const found = postsOnRun(length / 10, longest / 10, null, [keepOut])
        expect([found.marksM[0], found.marksM.at(-1)]).toEqual([0, expect.closeTo(length / 10, 9)])
        expect(found.largestM).toBeLessThanOrEqual(longest / 10 + 1e-9)
        expect(
          found.marksM.filter((at) => at > keepOut[0] + 1e-6 && at < keepOut[1] - 1e-6),
        ).toEqual([])
      }),
    )
  })
})

describe('length off a roll', () => {
  it('lays rows across, longest first', () => {
    // On 1.4 m: two rows of two at 1.2 m, one of two at 0.9 m.
    const pieces = [
      { count: 4, longM: 1.2, wideM: 0.6 },
      { count: 2, longM: 0.9, wideM: 0.5 },
    ]
    expect(rollLengthM(pieces, 1.4, false)).toBeCloseTo(3.3, 9)
    // Turned, 0.6 long and 1.2 wide, four rows of one: 2.4 m, and the small ones 0.5 long two side by side… 1.8 wide: no.
    expect(rollLengthM(pieces, 1.4, true)).toBeLessThanOrEqual(3.3)
  })
  it('turns what would not fit, and says when nothing does', () => {
    expect(rollLengthM([{ count: 1, longM: 0.5, wideM: 2 }], 1.4, true)).toBe(2)
    expect(() => rollLengthM([{ count: 1, longM: 0.5, wideM: 2 }], 1.4, false)).toThrow(
      /wider than the roll/,
    )
  })
  it('is never less than the area asks, nor more than one piece a row', () => {
    const piece = fc.record({
      count: fc.integer({ min: 0, max: 20 }),
      longM: fc.integer({ min: 1, max: 30 }).map((n) => n / 10),
      wideM: fc.integer({ min: 1, max: 14 }).map((n) => n / 10),
    })
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 4 }), fc.boolean(), (pieces, turn) => {
        const length = rollLengthM(pieces, 1.4, turn)
        const area = pieces.reduce((sum, one) => sum + one.count * one.longM * one.wideM, 0)
        const singly = pieces.reduce((sum, one) => sum + one.count * one.longM, 0)
        expect(length).toBeGreaterThanOrEqual(area / 1.4 - 1e-9)
        expect(length).toBeLessThanOrEqual(singly + 1e-9)
      }),
    )
  })
})
