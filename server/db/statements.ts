/** Statements written out with their values in them, so that many of them go to SQLite in one call. */

/** Digits that tell every double from its neighbours, also to SQLite, which reads fewer digits one off now and then. */
const digitsOfDouble = 17
/** Rows in one statement. */
const mostRows = 200

const quoted = (text: string): string => `'${text.replaceAll("'", "''")}'`

function ofNumber(value: number): string {
  if (!Number.isFinite(value)) throw new RangeError(`No table holds the number ${value}.`)
  return Number.isSafeInteger(value) ? String(value) : value.toPrecision(digitsOfDouble)
}

/**
 * A value as SQLite reads it in a statement: lists and records as JSON. Throws RangeError for numbers and texts that no
 * table holds (NaN, a text with a NUL in it).
 */
export function literal(value: unknown): string {
  if (value === null || value === undefined) return 'NULL'
  if (typeof value === 'number') return ofNumber(value)
  if (typeof value === 'boolean') return value ? '1' : '0'
  const text = typeof value === 'string' ? value : JSON.stringify(value)
  if (text.includes('\0')) throw new RangeError('No table holds a text with a NUL in it.')
  return quoted(text)
}

type Row = Readonly<Record<string, unknown>>

/** Rows added to a table; SQLite refuses those that are there. */
export function* addRows(
  table: string,
  columns: readonly string[],
  rows: readonly Row[],
): Generator<string> {
  const names = columns.map((name) => `"${name}"`).join(', ')
  for (let at = 0; at < rows.length; at += mostRows) {
    const values = rows
      .slice(at, at + mostRows)
      .map((row) => `(${columns.map((name) => literal(row[name])).join(', ')})`)
    yield `INSERT INTO "${table}" (${names}) VALUES ${values.join(', ')}`
  }
}

/** Rows put into a table, in place of those with the same `keys` where there are any; `columns` hold the keys too. */
export function* putRows(
  table: string,
  columns: readonly string[],
  keys: readonly string[],
  rows: readonly Row[],
): Generator<string> {
  const news = columns
    .filter((name) => !keys.includes(name))
    .map((name) => `"${name}" = excluded."${name}"`)
  for (const added of addRows(table, columns, rows))
    yield `${added} ON CONFLICT (${keys.join(', ')}) DO UPDATE SET ${news.join(', ')}`
}

const where = (row: Row): string =>
  Object.entries(row)
    .map(([name, value]) => `"${name}" = ${literal(value)}`)
    .join(' AND ')

/** Fields set in the rows that are `of` these values. */
export const setFields = (table: string, fields: Row, of: Row): string =>
  `UPDATE "${table}" SET ${Object.entries(fields)
    .map(([name, value]) => `"${name}" = ${literal(value)}`)
    .join(', ')} WHERE ${where(of)}`

/** Rows that are `of` these values taken out. */
export const takeRows = (table: string, of: Row): string =>
  `DELETE FROM "${table}" WHERE ${where(of)}`
