import { read, readNumber, unread } from './parsed'
import type { Parsed } from './parsed'

export const metresPerInch = 0.0254
export type UnitSystem = 'metric' | 'us' | 'mixed'

const metresPer: Readonly<Record<string, number>> = {
  mm: 0.001,
  cm: 0.01,
  m: 1,
  in: metresPerInch,
  inch: metresPerInch,
  inches: metresPerInch,
  '"': metresPerInch,
  '″': metresPerInch,
  ft: 0.3048,
  feet: 0.3048,
  foot: 0.3048,
  "'": 0.3048,
  '′': 0.3048,
}

/** '3 1/2', '1/2' or a plain number. */
function readAmount(text: string): number | null {
  const mixed = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(text.trim())
  if (!mixed) return readNumber(text)
  const below = Number(mixed[3])
  return below === 0 ? null : Number(mixed[1] ?? 0) + Number(mixed[2]) / below
}

/**
 * Metres of a length as written: `3 1/2"`, `5' 3 1/2"`, `89 mm`, `1,5 m`, `40 ft`. A bare number is
 * taken in the unit of the setting: metres, or inches for US customary and mixed.
 */
export function parseLength(text: string, units: UnitSystem): Parsed<number> {
  const said = text.trim()
  if (said === '') return unread('Type a length, for example 89 mm or 3 1/2".')
  if (said.startsWith('-')) return unread('A length cannot be negative.')
  const bare = readAmount(said)
  if (bare !== null) return read(units === 'metric' ? bare : bare * metresPerInch)
  const piece = /([\d.,/\s]+?)\s*(mm|cm|m|inches|inch|in|feet|foot|ft|["″'′])/gy
  let metres = 0
  let at = 0
  for (let match = piece.exec(said); match; match = piece.exec(said)) {
    const amount = readAmount(match[1] as string)
    if (amount === null) return unread(`"${match[1]?.trim()}" is not a number or a fraction.`)
    metres += amount * (metresPer[match[2] as string] as number)
    at = piece.lastIndex
  }
  const rest = said.slice(at).trim()
  const unit = /[a-z]+/i.exec(rest)?.[0]
  if (rest !== '')
    return unread(
      unit
        ? `"${unit}" is not a unit of length here. Use mm, cm, m, in or ft.`
        : `"${rest}" could not be read. Write it like 5' 3 1/2" or 1,6 m.`,
    )
  return read(metres)
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

/** A length for reading: metric in mm below 1 m and m above; US as feet and inches; mixed in inches. */
export function formatLength(metres: number, units: UnitSystem): string {
  if (units === 'metric')
    return metres < 1 ? `${Math.round(metres * 1000)} mm` : `${Number(metres.toFixed(2))} m`
  const inches = metres / metresPerInch
  if (units === 'mixed' || inches < 12) return inchesText(inches)
  const sixteenths = Math.round(inches * 16)
  return `${Math.floor(sixteenths / 192)}' ${inchesText((sixteenths % 192) / 16)}`
}

/** Inches on the Tape, one decimal where it matters: 212, 6.4. */
export const formatInches = (inches: number): string =>
  inches >= 100 ? String(Math.round(inches)) : String(Number(inches.toFixed(1)))
