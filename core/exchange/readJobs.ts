/** A list of work as people have it, pasted lines or a table, read into drafts of jobs. */
import type { RefitRows } from '../model/refit'
import type { Purpose } from '../model/words'
import { purposes } from '../model/words'
import { parseHours } from '../units/hours'

/** What a column may hold. */
export const jobColumns = [
  'skip',
  'title',
  'hours',
  'zone',
  'system',
  'purpose',
  'severity',
  'gate',
  'after',
  'detail',
] as const
export type JobColumn = (typeof jobColumns)[number]

export const columnName: Readonly<Record<JobColumn, string>> = {
  skip: 'Leave out',
  title: 'Job',
  hours: 'Hours',
  zone: 'Place on the boat',
  system: 'System',
  purpose: 'Purpose',
  severity: 'How bad, 1 to 4',
  gate: 'Gate',
  after: 'Comes after (another job)',
  detail: 'Notes',
}

const heads: Readonly<Record<Exclude<JobColumn, 'skip'>, RegExp>> = {
  title: /^(job|task|work|title|what|item|todo|to do|description)s?$/i,
  hours: /^(hours?|hrs?|h|time|estimate|duration|likely)\b/i,
  zone: /^(place|zone|where|location|area|room)/i,
  system: /^(system|category|group|type)/i,
  purpose: /^(purpose|why|priority|prio)/i,
  severity: /^(severity|how bad|bad|grade)/i,
  gate: /^(gate|before|deadline|milestone|by)\b/i,
  after: /^(after|depends|needs|waits|predecessor|comes after)/i,
  detail: /^(notes?|details?|comment|remarks?)/i,
}

/** Guesses what each column holds from its heading; the first that fits each kind wins. */
export function guessColumns(header: readonly string[]): JobColumn[] {
  const taken = new Set<JobColumn>()
  const guess = header.map((cell): JobColumn => {
    const found = (Object.keys(heads) as (keyof typeof heads)[]).find(
      (column) => !taken.has(column) && heads[column].test(cell.trim()),
    )
    if (!found) return 'skip'
    taken.add(found)
    return found
  })
  if (!taken.has('title') && guess.length > 0) {
    const free = guess.indexOf('skip')
    guess[free === -1 ? 0 : free] = 'title'
  }
  return guess
}

/** True when the first row looks like headings: a cell names a kind of column, and none is a number. */
export const looksLikeHeader = (row: readonly string[]): boolean =>
  row.some((cell) => Object.values(heads).some((head) => head.test(cell.trim()))) &&
  !row.some((cell) => /^\s*\d/.test(cell))

/** A job as read from a row; ids are still to be made. */
export interface JobDraft {
  /** Row number as the person counts, from 1. */
  readonly row: number
  readonly title: string
  /** Null: not given; the job comes without a step. */
  readonly hours: number | null
  readonly zoneId: string | null
  readonly systemId: string | null
  readonly purpose: Purpose
  readonly severity: number
  readonly gateId: string | null
  /** Title of the job it comes after. */
  readonly after: string | null
  readonly detail: string
  /** What is wrong; a row with any is not brought in. */
  readonly problems: readonly string[]
}

const mostHours = 2000

/** Reads table rows into drafts, each with what is wrong with it. */
export function readJobs(
  table: readonly (readonly string[])[],
  columns: readonly JobColumn[],
  rows: Pick<RefitRows, 'zone' | 'system' | 'gate' | 'job'>,
  firstRow = 1,
): JobDraft[] {
  const titles = new Set(table.map((cells) => at(cells, columns, 'title').toLowerCase()))
  for (const job of rows.job) titles.add(job.title.toLowerCase())
  return table.map((cells, index) => readRow(cells, columns, rows, firstRow + index, titles))
}

const at = (cells: readonly string[], columns: readonly JobColumn[], column: JobColumn): string =>
  (cells[columns.indexOf(column)] ?? '').trim()

function readRow(
  cells: readonly string[],
  columns: readonly JobColumn[],
  rows: Pick<RefitRows, 'zone' | 'system' | 'gate'>,
  row: number,
  titles: ReadonlySet<string>,
): JobDraft {
  const problems: string[] = []
  const cell = (column: JobColumn) => (columns.includes(column) ? at(cells, columns, column) : '')
  const named = (
    column: JobColumn,
    list: readonly { readonly id: string; readonly name: string }[],
  ): string | null => {
    const said = cell(column)
    if (said === '') return null
    const low = said.toLowerCase()
    const found =
      list.find((one) => one.name.toLowerCase() === low) ??
      list.find((one) => one.name.toLowerCase().startsWith(low))
    if (!found) problems.push(`There is no ${columnName[column].toLowerCase()} called "${said}".`)
    return found?.id ?? null
  }
  const title = cell('title')
  if (title === '') problems.push('The job has no name.')
  if (title.length > 300) problems.push('The name is over 300 characters. Shorten it.')
  const after = cell('after')
  if (after !== '' && !titles.has(after.toLowerCase()))
    problems.push(`There is no job called "${after}" to come after.`)
  if (after !== '' && after.toLowerCase() === title.toLowerCase())
    problems.push('A job cannot come after itself.')
  return {
    row,
    title,
    hours: readHours(cell('hours'), problems),
    zoneId: named('zone', rows.zone),
    systemId: named('system', rows.system),
    purpose: readPurpose(cell('purpose'), problems),
    severity: readSeverity(cell('severity'), problems),
    gateId: named('gate', rows.gate),
    after: after === '' ? null : after,
    detail: cell('detail'),
    problems,
  }
}

function readHours(said: string, problems: string[]): number | null {
  if (said === '') return null
  const hours = parseHours(said, mostHours)
  if (!hours.ok) problems.push(hours.message)
  else if (hours.value === 0)
    problems.push('No work takes 0 hours. Leave the cell empty if you do not know.')
  else return hours.value
  return null
}

function readPurpose(said: string, problems: string[]): Purpose {
  if (said === '') return 'go'
  const found = purposes.find((one) => one.startsWith(said.toLowerCase().slice(0, 5)))
  if (!found) problems.push(`"${said}" is not a purpose. Use Float, Safe, Go, Live or Shine.`)
  return found ?? 'go'
}

function readSeverity(said: string, problems: string[]): number {
  if (said === '') return 2
  if (/^[1-4]$/.test(said)) return Number(said)
  problems.push(`How bad is a number from 1 to 4, not "${said}".`)
  return 2
}

/**
 * Pasted lines as table rows of title, hours and place: "Re-bed the bow cleat, 2h, foredeck". What
 * comes after a comma counts only when it reads as hours with a unit or names a place.
 */
export function linesToTable(
  text: string,
  zones: readonly { readonly name: string }[],
): { readonly table: string[][]; readonly columns: JobColumn[] } {
  const names = new Set(zones.map((zone) => zone.name.toLowerCase()))
  const table = text
    .split(/\r?\n/)
    .map((line) => line.replace(/^\s*(?:[-*•]|\d+[.)])\s+/, '').trim())
    .filter((line) => line !== '')
    .map((line) => {
      const parts = line.split(/[,;\t]/).map((part) => part.trim())
      let hours = ''
      let zone = ''
      while (parts.length > 1) {
        const last = parts.at(-1) as string
        if (zone === '' && names.has(last.toLowerCase())) zone = last
        else if (hours === '' && /[hm]/i.test(last) && parseHours(last, mostHours).ok) hours = last
        else break
        parts.pop()
      }
      return [parts.join(', '), hours, zone]
    })
  return { table, columns: ['title', 'hours', 'zone'] }
}
