/** Amounts in the units a refit is measured in: one way to read them and one to say them. */
import { accepted, refused } from '../result'
import type { Result } from '../result'
import { formatLength, parseLength } from './length'
import type { LengthUnit, UnitSystem } from './length'
import { ambiguity, plainInput, readAmount, readNumber } from './parsed'

interface Unit {
  readonly label: string
  /** How many of the base unit one of it is. */
  readonly size: number
}
interface Kind {
  /** Units people may type, by what they type. */
  readonly typed: Readonly<Record<string, number>>
  /** What US customary refits are shown, largest first; the last one takes what is small. */
  readonly us: readonly Unit[]
}

const pound = 0.45359237
const gallonL = 3.785411784
const squareFootM2 = 0.09290304

/** Kinds by the metric unit that core counts in. Sizes are exact: NIST SP 811, appendix B. */
const kinds: Readonly<Record<string, Kind>> = {
  'm²': {
    typed: {
      'm²': 1,
      m2: 1,
      sqm: 1,
      'cm²': 1e-4,
      cm2: 1e-4,
      'ft²': squareFootM2,
      ft2: squareFootM2,
      sqft: squareFootM2,
      'in²': 0.00064516,
      in2: 0.00064516,
    },
    us: [{ label: 'ft²', size: squareFootM2 }],
  },
  L: {
    typed: {
      l: 1,
      litre: 1,
      litres: 1,
      ml: 0.001,
      gal: gallonL,
      gallon: gallonL,
      gallons: gallonL,
      qt: gallonL / 4,
      pt: gallonL / 8,
      floz: gallonL / 128,
      'fl oz': gallonL / 128,
    },
    us: [
      { label: 'gal', size: gallonL },
      { label: 'qt', size: gallonL / 4 },
      { label: 'fl oz', size: gallonL / 128 },
    ],
  },
  mL: {
    typed: {
      ml: 1,
      l: 1000,
      floz: gallonL * 7.8125,
      'fl oz': gallonL * 7.8125,
      gal: gallonL * 1000,
      qt: gallonL * 250,
    },
    us: [{ label: 'fl oz', size: (gallonL * 1000) / 128 }],
  },
  kg: {
    typed: { kg: 1, g: 0.001, lb: pound, lbs: pound, oz: pound / 16 },
    us: [
      { label: 'lb', size: pound },
      { label: 'oz', size: pound / 16 },
    ],
  },
  g: {
    typed: { g: 1, kg: 1000, oz: (pound / 16) * 1000, lb: pound * 1000, lbs: pound * 1000 },
    us: [{ label: 'oz', size: (pound / 16) * 1000 }],
  },
  'g/m²': {
    typed: {
      'g/m²': 1,
      'g/m2': 1,
      gsm: 1,
      'oz/yd²': 33.905747,
      'oz/yd2': 33.905747,
      oz: 33.905747,
    },
    us: [{ label: 'oz/yd²', size: 33.905747 }],
  },
  'm²/L': {
    typed: {
      'm²/l': 1,
      'm2/l': 1,
      'ft²/gal': squareFootM2 / gallonL,
      'ft2/gal': squareFootM2 / gallonL,
    },
    us: [{ label: 'ft²/gal', size: squareFootM2 / gallonL }],
  },
  µm: {
    typed: { µm: 1, um: 1, micron: 1, microns: 1, mil: 25.4, mils: 25.4 },
    us: [{ label: 'mil', size: 25.4 }],
  },
  t: {
    typed: { t: 1, tonne: 1, tonnes: 1, kg: 0.001, lb: pound / 1000, lbs: pound / 1000 },
    us: [{ label: 'lb', size: pound / 1000 }],
  },
}

const isLength = (unit: string): unit is 'mm' | 'm' => unit === 'mm' || unit === 'm'

/** A number for reading: no more digits than anybody can measure. */
function plainNumber(value: number): string {
  const places = Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 10 ? 1 : 2
  return String(Number(value.toFixed(places)))
}

/** The unit a bare number is taken in, and shown in beside the field: "ft²" for m² under US units. */
export function shownUnit(unit: string, units: UnitSystem): string {
  if (unit === '°C') return units === 'us' ? '°F' : '°C'
  if (units !== 'us') return unit
  if (unit === 'mm') return 'in'
  if (unit === 'm') return 'ft'
  return kinds[unit]?.us[0]?.label ?? unit
}

const fahrenheit = (tempC: number): number => (tempC * 9) / 5 + 32
const celsius = (tempF: number): number => ((tempF - 32) * 5) / 9

/** '12 °C', or '54 °F' under US units. */
export const formatTemp = (tempC: number, units: UnitSystem): string =>
  units === 'us' ? `${plainNumber(Math.round(fahrenheit(tempC)))} °F` : `${plainNumber(tempC)} °C`

