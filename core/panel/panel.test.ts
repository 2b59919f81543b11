/** Panels worked by hand: docs/walk-by-hand.md has the sums. */
import { describe, expect, it } from 'vitest'
import { add, emptyRefit } from '../testing/build'
import type { CoreCells } from '../model/entities/walk'
import { dryingOf, tNinetyOf } from './drying'
import { gridOf } from './grid'
import { outlineByWidths, paintCell } from './paint'
import { panelFigures } from './panelCase'
import { cellState, edgesOf, likelySource, mapFigures, readingAt } from './reading'
import { dryingSentence, panelHeading, panelSentence } from './sayPanel'
import { readingTrouble } from './scale'
import { addedUp, coreWays, rankedWays, whyLower } from './ways'
import type { PanelCase, WayKey } from './ways'

/** Half a metre along the centreline, 0.1 m wide at the stem and 0.3 m at the other end: 0.1 m². */
const outline = [
  [0, 0],
  [0.5, 0],
  [0.5, 0.3],
  [0, 0.1],
] as const
const limits = { wetFrom: 18, dampFrom: 14 }
const grid = gridOf({ outline, cellM: 0.1 })
const cells: CoreCells = {
  '0:0': { meter: 20, tap: 'dull' },
  '0:1': { meter: 22 },
  '1:0': { meter: 15 },
  '2:0': { meter: 10, tap: 'dull' },
  '3:0': { meter: 30, sample: 'sound', tap: 'sharp' },
  '4:0': { sample: 'powder', probeMm: 9 },
  '4:1': { sample: 'parted', meter: 9 },
}

describe('the grid', () => {
  it('cuts its cells by the outline', () => {
    const share = (key: string) => grid.cells.find((one) => one.key === key)?.share ?? 0
    expect([grid.columns, grid.rows]).toEqual([5, 3])
    expect(grid.areaM2).toBeCloseTo(0.1)
    // The edge runs at y = 0.1 + 0.4 x.
    expect(share('0:0')).toBeCloseTo(1)
    expect(share('0:1')).toBeCloseTo(0.2)
    expect(share('2:1')).toBeCloseTo(0.95)
    expect(share('0:2')).toBe(0)
    expect(grid.cells.reduce((sum, one) => sum + one.share * 0.01, 0)).toBeCloseTo(0.1, 4)
  })
  it('has no more columns than anybody can read', () => {
    expect(
      gridOf({
        outline: [
          [0, 0],
          [40, 0],
          [40, 1],
          [0, 1],
        ],
        cellM: 0.02,
      }).columns,
    ).toBe(120)
  })
  it('is measured by widths at equal distances', () => {
    expect(outlineByWidths(2, [0.2, 0.5, 1])).toEqual([
      [0, 0],
      [2, 0],
      [2, 1],
      [1, 0.5],
      [0, 0.2],
    ])
    expect(outlineByWidths(2, [0, 1])).toEqual([
      [0, 0],
      [2, 0],
      [2, 1],
    ])
  })
})

