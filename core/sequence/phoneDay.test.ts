/** A day by hand: 62 px an hour from 09:00, which lies at 30 px; lanes of 26 px from 48 px on. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Placement } from '../model/stored'
import { zoneClock } from '../time/zone'
import { phoneDayOf } from './phoneDay'
import type { Level } from './pieces'

const clock = zoneClock('UTC')
const day = clock.dayOf(Date.UTC(2027, 3, 17))
const at = (hour: number): number => clock.at(day, hour * 60)
const placed = (stepId: string, from: number, to: number, personIds: string[]): Placement => ({
  stepId,
  segments: [[at(from), at(to)]],
  readyAt: at(to),
  personIds,
  binding: { kind: 'now' },
})
const levelOf: Readonly<Record<string, Level>> = {
  both: 'deck',
  ann: 'deck',
  ben: 'below',
  last: 'deck',
}
const laid = (all: readonly Placement[], width = 390) =>
  phoneDayOf(
    all,
    clock,
    day,
    (id) => levelOf[id] ?? 'deck',
    (id) => ({ title: id, more: id === 'ann' ? 'waits to Monday, and long at that' : '' }),
    width,
  )

describe('a day on the phone', () => {
  const both = placed('both', 9, 10, ['ann', 'ben'])
  const told = laid([
    placed('last', 11, 12, ['ben']),
    both,
    placed('ann', 10, 12, ['ann']),
    placed('ben', 10, 11, ['ben']),
    { ...placed('trade', 10, 12, []) },
    { ...placed('next day', 9, 10, ['ann']), segments: [[at(33), at(34)]] },
  ])

  it('has time run down and levels stand side by side, what is at one time in lanes', () => {
    expect(told.hours.map((one) => [one.hour, one.y])).toEqual([
      [9, 30],
      [10, 92],
      [11, 154],
      [12, 216],
    ])
    // Ann is on deck until twelve, so that Ben's last hour there has a lane of its own.
    expect(told.columns).toEqual([
      { level: 'deck', x: 48 + 26 },
      { level: 'below', x: 48 + 52 + 8 + 13 },
    ])
    expect(told.boards.map((one) => [one.stepId, one.x, one.y0, one.y1])).toEqual([
      ['both', 61, 30, 92],
      ['ann', 61, 92, 216],
      ['last', 87, 154, 216],
      ['ben', 121, 92, 154],
    ])
  })

  it('leads everybody from step to step, beside whoever does it with them', () => {
    const [ann, ben] = told.threads
    expect(ann).toEqual({
      personId: 'ann',
      d: 'M54.5 30L54.5 92C54.5 92 61 92 61 92L61 216',
      starts: [
        { x: 54.5, y: 30 },
        { x: 61, y: 92 },
      ],
    })
    expect(ben?.starts).toEqual([
      { x: 67.5, y: 30 },
      { x: 121, y: 92 },
      { x: 87, y: 154 },
    ])
  })

  it('puts the words at their boards, or lower, never over one another, and loses none', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ from: fc.integer({ min: 7, max: 18 }), who: fc.nat(3) }), {
          minLength: 1,
          maxLength: 25,
        }),
        fc.integer({ min: 320, max: 430 }),
        (steps, width) => {
          const made = laid(
            steps.map(({ from, who }, index) => placed(`s${index}`, from, from + 1, [`p${who}`])),
            width,
          )
          expect(made.words).toHaveLength(steps.length)
          made.words.forEach((one, index) => {
            expect(one.tall).toBeGreaterThanOrEqual(44)
            expect(one.top).toBeGreaterThanOrEqual(one.y - 10)
            const next = made.words[index + 1]
            if (next) expect(next.top).toBeGreaterThanOrEqual(one.top + one.tall)
            expect(made.height).toBeGreaterThanOrEqual(one.top + one.tall)
          })
          expect(made.wordsX).toBeLessThan(width * 0.7)
          // No two boards at one time in one lane.
          for (const one of made.boards)
            for (const other of made.boards)
              if (one !== other && one.x === other.x)
                expect(one.y1 <= other.y0 || other.y1 <= one.y0).toBe(true)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('of nothing is an empty hour', () => {
    expect(laid([])).toMatchObject({ boards: [], threads: [], words: [] })
    expect(laid([]).hours.map((one) => one.hour)).toEqual([8, 9])
  })
})
