import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatCountdown, formatHours, parseHours } from './hours'
import { boatUnit, formatLength, parseHeight, parseLength } from './length'
import {
  editableQuantity,
  formatQuantity,
  formatTemp,
  formatTempStep,
  parseQuantity,
  shownUnit,
} from './quantity'
import { editableMoney, formatMoney, isCurrency, parseMoney, splitMoney } from '../money/money'

describe('lengths', () => {
  // 1 in = 25.4 mm, 1 ft = 304.8 mm, both exact.
  it.each([
    ['3 1/2"', 0.0889],
    [`5' 3 1/2"`, 1.6129],
    ['89 mm', 0.089],
    ['1,5 m', 1.5],
    ['0.089 m', 0.089],
    ['40 ft', 12.192],
    ['6\' 2"', 1.8796],
    ['12 ft 6 in', 3.81],
    ['1 m 20 cm', 1.2],
    ['12.19', 12.19],
    ['5 ft 3', 1.6002],
    ['5FT 3IN', 1.6002],
    ['3½"', 0.0889],
    ['3-1/2"', 0.0889],
    ['5’ 3 1/2”', 1.6129],
    ['½ in', 0.0127],
    ['1500 mm', 1.5],
    ['0,089 m', 0.089],
  ])('%s', (text, metres) => {
    const read = parseLength(text, 'metric')
    expect(read.ok && read.value).toBeCloseTo(metres, 10)
  })

  it.each([
    ['40 ells', /“ells” is not a unit/],
    ['-3 m', /negative/],
    ['', /Type a length/],
    ['3 1/0"', /not a number or a fraction/],
    ['three', /“three” is not a unit/],
    ['1,500 mm', /Is 1,500 1500 or 1.5\?/],
    ['−3 m', /negative/],
    ['3 m 5 ft', /could not be read/],
    ['5 3', /could not be read/],
  ])('refuses %s with a sentence', (text, message) => {
    expect(parseLength(text, 'metric')).toEqual({
      ok: false,
      message: expect.stringMatching(message),
    })
  })

  it('takes a bare number in inches for US units', () => {
    expect(parseLength('12', 'us')).toEqual({ ok: true, value: 12 * 0.0254 })
    // A boat is measured in feet: 34 is 34 ft, a draught of 5.5 is 5.5 ft.
    expect(parseLength('34', 'us', boatUnit('us'))).toEqual({ ok: true, value: 34 * 0.3048 })
    expect(parseLength('5.5', 'us', boatUnit('us'))).toEqual({ ok: true, value: 5.5 * 0.3048 })
    expect(parseLength('10.4', 'mixed', boatUnit('mixed'))).toEqual({ ok: true, value: 10.4 })
  })

  it('may lie under what it is measured from where that is asked', () => {
    expect(parseHeight('−0.4', 'metric', 'm')).toEqual({ ok: true, value: -0.4 })
    expect(parseHeight('-1\'4"', 'us', 'ft')).toEqual({ ok: true, value: -(16 * 0.0254) })
    expect(parseHeight('0.4', 'metric', 'm')).toEqual({ ok: true, value: 0.4 })
    expect(parseHeight('--1', 'metric', 'm').ok).toBe(false)
    expect(formatLength(-0.4, 'metric')).toBe('−400 mm')
  })
  it('reads back what it writes, to half a millimetre or a thirty-second of an inch', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.constantFrom('metric', 'us', 'mixed'),
        (metres, units) => {
          const read = parseLength(formatLength(metres, units), units)
          const grain = units !== 'us' ? (metres < 1 ? 0.0005 : 0.005) : 0.0254 / 32
          expect(read.ok && Math.abs(read.value - metres)).toBeLessThanOrEqual(grain + 1e-9)
        },
      ),
    )
  })
})