describe('readings', () => {
  it.each([
    [undefined, 'unread'],
    [{ meter: 18 }, 'wet'],
    [{ meter: 17.9 }, 'damp'],
    [{ meter: 14 }, 'damp'],
    [{ meter: 13 }, 'dry'],
    [{ meter: 13, tap: 'dull' }, 'dull'],
    [{ meter: 15, tap: 'dull' }, 'damp'],
    [{ tap: 'sharp' }, 'dry'],
    [{ probeMm: 3 }, 'unread'],
    [{ meter: 30, sample: 'sound', tap: 'dull' }, 'dry'],
    [{ meter: 9, sample: 'wet' }, 'wet'],
    [{ meter: 9, sample: 'parted' }, 'dull'],
    [{ meter: 25, sample: 'parted' }, 'wet'],
  ] as const)('%o is %s', (cell, state) => {
    expect(cellState(cell, limits)).toBe(state)
  })
  it('add up by the share of their cells', () => {
    const figures = mapFigures(grid, cells, limits)
    // Wet: 0:0 whole, 0:1 a fifth, 4:0 whole; parted 4:1 is whole and dull.
    expect(figures.wetM2).toBeCloseTo(0.022)
    expect(figures.dampM2).toBeCloseTo(0.01)
    expect(figures.dullM2).toBeCloseTo(0.02)
    expect(figures.openM2).toBeCloseTo(0.022 + 0.01 + 0.01 + 0.01)
    expect(figures.wetShare).toBeCloseTo(0.22)
    expect([figures.highest, figures.deepestMm]).toEqual([30, 9])
    expect(figures.unreadM2).toBeCloseTo(0.1 - 0.05 - 0.002 - 0.01)
  })
  it('name the fitting nearest the highest, sound samples left out', () => {
    const fittings = [
      { title: 'Cleat', at: [0.09, 0.15] },
      { title: 'Post', at: [0.45, 0.05] },
    ] as const
    const source = likelySource(grid, cells, { fittings, dampFrom: 14 })
    expect([source?.fitting.title, source?.reading]).toEqual(['Cleat', 22])
    expect(source?.distanceM).toBeCloseTo(0.04)
    const tied = { ...cells, '4:0': { meter: 22 } }
    expect(likelySource(grid, tied, { fittings, dampFrom: 14 })?.fitting.title).toBe('Post')
    expect(likelySource(grid, { '0:0': { meter: 12 } }, { fittings, dampFrom: 14 })).toBeNull()
    const far = [{ title: 'Mast', at: [0.9, 0.2] }] as const
    expect(likelySource(grid, cells, { fittings: far, dampFrom: 14 })).toBeNull()
    expect(readingAt(fittings[1], grid, tied)).toBe(22)
  })
  it('have an edge round what is wet', () => {
    // Top, bottom and the two ends of two cells side by side.
    expect(
      edgesOf(new Set(['0:0', '1:0']))
        .map((side) => side.join())
        .sort(),
    ).toEqual(['0,0,0,1', '0,0,1,0', '0,1,1,1', '1,0,2,0', '1,1,2,1', '2,0,2,1'])
  })
  it('are painted one on the other, and taken off', () => {
    const one = paintCell({}, '1:1', { is: 'meter', value: 12 })
    expect(paintCell(one, '1:1', { is: 'tap', value: 'dull' })).toEqual({
      '1:1': { meter: 12, tap: 'dull' },
    })
    expect(paintCell(one, '1:1', { is: 'off' })).toEqual({})
  })
  it('over the scale are refused with it', () => {
    expect(readingTrouble(62, 0, 35)).toEqual([
      'A reading of 62 is over this meter’s scale, 0 to 35.',
    ])
    expect([
      readingTrouble(35, 0, 35),
      readingTrouble(null, 0, 35),
      readingTrouble(99, null, null),
    ]).toEqual([[], [], []])
    expect(readingTrouble(-1, 0, 35)).toHaveLength(1)
  })
})

describe('drying', () => {
  const day = (at: number, value: number) => ({
    on: `2027-03-${String(at + 1).padStart(2, '0')}`,
    value,
  })
  it('takes from Student’s t what leaves a tenth above it, by an integral of its density', () => {
    for (let freedom = 1; freedom <= 30; freedom++) {
      // With x = √freedom · tan a the density is cosᶠ⁻¹ a, and its whole runs from −90° to 90°.
      const upTo = Math.atan(tNinetyOf(freedom) / Math.sqrt(freedom))
      const integral = (to: number) => {
        const many = 2000
        let sum = 0
        for (let i = 0; i <= many; i++) {
          const weight = i === 0 || i === many ? 1 : i % 2 ? 4 : 2
          sum += weight * Math.cos((to * i) / many) ** (freedom - 1)
        }
        return (sum * to) / many / 3
      }
      expect(0.5 + integral(upTo) / integral(Math.PI / 2) / 2).toBeCloseTo(0.9, 3)
    }
    expect(tNinetyOf(400)).toBeCloseTo(1.284, 2)
  })
  it('follows the curve it was drawn by: 20 over the reference halve every 30 days', () => {
    const readings = [0, 10, 20, 30].map((at) => day(at, 10 + 20 * 0.5 ** (at / 30)))
    const drying = dryingOf(readings, 10, 14)
    // 4 are left of 20 after 30 · log2(5) = 69.7 days: 1 March + 70.
    expect(drying).toMatchObject({
      is: 'falling',
      on: '2027-05-10',
      from: '2027-05-10',
      to: '2027-05-10',
    })
    if (drying.is === 'falling') {
      expect(drying.halfDays).toBeCloseTo(30)
      expect(drying.at('2027-03-31')).toBeCloseTo(20)
    }
  })
  it('has the range that Fieller gives for three readings', () => {
    const readings = [3, 2.5, 2.3].map((log, at) => day(at * 10, 10 + Math.exp(log)))
    const drying = dryingOf(readings, 10, 10 + Math.E)
    // Slope −0.035 a day, scatter 0.1225, t = 3.078: crosses on day 55.7, between 35.4 and 202.3.
    expect(drying).toMatchObject({
      on: '2027-04-26',
      from: '2027-04-05',
      to: '2027-09-19',
      used: 3,
    })
  })
  it('has no latest day where the scatter is as steep as the line', () => {
    const drying = dryingOf([day(0, 30), day(10, 22), day(20, 27), day(30, 21)], 10, 14)
    expect(drying).toMatchObject({ is: 'falling', to: null })
  })
  it.each([
    [[day(0, 30), day(10, 28)], { is: 'tooFew', more: 1 }],
    [[day(0, 30), day(10, 31), day(20, 33)], { is: 'notFalling' }],
    [[day(0, 30), day(10, 20), day(20, 13.9)], { is: 'dry', since: '2027-03-21' }],
    [[day(4, 30), day(4, 28), day(4, 29)], { is: 'tooFew' }],
    [[], { is: 'tooFew', more: 3 }],
  ])('of %j is %o', (readings, wanted) => {
    expect(dryingOf(readings, 10, 14)).toMatchObject(wanted)
  })
})

