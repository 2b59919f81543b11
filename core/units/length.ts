import { accepted, refused } from '../result'
import type { Result } from '../result'
import { ambiguity, plainInput, readAmount } from './parsed'

export const metresPerInch = 0.0254
/** Mixed is metric with drills and bolts in inches. */
export type UnitSystem = 'metric' | 'us' | 'mixed'
/** What a bare number in a field is taken for. */
export type LengthUnit = 'mm' | 'cm' | 'm' | 'in' | 'ft'

const metresPer: Readonly<Record<string, number>> = {
  mm: 0.001,
  cm: 0.01,
  m: 1,
  in: metresPerInch,
  ft: 0.3048,
}
/** Feet go with inches and metres with millimetres: "3 m 5 ft" is a slip. */
const isInch = (unit: LengthUnit): boolean => unit === 'in' || unit === 'ft'
const unitOf: Readonly<Record<string, LengthUnit>> = {
  mm: 'mm',
  millimetres: 'mm',
  cm: 'cm',
  m: 'm',
  metres: 'm',
  meters: 'm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  ft: 'ft',
  feet: 'ft',
  foot: 'ft',
  "'": 'ft',
}

/** What a bare number means where nothing else is said: a boat is measured in metres or feet. */
export const boatUnit = (units: UnitSystem): LengthUnit => (units === 'us' ? 'ft' : 'm')
const piece =
  /(\d+[ -]\d+ ?\/ ?\d+|\d+ ?\/ ?\d+|\d+(?:[.,]\d+)*|[.,]\d+) ?(millimetres|metres|meters|mm|cm|m|inches|inch|in|feet|foot|ft|["'])?\.?,? ?/y

/**
 * Metres of a length as written: `3 1/2"`, `3-1/2"`, `3½"`, `5' 3 1/2"`, `5 ft 3`, `89 mm`, `1,5 m`. A bare
 * number is taken in `bare`; a bare number after feet is inches. `1,500` is asked about.
 */
export function parseLength(
  text: string,
  units: UnitSystem,
  bare: LengthUnit = units === 'us' ? 'in' : 'm',
): Result<number> {
  const said = plainInput(text)
  if (said === '') return refused('Type a length, for example 89 mm or 3 1/2".')
  if (said.startsWith('-')) return refused('A length cannot be negative.')
  const asks = ambiguity(said)
  if (asks) return refused(asks)
  let metres = 0
  let last: LengthUnit | null = null
  piece.lastIndex = 0
  let at = 0
  for (let match = piece.exec(said); match; match = piece.exec(said)) {
    const value = readAmount(match[1] as string)
    if (value === null) return refused(`“${match[1]?.trim()}” is not a number or a fraction.`)
    const unit: LengthUnit | null = match[2]
      ? (unitOf[match[2]] ?? null)
      : last === 'ft'
        ? 'in'
        : at === 0
          ? bare
          : null
    if (
      unit === null ||
      (last !== null &&
        (isInch(unit) !== isInch(last) ||
          (metresPer[unit] as number) >= (metresPer[last] as number)))
    )
      return refused(`“${text.trim()}” could not be read. Write it like 5' 3 1/2" or 1.6 m.`)
    metres += value * (metresPer[unit] as number)
    last = unit
    at = piece.lastIndex
    if (at >= said.length) break
  }
  const rest = said.slice(at).trim()
  const word = /[a-z]+/i.exec(rest)?.[0]
  if (rest !== '')
    return refused(
      word
        ? `“${word}” is not a unit of length here. Use mm, cm, m, in or ft.`
        : `“${rest}” could not be read. Write it like 5' 3 1/2" or 1.6 m.`,
    )
  return accepted(metres)
}

/** The same for a height or depth, which may lie under what it is measured from: '-0.4 m'. */
export function parseHeight(
  text: string,
  units: UnitSystem,
  bare: LengthUnit = units === 'us' ? 'in' : 'm',
): Result<number> {
  const said = plainInput(text)
  if (!said.startsWith('-')) return parseLength(text, units, bare)
  const under = parseLength(said.slice(1), units, bare)
  return under.ok ? accepted(-under.value) : under
}

/** Inches as a whole and sixteenths: 3.5 → `3 1/2"`. */
function inchesText(inches: number): string {
  const sixteenths = Math.round(inches * 16)
  const whole = Math.floor(sixteenths / 16)
  let above = sixteenths % 16
  let below = 16
  while (above > 0 && above % 2 === 0) {
    above /= 2
    below /= 2
  }
  const fraction = above > 0 ? `${above}/${below}` : ''
  return `${[whole > 0 || fraction === '' ? whole : '', fraction].filter((x) => x !== '').join(' ')}"`
}

/** A length for reading: metric in mm below 1 m and m above, which mixed is but for drills; US as feet and inches. */
export function formatLength(metres: number, units: UnitSystem): string {
  if (metres < 0) return `−${formatLength(-metres, units)}`
  if (units !== 'us')
    return metres < 1 ? `${Math.round(metres * 1000)} mm` : `${Number(metres.toFixed(2))} m`
  const inches = metres / metresPerInch
  if (inches < 12) return inchesText(inches)
  const sixteenths = Math.round(inches * 16)
  return `${Math.floor(sixteenths / 192)}' ${inchesText((sixteenths % 192) / 16)}`
}

/** Inches on the Tape, one decimal where it matters: 212, 6.4. */
export const formatInches = (inches: number): string =>
  inches >= 100 ? String(Math.round(inches)) : String(Number(inches.toFixed(1)))
