import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatCountdown, formatHours, parseHours } from './hours'
import { formatLength, parseLength } from './length'
import { formatMoney, parseMoney, splitMoney } from '../money/money'

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
  ])('%s', (text, metres) => {
    const read = parseLength(text, 'metric')
    expect(read.ok && read.value).toBeCloseTo(metres, 10)
  })

  it.each([
    ['40 ells', /"ells" is not a unit/],
    ['-3 m', /negative/],
    ['', /Type a length/],
    ['3 1/0"', /not a number or a fraction/],
    ['three', /"three" is not a unit/],
  ])('refuses %s with a sentence', (text, message) => {
    expect(parseLength(text, 'metric')).toEqual({
      ok: false,
      message: expect.stringMatching(message),
    })
  })

  it('takes a bare number in inches for US units', () => {
    expect(parseLength('12', 'us')).toEqual({ ok: true, value: 12 * 0.0254 })
  })

  it('reads back what it writes, to half a millimetre or a thirty-second of an inch', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.constantFrom('metric', 'us', 'mixed'),
        (metres, units) => {
          const read = parseLength(formatLength(metres, units), units)
          const grain = units === 'metric' ? (metres < 1 ? 0.0005 : 0.005) : 0.0254 / 32
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
  ])('%s', (text, hours) => expect(parseHours(text)).toEqual({ ok: true, value: hours }))

  it.each([
    ['-2', /cannot be negative/],
    ['25h', /25 h is more than 24 h/],
    ['soon', /is not a time/],
    ['1:75', /is not a time/],
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

describe('money', () => {
  it.each([
    ['12.50', 'EUR', 1250],
    ['12,50', 'EUR', 1250],
    ['€1,234.50', 'EUR', 123_450],
    ['1.234,50', 'EUR', 123_450],
    ['1,234', 'EUR', 123_400],
    ['500', 'JPY', 500],
  ])('%s %s', (text, currency, minor) =>
    expect(parseMoney(text, currency)).toEqual({ ok: true, value: minor }),
  )
  it.each(['-5', 'free', '12345678901234'])('refuses %s', (text) =>
    expect(parseMoney(text, 'EUR').ok).toBe(false),
  )
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
