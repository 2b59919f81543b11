import Papa from 'papaparse'
import { decodeText } from '#core/exchange/decodeText'
import type { JobColumn } from '#core/exchange/jobColumns'
import { guessColumns, looksLikeHeader } from '#core/exchange/jobColumns'
import { linesToTable } from '#core/exchange/linesToTable'
import type { ListRow } from '#core/exchange/readJobs'

/** A list as it stands in a file or a paste: its headings, what they hold, and its rows by line. */
export interface ReadList {
  /** Empty: a line a job, without headings. */
  readonly header: readonly string[]
  readonly columns: readonly JobColumn[]
  readonly table: readonly ListRow[]
  /** What the file was saved in, and what parts its columns; '' for pasted lines. */
  readonly said: string
}

/** What parts the columns is seen from so many records. */
const linesToGuess = 20

const separatorName: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
}

/** Records of a delimited text with the line each begins on; blank ones left out. `broken`: line of a quote that never ends. */
function recordsOf(text: string): { rows: ListRow[]; delimiter: string; broken: number | null } {
  // Blank lines have no columns, and would speak against every sign that parts two.
  const { meta } = Papa.parse(text, {
    delimitersToGuess: [';', '\t', ',', '|'],
    preview: linesToGuess,
    skipEmptyLines: 'greedy',
  })
  const parsed = Papa.parse<string[]>(text, { delimiter: meta.delimiter })
  let line = 1
  const rows: ListRow[] = []
  for (const cells of parsed.data) {
    if (cells.some((cell) => cell.trim() !== '')) rows.push({ line, cells })
    line += 1 + cells.reduce((sum, cell) => sum + (cell.match(/\r\n|\n|\r/g)?.length ?? 0), 0)
  }
  const quote = parsed.errors.find((one) => one.type === 'Quotes')
  const broken = quote === undefined ? null : (rows.at(-1)?.line ?? 1)
  return { rows, delimiter: parsed.meta.delimiter, broken }
}

/** Reads a list: a table when its first row has headings, else a line a job. */
export function readList(
  text: string,
  zones: readonly { readonly id: string; readonly name: string }[],
  encoding = '',
): ReadList {
  const { rows, delimiter } = recordsOf(text)
  const [first, ...rest] = rows
  if (first && first.cells.length > 1 && looksLikeHeader(first.cells)) {
    const parts = separatorName[delimiter]
    const said = [encoding, parts ? `columns parted by ${parts}` : ''].filter(Boolean).join(', ')
    return { header: first.cells, columns: guessColumns(first.cells), table: rest, said }
  }
  return { header: [], ...linesToTable(text, zones), said: encoding }
}

/** A table with headings as it stands in a file: of anything. Refused: no headings, no rows, a quote left open. */
export function readSheet(
  text: string,
): { readonly header: readonly string[]; readonly table: readonly ListRow[] } | { wrong: string } {
  if (text.includes('\u0000'))
    return { wrong: 'This is not a text file. Save the sheet as CSV first.' }
  const { rows, broken } = recordsOf(text)
  if (broken !== null)
    return {
      wrong: `A quote is opened in the record that begins on line ${broken}, and is not closed as it should be. Nothing was read: put it right in the file.`,
    }
  const [first, ...table] = rows
  if (!first || table.length === 0) return { wrong: 'There is no row under the headings.' }
  return { header: first.cells, table }
}

/** The text of a file, whatever it was saved in. */
export const textOf = async (file: File) => decodeText(new Uint8Array(await file.arrayBuffer()))