const figuresOf = (openM2: number) => ({ ...mapFigures(grid, cells, limits), openM2 })
const about = (openM2: number, more: Partial<PanelCase> = {}, carriesLoad = true): PanelCase => ({
  panel: { carriesLoad, coreMm: 16, fittings: [], dampFrom: 14 },
  figures: figuresOf(openM2),
  spreading: false,
  parted: false,
  powder: false,
  wetSample: false,
  drying: { is: 'tooFew', more: 3 },
  daysToDry: null,
  liningHours: 3,
  fittingsInIt: 1,
  edgeM: 2.4,
  outerMm: 4,
  ...more,
})

describe('the ways', () => {
  const fits = (of: PanelCase) => Object.fromEntries(coreWays(of).map((way) => [way.key, way.fit]))
  it.each<[string, PanelCase, Partial<Record<WayKey, string>>]>([
    [
      'a hand round one fitting',
      about(0.05),
      { 'dry-local-core': 'fits', 'recore-above': 'not', 'recore-below': 'not' },
    ],
    ['between the two', about(0.07), { 'dry-local-core': 'offered', 'recore-above': 'offered' }],
    [
      'a loaded deck over 0.1',
      about(0.2),
      { 'dry-local-core': 'not', 'recore-above': 'fits', 'inject-panel': 'not' },
    ],
    [
      'small, and it spread',
      about(0.03, { spreading: true }),
      { 'dry-local-core': 'not', 'recore-above': 'fits' },
    ],
    ['small, and a skin parted', about(0.03, { parted: true }), { 'dry-local-core': 'not' }],
    [
      'small, and it does not fall',
      about(0.03, { drying: { is: 'notFalling' } }),
      { 'dry-local-core': 'not' },
    ],
    [
      'unloaded powder',
      about(0.3, { powder: true }, false),
      { 'inject-panel': 'fits', 'recore-above': 'offered' },
    ],
    ['unloaded and wet', about(0.3, { wetSample: true }, false), { 'inject-panel': 'not' }],
    ['a lining nobody knows', about(0.3, { liningHours: null }), { 'recore-below': 'offered' }],
  ])('%s', (_, of, wanted) => {
    expect(fits(of)).toMatchObject(wanted)
  })
  it('take their dimensions from the panel', () => {
    const [above, below, fill, inject] = coreWays(about(0.283, { daysToDry: 118 }))
    // Rounded up to the next hand; four millimetres of skin are seven plies of 0.65.
    expect(above?.inputs).toMatchObject({
      areaM2: 0.29,
      edgeM: 2.4,
      fittings: 1,
      core: 16,
      plies: 7,
    })
    expect(below?.inputs).toMatchObject({ areaM2: 0.29, liningH: 3 })
    expect(fill?.inputs).toMatchObject({ areaM2: 0.1, dryDays: 118 })
    expect(inject?.inputs).toMatchObject({ areaM2: 0.29, voidMm: 16 })
    const lining = below?.draft?.steps.filter((step) => /^(lining|back)$/.test(step.key))
    expect(lining?.map((step) => step.fields.hoursLikely)).toEqual([1.5, 1.5])
    // Core with a tenth for cutting, in one line.
    const core = above?.draft && addedUp(above.draft).find((one) => /^Core/.test(one.what))
    expect([core?.what, core?.quantity]).toEqual(['Core 16 mm', 0.319])
  })
  it('rank by fit, then by what they hold up, then by hours, and say why one is lower', () => {
    const ways = coreWays(about(0.3))
    const none = new Map<WayKey, number | null>()
    const keys = (delays: ReadonlyMap<WayKey, number | null>) =>
      rankedWays(ways, delays).map((way) => way.key)
    expect(keys(none).slice(2)).toEqual(['inject-panel', 'dry-local-core'])
    const held = new Map<WayKey, number | null>([
      ['recore-above', 7],
      ['recore-below', 14],
      ['inject-panel', -3],
    ])
    expect(keys(held).slice(0, 2)).toEqual(['recore-above', 'recore-below'])
    const [first, second, third] = rankedWays(ways, held)
    if (!first || !second || !third) throw new Error('four ways')
    expect(whyLower(second, first, held)).toBe('It holds the gate longer.')
    expect(whyLower(third, second, held)).toBe('Not advised here.')
    const even = new Map<WayKey, number | null>()
    expect(whyLower({ ...second, hours: 12.5 }, { ...first, hours: 10 }, even)).toBe('2.5 h more.')
  })
})

