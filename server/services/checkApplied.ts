/** Whether rows as a change leaves them may stand together: references, kept files, rules. */
import type { FieldProblem } from '#core/model/changes'
import type { EntityName, Row } from '#core/model/entities'
import { entityWord, fileFields, fileTitle, references } from '#core/model/references'
import type { RefitRows } from '#core/model/refit'
import { wrongMoves } from '#core/model/moves'
import { checkRow, checkSize, kindsDependingOn, ruleContext } from '#core/model/rules'
import type { RuleContext, RuleProblem } from '#core/model/rules'
import { isZone, zoneClock } from '#core/time/zone'
import type { ZoneClock } from '#core/time/zone'
import type { Applied } from './applyItem'
import { now } from './clock'
import { keptFile } from './keptFiles'
import type { OpenRefit } from './openRefit'
import type { Plain } from './rows'

const idsIn = (value: unknown): readonly string[] =>
  value === null || value === undefined
    ? []
    : Array.isArray(value)
      ? (value as string[])
      : [value as string]

/** References to rows that are not there, and rows taken away that others still point to. */
export function brokenReferences(applied: readonly Applied[], one: OpenRefit): FieldProblem[] {
  const users = new Map<string, ReadonlyMap<string, number>>()
  /** Rows of a kind that point to an id by a field, counted once for all that were taken away. */
  const usersOf = (from: EntityName, field: string, id: string): number => {
    const key = `${from} ${field}`
    let counted = users.get(key)
    if (!counted) {
      const counts = new Map<string, number>()
      for (const row of one.rows[from] as unknown as readonly Plain[])
        for (const target of idsIn(row[field])) counts.set(target, (counts.get(target) ?? 0) + 1)
      counted = counts
      users.set(key, counted)
    }
    return counted.get(id) ?? 0
  }
  const problems: FieldProblem[] = []
  for (const { item, after } of applied) {
    if (after) {
      for (const ref of references.filter((ref) => ref.from === item.entity))
        if (idsIn(after[ref.field]).some((id) => one.get(ref.to, id) === null))
          problems.push({
            field: `${item.entity}.${ref.field}`,
            message: `The ${entityWord[ref.to]} that it points to is not there.`,
          })
      continue
    }
    for (const ref of references.filter((ref) => ref.to === item.entity)) {
      const many = usersOf(ref.from, ref.field, item.id)
      if (many > 0)
        problems.push({
          field: item.entity,
          message: `This ${entityWord[item.entity]} is still used by ${many} ${many === 1 ? entityWord[ref.from] : `rows (${entityWord[ref.from]})`}. Change those first.`,
        })
    }
  }
  return problems
}

/** Rows that name a file which is not in the data folder. */
export function missingFiles(applied: readonly Applied[]): FieldProblem[] {
  return applied.flatMap(({ item, after, fields }) => {
    if (!after) return []
    return fileFields
      .filter(
        ({ entity, field, folder }) =>
          entity === item.entity &&
          fields.includes(field) &&
          keptFile(folder, String(after[field])) === null,
      )
      .map(({ entity, field }) => ({
        field: `${entity}.${field}`,
        message: `The ${entityWord[entity]} “${fileTitle(after) || 'without words'}” has no file here. Bring its file in first.`,
      }))
  })
}

/** What is wrong with one row, named by its kind. */
interface Found {
  readonly entity: EntityName
  readonly id: string
  readonly problem: RuleProblem
}

const checkAs = (entity: EntityName, row: Plain, context: RuleContext): Found[] =>
  checkRow(entity, row as unknown as Row<typeof entity>, context).map((problem) => ({
    entity,
    id: row.id as string,
    problem,
  }))

/** Rows that were not touched, but may be wrong now. */
function dependants(applied: readonly Applied[], one: OpenRefit): readonly [EntityName, Plain][] {
  const touched = new Set(applied.map(({ item }) => `${item.entity} ${item.id}`))
  const kinds = new Set(
    applied.flatMap(({ item, fields, after, before }) =>
      // A row that comes or goes has all its fields with it.
      kindsDependingOn(item.entity, before && after ? fields : Object.keys(after ?? before ?? {})),
    ),
  )
  return [...kinds].flatMap((kind) =>
    (one.rows[kind] as unknown as readonly Plain[])
      .filter((row) => !touched.has(`${kind} ${row.id as string}`))
      .map((row): [EntityName, Plain] => [kind, row]),
  )
}

