/** A list of work as people have it, pasted lines or a table, read into drafts of jobs. */
import type { RefitRows } from '../model/refit'
import type { Operation, Purpose } from '../model/words'
import { operations, purposes } from '../model/words'
import { parseMoney } from '../money/money'
import { severityName } from '../plan/priority'
import { likelyPurpose } from '../triage/triage'
import { parseHours } from '../units/hours'
import { guessOperation } from './guessOperation'
import type { JobColumn } from './jobColumns'
import { columnName } from './jobColumns'
import { matchName } from './likeness'

/** A row of a table with the line of the file it begins on, from 1. */
export interface ListRow {
  readonly line: number
  readonly cells: readonly string[]
}

/** A job as read from a row; ids are still to be made. */
export interface JobDraft {
  /** Line of the file, as the person counts. */
  readonly row: number
  readonly title: string
  /** Null: not given; the job comes without a step. */
  readonly hours: number | null
  /** Guessed from the words unless a column says it. */
  readonly operation: Operation
  readonly zoneId: string | null
  readonly systemId: string | null
  readonly purpose: Purpose
  readonly severity: number
  /** Place in the list's own order, where its priorities are places; null: none. */
  readonly rank: number | null
  readonly gateId: string | null
  /** Title of the job it comes after; null: none, or one that is not brought in. */
  readonly after: string | null
  readonly detail: string
  readonly state: 'open' | 'doing' | 'done'
  readonly decision: 'plan' | 'later' | 'dropped'
  readonly wantedPersonId: string | null
  readonly costMinor: number | null
  /** What is wrong; a row with any is not brought in. */
  readonly problems: readonly string[]
  /** How something was read that could be read otherwise. */
  readonly remarks: readonly string[]
  /** Names to pick from where one was not known, by column. */
  readonly picks: Partial<Record<JobColumn, readonly string[]>>
  /** Why the row is better left out, to begin with; null: it is not. */
  readonly leaveOut: string | null
}

/** What a refit is asked about while a list is read. */
export type ListRefit = Pick<RefitRows, 'refit' | 'zone' | 'system' | 'gate' | 'job' | 'person'>

const mostHours = 2000
const mostTitle = 300

/** Reads table rows into drafts, each with what is wrong with it. */
export function readJobs(
  table: readonly ListRow[],
  columns: readonly JobColumn[],
  rows: ListRefit,
): JobDraft[] {
  const healed = table.map((row) => ({ ...row, cells: joinDecimals(row.cells, columns) }))
  const ranking = isRanking(healed.map((row) => at(row.cells, columns, 'priority')))
  const drafts = healed.map((row) => readRow(row, columns, rows, ranking))
  const seen = new Map<string, number>()
  const known = new Set(rows.job.map((job) => job.title.trim().toLowerCase()))
  const flagged = drafts.map((draft) => {
    const key = draft.title.toLowerCase()
    if (draft.leaveOut !== null || key === '') return draft
    const first = seen.get(key)
    if (first === undefined) seen.set(key, draft.row)
    if (first !== undefined) return { ...draft, leaveOut: `The same job as in row ${first}.` }
    return known.has(key)
      ? { ...draft, leaveOut: 'A job of this name is in the refit already.' }
      : draft
  })
  return withLinks(flagged, rows)
}

const at = (cells: readonly string[], columns: readonly JobColumn[], column: JobColumn): string => {
  const index = columns.indexOf(column)
  return index < 0 ? '' : (cells[index] ?? '').trim()
}

/** "2,5" written without quotes in a file of commas comes as two cells: they are put together again. */
function joinDecimals(cells: readonly string[], columns: readonly JobColumn[]): readonly string[] {
  const over = cells.length - columns.length
  const index = columns.findIndex(
    (column, place) =>
      (column === 'hours' || column === 'cost') &&
      /^\s*\d+$/.test(cells[place] ?? '') &&
      /^\d{1,2}\s*\w*$/.test((cells[place + 1] ?? '').trim()),
  )
  if (over < 1 || index < 0) return cells
  return [
    ...cells.slice(0, index),
    `${cells[index]},${cells[index + 1]}`,
    ...cells.slice(index + 2),
  ]
}

