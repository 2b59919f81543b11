import type { Transaction } from 'sequelize'
import type { Change, ChangeItem, Clash, FieldProblem, Heard, RowChange } from '#core/model/changes'
import type { EntityName, Row, Step } from '#core/model/entities'
import { entityWord, references } from '#core/model/references'
import { checkRefit } from '#core/model/refitRules'
import { checkRow } from '#core/model/rowRules'
import { settleStep } from '#core/model/settle'
import { settleInches } from './settleInches'
import type { RefitRows } from '#core/model/refit'
import { isZone, zoneClock } from '#core/time/zone'
import { problem } from '#shared/problems'
import { database } from '../db/connect'
import type { Models } from '../db/models'
import { applyItem } from './applyItem'
import type { Applied } from './applyItem'
import { tell } from './bus'
import { now } from './clock'
import { inTurn } from './inTurn'
import { journalled, touchedSince, writeJournal } from './journal'
import type { JournalLine } from './journal'
import { lastSeq, readRows } from './rows'
import type { Plain, Working } from './rows'
import { Trouble } from './trouble'

/** What undo adds to a change. */
export interface Undoing {
  readonly undoes: number
  /** Rows that the undone change took away, as they were. */
  readonly restores: readonly JournalLine[]
}

/**
 * The one door: a list of operations checked, written and journalled as a whole, then told to
 * everybody. The same change id twice is one change.
 * Throws Trouble 422 for what is wrong, 409 for what others changed meanwhile.
 */
export const passDoor = (refitId: string, change: Change, undoing?: Undoing): Promise<Heard> =>
  inTurn(refitId, async () => {
    const { sequelize, models } = await database()
    const already = await journalled(models, refitId, change.changeId)
    if (already) return already
    const heard = await sequelize.transaction((transaction) =>
      write(models, refitId, change, transaction, undoing),
    )
    tell(refitId, heard)
    return heard
  })

async function write(
  models: Models,
  refitId: string,
  change: Change,
  transaction: Transaction,
  undoing?: Undoing,
): Promise<Heard> {
  const rows = await readRows(models, refitId, transaction)
  const creates = change.items.some((item) => item.entity === 'refit' && item.op === 'create')
  if (rows.refit.length === 0 && !creates)
    throw new Trouble(404, problem('notFound', 'There is no such refit here.'))
  const working = toWorking(rows)
  const applied = [
    ...restoreAll(undoing?.restores ?? [], working),
    ...(await applyAll(models, refitId, change.items, working, transaction)),
  ]
  const after = toRows(working)
  refuse([...brokenReferences(applied, after), ...brokenRules(applied, after, change.quiet)])
  const settled = settleInches(settleAll(applied, rows, working), working)
  if (settled.every((one) => one.item.op === 'patch' && one.fields.length === 0) && !undoing)
    return heardOf(change, await lastSeq(models, refitId, transaction), rowsBefore(settled))
  const seq = (await lastSeq(models, refitId, transaction)) + 1
  await writeRows(models, refitId, seq, settled, transaction)
  const undoes = undoing?.undoes ?? null
  await writeJournal(models, refitId, seq, change, settled, now(), transaction, undoes)
  if (undoes !== null)
    await models.change.update({ undone: true }, { where: { refitId, seq: undoes }, transaction })
  return heardOf(
    change,
    seq,
    settled.map((one) => ({ entity: one.item.entity, id: one.item.id, row: one.after })),
  )
}

/** A change that changes nothing is no change: rows keep their version, and undo has nothing to take back. */
const rowsBefore = (applied: readonly Applied[]): RowChange[] =>
  applied.map((one) => ({ entity: one.item.entity, id: one.item.id, row: one.before }))

const heardOf = (change: Change, seq: number, rows: readonly RowChange[]): Heard => ({
  seq,
  changeId: change.changeId,
  deviceId: change.deviceId,
  label: change.label,
  rows,
})