/** A step of temperature: '3 °C', '5.4 °F'. */
export const formatTempStep = (stepC: number, units: UnitSystem): string =>
  units === 'us' ? `${plainNumber((stepC * 9) / 5)} °F` : `${plainNumber(stepC)} °C`

const smallerOf: Readonly<Record<string, string>> = { kg: 'g', L: 'mL' }

/** An amount with its unit, in the units of the refit. Pieces and times have none. */
export function formatQuantity(value: number, unit: string, units: UnitSystem): string {
  if (unit === '°C') return formatTemp(value, units)
  if (units === 'us' && isLength(unit))
    return formatLength(unit === 'mm' ? value / 1000 : value, units)
  // A few grams are not '0 kg'.
  const smaller = smallerOf[unit]
  if (units !== 'us' && smaller && value !== 0 && Math.abs(value) < 0.1)
    return formatQuantity(value * 1000, smaller, units)
  const kind = kinds[unit]
  if (units === 'us' && kind) {
    const fit = kind.us.find((one) => value / one.size >= 1) ?? (kind.us.at(-1) as Unit)
    return `${plainNumber(value / fit.size)} ${fit.label}`
  }
  return unit === 'pieces' || unit === 'times' || unit === ''
    ? plainNumber(value)
    : `${plainNumber(value)} ${unit}`
}

/** A value as a field shows it, to be typed over: without its unit where a bare number means the same. */
export function editableQuantity(value: number, unit: string, units: UnitSystem): string {
  const rounded = (number: number, places: number) => String(Number(number.toFixed(places)))
  if (unit === '°C') return rounded(units === 'us' ? fahrenheit(value) : value, 1)
  if (units !== 'us') return String(value)
  if (isLength(unit)) return formatLength(unit === 'mm' ? value / 1000 : value, units)
  const first = kinds[unit]?.us[0]
  return first ? rounded(value / first.size, 3) : String(value)
}

/**
 * An amount as written, in the metric `unit` core counts in. A bare number is taken in the unit shown
 * beside the field; any other unit of the kind may be typed after it. A length is below 0 only where `mayBeNegative`: a gap
 * instead of a lap, one level under another.
 */
export function parseQuantity(
  text: string,
  unit: string,
  units: UnitSystem,
  mayBeNegative = false,
): Result<number> {
  const said = plainInput(text)
  const asks = ambiguity(said)
  if (asks) return refused(asks)
  if (unit === '°C') return parseTemp(said, units)
  if (isLength(unit)) {
    const bare: LengthUnit = units !== 'us' ? unit : unit === 'mm' ? 'in' : 'ft'
    const isBelow = mayBeNegative && said.startsWith('-')
    const metres = parseLength(isBelow ? said.slice(1) : text, units, bare)
    if (!metres.ok) return metres
    const value = roundedTo(unit === 'mm' ? metres.value * 1000 : metres.value)
    return accepted(isBelow ? -value : value)
  }
  const match = /^(-?[\d.,/ -]*\d)\s*([^\d\s.,/-].*)?$/.exec(said)
  const value = match ? (readAmount(match[1] as string) ?? readNumber(match[1] as string)) : null
  if (!match || value === null)
    return refused(`“${text.trim()}” is not a number. Try ${exampleOf(unit, units)}.`)
  const kind = kinds[unit]
  const typed = (match[2] ?? '').replace(/\.$/, '').trim()
  if (typed === '' || typed === unit.toLowerCase())
    return accepted(typed === '' ? value * bareSize(unit, units) : value)
  const size = kind?.typed[typed]
  return size === undefined
    ? refused(`“${match[2]}” is not a unit here. Use ${shownUnit(unit, units)}.`)
    : accepted(roundedTo(value * size))
}

const roundedTo = (value: number): number => Number(value.toFixed(6))
const bareSize = (unit: string, units: UnitSystem): number =>
  units === 'us' ? (kinds[unit]?.us[0]?.size ?? 1) : 1
const exampleOf = (unit: string, units: UnitSystem): string =>
  unit === 'pieces' || unit === 'times' || unit === '' ? '4' : `2.5 ${shownUnit(unit, units)}`

function parseTemp(said: string, units: UnitSystem): Result<number> {
  const match = /^(-?\s?[\d.,]+)\s*(?:°|deg(?:rees)?)?\s*([cf])?$/.exec(said)
  const value = match ? readNumber((match[1] as string).replace(/\s/g, '')) : null
  if (!match || value === null)
    return refused(`“${said}” is not a temperature. Try ${units === 'us' ? '60' : '15'}.`)
  const inF = match[2] === 'f' || (match[2] === undefined && units === 'us')
  return accepted(roundedTo(inF ? celsius(value) : value))
}