/** Links only to jobs that come too, or are there; the others are said. */
function withLinks(drafts: readonly JobDraft[], rows: ListRefit): JobDraft[] {
  const old = new Set(rows.job.map((job) => job.title.toLowerCase()))
  const coming = new Map(drafts.map((draft) => [draft.title.toLowerCase(), draft]))
  return drafts.map((draft) => {
    if (draft.after === null) return draft
    const key = draft.after.toLowerCase()
    if (key === draft.title.toLowerCase())
      return { ...draft, problems: [...draft.problems, 'A job cannot come after itself.'] }
    if (old.has(key) || coming.has(key)) return draft
    const match = matchName(draft.after, [
      ...rows.job.map((job) => ({ id: job.title, name: job.title })),
      ...drafts.map((one) => ({ id: one.title, name: one.title })),
    ])
    if (match.id !== null) return { ...draft, after: match.id }
    return {
      ...draft,
      problems: [...draft.problems, `There is no job called “${draft.after}” to come after.`],
      picks: { ...draft.picks, after: match.picks.map((one) => one.name) },
    }
  })
}

/** Sentences about links that fall away because the job before is not brought in. */
export function lostLinks(
  chosen: readonly JobDraft[],
  all: readonly JobDraft[],
  rows: ListRefit,
): string[] {
  const there = new Set([...rows.job, ...chosen].map((one) => one.title.toLowerCase()))
  const named = new Set(all.map((one) => one.title.toLowerCase()))
  return chosen.flatMap((draft) => {
    const key = draft.after?.toLowerCase()
    if (key === undefined || there.has(key) || !named.has(key)) return []
    return [
      `“${draft.title}” comes after “${draft.after}”, which is not brought in: it comes without that link.`,
    ]
  })
}

function readRow(
  { line, cells }: ListRow,
  columns: readonly JobColumn[],
  rows: ListRefit,
  ranking: boolean,
): JobDraft {
  const problems: string[] = []
  const remarks: string[] = []
  const picks: Partial<Record<JobColumn, readonly string[]>> = {}
  const cell = (column: JobColumn) => at(cells, columns, column)
  const named = (
    column: JobColumn,
    list: readonly { readonly id: string; readonly name: string }[],
  ): string | null => {
    const said = cell(column)
    if (said === '') return null
    const match = matchName(said, list)
    const found = list.find((one) => one.id === match.id)
    if (found && found.name.toLowerCase() !== said.toLowerCase())
      remarks.push(`“${said}” is read as ${found.name}.`)
    if (!found) {
      problems.push(`There is no ${columnName[column].toLowerCase()} called “${said}”.`)
      picks[column] = match.picks.map((one) => one.name)
    }
    return found?.id ?? null
  }
  const title = cell('title')
  const leaveOut = whyLeaveOut(title, cells)
  if (title === '') problems.push('The job has no name.')
  if (title.length > mostTitle)
    problems.push(`The name is over ${mostTitle} characters. Shorten it.`)
  const zoneId = named('zone', rows.zone)
  const status = readStatus(cell('status'), problems)
  return {
    row: line,
    title,
    hours: readHours(cell('hours'), problems),
    operation: readOperation(cell('operation'), title, problems),
    zoneId,
    systemId: named('system', rows.system),
    purpose: readPurpose(cell('purpose'), zoneId, rows, problems),
    severity: readSeverity(cell('severity'), cell('priority'), ranking, problems, remarks),
    rank: ranking && /^\d+$/.test(cell('priority')) ? Number(cell('priority')) : null,
    gateId: named('gate', rows.gate),
    after: cell('after') === '' ? null : cell('after'),
    ...status,
    ...readPerson(cell('person'), cell('detail'), rows, remarks),
    costMinor: readCost(cell('cost'), rows.refit[0]?.currency ?? 'EUR', problems),
    problems,
    remarks,
    picks,
    leaveOut,
  }
}

