/** Bends against the same bar traced in small steps: no formula of ours takes part. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { radiusMm } from '../structure/stiffness'
import { flatLengthMm } from './bend'
import { bendMarks } from './bendMarks'

type Point = readonly [x: number, y: number]
const away = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1])
const lengthOf = (line: readonly Point[]) =>
  line.slice(1).reduce((sum, one, at) => sum + away(one, line[at] as Point), 0)

/** A line that goes straight and turns by turns, from the origin along x; a turn is walked in 2,000 steps. */
function walk(
  parts: readonly (
    | { readonly straight: number }
    | { readonly turn: number; readonly radius: number }
  )[],
) {
  const line: Point[] = [[0, 0]]
  let heading = 0
  const step = (long: number) => {
    const [x, y] = line.at(-1) as Point
    line.push([x + long * Math.cos(heading), y + long * Math.sin(heading)])
  }
  for (const part of parts) {
    if ('straight' in part) step(part.straight)
    else
      for (let at = 0; at < 2000; at++) {
        heading += part.turn / 4000
        step((part.radius * part.turn) / 2000)
        heading += part.turn / 4000
      }
  }
  return line
}

describe('a bend, traced', () => {
  const bend = fc.record({
    angleDeg: fc.double({ min: 10, max: 150, noNaN: true }),
    radiusMm: fc.double({ min: 0.5, max: 40, noNaN: true }),
    thicknessMm: fc.double({ min: 0.5, max: 8, noNaN: true }),
  })
  it('takes of the flat what the neutral line is long, for legs measured over the outside corner', () =>
    fc.assert(
      fc.property(
        bend,
        fc.double({ min: 500, max: 900, noNaN: true }),
        ({ angleDeg, radiusMm: r, thicknessMm: t }, leg) => {
          const k = 0.4
          const turn = (angleDeg * Math.PI) / 180
          // The outside face is walked to find where its two straight runs meet; the neutral line is walked for its length.
          const straight = 100
          const outside = walk([{ straight }, { turn, radius: r + t }, { straight }])
          const [from, to] = [outside[1] as Point, outside.at(-1) as Point]
          // The corner lies on the first run, as far from its end as from the other run's beginning.
          let corner = 0
          for (let low = 0, high = 2000, i = 0; i < 80; i++) {
            corner = (low + high) / 2
            const at: Point = [from[0] + corner, from[1]]
            const side = (to[0] - at[0]) * Math.sin(turn) - (to[1] - at[1]) * Math.cos(turn)
            if (side > 0) low = corner
            else high = corner
          }
          const neutral = lengthOf(walk([{ turn, radius: r + k * t }]))
          const flat = 2 * (leg - corner) + neutral
          fc.pre(leg > corner)
          expect(
            flatLengthMm([leg, leg], [{ angleDeg, radiusMm: r, thicknessMm: t, k }]),
          ).toBeCloseTo(flat, 2)
        },
      ),
      { numRuns: 40 },
    ))
  it('four of them close a frame, and each begins at its mark', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 2000 }),
        fc.integer({ min: 200, max: 2000 }),
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: -20, max: 40 }),
        (long, wide, thick, radius, lap) => {
          const made = bendMarks({
            longMm: long,
            wideMm: wide,
            thickMm: thick,
            radiusMm: radius,
            startMm: 0,
            lapMm: lap,
          })
          const [first, second, third, fourth] = made.corners
          if (!first || !second || !third || !fourth) throw new Error('a corner is missing')
          const middle = radius + thick / 2
          const turn = Math.PI / 2
          const corner = { turn, radius: middle }
          const line = walk([
            { straight: first.fromMm },
            corner,
            { straight: second.fromMm - first.toMm },
            corner,
            { straight: third.fromMm - second.toMm },
            corner,
            { straight: fourth.fromMm - third.toMm },
            corner,
            { straight: made.cutMm - lap - fourth.toMm },
          ])
          expect(away([0, 0], line.at(-1) as Point)).toBeLessThan(0.01)
          expect(lengthOf(line)).toBeCloseTo(made.cutMm - lap, 2)
          // The neutral line of the frame lies half a bar inside its outside.
          const xs = line.map(([x]) => x)
          const ys = line.map(([, y]) => y)
          expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(long - thick, 2)
          expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(wide - thick, 2)
        },
      ),
      { numRuns: 40 },
    ))
  it('a joint at a mark of its own moves every corner by as much', () => {
    const frame = { longMm: 600, wideMm: 400, thickMm: 20, radiusMm: 40, lapMm: 0 }
    const [middle, moved] = [0, 75].map((startMm) => bendMarks({ ...frame, startMm }))
    expect(moved?.corners.map((one) => one.fromMm)).toEqual(
      middle?.corners.map((one) => one.fromMm - 75),
    )
    expect(() => bendMarks({ ...frame, startMm: 241 })).toThrow(/joint/)
    expect(() => bendMarks({ ...frame, wideMm: 119, startMm: 0 })).toThrow(/side/)
  })
  it('the radius of a batten is that of the circle through its ends and its middle', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 900 }),
        fc.double({ min: 0.06, max: 3, noNaN: true }),
        (radius, half) => {
          const chord = 2 * radius * Math.sin(half)
          const height = radius * (1 - Math.cos(half))
          fc.pre(height > 0.02)
          expect(radiusMm(chord, height) / radius).toBeCloseTo(1, 6)
        },
      ),
    ))
})