describe('hours', () => {
  it.each([
    ['1h30', 1.5],
    ['90m', 1.5],
    ['1.5', 1.5],
    ['1,5', 1.5],
    ['1:30', 1.5],
    ['2 h', 2],
    ['1 h 30 min', 1.5],
    ['45 min', 0.75],
    ['½', 0.5],
    ['1½', 1.5],
    ['1 1/2 h', 1.5],
    ['30 mins', 0.5],
    ['45 min.', 0.75],
    ['1 day', 8],
    ['1 d 2 h', 10],
    ['9:30-12', 2.5],
    ['9–12:15', 3.25],
    ['1-1/2', 1.5],
    ['2 Hours', 2],
  ])('%s', (text, hours) => expect(parseHours(text)).toEqual({ ok: true, value: hours }))

  it('counts a day of waiting by the clock', () => {
    expect(parseHours('3 days', 9000, 24)).toEqual({ ok: true, value: 72 })
  })

  it.each([
    ['-2', /cannot be negative/],
    ['25h', /25 h is more than 24 h/],
    ['soon', /is not a time/],
    ['1:75', /is not a time/],
    ['−2', /cannot be negative/],
    ['1,500', /Is 1,500 1500 or 1.5\?/],
    ['12-9', /is not a time/],
    ['12:30-9', /is not a time/],
    ['9:30-25', /is not a time/],
    ['2 x 3', /is not a time/],
    ['2 to 3', /From 2 to 3 hours\? Write one number, such as 2.5, or 2:00-3:00/],
    ['9–12 h', /From 9 to 12 hours/],
  ])('refuses %s', (text, message) =>
    expect(parseHours(text)).toMatchObject({ ok: false, message: expect.stringMatching(message) }),
  )

  it('reads back what it writes, to the minute', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1440 }), (minutes) => {
        const read = parseHours(formatHours(minutes / 60))
        expect(read.ok && Math.round(read.value * 60)).toBe(minutes)
      }),
    )
  })

  it('counts down in hours, then in days', () => {
    expect(formatCountdown(18 * 60_000)).toBe('0:18')
    expect(formatCountdown((11 * 60 + 40) * 60_000)).toBe('11:40')
    expect(formatCountdown((3 * 24 + 4) * 3_600_000)).toBe('3 d 4 h')
  })
})

describe('currencies', () => {
  it.each([
    ['EUR', true],
    ['JPY', true],
    ['CHF', true],
    ['eur', false],
    ['QQQ', false],
    ['EU', false],
    ['€', false],
  ])('%s: %s', (code, known) => expect(isCurrency(code)).toBe(known))
})

describe('steps of temperature', () => {
  it('have no zero of their own: 3 °C are 5.4 °F, not 37', () => {
    expect(formatTempStep(3, 'us')).toBe('5.4 °F')
    expect(formatTempStep(3, 'metric')).toBe('3 °C')
    expect(shownUnit('m', 'us')).toBe('ft')
    expect(shownUnit('pieces', 'us')).toBe('pieces')
  })
})

describe('quantities', () => {
  // Exact sizes: 1 ft² 0.09290304 m², 1 lb 0.45359237 kg, 1 gal 3.785411784 L, 1 mil 25.4 µm.
  it.each([
    [1, 'm²', '10.8 ft²'],
    [1, 'kg', '2.2 lb'],
    [0.1, 'kg', '3.53 oz'],
    [10, 'L', '2.64 gal'],
    [600, 'g/m²', '17.7 oz/yd²'],
    [254, 'µm', '10 mil'],
    [89, 'mm', '3 1/2"'],
    [12, '°C', '54 °F'],
    [4, 'pieces', '4'],
  ])('%s %s is said as %s in feet and inches', (value, unit, said) =>
    expect(formatQuantity(value, unit, 'us')).toBe(said),
  )
  it.each([
    ['2.5', 'm²', 'metric', 2.5],
    ['10 ft²', 'm²', 'metric', 0.92903],
    ['10', 'm²', 'us', 0.92903],
    ['2 lb', 'kg', 'metric', 0.907185],
    ['60', '°C', 'us', 15.555556],
    ['15 C', '°C', 'us', 15],
    ['-5', '°C', 'metric', -5],
    ['3 1/2', 'mm', 'us', 88.9],
    ['89 mm', 'mm', 'us', 89],
    ['6', 'm', 'us', 1.8288],
    ['89', 'mm', 'mixed', 89],
    ['8 fl oz', 'mL', 'metric', 236.588237],
    ['1 qt', 'L', 'us', 0.946353],
    ['64 floz', 'L', 'us', 1.892706],
  ] as const)('%s for %s under %s', (text, unit, units, value) => {
    const read = parseQuantity(text, unit, units)
    expect(read.ok && read.value).toBeCloseTo(value, 5)
  })
  it('asks about 1,500 and refuses a unit of another kind', () => {
    expect(parseQuantity('1,500', 'g', 'metric')).toMatchObject({ message: /1500 or 1.5/ })
    expect(parseQuantity('3 kg', 'm²', 'metric')).toMatchObject({ message: /“kg” is not a unit/ })
  })
  it('reads back what a field shows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400_000 }),
        fc.constantFrom('m²', 'kg', 'L', 'mL', 'g', 'g/m²', '°C', 'µm', 't'),
        fc.constantFrom('metric', 'us', 'mixed'),
        (hundredths, unit, units) => {
          const value = hundredths / 100
          const read = parseQuantity(editableQuantity(value, unit, units), unit, units)
          // What a field rounds to: a tenth of a degree, a thousandth of the unit shown.
          const grain = unit === '°C' ? 0.06 : units === 'us' ? 0.02 : 1e-9
          expect(read.ok && Math.abs(read.value - value)).toBeLessThan(grain)
        },
      ),
    )
    expect(formatTemp(20, 'us')).toBe('68 °F')
  })
})

