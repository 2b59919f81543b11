/** Every unit that may be typed, against the conversion factors of NIST SP 811, appendix B.8. */
import { describe, expect, it } from 'vitest'
import { formatTempStep, parseQuantity, shownUnit } from './quantity'

/** In the metric unit core counts in; a thousand of what is small against it. */
const factors: readonly (readonly [string, string, number])[] = [
  ['m²', '1 m2', 1],
  ['m²', '1 sqm', 1],
  ['m²', '1 cm²', 0.0001],
  ['m²', '1 cm2', 0.0001],
  ['m²', '1 ft²', 0.09290304],
  ['m²', '1 sqft', 0.09290304],
  ['m²', '1 ft2', 0.09290304],
  ['m²', '1000 in²', 0.64516],
  ['m²', '1000 in2', 0.64516],
  ['L', '1 litre', 1],
  ['L', '1 ml', 0.001],
  ['L', '1 gal', 3.785411784],
  ['L', '1 gallon', 3.785411784],
  ['L', '1 qt', 0.946352946],
  ['L', '1 pt', 0.473176473],
  ['L', '1 fl oz', 0.0295735295625],
  ['L', '1 floz', 0.0295735295625],
  ['mL', '1 l', 1000],
  ['mL', '1 fl oz', 29.5735295625],
  ['mL', '1 floz', 29.5735295625],
  ['mL', '1 gal', 3785.411784],
  ['mL', '1 qt', 946.352946],
  ['kg', '1 g', 0.001],
  ['kg', '1 lb', 0.45359237],
  ['kg', '1 lbs', 0.45359237],
  ['kg', '1 oz', 0.028349523125],
  ['g', '1 kg', 1000],
  ['g', '1 oz', 28.349523125],
  ['g', '1 lb', 453.59237],
  ['g/m²', '1 gsm', 1],
  ['g/m²', '1 oz/yd²', 33.905747],
  ['g/m²', '1 oz', 33.905747],
  ['m²/L', '1 ft²/gal', 0.09290304 / 3.785411784],
  ['µm', '1 micron', 1],
  ['µm', '1 mil', 25.4],
  ['µm', '1 mils', 25.4],
  ['t', '1 kg', 0.001],
  ['t', '1000 lb', 0.45359237],
]

describe('a unit typed after its amount', () => {
  it.each(factors)('into %s: %s', (unit, text, value) => {
    for (const units of ['metric', 'us', 'mixed'] as const) {
      const found = parseQuantity(text, unit, units)
      // Read amounts are rounded far below what can be measured.
      expect(found.ok && Math.abs(found.value / value - 1)).toBeLessThan(1e-4)
    }
  })

  it.each([
    ['m²', 'ft²', 0.09290304],
    ['L', 'gal', 3.785411784],
    ['mL', 'fl oz', 29.5735295625],
    ['kg', 'lb', 0.45359237],
    ['g', 'oz', 28.349523125],
    ['g/m²', 'oz/yd²', 33.905747],
    ['m²/L', 'ft²/gal', 0.0245423],
    ['µm', 'mil', 25.4],
    ['t', 'lb', 0.00045359237],
  ])('is left out: %s stands for %s under US units', (unit, shown, value) => {
    expect(shownUnit(unit, 'us')).toBe(shown)
    expect(shownUnit(unit, 'metric')).toBe(unit)
    const found = parseQuantity('100', unit, 'us')
    expect(found.ok && Math.abs(found.value / (100 * value) - 1)).toBeLessThan(1e-4)
    expect(parseQuantity('100', unit, 'metric')).toEqual({ ok: true, value: 100 })
  })

  it.each([
    ['1,500 g', 'g', /1500 or 1.5/],
    ['1,500', '°C', /1500 or 1.5/],
    ['3 lb', 'm²', /lb/],
    ['plenty', 'L', /./],
  ])('%s is no %s', (text, unit, message) => {
    const found = parseQuantity(text, unit, 'metric')
    expect(found.ok ? '' : found.message).toMatch(message)
  })

  it('says a step of temperature without a zero of its own', () => {
    expect(formatTempStep(3, 'us')).toBe('5.4 °F')
    expect(formatTempStep(3, 'metric')).toBe('3 °C')
  })
})