/** Totals and formulas of a spreadsheet are no jobs. */
function whyLeaveOut(title: string, cells: readonly string[]): string | null {
  if (/^(grand |sub-?)?(total|sum)s?\b[^a-z]*$/i.test(title)) return 'It looks like a total.'
  if (cells.some((cell) => /^\s*=/.test(cell) || /^#(REF|NAME|VALUE|DIV\/0)/.test(cell.trim())))
    return 'It holds a formula.'
  return title === '' && cells.some((cell) => cell.trim() !== '') ? 'It has no name.' : null
}

function readHours(said: string, problems: string[]): number | null {
  if (said === '' || /^[?–—-]+$/.test(said)) return null
  const hours = parseHours(said, mostHours)
  if (!hours.ok) problems.push(hours.message)
  else if (hours.value === 0)
    problems.push('No work takes 0 hours. Leave the cell empty if you do not know.')
  else return hours.value
  return null
}

function readOperation(said: string, title: string, problems: string[]): Operation {
  if (said === '') return guessOperation(title)
  const found = operations.find(
    (one) => one.toLowerCase() === said.toLowerCase().replace(/[ -]/g, ''),
  )
  if (!found)
    problems.push(
      `“${said}” is not a kind of work. Use one like ${operations.slice(0, 6).join(', ')}.`,
    )
  return found ?? 'fit'
}

function readPurpose(
  said: string,
  zoneId: string | null,
  rows: ListRefit,
  problems: string[],
): Purpose {
  if (said === '') return likelyPurpose(rows, zoneId)
  const found = purposes.find((one) => one.startsWith(said.toLowerCase().slice(0, 5)))
  if (!found) problems.push(`“${said}” is not a purpose. Use Float, Safe, Go, Live or Shine.`)
  return found ?? 'go'
}

/** Words of priority, most pressing first: severity 4, 3, 2, 1. */
const pressing: readonly RegExp[] = [
  /^(urgent|critical|very high|high|must|asap|now|a|1|!+)$/i,
  /^(medium|mid|normal|should|b|2)$/i,
  /^(low|could|c|3)$/i,
  /^(very low|nice( to have)?|later|some ?day|d|4|5)$/i,
]

/** True when priorities are places in a list rather than grades. */
const isRanking = (said: readonly string[]): boolean => {
  const numbers = said.filter((one) => /^\d+$/.test(one)).map(Number)
  return numbers.length > 0 && Math.max(...numbers) > 5
}

function readSeverity(
  severity: string,
  priority: string,
  ranking: boolean,
  problems: string[],
  remarks: string[],
): number {
  if (severity !== '') {
    if (/^[1-4]$/.test(severity)) return Number(severity)
    problems.push(`How bad is a number from 1 to 4, not “${severity}”.`)
    return 2
  }
  if (priority === '' || ranking) return 2
  const grade = pressing.findIndex((words) => words.test(priority))
  if (grade < 0) {
    problems.push(`“${priority}” is not a priority that is known. Use high, medium or low.`)
    return 2
  }
  remarks.push(`Priority “${priority}” is read as how bad: ${severityName[3 - grade]}.`)
  return 4 - grade
}

function readStatus(said: string, problems: string[]): Pick<JobDraft, 'state' | 'decision'> {
  const is = (words: RegExp) => words.test(said.trim())
  if (said === '' || is(/^(open|to ?do|not started|planned|no|n|0 ?%?|new|waiting)$/i))
    return { state: 'open', decision: 'plan' }
  if (is(/^(done|finished|completed?|closed|yes|y|x|✓|✔|100 ?%)$/i))
    return { state: 'done', decision: 'plan' }
  if (is(/^(in progress|doing|started|begun|under ?way|ongoing|partly|\d{1,2} ?%)$/i))
    return { state: 'doing', decision: 'plan' }
  if (is(/^(later|later season|next (year|season)|deferred|postponed|on hold)$/i))
    return { state: 'open', decision: 'later' }
  if (is(/^(dropped|cancel+ed|won'?t do|no longer|obsolete|accepted as it is)$/i))
    return { state: 'open', decision: 'dropped' }
  problems.push(`“${said}” is not a state that is known. Use open, doing, done, later or dropped.`)
  return { state: 'open', decision: 'plan' }
}

function readPerson(
  said: string,
  detail: string,
  rows: ListRefit,
  remarks: string[],
): Pick<JobDraft, 'wantedPersonId' | 'detail'> {
  if (said === '') return { wantedPersonId: null, detail }
  const people = rows.person.filter((person) => !person.gone)
  const match = matchName(said, people)
  if (match.id !== null) return { wantedPersonId: match.id, detail }
  remarks.push(`“${said}” is nobody of this refit: kept in the notes.`)
  return { wantedPersonId: null, detail: [detail, `Who: ${said}`].filter(Boolean).join('\n') }
}

function readCost(said: string, currency: string, problems: string[]): number | null {
  if (said === '' || /^[?–—-]+$/.test(said)) return null
  const cost = parseMoney(said, currency)
  if (cost.ok) return cost.value
  problems.push(cost.message)
  return null
}
