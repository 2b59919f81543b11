/** Rows of posts, by hand and against every row there is. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exactSpans } from './exactSpans'
import type { SpansAsked } from './exactSpans'

/** Every row of posts there is, tried one by one: spans, and the difference of the longest and the shortest. */
function tried({ length, maxSpan, keepOuts, grid }: SpansAsked): [number, number] | null {
  const lines: number[] = []
  for (let line = 1; line * grid < length - 1e-9; line++) {
    const x = line * grid
    if (!keepOuts.some(([a, b]) => x >= a - 1e-9 && x <= b + 1e-9)) lines.push(x)
  }
  let best: [number, number] | null = null
  const walk = (posts: readonly number[], from: number): void => {
    const here = posts.at(-1) as number
    if (best && posts.length > best[0]) return
    if (length - here <= maxSpan + 1e-9) {
      const all = [...posts, length]
      const spans = all.slice(1).map((post, index) => post - (all[index] as number))
      const found: [number, number] = [spans.length, Math.max(...spans) - Math.min(...spans)]
      if (!best || found[0] < best[0] || (found[0] === best[0] && found[1] < best[1])) best = found
    }
    for (let index = from; index < lines.length; index++) {
      const post = lines[index] as number
      if (post - here > maxSpan + 1e-9) break
      walk([...posts, post], index + 1)
    }
  }
  walk([0], 0)
  return best
}
const shape = (posts: readonly number[] | null): [number, number] | null => {
  if (!posts) return null
  const spans = posts.slice(1).map((post, index) => post - (posts[index] as number))
  return [spans.length, Math.max(...spans) - Math.min(...spans)]
}

describe('posts along a run', () => {
  it('are as few as can be, then as even as can be, by hand', () => {
    // 7.2 m at most 1.6: five spans of 1.44.
    expect(exactSpans({ length: 7200, maxSpan: 1600, keepOuts: [], grid: 1 })).toEqual([
      0, 1440, 2880, 4320, 5760, 7200,
    ])
    // Three spans of 10 want posts at 10 and 20; 9 to 11 is shut. Best: 8 and 19, or 12 and 21: 8, 11, 11 and 12, 9, 9.
    const row = { length: 30, maxSpan: 12, keepOuts: [[9, 11]] as [number, number][], grid: 1 }
    expect(shape(exactSpans(row))).toEqual([3, 3])
    // At most 9: four spans, two of 7 and two of 8, none of their posts at 9 to 11.
    expect(shape(exactSpans({ ...row, maxSpan: 9 }))).toEqual([4, 1])
    // 6 at least is to be had, with 11 at most: 11, 6, 6. Less lies between 5, 9 and 9.
    const uneven = {
      length: 23,
      maxSpan: 11,
      keepOuts: [
        [6, 10],
        [22, 23],
      ] as [number, number][],
      grid: 1,
    }
    expect(exactSpans(uneven)).toEqual([0, 5, 14, 23])
    // Nothing stands between 4 and 16.
    expect(exactSpans({ ...row, keepOuts: [[4, 16]] })).toBeNull()
    expect(exactSpans({ length: 5, maxSpan: 5, keepOuts: [[0, 5]], grid: 1 })).toEqual([0, 5])
    expect(() => exactSpans({ ...row, grid: 0 })).toThrow(RangeError)
    expect(() => exactSpans({ ...row, keepOuts: [[3, 2]] })).toThrow(RangeError)
  })

  it('are as good as the best of all rows there are', () => {
    const part = fc.integer({ min: 0, max: 18 })
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 18 }),
        fc.constantFrom(0, 0.25, 0.5),
        fc.integer({ min: 2, max: 12 }),
        fc.array(fc.tuple(part, fc.integer({ min: 0, max: 4 })), { maxLength: 4 }),
        fc.constantFrom(1, 0.5),
        (whole, off, maxSpan, shut, grid) => {
          const length = whole * grid + off * grid
          const asked = {
            length,
            maxSpan: maxSpan * grid,
            keepOuts: shut.map(([a, wide]): [number, number] => [a * grid, (a + wide) * grid]),
            grid,
          }
          const [found, best] = [shape(exactSpans(asked)), tried(asked)]
          expect(found?.[0]).toBe(best?.[0])
          if (found && best) expect(found[1]).toBeCloseTo(best[1], 6)
        },
      ),
      { numRuns: 400 },
    )
  })

  it('are proven on a run of 100 m at a millimetre in no time to speak of', () => {
    const keepOuts = Array.from({ length: 40 }, (_, at): [number, number] => [
      at * 2400 + 900,
      at * 2400 + 1500,
    ])
    const posts = exactSpans({ length: 99_991, maxSpan: 2000, keepOuts, grid: 1 })
    expect(posts?.length).toBeGreaterThan(50)
    for (const post of posts?.slice(1, -1) ?? [])
      expect(keepOuts.some(([a, b]) => post >= a && post <= b)).toBe(false)
  })
})
