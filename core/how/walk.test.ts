/** What figures of the walk say of themselves: sums by hand, which a reader can work again. */
import { expect, it } from 'vitest'
import { supportFigures } from '../members/pressure'
import { sheetFigures } from '../members/sheetFigures'
import { outlookFigures } from '../outlook/worth'
import { dryingOf } from '../panel/drying'
import { panelFigures } from '../panel/panelCase'
import { coreWays } from '../panel/ways'
import { add, emptyRefit } from '../testing/build'
import { waterFigures } from '../water/waterIn'
import type { How } from './how'
import {
  howDry,
  howExpected,
  howMend,
  howPressure,
  howWaterIn,
  howWay,
  howWet,
  howWorth,
} from './walk'

const working = (how: How | null): string => (how?.working ?? []).join(' ')

/** 1.0 × 0.55 m in cells of 0.1 m: the sixth row lies half inside. */
function panelOf() {
  const rows = emptyRefit()
  const panel = add(rows, 'panel', 'p', {
    title: 'Side deck',
    cellM: 0.1,
    outline: [
      [0, 0],
      [1, 0],
      [1, 0.55],
      [0, 0.55],
    ],
    wetFrom: 18,
    dampFrom: 15,
    dryReading: 10,
  })
  const wet = { meter: 22 }
  const map = add(rows, 'coreMap', 'm', {
    panelId: 'p',
    takenOn: '2027-03-01',
    cells: { '0:4': wet, '1:4': wet, '2:4': wet, '3:4': wet, '0:5': wet, '1:5': wet },
  })
  return { panel, figures: panelFigures(rows, panel, map, '2027-03-02') }
}
/** Twelve seen with three bad, eleven not seen. */
function sheetOf() {
  const rows = emptyRefit()
  const sheet = add(rows, 'countSheet', 's', {
    title: 'Frames',
    mendHours: 2,
    renewHours: 40,
    bays: [{ title: 'Saloon', from: 1, to: 4, hours: 3, open: false }],
  })
  for (let at = 1; at <= 23; at++)
    add(rows, 'member', `m${at}`, {
      sheetId: 's',
      kind: 'frame',
      station: at,
      seen: at <= 12,
      marks: at <= 3 ? ['cracked'] : [],
    })
  const figures = sheetFigures(sheet, rows.member)
  if (!figures) throw new Error('No figures.')
  return { sheet, figures }
}

it('a wet area: four whole cells and two halves are 0.05 of 0.55 m²', () => {
  const { panel, figures } = panelOf()
  const how = howWet(panel, figures)
  expect(how.result).toBe('0.05 m² of 0.55 m², 9 %')
  expect(working(how)).toContain('6 cells, those at the edge by their share inside: 5 × 0.01 m²')
  expect(how.inputs).toContainEqual({ name: 'Of them cut by the outline', value: '2' })
})

it('a drying day: 40, 20 and 10 over the reference, ten days apart, are 5 over it on the thirtieth', () => {
  const { panel } = panelOf()
  const readings = [
    { on: '2027-03-01', value: 50 },
    { on: '2027-03-11', value: 30 },
    { on: '2027-03-21', value: 20 },
  ]
  const how = howDry(panel, dryingOf(readings, 10, 15), (date) => date)
  expect(how?.result).toBe('2027-03-31')
  expect(working(how)).toContain('0.06931 a day: ln 2 ÷ 0.06931 = 10.0 days')
  expect(working(how)).toContain('15 − 10 = 5 over the reference')
  expect(howDry(panel, { is: 'notFalling' }, String)).toBeNull()
})

it('a way: its hours are those of its steps', () => {
  const { figures } = panelOf()
  const way = coreWays(figures.about).find((one) => one.draft)
  const how = way ? howWay(way) : null
  const minutes = (said: string): number => {
    const [, hours = '0', , rest = '0'] = /^(?:(\d+) h)?( ?(\d+)( min)?)?$/.exec(said) ?? []
    return Number(hours) * 60 + Number(rest)
  }
  expect(how?.inputs.reduce((sum, one) => sum + minutes(one.value), 0)).toBeCloseTo(
    (way?.hours ?? 0) * 60,
    -1,
  )
})

it('frames: (3 + ½) ÷ (12 + 1) of eleven are 3.0 more, and six to mend', () => {
  const { sheet, figures } = sheetOf()
  expect(howExpected(figures.main).result).toBe('3.0')
  expect(howExpected(figures.main).title).toBe('Frames, more to expect')
  expect(working(howExpected(figures.main))).toContain('11 × 0.26923 = 3.0 more')
  expect(working(howExpected(figures.main))).toMatch(/Bad: \d to \d in all, four chances/)
  const mend = howMend(sheet, figures, 'mend')
  expect([mend.title, mend.result]).toEqual(['Mend 6 frames', '15 h'])
  expect(working(mend)).toContain('6 × 2 h + 3 h = 15 h')
  expect(working(mend)).toContain('from 20 bad ones on')
  expect(howMend(sheet, figures, 'renew').result).toBe('43 h')
})

it('a pad: 3 % of 8 t on 0.3 × 0.3 m are 26 kPa', () => {
  const rows = emptyRefit()
  const pad = { sharePct: 3, padLengthM: 0.3, padWidthM: 0.3, side: 'port' as const }
  const [one] = supportFigures([add(rows, 'support', 'a', { title: 'Post 3', ...pad })], 8)
  const how = one ? howPressure(one, 8) : null
  expect(how?.result).toBe('26 kPa')
  expect(working(how)).toBe('3 % × 8 t × 9.81 = 2.3544 kN 2.3544 kN ÷ (0.3 × 0.3 m²) = 26 kPa')
})

it('water: 14 L in 4 days are 3.5 L a day, and 60 L 17.1 days', () => {
  const reading = { litres: 14, days: 4, taste: 'salt', afterRain: false } as const
  const how = howWaterIn(reading, waterFigures(reading, 60), 60)
  expect(how.result).toBe('3.5 L a day')
  expect(working(how)).toContain('60 L × 4 ÷ 14 L = 17.1 days')
  expect(working(howWaterIn(reading, waterFigures(reading, null), null))).not.toContain('60 L')
})

it('her worth: 40,000 − 22,000 − 9,500 are 8,500, and 25 for each of 340 hours', () => {
  const rows = emptyRefit()
  const outlook = add(rows, 'outlook', 'o', {
    title: 'Repair',
    worthMinor: 4_000_000,
    spendMinor: 950_000,
    ownHours: 340,
  })
  const [one] = outlookFigures([outlook], 2_200_000)
  const how = one ? howWorth(one, 2_200_000, 'EUR') : null
  expect(how?.result).toMatch(/8,500/)
  expect(working(how)).toMatch(/÷ 340 h = €?25\.00/)
})
