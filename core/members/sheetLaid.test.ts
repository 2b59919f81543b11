/** How a count sheet folds, where arrows lead, and what a drag along a timber means. */
import { describe, expect, it } from 'vitest'
import { memberBeside, nextUnseen, sheetColumns, stretchBetween } from './sheetLaid'

type Side = 'starboard' | 'port' | 'centre'
const member = (station: number, more: object = {}, side: Side = 'port') => ({
  id: `${side[0]}${station}`,
  station,
  side,
  seen: true,
  marks: [] as ('cracked' | 'soft')[],
  ...more,
})
const sound = (count: number) => Array.from({ length: count }, (_, at) => member(at + 1))
const said = (columns: readonly { from: number; to: number }[]) =>
  columns.map(({ from, to }) => (from === to ? `${from}` : `${from}-${to}`)).join(' ')

describe('columns', () => {
  it('are one a station up to twenty', () => {
    expect(sheetColumns(sound(20))).toHaveLength(20)
    expect(said(sheetColumns([]))).toBe('1')
  })
  it('fold runs of three and more sound stations over twenty', () => {
    const members = sound(24).map((one) =>
      one.station === 4
        ? { ...one, marks: ['soft' as const] }
        : one.station === 7
          ? { ...one, seen: false }
          : one,
    )
    expect(said(sheetColumns(members))).toBe('1-3 4 5 6 7 8-24')
    expect(said(sheetColumns(members, new Set([1])))).toBe('1 2 3 4 5 6 7 8-24')
    // The other side of a station that is bad on one keeps it open.
    const other = member(12, { marks: ['cracked'] }, 'starboard')
    expect(said(sheetColumns([...members, other]))).toBe('1-3 4 5 6 7 8-11 12 13-24')
  })
  it('do not fold stations where nothing is', () => {
    const members = sound(24).filter((one) => one.station > 3)
    expect(said(sheetColumns(members))).toBe('1 2 3 4-24')
  })
})

it('arrows go along the lane past what is not drawn, and across at the station', () => {
  const drawn = [member(1), member(5), member(5, {}, 'starboard'), member(6, {}, 'centre')]
  const [first, fifth, over] = drawn
  if (!first || !fifth || !over) throw new Error('Not drawn.')
  const to = (from: (typeof drawn)[number], towards: 'bow' | 'stern' | 'up' | 'down') =>
    memberBeside(drawn, from, towards).id
  expect([to(first, 'stern'), to(fifth, 'bow'), to(fifth, 'up'), to(over, 'down')]).toEqual([
    'p5',
    'p1',
    's5',
    'p5',
  ])
  expect([to(first, 'bow'), to(first, 'up'), to(over, 'stern')]).toEqual(['p1', 'p1', 's5'])
})

it('the next unseen comes after the one at hand, and round again', () => {
  const drawn = [member(3, { seen: false }), member(1, { seen: false }), member(2)]
  expect(nextUnseen(drawn, null)?.id).toBe('p1')
  expect(nextUnseen(drawn, drawn[1] ?? null)?.id).toBe('p3')
  expect(nextUnseen(drawn, drawn[0] ?? null)?.id).toBe('p1')
  expect(nextUnseen(sound(3), null)).toBeNull()
})

it('a stretch is drawn either way, in twentieths, inside the member, and never empty', () => {
  expect(stretchBetween(0.31, 0.62)).toEqual({ from: 0.3, to: 0.6 })
  expect(stretchBetween(0.62, 0.31)).toEqual({ from: 0.3, to: 0.6 })
  expect(stretchBetween(-0.4, 0.5)).toEqual({ from: 0, to: 0.5 })
  expect(stretchBetween(1.2, 1.3)).toEqual({ from: 0.95, to: 1 })
  expect(stretchBetween(0.5, 0.51)).toEqual({ from: 0.5, to: 0.55 })
})
