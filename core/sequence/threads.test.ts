import { describe, expect, it } from 'vitest'
import type { Placement } from '../model/stored'
import { dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { atX, pairRuler, xOf } from './ruler'
import { threadsOf } from './threads'

const clock = zoneClock('UTC')
const saturday = dayNumber('2027-05-01')
const at = (on: string) => Date.parse(`${on}Z`)
/** Two days of ten hours in 200 units each: 20 an hour, and 20 between them for the night. */
const ruler = pairRuler(saturday, [8 * 60, 18 * 60], clock, 0, 420, 20)

describe('the ruler of two days', () => {
  it.each([
    ['2027-05-01T08:00', 0],
    ['2027-05-01T09:30', 30],
    ['2027-05-01T18:00', 200],
    // Fourteen hours of night on twenty units.
    ['2027-05-02T01:00', 210],
    ['2027-05-02T08:00', 220],
    ['2027-05-02T18:00', 420],
  ])('has %s at %d, and reads it back', (on, x) => {
    expect(xOf(ruler, at(on))).toBeCloseTo(x, 9)
    expect(atX(ruler, x)).toBe(at(on))
  })

  it('keeps what is outside at its ends', () => {
    expect(xOf(ruler, at('2027-05-01T06:00'))).toBe(0)
    expect(xOf(ruler, at('2027-05-03T06:00'))).toBe(420)
    expect([atX(ruler, -5), atX(ruler, 500)]).toEqual([ruler.from, ruler.to])
  })
})

describe('threads', () => {
  const placed = (stepId: string, personIds: readonly string[], from: string, to: string) =>
    ({ stepId, personIds, segments: [[at(from), at(to)]] }) as unknown as Placement
  /** Height of the seam of each step; the last is not drawn. */
  const heights: Readonly<Record<string, number>> = { bed: 100, bolt: 60, sand: 140 }
  const threads = threadsOf(
    [
      { id: 'ida', letter: 'I' },
      { id: 'ben', letter: 'B' },
      { id: 'cy', letter: 'C' },
    ],
    [
      placed('bolt', ['ida'], '2027-05-01T12:00', '2027-05-01T13:00'),
      placed('bed', ['ida'], '2027-05-01T09:00', '2027-05-01T11:00'),
      placed('sand', ['ben', 'ida'], '2027-05-02T08:00', '2027-05-02T10:00'),
      placed('folded', ['ida'], '2027-05-02T11:00', '2027-05-02T12:00'),
      placed('bed', ['ida'], '2027-05-04T09:00', '2027-05-04T11:00'),
    ],
    (stepId) => heights[stepId] ?? null,
    ruler,
    clock,
    200,
  )

  it('go through the places of a person in order of time, one path a day from the ground and back', () => {
    const [ida] = threads
    // Each mark hangs 11 before its work, 18 more for who stands before it.
    expect(ida?.marks).toEqual([
      { x: 9, y: 100 },
      { x: 69, y: 60 },
      { x: 191, y: 140 },
    ])
    expect(ida?.paths).toEqual([
      'M-43 200C-17 188 3 150 9 100M60 100C70 118 65 38 69 60M100 60C122 60 124 130 134 200',
      'M139 200C165 188 185 170 191 140M260 140C282 140 284 170 294 200',
    ])
  })

  it('are told apart by shape and letter; who is at nothing has no path', () => {
    expect(threads.map((one) => [one.letter, one.shape, one.paths.length])).toEqual([
      ['I', 'round', 2],
      ['B', 'square', 1],
      ['C', 'triangle', 0],
    ])
    expect(threads[1]?.marks).toEqual([{ x: 209, y: 140 }])
  })
})
