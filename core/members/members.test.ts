/** Members, pads and what she is worth, against sums by hand and an independent integral. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { add, emptyRefit } from '../testing/build'
import { lessWorth, outlookFigures } from '../outlook/worth'
import { chanceOf, expectedBad, renewFrom } from './expected'
import { sharesOver, supportFigures } from './pressure'
import { sayBand, sheetHeading, sheetSentence } from './saySheet'
import { sheetFigures } from './sheetFigures'

/** The same chance by Simpson's rule over the share: x = sin² turns the ends of the density finite. */
function byIntegral(bad: number, sound: number, unseen: number, k: number): number {
  const choose = Array.from({ length: k }, (_, i) => (unseen - i) / (i + 1)).reduce(
    (a, b) => a * b,
    1,
  )
  const weight = (power: number, other: number) => {
    const many = 4000
    let sum = 0
    for (let i = 0; i <= many; i++) {
      const angle = ((Math.PI / 2) * i) / many
      const [s, c] = [Math.sin(angle), Math.cos(angle)]
      sum += (i === 0 || i === many ? 1 : i % 2 ? 4 : 2) * s ** (2 * power) * c ** (2 * other)
    }
    return sum
  }
  return (choose * weight(bad + k, sound + unseen - k)) / weight(bad, sound)
}

