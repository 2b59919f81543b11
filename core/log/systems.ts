/** How whole the record of each system is: over its sheets, line by line of handbook 15. */
import type { Job, Row } from '../model/entities'
import { groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Derived } from '../progress/derive'

export const sheetColumns = [
  'materials',
  'sizes',
  'tests',
  'pictures',
  'takeApart',
  'nextCheck',
] as const
export type SheetColumn = (typeof sheetColumns)[number]
export type SheetMark = 'written' | 'missing' | 'notWanted'

interface SheetMarks {
  readonly sheet: Row<'asBuiltSheet'>
  readonly marks: Readonly<Record<SheetColumn, SheetMark>>
  readonly missing: number
}

interface SystemRecord {
  readonly system: Row<'system'> | null
  readonly sheets: readonly SheetMarks[]
  /** Finished jobs of it that no sheet tells of. */
  readonly unwritten: readonly Job[]
  /** The one form that closes most holes. */
  readonly mend:
    | { readonly kind: 'write'; readonly job: Job }
    | { readonly kind: 'fill'; readonly sheet: Row<'asBuiltSheet'>; readonly holes: number }
    | null
}

export interface BookRecord {
  readonly systems: readonly SystemRecord[]
  readonly sheets: number
  readonly missing: number
  readonly unwritten: number
  /** Share of wanted lines that are written, over the sheets there are; null: there are none. */
  readonly share: number | null
}

type LogRows = Pick<
  RefitRows,
  'system' | 'job' | 'asBuiltSheet' | 'asBuiltLine' | 'asBuiltTest' | 'picture' | 'check'
>

/** Lines that a job of comfort or looks is not asked for. */
const notFor: readonly SheetColumn[] = ['tests', 'nextCheck']

function marksOf(
  sheet: Row<'asBuiltSheet'>,
  of: {
    readonly lines: readonly Row<'asBuiltLine'>[]
    readonly tests: readonly Row<'asBuiltTest'>[]
    readonly pictures: number
    readonly checks: number
    readonly job: Job | null
  },
): SheetMarks {
  const has: Record<SheetColumn, boolean> = {
    materials: of.lines.some((one) => one.kind === 'material'),
    sizes: of.lines.some((one) => one.kind === 'size' || one.kind === 'setting'),
    tests: of.tests.some(
      (one) => (one.measured !== '' || one.reading !== null) && one.outcome !== 'notYet',
    ),
    pictures: of.pictures > 0,
    takeApart: sheet.takeApart !== '',
    nextCheck: sheet.nextCheckOn !== null || of.checks > 0,
  }
  const isComfort = of.job?.purpose === 'live' || of.job?.purpose === 'shine'
  const marks = Object.fromEntries(
    sheetColumns.map((column) => [
      column,
      has[column] ? 'written' : isComfort && notFor.includes(column) ? 'notWanted' : 'missing',
    ]),
  ) as Record<SheetColumn, SheetMark>
  return {
    sheet,
    marks,
    missing: sheetColumns.filter((column) => marks[column] === 'missing').length,
  }
}

/** The record, system by system in their order; sheets of no system last. */
export function bookRecord(rows: LogRows, jobStates: Derived['jobs']): BookRecord {
  const lines = groupBy(rows.asBuiltLine, (one) => one.sheetId)
  const tests = groupBy(rows.asBuiltTest, (one) => one.sheetId)
  const pictures = groupBy(rows.picture, (one) => one.sheetId)
  const checks = groupBy(rows.check, (one) => one.sheetId)
  const jobs = new Map(rows.job.map((job) => [job.id, job]))
  const all = rows.asBuiltSheet.map((sheet) =>
    marksOf(sheet, {
      lines: lines.get(sheet.id) ?? [],
      tests: tests.get(sheet.id) ?? [],
      pictures: pictures.get(sheet.id)?.length ?? 0,
      checks: checks.get(sheet.id)?.length ?? 0,
      job: jobs.get(sheet.jobId ?? '') ?? null,
    }),
  )
  const told = new Set(rows.asBuiltSheet.map((one) => one.jobId))
  const unwritten = rows.job.filter(
    (job) => jobStates.get(job.id)?.state === 'done' && !told.has(job.id),
  )
  const systems = [...inOrder(rows.system), null].flatMap((system): SystemRecord[] => {
    const id = system?.id ?? null
    const sheets = all.filter((one) => one.sheet.systemId === id)
    const open = unwritten.filter((job) => job.systemId === id)
    if (sheets.length === 0 && open.length === 0) return []
    const worst = sheets.reduce<SheetMarks | null>(
      (most, one) => (one.missing > (most?.missing ?? 0) ? one : most),
      null,
    )
    const [first] = open
    const mend = first
      ? { kind: 'write' as const, job: first }
      : worst
        ? { kind: 'fill' as const, sheet: worst.sheet, holes: worst.missing }
        : null
    return [{ system, sheets, unwritten: open, mend }]
  })
  const wanted = all.flatMap(({ marks }) =>
    sheetColumns.filter((column) => marks[column] !== 'notWanted').map((column) => marks[column]),
  )
  const missing = wanted.filter((one) => one === 'missing').length
  return {
    systems,
    sheets: all.length,
    missing,
    unwritten: unwritten.length,
    share: wanted.length === 0 ? null : (wanted.length - missing) / wanted.length,
  }
}