describe('a panel of a refit', () => {
  const rows = emptyRefit()
  add(rows, 'wayIn', 'lining', { title: 'Lining', hoursOut: 1, hoursBack: 2, order: 'a' })
  add(rows, 'zone', 'deck', { name: 'Deck', order: 'a', wayInId: 'lining', outerMm: 4 })
  const panel = add(rows, 'panel', 'p', {
    title: 'Foredeck',
    zoneId: 'deck',
    outline,
    cellM: 0.1,
    fittings: [{ title: 'Cleat', at: [0.05, 0.05] }],
    dryReading: 9,
    order: 'a',
  })
  const map = (id: string, takenOn: string, wet: readonly string[]) =>
    add(rows, 'coreMap', id, {
      panelId: 'p',
      takenOn,
      cells: Object.fromEntries(wet.map((key) => [key, { meter: 20 }])),
    })
  const first = map('m1', '2026-10-01', ['0:0'])
  const second = map('m2', '2027-03-01', ['0:0', '1:0', '2:0'])
  const third = map('m3', '2027-04-01', ['1:0', '3:0'])
  it('compares a map with the one before it', () => {
    expect(panelFigures(rows, panel, first, '2027-04-17').spread).toBeNull()
    const grew = panelFigures(rows, panel, second, '2027-04-17')
    expect(grew.spread?.grewM2).toBeCloseTo(0.02)
    expect(grew.about).toMatchObject({
      spreading: true,
      liningHours: 3,
      outerMm: 4,
      fittingsInIt: 1,
    })
    expect(grew.about.edgeM).toBeCloseTo(0.8)
    const fell = panelFigures(rows, panel, third, '2027-04-17')
    expect(fell.spread).toMatchObject({ since: '2027-03-01' })
    expect(fell.spread?.grewM2).toBeCloseTo(-0.01)
    expect(fell.spread?.newM2).toBeCloseTo(0.01)
    // What spread once spreads, though it is drier now.
    expect(fell.about.spreading).toBe(true)
    expect(panelFigures(rows, panel, first, '2027-04-17').about.spreading).toBe(false)
  })
  it('says what it knows and no more', () => {
    const say = (date: string) => date
    const fell = panelFigures(rows, panel, third, '2027-04-17')
    expect(panelSentence(fell, say)).toMatch(
      /^It fell by 0.01 m² since 2027-03-01. 0.01 m² of it is wet where it was not. 0.08 m² not read.$/,
    )
    expect(panelHeading(panel, fell, '2027-06-01')).toEqual({
      plain: 'Wet round the cleat: 0.02 of 0.10 m²',
      bad: '',
    })
    const nothing = { ...fell, figures: mapFigures(grid, {}, limits) }
    expect(panelHeading(panel, nothing, null).plain).toBe('Foredeck: nothing read yet')
    const tapped = { ...fell, figures: mapFigures(grid, { '0:0': { tap: 'sharp' } }, limits) }
    expect(panelHeading(panel, tapped, null).plain).toBe('Foredeck: nothing wet or dull')
    const late = {
      ...fell,
      drying: dryingOf(
        [30, 25, 21].map((value, at) => ({ on: `2027-04-0${at + 1}`, value })),
        9,
        14,
      ),
    }
    expect(panelHeading(panel, late, '2027-04-02').bad).toBe('dry too late for the launch')
    expect(panelHeading(panel, late, '2027-12-02').bad).toBe('')
    expect(panelHeading(panel, { ...fell, drying: { is: 'notFalling' } }, null).bad).toBe(
      'water still gets in',
    )
    expect(dryingSentence({ is: 'tooFew', more: 1 }, say)).toBe(
      'No date yet: one reading more, and the reading of a dry reference.',
    )
  })
})