/** Puts back rows that were taken away, one version on. */
function restoreAll(lines: readonly JournalLine[], working: Working): Applied[] {
  return lines.map(({ entity, rowId, version, before }) => {
    const after = { ...before, version: version + 1 }
    working[entity].set(rowId, after)
    const item: ChangeItem = { op: 'create', entity, id: rowId, patch: {} }
    return { item, before: null, after, fields: Object.keys(after), restored: true }
  })
}

const toWorking = (rows: RefitRows): Working =>
  Object.fromEntries(
    Object.entries(rows).map(([entity, list]) => [
      entity,
      new Map((list as unknown as readonly Plain[]).map((row) => [row.id as string, row])),
    ]),
  ) as Working

const toRows = (working: Working): RefitRows =>
  Object.fromEntries(
    Object.entries(working).map(([entity, map]) => [entity, [...map.values()]]),
  ) as unknown as RefitRows

async function applyAll(
  models: Models,
  refitId: string,
  items: readonly ChangeItem[],
  working: Working,
  transaction: Transaction,
): Promise<Applied[]> {
  const applied: Applied[] = []
  const problems: FieldProblem[] = []
  const clashes: Clash[] = []
  const deleted = await deletedIds(models, refitId, items, transaction)
  for (const [place, item] of items.entries()) {
    const current =
      working[item.entity].get(item.id) ??
      (item.op === 'create' ? (deleted.get(`${item.entity} ${item.id}`) ?? null) : null)
    const outcome = await applyItem(item, current, (entity, id, version) =>
      touchedSince(models, refitId, entity, id, version, transaction),
    )
    if ('applied' in outcome) {
      applied.push(outcome.applied)
      if (outcome.applied.after) working[item.entity].set(item.id, outcome.applied.after)
      else working[item.entity].delete(item.id)
    } else if ('clashes' in outcome) clashes.push(...outcome.clashes)
    else
      for (const one of outcome.problems)
        problems.push(items.length > 1 ? { ...one, field: `items.${place}.${one.field}` } : one)
  }
  refuse(problems)
  if (clashes.length > 0)
    throw new Trouble(409, problem('clash', clashSentence(clashes), { clashes }))
  return applied
}

const clashSentence = (clashes: readonly Clash[]): string =>
  `Somebody else changed ${[...new Set(clashes.map((clash) => clash.label))].join(', ')} meanwhile. Choose which to keep.`

/** Ids in use by rows that were deleted: they are not free for new ones. */
async function deletedIds(
  models: Models,
  refitId: string,
  items: readonly ChangeItem[],
  transaction: Transaction,
): Promise<Map<string, Plain>> {
  const found = new Map<string, Plain>()
  const creates = items.filter((item) => item.op === 'create')
  for (const entity of new Set(creates.map((item) => item.entity))) {
    const ids = creates.filter((item) => item.entity === entity).map((item) => item.id)
    for (let at = 0; at < ids.length; at += 500)
      for (const row of await models.rows[entity].findAll({
        where: { refitId, id: ids.slice(at, at + 500) },
        attributes: ['id', 'version'],
        transaction,
      })) {
        const plain = row.get({ plain: true }) as Plain
        found.set(`${entity} ${plain.id as string}`, plain)
      }
  }
  return found
}

function refuse(problems: readonly FieldProblem[]): void {
  const [first] = problems
  if (!first) return
  const more = problems.length > 1 ? ` And ${problems.length - 1} more.` : ''
  throw new Trouble(422, problem('invalid', first.message + more, { fields: problems }))
}

