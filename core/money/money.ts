import { read, unread } from '../units/parsed'
import type { Parsed } from '../units/parsed'

/** Digits after the point of a currency; 2 unless listed. Source: ISO 4217. */
const minorDigits: Readonly<Record<string, number>> = {
  JPY: 0,
  KRW: 0,
  ISK: 0,
  KWD: 3,
  BHD: 3,
  TND: 3,
}
const digitsOf = (currency: string): number => minorDigits[currency] ?? 2

/** True for a three-letter code this runtime can format. */
export const isCurrency = (code: string): boolean => {
  if (!/^[A-Z]{3}$/.test(code)) return false
  try {
    return new Intl.NumberFormat('en', { style: 'currency', currency: code }).format(1).length > 0
  } catch {
    return false
  }
}

/** Minor units of a sum as written: `12.50`, `1 234,50`, `€1,234.50`. Refuses negative and over 1e9 major. */
export function parseMoney(text: string, currency: string): Parsed<number> {
  const said = text.replace(/[^\d.,-]/g, '')
  if (said === '') return unread('Type a sum, for example 12.50.')
  if (said.includes('-')) return unread('A sum cannot be negative here.')
  const decimal = /[.,](\d{1,3})$/.exec(said)
  const thousands = decimal?.[1]?.length === 3 && digitsOf(currency) !== 3
  const number =
    decimal && !thousands
      ? Number(`${said.slice(0, decimal.index).replace(/[.,]/g, '')}.${decimal[1]}`)
      : Number(said.replace(/[.,]/g, ''))
  if (!Number.isFinite(number)) return unread(`"${text.trim()}" is not a sum.`)
  if (number > 1e9) return unread('That sum is too large. Check the point and the comma.')
  return read(Math.round(number * 10 ** digitsOf(currency)))
}

/** A sum for reading, without pennies from 100 up. */
export function formatMoney(minor: number, currency: string): string {
  const major = minor / 10 ** digitsOf(currency)
  const whole = Math.abs(major) >= 100 || Number.isInteger(major)
  return new Intl.NumberFormat('en-IE', {
    style: 'currency',
    currency,
    minimumFractionDigits: whole ? 0 : digitsOf(currency),
    maximumFractionDigits: whole ? 0 : digitsOf(currency),
  }).format(major)
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
