/** A reading on an as-built sheet, against its limits. */
import type { Row } from '../model/entities'
import { verdictOf } from './readings'
import type { Limits, Verdict } from './readings'

type Read = Pick<
  Row<'asBuiltTest'>,
  'what' | 'reading' | 'readUnit' | 'readLow' | 'readHigh' | 'readFailAt'
>

/** The limits a line was given; null: none. */
export const sheetLimits = (row: Read): Limits | null =>
  row.readLow === null && row.readHigh === null
    ? null
    : {
        what: row.what,
        unit: row.readUnit,
        low: row.readLow,
        high: row.readHigh,
        failAt: row.readFailAt,
        source: '',
      }

/** What its reading says; null: nothing was read, or there is no limit. */
export function sheetVerdict(row: Read): Verdict | null {
  const limits = sheetLimits(row)
  return limits && row.reading !== null ? verdictOf(row.reading, limits) : null
}

/** The outcome that a reading gives a test: a failing one fails, whatever was ticked; null: it gives none. */
export function outcomeBy(row: Read): Row<'asBuiltTest'>['outcome'] | null {
  const verdict = sheetVerdict(row)
  return verdict === null ? null : verdict === 'fail' ? 'failed' : 'passed'
}