/** The rows as they were before a change. */
function rowsBefore(applied: readonly Applied[], now: RefitRows): RefitRows {
  const before: Record<string, readonly Plain[]> = {}
  for (const entity of new Set(applied.map(({ item }) => item.entity))) {
    const changed = applied.filter(({ item }) => item.entity === entity)
    const ids = new Set(changed.map(({ item }) => item.id))
    before[entity] = [
      ...(now[entity] as unknown as readonly Plain[]).filter((row) => !ids.has(row.id as string)),
      ...changed.map((one) => one.before).filter((row) => row !== null),
    ]
  }
  return { ...now, ...before } as unknown as RefitRows
}

const clocks = new Map<string, ZoneClock>()
function todayOf(rows: RefitRows): string | null {
  const zone = rows.refit[0]?.zone
  if (zone === undefined || (!clocks.has(zone) && !isZone(zone))) return null
  const clock = clocks.get(zone) ?? zoneClock(zone)
  clocks.set(zone, clock)
  return clock.dateOf(now())
}

/**
 * Rules that a change breaks: in the rows it touches and in those that depend on them. What was wrong
 * before, in a field that it leaves alone, does not stand in its way.
 */
export function brokenRules(applied: readonly Applied[], one: OpenRefit): FieldProblem[] {
  const { rows } = one
  const was = new Map(applied.map((each) => [`${each.item.entity} ${each.item.id}`, each]))
  const today = todayOf(rows)
  const context = ruleContext(
    rows,
    today,
    (entity, id) => was.get(`${entity} ${id}`)?.before ?? null,
  )
  const found = [
    ...applied.flatMap(({ item, after }) => (after ? checkAs(item.entity, after, context) : [])),
    ...dependants(applied, one).flatMap(([entity, row]) => checkAs(entity, row, context)),
  ]
  const standing = found.length === 0 ? () => false : stoodBefore(applied, one, today)
  return [
    ...found
      .filter((each) => !standing(each))
      .map(({ entity, problem }) => ({
        field: `${entity}.${problem.field}`,
        message: problem.message,
      })),
    ...(applied.some(grows) ? checkSize(rows) : []),
  ]
}

/** True for what can make a refit or a job too large. */
const grows = ({ item, before, fields }: Applied): boolean =>
  before === null || (item.entity === 'step' && fields.includes('jobId'))

/** Whether the same was wrong with a row already, in a field that the change does not set. */
function stoodBefore(
  applied: readonly Applied[],
  one: OpenRefit,
  today: string | null,
): (found: Found) => boolean {
  const touched = new Map(applied.map((each) => [`${each.item.entity} ${each.item.id}`, each]))
  const context = ruleContext(rowsBefore(applied, one.rows), today)
  return ({ entity, id, problem }) => {
    const own = touched.get(`${entity} ${id}`)
    if (own?.fields.includes(problem.field)) return false
    const row = own ? own.before : one.get(entity, id)
    return (
      row !== null &&
      checkAs(entity, row, context).some((old) => old.problem.field === problem.field)
    )
  }
}

/** States that do not follow each other. Undo goes back whatever the table says, and is not asked. */
export const wrongStates = (applied: readonly Applied[]): FieldProblem[] =>
  applied.flatMap(({ item, before, after }) =>
    before && after
      ? wrongMoves(item.entity, before, after).map(({ field, message }) => ({
          field: `${item.entity}.${field}`,
          message,
        }))
      : [],
  )

/** Everything that wants mending in a refit that comes in whole, and everything with which it cannot. */
export function checkWhole(applied: readonly Applied[], one: OpenRefit) {
  const context = ruleContext(one.rows)
  const found = applied.flatMap(({ item, after }) =>
    after ? checkAs(item.entity, after, context) : [],
  )
  const asField = ({ entity, id, problem }: Found): FieldProblem => ({
    field: `${entity}.${id}.${problem.field}`,
    message: problem.message,
  })
  return {
    refused: [
      ...found.filter(({ problem }) => !problem.mendable).map(asField),
      ...checkSize(one.rows),
    ],
    toMend: found.filter(({ problem }) => problem.mendable).map(asField),
  }
}
