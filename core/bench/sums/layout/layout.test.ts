import { describe, expect, it } from 'vitest'
import { answerOf, shown, troubleOf } from '../../../testing/bench'

describe('along a run', () => {
  it('posts even, clear of what is in the way, with a gate', () => {
    expect(answerOf('spans-and-posts').heading).toBe('7 posts, spans 1500 mm')
    // 9 m at 1.5 with a gate 3.0–3.7: two of 1500, then 5.3/4 = 1325.
    const gate = answerOf('spans-and-posts', { hasGate: 'yes' })
    expect(gate.table?.rows.map((row) => row[1])).toEqual(
      ['0', '1500', '3000', '3700', '5025', '6350', '7675', '9000'].map((one) => `${one} mm`),
    )
    const out = answerOf('spans-and-posts', { keepOuts: [{ what: 'plate', from: 1.4, to: 1.7 }] })
    expect(
      out.table?.rows.every((row) => {
        const mm = Number((row[1] as string).split(' ')[0])
        return mm <= 1400 || mm >= 1700
      }),
    ).toBe(true)
    expect(
      troubleOf('spans-and-posts', { keepOuts: [{ what: 'all', from: 0.5, to: 8.5 }] })[0],
    ).toMatch(/no post can stand/)
    expect(troubleOf('spans-and-posts', { hasGate: 'yes', gateAt: 8.9 })[0]).toMatch(
      /gate must lie/,
    )
  })
  it('a wedge at its bolts', () => {
    // 6 + 16·30/200 = 8.4; 6 + 16·170/200 = 19.6; atan(16/200) = 4.57°
    expect(shown('wedge-and-spacer', {}, ['bolt 1, 30 mm', 'bolt 2, 170 mm', 'Angle'])).toEqual([
      '8.4 mm',
      '19.6 mm',
      '4.57°',
    ])
    expect(answerOf('wedge-and-spacer', { low: 2 }).verdict).toBe('look')
    expect(troubleOf('wedge-and-spacer', { bolts: [{ name: 'b', at: 250 }] })[0]).toMatch(
      /^bolts\.0\.at/,
    )
  })
  it('levels from one datum', () => {
    // 75 against 66
    expect(answerOf('levels-to-meet').says).toBe('9 mm under')
    expect(answerOf('levels-to-meet', { rise: 8.5 }).says).toBe('level')
    expect(answerOf('levels-to-meet', { rise: 12 }).says).toBe('3 mm over')
  })
})

describe('bends', () => {
  it('flat length and bend line', () => {
    // BA = π/2·(3 + 0.8) = 5.969; 90 − (10 − 5.969) = 85.97; begins 50 − 5
    expect(shown('bend-and-bracket', {}, ['Flat', 'Bend begins at', 'Middle of the bend'])).toEqual(
      ['86 mm', '45 mm', '48 mm'],
    )
    // A channel 50, 40, 50: 140 − 2·4.031
    expect(shown('bend-and-bracket', { three: 50 }, ['Flat'])).toEqual(['132 mm'])
    // 45°, r 5, t 3: BA = 4.869; 120 − 1.758
    const open = { one: 60, two: 60, angle: 45, radius: 5, thick: 3 }
    expect(shown('bend-and-bracket', open, ['Flat'])).toEqual(['118 mm'])
  })
  it('marks round a closed frame', () => {
    // Corners outside 60: π/2·50 = 78.54; 2·480 + 2·280 + 4·78.54 = 1834.2; first at 240.
    const answer = answerOf('bend-marks')
    expect(answer.says).toBe('cut 1834 mm')
    expect(answer.table?.rows.map((row) => row[1])).toEqual([
      '240 mm',
      '599 mm',
      '1157 mm',
      '1516 mm',
    ])
    // Begun 40 off the middle all marks come 40 sooner.
    expect(answerOf('bend-marks', { start: 40 }).table?.rows[0]?.[1]).toBe('200 mm')
    expect(troubleOf('bend-marks', { radius: 190 })[0]).toMatch(/^radius: /)
  })
})

describe('through and beside', () => {
  it('square, turned, and not at all', () => {
    // 500 × 400 first in 680 × 580: 180 to spare.
    expect(answerOf('does-it-go-in').says).toBe('yes, square, 180 mm to spare')
    // A sheet of 720 × 20 goes through 600 × 420 only turned: 732.4 across the corners.
    const sheet = {
      a: 720,
      b: 20,
      c: 1500,
      openLong: 610,
      openWide: 430,
      clear: 0,
      inside: 2000,
      spaceA: 2000,
      spaceB: 2000,
      spaceC: 2000,
    }
    expect(answerOf('does-it-go-in', { ...sheet, c: 650 }).verdict).toBe('go')
    const turned = answerOf('does-it-go-in', { ...sheet, b: 25, c: 1500 })
    expect(turned.verdict).not.toBe('stop')
    const big = answerOf('does-it-go-in', { a: 900, b: 800, c: 700, openLong: 600, openWide: 500 })
    expect(big.verdict).toBe('stop')
    expect(answerOf('does-it-go-in', { spaceA: 800 }).verdict).toBe('stop')
    expect(answerOf('does-it-go-in', { inside: 600 }).verdict).toBe('look')
  })
  it('a template closes, or is measured again', () => {
    // C (791.3, 499.9), D (22.6, 519.5): 768.9 apart.
    expect(shown('template-diagonals', {}, ['Upper side by the others'])).toEqual(['769 mm'])
    expect(answerOf('template-diagonals').verdict).toBe('go')
    expect(answerOf('template-diagonals', { cd: 760 }).verdict).toBe('stop')
    // 3-4-5: a rectangle of 400 × 300.
    const square = { ab: 400, bc: 300, cd: 400, da: 300, ac: 500, bd: 500 }
    expect(shown('template-diagonals', square, ['Area', 'Out of square at A'])).toEqual([
      '0.12 m²',
      '0°',
    ])
    expect(troubleOf('template-diagonals', { ac: 2000 })[0]).toMatch(/^ac: /)
  })
  it('the edge of a hole, and who still passes', () => {
    expect(
      shown('hole-edge-and-passing', {}, ['Near edge', 'Far edge', 'Free beside the rim']),
    ).toEqual([
      '340 mm',
      '460 mm',
      // 900 − 460 − 15
      '425 mm',
    ])
    expect(answerOf('hole-edge-and-passing', { width: 930 }).takes).toBe('walks past')
    expect(answerOf('hole-edge-and-passing', { width: 500, least: 50 }).verdict).toBe('stop')
    expect(troubleOf('hole-edge-and-passing', { centre: 50 })[0]).toMatch(/^centre: /)
  })
})