describe('money', () => {
  it.each([
    ['12.50', 'EUR', 1250],
    ['12,50', 'EUR', 1250],
    ['€1,234.50', 'EUR', 123_450],
    ['1.234,50', 'EUR', 123_450],
    ['1,234', 'EUR', 123_400],
    ['500', 'JPY', 500],
    ['1 234,50', 'EUR', 123_450],
    ["1'234.50", 'CHF', 123_450],
    ['Fr. 12', 'CHF', 1200],
    ['12.5', 'EUR', 1250],
    ['18,420', 'EUR', 1_842_000],
    ['EUR 7', 'EUR', 700],
    ['1.234', 'KWD', 1234],
    ['500', 'CLP', 500],
    ['12.345', 'TND', 12_345],
  ])('%s %s', (text, currency, minor) =>
    expect(parseMoney(text, currency)).toEqual({ ok: true, value: minor }),
  )
  it.each([
    ['-5', /negative/],
    ['−5', /negative/],
    ['(5)', /negative/],
    ['free', /not a sum/],
    ['12345678901234', /too large/],
    ['19.999', /Is 19.999 19999 or 19.999\?/],
    ['12.50.', /not a sum/],
    ['12.', /not a sum/],
    ['Fr. 12', /not a sum/],
    ['$12', /not a sum/],
    ['2 x 15', /not a sum/],
    ['1,2345', /2 digits after/],
    ['12.345', /Is 12.345 12345 or 12.345\?/],
    ['1,23,456', /not a sum/],
  ])('refuses %s', (text, message) =>
    expect(parseMoney(text, 'EUR')).toMatchObject({
      ok: false,
      message: expect.stringMatching(message),
    }),
  )
  it('knows no smaller coin where there is none', () =>
    expect(parseMoney('500.5', 'JPY')).toMatchObject({ message: /no smaller coin/ }))
  it('loses no minor unit when a field shows a sum and reads it again', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e11 }),
        fc.constantFrom('EUR', 'JPY', 'KWD', 'CHF', 'CLP'),
        (minor, currency) => {
          fc.pre(minor <= 1e9)
          expect(parseMoney(editableMoney(minor, currency), currency)).toEqual({
            ok: true,
            value: minor,
          })
        },
      ),
    )
    expect(editableMoney(1_842_050, 'EUR')).toBe('18420.50')
    expect(editableMoney(5, 'KWD')).toBe('0.005')
  })
  it('is shown without pennies where they do not matter', () => {
    expect(formatMoney(1140, 'EUR')).toBe('€11.40')
    expect(formatMoney(1_842_000, 'EUR')).toBe('€18,420')
  })

  it('splits without losing a penny, each share within one of its due', () => {
    const weights = fc.array(fc.integer({ min: 0, max: 1000 }), { minLength: 1, maxLength: 12 })
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e9 }), weights, (minor, list) => {
        fc.pre(list.some((weight) => weight > 0))
        const total = list.reduce((sum, weight) => sum + weight, 0)
        const shares = splitMoney(minor, list)
        expect(shares.reduce((sum, share) => sum + share, 0)).toBe(minor)
        shares.forEach((share, index) =>
          expect(Math.abs(share - (minor * (list[index] as number)) / total)).toBeLessThan(1),
        )
      }),
    )
    // 100 over 1 : 1 : 1 by the largest remainder: 34, 33, 33.
    expect(splitMoney(100, [1, 1, 1])).toEqual([34, 33, 33])
    expect(() => splitMoney(100, [0])).toThrow(RangeError)
  })
})