/** References to rows that are not there, and rows taken away that others still point to. */
function brokenReferences(applied: readonly Applied[], rows: RefitRows): FieldProblem[] {
  const ids = Object.fromEntries(
    Object.entries(rows).map(([entity, list]) => [entity, new Set(list.map((row) => row.id))]),
  ) as Record<EntityName, Set<string>>
  const pointsTo = (row: Plain, field: string): string[] => {
    const value = row[field]
    return value === null || value === undefined
      ? []
      : Array.isArray(value)
        ? value
        : [value as string]
  }
  const problems: FieldProblem[] = []
  for (const { item, after } of applied) {
    if (after) {
      for (const ref of references.filter((one) => one.from === item.entity))
        if (pointsTo(after, ref.field).some((id) => !ids[ref.to].has(id)))
          problems.push({
            field: `${item.entity}.${ref.field}`,
            message: `It points to a ${entityWord[ref.to]} that is not there.`,
          })
      continue
    }
    for (const ref of references.filter((one) => one.to === item.entity)) {
      const users = (rows[ref.from] as unknown as readonly Plain[]).filter((row) =>
        pointsTo(row, ref.field).includes(item.id),
      )
      if (users.length > 0)
        problems.push({
          field: item.entity,
          message: `This ${entityWord[item.entity]} is still used by ${users.length} ${users.length === 1 ? entityWord[ref.from] : `rows (${entityWord[ref.from]})`}. Change those first.`,
        })
    }
  }
  return problems
}

/** `whole`: a refit brought in may be from a machine whose clock ran ahead; what it says happened stands. */
function brokenRules(applied: readonly Applied[], rows: RefitRows, whole: boolean): FieldProblem[] {
  const zone = rows.refit[0]?.zone
  const today = !whole && zone !== undefined && isZone(zone) ? zoneClock(zone).dateOf(now()) : null
  const ofRows = applied.flatMap(({ item, after }) =>
    after
      ? checkRow(item.entity, after as unknown as Row<typeof item.entity>, rows, today).map(
          (one) => ({
            ...one,
            field: `${item.entity}.${one.field}`,
          }),
        )
      : [],
  )
  return [...ofRows, ...checkRefit(rows)]
}

/** Lets finished and reopened steps set what follows from it, one after the other. */
function settleAll(
  applied: readonly Applied[],
  rows: RefitRows,
  working: Working,
): readonly Applied[] {
  let steps = rows.step
  return applied.map((one) => {
    if (one.item.entity !== 'step' || !one.after) return one
    const before = one.before as unknown as Step | null
    const after = one.after as unknown as Step
    // A step that comes finished with its inches (an import, an undo) keeps them.
    const keeps =
      one.item.op === 'create' && after.earnedIn !== null && after.earnedIn !== undefined
    const settled = keeps
      ? null
      : settleStep(before, after, { ...toRows(working), step: steps }, now())
    const row = { ...after, ...(settled ?? {}) }
    steps = [...steps.filter((step) => step.id !== row.id), row]
    working.step.set(row.id, row as unknown as Plain)
    const fields = settled ? [...new Set([...one.fields, 'doneAt', 'earnedIn'])] : one.fields
    return { ...one, after: row as unknown as Plain, fields }
  })
}

async function writeRows(
  models: Models,
  refitId: string,
  seq: number,
  applied: readonly Applied[],
  transaction: Transaction,
): Promise<void> {
  const creates = new Map<EntityName, Plain[]>()
  for (const { item, after, fields, restored } of applied) {
    const model = models.rows[item.entity]
    const where = { refitId, id: item.id }
    if (restored) await model.update({ ...after, deletedAt: null, seq }, { where, transaction })
    else if (item.op === 'create')
      creates.set(item.entity, [
        ...(creates.get(item.entity) ?? []),
        { ...after, refitId, seq, deletedAt: null },
      ])
    else if (item.op === 'delete')
      await model.update({ deletedAt: now(), seq }, { where, transaction })
    else {
      const values = Object.fromEntries(fields.map((name) => [name, after?.[name]]))
      await model.update({ ...values, version: after?.version, seq }, { where, transaction })
    }
  }
  for (const [entity, list] of creates)
    await models.rows[entity].bulkCreate(list as Record<string, unknown>[], { transaction })
}
