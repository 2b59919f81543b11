/** A place's history on a line, by hand. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dateOf, dayNumber } from '../time/civil'
import type { HistoryEntry } from './history'
import { historyAxis } from './historyAxis'

const entry = (on: string, kind: HistoryEntry['kind'], isRough = false): HistoryEntry => ({
  ...{ key: `${kind} ${on}`, on, isRough, kind, what: '', more: '', to: '' },
})
/** Afloat from the 2nd of May to the 3rd of October 2026. */
const isAfloat = (day: number) => day >= dayNumber('2026-05-02') && day < dayNumber('2026-10-03')
const again = { doneOn: '2026-01-10', foundOn: '2027-03-06' }
const at = (axis: ReturnType<typeof historyAxis>) =>
  axis.marks.map(({ x, kind, count }) => [Math.round(x), kind, count])

describe('the history of a place on a line', () => {
  it('has what was before us left of a break, then days to scale, stretched since it came again', () => {
    const axis = historyAxis(
      [
        entry('2011-07-01', 'before', true),
        entry('2026-01-10', 'done'),
        entry('2027-03-06', 'found'),
        entry('2027-05-01', 'toCome'),
      ],
      again,
      '2027-04-17',
      isAfloat,
      628,
    )
    // 14 + 64 for what was before us, the break to 108; 506 px are left, 60 % of them to the 6th of March: 411.6.
    expect(axis.breakX).toBe(93)
    expect(axis.held.map((x) => x.toFixed(1))).toEqual(['108.0', '411.6'])
    expect(at(axis)).toEqual([
      [14, 'before', 1],
      [108, 'done', 1],
      [412, 'found', 1],
      [614, 'toCome', 1],
    ])
    // 42 of 56 days since.
    expect(axis.todayX).toBeCloseTo(411.6 + (202.4 * 42) / 56, 6)
    // 112 and 266 of 420 days after it: the summer.
    expect(axis.afloat.flat().map((x) => x.toFixed(1))).toEqual(['189.0', '300.3'])
    // 356 of 420 days after the repair.
    expect(axis.years).toEqual([{ x: expect.closeTo(108 + (303.6 * 356) / 420, 6), text: '2027' }])
  })
  it('gives each of what was before us the same room, in its order', () => {
    const axis = historyAxis(
      [entry('2004-01-01', 'before', true), entry('2011-07-01', 'before', true)],
      again,
      '2027-04-17',
      isAfloat,
      628,
    )
    // 14, and 64 further on; the break before 14 + 2 × 64 + 30.
    expect(at(axis).slice(0, 2)).toEqual([
      [14, 'before', 1],
      [78, 'before', 1],
    ])
    expect(axis.held[0]).toBe(172)
  })
  it('is whole to the right where nothing is known from before us, and ends where it came again today', () => {
    const axis = historyAxis([entry('2027-03-06', 'found')], again, '2027-03-06', isAfloat, 628)
    expect([axis.breakX, axis.held, axis.todayX]).toEqual([null, [14, 614], 614])
  })
  it('shows what presses most of things of the same days, with their count', () => {
    const axis = historyAxis(
      [
        entry('2026-01-10', 'done'),
        entry('2027-03-05', 'done'),
        entry('2027-03-06', 'found'),
        entry('2027-03-06', 'done'),
      ],
      again,
      '2028-03-06',
      isAfloat,
      628,
    )
    expect(at(axis).slice(1)).toEqual([[expect.any(Number), 'found', 3]])
  })
  it('parts marks from 16 px on: 19 days at 360 px for 420, not 18', () => {
    const marks = (second: string) =>
      historyAxis(
        [entry('2026-01-10', 'done'), entry(second, 'done'), entry('2027-03-06', 'found')],
        again,
        '2028-03-06',
        isAfloat,
        628,
      ).marks.length
    expect([marks('2026-01-28'), marks('2026-01-29')]).toEqual([2, 3])
  })
  it('loses nothing, keeps order and never leaves its edges', () => {
    const day = fc.integer({ min: 20_000, max: 21_500 })
    fc.assert(
      fc.property(
        fc.array(fc.tuple(day, fc.boolean()), { maxLength: 60 }),
        day,
        day,
        day,
        fc.integer({ min: 240, max: 900 }),
        (list, a, b, today, width) => {
          const entries = list
            .map(([on, isRough]) => entry(dateOf(on), isRough ? 'before' : 'done', isRough))
            .sort(
              (one, other) =>
                Number(other.isRough) - Number(one.isRough) || (one.on < other.on ? -1 : 1),
            )
          const [doneOn, foundOn] = [Math.min(a, b), Math.max(a, b)].map(dateOf) as [string, string]
          const axis = historyAxis(entries, { doneOn, foundOn }, dateOf(today), isAfloat, width)
          expect(axis.marks.reduce((sum, one) => sum + one.count, 0)).toBe(entries.length)
          const xs = [14, ...axis.marks.map((one) => one.x), width - 14]
          for (const [index, x] of xs.entries())
            expect(x).toBeGreaterThanOrEqual(xs[index - 1] ?? 0)
          expect(axis.held[1]).toBeGreaterThanOrEqual(axis.held[0])
        },
      ),
    )
  })
})
