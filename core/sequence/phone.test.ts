import { describe, expect, it } from 'vitest'
import type { Level } from './pieces'
import { widthOf } from './measure'
import { linesOf, phoneOf } from './phone'
import type { Plank } from './planks'
import type { KnotReading } from './reading'
import type { Ruler } from './ruler'

/** Down from 100 to 600, half a unit each. */
const ruler: Ruler = {
  notches: [
    { at: 0, x: 100 },
    { at: 1000, x: 600 },
  ],
  from: 0,
  to: 1000,
  left: 100,
  right: 600,
}
const plank = (key: string, level: Level, from: number, to: number, binding = false): Plank =>
  ({
    key,
    level,
    from,
    to,
    binding,
    seam: [{ from, to, kind: 'hands' }],
    pieces: [{ step: { id: `step ${key}` } }],
  }) as unknown as Plank
const planks = [
  plank('early', 'deck', 0, 100),
  plank('holds', 'deck', 50, 200, true),
  plank('beside', 'deck', 100, 300),
  plank('after early', 'deck', 130, 310),
  plank('no room', 'deck', 140, 320),
  plank('after holds', 'deck', 210, 400),
  plank('short', 'underwater', 400, 402),
  plank('over', 'shed', -50, 0),
]
const reading = (label: string, key: string, dates = '1 May'): KnotReading => ({
  label,
  title: `Link ${label}`,
  dates,
  why: `Why ${label}`,
  stepIds: [`step ${key}`],
  links: [],
})
const starts: Readonly<Record<string, number>> = {
  'step short': 400,
  'step holds': 60,
  'step early': 50,
  'step beside': 162,
  'step no room': 200,
  'step far': 2000,
}
const drawn = (list: readonly KnotReading[]) =>
  phoneOf(planks, list, (id) => starts[id] ?? null, ruler, 1200)

describe('the drawing turned for a phone', () => {
  it('stands what holds the gate first in its level, three side by side, and counts the others', () => {
    const { columns, wordsX } = drawn([])
    expect(columns.map((one) => [one.level, one.x0, one.x1, one.count])).toEqual([
      // Three lanes of 8 with 3 between them.
      ['deck', 64, 94, 6],
      ['underwater', 107, 115, 1],
    ])
    expect(columns[0]?.bars.map((bar) => [bar.plank.key, bar.x, bar.y0, bar.y1])).toEqual([
      ['holds', 64, 125, 200],
      ['early', 75, 100, 150],
      ['beside', 86, 150, 250],
      ['after early', 75, 165, 255],
      ['after holds', 64, 205, 300],
    ])
    // One unit long: seen all the same.
    expect(columns[1]?.bars).toMatchObject([{ y0: 300, y1: 304, parts: [{ y: 300, tall: 2 }] }])
    expect(wordsX).toBe(146)
  })

  it('ties links of one bar that lie close into one knot, and their words into one reading', () => {
    const { knots, rope, words, height } = drawn([
      reading('1', 'short'),
      reading('2', 'beside'),
      { ...reading('3', 'holds', '30 April'), stepIds: ['step early', 'step holds'] },
    ])
    expect(rope).toEqual([
      { x: 68, y: 130 },
      { x: 90, y: 181 },
      { x: 111, y: 300 },
    ])
    expect(knots).toEqual([
      { label: '3', x: 68, y: 130, half: 9.5 },
      { label: '2', x: 90, y: 181, half: 9.5 },
      { label: '1', x: 111, y: 300, half: 9.5 },
    ])
    // 51 apart: one reading, said from the first.
    expect(words.map((one) => [one.reading.label, one.top, one.tall])).toEqual([
      ['2–3', 120.5, 36],
      ['1', 290.5, 36],
    ])
    expect(words[0]?.reading).toMatchObject({
      title: 'Link 3, Link 2',
      dates: 'from 30 April',
      why: 'Why 3',
      stepIds: ['step early', 'step holds', 'step beside'],
    })
    expect(height).toBe(600)
  })

  it('ties three of one bar, names the first and counts the others, and keeps words off each other', () => {
    const near = ['4', '3', '2'].map((label) => reading(label, 'holds'))
    const { knots, words } = drawn([reading('1', 'beside'), ...near])
    expect(knots[0]).toEqual({ label: '2–4', x: 68, y: 130, half: (3 * 6.6) / 2 + 4 })
    expect(words.map((one) => one.reading.title)).toEqual(['Link 4 and 3 more'])
  })

  it('pushes words down where those above them take many lines', () => {
    const wordy = { ...reading('2', 'holds'), why: 'She waits for the coat under it to harden.' }
    const list = [reading('1', 'later'), wordy]
    const at = (id: string) => (id === 'step later' ? 190 : (starts[id] ?? null))
    const more = [...planks, plank('later', 'rig', 190, 200)]
    const [first, second] = phoneOf(more, list, at, ruler, 260).words
    expect(second).toBeDefined()
    expect(first?.tall).toBeGreaterThan(60)
    expect(second?.top).toBe((first?.top ?? 0) + (first?.tall ?? 0) + 8)
  })

  it('says nothing of what is not drawn: folded, without a place, out of sight', () => {
    const none = { ...reading('9', 'holds'), stepIds: [] }
    expect(
      drawn([reading('1', 'no room'), reading('2', 'far'), reading('3', 'nowhere'), none]),
    ).toMatchObject({ knots: [], words: [], rope: [] })
  })
})

describe('lines of words', () => {
  const [word, space] = [widthOf('keel', 16, 600), widthOf(' ', 16, 600)]
  it.each([
    ['two that fit to the hair', 'keel keel', 2 * word + space, 1],
    ['two, a hair too narrow', 'keel keel', 2 * word + space - 0.1, 2],
    ['three on two lines', 'keel keel keel', 2 * word + space, 2],
    ['one word as wide as the line', 'keel', word, 1],
    ['one word over two lines', 'keelkeel', word * 1.5, 2],
    ['nothing at all', '', 100, 1],
  ])('%s', (_, text, width, lines) => {
    expect(linesOf(text, 16, 600, width)).toBe(lines)
  })
})
