import { accepted, refused } from '../result'
import type { Result } from '../result'
import { plainInput } from '../units/parsed'

/** How a currency is written, with so many digits after the point or its own: dear to make, and the same for everybody. */
const written = new Map<string, Intl.NumberFormat>()
function writerOf(currency: string, digits?: number): Intl.NumberFormat {
  const key = `${currency} ${digits}`
  let writer = written.get(key)
  if (!writer) {
    const fixed = { minimumFractionDigits: digits, maximumFractionDigits: digits }
    writer = new Intl.NumberFormat('en-IE', { style: 'currency', currency, ...fixed })
    written.set(key, writer)
  }
  return writer
}
/** With a minus as long as a figure is wide. */
const write = (minor: number, currency: string, digits?: number): string =>
  writerOf(currency, digits)
    .format(minor / 10 ** digitsOf(currency))
    .replace('-', '−')

/** Digits after the point of a currency, as the platform has them. Source: ISO 4217, through Intl. */
export const digitsOf = (currency: string): number =>
  writerOf(currency).resolvedOptions().maximumFractionDigits ?? 2

const currencies = new Set(Intl.supportedValuesOf('currency'))

/** True for the code of a currency the platform knows: 'EUR', not 'eur' or 'QQQ'. */
export const isCurrency = (code: string): boolean => currencies.has(code)

/** Marks by which people write a currency beside its code, as the platform has them, and the Swiss "Fr". */
function marksOf(currency: string): string[] {
  const shown = (['narrowSymbol', 'symbol', 'name'] as const).map(
    (currencyDisplay) =>
      new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay })
        .formatToParts(1)
        .find((part) => part.type === 'currency')?.value ?? '',
  )
  const more = currency === 'CHF' ? ['fr.', 'fr'] : []
  return [currency, ...shown, ...more].map((mark) => mark.toLowerCase()).filter(Boolean)
}

/** The number without the currency's own mark before or after it. */
function withoutMark(said: string, currency: string): string {
  for (const mark of marksOf(currency)) {
    if (said.startsWith(mark)) return said.slice(mark.length).trim()
    if (said.endsWith(mark)) return said.slice(0, -mark.length).trim()
  }
  return said
}

/**
 * Minor units of a sum as written: `12.50`, `12,50`, `1,234.50`, `1.234,50`, `1 234,50`, `€18,420`, in the
 * refit's own currency. One grammar: anything else is refused, among it `19.999`, `12.50.`, `2 x 15`, `(5)`,
 * negative sums, other currencies and sums over 1e9.
 */
export function parseMoney(text: string, currency: string): Result<number> {
  const digits = digitsOf(currency)
  const said = withoutMark(plainInput(text), currency)
  if (said === '') return refused('Type a sum, for example 12.50.')
  if (/^-|^\(.*\)$/.test(said)) return refused('A sum cannot be negative here.')
  const match = /^(\d{1,3}([ ,.'])\d{3}(?:\2\d{3})*|\d+)(?:([.,])(\d+))?$/.exec(said)
  const [, whole = '', group, point, decimals = ''] = match ?? []
  // A point that also groups thousands, or three digits after a lone point, can be read in two ways.
  if (!match || (group !== undefined && group === point))
    return refused(
      `“${text.trim()}” is not a sum in ${currency}. Write it like ${exampleOf(digits)}.`,
    )
  if (group === '.' && point === undefined && digits === 3 && /^\d+\.\d{3}$/.test(whole))
    return accepted(Number(whole.replace('.', '')))
  if (group === '.' && point === undefined)
    return refused(asked(text, whole.replace(/\./g, ''), whole.replace(/\.(?=.*\.)/g, '')))
  if (group === ',' && point === undefined && digits === 3)
    return refused(asked(text, whole.replace(/,/g, ''), whole.replace(',', '.')))
  if (decimals.length > digits)
    return refused(
      digits === 0
        ? `${currency} has no smaller coin: leave out what follows the point.`
        : `${currency} has ${digits} digits after the point, not ${decimals.length}. Write it like ${exampleOf(digits)}.`,
    )
  const minor = Number(whole.replace(/\D/g, '') + decimals.padEnd(digits, '0'))
  if (minor > 1e9 * 10 ** digits)
    return refused('That sum is too large. Check the point and the comma.')
  return accepted(minor)
}

const exampleOf = (digits: number): string =>
  digits === 0 ? '1250' : `12.${'50'.padEnd(digits, '0')}`
const asked = (text: string, thousands: string, decimal: string): string =>
  `Is ${text.trim()} ${thousands} or ${decimal}? Write one of these, without grouping.`

/** A sum to be typed over, every minor unit in it: '18420.00'. */
export function editableMoney(minor: number, currency: string): string {
  const digits = digitsOf(currency)
  const text = String(minor).padStart(digits + 1, '0')
  return digits === 0 ? text : `${text.slice(0, -digits)}.${text.slice(-digits)}`
}

/** A sum for reading, without pennies from 100 up. */
export function formatMoney(minor: number, currency: string): string {
  const major = minor / 10 ** digitsOf(currency)
  const whole = Math.abs(major) >= 100 || Number.isInteger(major)
  return write(minor, currency, whole ? 0 : undefined)
}

/**
 * Splits minor units over weights so that the shares add up exactly: floors first, what is left goes
 * to the largest remainders, ties to the earlier (largest remainder method).
 * Throws RangeError when the weights do not add to more than zero.
 */
export function splitMoney(minor: number, weights: readonly number[]): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  if (!(total > 0)) throw new RangeError('splitMoney: weights must add to more than zero')
  const exact = weights.map((weight) => (minor * weight) / total)
  const shares = exact.map(Math.floor)
  const left = minor - shares.reduce((sum, share) => sum + share, 0)
  const byRemainder = exact
    .map((value, index) => ({ index, remainder: value - Math.floor(value) }))
    .sort((a, b) => b.remainder - a.remainder || a.index - b.index)
  for (const { index } of byRemainder.slice(0, left)) shares[index] = (shares[index] as number) + 1
  return shares
}

/** A sum to the smallest coin: '€402.95'. */
export const exactMoney = (minor: number, currency: string): string => write(minor, currency)
