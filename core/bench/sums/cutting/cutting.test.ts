import { describe, expect, it } from 'vitest'
import type { LineValues, Values } from '../../ask'
import { answerOf, shown, troubleOf } from '../../../testing/bench'

const piece = (long: number, wide: number, more: LineValues = {}): LineValues => ({
  name: 'side',
  many: 1,
  long,
  wide,
  ...more,
})
const roll = (pieces: readonly LineValues[], more: Values = {}): Values => ({
  roll: 1000,
  trim: 0,
  step: 1,
  pieces,
  ...more,
})

describe('a piece that may be joined', () => {
  it('is cut in two where it is wider than the roll, each half with its seam', () => {
    const wide = roll([piece(2000, 1400, { join: 'two' })])
    // Halves of 700 + 20: side by side they are 1440, so one lies behind the other: 4 m. Without leave it is no plan.
    expect(shown('from-a-roll', wide, ['says', 'Joined of two'])).toEqual(['buy 4 m', 'side'])
    expect(troubleOf('from-a-roll', roll([piece(2000, 1400)]))).toEqual([
      'pieces.0.wide: The roll is 1000 mm wide.',
    ])
    // A trim of 10 makes them 2020 long and 700 + 10 + 20 wide: a roll of 720 is too narrow for that, one of 730 is not.
    const halves = (wideRoll: number) => ({ ...wide, roll: wideRoll, trim: 10 })
    expect(answerOf('from-a-roll', halves(730)).says).toBe('buy 4.04 m')
    expect(troubleOf('from-a-roll', halves(729))).toHaveLength(1)
  })
  it('is joined only where that saves something', () => {
    // 3 m × 600 and two of 1.5 m × 400: 3 m whole. In two of 1.5 m without a seam it would be as long, so it stays whole.
    const spares = roll([piece(3000, 600, { join: 'two' }), piece(1500, 400, { many: 2 })], {
      seam: 0,
    })
    const { says, figures } = answerOf('from-a-roll', spares)
    expect([says, figures.some((one) => one.label === 'Joined of two')]).toEqual(['buy 3 m', false])
    // 3 m × 500 in two halves of 1520 lies side by side on the roll.
    expect(shown('from-a-roll', roll([piece(3000, 500, { join: 'two' })]), ['says'])).toEqual([
      'buy 1.52 m',
    ])
  })
  it('of a sheet too: two halves of what is longer than it', () => {
    const sheets = { trim: 0, kerf: 0, pieces: [piece(3000, 600, { join: 'two' })] }
    expect(shown('from-a-sheet', sheets, ['says', 'Joined of two'])).toEqual(['one sheet', 'side'])
    expect(troubleOf('from-a-sheet', { ...sheets, pieces: [piece(3000, 600)] })).toHaveLength(1)
  })
})

describe('a piece laid by hand', () => {
  it('stays where it is pinned; over another or over the edge it is refused at its field', () => {
    const pinned = { pinAlong: 500, pinAcross: 100 }
    const table = answerOf('from-a-roll', roll([piece(400, 300, pinned), piece(500, 1000)])).table
    expect(table?.rows.find((row) => row[0]?.startsWith('1 '))?.slice(1, 3)).toEqual([
      '500 mm',
      '100 mm',
    ])
    expect(
      troubleOf('from-a-roll', roll([piece(400, 300, pinned), piece(400, 300, pinned)])),
    ).toEqual(['pieces.1.pinAlong: It lies over side.'])
    expect(troubleOf('from-a-roll', roll([piece(400, 300, { pinAcross: 701 })]))).toHaveLength(1)
  })
  it('what is bought alone leaves the offcut on the shelf', () => {
    const stock = [{ name: 'rest', long: 600, wide: 600, lot: '' }]
    const any = roll([piece(500, 500)], { stock })
    expect(answerOf('from-a-roll', any).says).toBe('buy 0 m')
    expect(
      answerOf('from-a-roll', roll([piece(500, 500, { from: 'bought' })], { stock })).says,
    ).toBe('buy 0.5 m')
  })
})

describe('bars', () => {
  const bars = (pieces: readonly LineValues[], more: Values = {}): Values => ({
    kerf: 0,
    sold: [{ long: 6000 }],
    pieces,
    ...more,
  })
  it('want one more where the saw eats the last millimetres', () => {
    // Three of 2000 are 6000; two cuts of 3 between them are not there.
    const three = bars([{ name: 'rail', many: 3, long: 2000 }])
    expect(answerOf('bars-and-planks', three).says).toBe('1 × 6 m')
    expect(answerOf('bars-and-planks', { ...three, kerf: 3 }).says).toBe('2 × 6 m')
  })
  it('lie in lengths by what fits, first in what is there', () => {
    // 2400 + 2400 + 900 = 5700 and 3 × 900 + 4 × 650 = 5300: two of 6 m. A rest of 2.5 m there takes one rail; one more is bought.
    const pieces = [
      { name: 'rail', many: 2, long: 2400 },
      { name: 'post', many: 4, long: 900 },
      { name: 'brace', many: 4, long: 650 },
    ]
    expect(answerOf('bars-and-planks', bars(pieces, { kerf: 2 })).says).toBe('2 × 6 m')
    const rest = { stock: [{ name: 'rest', long: 2500, lot: '' }] }
    // 11 000 less 2400 are 8600: two bars still. Without the braces, 6000: 2400 + 3600 fill one to the millimetre.
    expect(answerOf('bars-and-planks', bars(pieces, rest)).says).toBe('2 × 6 m')
    expect(answerOf('bars-and-planks', bars(pieces.slice(0, 2), rest)).says).toBe('1 × 6 m')
    // 5 mm left on each: 2405 + 4 × 905 = 6025.
    expect(answerOf('bars-and-planks', bars(pieces.slice(0, 2), { ...rest, spare: 5 })).says).toBe(
      '2 × 6 m',
    )
  })
})