describe('the unseen', () => {
  it('six bad of fourteen seen: 3.5 more of eight, seven to twelve in all', () => {
    const expected = expectedBad(6, 8, 8)
    expect(expected.rate).toBeCloseTo(6.5 / 15)
    expect(expected.more).toBeCloseTo(3.4667, 3)
    expect([expected.from, expected.to]).toEqual([7, 12])
    expect(renewFrom(20, 1.7)).toBe(12)
    expect(chanceOf(expected, 6, 12)).toBeCloseTo(0.12, 2)
  })
  it('one bad of five seen: 1.5 more of six, one to four in all', () => {
    const expected = expectedBad(1, 4, 6)
    expect(expected.more).toBeCloseTo(1.5)
    expect([expected.from, expected.to]).toEqual([1, 4])
  })
  it('have the chances of an independent integral, which add up to one', () => {
    const few = fc.integer({ min: 0, max: 9 })
    fc.assert(
      fc.property(few, few, fc.integer({ min: 0, max: 12 }), (bad, sound, unseen) => {
        const { chances } = expectedBad(bad, sound, unseen)
        expect(chances.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
        const k = Math.floor(unseen / 2)
        expect(chances[k]).toBeCloseTo(byIntegral(bad, sound, unseen, k), 6)
      }),
      { numRuns: 25 },
    )
  })
  it('of none unseen are what was seen', () => {
    expect(expectedBad(3, 4, 0)).toMatchObject({ more: 0, from: 3, to: 3, chances: [1] })
  })
})

describe('a count sheet', () => {
  const rows = emptyRefit()
  const sheet = add(rows, 'countSheet', 's', {
    title: 'Sole',
    bays: [
      { title: 'A', from: 1, to: 7, hours: 0.8, open: true },
      { title: 'B', from: 8, to: 11, hours: 2.6, open: false },
    ],
    mendHours: 1.7,
    mendMinor: 1900,
    renewHours: 20,
    renewMinor: 26_000,
    order: 'a',
  })
  const bad = new Set(['s1', 's2', 'p2', 's4', 'p4', 's5'])
  for (let station = 1; station <= 11; station++)
    for (const [side, letter] of [
      ['starboard', 's'],
      ['port', 'p'],
    ] as const)
      add(rows, 'member', `${letter}${station}`, {
        sheetId: 's',
        kind: 'bearer',
        station,
        side,
        seen: station <= 7,
        marks: bad.has(`${letter}${station}`) ? ['soft'] : [],
      })
  for (const station of [1, 2, 3])
    add(rows, 'member', `f${station}`, {
      sheetId: 's',
      kind: 'floor',
      station,
      side: 'centre',
      seen: station === 1,
    })
  it('is about what there is most of', () => {
    const figures = sheetFigures(sheet, rows.member)
    expect(figures?.kinds.map((one) => [one.kind, one.all, one.unseen])).toEqual([
      ['bearer', 22, 8],
      ['floor', 3, 2],
    ])
    expect(figures?.main.kind).toBe('bearer')
  })
  it('mends nine one by one: 9 × 1.7 + 3.4 = 18.7 hours against 23.4', () => {
    const figures = sheetFigures(sheet, rows.member)
    expect(figures).toMatchObject({
      likelyBad: 9,
      renewFrom: 12,
      better: 'mend',
      lopsided: 'forward',
      mendMinor: 17_100,
    })
    expect(figures?.mendHours).toBeCloseTo(18.7)
    expect(figures?.renewHours).toBeCloseTo(23.4)
    if (!figures) return
    expect(sheetHeading(figures)).toEqual({
      plain: '6 of 14 bearers seen are bad',
      expect: 'expect 9 of 22',
      way: 'Mend one by one',
    })
    expect(sheetSentence(figures).plain).toBe(
      '19 h with 3.5 h to open and shut the bays. From 12 bad, renew all: twelve chances in 100.',
    )
  })
  it('renews all from twelve bad on, and says nothing before anybody looked', () => {
    const cheaper = sheetFigures({ ...sheet, renewHours: 15 }, rows.member)
    expect([cheaper?.renewFrom, cheaper?.better]).toEqual([9, 'renew'])
    const unseen = rows.member.map((one) => ({ ...one, seen: false, marks: [] }))
    const blank = sheetFigures(sheet, unseen)
    expect(blank && sheetHeading(blank)).toEqual({
      plain: 'None of 22 bearers seen yet',
      expect: '',
      way: '',
    })
    expect(sheetFigures(sheet, [])).toBeNull()
  })
  it('counts a mark only on what was seen, and looks for the bad on one side of the unseen', () => {
    const mixed = rows.member.map((one) => ({ ...one, seen: one.station % 2 === 0 }))
    expect(sheetFigures(sheet, mixed)?.main.bad).toBe(4)
    expect(sheetFigures(sheet, mixed)?.lopsided).toBeNull()
    const aft = rows.member.map((one) => ({ ...one, station: 12 - one.station }))
    expect(sheetFigures(sheet, aft)?.lopsided).toBe('aft')
    expect(sayBand(3, 3)).toBe('3 in all')
  })
})

describe('what she stands on', () => {
  const rows = emptyRefit()
  const pad = (
    id: string,
    sharePct: number,
    offFrameMm: number,
    side: 'port' | 'centre' = 'port',
  ) => add(rows, 'support', id, { title: id, along: 0.5, side, sharePct, offFrameMm, order: id })
  pad('a', 2, 0)
  pad('b', 5.49, 140)
  pad('c', 5.49, 20)
  pad('d', 2.4, 300)
  pad('keel', 80, 0, 'centre')
  it('presses by share, weight and pad: 5.49 % of 11.2 t on 0.3 × 0.3 m is 67 kPa', () => {
    const figures = supportFigures(rows.support, 11.2)
    expect(figures[1]?.pressure).toBeCloseTo(67.02, 1)
    // The middle of 2, 5.49 and 2.4 is 2.4.
    expect(figures[1]?.timesOthers).toBeCloseTo(5.49 / 2.4)
    // On a frame nothing is marked; a light pad off one is not either; the keel is not compared.
    expect(figures.map((one) => one.marksHer)).toEqual([false, true, false, false, false])
  })
  it('cannot stand on more than her weight', () => {
    expect(sharesOver(rows.support)).toBe(0)
    expect(sharesOver([...rows.support, ...rows.support.slice(0, 2)])).toBeCloseTo(2.87)
  })
})

it('is worth what is left after the money, by the hour, and less when she brings less', () => {
  const rows = emptyRefit()
  add(rows, 'outlook', 'f', {
    title: 'Finish',
    ownHours: 370,
    spendMinor: 1_460_000,
    worthMinor: 7_100_000,
    order: 'a',
  })
  add(rows, 'outlook', 'x', {
    title: 'Stop',
    ownHours: 0,
    spendMinor: 416_100,
    worthMinor: 4_300_000,
    order: 'b',
  })
  const [finish, stop] = outlookFigures(rows.outlook, 4_600_000)
  expect([finish?.gainMinor, finish?.perHourMinor]).toEqual([1_040_000, 2811])
  expect([stop?.gainMinor, stop?.perHourMinor]).toEqual([-716_100, null])
  if (finish) expect(lessWorth(finish, 4_600_000, 0.1).perHourMinor).toBe(892)
})
