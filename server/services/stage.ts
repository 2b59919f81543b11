/** A change worked out in memory and checked as a whole, ready to be written. */
import type { Change, ChangeItem, Clash, FieldProblem, Heard, RowChange } from '#core/model/changes'
import { isComputed } from '#core/model/references'
import { problem } from '#shared/problems'
import { database } from '../db/store'
import { applyItem } from './applyItem'
import type { Applied } from './applyItem'
import { brokenReferences, brokenRules, missingFiles, wrongStates } from './checkApplied'
import { now } from './clock'
import { touchesInJournal } from './journal'
import type { JournalLine } from './journal'
import type { OpenRefit } from './openRefit'
import { settleApplied } from './settleApplied'
import { Trouble } from './trouble'

/** What undo adds to a change. */
export interface Undoing {
  readonly undoes: number
  /** Rows that the undone change took away, as they were. */
  readonly restores: readonly JournalLine[]
}

/** A change that stands in memory and waits to be written. */
export interface Staged {
  readonly one: OpenRefit
  readonly change: Change
  readonly seq: number
  readonly at: number
  readonly undoes: number | null
  readonly applied: readonly Applied[]
  /** A refit that comes in whole: it leaves no lines in the journal. */
  readonly whole: boolean
  readonly heard: Heard
  /** Takes it back out of the memory. */
  readonly rollBack: () => void
}

/** Answers without anything to write: it went through before, or changes nothing. */
export interface Answered {
  readonly heard: Heard
}

export const isStaged = (outcome: Staged | Answered): outcome is Staged => 'applied' in outcome

const heardOf = (one: OpenRefit, change: Change, seq: number, rows: RowChange[]): Heard => ({
  seq,
  epoch: one.epoch,
  changeId: change.changeId,
  deviceId: change.deviceId,
  label: change.label,
  rows: rows.filter(({ entity }) => !isComputed(entity)),
  numbers: rows
    .filter(({ entity }) => isComputed(entity))
    .map(({ entity, id, row }) => ({ entity, id, version: Number(row?.version ?? 0) })),
})

/**
 * Stages a change on a refit in memory, where it stays until it is written or rolled back.
 * Throws Trouble 404, 409 or 422, and leaves the memory as it was.
 */
export async function stage(
  one: OpenRefit,
  change: Change,
  undoing?: Undoing,
): Promise<Staged | Answered> {
  const creates = change.items.some((item) => item.entity === 'refit' && item.op === 'create')
  if (one.rows.refit.length === 0 && !creates)
    throw new Trouble(404, problem('notFound', 'There is no such refit here.'))
  if (creates && one.rows.refit.length > 0)
    refuse([
      { field: 'refit', message: 'This is a refit already: a second one is begun on its own.' },
    ])
  if (change.epoch !== undefined && change.epoch !== one.epoch)
    throw new Trouble(
      409,
      problem(
        'otherLife',
        'This refit was brought in anew or put back from a copy meanwhile. Look at it as it is now before you change it.',
      ),
    )
  const mark = one.mark()
  try {
    const applied = [...restoreAll(undoing?.restores ?? [], one), ...(await applyAll(change, one))]
    refuse([
      ...brokenReferences(applied, one),
      ...missingFiles(applied),
      ...brokenRules(applied, one),
      ...(undoing ? [] : wrongStates(applied)),
    ])
    const settled = settleApplied(applied, one)
    if (settled.every((each) => each.item.op === 'patch' && each.fields.length === 0) && !undoing) {
      one.rollBack(mark)
      // A change that changes nothing is no change: rows keep their version, and undo has nothing to take back.
      return { heard: heardOf(one, change, one.seq, settled.map(rowBefore)) }
    }
    return staged(one, change, settled, mark, undoing?.undoes ?? null, false)
  } catch (error) {
    one.rollBack(mark)
    throw error
  }
}

/** A staged change of rows that are in the memory already. */
export function staged(
  one: OpenRefit,
  change: Change,
  applied: readonly Applied[],
  mark: number,
  undoes: number | null,
  whole: boolean,
): Staged {
  const seq = one.advance(change.changeId)
  for (const { item, after, before, fields } of applied)
    if (!whole && !isComputed(item.entity))
      one.touch(item.entity, item.id, {
        version: Number(after?.version ?? before?.version ?? 1),
        fields,
        changeId: change.changeId,
      })
  const rows = whole ? [] : applied.map(rowAfter)
  return {
    one,
    change,
    seq,
    at: now(),
    undoes,
    applied,
    whole,
    heard: heardOf(one, change, seq, rows),
    rollBack: () => one.rollBack(mark),
  }
}

const rowBefore = ({ item, before }: Applied): RowChange => ({
  entity: item.entity,
  id: item.id,
  row: before,
})
const rowAfter = ({ item, after }: Applied): RowChange => ({
  entity: item.entity,
  id: item.id,
  row: after,
})

/** Puts back rows that were taken away, one version on. */
function restoreAll(lines: readonly JournalLine[], one: OpenRefit): Applied[] {
  return lines.map(({ entity, rowId, version, before }) => {
    const last = one.goneVersion(entity, rowId) ?? version
    const after = { ...before, version: last + 1 }
    one.set(entity, rowId, after)
    const item: ChangeItem = { op: 'create', entity, id: rowId, patch: {} }
    return { item, before: null, after, fields: Object.keys(after), restored: true }
  })
}

async function applyAll(change: Change, one: OpenRefit): Promise<Applied[]> {
  const { items } = change
  const applied: Applied[] = []
  const problems: FieldProblem[] = []
  const clashes: Clash[] = []
  for (const [place, item] of items.entries()) {
    const gone = item.op === 'create' ? one.goneVersion(item.entity, item.id) : null
    const current =
      one.get(item.entity, item.id) ?? (gone === null ? null : { id: item.id, version: gone })
    const outcome = await applyItem(item, current, (entity, id, version) =>
      fieldsSince(one, change, entity, id, version),
    )
    if ('applied' in outcome) {
      applied.push(outcome.applied)
      one.set(item.entity, item.id, outcome.applied.after)
    } else if ('clashes' in outcome) clashes.push(...outcome.clashes)
    else
      for (const each of outcome.problems)
        problems.push(items.length > 1 ? { ...each, field: `items.${place}.${each.field}` } : each)
  }
  refuse(problems)
  if (clashes.length > 0)
    throw new Trouble(409, problem('clash', clashSentence(clashes), { clashes }))
  return applied
}

/**
 * Fields of a row that others changed after a version: from memory, or from the journal for what is older.
 * Null: some of it lies further back than the history is kept.
 */
async function fieldsSince(
  one: OpenRefit,
  change: Change,
  entity: ChangeItem['entity'],
  id: string,
  version: number,
): Promise<ReadonlySet<string> | null> {
  const current = Number(one.get(entity, id)?.version ?? version)
  const touches = new Map(
    one.touchesAfter(entity, id, version).map((touch) => [touch.version, touch]),
  )
  if (touches.size < current - version) {
    const { models } = await database()
    for (const touch of await touchesInJournal(models, one.refitId, entity, id, version))
      if (!touches.has(touch.version)) touches.set(touch.version, touch)
  }
  if (touches.size < current - version) return null
  const own = new Set(change.basedOn ?? [])
  return new Set(
    [...touches.values()]
      .filter((touch) => !own.has(touch.changeId))
      .flatMap(({ fields }) => fields),
  )
}

/** A field by its label, a row that is to go by its kind. */
const clashed = ({ field, label }: Clash): string => (field === '' ? `the ${label}` : `“${label}”`)
const clashSentence = (clashes: readonly Clash[]): string =>
  `Somebody else changed ${[...new Set(clashes.map(clashed))].join(', ')} meanwhile. Choose which to keep.`

/** Refuses a change with everything that is wrong with it, the first as the sentence. */
export function refuse(problems: readonly FieldProblem[]): void {
  const [first] = problems
  if (!first) return
  const more = problems.length > 1 ? ` And ${problems.length - 1} more.` : ''
  throw new Trouble(422, problem('invalid', first.message + more, { fields: problems }))
}
